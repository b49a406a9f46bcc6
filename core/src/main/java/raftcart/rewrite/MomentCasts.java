package raftcart.rewrite;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.SqlFeature;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;

/** Casts of constant texts to dates and timestamps. */
final class MomentCasts {
    private static final int DAY = "2026-01-31".length();
    private static final Pattern SECONDS =
            Pattern.compile("(\\d{4}-\\d\\d-\\d\\d[ T]\\d\\d:\\d\\d):(\\d\\d(?:\\.\\d+)?)");
    private static final BigDecimal LAST_CUT = new BigDecimal("29.998");

    private MomentCasts() {}

    /**
     * The text as a constant of its type, where nothing of it would be cut off, or else a cast of it in the spelling that
     * all engines read; empty where it has that spelling already.
     */
    static Optional<Expr> ofText(Expr.Cast cast, Expr value, LogicalType type, ExprAdapter adapter) {
        ValueKind wanted = KindFinder.kind(type);
        if (!wanted.isDate() || !(value instanceof Expr.Literal said) || said.kind() != LiteralKind.STRING) {
            return Optional.empty();
        }
        Expr.Literal read = read(said, wanted, adapter);
        if (CastNotes.roundsToMinutes(cast.type(), adapter)) {
            read = inMinutes(read);
        }
        if (cast.safe() && isInNoCalendar(read.text())) {
            Expr nothing = Expr.Literal.ofNull();
            return Optional.of(new Expr.Cast(nothing, adapter.castType(type), false, cast.span()));
        }
        boolean writable = adapter.to.has(SqlFeature.TYPED_DATES) || adapter.to.has(SqlFeature.DATES_ARE_TEXTS);
        if (writable && DateAdapter.typed(read, wanted) instanceof Expr.Literal typed && isWhole(typed, type, wanted)) {
            return Optional.of(typed);
        }
        return read.text().equals(said.text())
                ? Optional.empty()
                : Optional.of(new Expr.Cast(read, adapter.castType(type), cast.safe(), cast.span()));
    }

    /** True for the 30th of February and the like, of which a forgiving cast makes NULL. */
    private static boolean isInNoCalendar(String text) {
        if (text.length() < DAY || !DateAdapter.isPlain(text.substring(0, DAY))) {
            return false;
        }
        try {
            LocalDate.parse(text.substring(0, DAY));
            return false;
        } catch (DateTimeException noDay) {
            return true;
        }
    }

    private static Expr.Literal read(Expr.Literal said, ValueKind wanted, ExprAdapter adapter) {
        Expr.Literal read = new DateAdapter(adapter).asRead(said, wanted);
        boolean day = wanted == ValueKind.DATE
                && !read.text().equals(said.text())
                && read.text().length() > DAY
                && DateAdapter.isPlain(read.text().substring(0, DAY));
        return day ? new Expr.Literal(read.kind(), read.text().substring(0, DAY), read.span()) : read;
    }

    /** "smalldatetime": 29.998 seconds and less are cut off, more make it the next minute. */
    private static Expr.Literal inMinutes(Expr.Literal moment) {
        Matcher seconds = SECONDS.matcher(moment.text());
        if (!seconds.matches()) {
            return moment;
        }
        try {
            LocalDateTime whole = LocalDateTime.parse(seconds.group(1).replace(' ', 'T'));
            boolean next = new BigDecimal(seconds.group(2)).compareTo(LAST_CUT) > 0;
            String minute = (next ? whole.plusMinutes(1) : whole).toString().replace('T', ' ');
            return new Expr.Literal(moment.kind(), minute + ":00", moment.span());
        } catch (DateTimeException noMoment) {
            return moment; // a day that is in no calendar, which the target refuses as the source does
        }
    }

    private static boolean isWhole(Expr.Literal typed, LogicalType type, ValueKind wanted) {
        return wanted == ValueKind.DATE
                ? typed.kind() == LiteralKind.DATE
                : typed.kind() == LiteralKind.TIMESTAMP && digits(typed.text()) <= precision(type);
    }

    private static int digits(String moment) {
        int dot = moment.indexOf('.');
        return dot < 0 ? 0 : moment.length() - dot - 1;
    }

    private static int precision(LogicalType type) {
        return type instanceof LogicalType.Timestamp t && !t.zoned() ? t.precision() : -1;
    }
}
