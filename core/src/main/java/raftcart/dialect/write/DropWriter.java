package raftcart.dialect.write;

import java.util.stream.Collectors;
import raftcart.dialect.SqlFeature;
import raftcart.sql.tree.DdlStatement;

/** Writes DROP of any kind of object, one statement for each. */
final class DropWriter {
    private DropWriter() {}

    static String write(DdlWriter ddl, DdlStatement.Drop drop) {
        if (drop.kind().equals("INDEX")) {
            return ddl.dropIndex(drop);
        }
        if (drop.kind().equals("SYNONYM")) {
            ddl.require(SqlFeature.SYNONYMS, "a synonym");
        }
        if (drop.kind().equals("ROLE")) {
            ddl.require(SqlFeature.GRANTS, "a role");
        }
        String cascade = drop.cascade() && ddl.has(SqlFeature.CASCADE) ? ddl.cascade() : "";
        return drop.names().stream().map(n -> ddl.dropOne(drop, n) + cascade).collect(Collectors.joining(";\n"));
    }
}
