package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Lexer;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Partitioning;
import raftcart.sql.tree.Partitioning.Bounds;
import raftcart.sql.tree.Partitioning.Limit;
import raftcart.sql.tree.Partitioning.Method;
import raftcart.sql.tree.Partitioning.Partition;
import raftcart.sql.tree.QualifiedName;

/** Reads how a table is partitioned, in the spellings of all dialects. */
public final class PartitionParser {
    private final Parsing parsing;
    private final TokenCursor cursor;

    PartitionParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /**
     * Reads a scheme and its parts that a catalog keeps apart.
     *
     * @throws raftcart.error.SqlSyntaxException if one of them is none
     */
    public static Partitioning parse(String scheme, List<Part> parts, Grammar grammar) {
        Partitioning read = of(scheme, grammar).whole();
        List<Partition> partitions = new ArrayList<>(read.partitions());
        for (Part part : parts) {
            PartitionParser parser = of(part.bounds(), grammar);
            Bounds bounds = parser.cursor.atEnd() ? new Bounds.Remainder(0, partitions.size()) : parser.bounds();
            partitions.add(new Partition(Optional.of(QualifiedName.of(part.name())), bounds, part.bounds()));
        }
        return read.withPartitions(partitions);
    }

    /** A part with its bounds as the engine writes them. */
    public record Part(String name, String bounds) {}

    private static PartitionParser of(String text, Grammar grammar) {
        return new PartitionParser(new Parsing(new TokenCursor(Lexer.tokens(text, grammar.lexical())), grammar));
    }

    /** What follows PARTITION BY. */
    Partitioning whole() {
        int mark = cursor.mark();
        cursor.takeWords("LINEAR");
        Method method = method();
        cursor.takeWords("COLUMNS");
        if (cursor.takeWords("ALGORITHM")) {
            cursor.expectSymbol("=");
            cursor.take();
        }
        List<String> leftOut = new ArrayList<>();
        List<Expr> keys = keys(leftOut);
        int count = 0;
        while (!cursor.atEnd() && !cursor.peek().isSymbol("(")) {
            int clause = cursor.mark();
            if (cursor.takeWords("PARTITIONS")) {
                count = parsing.wholeNumber().intValue();
            } else if (cursor.takeWords("STORE", "IN")) {
                parsing.skipParentheses();
            } else if (cursor.takeWords("INTERVAL") || cursor.takeWords("SUBPARTITION", "TEMPLATE")) {
                parsing.skipParentheses();
                leftOut.add(text(clause));
            } else if (cursor.takeWords("SUBPARTITION", "BY")) {
                cursor.takeWords("LINEAR");
                method();
                cursor.takeWords("COLUMNS");
                parsing.skipParentheses();
                leftOut.add(text(clause));
            } else if (cursor.takeWords("SUBPARTITIONS")) {
                parsing.wholeNumber();
            } else {
                break;
            }
        }
        String scheme = text(mark);
        return new Partitioning(method, keys, partitions(leftOut), count, leftOut, scheme);
    }

    private Method method() {
        if (!cursor.peek().isAnyWord("RANGE", "LIST", "HASH", "KEY")) {
            throw cursor.unexpected("RANGE, LIST or HASH");
        }
        Token word = cursor.take();
        return word.isWord("RANGE") ? Method.RANGE : word.isWord("LIST") ? Method.LIST : Method.HASH;
    }

    private List<Expr> keys(List<String> leftOut) {
        List<Expr> keys = new ArrayList<>();
        cursor.expectSymbol("(");
        while (!cursor.peek().isSymbol(")")) {
            keys.add(parsing.expressions.expression());
            if (cursor.peek().isName()) {
                leftOut.add("the comparison by " + cursor.take().text());
            }
            if (!cursor.peek().isSymbol(")")) {
                cursor.expectSymbol(",");
            }
        }
        cursor.expectSymbol(")");
        return keys;
    }

    private List<Partition> partitions(List<String> leftOut) {
        List<Partition> all = new ArrayList<>();
        if (!cursor.takeSymbol("(")) {
            return all;
        }
        do {
            cursor.expectWords("PARTITION");
            Optional<QualifiedName> name =
                    cursor.peek().isName() && !cursor.peek().isWord("VALUES")
                            ? Optional.of(new QualifiedName(List.of(parsing.name())))
                            : Optional.empty();
            int mark = cursor.mark();
            boolean said = cursor.peek().isAnyWord("VALUES", "DEFAULT");
            Bounds bounds = said ? bounds() : new Bounds.Remainder(0, all.size());
            all.add(new Partition(name, bounds, text(mark)));
            options(leftOut);
        } while (cursor.takeSymbol(","));
        cursor.expectSymbol(")");
        return all;
    }

    /** Where the rows of a part lie, and the parts that it has itself. */
    private void options(List<String> leftOut) {
        while (!cursor.peek().isSymbol(",") && !cursor.peek().isSymbol(")")) {
            if (cursor.atEnd()) {
                throw cursor.unexpected("')'");
            }
            if (cursor.peek().isSymbol("(")) {
                if (cursor.peek(1).isWord("SUBPARTITION") && !leftOut.contains("subpartitions")) {
                    leftOut.add("subpartitions");
                }
                parsing.skipParentheses();
            } else {
                cursor.take();
            }
        }
    }

    /** The bounds of a part that stand next, as written. */
    String boundsAsWritten() {
        int mark = cursor.mark();
        bounds();
        return text(mark);
    }

    /** Which rows belong to a part. */
    Bounds bounds() {
        if (cursor.takeWords("DEFAULT")) {
            return new Bounds.Rest();
        }
        cursor.takeWords("FOR");
        cursor.expectWords("VALUES");
        if (cursor.takeWords("LESS", "THAN")) {
            return new Bounds.Below(cursor.takeWords("MAXVALUE") ? List.of(Limit.HIGHEST) : limits());
        }
        if (cursor.takeWords("FROM")) {
            List<Limit> from = limits();
            cursor.expectWords("TO");
            return new Bounds.Between(from, limits());
        }
        if (cursor.takeWords("WITH")) {
            cursor.expectSymbol("(");
            cursor.expectWords("MODULUS");
            int modulus = parsing.wholeNumber().intValue();
            cursor.expectSymbol(",");
            cursor.expectWords("REMAINDER");
            int remainder = parsing.wholeNumber().intValue();
            cursor.expectSymbol(")");
            return new Bounds.Remainder(modulus, remainder);
        }
        cursor.takeWords("IN");
        cursor.expectSymbol("(");
        if (cursor.peek().isWord("DEFAULT")) {
            cursor.take();
            cursor.expectSymbol(")");
            return new Bounds.Rest();
        }
        List<Expr> values = parsing.expressions.list();
        cursor.expectSymbol(")");
        return new Bounds.Among(values);
    }

    private List<Limit> limits() {
        cursor.expectSymbol("(");
        List<Limit> limits = parsing.list(() -> cursor.takeWords("MAXVALUE")
                ? Limit.HIGHEST
                : cursor.takeWords("MINVALUE") ? Limit.LOWEST : Limit.of(parsing.expressions.expression()));
        cursor.expectSymbol(")");
        return limits;
    }

    private String text(int mark) {
        return text(cursor.taken(mark));
    }

    static String text(List<Token> tokens) {
        StringBuilder text = new StringBuilder();
        for (Token token : tokens) {
            boolean joined = text.isEmpty()
                    || text.charAt(text.length() - 1) == '('
                    || token.isSymbol(")")
                    || token.isSymbol(",")
                    || token.kind() == TokenKind.END;
            text.append(joined ? "" : " ").append(token.text());
        }
        return text.toString();
    }
}
