package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;

/** How many result sets the code of a source hands to its caller. */
final class ResultSets {
    private final Language from;

    ResultSets(Language from) {
        this.from = from;
    }

    /** True where a run of a procedure without outputs may give rows to the caller. */
    boolean areGiven(CodeStatement.CreateRoutine routine) {
        return routine.returns().isEmpty()
                && routine.parameters().stream().allMatch(p -> p.mode() == Mode.IN)
                && most(routine.body()) > 0;
    }

    /** True where one query of the code gives rows, and no other. */
    boolean isOne(Statement code) {
        List<Statement> all = new ArrayList<>();
        StatementSearch.anyStatement(List.of(code), s -> {
            if (gives(s)) {
                all.add(s);
            }
            return false;
        });
        return all.size() == 1;
    }

    /** How many result sets one run gives at most; 2 stands for more, too. */
    int most(Statement statement) {
        if (statement instanceof CodeStatement.If choice) {
            return Math.max(ofChoices(choice.choices()), most(choice.otherwise()));
        }
        if (statement instanceof CodeStatement.CaseOf choice) {
            return Math.max(
                    ofChoices(choice.choices()),
                    choice.otherwise().map(this::most).orElse(0));
        }
        if (statement instanceof CodeStatement.Block block) {
            return most(block.body())
                    + (int) block.handlers().stream()
                            .filter(h -> most(h.action()) > 0)
                            .count();
        }
        boolean again = statement instanceof CodeStatement.Loop
                || statement instanceof CodeStatement.ForRange
                || statement instanceof CodeStatement.ForRows;
        if (again) {
            return StatementSearch.anyStatement(List.of(statement), this::gives) ? 2 : 0;
        }
        return gives(statement) ? 1 : 0;
    }

    private int most(List<Statement> statements) {
        return Math.min(2, statements.stream().mapToInt(this::most).sum());
    }

    private int ofChoices(List<CodeStatement.Choice> choices) {
        return choices.stream().mapToInt(c -> most(c.body())).max().orElse(0);
    }

    private boolean gives(Statement statement) {
        return statement instanceof Statement.QueryStatement q && q.into().isEmpty()
                || statement instanceof CodeStatement.Dynamic d
                        && from.has(SqlFeature.TEXTS_GIVE_ROWS)
                        && DynamicCode.isOfRows(d);
    }
}
