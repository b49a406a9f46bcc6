package raftcart.rewrite;

import java.util.List;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.Statement;

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

    /** True for the last statement of the routine. */
    private boolean isLast(Statement statement) {
        Statement last = code.frame().whole;
        while (last instanceof Block block && !block.body().isEmpty()) {
            last = block.body().get(block.body().size() - 1);
        }
        return last == statement;
    }
}
