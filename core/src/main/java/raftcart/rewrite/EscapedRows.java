package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.JsonColumn;

/**
 * Texts that JSON_TABLE takes out of a document, for a target that leaves the escapes of JSON in them ({@code a\"b}; MariaDB 10.11,
 * measured): where they are read, they are read as the JSON that they still are.
 */
final class EscapedRows {
    private final ExprAdapter adapter;
    private final List<Text> texts;

    private record Text(Optional<Name> table, Name column) {}

    private EscapedRows(ExprAdapter adapter, List<Text> texts) {
        this.adapter = adapter;
        this.texts = texts;
    }

    static Query rewrite(Query query, ExprAdapter adapter) {
        if (!adapter.to.has(SqlFeature.JSON_ROWS_KEEP_ESCAPES) || !(query.body() instanceof QueryBody.Select select)) {
            return query;
        }
        List<Text> texts = select.from().stream()
                .flatMap(EscapedRows::tables)
                .flatMap(t -> t.columns().stream()
                        .filter(c -> isText(c, adapter))
                        .map(c -> new Text(t.alias().map(TableRef.Alias::name), c.name())))
                .toList();
        return texts.isEmpty() ? query : new EscapedRows(adapter, texts).rewrite(query, select);
    }

    private static Stream<TableRef.JsonTable> tables(TableRef table) {
        return table instanceof TableRef.Join join
                ? Stream.concat(tables(join.left()), tables(join.right()))
                : Stream.of(table).filter(TableRef.JsonTable.class::isInstance).map(TableRef.JsonTable.class::cast);
    }

    private static boolean isText(JsonColumn column, ExprAdapter adapter) {
        return column.kind() == JsonColumn.Kind.VALUE
                && column.type()
                        .map(adapter.finder::type)
                        .filter(t -> KindFinder.kind(t) == ValueKind.TEXT)
                        .isPresent();
    }

    private Query rewrite(Query query, QueryBody.Select select) {
        List<QueryBody.Item> items = new ArrayList<>();
        for (QueryBody.Item item : select.items()) {
            boolean bare = item.alias().isEmpty() && isText(item.value());
            if (item.value() instanceof Expr.Star) {
                adapter.note(
                        FindingCode.SYNTAX_CHECK,
                        item.value().span(),
                        "texts of a document keep their backslashes on the target, where all columns are read");
            }
            items.add(
                    bare
                            ? new QueryBody.Item(
                                    item.value(),
                                    Optional.of(
                                            ((Expr.Column) item.value()).name().last()))
                            : item);
        }
        Query whole = query.withBody(select.withItems(items));
        QueryMapper reading = new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                return isText(e) ? Expr.Call.of("json_row_text", e).at(e.span()) : super.expr(e);
            }

            @Override
            public Query query(Query inner) {
                return inner.body() == whole.body() ? super.query(inner) : within(inner);
            }

            @Override
            public TableRef table(TableRef table) {
                return table instanceof TableRef.Join ? super.table(table) : table; // documents come before their rows
            }
        };
        return reading.query(whole);
    }

    /** A query within the one that has the rows: a name there may be that of a column of its own. */
    private Query within(Query inner) {
        Scope own = new Scope(Optional.empty());
        if (inner.body() instanceof QueryBody.Select select) {
            adapter.finder.addTables(select, own);
        }
        return new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                if (!isText(e)) {
                    return super.expr(e);
                }
                QualifiedName name = ((Expr.Column) e).name();
                boolean qualified = name.parts().size() > 1;
                if (own.column(name).isPresent()
                        || qualified && own.relation(name.parts().get(0).text()).isPresent()) {
                    return e;
                }
                boolean known = qualified
                        || inner.body() instanceof QueryBody.Select
                                && own.relations().stream().allMatch(Scope.Relation::complete);
                if (!known) {
                    throw new Untranslatable("the column " + name + ", which may be that of a document or of a table");
                }
                return Expr.Call.of("json_row_text", e).at(e.span());
            }

            @Override
            public Query query(Query deeper) {
                return deeper == inner ? super.query(deeper) : within(deeper);
            }
        }.query(inner);
    }

    private boolean isText(Expr e) {
        return e instanceof Expr.Column c
                && texts.stream()
                        .anyMatch(t -> t.column().matches(c.name().last())
                                && (c.name().parts().size() == 1
                                        || t.table()
                                                .filter(c.name().parts().get(0)::matches)
                                                .isPresent()));
    }
}
