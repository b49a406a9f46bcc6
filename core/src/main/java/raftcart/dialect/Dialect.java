package raftcart.dialect;

import java.util.Objects;
import raftcart.sql.parse.Grammar;

/**
 * An engine's SQL together with what moving a whole database needs beyond it.
 *
 * @param language how the engine's SQL is read, what it can say, and how it is written
 * @param identifiers how names are quoted and how long they may be
 * @param longestKey the greatest number of bytes of an index's key; 0 where none is set
 * @param ddl how objects are created
 * @param values how values are brought into their canonical form inside the engine
 */
public record Dialect(Language language, Identifiers identifiers, int longestKey, DdlPrinter ddl, ValueSql values) {
    public Dialect {
        Objects.requireNonNull(language, "language");
        Objects.requireNonNull(identifiers, "identifiers");
        Objects.requireNonNull(ddl, "ddl");
        Objects.requireNonNull(values, "values");
    }

    /** The name by which users choose the dialect, in lower case. */
    public String name() {
        return language.name();
    }

    /** How text in this dialect is read. */
    public Grammar grammar() {
        return language.grammar();
    }

    /** What the dialect's types mean, and which of them stands for a logical type. */
    public TypeTable types() {
        return language.types();
    }

    /** True where the engine has the feature. */
    public boolean has(SqlFeature feature) {
        return language.has(feature);
    }
}
