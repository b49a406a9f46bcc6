package raftcart.translate;

import raftcart.dialect.Language;
import raftcart.error.SqlSyntaxException;
import raftcart.rewrite.ObjectRewriter;
import raftcart.sql.parse.StatementParser;
import raftcart.sql.tree.Statement;

/** Translates single statements of the source for a target that was built by the same plan. */
public final class PlannedStatements {
    private final CodeTranslator code;
    private final Language from;

    PlannedStatements(CodeTranslator code, Language from) {
        this.code = code;
        this.from = from;
    }

    /**
     * Reads a statement.
     *
     * @throws SqlSyntaxException if it cannot be read, or there is more than one
     */
    public Statement parse(String text) {
        int number =
                StatementParser.parse(text, from.grammar(), 1, 1).statements().size();
        if (number > 1) {
            throw new SqlSyntaxException(1, 1, "found " + number + " statements, expected one");
        }
        return ObjectRewriter.parse(text, from);
    }

    /** A statement with the names and in the SQL of the target, or why there is none. */
    public ObjectRewriter.Result translate(String text) {
        try {
            RoutineRenamer renamer = new RoutineRenamer(from, code::relation, code::sequence);
            Statement renamed = renamer.statement(parse(text));
            return renamer.missing().isEmpty()
                    ? code.rewriter().rewrite(renamed)
                    : ObjectRewriter.Result.not(
                            "it reads " + renamer.missing().iterator().next() + ", which is not on the target");
        } catch (SqlSyntaxException e) {
            return ObjectRewriter.Result.not(e.getMessage());
        }
    }
}
