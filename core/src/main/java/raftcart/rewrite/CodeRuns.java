package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.RoutineTraits;
import raftcart.sql.tree.Statement;

/** Blocks that run where they stand and are kept nowhere ("Block", PL/SQL; "DO", PostgreSQL). */
final class CodeRuns {
    private final CodeAdapter code;

    CodeRuns(CodeAdapter code) {
        this.code = code;
    }

    /** A block that runs at once, as the body of a procedure would. */
    Statement run(CodeStatement.RunBlock block) {
        RoutineTraits traits = new RoutineTraits(false, RoutineTraits.Access.UNSAID, false, true, Optional.empty());
        CodeStatement.CreateRoutine whole = new CodeStatement.CreateRoutine(
                QualifiedName.of("block_"),
                true,
                List.of(),
                Optional.empty(),
                List.of(),
                traits,
                block.body(),
                block.span());
        CodeStatement.CreateRoutine adapted = (CodeStatement.CreateRoutine) code.routine(whole, Optional.empty());
        if (!adapted.rows().isEmpty()) {
            throw CodeAdapter.at(block.span(), "a result set for the caller");
        }
        return new CodeStatement.RunBlock((Block) adapted.body(), block.span());
    }
}
