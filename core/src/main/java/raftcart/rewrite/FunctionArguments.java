package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.Signature;
import raftcart.sql.function.Signatures;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** The arguments of a canonical function as values of the kinds that it takes. */
final class FunctionArguments {
    /** Functions that put their third argument in the place of what they find. */
    private static final Set<String> REPLACING = Set.of("replace", "regexp_replace", "regexp_replace_all");

    /** Functions that read a date or time in a text. */
    private static final Set<String> DATES_OF_ANY = Set.of("date_of", "time_of", "timestamp_of");

    /** Functions that show what they are given, whatever it is. */
    private static final String[] SHOWING = {"concat_ws", "concat_skip_nulls", "json_array", "json_object"};

    private static final Pattern CLOCK = Pattern.compile("\\d{1,2}[:.]\\d\\d([:.]\\d\\d(\\.\\d+)?)?");

    private final ExprAdapter adapter;

    FunctionArguments(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    List<Expr> of(Expr.Call call) {
        List<Signature.Parameter> parameters = Signatures.find(call.function())
                .orElseThrow(() -> new IllegalStateException("no signature of " + call.function()))
                .parameters();
        List<Expr> arguments = new ArrayList<>();
        for (int i = 0; i < call.arguments().size(); i++) {
            ValueKind wanted = i < parameters.size() ? parameters.get(i).kind() : ValueKind.UNKNOWN;
            Expr argument = new Variants(adapter).argument(call.arguments().get(i), wanted);
            boolean removes = i == 2 && REPLACING.contains(call.function()) && isText(argument, "");
            if (i == 0 && call.is("set_sequence")) {
                arguments.add(sequence(argument));
                continue;
            }
            // For nothing, also where an empty text is NULL.
            Expr adapted = removes ? argument : argument(argument, wanted, call);
            if (!removes && (i == 2 && REPLACING.contains(call.function()) || i == 1 && call.is("replace"))) {
                adapted = adapter.empties.asNothing(argument, adapted);
            }
            if (i == 1 && call.is("mod")) {
                adapted = new DivisionAdapter(adapter).ofMod(argument, adapted, call.span());
            }
            if (call.isAny(SHOWING)) {
                ConcatAdapter.noteSpelling(argument, adapter);
                Expr shown = Truths.shown(argument, document(argument, adapted, call), adapter);
                adapted = call.function().startsWith("concat_")
                        ? Truths.letter(argument, adapter).orElse(shown)
                        : shown;
            }
            if (wanted == ValueKind.TEXT) {
                adapted = new UniqueIds(adapter).asText(argument, adapted);
            }
            boolean alone = call.arguments().size() == 1 || !removes && areTexts(call);
            arguments.add(alone ? PlainConstants.typedNull(adapted, adapter) : adapted);
        }
        return arguments;
    }

    /** An array that is a text of JSON on the target, as a document within the one that is made. */
    private Expr document(Expr argument, Expr adapted, Expr.Call call) {
        boolean within = call.function().startsWith("json_")
                && adapter.kind(argument) == ValueKind.ARRAY
                && !adapter.to.has(SqlFeature.ARRAYS);
        if (within && !adapter.writes("json_of_text")) {
            throw new Untranslatable("an array within a JSON document");
        }
        return within ? Expr.Call.of("json_of_text", adapted).at(argument.span()) : adapted;
    }

    /** True where all arguments are texts or NULL. */
    private boolean areTexts(Expr.Call call) {
        return call.arguments().stream().map(adapter::kind).allMatch(k -> k == ValueKind.TEXT || k == ValueKind.NULL);
    }

    /** A sequence by its name, which is a text on some engines. */
    private Expr sequence(Expr argument) {
        boolean texts = adapter.to.has(SqlFeature.SEQUENCES_NAMED_BY_TEXTS);
        if (argument instanceof Expr.Literal text && !texts) {
            QualifiedName name = SequenceNames.read(text.text(), adapter.from.grammar())
                    .orElseThrow(() -> new Untranslatable("'" + text.text() + "' as the name of a sequence"));
            return new Expr.Column(name, false, argument.span());
        }
        return argument instanceof Expr.Column name && texts
                ? Expr.Literal.string(
                        name.name().parts().stream().map(adapter.to::write).collect(Collectors.joining(".")))
                : adapter.expr(argument);
    }

    /** True for kinds other than numbers that lenient engines show as texts where those are wanted. */
    static boolean shownAsText(ValueKind kind) {
        return kind.isDate() || kind == ValueKind.TIME || kind == ValueKind.BOOLEAN || kind == ValueKind.JSON;
    }

    private Expr argument(Expr argument, ValueKind wanted, Expr.Call call) {
        if (DATES_OF_ANY.contains(call.function()) && argument instanceof Expr.Literal text) {
            return adapter.expr(
                    text.kind() == LiteralKind.STRING && adapter.from.has(SqlFeature.DATES_BY_DOTS)
                            ? new DateAdapter(adapter).asRead(text, ValueKind.DATE)
                            : text);
        }
        if (wanted.isDate()) {
            return date(argument);
        }
        if (wanted == ValueKind.TIME) {
            return time(argument);
        }
        if (wanted.isNumber() && adapter.kind(argument).isDate() && !new DateAdapter(adapter).numbersAreDatesOnBoth()) {
            throw new Untranslatable(call.function() + " of a date");
        }
        Expr number = wanted.isNumber() && wanted != ValueKind.INTEGER
                ? new Operands(adapter).numberOfText(argument)
                : argument;
        if (number != argument) {
            adapter.note(FindingCode.IMPLICIT_CAST, argument.span(), "a text is taken for a number");
            return adapter.expr(number);
        }
        if (wanted == ValueKind.TEXT && adapter.losesConversions()) {
            return asText(argument);
        }
        boolean bits = call.isAny("bit_and", "bit_or", "bit_xor")
                && adapter.kind(argument) == ValueKind.DECIMAL
                && adapter.losesConversions();
        if (bits) {
            TypeName whole = adapter.castType(new LogicalType.Int(64, false));
            return new Expr.Cast(adapter.expr(argument), whole, false, argument.span());
        }
        if (wanted == ValueKind.BYTES) {
            return bytes(argument);
        }
        if (wanted != ValueKind.INTEGER) {
            return adapter.expr(argument);
        }
        return new Positions(adapter)
                .narrowed(argument, call)
                .orElseGet(() -> adapter.to.has(SqlFeature.PARTS_OF_DATES_ARE_DECIMALS)
                        ? wholeNumber(adapter.expr(argument))
                        : adapter.expr(argument));
    }

    /** A value where bytes are wanted. */
    private Expr bytes(Expr argument) {
        boolean spelled = adapter.from.has(SqlFeature.TEXTS_OF_HEX_BYTES)
                && argument instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING;
        if (spelled) {
            return adapter.expr(ByteTexts.of(argument, adapter.from));
        }
        if (adapter.kind(argument) != ValueKind.TEXT || !adapter.writes("bytes_of_text")) {
            return adapter.expr(argument);
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, argument.span(), "a text as its bytes");
        return new FunctionAdapter(adapter)
                .call(Expr.Call.of("bytes_of_text", argument).at(argument.span()));
    }

    /** A value where a text is wanted. */
    private Expr asText(Expr argument) {
        ValueKind kind = adapter.kind(argument);
        if (kind.isNumber()) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, argument.span(), "a number as a text");
            TypeName type = adapter.castType(new LogicalType.Text(0));
            return new Expr.Cast(adapter.expr(argument), type, false, argument.span());
        }
        if (!shownAsText(kind)) {
            return adapter.expr(argument);
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, argument.span(), "a value of another kind as a text");
        TypeName type = adapter.sourceType(new LogicalType.Text(0));
        return adapter.expr(new Expr.Cast(argument, type, false, argument.span()));
    }

    /** A text as a constant of a date where that is wanted. */
    private Expr date(Expr argument) {
        boolean constant = argument instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING
                && adapter.to.has(SqlFeature.TYPED_DATES);
        if (!constant) {
            return adapter.expr(new DateAdapter(adapter).fromText(new Operands(adapter).momentOfText(argument)));
        }
        if (isClock(argument)) {
            return time(argument);
        }
        Expr.Literal literal = new DateAdapter(adapter).asRead((Expr.Literal) argument, ValueKind.DATE);
        return DateAdapter.typed(literal, literal.text().strip().length() > 10 ? ValueKind.TIMESTAMP : ValueKind.DATE);
    }

    /** {@code 22:15} and, where the source reads that, {@code 22.15.00}. */
    private boolean isClock(Expr argument) {
        String text = argument instanceof Expr.Literal l && l.kind() == LiteralKind.STRING ? l.text() : "";
        return CLOCK.matcher(text).matches() && (text.indexOf(':') > 0 || adapter.from.has(SqlFeature.DATES_BY_DOTS));
    }

    /** A text as a constant of a time of day where that is wanted. */
    private Expr time(Expr argument) {
        if (!isClock(argument)) {
            return adapter.expr(argument);
        }
        Expr.Literal literal = DateAdapter.usual((Expr.Literal) argument);
        return adapter.to.has(SqlFeature.TYPED_DATES)
                ? new Expr.Literal(LiteralKind.TIME, literal.text(), literal.span())
                : literal;
    }

    private static boolean isText(Expr e, String text) {
        return e instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING
                && l.text().equals(text);
    }

    /** A number that is made of parts of dates as the whole number that it is. */
    private Expr wholeNumber(Expr number) {
        TypeName integer = adapter.castType(new LogicalType.Int(32, false));
        return isOfDate(number) ? new Expr.Cast(number, integer, false, number.span()) : number;
    }

    private static boolean isOfDate(Expr e) {
        return e instanceof Expr.Call call
                        && call.canonical()
                        && call.function().matches("(extract|diff|full|day_of_week)_\\w+|second_whole")
                || e instanceof Expr.Binary b
                        && b.operator().calculates()
                        && (isOfDate(b.left()) || isOfDate(b.right()))
                || e instanceof Expr.Unary u && isOfDate(u.operand());
    }
}
