package raftcart.dialect.write;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Partitioning;
import raftcart.sql.tree.Partitioning.Bounds;
import raftcart.sql.tree.Partitioning.Limit;
import raftcart.sql.tree.Partitioning.Method;
import raftcart.sql.tree.Partitioning.Partition;

/** Writes how the rows of tables are divided; dialects override what they spell differently. */
public class PartitionWriter {
    private final DdlWriter ddl;

    public PartitionWriter(DdlWriter ddl) {
        this.ddl = ddl;
    }

    /** The whole clause. */
    final String clause(Partitioning partitioning) {
        List<String> parts = new ArrayList<>();
        for (Partition part : partitioning.partitions()) {
            parts.add("PARTITION "
                    + part.name().map(n -> ddl.language().write(n.last()) + " ").orElse("")
                    + bounds(part));
        }
        return "\nPARTITION BY " + scheme(partitioning)
                + (parts.isEmpty() ? "" : " (\n    " + String.join(",\n    ", parts) + "\n)");
    }

    /** The clause up to the parts, without PARTITION BY. */
    public final String scheme(Partitioning partitioning) {
        String keys = partitioning.keys().stream().map(ddl::text).collect(Collectors.joining(", "));
        return method(partitioning.method()) + " (" + keys + ")"
                + (partitioning.count() > 0 ? " PARTITIONS " + partitioning.count() : "");
    }

    /** The word for a way of dividing. */
    protected String method(Method method) {
        return method.name();
    }

    /** Which rows belong to a part. */
    public final String bounds(Partition part) {
        Bounds bounds = part.bounds();
        if (bounds instanceof Bounds.Below below) {
            return "VALUES LESS THAN " + limits(below.to());
        }
        if (bounds instanceof Bounds.Between between) {
            return "FOR VALUES FROM " + limits(between.from()) + " TO " + limits(between.to());
        }
        if (bounds instanceof Bounds.Among among) {
            return among(among.values().stream().map(this::value).collect(Collectors.joining(", ", "(", ")")));
        }
        if (bounds instanceof Bounds.Remainder remainder) {
            return "FOR VALUES WITH (MODULUS " + remainder.modulus() + ", REMAINDER " + remainder.remainder() + ")";
        }
        return rest();
    }

    /** Rows of these values, which stand in parentheses. */
    protected String among(String values) {
        return "VALUES " + values;
    }

    /** Rows that belong nowhere else. */
    protected String rest() {
        return "VALUES (DEFAULT)";
    }

    /** A value as a bound. */
    protected String value(Expr value) {
        return ddl.text(value);
    }

    private String limits(List<Limit> limits) {
        return limits.stream()
                .map(l -> l.value().map(this::value).orElse(l.highest() ? "MAXVALUE" : "MINVALUE"))
                .collect(Collectors.joining(", ", "(", ")"));
    }

    /** A part that is a table of its own. */
    final String table(DdlStatement.CreatePartition part) {
        return "CREATE TABLE " + ddl.name(part.name()) + " PARTITION OF " + ddl.name(part.table()) + " "
                + bounds(part.partition());
    }
}
