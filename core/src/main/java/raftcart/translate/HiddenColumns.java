package raftcart.translate;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import raftcart.catalog.Column;
import raftcart.catalog.Generated;
import raftcart.catalog.Index;
import raftcart.catalog.KeyPart;
import raftcart.dialect.ColumnUse;
import raftcart.dialect.Dialect;
import raftcart.dialect.Language;
import raftcart.dialect.write.WriterContext;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.type.LogicalType;

/**
 * Columns that no query sees unless it names them, computed for the unique indexes of a target that has neither indexes
 * on expressions nor indexes with a condition.
 */
final class HiddenColumns {
    private final Language from;
    private final Dialect to;
    private final NameMapper mapper;
    private final TableTranslator table;
    private final List<Column> columns = new ArrayList<>();
    private final Set<String> names = new HashSet<>();

    HiddenColumns(Language from, Dialect to, NameMapper mapper, TableTranslator table) {
        this.from = from;
        this.to = to;
        this.mapper = mapper;
        this.table = table;
        table.pairs().forEach(p -> names.add(p.targetName().toLowerCase(Locale.ROOT)));
    }

    /** Those that were made. */
    List<Column> columns() {
        return List.copyOf(columns);
    }

    /**
     * The parts of an index of all rows in which the same rows are duplicates: a row that does not fulfil the condition
     * has NULL in the first.
     *
     * @return empty where a part cannot be said, or the length of its values is not known
     */
    Optional<List<KeyPart>> parts(Index index) {
        List<Column> made = new ArrayList<>();
        List<KeyPart> parts = new ArrayList<>();
        for (KeyPart part : index.parts()) {
            boolean chosen = parts.isEmpty() && !index.predicate().isEmpty();
            if (part.prefixLength() > 0) {
                return Optional.empty();
            }
            if (!chosen && !part.isExpression()) {
                parts.add(new KeyPart(table.targetColumn(part.column()), "", 0, part.descending()));
                continue;
            }
            Optional<Column> column = column(index, part, chosen);
            if (column.isEmpty()) {
                return Optional.empty();
            }
            made.add(column.get());
            parts.add(new KeyPart(column.get().name(), "", 0, part.descending()));
        }
        columns.addAll(made);
        return Optional.of(List.copyOf(parts));
    }

    private Optional<Column> column(Index index, KeyPart part, boolean chosen) {
        String value = part.isExpression() ? part.expression() : inSource(part.column());
        String expression = chosen ? "CASE WHEN " + index.predicate() + " THEN " + value + " END" : value;
        Optional<String> text = table.expressions()
                .indexed(expression, c -> table.types()
                        .stored(c)
                        .filter(LogicalType.Char.class::isInstance)
                        .isPresent())
                .text();
        String name = name(index.name());
        return text.flatMap(t -> type(part, name, index.parts().size())
                .map(type -> new Column(
                        name,
                        type.sql(),
                        type.stored(),
                        true,
                        Optional.empty(),
                        Optional.of(new Generated(t, false, true)),
                        Optional.empty(),
                        type.ignoresCase(),
                        "",
                        Optional.empty(),
                        "")));
    }

    /** A column as the source's expressions write it. */
    private String inSource(String column) {
        Language exact = from.quotingAll();
        QualifiedName name = new QualifiedName(List.of(new Name(column, true)));
        return exact.writer().apply(WriterContext.plain(exact)).expression(new Expr.Column(name, false, Span.NONE));
    }

    private record Type(String sql, LogicalType stored, boolean ignoresCase) {}

    private Optional<Type> type(KeyPart part, String name, int parts) {
        if (!part.isExpression()) {
            LogicalType stored = table.types().choice(part.column()).stored();
            boolean ignores = table.source().column(part.column()).orElseThrow().ignoresCase();
            return Optional.of(new Type(table.types().choice(part.column()).sql(), stored, ignores));
        }
        return table.expressions()
                .typeOf(part.expression(), table.types()::stored)
                .map(type -> {
                    ColumnUse use = new ColumnUse(table.target(), name, false, false, parts, 0, false, false);
                    return new Type(to.types().choose(type, use).sql(), type, false);
                });
    }

    private String name(String index) {
        String first = mapper.fit(index + "_key", table.source().name() + "." + index);
        String name = first;
        for (int i = 2; !names.add(name.toLowerCase(Locale.ROOT)); i++) {
            name = to.identifiers().shorten(first + "_" + i);
        }
        return name;
    }
}
