package raftcart.rewrite;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Goto;
import raftcart.sql.tree.CodeStatement.Jump;
import raftcart.sql.tree.CodeStatement.Loop;
import raftcart.sql.tree.CodeStatement.Mark;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;

/**
 * Code without GOTO ("GOTO Statement", PL/SQL). What stands before a mark that is gone to from there becomes a block that is left;
 * what stands behind one that is gone back to, a loop that begins anew. Marks lie in the list of a GOTO or in one around it.
 */
final class Gotos extends StatementMapper {
    private static final String BLOCK = "_ahead_";
    private static final String LOOP = "_again_";

    private final Set<String> wanted = new HashSet<>();

    private Gotos() {}

    /** The same code in blocks and loops. */
    static CodeStatement structured(CodeStatement code) {
        boolean marks = StatementSearch.anyStatement(List.of(code), s -> s instanceof Mark || s instanceof Goto);
        if (!marks) {
            return code;
        }
        Gotos gotos = new Gotos();
        StatementSearch.anyStatement(List.of(code), s -> {
            if (s instanceof Goto g) {
                gotos.wanted.add(g.label().key());
            }
            return false;
        });
        CodeStatement made = (CodeStatement) gotos.statement(code);
        StatementSearch.anyStatement(List.of(made), s -> {
            if (s instanceof Goto g) {
                throw CodeAdapter.at(
                        g.span(), "GOTO " + g.label().text() + " into other statements, or across such ones");
            }
            return false;
        });
        return made;
    }

    @Override
    public List<Statement> statements(List<Statement> all) {
        return structured(all).stream().map(this::statement).toList();
    }

    private List<Statement> structured(List<Statement> all) {
        List<Statement> kept = all.stream()
                .filter(s -> !(s instanceof Mark m) || wanted.contains(m.label().key()))
                .toList();
        for (int i = 0; i < kept.size(); i++) {
            if (kept.get(i) instanceof Mark mark && goes(kept.subList(i, kept.size()), mark.label())) {
                return again(kept, i, mark);
            }
        }
        for (int i = kept.size() - 1; i >= 0; i--) {
            if (kept.get(i) instanceof Mark mark) {
                return ahead(kept, i, mark);
            }
        }
        return kept;
    }

    private static boolean goes(List<Statement> statements, Name label) {
        boolean[] found = new boolean[1];
        new Going(label) {
            @Override
            Statement gone(Goto g) {
                found[0] = true;
                return g;
            }
        }.within(statements);
        return found[0];
    }

    /** Goes through the GOTOs that mean a mark, and not those that mean another of its name further inside. */
    private abstract static class Going extends StatementMapper {
        private final Name label;

        Going(Name label) {
            this.label = label;
        }

        abstract Statement gone(Goto g);

        final List<Statement> within(List<Statement> all) {
            return super.statements(all);
        }

        @Override
        public List<Statement> statements(List<Statement> all) {
            boolean hides =
                    all.stream().anyMatch(s -> s instanceof Mark m && m.label().matches(label));
            return hides ? all : super.statements(all);
        }

        @Override
        public Statement statement(Statement s) {
            return s instanceof Goto g && g.label().matches(label) ? gone(g) : super.statement(s);
        }
    }

    /** What stands from a mark on begins anew where it is gone back to. */
    private List<Statement> again(List<Statement> all, int place, Mark mark) {
        Name label = Name.of(mark.label().text() + LOOP);
        Span span = mark.span();
        List<Statement> rounds = new ArrayList<>(replaced(
                all.subList(place + 1, all.size()),
                mark.label(),
                new Jump(true, Optional.of(label), Optional.empty(), span)));
        rounds.add(new Jump(false, Optional.of(label), Optional.empty(), span));
        List<Statement> made = new ArrayList<>(all.subList(0, place));
        made.add(mark);
        made.add(new Loop(Optional.of(label), Optional.empty(), Optional.empty(), rounds, span));
        return structured(made);
    }

    /** What stands before a mark is left where it is gone to. */
    private List<Statement> ahead(List<Statement> all, int place, Mark mark) {
        Name label = Name.of(mark.label().text() + BLOCK);
        List<Statement> before = replaced(
                all.subList(0, place),
                mark.label(),
                new Jump(false, Optional.of(label), Optional.empty(), mark.span()));
        List<Statement> behind = all.subList(place + 1, all.size());
        List<Statement> made = new ArrayList<>();
        if (goes(all.subList(0, place), mark.label())) {
            made.add(new Block(Optional.of(label), List.of(), List.of(), before, List.of(), mark.span()));
            made.addAll(behind);
            return made;
        }
        made.addAll(before);
        made.addAll(behind);
        return structured(made);
    }

    private static List<Statement> replaced(List<Statement> all, Name label, Jump jump) {
        return new Going(label) {
            @Override
            Statement gone(Goto g) {
                return new Jump(jump.again(), jump.label(), jump.when(), g.span());
            }
        }.within(all);
    }
}
