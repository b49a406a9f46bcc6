package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;
import raftcart.sql.Lexer;
import raftcart.sql.LexicalRules;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.TypeName;

/** Reads names of types, also those of several words and with parameters in their midst. */
public final class TypeNameParser {
    private static final Pattern LENGTH = Pattern.compile("\\d{1,10}");

    private static final Pattern NATIONAL_VARYING =
            Pattern.compile("(national (char|character)|nchar) (varying|varchar)|national varchar");

    /** Names of two words, and the beginnings of those of three, whose last word means something else elsewhere. */
    private static final Pattern TWO_WORDS = Pattern.compile(
            "(?i)long (raw|varchar|vargraphic|varbinary|char|character|float)|national (varchar|char|character|text)"
                    + "|(nchar|national char|national character) varchar|(native|varying) character|char(acter)? varying_ignorecase|unsigned big"
                    + "|unsigned big int|(un)?signed int(eger)?");

    private static final Set<String> FURTHER_WORDS = Set.of(
            "varying", "precision", "unsigned", "signed", "zerofill", "large", "object", "byte", "local", "zone");
    private static final Set<String> WITHOUT_MEANING = Set.of("signed");
    private static final Set<String> FIELDS = Set.of("year", "month", "day", "hour", "minute", "second");

    private TypeNameParser() {}

    /** Reads a text that is the name of a type. */
    public static TypeName parse(String text, LexicalRules rules) {
        TokenCursor cursor = new TokenCursor(Lexer.tokens(text, rules));
        TypeName name = parse(cursor);
        return cursor.atEnd() ? name : TypeName.of(text);
    }

    /** Reads the name of a type at the cursor. */
    public static TypeName parse(TokenCursor cursor) {
        StringBuilder name = new StringBuilder(nameWord(cursor));
        while (cursor.takeSymbol(".")) {
            name.append('.').append(nameWord(cursor));
        }
        List<Integer> parameters = new ArrayList<>();
        List<String> values = new ArrayList<>();
        while (true) {
            if (cursor.peek().isSymbol("(")
                    && name.toString().toLowerCase(Locale.ROOT).startsWith("interval")
                    && cursor.peek(1).kind() == TokenKind.NUMBER) {
                List<Integer> digits = new ArrayList<>();
                parameters(cursor, name, digits, values);
                if (name.toString().toLowerCase(Locale.ROOT).endsWith("second")) {
                    parameters.addAll(digits); // those of the fraction; a first field is as wide as it needs to be
                }
            } else if (cursor.peek().isSymbol("(")
                    && parameters.isEmpty()
                    && values.isEmpty()
                    && !isQueryNext(cursor)) {
                parameters(cursor, name, parameters, values);
            } else if (!furtherWords(cursor, name)) {
                break;
            }
        }
        return new TypeName(usual(name.toString()), parameters, values, arrays(cursor));
    }

    /** The one of the standard's spellings ("character string type") that the tables of types hold. */
    private static String usual(String name) {
        String word = name.toLowerCase(Locale.ROOT);
        if (NATIONAL_VARYING.matcher(word).matches()) {
            return "national character varying";
        }
        return switch (word) {
            case "national char" -> "national character";
            case "char varying", "char varchar" -> "character varying";
            case "char varying_ignorecase", "character varying_ignorecase" -> "varchar_ignorecase";
            default -> name;
        };
    }

    private static boolean isQueryNext(TokenCursor cursor) {
        return cursor.peek(1).isAnyWord("SELECT", "WITH");
    }

    private static boolean furtherWords(TokenCursor cursor, StringBuilder name) {
        Token token = cursor.peek();
        if (token.kind() != TokenKind.WORD) {
            return false;
        }
        String word = token.value().toLowerCase(Locale.ROOT);
        if (FURTHER_WORDS.contains(word)) {
            cursor.take();
            if (!word.equals("zerofill")) {
                append(name, word);
            } else if (name.indexOf("unsigned") < 0) {
                append(name, "unsigned"); // what is filled up with zeros has no sign
            }
            return true;
        }
        int zone = wordsOfZone(cursor);
        if (zone > 0) {
            takeWords(cursor, name, zone);
            return true;
        }
        if (TWO_WORDS.matcher(name + " " + word).matches()) {
            takeWords(cursor, name, 1);
            return true;
        }
        if (word.equals("sub_type")) {
            takeWords(cursor, name, 2);
            return true;
        }
        if (cursor.takeWords("SEGMENT", "SIZE")) {
            cursor.take(); // how large a part is that goes over the line
            return true;
        }
        if (cursor.atWords("FOR", "BIT", "DATA")) {
            takeWords(cursor, name, 3);
            return true;
        }
        if (name.toString().toLowerCase(Locale.ROOT).startsWith("interval")
                && (FIELDS.contains(word) || word.equals("to"))) {
            takeWords(cursor, name, 1);
            return true;
        }
        return false;
    }

    /** How many of the next words say whether a time has a zone. */
    private static int wordsOfZone(TokenCursor cursor) {
        if (cursor.atWords("WITH", "LOCAL", "TIME", "ZONE")) {
            return 4;
        }
        if (cursor.atWords("WITH", "TIME", "ZONE") || cursor.atWords("WITHOUT", "TIME", "ZONE")) {
            return 3;
        }
        return cursor.atWords("WITH", "TIMEZONE") ? 2 : 0;
    }

    private static void takeWords(TokenCursor cursor, StringBuilder name, int count) {
        for (int i = 0; i < count; i++) {
            append(name, cursor.take().value().toLowerCase(Locale.ROOT));
        }
    }

    private static void append(StringBuilder name, String word) {
        if (!WITHOUT_MEANING.contains(word)) {
            name.append(' ').append(word);
        }
    }

    private static int arrays(TokenCursor cursor) {
        int arrays = 0;
        while (cursor.peek().isSymbol("[") || cursor.peek().isWord("ARRAY")) {
            boolean word = cursor.takeWords("ARRAY");
            if (cursor.takeSymbol("[")) {
                if (cursor.peek().kind() == TokenKind.NUMBER) {
                    cursor.take();
                }
                if (cursor.takeSymbol(":")) {
                    cursor.take();
                }
                cursor.expectSymbol("]");
            } else if (!word) {
                break;
            }
            arrays++;
        }
        return arrays;
    }

    private static String nameWord(TokenCursor cursor) {
        if (!cursor.peek().isName()) {
            throw cursor.unexpected("the name of a type");
        }
        return cursor.take().value().stripTrailing(); // schemas of DB2 are filled up with blanks
    }

    private static void parameters(
            TokenCursor cursor, StringBuilder name, List<Integer> parameters, List<String> values) {
        cursor.expectSymbol("(");
        do {
            Token token = cursor.peek();
            boolean negative = cursor.takeSymbol("-");
            token = negative ? cursor.peek() : token;
            if (token.kind() == TokenKind.STRING) {
                values.add(cursor.take().value());
            } else if (token.kind() == TokenKind.NUMBER
                    && LENGTH.matcher(token.text()).matches()) {
                long number = Long.parseLong(cursor.take().text());
                long length = (negative ? -number : number) * multiplier(cursor);
                parameters.add((int) Math.min(length, Integer.MAX_VALUE));
                cursor.takeAny("BYTE", "CHAR", "BYTES", "CHARACTERS", "OCTETS", "CODEUNITS32", "CODEUNITS16");
            } else if (token.isWord("MAX") || token.isSymbol("*")) {
                cursor.take();
                parameters.add(TypeName.MAX);
            } else {
                // A type inside, as in STRUCT(...) or GEOGRAPHY(POINT): part of the name.
                String inner = innerText(cursor);
                if (!name.toString().equals("xml")) { // whose documents follow a schema
                    name.append('(').append(inner).append(')');
                }
                return;
            }
        } while (cursor.takeSymbol(","));
        cursor.expectSymbol(")");
    }

    /** K, M and G after a length. */
    private static long multiplier(TokenCursor cursor) {
        String unit = cursor.peek().isAnyWord("K", "M", "G") ? cursor.take().text() : "";
        return switch (unit.toUpperCase(Locale.ROOT)) {
            case "K" -> 1L << 10;
            case "M" -> 1L << 20;
            case "G" -> 1L << 30;
            default -> 1;
        };
    }

    private static String innerText(TokenCursor cursor) {
        StringBuilder text = new StringBuilder();
        int open = 1;
        while (true) {
            if (cursor.atEnd()) {
                throw cursor.unexpected("')'");
            }
            Token token = cursor.take();
            open += token.isSymbol("(") ? 1 : token.isSymbol(")") ? -1 : 0;
            if (open == 0) {
                return text.toString();
            }
            text.append(text.isEmpty() ? "" : " ").append(token.text());
        }
    }
}
