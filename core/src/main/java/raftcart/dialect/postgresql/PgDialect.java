package raftcart.dialect.postgresql;

import raftcart.dialect.Capabilities;
import raftcart.dialect.DdlPrinter;
import raftcart.dialect.Dialect;
import raftcart.dialect.ExprPrinter;
import raftcart.dialect.Identifiers;
import raftcart.dialect.TypeTable;
import raftcart.dialect.ValueSql;
import raftcart.sql.expr.ExprGrammar;

/** PostgreSQL, from version 12. */
public final class PgDialect implements Dialect {
    // PostgreSQL 16 documentation, "Lexical Structure": names are cut after 63 bytes.
    private static final Identifiers IDENTIFIERS = new Identifiers('"', 63, true);
    private static final Capabilities CAPABILITIES = new Capabilities(
            true, false, true, false, true, false, true, true, false, true, true, true, false, false, 0);

    private final ExprGrammar grammar = new PgGrammar();
    private final TypeTable types = new PgTypes(IDENTIFIERS);
    private final ExprPrinter expressions = new PgPrinter(IDENTIFIERS, grammar);
    private final DdlPrinter ddl = new PgDdl(IDENTIFIERS, expressions);
    private final ValueSql values = new PgValues(IDENTIFIERS);

    @Override
    public String name() {
        return "postgresql";
    }

    @Override
    public Identifiers identifiers() {
        return IDENTIFIERS;
    }

    @Override
    public ExprGrammar grammar() {
        return grammar;
    }

    @Override
    public TypeTable types() {
        return types;
    }

    @Override
    public ExprPrinter expressions() {
        return expressions;
    }

    @Override
    public DdlPrinter ddl() {
        return ddl;
    }

    @Override
    public ValueSql values() {
        return values;
    }

    @Override
    public Capabilities capabilities() {
        return CAPABILITIES;
    }
}
