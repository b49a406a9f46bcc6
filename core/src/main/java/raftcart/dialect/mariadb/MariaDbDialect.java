package raftcart.dialect.mariadb;

import java.util.EnumSet;
import raftcart.dialect.Capabilities;
import raftcart.dialect.Dialect;
import raftcart.dialect.ExprPrinter;
import raftcart.dialect.Feature;
import raftcart.dialect.Identifiers;
import raftcart.sql.expr.ExprGrammar;

/** MariaDB, from version 10.6. */
public final class MariaDbDialect {
    // MariaDB Knowledge Base, "Identifier Names": at most 64 characters.
    private static final Identifiers IDENTIFIERS = new Identifiers('`', 64, false);
    private static final Capabilities CAPABILITIES = new Capabilities(
            EnumSet.of(
                    Feature.COMPARES_IGNORING_CASE,
                    Feature.PREFIX_INDEXES,
                    Feature.VIRTUAL_COLUMNS,
                    Feature.ASSIGNS_ON_UPDATE,
                    Feature.COLUMNS_IGNORE_CASE,
                    Feature.NULL_FOR_DIVISION_BY_ZERO),
            4);

    private MariaDbDialect() {}

    /** The types of columns. */
    public static raftcart.dialect.TypeTable types() {
        return new MariaDbTypes();
    }

    /** Puts the dialect's parts together. */
    public static Dialect create() {
        ExprGrammar grammar = new MariaDbGrammar();
        ExprPrinter expressions = new MariaDbPrinter(IDENTIFIERS, grammar);
        return new Dialect(
                "mariadb",
                IDENTIFIERS,
                CAPABILITIES,
                grammar,
                types(),
                expressions,
                new MariaDbDdl(IDENTIFIERS, expressions),
                new MariaDbValues(IDENTIFIERS));
    }
}
