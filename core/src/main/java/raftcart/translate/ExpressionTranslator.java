package raftcart.translate;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.catalog.Column;
import raftcart.dialect.Dialect;
import raftcart.dialect.Untranslatable;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Span;
import raftcart.sql.expr.CurrentKind;
import raftcart.sql.expr.Expr;
import raftcart.sql.expr.ExprParser;
import raftcart.sql.expr.ExprRewriter;
import raftcart.sql.expr.LiteralKind;
import raftcart.type.LogicalType;

/** Brings an expression over the columns of one table from one dialect to the other. */
final class ExpressionTranslator {
    /** Month or day zero. */
    private static final Pattern IMPOSSIBLE_DATE = Pattern.compile("\\d{4}-(00-\\d\\d|\\d\\d-00)");

    private final Dialect from;
    private final Dialect to;
    private final Map<String, ColumnPair> columns;
    private final NameMapper names;

    ExpressionTranslator(Dialect from, Dialect to, Map<String, ColumnPair> columns, NameMapper names) {
        this.from = from;
        this.to = to;
        this.columns = columns;
        this.names = names;
    }

    /** The expression as a condition or value in the target's SQL, or the reason why it has none. */
    Result translate(String text, Optional<LogicalType> wanted) {
        try {
            Expr parsed = ExprParser.parse(text, from.grammar());
            ExpressionAdapter adapter = new ExpressionAdapter(from, to, columns, names);
            Expr adapted = adapter.adapt(parsed);
            if (wanted.isPresent()) {
                adapted = fitting(adapted, wanted.get());
            }
            return new Result(Optional.of(to.expressions().print(adapted)), "", adapter.foldedCase());
        } catch (SqlSyntaxException | Untranslatable e) {
            return new Result(Optional.empty(), e.getMessage(), false);
        }
    }

    /** The same for a column that holds instants on the source and the time in UTC on the target. */
    Result translateInUtc(String text, LogicalType wanted) {
        Result result = translate(text, Optional.of(wanted));
        if (result.text().isEmpty()) {
            return result;
        }
        Expr adapted = new ExpressionAdapter(from, to, columns, names).adapt(ExprParser.parse(text, from.grammar()));
        Expr inUtc = new ExprRewriter() {
            @Override
            public Expr visitCurrentTime(Expr.CurrentTime time) {
                return time.kind() == CurrentKind.TIMESTAMP
                        ? new Expr.CurrentTime(CurrentKind.UTC_TIMESTAMP, time.precision(), time.span())
                        : time;
            }
        }.rewrite(fitting(adapted, wanted));
        return new Result(Optional.of(to.expressions().print(inUtc)), "", result.foldedCase());
    }

    /** A constant default in the terms of its column: 1 for a boolean column is TRUE. */
    private static Expr fitting(Expr value, LogicalType wanted) {
        if (value instanceof Expr.Cast cast && cast.value() instanceof Expr.Literal literal) {
            return fitting(literal, wanted);
        }
        if (!(value instanceof Expr.Literal literal)) {
            return value;
        }
        boolean number = literal.kind() == LiteralKind.NUMBER || literal.kind() == LiteralKind.STRING;
        if (wanted instanceof LogicalType.Bool && number) {
            return bool(literal);
        }
        boolean dated = wanted instanceof LogicalType.Date || wanted instanceof LogicalType.Timestamp;
        if (dated && IMPOSSIBLE_DATE.matcher(literal.text()).lookingAt()) {
            throw new Untranslatable("the default " + literal.text() + " is no date");
        }
        if (wanted instanceof LogicalType.Bits bits && literal.kind() == LiteralKind.BITS) {
            String padded =
                    "0".repeat(Math.max(0, bits.length() - literal.text().length())) + literal.text();
            return new Expr.Literal(LiteralKind.BITS, padded, Span.NONE);
        }
        return literal;
    }

    private static Expr bool(Expr.Literal literal) {
        return switch (literal.text()) {
            case "0" -> new Expr.Literal(LiteralKind.BOOLEAN, "false", Span.NONE);
            case "1" -> new Expr.Literal(LiteralKind.BOOLEAN, "true", Span.NONE);
            default -> throw new Untranslatable("the default " + literal.text() + " is neither true nor false");
        };
    }

    /** The columns that an expression names. */
    List<String> columnsOf(String text) {
        ColumnCollector collector = new ColumnCollector();
        collector.rewrite(ExprParser.parse(text, from.grammar()));
        return collector.columns();
    }

    /** A column before and after. */
    record ColumnPair(Column source, String targetName, LogicalType targetType) {}

    /**
     * What came of an expression.
     *
     * @param text the expression in the target's SQL, if it could be said
     * @param reason why not
     * @param foldedCase true where comparisons had to be put in lower case
     */
    record Result(Optional<String> text, String reason, boolean foldedCase) {}
}
