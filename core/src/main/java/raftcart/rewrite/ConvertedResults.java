package raftcart.rewrite;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;

/**
 * Values of which one becomes the result, where the source makes numbers and dates of the texts among them ("Data type
 * precedence (Transact-SQL)"; H2's "Data Types").
 */
final class ConvertedResults {
    private final ExprAdapter adapter;

    ConvertedResults(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The same values, the texts among them as what they become on the source. */
    List<Expr> alike(List<Expr> values) {
        boolean converts = adapter.from.has(SqlFeature.MIXED_RESULTS_ARE_NO_TEXTS)
                && !adapter.from.name().equals(adapter.to.name())
                && values.stream().map(adapter::kind).distinct().count() > 1;
        Optional<ValueKind> wanted = converts ? wanted(values) : Optional.empty();
        return wanted.isEmpty()
                ? values
                : values.stream().map(v -> beside(v, wanted.get())).toList();
    }

    private Expr beside(Expr value, ValueKind wanted) {
        ValueKind kind = adapter.kind(value);
        if (wanted.isDate() && kind.isNumber() && adapter.from.has(SqlFeature.EMPTY_TEXT_IS_ZERO)) {
            return day(value);
        }
        return kind == ValueKind.TEXT ? converted(value, wanted) : value;
    }

    /** A number beside dates, which counts days from the beginning of 1900 ("CAST and CONVERT (Transact-SQL)"). */
    private static Expr day(Expr number) {
        if (!(number instanceof Expr.Literal l) || !l.text().matches("\\d{1,6}")) {
            throw new Untranslatable("a number as a date");
        }
        String day = LocalDate.of(1900, 1, 1).plusDays(Long.parseLong(l.text())) + " 00:00:00";
        return new Expr.Literal(LiteralKind.TIMESTAMP, day, number.span());
    }

    /** The kind of the others, if they are dates or numbers: dates come before numbers. */
    private Optional<ValueKind> wanted(List<Expr> values) {
        List<ValueKind> kinds = values.stream().map(adapter::kind).toList();
        return List.of(
                        ValueKind.TIMESTAMP,
                        ValueKind.DATE,
                        ValueKind.FLOAT,
                        ValueKind.DECIMAL,
                        ValueKind.INTEGER,
                        ValueKind.BOOLEAN)
                .stream()
                .filter(kinds::contains)
                .findFirst();
    }

    /** A text as the value that it becomes beside one of this kind. */
    Expr converted(Expr text, ValueKind wanted) {
        if (wanted != ValueKind.BOOLEAN && !wanted.isNumber() && !wanted.isDate()) {
            return text;
        }
        if (!(text instanceof Expr.Literal literal)) {
            adapter.note(FindingCode.IMPLICIT_CAST, text.span(), "a text becomes what the other values are");
            return wanted == ValueKind.BOOLEAN
                    ? text
                    : new Expr.Cast(text, adapter.sourceType(type(wanted)), false, text.span());
        }
        if (wanted.isDate()) {
            return DateAdapter.typed(new DateAdapter(adapter).asRead(literal, wanted), wanted);
        }
        String word = literal.text().strip().toLowerCase(Locale.ROOT);
        if (wanted == ValueKind.BOOLEAN && (word.equals("true") || word.equals("false"))) {
            return Expr.Literal.number(word.equals("true") ? 1 : 0); // which Truths makes a truth value
        }
        boolean empty = literal.text().isBlank() && adapter.from.has(SqlFeature.EMPTY_TEXT_IS_ZERO);
        if (empty) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, literal.span(), "an empty text is 0 on the source");
        }
        boolean number = literal.text().matches("\\s*[-+]?\\d+(\\.\\d+)?\\s*");
        if (empty || number) {
            String digits = empty ? "0" : literal.text().strip().replaceFirst("^\\+", "");
            return new Expr.Literal(LiteralKind.NUMBER, digits, literal.span());
        }
        adapter.note(
                FindingCode.IMPLICIT_CAST,
                literal.span(),
                "the source takes '" + literal.text() + "' for a number, and fails");
        return literal;
    }

    /** The type of a converted text: of any digits, but where the others' type holds for it too. */
    private LogicalType type(ValueKind kind) {
        boolean typed = adapter.from.has(SqlFeature.NULL_REPLACED_IN_TYPE);
        return switch (kind) {
            case TIMESTAMP -> new LogicalType.Timestamp(typed ? 3 : 6, false);
            case DATE -> new LogicalType.Date();
            case FLOAT -> new LogicalType.Floating(64);
            case DECIMAL -> typed ? new LogicalType.Decimal(38, 10, false) : new LogicalType.Decimal(0, 0, false);
            default -> typed ? new LogicalType.Int(32, false) : new LogicalType.Decimal(0, 0, false);
        };
    }
}
