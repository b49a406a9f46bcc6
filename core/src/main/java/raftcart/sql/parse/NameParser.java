package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.CurrentKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;

/** Reads what begins with a name: columns, stars, calls, and the words for the present. */
final class NameParser {
    private static final Map<String, CurrentKind> CURRENT = Map.ofEntries(
            Map.entry("current_timestamp", CurrentKind.TIMESTAMP),
            Map.entry("localtimestamp", CurrentKind.LOCAL_TIMESTAMP),
            Map.entry("systimestamp", CurrentKind.TIMESTAMP),
            Map.entry("sysdate", CurrentKind.LOCAL_TIMESTAMP),
            Map.entry("current_date", CurrentKind.DATE),
            Map.entry("current_time", CurrentKind.TIME),
            Map.entry("localtime", CurrentKind.TIME),
            Map.entry("utc_timestamp", CurrentKind.UTC_TIMESTAMP));

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final CallParser calls;
    private final AttributeParser attributes;

    NameParser(Parsing parsing, CallParser calls) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.calls = calls;
        this.attributes = new AttributeParser(parsing);
    }

    Expr name() {
        Token first = cursor.peek();
        if (first.isWord("END") && cursor.peek(1).isSymbol("(") && parsing.has(GrammarFeature.PERIODS)) {
            throw cursor.byHand("the end of a period");
        }
        if (Keywords.endsExpression(first)) {
            throw cursor.unexpected("an expression");
        }
        Span span = first.span();
        List<Name> names = new ArrayList<>(List.of(parsing.nameOf(cursor.take())));
        while (parsing.atPoint()) {
            if (cursor.peek(1).isSymbol("*")) {
                cursor.take();
                cursor.take();
                return new Expr.Star(Optional.of(new QualifiedName(names)), starExceptions(), span);
            }
            if (!cursor.peek(1).isName()) {
                break;
            }
            cursor.take();
            names.add(parsing.nameOf(cursor.take()));
        }
        return named(first, new QualifiedName(names), span);
    }

    /** What a name stands for: a call, the present, a number of a sequence, or a column. */
    private Expr named(Token first, QualifiedName name, Span span) {
        if (cursor.peek().isSymbol("(") && !isOuterMark() && !attributes.at()) {
            return calls.call(name, span);
        }
        if (name.parts().size() == 1 && first.kind() == TokenKind.WORD) {
            CurrentKind current = CURRENT.get(name.last().key());
            if (parsing.has(GrammarFeature.SHORT_NOW) && first.isAnyWord("DATE", "TIME")) {
                current = first.isWord("DATE") ? CurrentKind.DATE : CurrentKind.TIME;
            }
            if (current == CurrentKind.DATE && parsing.has(GrammarFeature.CURRENT_DATE_HAS_TIME)) {
                current = CurrentKind.LOCAL_TIMESTAMP;
            }
            if (current != null) {
                return parsing.has(GrammarFeature.PRESENT_IN_UTC)
                        ? inUtc(current, span)
                        : new Expr.CurrentTime(current, -1, span);
            }
            Expr special = currentInTwoWords(first);
            if (special != null) {
                return special;
            }
        }
        if (name.parts().size() > 1
                && (name.last().key().equals("nextval") || name.last().key().equals("currval"))
                && !name.last().exact()) {
            QualifiedName sequence = new QualifiedName(name.qualifier());
            return new Expr.SequenceValue(sequence, name.last().key().equals("nextval"), span);
        }
        boolean outer = isOuterMark();
        if (outer) {
            cursor.take();
            cursor.take();
            cursor.take();
        }
        return new Expr.Column(name, outer, span);
    }

    /** The columns that a star leaves out. */
    List<Name> starExceptions() {
        if (cursor.peek().isAnyWord("REPLACE", "RENAME") && cursor.peek(1).isSymbol("(")
                || cursor.peek().isAnyWord("ILIKE", "LIKE") && cursor.peek(1).isString()) {
            throw cursor.byHand("a star with " + cursor.peek().text());
        }
        if (cursor.peek().isAnyWord("EXCLUDE", "EXCEPT") && cursor.peek(1).isSymbol("(")) {
            boolean query =
                    cursor.peek(2).isAnyWord("SELECT", "WITH") || cursor.peek(2).isSymbol("(");
            if (!query) {
                cursor.take();
                List<Name> names = parsing.namesInParentheses();
                if (cursor.peek().isAnyWord("REPLACE", "RENAME")
                        && cursor.peek(1).isSymbol("(")) {
                    throw cursor.byHand("a star with " + cursor.peek().text());
                }
                return names;
            }
        }
        return List.of();
    }

    private boolean isOuterMark() {
        return cursor.peek().isSymbol("(")
                && cursor.peek(1).isSymbol("+")
                && cursor.peek(2).isSymbol(")");
    }

    private static Expr inUtc(CurrentKind kind, Span span) {
        return switch (kind) {
            case DATE -> Expr.Call.of("utc_date").at(span);
            case TIME -> Expr.Call.of("utc_time").at(span);
            default -> new Expr.CurrentTime(CurrentKind.UTC_TIMESTAMP, -1, span);
        };
    }

    /** Takes DB2's {@code - CURRENT TIMEZONE}, which makes UTC of the present. */
    private boolean takesZoneAway() {
        boolean zone = cursor.peek().isSymbol("-")
                && cursor.peek(1).isWord("CURRENT")
                && cursor.peek(2).isWord("TIMEZONE");
        if (zone) {
            cursor.take();
            cursor.take();
            cursor.take();
        }
        return zone;
    }

    /** CURRENT DATE and the like. */
    private Expr currentInTwoWords(Token first) {
        if (!first.isWord("CURRENT") || cursor.peek().kind() != TokenKind.WORD) {
            return null;
        }
        CurrentKind kind =
                switch (parsing.word()) {
                    case "DATE" -> CurrentKind.DATE;
                    case "TIME" -> CurrentKind.TIME;
                    case "TIMESTAMP" -> CurrentKind.LOCAL_TIMESTAMP;
                    default -> null;
                };
        if (kind == null) {
            String word = parsing.word();
            if (word.equals("SCHEMA") || word.equals("USER") || word.equals("SERVER")) {
                cursor.take();
                return Expr.Call.of(
                                switch (word) {
                                    case "SCHEMA" -> "current_schema";
                                    case "USER" -> "current_user";
                                    default -> "current_database";
                                })
                        .at(first.span());
            }
            if (parsing.has(GrammarFeature.LABELLED_DURATIONS)) {
                throw cursor.byHand("the special register CURRENT " + word);
            }
            return null;
        }
        cursor.take();
        int precision = -1;
        if (kind == CurrentKind.LOCAL_TIMESTAMP && takesZoneAway()) {
            return new Expr.CurrentTime(CurrentKind.UTC_TIMESTAMP, -1, first.span());
        }
        if (kind != CurrentKind.DATE
                && cursor.peek().isSymbol("(")
                && cursor.peek(1).kind() == TokenKind.NUMBER) {
            cursor.take();
            precision = parsing.wholeNumber().intValue();
            cursor.expectSymbol(")");
        }
        return new Expr.CurrentTime(kind, precision, first.span());
    }
}
