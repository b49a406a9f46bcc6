package raftcart.rewrite;

import java.math.BigInteger;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TableRef;

/** Series between constants: those of numbers as tables of their own (MariaDB, "Sequence Storage Engine"). */
final class ConstantSeries {
    private static final Pattern TABLE = Pattern.compile("seq_([0-9]+)_to_([0-9]+)(?:_step_([1-9][0-9]*))?");
    private static final int MOST_DIGITS = 9;
    private static final int FEW_ROUNDS = 1000;

    private ConstantSeries() {}

    /** The table of a series, if it counts upwards between whole numbers. */
    static Optional<TableRef.Table> of(Expr first, Expr last, Expr step) {
        boolean counts = isWhole(first) && isWhole(last) && isWhole(step) && number(step) > 0;
        if (!counts || number(first) > number(last)) {
            return Optional.empty();
        }
        String name = "seq_" + number(first) + "_to_" + number(last);
        return Optional.of(
                TableRef.Table.of(QualifiedName.of(number(step) == 1 ? name : name + "_step_" + number(step))));
    }

    /** The series that such a table holds, under the name of its column; it counts downwards where the last is the smaller. */
    static Optional<TableRef.Function> of(TableRef.Table table) {
        Matcher name = TABLE.matcher(table.name().key());
        if (!name.matches() || table.sample().isPresent()) {
            return Optional.empty();
        }
        boolean down = new BigInteger(name.group(1)).compareTo(new BigInteger(name.group(2))) > 0;
        String step = name.group(3) == null ? "1" : name.group(3);
        List<Expr> limits = Stream.of(name.group(1), name.group(2), down ? "-" + step : step)
                .<Expr>map(n -> new Expr.Literal(LiteralKind.NUMBER, n, table.span()))
                .limit(down || !step.equals("1") ? 3 : 2)
                .toList();
        Name alias = table.alias().map(TableRef.Alias::name).orElse(table.name().last());
        return Optional.of(new TableRef.Function(
                new Expr.Call(QualifiedName.of("series"), true, limits, CallSuffix.NONE, table.span()),
                false,
                false,
                Optional.of(new TableRef.Alias(alias, List.of(Name.of("seq")), List.of())),
                table.span()));
    }

    private static boolean isWhole(Expr e) {
        return e instanceof Expr.Literal l && l.kind() == LiteralKind.NUMBER && l.isDigits(MOST_DIGITS);
    }

    private static int number(Expr e) {
        return Integer.parseInt(((Expr.Literal) e).text());
    }

    /** True for a series of days or longer steps between two constant days that are not far apart. */
    static boolean isShort(List<Expr> arguments) {
        boolean days = arguments.size() > 2
                && arguments.get(2) instanceof Expr.Interval step
                && step.parts().stream().noneMatch(p -> p.unit().compareTo(DateUnit.DAY) > 0);
        try {
            return days && ChronoUnit.DAYS.between(day(arguments.get(0)), day(arguments.get(1))) <= FEW_ROUNDS;
        } catch (DateTimeParseException e) {
            return false; // no constants
        }
    }

    private static LocalDate day(Expr e) {
        Expr value = e instanceof Expr.Cast cast ? cast.value() : e;
        String text = value instanceof Expr.Literal l ? l.text().strip() : "";
        return LocalDate.parse(text.length() > 10 ? text.substring(0, 10) : text);
    }
}
