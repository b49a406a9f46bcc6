package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import raftcart.dialect.Untranslatable;
import raftcart.sql.tree.Statement;

/** Goes on behind a statement of a body that cannot be said, so that all of them are told at once and not one after the other. */
final class CodeFaults {
    private final Map<String, Untranslatable> found = new LinkedHashMap<>();

    /** What becomes of statements; of those that cannot be said nothing, which {@link #orAll} tells at the end. */
    List<Statement> each(List<Statement> statements, Function<Statement, List<Statement>> adapted) {
        List<Statement> all = new ArrayList<>();
        for (Statement statement : statements) {
            try {
                all.addAll(adapted.apply(statement));
            } catch (Untranslatable e) {
                e.parts()
                        .forEach(p ->
                                add(p.place().isPresent() ? p : new Untranslatable(p.getMessage(), statement.span())));
            }
        }
        return all;
    }

    private void add(Untranslatable part) {
        String where = part.place().map(s -> s.line() + ":" + s.column()).orElse("");
        found.putIfAbsent(where + part.getMessage(), part);
    }

    /**
     * What came of the whole.
     *
     * @throws Untranslatable if something in it cannot be said, with all that was found
     */
    <T> T orAll(Supplier<T> whole) {
        T made;
        try {
            made = whole.get();
        } catch (Untranslatable e) {
            e.parts().forEach(this::add);
            throw all();
        } catch (RuntimeException e) {
            if (found.isEmpty()) {
                throw e;
            }
            throw all(); // what follows from a statement that is missing is no reason of its own
        }
        if (!found.isEmpty()) {
            throw all();
        }
        return made;
    }

    private Untranslatable all() {
        return new Untranslatable(List.copyOf(found.values()));
    }
}
