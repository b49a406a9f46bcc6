package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Query.CommonTable;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Assignment;
import raftcart.sql.tree.Statement.Insert;
import raftcart.sql.tree.Statement.Insert.Mode;
import raftcart.sql.tree.Statement.Upsert;
import raftcart.sql.tree.TableRef.Alias;

/** Reads INSERT, REPLACE and upserts in all spellings. */
final class InsertParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final DmlParser changes;

    InsertParser(Parsing parsing, DmlParser changes) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.changes = changes;
    }

    Statement insert(List<CommonTable> with, Span span) {
        Mode mode = cursor.take().isWord("REPLACE") ? Mode.REPLACE : Mode.INSERT;
        cursor.takeAny("LOW_PRIORITY", "DELAYED", "HIGH_PRIORITY");
        if (cursor.takeWords("IGNORE") || cursor.takeWords("OR", "IGNORE")) {
            mode = Mode.IGNORE;
        } else if (cursor.takeWords("OR", "REPLACE")) {
            mode = Mode.REPLACE;
        } else if (cursor.takeWords("OVERWRITE")) {
            throw cursor.byHand("INSERT OVERWRITE");
        } else {
            if (cursor.takeWords("OR")) {
                cursor.takeAny("ABORT", "FAIL", "ROLLBACK"); // what happens to the transaction, not to the row
            }
        }
        if (cursor.peek().isAnyWord("ALL", "FIRST") && cursor.peek(1).isAnyWord("INTO", "WHEN")) {
            return multi(span);
        }
        if (cursor.peek().isWord("TOP") && cursor.peek(1).isSymbol("(")) {
            throw cursor.byHand("an INSERT of the first rows of a query");
        }
        cursor.takeWords("INTO");
        QualifiedName table = parsing.qualifiedName();
        if (cursor.peek().isWord("PARTITION") && cursor.peek(1).isSymbol("(")) {
            throw cursor.byHand("an INSERT into one partition");
        }
        return insertInto(with, mode, table, span);
    }

    /** Teradata's {@code INS t (1, 'a')}. */
    private boolean isBareRow() {
        return parsing.has(GrammarFeature.SHORT_VERBS)
                && cursor.peek().isSymbol("(")
                && !cursor.peek(1).isName()
                && !parsing.queries.startsQuery();
    }

    private List<Name> columns() {
        List<Name> columns = new ArrayList<>();
        if (cursor.peek().isSymbol("(") && !parsing.queries.startsQuery()) {
            cursor.take();
            if (!cursor.takeSymbol(")")) {
                do {
                    columns.add(parsing.qualifiedName().last());
                    if (cursor.peek().isSymbol("[")) {
                        throw cursor.byHand("an item of an array as a column");
                    }
                } while (cursor.takeSymbol(","));
                cursor.expectSymbol(")");
            }
        }
        return columns;
    }

    /** An alias; what stands in parentheses behind it names the columns of the table. */
    private Optional<Alias> aliasAlone() {
        if (cursor.atWords("BY", "NAME") || cursor.peek().isWord("TABLE")) {
            return Optional.empty();
        }
        if (!cursor.peek().isWord("AS")) {
            return changes.alias();
        }
        cursor.take();
        return Optional.of(new Alias(parsing.name(), List.of(), List.of()));
    }

    private Insert insertInto(List<CommonTable> with, Mode mode, QualifiedName table, Span span) {
        Optional<Alias> alias = cursor.peek().isSymbol("(")
                        || cursor.peek().isWord("WITH")
                        || cursor.peek().isAnyWord("VALUE", "OVERRIDING")
                ? Optional.empty()
                : aliasAlone();
        if (cursor.peek().isWord("WITH") && cursor.peek(1).isSymbol("(")) {
            cursor.take();
            parsing.skipParentheses();
        }
        if (isBareRow()) {
            Expr row = parsing.expressions.expression();
            List<Expr> values = row instanceof Expr.Row r ? r.items() : List.of(row);
            Query one = Query.of(new QueryBody.Values(List.of(values), span));
            return new Insert(
                    with, mode, table, alias, List.of(), Optional.of(one), "", Optional.empty(), List.of(), span);
        }
        List<Name> columns = cursor.takeWords("BY", "NAME") ? columnsByName() : columns();
        String overriding = "";
        if (cursor.takeWords("OVERRIDING")) {
            overriding = cursor.take().value().toUpperCase(java.util.Locale.ROOT);
            cursor.expectWords("VALUE");
        }
        List<QueryBody.Item> output = changes.output();
        Insert insert = new Insert(
                with, mode, table, alias, columns, Optional.empty(), overriding, Optional.empty(), List.of(), span);
        if (cursor.takeWords("DEFAULT", "VALUES")) {
            return finished(insert, output);
        }
        if (cursor.takeWords("SET")) {
            return finished(changes.fromAssignments(insert, changes.assignments()), output);
        }
        if (cursor.peek().isWord("VALUE")) {
            return finished(withRows(insert, Query.of(parsing.queries.values())), output);
        }
        if (cursor.peek().isAnyWord("EXEC", "EXECUTE")) {
            throw cursor.byHand("INSERT from a procedure");
        }
        if (columns.isEmpty() && cursor.peek().isSymbol("(") && !parsing.queries.startsQuery()) {
            throw cursor.unexpected("VALUES or a query");
        }
        return finished(withRows(insert, source()), output);
    }

    /** The INSERT with its rows; {@code VALUES ()} is a row of defaults. */
    private static Insert withRows(Insert insert, Query rows) {
        boolean defaults = insert.columns().isEmpty()
                && rows.body() instanceof QueryBody.Values values
                && values.rows().size() == 1
                && values.rows().get(0).isEmpty();
        return defaults ? insert : insert.withSource(rows);
    }

    /** DuckDB's INSERT ... BY NAME: the items of the query, which is read again behind them, name the columns. */
    private List<Name> columnsByName() {
        int mark = cursor.mark();
        List<Name> columns = new ArrayList<>();
        QueryBody body = source().body();
        List<QueryBody.Item> items = body instanceof QueryBody.Select select ? select.items() : List.of();
        for (QueryBody.Item item : items) {
            item.alias()
                    .or(() -> item.value() instanceof Expr.Column c
                            ? Optional.of(c.name().last())
                            : Optional.empty())
                    .ifPresent(columns::add);
        }
        if (items.isEmpty() || columns.size() < items.size()) {
            throw cursor.byHand("INSERT BY NAME of a query whose columns have no names");
        }
        cursor.reset(mark);
        return columns;
    }

    /** A plain list of rows is read without regard to what else a query may have. */
    private Query source() {
        if (cursor.peek().isWord("VALUES")) {
            return Query.of(parsing.queries.values());
        }
        if (!parsing.queries.startsQuery()
                && !(cursor.peek().isWord("TABLE") && cursor.peek(1).isName())) {
            throw cursor.unexpected("VALUES or a query");
        }
        return parsing.queries.query();
    }

    private Insert finished(Insert insert, List<QueryBody.Item> output) {
        if (cursor.atWords("LOG", "ERRORS")) {
            throw cursor.byHand("LOG ERRORS");
        }
        Optional<Upsert> upsert = Optional.empty();
        Optional<Alias> newRow = Optional.empty();
        if (cursor.peek().isWord("AS") && cursor.peek(1).isName()) {
            newRow = changes.alias();
        }
        if (cursor.takeWords("ON", "DUPLICATE", "KEY", "UPDATE")) {
            List<Assignment> assignments = changes.assignments();
            upsert = Optional.of(
                    new Upsert(List.of(), Optional.empty(), newValues(assignments, newRow), Optional.empty(), true));
        } else if (cursor.takeWords("ON", "CONFLICT")) {
            upsert = Optional.of(onConflict());
        }
        List<QueryBody.Item> returning = changes.returning(output);
        return new Insert(
                insert.with(),
                insert.mode(),
                insert.table(),
                insert.alias(),
                insert.columns(),
                insert.source(),
                insert.overriding(),
                upsert,
                returning,
                insert.span());
    }

    private Upsert onConflict() {
        List<Expr> target = new ArrayList<>();
        Optional<Name> constraint = Optional.empty();
        if (cursor.takeSymbol("(")) {
            target.addAll(parsing.expressions.list());
            cursor.expectSymbol(")");
            if (cursor.peek().isWord("WHERE")) {
                throw cursor.byHand("ON CONFLICT on a partial index");
            }
        } else if (cursor.takeWords("ON", "CONSTRAINT")) {
            constraint = Optional.of(parsing.name());
        }
        cursor.expectWords("DO");
        if (cursor.takeWords("NOTHING")) {
            return new Upsert(target, constraint, List.of(), Optional.empty(), false);
        }
        cursor.expectWords("UPDATE", "SET");
        List<Assignment> assignments = newValues(changes.assignments(), Optional.of(Alias.of("excluded")));
        Optional<Expr> where =
                cursor.takeWords("WHERE") ? Optional.of(parsing.expressions.expression()) : Optional.empty();
        return new Upsert(
                target,
                constraint,
                assignments,
                where.map(w -> newValues(w, Optional.of(Alias.of("excluded")))),
                false);
    }

    private static List<Assignment> newValues(List<Assignment> assignments, Optional<Alias> newRow) {
        return assignments.stream()
                .map(a -> a.withValue(newValues(a.value(), newRow)))
                .toList();
    }

    /** VALUES(c), EXCLUDED.c and the alias of the new row all stand for the value that could not be inserted. */
    private static Expr newValues(Expr value, Optional<Alias> newRow) {
        return new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                if (e instanceof Expr.Call call
                        && call.function().equals("values")
                        && call.arguments().size() == 1
                        && call.arguments().get(0) instanceof Expr.Column column) {
                    return Expr.Call.of("new_value", column).at(e.span());
                }
                if (e instanceof Expr.Column column
                        && newRow.isPresent()
                        && column.name().parts().size() == 2
                        && column.name().parts().get(0).matches(newRow.get().name())) {
                    QualifiedName bare = new QualifiedName(List.of(column.name().last()));
                    return Expr.Call.of("new_value", new Expr.Column(bare, false, e.span()))
                            .at(e.span());
                }
                return super.expr(e);
            }
        }.expr(value);
    }

    /** Firebird's UPDATE OR INSERT INTO t (a, b) VALUES (1, 2) MATCHING (a). */
    Statement updateOrInsert(Span span) {
        cursor.expectWords("UPDATE", "OR", "INSERT", "INTO");
        QualifiedName table = parsing.qualifiedName();
        List<Name> columns = parsing.namesInParentheses();
        QueryBody.Values values = parsing.queries.values();
        List<Name> keys = cursor.takeWords("MATCHING") ? parsing.namesInParentheses() : List.of();
        if (keys.isEmpty()) {
            throw cursor.byHand("UPDATE OR INSERT without MATCHING");
        }
        List<Assignment> assignments = new ArrayList<>();
        for (Name column : columns) {
            if (keys.stream().noneMatch(k -> k.matches(column))) {
                Expr target = new Expr.Column(new QualifiedName(List.of(column)), false, span);
                assignments.add(new Assignment(List.of(target), Expr.Call.of("new_value", target)));
            }
        }
        List<Expr> target = keys.stream()
                .<Expr>map(k -> new Expr.Column(new QualifiedName(List.of(k)), false, span))
                .toList();
        Upsert upsert = new Upsert(target, Optional.empty(), assignments, Optional.empty(), false);
        return new Insert(
                List.of(),
                Mode.INSERT,
                table,
                Optional.empty(),
                columns,
                Optional.of(Query.of(values)),
                "",
                Optional.of(upsert),
                changes.returning(List.of()),
                span);
    }

    private Statement multi(Span span) {
        boolean first = cursor.take().isWord("FIRST");
        List<Statement.Branch> branches = new ArrayList<>();
        while (cursor.peek().isAnyWord("WHEN", "ELSE", "INTO")) {
            Optional<Expr> condition = Optional.empty();
            boolean otherwise = cursor.takeWords("ELSE");
            if (cursor.takeWords("WHEN")) {
                condition = Optional.of(parsing.expressions.expression());
                cursor.expectWords("THEN");
            }
            do {
                cursor.expectWords("INTO");
                QualifiedName table = parsing.qualifiedName();
                List<Name> columns = parsing.namesInParentheses();
                List<Expr> values = List.of();
                if (cursor.takeWords("VALUES")) {
                    cursor.expectSymbol("(");
                    values = parsing.expressions.list();
                    cursor.expectSymbol(")");
                }
                branches.add(new Statement.Branch(condition, otherwise, table, columns, values));
            } while (cursor.peek().isWord("INTO"));
        }
        return new Statement.MultiInsert(first, branches, parsing.queries.query(), span);
    }
}
