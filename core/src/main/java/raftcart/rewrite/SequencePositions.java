package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.sql.parse.Grammar;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts;

/** Calls in dumps that let a sequence go on behind a number, as {@code SELECT setval('s', 41, true)}. */
public final class SequencePositions {
    private static final int MOST_DIGITS = 18;

    private SequencePositions() {}

    /** The change of the sequence that a query makes; empty for one that does anything else. */
    public static Optional<DdlStatement.CreateSequence> of(Statement.QueryStatement statement, Grammar grammar) {
        Optional<Expr.Call> call = Optional.of(statement.query())
                .filter(q -> q.body() instanceof QueryBody.Select s
                        && s.from().isEmpty()
                        && s.where().isEmpty())
                .flatMap(SequencePositions::call)
                .filter(c -> c.arguments().stream().skip(1).allMatch(Expr.Literal.class::isInstance));
        if (call.isEmpty()) {
            return Optional.empty();
        }
        List<Expr> arguments = call.get().arguments();
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

    /** The call that is all a query consists of. */
    static Optional<Expr.Call> call(Query query) {
        boolean alone = query.body() instanceof QueryBody.Select s
                && s.items().size() == 1
                && s.groupBy().isEmpty()
                && s.items().get(0).value() instanceof Expr.Call c
                && c.name().last().key().equals("setval")
                && c.arguments().size() >= 2;
        return alone
                ? Optional.of((Expr.Call)
                        ((QueryBody.Select) query.body()).items().get(0).value())
                : Optional.empty();
    }

    /** The sequence that is meant: by its name, or by the table and the column that it is named after. */
    static Optional<QualifiedName> sequence(Expr name, Grammar grammar) {
        if (name instanceof Expr.Column column) {
            return Optional.of(column.name());
        }
        if (name instanceof Expr.Cast cast) {
            return sequence(cast.value(), grammar);
        }
        boolean behind = name instanceof Expr.Call c
                && c.function().equals("pg_get_serial_sequence")
                && c.arguments().size() == 2
                && c.arguments().stream().allMatch(Expr.Literal.class::isInstance);
        if (behind) {
            List<Expr> parts = ((Expr.Call) name).arguments();
            String column = ((Expr.Literal) parts.get(1)).text();
            return SequenceNames.read(((Expr.Literal) parts.get(0)).text(), grammar)
                    .map(t -> t.withLast(Name.of(t.last().text() + "_" + column + "_seq")));
        }
        return name instanceof Expr.Literal text ? SequenceNames.read(text.text(), grammar) : Optional.empty();
    }
}
