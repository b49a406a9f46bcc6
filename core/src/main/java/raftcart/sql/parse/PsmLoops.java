package raftcart.sql.parse;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
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
        if (cursor.peek().isAnyWord("SELECT", "WITH") || cursor.peek(1).isWord("AS")) {
            return ofColumns(label, span, statements);
        }
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
        boolean cursorName = cursor.peek().isName()
                && (cursor.peek(1).isWord("DO")
                        || cursor.peek(1).isSymbol("(")
                                && cursor.peek(cursor.closing(1) + 1).isWord("DO"));
        if (cursorName) {
            Name name = parsing.name();
            List<Expr> arguments = List.of();
            if (cursor.takeSymbol("(")) {
                arguments = parsing.expressions.list();
                cursor.expectSymbol(")");
            }
            List<Statement> body = body(label, statements);
            return new CodeStatement.ForRows(
                    label, variable, Optional.empty(), Optional.of(name), arguments, body, span);
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

    /** A loop in which the columns of the query are variables by themselves (ISO 9075-4, "for statement"). */
    private Statement ofColumns(Optional<Name> label, Span span, Supplier<List<Statement>> statements) {
        Name row = Name.of("row_");
        if (cursor.peek(1).isWord("AS")) {
            row = parsing.name();
            cursor.take();
            boolean named = cursor.peek(1).isWord("CURSOR") || cursor.peek(2).isWord("CURSOR");
            while (named && !cursor.peek().isWord("FOR")) {
                cursor.take();
            }
            cursor.takeWords("FOR");
        }
        Query query = parsing.queries.query();
        Set<String> columns = columns(query);
        List<Statement> body = body(label, statements);
        Name of = row;
        List<Statement> named = new LoopColumns(cursor, of, columns).statements(body);
        return new CodeStatement.ForRows(label, row, Optional.of(query), Optional.empty(), List.of(), named, span);
    }

    private Set<String> columns(Query query) {
        if (!(query.body() instanceof QueryBody.Select select)) {
            throw cursor.byHand("a loop over several queries");
        }
        Set<String> columns = new HashSet<>();
        for (QueryBody.Item item : select.items()) {
            Optional<Name> name = item.alias()
                    .or(() -> item.value() instanceof Expr.Column c
                            ? Optional.of(c.name().last())
                            : Optional.empty());
            columns.add(name.orElseThrow(() -> cursor.byHand("a loop over columns without names"))
                    .key());
        }
        return columns;
    }
}
