package raftcart.sql.parse;

import java.math.BigInteger;
import java.util.List;
import java.util.Optional;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.TableParts.IdentityOptions;

/** Reads how sequences and identity columns give out numbers. */
final class IdentityParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private Optional<Long> restart = Optional.empty();

    IdentityParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /** The number of a RESTART among the options read last. */
    Optional<Long> restart() {
        return restart;
    }

    /** All options that stand next, in any order; clauses without meaning elsewhere are added to {@code leftOut}. */
    IdentityOptions options(boolean always, List<String> leftOut) {
        Optional<BigInteger> start = Optional.empty();
        Optional<BigInteger> increment = Optional.empty();
        Optional<BigInteger> min = Optional.empty();
        Optional<BigInteger> max = Optional.empty();
        Optional<BigInteger> cache = Optional.empty();
        boolean cycle = false;
        while (true) {
            if (cursor.peek(1).isAnyWord(ClauseWords.IDENTITY_OPTIONS)) {
                cursor.takeSymbol(",");
            }
            if (cursor.takeWords("START")) {
                cursor.takeAny("WITH");
                start = number();
            } else if (cursor.takeWords("INCREMENT")) {
                cursor.takeWords("BY");
                increment = number();
            } else if (cursor.takeWords("MINVALUE")) {
                min = number();
            } else if (cursor.takeWords("MAXVALUE")) {
                max = number();
            } else if (cursor.takeWords("CACHE")) {
                boolean given = cursor.peek().isSymbol("=") || cursor.peek().kind() == TokenKind.NUMBER;
                cache = given ? number() : Optional.empty();
            } else if (cursor.takeWords("CYCLE")) {
                cycle = true;
            } else if (cursor.takeWords("RESTART")) {
                cursor.takeWords("START");
                cursor.takeWords("WITH");
                cursor.takeSymbol("=");
                restart = Optional.of(restart(start));
            } else if (!withoutNumber(leftOut)) {
                return new IdentityOptions(always, start, increment, min, max, cache, cycle);
            }
        }
    }

    private long restart(Optional<BigInteger> start) {
        boolean given =
                cursor.peek().kind() == TokenKind.NUMBER || cursor.peek().isSymbol("-");
        BigInteger number = (given ? number() : start)
                .orElseThrow(() -> cursor.byHand("a sequence that begins anew at its start, which is not told"));
        if (number.bitLength() >= Long.SIZE) {
            throw cursor.byHand("a sequence that begins anew beyond 64 bits");
        }
        return number.longValueExact();
    }

    private boolean withoutNumber(List<String> leftOut) {
        if (cursor.takeWords("NO") && cursor.takeAny("MINVALUE", "MAXVALUE", "CYCLE", "CACHE", "ORDER")) {
            return true;
        }
        if (cursor.takeAny(ClauseWords.SEQUENCE_FLAGS)) {
            return true;
        }
        if (cursor.takeAny("ENGINE", "ROW_FORMAT", "COMMENT")) {
            String option = cursor.previous().text();
            cursor.takeSymbol("=");
            leftOut.add(option + " " + cursor.take().text());
            return true;
        }
        if (cursor.takeAny("ORDER", "KEEP", "SCALE")) {
            leftOut.add(cursor.previous().text());
            return true;
        }
        if (cursor.takeWords("OWNED", "BY")) {
            if (!cursor.takeWords("NONE")) {
                leftOut.add("OWNED BY " + parsing.qualifiedName());
            }
            return true;
        }
        return false;
    }

    private Optional<BigInteger> number() {
        cursor.takeSymbol("=");
        return Optional.of(parsing.wholeNumber());
    }

    /** {@code (start, increment)} after IDENTITY, or the defaults. */
    IdentityOptions seed() {
        if (!cursor.peek().isSymbol("(")) {
            return IdentityOptions.of(BigInteger.ONE, BigInteger.ONE);
        }
        cursor.take();
        BigInteger start = parsing.wholeNumber();
        BigInteger increment = cursor.takeSymbol(",") ? parsing.wholeNumber() : BigInteger.ONE;
        cursor.expectSymbol(")");
        return IdentityOptions.of(start, increment);
    }
}
