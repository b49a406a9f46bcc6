package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.CreateRoutine;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;

/**
 * Reads packages: what they show to others, and their bodies ("CREATE PACKAGE", "CREATE PACKAGE BODY", Oracle). One that cannot
 * be read is left to a person as a whole, for the reason and at the place where reading ended.
 */
final class PackageParser {
    private final Parsing parsing;
    private final TokenCursor cursor;

    PackageParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /** Reads from the word PACKAGE on. */
    Statement create(boolean replace, Span span) {
        return RoutineHeads.whole(cursor, "package", () -> read(replace, span), span);
    }

    private Statement read(boolean replace, Span span) {
        cursor.take();
        boolean body = cursor.takeWords("BODY");
        cursor.takeWords("IF", "NOT", "EXISTS");
        Statement read = read(replace, body, span);
        RoutineHeads.end(cursor, "package");
        return read;
    }

    private Statement read(boolean replace, boolean body, Span span) {
        QualifiedName name = parsing.qualifiedName();
        boolean definer = PlSqlRoutineParser.definer(cursor);
        while (cursor.takeWords("COMMENT")) {
            parsing.string();
        }
        if (!cursor.takeAny("IS", "AS")) {
            throw cursor.unexpected("IS");
        }
        PlSqlDeclarations declarations =
                new PlSqlDeclarations(parsing, name.last().text());
        PlSqlParser code = new PlSqlParser(parsing, declarations);
        List<Declaration> declared = new ArrayList<>();
        List<CreateRoutine> routines = new ArrayList<>();
        List<Name> shown = new ArrayList<>();
        while (!cursor.peek().isAnyWord("END", "BEGIN")) {
            if (cursor.peek().isAnyWord("PROCEDURE", "FUNCTION")) {
                Name own = parsing.nameOf(cursor.peek(1));
                new PlSqlRoutineParser(parsing)
                        .inPackage(name, definer, new PlSqlDeclarations(parsing, declarations, own.text()))
                        .ifPresentOrElse(routines::add, () -> shown.add(own));
            } else {
                declared.addAll(declarations.declaration());
            }
            cursor.expectSymbol(";");
        }
        Optional<Block> first = cursor.peek().isWord("BEGIN")
                ? Optional.of(
                        code.block(Optional.empty(), List.of(), cursor.peek().span()))
                : Optional.empty();
        if (first.isEmpty()) {
            cursor.expectWords("END");
            if (cursor.peek().isName()) {
                parsing.name();
            }
        }
        return new CodeStatement.CreatePackage(name, replace, body, declared, routines, shown, first, span);
    }
}
