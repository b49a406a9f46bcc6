package raftcart.dialect.mariadb;

import java.util.Optional;
import raftcart.sql.parse.CallReading;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;

/** Functions of MariaDB and MySQL that do two things at once ("Date and Time Functions"). */
final class MariaDbCalls {
    private MariaDbCalls() {}

    static Optional<CallReading.Meaning> meaning(Expr.Call call) {
        return writtenMoment(call).or(() -> unquoted(call));
    }

    /** A part of a document without its quotes, however it is said, is what {@code ->>} gives. */
    private static Optional<CallReading.Meaning> unquoted(Expr.Call call) {
        boolean unquotes = !call.canonical()
                && call.function().equals("json_unquote")
                && call.arguments().size() == 1;
        if (!unquotes) {
            return Optional.empty();
        }
        Expr part = call.arguments().get(0);
        if (part instanceof Expr.Binary get && get.operator() == BinaryOperator.JSON_GET) {
            return Optional.of(text(get.left(), get.right(), call));
        }
        return part instanceof Expr.Call extract
                        && extract.function().equals("json_extract")
                        && extract.arguments().size() == 2
                ? Optional.of(
                        text(extract.arguments().get(0), extract.arguments().get(1), call))
                : Optional.empty();
    }

    private static CallReading.Meaning text(Expr document, Expr path, Expr.Call call) {
        return CallReading.Meaning.of(new Expr.Binary(BinaryOperator.JSON_GET_TEXT, document, path, call.span()));
    }

    /** FROM_UNIXTIME with a mask writes the moment as a text. */
    private static Optional<CallReading.Meaning> writtenMoment(Expr.Call call) {
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
