package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;

/**
 * Columns whose type the target does not have: intervals, addresses, ranges and arrays are texts or documents there, and
 * what is done with them by the rules of their type would be done by those of texts.
 */
final class LostTypes {
    /** Functions that hand a value on, or ask no more of it than whether it is NULL. */
    private static final Set<String> PASSING = Set.of(
            "count", "coalesce", "if", "nvl2", "any_value", "lag", "lead", "first_value", "last_value", "nth_value");

    /** Functions that give one of several bits as it is. */
    private static final Set<String> OF_BITS =
            Set.of("count", "count_pairs", "min", "max", "lag", "lead", "first_value", "last_value", "nth_value");

    /** Functions of texts that some engines have for bits, too. */
    private static final Set<String> OF_TEXTS = Set.of("char_length", "octet_length", "substring", "locate", "overlay");

    private final ExprAdapter adapter;

    LostTypes(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** Refuses an operator on such a column, and what takes a part out of a JSON document. */
    void refuseOperator(Expr.Binary binary) {
        refuse(List.of(binary.left(), binary.right()));
        boolean parts = binary.operator() == BinaryOperator.SUBTRACT && adapter.lost(SqlFeature.DOCUMENTS_ARE_MERGED);
        if (parts && adapter.kind(binary.left()) == ValueKind.JSON) {
            throw new Untranslatable("a JSON document without one of its parts");
        }
        boolean sum = binary.operator() == BinaryOperator.ADD || binary.operator() == BinaryOperator.SUBTRACT;
        boolean time = adapter.kind(binary.left()) == ValueKind.TIME || adapter.kind(binary.right()) == ValueKind.TIME;
        if (time && !sum && !adapter.from.name().equals(adapter.to.name())) {
            throw new Untranslatable("a time of day that is multiplied or divided");
        }
    }

    /** Refuses an operator or a function on such a column. */
    void refuse(List<Expr> operands) {
        for (Expr e : operands) {
            name(e).ifPresent(n -> {
                throw new Untranslatable("an operation on " + n + ", a type that the target does not have");
            });
        }
    }

    void refuseCall(Expr.Call call) {
        boolean seconds = call.isAny("extract_epoch", "whole_epoch")
                && adapter.kind(call.arguments().get(0)) == ValueKind.TIME
                && adapter.lost(SqlFeature.TIMES_HAVE_EPOCHS);
        if (seconds) {
            throw new Untranslatable("the seconds of a time of day");
        }
        if (call.is("json_object") && call.arguments().size() % 2 == 1) {
            throw new Untranslatable("a JSON object made of the items of a list");
        }
        boolean ofItems = call.function().startsWith("array_") && adapter.writes("array_item");
        if (!PASSING.contains(call.function()) && !ofItems) {
            refuse(call.arguments());
        }
        boolean least = call.isAny("min", "max") && adapter.to.has(SqlFeature.FEW_EXTREMES);
        if (least && call.arguments().stream().anyMatch(this::isWithoutExtremes)) {
            throw new Untranslatable("the least or greatest of identifiers, bytes or documents");
        }
        boolean bits = call.arguments().stream().anyMatch(this::isBits);
        if (bits && !OF_BITS.contains(call.function())) {
            throw new Untranslatable("a function of bits, which are a number on one engine");
        }
        boolean counted =
                OF_TEXTS.contains(call.function()) && call.arguments().stream().anyMatch(this::areBits);
        if (counted && adapter.lost(SqlFeature.BITS_HAVE_TEXT_FUNCTIONS)) {
            throw new Untranslatable("a function of texts on bits");
        }
    }

    private boolean isWithoutExtremes(Expr e) {
        boolean id = adapter.facts(e)
                .flatMap(Scope.ColumnFacts::type)
                .filter(LogicalType.Uuid.class::isInstance)
                .isPresent();
        return id || adapter.kind(e) == ValueKind.BYTES || adapter.kind(e) == ValueKind.JSON;
    }

    /** Refuses to compare whole documents, as groups do, where the target's have no equality. */
    void refuseDocuments(Stream<Expr> values, String where) {
        boolean documents = adapter.to.has(SqlFeature.JSON_DOES_NOT_COMPARE) && values.anyMatch(this::isDocument);
        if (documents) {
            throw new Untranslatable(where + " of JSON documents, which do not compare");
        }
    }

    private boolean areBits(Expr e) {
        if (e instanceof Expr.Literal l) {
            return l.kind() == LiteralKind.BITS;
        }
        Optional<LogicalType> type = e instanceof Expr.Cast cast
                ? Optional.of(adapter.finder.type(cast.type()))
                : adapter.facts(e).flatMap(Scope.ColumnFacts::type);
        return type.filter(LogicalType.Bits.class::isInstance).isPresent();
    }

    /** True for a column of bits, which are digits on some engines and a number on others. */
    private boolean isBits(Expr e) {
        return e instanceof Expr.Column
                && adapter.from.has(SqlFeature.BITS_ARE_NUMBERS) != adapter.to.has(SqlFeature.BITS_ARE_NUMBERS)
                && adapter.facts(e)
                        .flatMap(Scope.ColumnFacts::type)
                        .filter(t -> t instanceof LogicalType.Bits b && b.length() > 1)
                        .isPresent();
    }

    /** Refuses to compare such columns for their order, and says that they are compared as texts for equality. */
    void compared(BinaryOperator operator, List<Expr> sides, Span span) {
        boolean equality =
                switch (operator) {
                    case EQUAL, NOT_EQUAL, SAME, DIFFERENT -> true;
                    default -> false;
                };
        boolean list = false;
        for (Expr e : sides) {
            list |= type(e).filter(LogicalType.Array.class::isInstance).isPresent();
        }
        if (!equality || list) {
            refuse(sides);
        }
        note(sides, span, "compared");
    }

    /** Says that such a column is not compared, or sorted, as on the source. */
    void note(List<Expr> expressions, Span span, String done) {
        Optional<String> name = Optional.empty();
        boolean document = false;
        for (Expr e : expressions) {
            name = name.isPresent() ? name : name(e);
            document |= isDocument(e);
        }
        name.ifPresent(
                n -> adapter.note(FindingCode.IMPLICIT_CAST, span, n + " is " + done + " as a text on the target"));
        if (document) {
            adapter.note(FindingCode.IMPLICIT_CAST, span, "JSON is " + done + " by its letters on one engine");
        }
    }

    private boolean isDocument(Expr e) {
        boolean content =
                adapter.from.has(SqlFeature.DOCUMENTS_ARE_MERGED) && adapter.to.has(SqlFeature.DOCUMENTS_ARE_MERGED);
        return !adapter.from.name().equals(adapter.to.name())
                && !content
                && e instanceof Expr.Column
                && adapter.kind(e) == ValueKind.JSON;
    }

    private Optional<String> name(Expr e) {
        return type(e).map(t -> t instanceof LogicalType.Opaque o
                ? ((Expr.Column) root(e)).name().last().text() + " (" + o.nativeName() + ")"
                : ((Expr.Column) root(e)).name().last().text() + " (an array)");
    }

    private Optional<LogicalType> type(Expr e) {
        Expr root = root(e);
        boolean column = root instanceof Expr.Column && !adapter.from.name().equals(adapter.to.name());
        return column ? adapter.facts(root).flatMap(Scope.ColumnFacts::type).filter(this::isLost) : Optional.empty();
    }

    /** The column behind a value in its place. */
    private static Expr root(Expr e) {
        return e instanceof Expr.Call call
                        && call.function().equals("coalesce")
                        && !call.arguments().isEmpty()
                ? root(call.arguments().get(0))
                : e;
    }

    private boolean isLost(LogicalType type) {
        boolean own = type instanceof LogicalType.Opaque || type instanceof LogicalType.Array;
        return own && TargetTypes.chosen(type, adapter.to).getClass() != type.getClass();
    }
}
