package raftcart.dialect.postgresql;

import raftcart.dialect.Dialect;
import raftcart.dialect.Identifiers;

/** PostgreSQL, from version 13. */
public final class PgDialect {
    // PostgreSQL 16 documentation, "Lexical Structure": names are cut after 63 bytes.
    private static final Identifiers IDENTIFIERS = new Identifiers('"', 63, true);

    private PgDialect() {}

    /** The types of columns. */
    static raftcart.dialect.TypeTable types() {
        return new PgTypes(IDENTIFIERS);
    }

    /** Puts the dialect's parts together. */
    public static Dialect create() {
        return new Dialect(PgLanguage.create(), IDENTIFIERS, 0, new PgDdl(IDENTIFIERS), new PgValues(IDENTIFIERS));
    }
}
