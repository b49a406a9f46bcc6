package raftcart.rewrite;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import raftcart.dialect.Untranslatable;
import raftcart.finding.Outcome;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;

/** How the statements of a routine or trigger fare, each by itself; a block is none, a loop or a choice is one beside those in it. */
final class CodeShares {
    private final NavigableMap<Long, Outcome> outcomes = new TreeMap<>();
    private final Map<Long, List<Long>> inside = new HashMap<>();

    private CodeShares(Statement code) {
        new Places().statement(code);
    }

    /** The statements of what was translated, by what was noted at their places. */
    static Map<Outcome, Integer> of(Statement code, AdaptNotes notes) {
        CodeShares shares = new CodeShares(code);
        notes.all()
                .forEach(n -> shares.note(place(n.line(), n.column()), n.code().outcome()));
        return shares.counts();
    }

    /** The statements of what is left to a person: those at fault, with all that stand in them; every one where the whole is. */
    static Map<Outcome, Integer> of(Statement code, AdaptNotes notes, Untranslatable reason) {
        CodeShares shares = new CodeShares(code);
        notes.all()
                .forEach(n -> shares.note(place(n.line(), n.column()), n.code().outcome()));
        for (Untranslatable part : reason.parts()) {
            long place = part.place().map(CodeShares::place).orElse(place(code.span()));
            List<Long> within = shares.inside.get(place);
            if (within == null) {
                shares.note(place, Outcome.BY_HAND);
            } else {
                within.forEach(p -> shares.outcomes.put(p, Outcome.BY_HAND));
            }
        }
        return shares.counts();
    }

    private static long place(Span span) {
        return place(span.line(), span.column());
    }

    private static long place(int line, int column) {
        return (long) line << Integer.SIZE | column;
    }

    /** What is noted behind the beginning of a statement is said of it; what stands before the first, of none. */
    private void note(long place, Outcome outcome) {
        Map.Entry<Long, Outcome> statement = outcomes.floorEntry(place);
        if (statement != null) {
            outcomes.merge(statement.getKey(), outcome, Outcome::worse);
        }
    }

    private Map<Outcome, Integer> counts() {
        Map<Outcome, Integer> counts = new EnumMap<>(Outcome.class);
        outcomes.values().forEach(o -> counts.merge(o, 1, Integer::sum));
        return counts;
    }

    /** Where the statements begin, and those within them. */
    private final class Places extends StatementMapper {
        private final List<List<Long>> open = new ArrayList<>();

        @Override
        public Statement statement(Statement statement) {
            boolean whole = statement instanceof CodeStatement.CreateRoutine
                    || statement instanceof CodeStatement.CreateTrigger
                    || statement instanceof CodeStatement.CreatePackage
                    || statement instanceof CodeStatement.RunBlock
                    || statement instanceof CodeStatement.Block;
            long place = place(statement.span());
            List<Long> within = inside.computeIfAbsent(place, p -> new ArrayList<>());
            if (!whole) {
                outcomes.put(place, Outcome.AS_IS);
                within.add(place);
                open.forEach(o -> o.add(place));
            }
            open.add(within);
            Statement mapped = super.statement(statement);
            open.remove(open.size() - 1);
            return mapped;
        }
    }
}
