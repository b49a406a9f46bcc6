package raftcart.rewrite;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.resource.ShippedTable;
import raftcart.sql.Span;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/**
 * The names of time zones. In between, a zone has its name in IANA's database, or its distance from UTC as ISO 8601
 * writes it, positive to the east.
 */
final class ZoneNames {
    private static final Pattern DISTANCE = Pattern.compile("([+-])(\\d{1,2})(?::?(\\d{2}))?");

    private ZoneNames() {}

    /** The tables of Windows' zones, read when the first one is met. */
    private static final class Windows {
        private static final Map<String, String> READ = new HashMap<>();
        private static final Map<String, String> WRITTEN = new HashMap<>();

        static {
            try {
                JsonNode table = ShippedTable.tree(ZoneNames.class, "windows-zones.yaml");
                table.properties().forEach(zone -> {
                    READ.put(
                            zone.getKey().toLowerCase(Locale.ROOT),
                            zone.getValue().get(0).asText());
                    zone.getValue().forEach(n -> WRITTEN.put(n.asText().toLowerCase(Locale.ROOT), zone.getKey()));
                });
            } catch (IOException e) {
                throw new UncheckedIOException("the zones of Windows cannot be read", e);
            }
        }

        private Windows() {}
    }

    /** What a constant zone of the source is called in between; nothing for a zone that is computed or not known. */
    static Optional<String> read(Expr zone, Language from) {
        if (zone instanceof Expr.Interval interval) {
            return distance(interval);
        }
        if (!(zone instanceof Expr.Literal literal)) {
            return Optional.empty();
        }
        String text = literal.text().strip();
        if (literal.kind() == LiteralKind.NUMBER) {
            return Optional.of(text).filter(t -> t.matches("\\d{1,3}")).map(t -> distance(Integer.parseInt(t)));
        }
        Matcher distance = DISTANCE.matcher(text);
        if (distance.matches()) {
            // POSIX counts to the west.
            boolean east = distance.group(1).equals("+") != from.has(SqlFeature.ZONES_COUNT_WESTWARDS);
            return Optional.of(distance((east ? 1 : -1)
                    * (60 * Integer.parseInt(distance.group(2))
                            + (distance.group(3) == null ? 0 : Integer.parseInt(distance.group(3))))));
        }
        if (text.toLowerCase(Locale.ROOT).matches("utc|gmt|z|zulu|etc/utc")) {
            return Optional.of("UTC");
        }
        return from.has(SqlFeature.ZONES_OF_WINDOWS)
                ? Optional.ofNullable(Windows.READ.get(text.toLowerCase(Locale.ROOT)))
                : Optional.of(text).filter(t -> !t.isEmpty());
    }

    private static Optional<String> distance(Expr.Interval interval) {
        int minutes = 0;
        for (Expr.IntervalPart part : interval.parts()) {
            int unit = part.unit() == DateUnit.HOUR ? 60 : part.unit() == DateUnit.MINUTE ? 1 : 0;
            boolean whole = part.amount() instanceof Expr.Literal l && l.text().matches("[+-]?\\d{1,4}");
            if (unit == 0 || !whole) {
                return Optional.empty();
            }
            minutes += unit * Integer.parseInt(((Expr.Literal) part.amount()).text());
        }
        return Optional.of(distance(minutes));
    }

    private static String distance(int minutes) {
        int size = Math.abs(minutes);
        return minutes == 0 ? "UTC" : String.format("%s%02d:%02d", minutes < 0 ? "-" : "+", size / 60, size % 60);
    }

    /** True for a distance from UTC, in the form in between. */
    static boolean isDistance(String zone) {
        return DISTANCE.matcher(zone).matches();
    }

    /**
     * A zone in between as the target names it.
     *
     * @throws Untranslatable if the target has no name for it
     */
    static Expr write(String zone, Language to) {
        Matcher distance = DISTANCE.matcher(zone);
        if (distance.matches()) {
            return distance(zone, distance, to);
        }
        if (zone.equals("UTC")) {
            return Expr.Literal.string(to.has(SqlFeature.ZONES_BY_TABLES) ? "+00:00" : zone);
        }
        if (!to.has(SqlFeature.ZONES_OF_WINDOWS)) {
            return Expr.Literal.string(zone);
        }
        return Optional.ofNullable(Windows.WRITTEN.get(zone.toLowerCase(Locale.ROOT)))
                .map(Expr.Literal::string)
                .orElseThrow(() -> new Untranslatable("the time zone " + zone));
    }

    private static Expr distance(String zone, Matcher parts, Language to) {
        boolean east = parts.group(1).equals("+");
        int hours = Integer.parseInt(parts.group(2));
        int minutes = Integer.parseInt(parts.group(3));
        if (to.has(SqlFeature.ZONES_COUNT_WESTWARDS)) {
            Expr length = new Expr.Literal(LiteralKind.NUMBER, (east ? "" : "-") + (60 * hours + minutes), Span.NONE);
            return new Expr.Interval(List.of(new Expr.IntervalPart(length, DateUnit.MINUTE)), Span.NONE);
        }
        if (!to.has(SqlFeature.ZONES_BY_NAME_ALONE)) {
            return Expr.Literal.string(zone);
        }
        if (minutes != 0) {
            throw new Untranslatable("the time zone " + zone);
        }
        return Expr.Literal.string("Etc/GMT" + (east ? "-" : "+") + hours);
    }
}
