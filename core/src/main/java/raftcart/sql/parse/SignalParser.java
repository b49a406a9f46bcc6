package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Statement;

/** Reads SIGNAL and RESIGNAL (ISO 9075-4, "signal statement"; "SIGNAL", MariaDB). */
final class SignalParser {
    private SignalParser() {}

    static Statement read(Parsing parsing, Span span) {
        TokenCursor cursor = parsing.cursor;
        boolean again = cursor.take().isWord("RESIGNAL");
        Optional<String> state = Optional.empty();
        if (cursor.takeWords("SQLSTATE")) {
            cursor.takeWords("VALUE");
            state = Optional.of(parsing.string());
        } else if (cursor.peek().isName() && !cursor.peek().isWord("SET")) {
            state = Optional.of(parsing.name().key());
        }
        Optional<Expr> message = Optional.empty();
        List<String> more = new ArrayList<>();
        if (cursor.takeWords("SET")) {
            do {
                String item = parsing.word();
                cursor.take();
                cursor.expectSymbol("=");
                Expr value = parsing.expressions.expression();
                if (item.equals("MESSAGE_TEXT")) {
                    message = Optional.of(value);
                } else {
                    more.add(item);
                }
            } while (cursor.takeSymbol(","));
        }
        if (again && state.isEmpty() && (message.isPresent() || !more.isEmpty())) {
            throw cursor.byHand("RESIGNAL with another message");
        }
        return new CodeStatement.Signal(state, message, more, span);
    }
}
