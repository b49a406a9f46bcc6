package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Query.CommonTable;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Assignment;
import raftcart.sql.tree.Statement.Insert;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.Alias;

/** Reads UPDATE, DELETE and TRUNCATE, and what all changes have in common. */
final class DmlParser {
    private final Parsing parsing;
    private final TokenCursor cursor;

    DmlParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /** A statement that begins with WITH or one of the verbs of queries and changes. */
    Statement statement() {
        Span span = cursor.peek().span();
        int mark = cursor.mark();
        List<CommonTable> with = new ArrayList<>();
        parsing.queries.with(with);
        parsing.queries.passOverLocking();
        Token verb = cursor.peek();
        InsertParser inserts = new InsertParser(parsing, this);
        if (verb.isAnyWord("INSERT", "INS") && !cursor.peek(1).isSymbol("(")) {
            return inserts.insert(with, span);
        }
        if (verb.isWord("REPLACE") && parsing.has(GrammarFeature.REPLACE_STATEMENT)) {
            return inserts.insert(with, span);
        }
        if (verb.isWord("UPDATE")
                && cursor.peek(1).isWord("OR")
                && cursor.peek(2).isWord("INSERT")) {
            return inserts.updateOrInsert(span);
        }
        if (verb.isAnyWord("UPDATE", "UPD")) {
            return update(with, span);
        }
        if (verb.isAnyWord("DELETE", "DEL")) {
            return delete(with, span);
        }
        if (verb.isWord("MERGE")) {
            return new MergeParser(parsing, this).merge(with, span);
        }
        cursor.reset(mark);
        if (verb.isWord("SELECT") && parsing.has(GrammarFeature.CHANGES_AS_TABLES) && readsChange()) {
            return changedRows(with.isEmpty());
        }
        Query query = parsing.queries.query();
        Optional<SelectParser.Into> into = parsing.queries.takeInto();
        boolean temporary = into.filter(SelectParser.Into::temporary).isPresent();
        return new Statement.QueryStatement(query, into.map(SelectParser.Into::name), temporary, span);
    }

    /** True where the first FROM of a SELECT names the rows of a change. */
    private boolean readsChange() {
        int open = 0;
        for (int i = 1; cursor.peek(i).kind() != TokenKind.END && open >= 0; i++) {
            Token token = cursor.peek(i);
            open += token.isSymbol("(") ? 1 : token.isSymbol(")") ? -1 : 0;
            if (open == 0 && token.isWord("FROM")) {
                return cursor.peek(i + 1).isAnyWord("FINAL", "NEW", "OLD")
                        && cursor.peek(i + 2).isWord("TABLE")
                        && cursor.peek(i + 3).isSymbol("(");
            }
        }
        return false;
    }

    /** {@code SELECT a FROM FINAL TABLE (INSERT ...)}, which elsewhere is an INSERT with RETURNING. */
    private Statement changedRows(boolean alone) {
        cursor.take();
        List<QueryBody.Item> items = parsing.list(parsing.queries::item);
        cursor.expectWords("FROM");
        boolean old = cursor.take().isWord("OLD");
        cursor.expectWords("TABLE");
        cursor.expectSymbol("(");
        Statement change = statement();
        cursor.expectSymbol(")");
        Optional<Alias> alias = alias();
        if (alias.isPresent()) {
            items = OfChangedRows.items(items, alias.get().name());
        }
        boolean plain = alone && (cursor.atEnd() || cursor.peek().isSymbol(";"));
        if (plain && change instanceof Statement.Insert insert) {
            return insert.giving(items);
        }
        if (plain && change instanceof Statement.Update update && !old) {
            return update.giving(items);
        }
        if (plain && change instanceof Statement.Delete delete && old) {
            return delete.giving(items);
        }
        throw cursor.byHand("a change whose rows are read");
    }

    Statement update(List<CommonTable> with, Span span) {
        cursor.take();
        boolean command = cursor.peek().isWord("STATISTICS")
                        && (cursor.peek(1).isName() || cursor.peek(1).kind() == TokenKind.END)
                        && !cursor.peek(1).isWord("SET")
                || cursor.atWords("COMMAND", "OPTIONS");
        if (command) {
            String what = cursor.peek().text();
            while (!cursor.atEnd() && !cursor.peek().isSymbol(";")) {
                cursor.take();
            }
            return new Statement.ClientCommand("UPDATE " + what, span);
        }
        if (cursor.peek().isWord("OR")) {
            throw cursor.byHand("UPDATE OR ...");
        }
        cursor.takeAny("LOW_PRIORITY", "IGNORE");
        if (cursor.previous().isWord("IGNORE")) {
            throw cursor.byHand("UPDATE IGNORE");
        }
        Optional<Expr> limit = top();
        List<TableRef> targets = parsing.list(parsing.queries::table);
        TableRef target = crossed(targets);
        List<TableRef> from = cursor.takeWords("FROM") ? parsing.list(parsing.queries::table) : List.of();
        cursor.expectWords("SET");
        List<Assignment> assignments = assignments();
        List<QueryBody.Item> output = output();
        if (cursor.takeWords("FROM")) {
            from = parsing.list(parsing.queries::table);
        }
        Optional<Expr> where = where();
        List<OrderItem> order = cursor.takeWords("ORDER", "BY") ? parsing.queries.orderItems() : List.of();
        limit = limit(limit);
        List<QueryBody.Item> returning = returning(output);
        passOverOptions();
        Statement.Update update =
                new Statement.Update(with, target, assignments, from, where, order, limit, returning, span);
        boolean orInsert = parsing.has(GrammarFeature.SHORT_VERBS)
                && cursor.peek().isWord("ELSE")
                && cursor.peek(1).isAnyWord("INSERT", "INS");
        return orInsert ? new MergeParser(parsing, this).orInsert(update) : update;
    }

    private static TableRef crossed(List<TableRef> tables) {
        TableRef all = tables.get(0);
        for (TableRef next : tables.subList(1, tables.size())) {
            all = new TableRef.Join(TableRef.Join.Kind.CROSS, all, next, Optional.empty(), List.of(), next.span());
        }
        return all;
    }

    private Optional<Expr> where() {
        if (!cursor.takeWords("WHERE")) {
            return Optional.empty();
        }
        if (cursor.atWords("CURRENT", "OF")) {
            Span span = cursor.take().span();
            cursor.take();
            return Optional.of(Expr.Call.of("row_of_cursor", new Expr.Column(parsing.qualifiedName(), false, span))
                    .at(span));
        }
        Expr where = parsing.expressions.expression();
        if (cursor.peek().isWord("PLAN") && cursor.peek(1).isSymbol("(")) {
            int mark = cursor.mark();
            cursor.take();
            parsing.skipParentheses();
            cursor.noteHint(mark);
        }
        return Optional.of(where);
    }

    private Optional<Expr> limit(Optional<Expr> top) {
        if (cursor.takeWords("LIMIT")) {
            return Optional.of(parsing.expressions.expression());
        }
        if (cursor.takeWords("FETCH", "FIRST") || cursor.takeWords("FETCH", "NEXT")) {
            Expr limit = parsing.expressions.expression(OperatorTable.OTHER);
            cursor.takeAny("ROW", "ROWS");
            cursor.expectWords("ONLY");
            return Optional.of(limit);
        }
        if (cursor.peek().isWord("ROWS")) {
            throw cursor.byHand("ROWS in a change");
        }
        return top;
    }

    private Optional<Expr> top() {
        if (!cursor.peek().isWord("TOP")
                || !(cursor.peek(1).isSymbol("(") || cursor.peek(1).kind() == TokenKind.NUMBER)) {
            return Optional.empty();
        }
        cursor.take();
        Expr amount = parsing.expressions.expression(OperatorTable.POSTFIX);
        if (cursor.peek().isWord("PERCENT")) {
            throw cursor.byHand("TOP PERCENT in a change");
        }
        return Optional.of(amount);
    }

    List<Assignment> assignments() {
        return parsing.list(this::assignment);
    }

    private Assignment assignment() {
        List<Expr> columns = new ArrayList<>();
        if (cursor.takeSymbol("(")) {
            columns.addAll(parsing.list(this::column));
            cursor.expectSymbol(")");
        } else {
            if (cursor.peek().kind() == TokenKind.PARAMETER) {
                throw cursor.byHand("an UPDATE that assigns variables");
            }
            columns.add(column());
            if (cursor.peek().isSymbol("(")) {
                throw cursor.byHand("a part of a value that is written");
            }
        }
        if (cursor.peek().kind() == TokenKind.SYMBOL && cursor.peek(1).isSymbol("=") && columns.size() == 1) {
            Token operator = cursor.take();
            cursor.take();
            return new Assignment(columns, compound(columns.get(0), operator));
        }
        if (!cursor.takeSymbol(":=")) {
            cursor.expectSymbol("=");
        }
        return new Assignment(columns, parsing.expressions.expression());
    }

    private Expr compound(Expr column, Token operator) {
        raftcart.sql.tree.BinaryOperator known =
                switch (operator.text()) {
                    case "+" -> raftcart.sql.tree.BinaryOperator.ADD;
                    case "-" -> raftcart.sql.tree.BinaryOperator.SUBTRACT;
                    case "*" -> raftcart.sql.tree.BinaryOperator.MULTIPLY;
                    case "/" -> raftcart.sql.tree.BinaryOperator.DIVIDE;
                    default -> throw cursor.byHand("the assignment " + operator.text() + "=");
                };
        return new Expr.Binary(known, column, parsing.expressions.expression(), operator.span());
    }

    Expr column() {
        Span span = cursor.peek().span();
        QualifiedName name = parsing.qualifiedName();
        if (cursor.peek().isSymbol("[")) {
            throw cursor.byHand("an assignment to an element of an array");
        }
        return new Expr.Column(name, false, span);
    }

    private Statement delete(List<CommonTable> with, Span span) {
        cursor.take();
        cursor.takeAny("LOW_PRIORITY", "QUICK");
        if (cursor.peek().isWord("IGNORE")) {
            throw cursor.byHand("DELETE IGNORE");
        }
        Optional<Expr> limit = top();
        List<QualifiedName> targets = new ArrayList<>();
        if (!cursor.takeWords("FROM")) {
            int mark = cursor.mark();
            targets = new ArrayList<>(parsing.list(this::deleteTarget));
            boolean several = cursor.peek().isWord("FROM");
            if (!several) {
                // Oracle, SQL Server and others let FROM be left out before the one table.
                cursor.reset(mark);
                targets.clear();
            } else {
                cursor.take();
            }
        } else if (cursor.peek(1).isSymbol(",")
                || cursor.peek(1).isSymbol(".") && cursor.peek(2).isSymbol("*")
                || atTargetsBeforeUsing()) {
            targets.addAll(parsing.list(this::deleteTarget));
            cursor.expectWords("USING");
            return deleteFrom(with, targets, parsing.list(parsing.queries::table), limit, span);
        }
        if (!targets.isEmpty()) {
            return deleteFrom(with, targets, parsing.list(parsing.queries::table), limit, span);
        }
        TableRef table = parsing.queries.table();
        List<TableRef> using = cursor.takeWords("USING") ? parsing.list(parsing.queries::table) : List.of();
        List<QueryBody.Item> output = output();
        if (table instanceof TableRef.Table named && cursor.takeWords("FROM")) {
            List<QualifiedName> target = List.of(named.name());
            return rest(with, target, crossed(parsing.list(parsing.queries::table)), List.of(), limit, output, span);
        }
        return rest(with, List.of(), table, using, limit, output, span);
    }

    /** MySQL's DELETE FROM t USING t JOIN u, where the table appears again after USING. */
    private boolean atTargetsBeforeUsing() {
        return parsing.has(GrammarFeature.REPLACE_STATEMENT)
                && parsing.has(GrammarFeature.WORD_OPERATORS)
                && cursor.peek(1).isWord("USING");
    }

    private Statement deleteFrom(
            List<CommonTable> with,
            List<QualifiedName> targets,
            List<TableRef> tables,
            Optional<Expr> limit,
            Span span) {
        return rest(with, targets, crossed(tables), List.of(), limit, output(), span);
    }

    private Statement rest(
            List<CommonTable> with,
            List<QualifiedName> targets,
            TableRef table,
            List<TableRef> using,
            Optional<Expr> top,
            List<QueryBody.Item> output,
            Span span) {
        Optional<Expr> where = where();
        if (where.isEmpty()) {
            cursor.takeWords("ALL"); // Teradata's DELETE t ALL
        }
        List<OrderItem> order = cursor.takeWords("ORDER", "BY") ? parsing.queries.orderItems() : List.of();
        Optional<Expr> limit = limit(top);
        List<QueryBody.Item> returning = returning(output);
        passOverOptions();
        return new Statement.Delete(with, targets, table, using, where, order, limit, returning, span);
    }

    private QualifiedName deleteTarget() {
        List<Name> parts = new ArrayList<>(List.of(parsing.name()));
        while (cursor.takeSymbol(".")) {
            if (cursor.takeSymbol("*")) {
                break;
            }
            parts.add(parsing.name());
        }
        return new QualifiedName(parts);
    }

    /** The OUTPUT clause of T-SQL, with the rows as they are before or after. */
    List<QueryBody.Item> output() {
        if (!cursor.peek().isWord("OUTPUT")) {
            return List.of();
        }
        cursor.take();
        List<QueryBody.Item> items = parsing.list(parsing.queries::item);
        if (cursor.peek().isWord("INTO")) {
            throw cursor.byHand("OUTPUT INTO");
        }
        return items;
    }

    List<QueryBody.Item> returning(List<QueryBody.Item> output) {
        if (!cursor.takeAny("RETURNING") && !(!parsing.has(GrammarFeature.TSQL_ROUTINES) && cursor.takeAny("RETURN"))) {
            return output;
        }
        List<QueryBody.Item> items = parsing.list(parsing.queries::item);
        if (cursor.peek().isAnyWord("INTO", "BULK")) {
            throw cursor.byHand("RETURNING INTO variables");
        }
        return items;
    }

    Optional<Alias> alias() {
        return new TableParser(parsing).alias();
    }

    private void passOverOptions() {
        int mark = cursor.mark();
        if (cursor.peek().isWord("OPTION") && cursor.peek(1).isSymbol("(")) {
            cursor.take();
            parsing.skipParentheses();
        }
        if (cursor.peek().isWord("WITH") && cursor.peek(1).isAnyWord("UR", "CS", "RS", "RR")) {
            cursor.take();
            cursor.take();
        }
        cursor.noteHint(mark);
    }

    /** Rows of an INSERT that are given column by column. */
    Insert fromAssignments(Insert insert, List<Assignment> assignments) {
        List<Name> columns = new ArrayList<>();
        List<Expr> values = new ArrayList<>();
        for (Assignment assignment : assignments) {
            columns.add(((Expr.Column) assignment.columns().get(0)).name().last());
            values.add(assignment.value());
        }
        Query source = Query.of(new QueryBody.Values(List.of(values), insert.span()));
        return new Insert(
                insert.with(),
                insert.mode(),
                insert.table(),
                insert.alias(),
                columns,
                Optional.of(source),
                insert.overriding(),
                insert.upsert(),
                insert.returning(),
                insert.span());
    }
}
