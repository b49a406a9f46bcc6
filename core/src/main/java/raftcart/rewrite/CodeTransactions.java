package raftcart.rewrite;

import java.util.List;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;

/** Transactions in code, which on the target belongs to that of its caller. */
final class CodeTransactions {
    private final CodeAdapter code;

    CodeTransactions(CodeAdapter code) {
        this.code = code;
    }

    List<Statement> adapt(Statement.Transaction transaction) {
        boolean around = code.frame().kind.isProcedure()
                && (transaction.kind() == Statement.Transaction.Kind.BEGIN
                        || transaction.kind() == Statement.Transaction.Kind.COMMIT && isLast(transaction));
        if (!around) {
            throw CodeAdapter.at(transaction.span(), transaction.kind() + " in a routine");
        }
        code.adapter()
                .note(
                        FindingCode.SYNTAX_CHECK,
                        transaction.span(),
                        transaction.kind() + " is left out: the changes belong to the transaction of the caller");
        return List.of();
    }

    /** True where nothing is changed behind a statement of the routine, which is in no loop. */
    private boolean isLast(Statement statement) {
        return isLast(code.frame().whole, statement);
    }

    private static boolean isLast(Statement whole, Statement statement) {
        if (whole == statement) {
            return true;
        }
        if (whole instanceof Block block) {
            return isLast(block.body(), statement);
        }
        return whole instanceof CodeStatement.If choice
                && (choice.choices().stream().anyMatch(c -> isLast(c.body(), statement))
                        || isLast(choice.otherwise(), statement));
    }

    private static boolean isLast(List<Statement> body, Statement statement) {
        boolean reached = false;
        for (Statement each : body) {
            if (reached && StatementSearch.anyStatement(List.of(each), CodeTransactions::changes)) {
                return false;
            }
            reached |= isLast(each, statement);
        }
        return reached;
    }

    private static boolean changes(Statement statement) {
        return statement instanceof Statement.Dml && !(statement instanceof Statement.QueryStatement)
                || statement instanceof Statement.Transaction
                || statement instanceof CodeStatement.Dynamic
                || statement instanceof CodeStatement.ChangeInto;
    }
}
