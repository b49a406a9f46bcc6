package raftcart.dialect.postgresql;

import java.util.EnumSet;
import raftcart.dialect.Capabilities;
import raftcart.dialect.Dialect;
import raftcart.dialect.ExprPrinter;
import raftcart.dialect.Feature;
import raftcart.dialect.Identifiers;
import raftcart.sql.expr.ExprGrammar;

/** PostgreSQL, from version 13. */
public final class PgDialect {
    // PostgreSQL 16 documentation, "Lexical Structure": names are cut after 63 bytes.
    private static final Identifiers IDENTIFIERS = new Identifiers('"', 63, true);
    private static final Capabilities CAPABILITIES = new Capabilities(
            EnumSet.of(
                    Feature.SCHEMAS_IN_DATABASE,
                    Feature.EXPRESSION_INDEXES,
                    Feature.PARTIAL_INDEXES,
                    Feature.SET_DEFAULT_ACTION,
                    Feature.DEFERRABLE_KEYS,
                    Feature.INDEX_NAMES_PER_SCHEMA,
                    Feature.NAMED_TYPES,
                    Feature.CHECKS_ON_GOVERNED_COLUMNS),
            0);

    private PgDialect() {}

    /** The types of columns. */
    static raftcart.dialect.TypeTable types() {
        return new PgTypes(IDENTIFIERS);
    }

    /** Puts the dialect's parts together. */
    public static Dialect create() {
        ExprGrammar grammar = new PgGrammar();
        ExprPrinter expressions = new PgPrinter(IDENTIFIERS, grammar);
        return new Dialect(
                "postgresql",
                IDENTIFIERS,
                CAPABILITIES,
                grammar,
                types(),
                expressions,
                new PgDdl(IDENTIFIERS, expressions),
                new PgValues(IDENTIFIERS));
    }
}
