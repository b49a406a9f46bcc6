package raftcart.rewrite;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.Untranslatable;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Partitioning.Method;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.QueryMapper;

/**
 * A column by which rows are divided. Where the source divides by a rising function of it, as its year, the bounds are
 * those of the column itself.
 */
record PartitionKey(Expr.Column column, Reading reading) {
    /** MySQL's TO_DAYS of 1970-01-01 ("Date and Time Functions" of its manual). */
    private static final long DAYS_BEFORE_1970 = 719_528;

    private static final Pattern MOMENT =
            Pattern.compile("\\s*(\\d{4}-\\d\\d-\\d\\d)([ T]\\d\\d:\\d\\d:\\d\\d(?:\\.\\d+)?)?\\s*");

    /** How the column is read. */
    enum Reading {
        ITSELF,
        YEAR,
        DAYS,
        SECONDS
    }

    static PartitionKey of(Name name) {
        return new PartitionKey(new Expr.Column(new QualifiedName(List.of(name)), false, Span.NONE), Reading.ITSELF);
    }

    /** What an expression divides by: one column, or those within it where only their hash counts. */
    static List<PartitionKey> of(Expr e, Method method) {
        if (e instanceof Expr.Column column) {
            return List.of(new PartitionKey(column, Reading.ITSELF));
        }
        boolean one = e instanceof Expr.Call call
                && call.arguments().size() == 1
                && call.arguments().get(0) instanceof Expr.Column;
        if (method == Method.RANGE && one) {
            Expr.Call call = (Expr.Call) e;
            Expr.Column column = (Expr.Column) call.arguments().get(0);
            if (call.isAny("year", "extract_year")) {
                return List.of(new PartitionKey(column, Reading.YEAR));
            }
            if (call.isAny("to_days")) {
                return List.of(new PartitionKey(column, Reading.DAYS));
            }
            if (call.isAny("unix_timestamp")) {
                return List.of(new PartitionKey(column, Reading.SECONDS));
            }
        }
        if (method != Method.HASH) {
            throw new Untranslatable("it is by an expression");
        }
        List<PartitionKey> columns = new ArrayList<>();
        new QueryMapper() {
            @Override
            public Expr expr(Expr part) {
                if (part instanceof Expr.Column column) {
                    columns.add(new PartitionKey(column, Reading.ITSELF));
                }
                return super.expr(part);
            }
        }.expr(e);
        return columns;
    }

    /** The bound of the column that this bound of what is read of it stands for. */
    Expr ofColumn(Expr bound) {
        return switch (reading) {
            case ITSELF -> moment(bound);
            case YEAR -> {
                if (!(bound instanceof Expr.Literal l) || !l.isDigits(4)) {
                    throw new Untranslatable("a bound that is no year");
                }
                yield Expr.Literal.string("0".repeat(4 - l.text().length()) + l.text() + "-01-01");
            }
            case DAYS ->
                bound instanceof Expr.Literal l && l.kind() == LiteralKind.NUMBER && l.isDigits(7)
                        ? Expr.Literal.string(LocalDate.ofEpochDay(Long.parseLong(l.text()) - DAYS_BEFORE_1970)
                                .toString())
                        : inner(bound, "to_days");
            case SECONDS -> inner(bound, "unix_timestamp");
        };
    }

    private static Expr inner(Expr bound, String function) {
        boolean call = bound instanceof Expr.Call c
                && c.isAny(function)
                && c.arguments().size() == 1
                && c.arguments().get(0) instanceof Expr.Literal;
        if (!call) {
            throw new Untranslatable("a bound in seconds, whose day hangs on a zone, or that is computed");
        }
        return ((Expr.Call) bound).arguments().get(0);
    }

    /** A date that Oracle's catalog spells by TO_DATE and a mask, or with a blank before it. */
    private static Expr moment(Expr bound) {
        boolean converted = bound instanceof Expr.Call c
                && c.isAny("to_date", "to_timestamp")
                && !c.arguments().isEmpty()
                && c.arguments().get(0) instanceof Expr.Literal;
        Expr text = converted ? ((Expr.Call) bound).arguments().get(0) : bound;
        if (!(text instanceof Expr.Literal l) || l.kind() == LiteralKind.NUMBER) {
            return bound;
        }
        Matcher m = MOMENT.matcher(l.text());
        return m.matches() ? Expr.Literal.string(m.group(1) + (m.group(2) == null ? "" : m.group(2))) : bound;
    }
}
