package raftcart.rewrite;

import java.util.Optional;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.parse.ExprParser;
import raftcart.sql.parse.Grammar;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QualifiedName;

/** Sequences that are named by texts, as PostgreSQL does it ("Sequence Manipulation Functions" of its manual). */
final class SequenceNames {
    private SequenceNames() {}

    /** The name that a text holds, in which quotes mean what they mean outside of texts; empty where it is none. */
    static Optional<QualifiedName> read(String text, Grammar grammar) {
        try {
            return ExprParser.parse(text, grammar) instanceof Expr.Column column
                    ? Optional.of(column.name())
                    : Optional.empty();
        } catch (SqlSyntaxException e) {
            return Optional.empty(); // it is no name
        }
    }
}
