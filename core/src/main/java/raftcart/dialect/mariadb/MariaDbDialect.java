package raftcart.dialect.mariadb;

import raftcart.dialect.Dialect;
import raftcart.dialect.Identifiers;

/** MariaDB, from version 10.6. */
public final class MariaDbDialect {
    // MariaDB Knowledge Base, "Identifier Names": at most 64 characters.
    private static final Identifiers IDENTIFIERS = new Identifiers('`', 64, false);

    private MariaDbDialect() {}

    /** The types of columns. */
    public static raftcart.dialect.TypeTable types() {
        return new MariaDbTypes();
    }

    /** Puts the dialect's parts together. */
    public static Dialect create() {
        return new Dialect(
                MariaDbLanguage.create(), IDENTIFIERS, new MariaDbDdl(IDENTIFIERS), new MariaDbValues(IDENTIFIERS));
    }
}
