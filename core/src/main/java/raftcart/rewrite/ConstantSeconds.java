package raftcart.rewrite;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.type.LogicalType;

/** Constant moments that have more digits of their second than there is room for. */
final class ConstantSeconds {
    private static final BigDecimal MINUTE = new BigDecimal(60);
    private static final int LAST_YEAR = 9999;
    private static final Pattern DAY_AND_TIME = Pattern.compile("(\\d{4}-\\d\\d-\\d\\d) .*");
    private static final Pattern CLOCK = Pattern.compile("(.*?)(\\d\\d:\\d\\d):(\\d\\d[.]\\d+)(.*)");

    private final ExprAdapter adapter;

    ConstantSeconds(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** The constant, in the usual spelling, with no more digits than the type has, by the source's way. */
    Expr.Literal fitted(Expr.Literal moment, LogicalType type) {
        if (type instanceof LogicalType.Date && adapter.to.has(SqlFeature.DATES_ARE_TEXTS)) {
            Matcher day = DAY_AND_TIME.matcher(moment.text()); // a text would keep the time of day
            return day.matches() ? with(moment, day.group(1)) : moment;
        }
        boolean kept = adapter.from.has(SqlFeature.DATES_ARE_TEXTS)
                || adapter.from.name().equals(adapter.to.name());
        if (kept || !SecondFractions.isMoment(type) || moment.text().indexOf('.') < 0) {
            return moment;
        }
        Matcher clock = CLOCK.matcher(moment.text());
        int room = SecondFractions.digits(type);
        boolean more = clock.matches() && new BigDecimal(clock.group(3)).scale() > room;
        return more ? fitted(moment, clock, room) : moment;
    }

    private Expr.Literal fitted(Expr.Literal moment, Matcher clock, int room) {
        if (SecondFractions.isDate(room, adapter)) {
            adapter.note(FindingCode.IMPLICIT_CAST, moment.span(), SecondFractions.AS_NEWER);
        }
        RoundingMode way = SecondFractions.cuts(room, adapter) ? RoundingMode.DOWN : RoundingMode.HALF_UP;
        BigDecimal second = new BigDecimal(clock.group(3)).setScale(room, way);
        if (second.compareTo(MINUTE) < 0) {
            return with(moment, clock.group(1) + clock.group(2) + ":" + twoDigits(second) + clock.group(4));
        }
        try {
            return with(moment, nextMinute(clock) + ":" + twoDigits(second.subtract(MINUTE)) + clock.group(4));
        } catch (DateTimeParseException e) {
            SecondFractions.sayDiffers(moment, adapter); // a length of time, or the end of a day
            return moment;
        }
    }

    private static String nextMinute(Matcher clock) {
        LocalTime time = LocalTime.parse(clock.group(2));
        if (!clock.group(1).isBlank()) {
            String day = DateTexts.twoDigits(clock.group(1).replace('T', ' ')).strip();
            LocalDateTime next = LocalDate.parse(day).atTime(time).plusMinutes(1);
            if (next.getYear() > LAST_YEAR) {
                throw new DateTimeParseException("behind the end of the calendar", day, 0);
            }
            return next.toLocalDate() + " " + next.toLocalTime();
        }
        LocalTime next = time.plusMinutes(1);
        if (next.isBefore(time)) {
            throw new DateTimeParseException("behind the end of the day", clock.group(2), 0);
        }
        return next.toString();
    }

    private static String twoDigits(BigDecimal second) {
        return (second.compareTo(BigDecimal.TEN) < 0 ? "0" : "") + second.toPlainString();
    }

    private static Expr.Literal with(Expr.Literal moment, String text) {
        return new Expr.Literal(moment.kind(), text, moment.span());
    }
}
