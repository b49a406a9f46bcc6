package raftcart.dialect.mariadb;

import raftcart.dialect.Dialect;
import raftcart.dialect.Identifiers;

/** MariaDB, from version 10.6. */
public final class MariaDbDialect {
    // MariaDB Knowledge Base, "Identifier Names": at most 64 characters.
    private static final Identifiers IDENTIFIERS = new Identifiers('`', 64, false);

    /** "InnoDB Limitations": the bytes of an index key of pages of 16 KB. */
    private static final int LONGEST_KEY = 3072;

    private MariaDbDialect() {}

    /** The types of columns. */
    public static raftcart.dialect.TypeTable types() {
        return new MariaDbTypes();
    }

    /** Puts the dialect's parts together. */
    public static Dialect create() {
        return new Dialect(
                MariaDbLanguage.create(),
                IDENTIFIERS,
                LONGEST_KEY,
                new MariaDbDdl(IDENTIFIERS),
                new MariaDbValues(IDENTIFIERS));
    }
}
