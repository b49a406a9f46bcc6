package raftcart.dialect.mariadb;

import java.util.Optional;
import raftcart.sql.parse.CallReading;
import raftcart.sql.tree.Expr;

/** Functions of MariaDB and MySQL that do two things at once ("Date and Time Functions"). */
final class MariaDbCalls {
    private MariaDbCalls() {}

    /** FROM_UNIXTIME with a mask writes the moment as a text. */
    static Optional<CallReading.Meaning> meaning(Expr.Call call) {
        boolean written = !call.canonical()
                && call.function().equals("from_unixtime")
                && call.arguments().size() == 2;
        if (!written) {
            return Optional.empty();
        }
        Expr moment =
                Expr.Call.of("timestamp_of_epoch", call.arguments().get(0)).at(call.span());
        return Optional.of(CallReading.Meaning.of(
                Expr.Call.of("format_date", moment, call.arguments().get(1)).at(call.span())));
    }
}
