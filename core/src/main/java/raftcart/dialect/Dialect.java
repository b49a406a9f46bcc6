package raftcart.dialect;

import raftcart.sql.expr.ExprGrammar;

/** An engine's SQL: how it is read, what its types mean, and how it is written. */
public interface Dialect {
    /** The name by which users choose the dialect, in lower case. */
    String name();

    /** How names are quoted and how long they may be. */
    Identifiers identifiers();

    /** How text in this dialect is read. */
    ExprGrammar grammar();

    /** What the dialect's types mean, and which of them stands for a logical type. */
    TypeTable types();

    /** How expressions are written. */
    ExprPrinter expressions();

    /** How objects are created. */
    DdlPrinter ddl();

    /** How values are brought into their canonical form inside the engine. */
    ValueSql values();

    /** What the engine can and cannot do, as far as translation has to know. */
    Capabilities capabilities();
}
