package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TypeName;

/** Reads RAISE ("Reporting Errors and Messages", PostgreSQL): an error, or a text for whoever watches. */
final class RaiseParser {
    /** The state of an error of which none is said. */
    private static final String USUAL = "P0001";

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final List<String> more = new ArrayList<>();
    private Optional<String> state = Optional.empty();
    private Optional<Expr> message = Optional.empty();

    RaiseParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    Statement raise(Span span) {
        cursor.take();
        if (cursor.peek().isSymbol(";")) {
            return new CodeStatement.Signal(Optional.empty(), Optional.empty(), List.of(), span);
        }
        boolean tells = cursor.takeAny("NOTICE", "INFO", "LOG", "DEBUG", "WARNING");
        if (!tells) {
            cursor.takeWords("EXCEPTION");
        }
        if (cursor.peek().isString()) {
            String format = parsing.string();
            List<Expr> arguments = new ArrayList<>();
            while (cursor.takeSymbol(",")) {
                arguments.add(parsing.expressions.expression());
            }
            message = Optional.of(formatted(format, arguments, span));
        } else if (cursor.takeWords("SQLSTATE")) {
            state = Optional.of(parsing.string());
            message = Optional.of(Expr.Literal.string(state.get()));
        } else if (!cursor.peek().isWord("USING")) {
            state = Optional.of(parsing.name().key());
            message = Optional.of(Expr.Literal.string(state.get()));
        }
        if (cursor.takeWords("USING")) {
            do {
                option();
            } while (cursor.takeSymbol(","));
        }
        return tells
                ? new CodeStatement.Message(message.orElse(Expr.Literal.string("")), span)
                : new CodeStatement.Signal(state.or(() -> Optional.of(USUAL)), message, more, span);
    }

    private void option() {
        String option = parsing.word();
        cursor.take();
        if (!cursor.takeSymbol(":=")) {
            cursor.expectSymbol("=");
        }
        if (!option.equals("ERRCODE")) {
            Expr value = parsing.expressions.expression();
            if (option.equals("MESSAGE")) {
                message = Optional.of(value);
            } else {
                more.add(option);
            }
        } else if (cursor.peek().isString()) {
            state = Optional.of(parsing.string());
        } else {
            throw cursor.byHand("a computed ERRCODE");
        }
    }

    /** A format with a percent sign for each argument; two stand for the sign. */
    private Expr formatted(String format, List<Expr> arguments, Span span) {
        List<Expr> parts = new ArrayList<>();
        StringBuilder text = new StringBuilder();
        int next = 0;
        for (int i = 0; i < format.length(); i++) {
            char c = format.charAt(i);
            boolean twice = c == '%' && i + 1 < format.length() && format.charAt(i + 1) == '%';
            if (c != '%' || twice) {
                text.append(c);
                i += twice ? 1 : 0;
                continue;
            }
            if (next == arguments.size()) {
                throw cursor.error("there are fewer arguments than percent signs");
            }
            if (!text.isEmpty()) {
                parts.add(Expr.Literal.string(text.toString()));
                text.setLength(0);
            }
            Expr argument = new Expr.Cast(arguments.get(next++), TypeName.of("text"), false, span);
            parts.add(Expr.Call.of("coalesce", argument, Expr.Literal.string("<NULL>"))
                    .at(span));
        }
        if (!text.isEmpty() || parts.isEmpty()) {
            parts.add(Expr.Literal.string(text.toString()));
        }
        return parts.size() == 1 ? parts.get(0) : new Expr.Concat(parts, false, span);
    }
}
