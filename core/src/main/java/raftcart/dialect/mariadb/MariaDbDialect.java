package raftcart.dialect.mariadb;

import raftcart.dialect.Capabilities;
import raftcart.dialect.DdlPrinter;
import raftcart.dialect.Dialect;
import raftcart.dialect.ExprPrinter;
import raftcart.dialect.Identifiers;
import raftcart.dialect.TypeTable;
import raftcart.dialect.ValueSql;
import raftcart.sql.expr.ExprGrammar;

/** MariaDB, from version 10.6. */
public final class MariaDbDialect implements Dialect {
    // MariaDB Knowledge Base, "Identifier Names": at most 64 characters.
    private static final Identifiers IDENTIFIERS = new Identifiers('`', 64, false);
    private static final Capabilities CAPABILITIES = new Capabilities(
            false, true, false, true, false, true, false, false, true, false, false, false, true, true, 4);

    private final ExprGrammar grammar = new MariaDbGrammar();
    private final TypeTable types = new MariaDbTypes();
    private final ExprPrinter expressions = new MariaDbPrinter(IDENTIFIERS, grammar);
    private final DdlPrinter ddl = new MariaDbDdl(IDENTIFIERS, expressions);
    private final ValueSql values = new MariaDbValues(IDENTIFIERS);

    @Override
    public String name() {
        return "mariadb";
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
