package raftcart.dialect;

import java.util.Objects;
import raftcart.sql.expr.ExprGrammar;

/**
 * An engine's SQL: how it is read, what its types mean, and how it is written.
 *
 * @param name the name by which users choose the dialect, in lower case
 * @param identifiers how names are quoted and how long they may be
 * @param capabilities what the engine can and cannot do
 * @param grammar how text in this dialect is read
 * @param types what the dialect's types mean, and which of them stands for a logical type
 * @param expressions how expressions are written
 * @param ddl how objects are created
 * @param values how values are brought into their canonical form inside the engine
 */
public record Dialect(
        String name,
        Identifiers identifiers,
        Capabilities capabilities,
        ExprGrammar grammar,
        TypeTable types,
        ExprPrinter expressions,
        DdlPrinter ddl,
        ValueSql values) {
    public Dialect {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(identifiers, "identifiers");
        Objects.requireNonNull(capabilities, "capabilities");
        Objects.requireNonNull(grammar, "grammar");
        Objects.requireNonNull(types, "types");
        Objects.requireNonNull(expressions, "expressions");
        Objects.requireNonNull(ddl, "ddl");
        Objects.requireNonNull(values, "values");
    }
}
