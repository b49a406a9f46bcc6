package raftcart.sql.parse;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;

/** Reads FOR over the rows of a query or over whole numbers ("FOR", MariaDB). */
final class PsmLoops {
    private final Parsing parsing;
    private final TokenCursor cursor;

    PsmLoops(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    Statement rows(Optional<Name> label, Span span, Supplier<List<Statement>> statements) {
        cursor.take();
        Name variable = parsing.name();
        cursor.expectWords("IN");
        boolean reverse = cursor.takeWords("REVERSE");
        boolean query = cursor.peek().isSymbol("(") && cursor.peek(1).isAnyWord("SELECT", "WITH");
        if (query) {
            cursor.take();
            Query rows = parsing.queries.query();
            cursor.expectSymbol(")");
            List<Statement> body = body(label, statements);
            return new CodeStatement.ForRows(
                    label, variable, Optional.of(rows), Optional.empty(), List.of(), body, span);
        }
        boolean cursorName = cursor.peek().isName() && cursor.peek(1).isWord("DO");
        if (cursorName) {
            Name name = parsing.name();
            List<Statement> body = body(label, statements);
            return new CodeStatement.ForRows(
                    label, variable, Optional.empty(), Optional.of(name), List.of(), body, span);
        }
        Expr from = parsing.expressions.expression();
        cursor.expectSymbol("..");
        Expr to = parsing.expressions.expression();
        List<Statement> body = body(label, statements);
        return new CodeStatement.ForRange(label, variable, reverse, from, to, Optional.empty(), body, span);
    }

    private List<Statement> body(Optional<Name> label, Supplier<List<Statement>> statements) {
        cursor.expectWords("DO");
        List<Statement> body = statements.get();
        cursor.expectWords("END", "FOR");
        if (label.isPresent() && cursor.peek().isName()) {
            parsing.name();
        }
        return body;
    }
}
