package raftcart.translate;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import raftcart.catalog.Column;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.dialect.SqlFeature;
import raftcart.sql.tree.Name;
import raftcart.type.LogicalType;

/** Says which columns of a table the target does not compute, as what they are computed from is nothing that it takes. */
final class ComputedColumns {
    private final Table source;
    private final Dialect to;

    ComputedColumns(Table source, Dialect to) {
        this.source = source;
        this.to = to;
    }

    /**
     * Why a column that is computed from these stays without that; empty where it may be computed.
     *
     * @param stored the types of the table's columns on the target, by their names on the source
     */
    Optional<String> refusal(List<Name> columns, Function<String, Optional<LogicalType>> stored) {
        if (to.has(SqlFeature.GENERATED_READS_NO_GENERATED)
                && any(columns, c -> c.generated().isPresent())) {
            return Optional.of("the target computes no column from another that it computes");
        }
        if (to.has(SqlFeature.CHECKS_WITHOUT_GOVERNED_COLUMNS)
                && any(columns, c -> c.identity().isPresent())) {
            return Optional.of("the target computes nothing from a column that it numbers");
        }
        boolean hangs = to.has(SqlFeature.GENERATED_IS_IMMUTABLE)
                && columns.stream()
                        .flatMap(c -> stored.apply(c.text()).stream())
                        .anyMatch(t -> t instanceof LogicalType.Enumeration
                                || t instanceof LogicalType.Timestamp stamp && stamp.zoned());
        return hangs ? Optional.of("the target computes no column from instants or enumerations") : Optional.empty();
    }

    private boolean any(List<Name> columns, Predicate<Column> test) {
        return source.columns().stream().filter(test).anyMatch(c -> columns.stream()
                .anyMatch(n -> c.name().equalsIgnoreCase(n.text())));
    }
}
