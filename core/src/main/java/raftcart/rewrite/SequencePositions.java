package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.sql.parse.Grammar;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts;

/** Calls in dumps that let a sequence go on behind a number, as {@code SELECT setval('s', 41, true)}. */
public final class SequencePositions {
    private static final int MOST_DIGITS = 18;

    private SequencePositions() {}

    /** The change of the sequence that a query makes; empty for one that does anything else. */
    public static Optional<DdlStatement.CreateSequence> of(Statement.QueryStatement statement, Grammar grammar) {
        boolean alone = statement.query().body() instanceof QueryBody.Select s
                && s.items().size() == 1
                && s.from().isEmpty()
                && s.items().get(0).value() instanceof Expr.Call c
                && c.name().last().key().equals("setval")
                && c.arguments().size() >= 2
                && c.arguments().stream().skip(1).allMatch(Expr.Literal.class::isInstance);
        if (!alone) {
            return Optional.empty();
        }
        List<Expr> arguments = ((Expr.Call)
                        ((QueryBody.Select) statement.query().body())
                                .items()
                                .get(0)
                                .value())
                .arguments();
        Expr.Literal number = (Expr.Literal) arguments.get(1);
        if (!number.isDigits(MOST_DIGITS)) {
            return Optional.empty();
        }
        boolean used = arguments.size() < 3 || isTrue((Expr.Literal) arguments.get(2));
        long next = Long.parseLong(number.text()) + (used ? 1 : 0);
        return sequence(arguments.get(0), grammar)
                .map(name -> new DdlStatement.CreateSequence(
                        name,
                        true,
                        false,
                        Optional.empty(),
                        TableParts.IdentityOptions.DEFAULT,
                        Optional.of(next),
                        List.of(),
                        statement.span()));
    }

    private static boolean isTrue(Expr.Literal literal) {
        return literal.text().equalsIgnoreCase("true") || literal.text().equals("1");
    }

    private static Optional<QualifiedName> sequence(Expr name, Grammar grammar) {
        if (name instanceof Expr.Column column) {
            return Optional.of(column.name());
        }
        return name instanceof Expr.Literal text ? SequenceNames.read(text.text(), grammar) : Optional.empty();
    }
}
