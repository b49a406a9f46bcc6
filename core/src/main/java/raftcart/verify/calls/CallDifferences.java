package raftcart.verify.calls;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.engine.ResultRows;

/** What differs between what a call gave on the source and on the target. */
public final class CallDifferences {
    private static final int MOST = 5;
    private static final int LONGEST = 60;
    private static final Comparator<List<Optional<String>>> BY_TEXT = Comparator.comparing(CallDifferences::sortKey);

    private final List<String> found = new ArrayList<>();
    private int more;

    private CallDifferences() {}

    /**
     * Compares.
     *
     * @param anyOrder true where rows may come in another order
     */
    public static List<String> between(CallResult source, CallResult target, boolean anyOrder) {
        CallDifferences all = new CallDifferences();
        if (source.failure().isPresent() || target.failure().isPresent()) {
            all.failures(source, target);
        } else if (source.results().size() != target.results().size()) {
            all.add(said(source) + " on the source, " + said(target) + " on the target");
        } else {
            for (int i = 0; i < source.results().size(); i++) {
                String place = source.results().size() > 1 ? "result " + (i + 1) + ": " : "";
                all.rows(place, source.results().get(i), target.results().get(i), anyOrder);
            }
        }
        if (all.more > 0) {
            all.found.add("and " + all.more + " more");
        }
        return all.found;
    }

    private void add(String difference) {
        if (found.size() < MOST) {
            found.add(difference);
        } else {
            more++;
        }
    }

    private void failures(CallResult source, CallResult target) {
        if (source.failure().isEmpty()) {
            add("fails on the target: " + target.failure().orElseThrow().shown() + "; the source gives "
                    + said(source));
        } else if (target.failure().isEmpty()) {
            add("fails on the source: " + source.failure().orElseThrow().shown() + "; the target gives "
                    + said(target));
        } else if (!source.failure().get().isLike(target.failure().get())) {
            add("fails otherwise: " + source.failure().get().shown() + " on the source, "
                    + target.failure().get().shown() + " on the target");
        }
    }

    private static String said(CallResult result) {
        if (result.results().isEmpty()) {
            return "no rows";
        }
        return result.results().stream()
                .map(r -> r.rows().size() == 1 ? "1 row" : r.rows().size() + " rows")
                .collect(Collectors.joining(" and "));
    }

    private void rows(String place, ResultRows source, ResultRows target, boolean anyOrder) {
        if (source.columns().size() != target.columns().size()) {
            add(place + source.columns().size() + " columns on the source, "
                    + target.columns().size() + " on the target");
            return;
        }
        for (int i = 0; i < source.columns().size() && source.columns().size() > 1; i++) {
            String one = source.columns().get(i);
            String other = target.columns().get(i);
            if (!one.isBlank() && !other.isBlank() && !one.equalsIgnoreCase(other)) {
                add(place + "column " + (i + 1) + " is called " + one + " on the source, " + other + " on the target");
            }
        }
        if (source.rows().size() != target.rows().size()) {
            add(place + source.rows().size() + " rows on the source, "
                    + target.rows().size() + " on the target");
            return;
        }
        List<List<Optional<String>>> ones = inOrder(source, anyOrder);
        List<List<Optional<String>>> others = inOrder(target, anyOrder);
        if (!anyOrder && !same(source, ones, target, others) && sameInAnyOrder(source, target)) {
            add(place + "the same rows in another order; say `order: any` where it does not matter");
            return;
        }
        for (int row = 0; row < ones.size(); row++) {
            values(
                    place + (ones.size() > 1 ? "row " + (row + 1) + ", " : ""),
                    source,
                    ones.get(row),
                    target,
                    others.get(row));
        }
    }

    private static boolean sameInAnyOrder(ResultRows source, ResultRows target) {
        return same(source, inOrder(source, true), target, inOrder(target, true));
    }

    private static List<List<Optional<String>>> inOrder(ResultRows rows, boolean anyOrder) {
        return anyOrder ? rows.rows().stream().sorted(BY_TEXT).toList() : rows.rows();
    }

    private static String sortKey(List<Optional<String>> row) {
        return row.stream().map(v -> v.map(t -> "1" + t).orElse("0")).collect(Collectors.joining("\0"));
    }

    private static boolean same(
            ResultRows source,
            List<List<Optional<String>>> ones,
            ResultRows target,
            List<List<Optional<String>>> others) {
        for (int row = 0; row < ones.size(); row++) {
            for (int i = 0; i < source.columns().size(); i++) {
                if (!same(
                        source, target, i, ones.get(row).get(i), others.get(row).get(i))) {
                    return false;
                }
            }
        }
        return true;
    }

    private void values(
            String place,
            ResultRows source,
            List<Optional<String>> one,
            ResultRows target,
            List<Optional<String>> other) {
        for (int i = 0; i < one.size(); i++) {
            if (!same(source, target, i, one.get(i), other.get(i))) {
                String column = source.columns().get(i).isBlank()
                        ? target.columns().get(i)
                        : source.columns().get(i);
                add(place + (one.size() > 1 ? column + ": " : "") + shown(one.get(i)) + " on the source, "
                        + shown(other.get(i)) + " on the target");
            }
        }
    }

    /** Numbers are the same by their value, also where only one side calls them numbers. */
    private static boolean same(
            ResultRows source, ResultRows target, int column, Optional<String> one, Optional<String> other) {
        if (one.equals(other)) {
            return true;
        }
        boolean numbers = source.numbers().get(column) || target.numbers().get(column);
        if (!numbers || one.isEmpty() || other.isEmpty()) {
            return false;
        }
        try {
            return new BigDecimal(one.get().strip())
                            .compareTo(new BigDecimal(other.get().strip()))
                    == 0;
        } catch (NumberFormatException e) {
            return false;
        }
    }

    /** A value that shows where it begins and ends, and its control characters. */
    private static String shown(Optional<String> value) {
        if (value.isEmpty()) {
            return "NULL";
        }
        StringBuilder text = new StringBuilder("'");
        value.get().codePoints().limit(LONGEST).forEach(c -> {
            if (Character.isISOControl(c)) {
                text.append(String.format("\\u%04x", c));
            } else {
                text.appendCodePoint(c);
            }
        });
        return text + (value.get().codePointCount(0, value.get().length()) > LONGEST ? "…'" : "'");
    }
}
