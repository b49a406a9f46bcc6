package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.FunctionDictionary.Recognised;
import raftcart.sql.function.Signature;
import raftcart.sql.function.Signatures;
import raftcart.sql.function.ValueKind;
import raftcart.sql.parse.CallReading;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.OrderItem.Nulls;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TypeName;
import raftcart.sql.tree.UnaryOperator;
import raftcart.type.LogicalType;

/** Finds out which function a call means, and says it with what the target has. */
final class FunctionAdapter {
    private static final Set<String> SYSTEM_SCHEMAS =
            Set.of("pg_catalog", "sys", "sysibm", "sysfun", "public", "dbo", "standard", "syslib", "td_sysfnlib");

    /** Functions of a condition. */
    private static final Set<String> CONDITIONS = Set.of("count_if", "every", "some", "not_matching");

    private final ExprAdapter adapter;

    private final Language from;
    private final Language to;

    FunctionAdapter(ExprAdapter adapter) {
        this.adapter = adapter;
        this.from = adapter.from;
        this.to = adapter.to;
    }

    /** A condition that a call stands for; anything else as it is. */
    Expr meant(Expr e) {
        return e instanceof Expr.Call call && !from.name().equals(to.name())
                ? from.grammar()
                        .calls()
                        .meaning(call)
                        .filter(m -> m.check().isEmpty() && KindFinder.isCondition(m.value()))
                        .map(CallReading.Meaning::value)
                        .or(() -> SimilarPatterns.matches(call, adapter))
                        .orElse(e)
                : e;
    }

    Expr call(Expr.Call call) {
        if (from.name().equals(to.name())) {
            return mapped(call, call.arguments());
        }
        if (call.suffix().distinct()) {
            new LongTexts(adapter).refuse(call.arguments().stream(), "DISTINCT");
            new TextRules(adapter).oneToTheSource(call.arguments().stream(), call.span(), "DISTINCT");
        }
        Optional<CallReading.Meaning> meaning = from.grammar().calls().meaning(call);
        if (meaning.isPresent()) {
            if (!meaning.get().check().isEmpty()) {
                adapter.note(
                        FindingCode.FUNCTION_DIFFERS, call.span(), meaning.get().check());
            }
            return adapter.expr(meaning.get().value());
        }
        Optional<Expr> other = DateAdapter.start(from, call).or(() -> SimilarPatterns.matches(call, adapter));
        if (other.isPresent()) {
            return adapter.expr(other.get());
        }
        List<Expr> bare =
                call.arguments().stream().map(new CastAdapter(adapter)::bare).toList();
        List<Expr> arguments = DateAdapter.days(from, call, LocalMoments.uncast(call, bare, adapter));
        boolean changed = !arguments.equals(call.arguments());
        return recognised(
                changed ? new Expr.Call(call.name(), call.canonical(), arguments, call.suffix(), call.span()) : call);
    }

    private Expr recognised(Expr.Call call) {
        boolean star = call.arguments().size() == 1
                && call.arguments().get(0) instanceof Expr.Star
                && call.isAny("count", "count_big");
        if (star) {
            return aggregate(call.with("count_rows", List.of()), call);
        }
        if (call.canonical()) {
            return call.is("truth_of")
                    ? new Truths(adapter).value(call.arguments().get(0))
                    : adapter.empties.asNull(call, call, known(call, call));
        }
        if (call.arguments().stream().anyMatch(Expr.NamedArgument.class::isInstance)) {
            return unknown(call);
        }
        Optional<Recognised> found =
                from.functions().recognise(call.name().toString(), call.arguments(), adapter::kind);
        if (found.isEmpty() && call.name().parts().size() > 1 && isSystemSchema(call)) {
            found = from.functions().recognise(call.function(), call.arguments(), adapter::kind);
        }
        if (found.isEmpty()) {
            found = guessed(call);
        }
        if (found.isEmpty()) {
            return unknown(call);
        }
        Recognised recognised = found.get();
        if (!recognised.check().isEmpty()) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    call.span(),
                    recognised.signature().name() + ": " + recognised.check());
        }
        if (recognised.signature().name().equals("ratio_to_report") && !adapter.writes("ratio_to_report")) {
            return share(call);
        }
        List<Expr> arguments = withDefaults(recognised, call);
        Expr.Call meant = call.with(recognised.signature().name(), arguments).at(call.span());
        LastNumbers.note(meant, adapter);
        return adapter.empties.asNull(call, meant, known(new ResultKinds(adapter).texts(meant), call));
    }

    /** The digits before the point to which a number is rounded. */
    private Optional<Integer> tens(Expr.Call call) {
        Expr digits = call.arguments().get(call.arguments().size() - 1);
        String text = digits instanceof Expr.Unary u
                        && u.operator() == UnaryOperator.MINUS
                        && u.operand() instanceof Expr.Literal l
                ? "-" + l.text()
                : digits instanceof Expr.Literal l ? l.text() : "";
        return call.is("round_to") && to.has(SqlFeature.ROUNDS_FRACTIONS_ALONE) && text.matches("-([1-9]|1[0-8])")
                ? Optional.of(-Integer.parseInt(text))
                : Optional.empty();
    }

    /** A number rounded to tens, hundreds and so on, by what they are. */
    private Expr roundedToTens(Expr.Call call, int tens) {
        Expr unit = new Expr.Literal(LiteralKind.NUMBER, "1" + "0".repeat(tens) + ".0", call.span());
        adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "rounded to a unit before the point");
        Expr parts = new Expr.Binary(
                BinaryOperator.DIVIDE, adapter.expr(call.arguments().get(0)), unit, call.span());
        Expr rounded =
                call.with("round_to", List.of(parts, Expr.Literal.number(0))).at(call.span());
        return new Expr.Binary(BinaryOperator.MULTIPLY, rounded, unit, call.span());
    }

    /** A value's share of the sum over a window. */
    private Expr share(Expr.Call call) {
        adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "the share as a value divided by the sum");
        Expr value = adapter.expr(call.arguments().get(0));
        TypeName number = adapter.castType(new LogicalType.Floating(64));
        Expr sum = aggregate(call.with("sum", call.arguments()), call);
        Expr whole = Expr.Call.of("nullif", sum, Expr.Literal.number(0)).at(call.span());
        return new Expr.Binary(
                BinaryOperator.DIVIDE, new Expr.Cast(value, number, false, call.span()), whole, call.span());
    }

    /** What the call means if arguments of an unknown kind are what its format mask, or else its use, suggests. */
    private Optional<Recognised> guessed(Expr.Call call) {
        boolean unknown = call.arguments().stream().anyMatch(a -> adapter.kind(a) == ValueKind.UNKNOWN);
        if (!unknown) {
            return Optional.empty();
        }
        Optional<String> mask = call.arguments().stream()
                .filter(a -> a instanceof Expr.Literal l && l.kind() == LiteralKind.STRING)
                .map(a -> ((Expr.Literal) a).text())
                .findFirst();
        boolean number = mask.isPresent() && mask.get().matches("(?i)(FM)?[.,$LGDSMIPRB ]*[09][09.,$LGDSMIPRB ]*");
        boolean digits = mask.isEmpty()
                && call.arguments().size() == 2
                && call.arguments().get(1) instanceof Expr.Literal l
                && l.kind() == LiteralKind.NUMBER;
        ValueKind guess = number || digits ? ValueKind.DECIMAL : ValueKind.DATE;
        Optional<Recognised> found = from.functions().recognise(call.name().toString(), call.arguments(), a -> {
            ValueKind kind = adapter.kind(a);
            return kind == ValueKind.UNKNOWN ? guess : kind;
        });
        if (found.isPresent() && mask.isEmpty() && !digits) {
            adapter.note(FindingCode.TYPES_UNKNOWN, call.span(), call.name() + " of a value that is taken for a date");
        }
        return found;
    }

    private static boolean isSystemSchema(Expr.Call call) {
        return SYSTEM_SCHEMAS.contains(call.name().parts().get(0).key());
    }

    /** A separator that the source leaves out. */
    private static List<Expr> withDefaults(Recognised recognised, Expr.Call call) {
        boolean alone = recognised.signature().name().equals("string_agg")
                && recognised.arguments().size() == 1;
        if (!alone) {
            return recognised.arguments();
        }
        String separator = call.isAny("group_concat", "list", "wm_concat") ? "," : "";
        return List.of(recognised.arguments().get(0), Expr.Literal.string(separator));
    }

    private Expr unknown(Expr.Call call) {
        if (from.functions().knows(call.name().toString())) {
            adapter.note(
                    FindingCode.FUNCTION_UNKNOWN,
                    call.span(),
                    call.name() + " with these " + call.arguments().size() + " argument(s)");
        } else if (!adapter.knowledge.isRoutine(call.name())) {
            adapter.note(FindingCode.FUNCTION_UNKNOWN, call.span(), call.name().toString());
        }
        List<Expr> arguments = adapter.knowledge.code().signatures().ofFunction(call, said(call), adapter);

        return new Expr.Call(call.name(), call.canonical(), arguments, suffix(call), call.span());
    }

    /** The arguments without those at the end that say DEFAULT. */
    private static List<Expr> said(Expr.Call call) {
        int count = call.arguments().size();
        while (count > 0 && call.arguments().get(count - 1) instanceof Expr.Default) {
            count--;
        }
        List<Expr> said = call.arguments().subList(0, count);
        if (said.stream().anyMatch(Expr.Default.class::isInstance)) {
            throw new Untranslatable("DEFAULT as an argument before others");
        }
        return said;
    }

    private Expr mapped(Expr.Call call, List<Expr> arguments) {
        return new Expr.Call(call.name(), call.canonical(), adapter.exprs(arguments), suffix(call), call.span());
    }

    /** True where NULLs are not counted, so that their place in the order does not matter: in percentiles and joined texts. */
    private static boolean passesOverNulls(Expr.Call call, Expr sorted) {
        return call.isAny("percentile_cont", "percentile_disc")
                || call.isAny("listagg", "string_agg", "group_concat")
                        && !call.arguments().isEmpty()
                        && sorted.equals(call.arguments().get(0));
    }

    private CallSuffix suffix(Expr.Call call) {
        CallSuffix suffix = call.suffix();
        if (suffix == CallSuffix.NONE) {
            return suffix;
        }
        new TextRules(adapter).known(suffix.order().stream().map(OrderItem::value), call.span(), "ORDER BY");
        List<OrderItem> order = new ArrayList<>();
        for (OrderItem item : suffix.order()) {
            order.addAll(
                    passesOverNulls(call, item.value())
                            ? List.of(new OrderItem(adapter.expr(item.value()), item.descending(), Nulls.DEFAULT))
                            : adapter.orders.item(item, !suffix.withinGroup()));
        }
        return new CallSuffix(
                suffix.distinct(),
                order,
                suffix.withinGroup(),
                suffix.filter().map(adapter::condition),
                suffix.nulls(),
                suffix.over().map(w -> new WindowAdapter(adapter).window(w, call.function())),
                suffix.keep());
    }

    /** A call of a canonical function, in words that the target has. */
    Expr known(Expr.Call call, Expr.Call original) {
        new LostTypes(adapter).refuseCall(call);
        new WholeSeconds(adapter).function(call);
        return ClockTimes.ofMoment(call, adapter)
                .orElseGet(
                        () -> ofDictionary(new UnitFractions(adapter).call(call).orElse(call), original));
    }

    private Expr ofDictionary(Expr.Call call, Expr.Call original) {
        String function = call.function();
        switch (function) {
            case "concat":
                return concat(call);
            case "concat_skip_nulls":
                if (!adapter.writes(function) || call.arguments().size() == 1) {
                    return new ConcatAdapter(adapter).concat(new Expr.Concat(call.arguments(), true, call.span()));
                }
                break;
            case "if":
                return choice(call);
            case "round", "round_to":
                Expr rounded = original.arguments().get(0);
                Shortening.binary(rounded, adapter.kind(rounded), call.span(), adapter);
                if (tens(call).isPresent()) {
                    return roundedToTens(call, tens(call).get());
                }
                break;
            case "new_value":
                return call;
            case "format_date", "parse_date", "parse_timestamp", "parse_instant":
                return new MaskTranslator(adapter).call(call);
            case "format_number":
                return new NumberMasks(adapter).call(call);
            case "convert_with_style":
                return new StyleTranslator(adapter).convert(call);
            case "joined_texts":
                return aggregate(JoinedTexts.separated(adapter, call), original);
            case "insert_text_within":
                Optional<Expr> joined = JoinedTexts.withoutFirstSeparator(call);
                if (joined.isPresent()) {
                    return adapter.expr(joined.get());
                }
                break;
            case "date_of":
                return dateOf(call, original);
            case "extract_epoch":
                return further(epoch(call), original);
            case "cast_with_format":
                return new MaskTranslator(adapter).withFormat(call);
            default:
        }
        return Zones.isFunction(function) ? new Zones(adapter).call(call) : further(call, original);
    }

    private Expr dateOf(Expr.Call call, Expr.Call original) {
        boolean number = adapter.kind(call.arguments().get(0)).isNumber();
        return number ? adapter.expr(DateAdapter.ofDay(call, from)) : further(call, original);
    }

    /** Seconds are counted from 1970 in UTC, wherever the instant shows its time. */
    private Expr.Call epoch(Expr.Call call) {
        Expr instant = call.arguments().get(0);
        boolean local = to.has(SqlFeature.ZONES_STAY_WITH_VALUES)
                && adapter.instants.nature(instant) == Instants.Nature.INSTANT;
        return local
                ? call.with("extract_epoch", List.of(new Expr.AtZone(instant, Expr.Literal.string("UTC"), call.span())))
                : call;
    }

    private Expr further(Expr.Call given, Expr.Call original) {
        Expr.Call call = new RegexPatterns(adapter).adapted(given);
        String function = call.function();
        if (function.equals("text_of")) {
            new CastNotes(adapter).spelled(call, adapter.kind(call.arguments().get(0)));
        }
        if (Signatures.find(function).map(Signature::group).orElse(Signature.Group.SCALAR)
                == Signature.Group.AGGREGATE) {
            return aggregate(call, original);
        }
        Optional<Expr> moment = DateAdapter.constant(call, to);
        if (moment.isPresent()) {
            return adapter.expr(moment.get());
        }
        new TextRules(adapter).function(given);
        new ListedValues(adapter).extreme(call);
        adapter.instants.partly(call);
        Optional<Expr> end = new TextEnds(adapter)
                .rewrite(call)
                .or(() -> new PassedNulls(adapter).rewrite(call).map(adapter::expr))
                .or(() -> new JsonPaths(adapter).rewrite(call))
                .or(() -> ClockTimes.counted(call, adapter))
                .or(() -> FormattedTexts.joined(call, adapter))
                .or(() -> RegexPatterns.matched(call).map(adapter::expr));
        if (end.isPresent()) {
            return end.get();
        }
        List<Expr> arguments = CONDITIONS.contains(function)
                ? List.of(adapter.condition(call.arguments().get(0)))
                : adapter.instants.beside(call.arguments(), () -> new FunctionArguments(adapter).of(call));
        Expr.Call adapted = new Expr.Call(call.name(), true, arguments, suffix(call), call.span());
        if (to.functions()
                .write(function, adapted.arguments(), this::kindOfAdapted)
                .isPresent()) {
            rename(call, original);
            return adapted;
        }
        return inOtherWords(adapted, call); // where there are none, the writer says that there is no counterpart
    }

    private Expr inOtherWords(Expr.Call adapted, Expr.Call call) {
        Optional<Expr> expanded = new Expansions(to).expand(adapted);
        if (expanded.isEmpty()) {
            return adapted;
        }
        ValueKind first = call.arguments().isEmpty()
                ? ValueKind.UNKNOWN
                : adapter.kind(call.arguments().get(0));
        Optional<String> difference = OtherWords.difference(call, first);
        adapter.note(
                difference.isPresent() ? FindingCode.FUNCTION_DIFFERS : FindingCode.SYNTAX_ADAPTED,
                call.span(),
                difference.orElse(call.function() + " in other words"));
        return expanded.get();
    }

    ValueKind kindOfAdapted(Expr adapted) {
        ValueKind kind = adapter.kindOf(adapted);
        return kind == ValueKind.UNKNOWN ? adapter.kind(adapted) : kind;
    }

    private void rename(Expr.Call call, Expr.Call original) {
        if (!original.canonical() && !call.function().startsWith(original.function())) {
            adapter.note(FindingCode.FUNCTION_RENAMED, call.span(), original.name() + " means " + call.function());
        }
    }

    private Expr concat(Expr.Call call) {
        boolean empty = from.has(SqlFeature.EMPTY_TEXT_IS_NULL);
        return new ConcatAdapter(adapter).concat(new Expr.Concat(call.arguments(), empty, call.span()));
    }

    private Expr choice(Expr.Call call) {
        Expr condition = adapter.condition(call.arguments().get(0));
        Expr then = adapter.expr(call.arguments().get(1));
        Expr otherwise = adapter.expr(call.arguments().get(2));
        Expr.Call same = call.with("if", List.of(condition, then, otherwise)).at(call.span());
        if (to.functions().write("if", same.arguments(), this::kindOfAdapted).isPresent()) {
            return same;
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "a choice as CASE");
        return Expr.Case.of(condition, then, otherwise);
    }

    /** Says where the least or the greatest of texts hangs on how they compare. */
    private void extreme(Expr.Call call) {
        if (call.isAny("min", "max")) {
            new TextRules(adapter).known(call.arguments().stream(), call.span(), call.function());
            new ListedValues(adapter).extreme(call);
            new LongTexts(adapter).refuse(call.arguments().stream(), call.function());
        }
    }

    private Expr aggregate(Expr.Call given, Expr.Call original) {
        Expr.Call call = new Truths(adapter).extreme(new Operands(adapter).summed(given), given.span());
        extreme(call);
        TextAggregates texts = new TextAggregates(adapter, to);
        CallSuffix suffix = texts.inWindow(suffix(call), call);
        AggregateLimits.check(adapter, call, suffix);
        boolean truths = (call.function().equals("sum") || call.function().equals("avg"))
                && adapter.kind(call.arguments().get(0)) == ValueKind.BOOLEAN
                && adapter.lost(SqlFeature.NUMBERS_ARE_CONDITIONS);
        if (truths) {
            adapter.note(FindingCode.CONDITION_ADAPTED, call.span(), "truth values as numbers");
            Expr number = Truths.asNumber(adapter.condition(call.arguments().get(0)), call.span());
            Expr.Call counted = new Expr.Call(
                    call.name(), true, List.of(adapter.ofKind(number, ValueKind.INTEGER)), suffix, call.span());
            return new AverageAdapter(adapter).average(counted, counted);
        }
        List<Expr> arguments = CONDITIONS.contains(call.function())
                ? List.of(adapter.condition(call.arguments().get(0)))
                : texts.arguments(texts.adapted(call), call, this::kindOfAdapted);
        String function = call.function();
        if (suffix.filter().isPresent() && !to.has(SqlFeature.AGGREGATE_FILTER)) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "FILTER as a choice inside of the aggregate");
            Expr.When only = new Expr.When(
                    suffix.filter().get(), arguments.isEmpty() ? Expr.Literal.number(1) : arguments.get(0));
            List<Expr> filtered = new ArrayList<>(arguments);
            Expr choice = new Expr.Case(Optional.empty(), List.of(only), Optional.empty(), call.span());
            if (filtered.isEmpty()) {
                filtered.add(choice);
                function = "count";
            } else {
                filtered.set(0, choice);
            }
            arguments = filtered;
            suffix = suffix.withoutFilter();
        }
        Optional<Expr> ofValues = texts.ofValues(call, arguments, suffix);
        if (ofValues.isPresent()) {
            adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "values put together as texts");
            return ofValues.get();
        }
        return written(new Expr.Call(QualifiedName.of(function), true, arguments, suffix, call.span()), call, original);
    }

    private Expr written(Expr.Call adapted, Expr.Call call, Expr.Call original) {
        boolean known = to.functions()
                .write(adapted.function(), adapted.arguments(), this::kindOfAdapted)
                .isPresent();
        if (known) {
            rename(call, original);
            return new AverageAdapter(adapter).average(adapted, call);
        }
        return inOtherWords(adapted, call);
    }

    /** {@code @@name}. */
    Expr systemVariable(Expr.Parameter parameter) {
        if (from.name().equals(to.name())) {
            return parameter;
        }
        String function = SystemVariables.function(parameter.text())
                .orElseThrow(() -> new Untranslatable("the system variable " + parameter.text()));
        Expr.Call call = Expr.Call.of(function).at(parameter.span());
        return known(call, call);
    }
}
