package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.rewrite.Scope.ColumnFacts;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TypeName;

/**
 * Variables that hold rows. On the target they have the columns of what they were filled with last, so they are filled with
 * NULLs under the right names at first, and queries into them name their columns so.
 */
final class CodeRecords {
    private final CodeAdapter code;
    private final QueryAdapter adapter;

    CodeRecords(CodeAdapter code) {
        this.code = code;
        this.adapter = code.adapter();
    }

    /** Declares a row; what fills it first is put behind the others. */
    Declaration declared(Declaration.Row row, List<Statement> first) {
        List<Item> items = new ArrayList<>();
        Map<String, ColumnFacts> facts = new LinkedHashMap<>();
        if (row.of().isPresent()) {
            for (ColumnFacts c : columns(row)) {
                facts.put(c.name().toLowerCase(Locale.ROOT), c);
                Name name = Name.of(c.name());
                TypeName type = code.written(
                        name,
                        CodeResults.type(c)
                                .orElseThrow(() -> CodeAdapter.at(
                                        row.span(), "a row, of which the type of " + c.name() + " is not known")));
                items.add(new Item(new Expr.Cast(Expr.Literal.ofNull(), type, false, row.span()), Optional.of(name)));
            }
        } else {
            for (Parameter field : row.fields()) {
                KnownColumn known = code.known(field.name(), field.type());
                facts.put(field.name().key(), ColumnFacts.of(known));
                Expr value = field.initial()
                        .map(i -> new ValueAdapter(adapter).forColumn(i, Optional.of(known)))
                        .orElse(Expr.Literal.ofNull());
                TypeName type = code.written(field.name(), known.type().orElseThrow());
                items.add(new Item(new Expr.Cast(value, type, false, row.span()), Optional.of(field.name())));
            }
        }
        Query empty = Query.of(QueryBody.Select.of(items, List.of(), Optional.empty()));
        Expr target = Expr.Column.of(row.name().text());
        first.add(new CodeStatement.SelectInto(empty, List.of(target), Expected.FIRST, row.span()));
        code.frame().hold(row.name(), List.copyOf(facts.values()));
        adapter.scope.add(Scope.Relation.ofVariables(row.name().text(), facts));
        return new Declaration.Variable(row.name(), TypeName.of("record"), Optional.empty(), false, row.span());
    }

    private List<ColumnFacts> columns(Declaration.Row row) {
        List<ColumnFacts> ofCursor = row.of().get().parts().size() == 1
                ? code.frame().cursor(row.of().get().last())
                : List.of();
        if (!ofCursor.isEmpty()) {
            return ofCursor;
        }
        return adapter.knowledge
                .table(row.of().get())
                .map(t -> List.copyOf(t.facts().values()))
                .orElseThrow(() ->
                        CodeAdapter.at(row.span(), "a row of " + row.of().get() + ", whose columns are not known"));
    }

    /** The row that is the only target, if it is one. */
    Optional<List<ColumnFacts>> target(List<Expr> targets) {
        boolean single = targets.size() == 1
                && targets.get(0) instanceof Expr.Column c
                && c.name().parts().size() == 1;
        return single ? code.frame().row(((Expr.Column) targets.get(0)).name().last()) : Optional.empty();
    }

    /** A query into a row, with the names of the row's columns. */
    CodeStatement.SelectInto select(CodeStatement.SelectInto into, List<ColumnFacts> fields) {
        Query named = into.query();
        boolean listed = into.query().body() instanceof QueryBody.Select select
                && select.items().stream().noneMatch(i -> i.value() instanceof Expr.Star);
        if (listed) {
            QueryBody.Select select = (QueryBody.Select) into.query().body();
            refuse(select.items().size() != fields.size(), into.span());
            List<Item> items = new ArrayList<>();
            for (int i = 0; i < fields.size(); i++) {
                Name name = Name.of(fields.get(i).name());
                items.add(new Item(select.items().get(i).value(), Optional.of(name)));
            }
            named = into.query().withBody(select.withItems(items));
        } else {
            refuse(!sameNames(adapter.finder.columns(into.query(), adapter.scope), fields), into.span());
        }
        Query fitted = new ValueAdapter(adapter)
                .fitted(named, fields.stream().map(ColumnFacts::type).toList());
        return new CodeStatement.SelectInto(adapter.query(fitted), into.targets(), into.expected(), into.span());
    }

    /** Refuses a row that is fetched from a cursor whose columns are called otherwise. */
    void checkFetch(CodeStatement.Fetch fetch, List<ColumnFacts> fields) {
        refuse(!sameNames(code.frame().cursor(fetch.cursor()), fields), fetch.span());
    }

    /** True where one row can take the place of another. */
    boolean copies(CodeStatement.Assign assign, List<ColumnFacts> fields) {
        Optional<List<ColumnFacts>> other = target(List.of(assign.value()));
        refuse(other.filter(o -> sameNames(o, fields)).isEmpty(), assign.span());
        return true;
    }

    private static boolean sameNames(List<ColumnFacts> a, List<ColumnFacts> b) {
        boolean same = a.size() == b.size();
        for (int i = 0; same && i < a.size(); i++) {
            same = a.get(i).name().equalsIgnoreCase(b.get(i).name());
        }
        return same;
    }

    private static void refuse(boolean refused, Span span) {
        if (refused) {
            throw CodeAdapter.at(span, "a row that takes values of other columns than its own");
        }
    }
}
