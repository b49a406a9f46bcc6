package raftcart.translate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.catalog.ObjectName;
import raftcart.rewrite.ObjectRewriter;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Insert;

/** Translates the INSERT statements of scripts for a target that was built from the same scripts. */
public final class RowStatements {
    private final CodeTranslator code;

    RowStatements(CodeTranslator code) {
        this.code = code;
    }

    /**
     * An INSERT on its way to the target.
     *
     * @param table the table of the source
     * @param rows the number of rows that it names; 0 where a query gives them
     * @param result its text on the target, or why there is none
     */
    public record Rows(ObjectName table, int rows, ObjectRewriter.Result result) {}

    /** The statement for the target; empty for one that inserts no rows into a table that is known. */
    public Optional<Rows> translate(Statement statement) {
        if (statement instanceof Statement.ZerosInKeys) {
            code.rewriter().rewrite(statement); // which remembers it for the rows that follow
        }
        if (!(statement instanceof Insert insert)) {
            return Optional.empty();
        }
        Optional<ObjectName> table = code.table(insert.table());
        return table.map(t -> new Rows(
                t,
                rows(insert),
                code.renamed(insert)
                        .map(code.rewriter()::rewrite)
                        .orElseGet(() -> ObjectRewriter.Result.not("it reads a table that is not on the target"))));
    }

    /** A statement as the source writes it, for those that have no text on the target. */
    public String source(Statement statement) {
        return code.spelled(statement);
    }

    private static int rows(Insert insert) {
        return insert.source()
                .map(Query::body)
                .filter(QueryBody.Values.class::isInstance)
                .map(b -> ((QueryBody.Values) b).rows().size())
                .orElse(insert.source().isEmpty() ? 1 : 0);
    }

    /** The rows of an INSERT one by one, to find those at fault. */
    public static List<Insert> single(Insert insert) {
        List<Insert> single = new ArrayList<>();
        if (insert.source().isPresent() && insert.source().get().body() instanceof QueryBody.Values values) {
            values.rows()
                    .forEach(row ->
                            single.add(insert.withSource(Query.of(new QueryBody.Values(List.of(row), values.span())))));
        }
        return single;
    }
}
