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
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Assignment;
import raftcart.sql.tree.Statement.MergeAction;
import raftcart.sql.tree.Statement.MergeAction.Kind;
import raftcart.sql.tree.TableRef;

/** Reads MERGE, also the short form with KEY. */
final class MergeParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final DmlParser changes;

    MergeParser(Parsing parsing, DmlParser changes) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.changes = changes;
    }

    Statement merge(List<CommonTable> with, Span span) {
        cursor.take();
        cursor.takeWords("INTO");
        int mark = cursor.mark();
        QualifiedName name = parsing.qualifiedName();
        if (cursor.peek().isSymbol("(") || cursor.peek().isAnyWord("KEY", "VALUES")) {
            Optional<Statement> keyed = keyed(name, span);
            if (keyed.isPresent()) {
                return keyed.get();
            }
        }
        cursor.reset(mark);
        TableRef target = parsing.queries.table();
        cursor.expectWords("USING");
        TableRef source = parsing.queries.table();
        cursor.expectWords("ON");
        Expr on = parsing.expressions.expression();
        List<MergeAction> actions = new ArrayList<>();
        while (cursor.takeWords("WHEN") || cursor.takeWords("ELSE", "IGNORE")) {
            if (cursor.previous().isWord("IGNORE")) {
                break;
            }
            actions.add(action());
        }
        if (actions.isEmpty()) {
            throw cursor.unexpected("WHEN");
        }
        List<QueryBody.Item> returning = changes.returning(changes.output());
        if (cursor.peek().isAnyWord("LOG", "LOGGING")) {
            throw cursor.byHand("LOG ERRORS");
        }
        return new Statement.Merge(with, target, source, on, actions, returning, span);
    }

    /** H2's MERGE INTO t (a, b) KEY (a) VALUES (1, 2). */
    private Optional<Statement> keyed(QualifiedName table, Span span) {
        List<Name> columns = parsing.namesInParentheses();
        List<Name> keys = cursor.takeWords("KEY") ? parsing.namesInParentheses() : List.of();
        if (!parsing.queries.startsQuery()) {
            return Optional.empty();
        }
        Query source = parsing.queries.query();
        if (keys.isEmpty() || columns.isEmpty()) {
            throw cursor.byHand("MERGE INTO without columns or KEY");
        }
        List<Assignment> assignments = new ArrayList<>();
        List<Expr> target = new ArrayList<>();
        for (Name column : columns) {
            Expr reference = new Expr.Column(new QualifiedName(List.of(column)), false, span);
            if (keys.stream().anyMatch(k -> k.matches(column))) {
                target.add(reference);
            } else {
                assignments.add(new Assignment(List.of(reference), Expr.Call.of("new_value", reference)));
            }
        }
        Statement.Upsert upsert = new Statement.Upsert(target, Optional.empty(), assignments, Optional.empty(), false);
        return Optional.of(new Statement.Insert(
                List.of(),
                Statement.Insert.Mode.INSERT,
                table,
                Optional.empty(),
                columns,
                Optional.of(source),
                "",
                Optional.of(upsert),
                List.of(),
                span));
    }

    /** Teradata's UPDATE of one row that is inserted where it is not there, as a MERGE with a row of nothing. */
    Statement orInsert(Statement.Update update) {
        cursor.take();
        Statement other = new InsertParser(parsing, changes).insert(List.of(), update.span());
        boolean plain = other instanceof Statement.Insert i
                && i.source().filter(s -> s.body() instanceof QueryBody.Values).isPresent()
                && update.from().isEmpty()
                && update.where().isPresent();
        if (!plain) {
            throw cursor.byHand("UPDATE ... ELSE INSERT of this form");
        }
        Statement.Insert insert = (Statement.Insert) other;
        List<Expr> row =
                ((QueryBody.Values) insert.source().get().body()).rows().get(0);
        Query one = Query.of(QueryBody.Select.of(
                List.of(new QueryBody.Item(Expr.Literal.number(1), Optional.of(Name.of("one_")))),
                List.of(),
                Optional.empty()));
        TableRef source = new TableRef.Derived(one, false, Optional.of(TableRef.Alias.of("row_")), update.span());
        return new Statement.Merge(
                update.with(),
                update.target(),
                source,
                update.where().get(),
                List.of(
                        of(true, false, Optional.empty(), Kind.UPDATE, update.assignments(), Optional.empty()),
                        new MergeAction(
                                false,
                                false,
                                Optional.empty(),
                                Kind.INSERT,
                                List.of(),
                                insert.columns(),
                                row,
                                Optional.empty())),
                List.of(),
                update.span());
    }

    private MergeAction action() {
        boolean matched = !cursor.takeWords("NOT");
        cursor.expectWords("MATCHED");
        boolean bySource = false;
        if (cursor.takeWords("BY")) {
            bySource = cursor.takeWords("SOURCE");
            if (!bySource) {
                cursor.expectWords("TARGET");
            }
        }
        Optional<Expr> condition =
                cursor.takeWords("AND") ? Optional.of(parsing.expressions.expression()) : Optional.empty();
        cursor.expectWords("THEN");
        if (cursor.takeWords("DELETE")) {
            return of(matched, bySource, condition, Kind.DELETE, List.of(), Optional.empty());
        }
        if (cursor.takeWords("DO", "NOTHING")) {
            return of(matched, bySource, condition, Kind.NOTHING, List.of(), Optional.empty());
        }
        boolean shortVerbs = parsing.has(GrammarFeature.SHORT_VERBS);
        if (cursor.takeWords("UPDATE") || shortVerbs && cursor.takeWords("UPD")) {
            cursor.expectWords("SET");
            List<Assignment> assignments = changes.assignments();
            Optional<Expr> both = and(condition, where());
            Optional<Expr> delete = Optional.empty();
            if (cursor.takeWords("DELETE")) {
                delete = where();
            }
            return of(matched, bySource, both, Kind.UPDATE, assignments, delete);
        }
        return insert(matched, bySource, condition);
    }

    private MergeAction insert(boolean matched, boolean bySource, Optional<Expr> condition) {
        boolean shortVerbs = parsing.has(GrammarFeature.SHORT_VERBS);
        if (!(shortVerbs && cursor.takeWords("INS"))) {
            cursor.expectWords("INSERT");
        }
        if (shortVerbs && cursor.peek().isSymbol("(") && !namesFollow()) {
            cursor.take();
            List<Expr> row = parsing.expressions.list();
            cursor.expectSymbol(")");
            return new MergeAction(
                    matched, bySource, condition, Kind.INSERT, List.of(), List.of(), row, Optional.empty());
        }
        List<Name> columns = new ArrayList<>();
        if (cursor.takeSymbol("(")) {
            columns.addAll(parsing.list(() -> parsing.qualifiedName().last()));
            cursor.expectSymbol(")");
        }
        if (cursor.peek().isWord("OVERRIDING")) {
            throw cursor.byHand("OVERRIDING in MERGE");
        }
        List<Expr> values = List.of();
        if (!cursor.takeWords("DEFAULT", "VALUES")) {
            cursor.expectWords("VALUES");
            boolean open = cursor.takeSymbol("(");
            values = parsing.expressions.list();
            if (open) {
                cursor.expectSymbol(")");
            }
        }
        return new MergeAction(
                matched, bySource, and(condition, where()), Kind.INSERT, List.of(), columns, values, Optional.empty());
    }

    /** True where the parentheses at the cursor hold names of columns, behind which VALUES comes. */
    private boolean namesFollow() {
        int mark = cursor.mark();
        parsing.skipParentheses();
        boolean names = cursor.peek().isWord("VALUES");
        cursor.reset(mark);
        return names;
    }

    private static MergeAction of(
            boolean matched,
            boolean bySource,
            Optional<Expr> condition,
            Kind kind,
            List<Assignment> assignments,
            Optional<Expr> delete) {
        return new MergeAction(matched, bySource, condition, kind, assignments, List.of(), List.of(), delete);
    }

    private Optional<Expr> where() {
        return cursor.takeWords("WHERE") ? Optional.of(parsing.expressions.expression()) : Optional.empty();
    }

    private static Optional<Expr> and(Optional<Expr> a, Optional<Expr> b) {
        if (a.isPresent() && b.isPresent()) {
            return Optional.of(
                    new Expr.Junction(true, List.of(a.get(), b.get()), a.get().span()));
        }
        return a.isPresent() ? a : b;
    }
}
