package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Statement;

/**
 * Calls that pass values, and take results, in two lists ("EXECUTE PROCEDURE", Firebird): the results stand behind all that the
 * procedure takes, even where a call leaves out some of it, or all results.
 */
final class SplitCalls {
    private SplitCalls() {}

    /**
     * The call with the defaults of what it leaves out.
     *
     * @param nothing true where what is not taken wants a place, too
     */
    static Statement.CallProcedure whole(Statement.CallProcedure call, ExprAdapter adapter, boolean nothing) {
        List<KnownSignatures.Taken> wanted =
                adapter.knowledge.code().signatures().of(call.name(), 0);
        if (!adapter.from.grammar().has(GrammarFeature.PSQL_ROUTINES) || wanted.isEmpty()) {
            return call;
        }
        Set<Integer> places = call.outputs().orElse(Set.of());
        List<Expr> passed = new ArrayList<>();
        List<Expr> taken = new ArrayList<>();
        for (int i = 0; i < call.arguments().size(); i++) {
            (places.contains(i) ? taken : passed).add(call.arguments().get(i));
        }
        boolean named = call.arguments().stream().anyMatch(Expr.NamedArgument.class::isInstance);
        if (named) {
            return call; // in which nothing is missing any more
        }
        rest(wanted, passed).stream()
                .filter(t -> t.mode() == Mode.IN)
                .flatMap(t -> t.initial().stream())
                .forEach(passed::add);
        Set<Integer> outputs = IntStream.range(passed.size(), passed.size() + taken.size())
                .boxed()
                .collect(Collectors.toSet());
        passed.addAll(taken);
        List<KnownSignatures.Taken> rest = rest(wanted, passed);
        if (nothing && rest.stream().allMatch(t -> t.mode() == Mode.OUT)) {
            rest.forEach(t -> passed.add(Expr.Literal.ofNull()));
        }
        return new Statement.CallProcedure(call.name(), passed, call.outputs().map(o -> outputs), call.span());
    }

    private static List<KnownSignatures.Taken> rest(List<KnownSignatures.Taken> wanted, List<Expr> given) {
        return List.copyOf(wanted.subList(Math.min(given.size(), wanted.size()), wanted.size()));
    }
}
