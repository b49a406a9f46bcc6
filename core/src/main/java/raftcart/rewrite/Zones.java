package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.CurrentKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/**
 * Times seen in another zone. AT TIME ZONE means three things: on PostgreSQL and its kin it turns plain times into
 * instants and instants into plain times; on SQL Server it turns plain times into instants too, but only shows instants
 * in another zone; where the standard is followed (SQL:2016, 6.38, datetime value expression) it only shows.
 */
final class Zones {
    /** A plain time, read in a zone, as an instant. */
    private static final String INSTANT_OF = "instant_of";
    /** The plain time that a clock shows in a zone at an instant. */
    private static final String PLAIN_IN_ZONE = "plain_in_zone";
    /** An instant, shown with the time and distance of a zone. */
    private static final String INSTANT_IN_ZONE = "instant_in_zone";
    /** A plain time of one zone as that of another. */
    private static final String TO_ZONE = "to_zone";

    /** The end of the names of those that take a distance, where an engine has functions of their own for it. */
    private static final String BY_DISTANCE = "_by_distance";

    private static final Set<String> FUNCTIONS = Set.of(INSTANT_OF, PLAIN_IN_ZONE, INSTANT_IN_ZONE, TO_ZONE, "utc_of");

    private final ExprAdapter adapter;

    Zones(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** True for a canonical function of a time and a zone. */
    static boolean isFunction(String function) {
        return FUNCTIONS.contains(function.replace(BY_DISTANCE, ""));
    }

    /** AT TIME ZONE in words that mean the same on the target. */
    Expr at(Expr.AtZone at) {
        if (adapter.from.name().equals(adapter.to.name())) {
            return at.map(adapter);
        }
        boolean alike = turns(adapter.from::has) == turns(adapter.to::has)
                && takesPlain(adapter.from::has) == takesPlain(adapter.to::has)
                && adapter.to.has(SqlFeature.AT_TIME_ZONE);
        if (alike && namesZone(at)) {
            return new Expr.AtZone(adapter.expr(at.value()), zone(at.zone()), at.span());
        }
        return call(meaning(at));
    }

    private static boolean turns(Predicate<SqlFeature> has) {
        return has.test(SqlFeature.ZONES_TURN_TIMES);
    }

    private static boolean takesPlain(Predicate<SqlFeature> has) {
        return has.test(SqlFeature.ZONES_TAKE_PLAIN_TIMES);
    }

    /** False for distances where the target has functions of their own for them. */
    private boolean namesZone(Expr.AtZone at) {
        return !adapter.to.has(SqlFeature.ZONES_OF_WINDOWS)
                || ZoneNames.read(at.zone(), adapter.from)
                        .filter(ZoneNames::isDistance)
                        .isEmpty();
    }

    /** A cast of AT TIME ZONE to a plain time is that time of the zone, where casts keep what is shown. */
    Optional<Expr> cast(Expr.Cast cast) {
        boolean shown = cast.value() instanceof Expr.AtZone
                && adapter.from.has(SqlFeature.CASTS_KEEP_LOCAL_TIME)
                && !turns(adapter.from::has)
                && !adapter.from.name().equals(adapter.to.name());
        if (!shown) {
            return Optional.empty();
        }
        LogicalType type = adapter.finder.type(cast.type());
        boolean plain = type instanceof LogicalType.Timestamp t && !t.zoned() || type instanceof LogicalType.Date;
        Expr.Call seen = meaning((Expr.AtZone) cast.value());
        if (!plain || !seen.is(INSTANT_IN_ZONE)) {
            return Optional.empty();
        }
        Expr time = plain(seen);
        return Optional.of(new Expr.Cast(time, cast.type(), cast.safe(), cast.span()));
    }

    private Expr.Call meaning(Expr.AtZone at) {
        Expr value = at.value() instanceof Expr.AtZone inner ? meaning(inner) : at.value();
        Instants.Nature nature = nature(value);
        boolean unknown = nature == Instants.Nature.UNKNOWN || nature == Instants.Nature.NEUTRAL;
        if (!turns(adapter.from::has) && !takesPlain(adapter.from::has)) {
            return shown(INSTANT_IN_ZONE, value, at);
        }
        if (unknown && !turns(adapter.from::has)) {
            adapter.note(
                    FindingCode.TYPES_UNKNOWN,
                    at.span(),
                    "AT TIME ZONE of a time that is taken for one without a zone");
        }
        boolean plain = nature == Instants.Nature.PLAIN || unknown && !turns(adapter.from::has);
        if (plain) {
            return shown(INSTANT_OF, value, at);
        }
        Expr.Call seen = shown(turns(adapter.from::has) ? PLAIN_IN_ZONE : INSTANT_IN_ZONE, value, at);
        return turns(adapter.from::has) ? plain(seen) : seen;
    }

    private static Expr.Call shown(String function, Expr value, Expr.AtZone at) {
        return Expr.Call.of(function, value, at.zone()).at(at.span());
    }

    /** The plain time of what is seen in a zone. */
    private Expr.Call plain(Expr.Call seen) {
        Expr value = seen.arguments().get(0);
        Expr zone = seen.arguments().get(1);
        return value instanceof Expr.Call made && made.canonical() && made.is(INSTANT_OF)
                ? seen.with(
                                TO_ZONE,
                                List.of(
                                        made.arguments().get(0),
                                        made.arguments().get(1),
                                        zone))
                        .at(seen.span())
                : seen.with(PLAIN_IN_ZONE, List.of(value, zone)).at(seen.span());
    }

    private Instants.Nature nature(Expr e) {
        if (e instanceof Expr.Call call && call.canonical() && isFunction(call.function())) {
            return call.is(INSTANT_OF) || call.is(INSTANT_IN_ZONE) ? Instants.Nature.INSTANT : Instants.Nature.PLAIN;
        }
        if (e instanceof Expr.Call call && call.function().equals("sysdatetimeoffset")) {
            return Instants.Nature.INSTANT;
        }
        if (e instanceof Expr.CurrentTime) {
            return adapter.from.has(SqlFeature.PRESENT_HAS_ZONE) ? Instants.Nature.INSTANT : Instants.Nature.PLAIN;
        }
        return e instanceof Expr.Literal literal && adapter.kind(literal) == ValueKind.TIMESTAMP
                ? isZoned(literal) ? Instants.Nature.INSTANT : Instants.Nature.PLAIN
                : adapter.instants.nature(e);
    }

    private static boolean isZoned(Expr.Literal literal) {
        return literal.kind() == LiteralKind.ZONED_TIMESTAMP;
    }

    /** Says where an instant that is made with its zone is kept without it. */
    private void sayLostZone(Expr.Call call) {
        if (call.is(INSTANT_OF)
                && adapter.from.has(SqlFeature.ZONES_STAY_WITH_VALUES)
                && adapter.to.has(SqlFeature.INSTANTS_LOSE_ZONES)) {
            adapter.note(FindingCode.FUNCTION_DIFFERS, call.span(), "the instant is kept, and not the zone with it");
        }
    }

    /** A canonical function of a time and a zone as the target writes it. */
    Expr call(Expr.Call given) {
        Expr.Call call = given.with(given.function().replace(BY_DISTANCE, ""), given.arguments())
                .at(given.span());
        if (call.is("utc_of")) {
            return call(call.with(PLAIN_IN_ZONE, List.of(call.arguments().get(0), Expr.Literal.string("UTC")))
                    .at(call.span()));
        }
        if (call.is(TO_ZONE) && !adapter.writes(TO_ZONE)) {
            Expr value = call.arguments().get(0);
            Expr instant = call.with(INSTANT_OF, List.of(value, call.arguments().get(1)))
                    .at(call.span());
            return call(
                    call.with(PLAIN_IN_ZONE, List.of(instant, call.arguments().get(2)))
                            .at(call.span()));
        }
        Expr value = value(call);
        if (call.is(INSTANT_IN_ZONE) && adapter.to.has(SqlFeature.INSTANTS_LOSE_ZONES)) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    call.span(),
                    "instant_in_zone: the instant is the same, but it is shown in the zone of the session");
            return value;
        }
        sayLostZone(call);
        Optional<String> zone = ZoneNames.read(call.arguments().get(1), adapter.from);
        boolean utc = zone.filter("UTC"::equals).isPresent();
        boolean present = value instanceof Expr.CurrentTime now && now.kind() == CurrentKind.UTC_TIMESTAMP;
        if (utc && (present || adapter.to.has(SqlFeature.INSTANTS_IN_UTC)) && !call.is(TO_ZONE)) {
            return value;
        }
        String ofDistance = call.function() + BY_DISTANCE;
        boolean distance =
                adapter.writes(ofDistance) && zone.filter(ZoneNames::isDistance).isPresent();
        String function = distance ? ofDistance : call.function();
        if (!adapter.writes(function)) {
            throw new Untranslatable("a time in another zone");
        }
        List<Expr> arguments = new ArrayList<>();
        arguments.add(value);
        call.arguments().stream().skip(1).map(this::zone).forEach(arguments::add);
        return adapter.ofKind(call.with(function, arguments).at(call.span()), ValueKind.TIMESTAMP);
    }

    /** The time that a function is about. */
    private Expr value(Expr.Call call) {
        Expr value = call.arguments().get(0);
        if (value instanceof Expr.Call inner && inner.canonical() && isFunction(inner.function())) {
            return call(inner);
        }
        boolean ofInstant = call.is(PLAIN_IN_ZONE) || call.is(INSTANT_IN_ZONE);
        boolean utc = ZoneNames.read(call.arguments().get(1), adapter.from)
                .filter("UTC"::equals)
                .isPresent();
        boolean present = ofInstant
                && value instanceof Expr.CurrentTime now
                && now.kind() == CurrentKind.TIMESTAMP
                && (adapter.to.has(SqlFeature.INSTANTS_IN_UTC)
                        || utc && call.is(PLAIN_IN_ZONE) && adapter.to.has(SqlFeature.UTC_PRESENT));
        if (present) {
            return adapter.expr(new Expr.CurrentTime(
                    CurrentKind.UTC_TIMESTAMP, ((Expr.CurrentTime) value).precision(), value.span()));
        }
        Instants.Nature nature = nature(value);
        ValueKind kind = adapter.kind(value);
        boolean cast = value instanceof Expr.Literal && adapter.to.has(SqlFeature.ZONES_TAKE_PLAIN_TIMES)
                || kind == ValueKind.TEXT
                || kind == ValueKind.DATE;
        if (ofInstant && nature == Instants.Nature.PLAIN) {
            // The time is one of the session's zone, which the engines that turn times take by a cast.
            if (!turns(adapter.to::has) && takesPlain(adapter.to::has) || !adapter.to.has(SqlFeature.AT_TIME_ZONE)) {
                throw new Untranslatable("a time without a zone that is taken for one of the session's zone");
            }
            cast |= turns(adapter.to::has);
        } else if (ofInstant
                && nature == Instants.Nature.UNKNOWN
                && !adapter.facts(value).isPresent()) {
            adapter.note(FindingCode.TYPES_UNKNOWN, value.span(), "a time that is taken for one with a zone");
        }
        Expr adapted = adapter.expr(value);
        if (!cast) {
            return adapted;
        }
        TypeName type = adapter.castType(new LogicalType.Timestamp(6, ofInstant));
        return new Expr.Cast(adapted, type, false, value.span());
    }

    private Expr zone(Expr said) {
        Expr zone = new CastAdapter(adapter).bare(said);
        Optional<String> name = ZoneNames.read(zone, adapter.from);
        if (name.isEmpty()) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS, zone.span(), "a time zone that is named as the source names zones");
            return adapter.expr(zone);
        }
        Expr written = ZoneNames.write(name.get(), adapter.to);
        if (adapter.to.has(SqlFeature.ZONES_BY_TABLES)
                && !ZoneNames.isDistance(name.get())
                && !name.get().equals("UTC")) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    zone.span(),
                    "a time zone by its name: NULL on a server whose tables of time zones are empty");
        }
        return written;
    }
}
