package raftcart.scripts;

import java.util.Optional;
import raftcart.catalog.Column;
import raftcart.catalog.Generated;
import raftcart.catalog.Identity;
import raftcart.type.LogicalType;

/** Columns with one thing changed. */
final class Columns {
    private Columns() {}

    static Column nullable(Column c, boolean nullable) {
        return new Column(
                c.name(),
                c.declaredType(),
                c.type(),
                nullable,
                c.defaultValue(),
                c.generated(),
                c.identity(),
                c.ignoresCase(),
                c.collation(),
                c.onUpdate(),
                c.comment());
    }

    static Column named(Column c, String name) {
        return new Column(
                name,
                c.declaredType(),
                c.type(),
                c.nullable(),
                c.defaultValue(),
                c.generated(),
                c.identity(),
                c.ignoresCase(),
                c.collation(),
                c.onUpdate(),
                c.comment());
    }

    static Column typed(Column c, String declared, LogicalType type) {
        return new Column(
                c.name(),
                declared,
                type,
                c.nullable(),
                c.defaultValue(),
                c.generated(),
                c.identity(),
                c.ignoresCase(),
                c.collation(),
                c.onUpdate(),
                c.comment());
    }

    static Column withDefault(Column c, Optional<String> value) {
        return new Column(
                c.name(),
                c.declaredType(),
                c.type(),
                c.nullable(),
                value,
                c.generated(),
                c.identity(),
                c.ignoresCase(),
                c.collation(),
                c.onUpdate(),
                c.comment());
    }

    static Column numbered(Column c, Identity identity) {
        return new Column(
                c.name(),
                c.declaredType(),
                c.type(),
                false,
                Optional.empty(),
                c.generated(),
                Optional.of(identity),
                c.ignoresCase(),
                c.collation(),
                c.onUpdate(),
                c.comment());
    }

    static Column commented(Column c, String comment) {
        return new Column(
                c.name(),
                c.declaredType(),
                c.type(),
                c.nullable(),
                c.defaultValue(),
                c.generated(),
                c.identity(),
                c.ignoresCase(),
                c.collation(),
                c.onUpdate(),
                comment);
    }

    static Column computed(Column c, Optional<Generated> generated) {
        return new Column(
                c.name(),
                c.declaredType(),
                c.type(),
                c.nullable(),
                c.defaultValue(),
                generated,
                c.identity(),
                c.ignoresCase(),
                c.collation(),
                c.onUpdate(),
                c.comment());
    }
}
