package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.catalog.Clauses;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem.Nulls;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.IndexPart;
import raftcart.sql.tree.TableParts.Reference;
import raftcart.sql.tree.TableParts.TableConstraint;

/** Adapts constraints: keys, checks, and what foreign keys do. */
final class ConstraintAdapter {
    /** What SQLite does with rows in conflict other than to refuse them ("The ON CONFLICT Clause"). */
    private static final Pattern CONFLICTS = Pattern.compile("(?i)on conflict (ignore|replace)");

    private final QueryAdapter adapter;

    ConstraintAdapter(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    private boolean has(SqlFeature feature) {
        return adapter.to.has(feature);
    }

    /** The adapted check; where checks read no clock, they write no dates in the language of the session either. */
    static Expr steady(Expr check, ExprAdapter adapter) {
        boolean written = !adapter.to.has(SqlFeature.CHECKS_READ_CLOCK)
                && !adapter.from.name().equals(adapter.to.name())
                && ExprSearch.anyOutside(e -> false, check, e -> e instanceof Expr.Call c && c.is("format_date"));
        if (written) {
            throw new Untranslatable("a check that writes a date as a text");
        }
        return check;
    }

    static boolean readsClock(Expr check) {
        return ExprSearch.any(
                check,
                e -> e instanceof Expr.CurrentTime
                        || e instanceof Expr.Column c
                                && c.name().parts().size() == 1
                                && c.name().last().key().matches("sysdate|systimestamp"));
    }

    private static boolean isIdle(String action) {
        return action.matches("|NO ACTION|RESTRICT");
    }

    /** The columns of the primary key, where they have to be named. */
    private Reference named(Reference reference, TableConstraint c) {
        if (!reference.columns().isEmpty() || !has(SqlFeature.REFERENCES_NAME_COLUMNS)) {
            return reference;
        }
        List<Name> columns = adapter.knowledge
                .table(reference.table())
                .flatMap(t -> t.keys().stream().findFirst())
                .orElse(List.of());
        if (columns.isEmpty()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK, c.span(), "name the columns of " + reference.table() + " that are meant");
        }
        return new Reference(
                reference.table(),
                columns,
                reference.onDelete(),
                reference.onUpdate(),
                reference.match(),
                reference.cleared());
    }

    private Reference reference(Reference given, TableConstraint c) {
        Reference reference = named(given, c);
        boolean deletes = has(SqlFeature.FOREIGN_KEY_ACTIONS) || isIdle(reference.onDelete());
        boolean updates =
                has(SqlFeature.FOREIGN_KEY_ACTIONS) && has(SqlFeature.ON_UPDATE_ACTION) || isIdle(reference.onUpdate());
        if (deletes && updates) {
            return reference;
        }
        String lost = (deletes ? "" : " ON DELETE " + reference.onDelete())
                + (updates ? "" : " ON UPDATE " + reference.onUpdate());
        adapter.note(
                FindingCode.SYNTAX_CHECK, c.span(), "the foreign key to " + reference.table() + " does without" + lost);
        return new Reference(
                reference.table(),
                reference.columns(),
                deletes ? reference.onDelete() : "",
                updates ? reference.onUpdate() : "",
                reference.match(),
                reference.cleared());
    }

    /** Says where NULLs in a unique key are duplicates of each other on one engine only. */
    void nulls(List<IndexPart> parts, SqlFeature one, Span span) {
        boolean nullable = parts.stream().anyMatch(p -> adapter.facts(p.value())
                .filter(Scope.ColumnFacts::notNull)
                .isEmpty());
        boolean partly = parts.size() > 1
                && adapter.from.has(SqlFeature.NULLS_ARE_DUPLICATES_IN_PART)
                        != adapter.to.has(SqlFeature.NULLS_ARE_DUPLICATES_IN_PART);
        if (nullable && (partly || adapter.from.has(one) != adapter.to.has(one))) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    span,
                    "one engine takes two NULLs in the key for duplicates, the other does not");
        }
    }

    /** Says where a key alone takes texts that differ in case for duplicates, for a target that cannot say so. */
    void withoutCase(List<IndexPart> parts, Span span) {
        if (parts.stream().anyMatch(IndexPart::ignoresCase)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    span,
                    "texts that differ in case alone are duplicates on the source only");
        }
    }

    /** Says that a clause is left out; {@code of} stands before it. */
    static void sayLeftOut(String clause, String of, Span span, ExprAdapter adapter) {
        boolean passes = CONFLICTS.matcher(clause).matches();
        boolean check = passes || Clauses.hasMeaning(clause);
        String left = passes ? "left out, so that rows in conflict are refused: " : check ? "left out: " : "";
        adapter.note(check ? FindingCode.SYNTAX_CHECK : FindingCode.PHYSICAL_CLAUSES, span, of + left + clause);
    }

    /** Says so and is true where the target goes without the whole constraint. */
    private boolean goesWithout(TableConstraint c) {
        if (c.kind() == ConstraintKind.EXCLUDE && !adapter.same()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    c.span(),
                    "a constraint that nothing else can say is left out: "
                            + c.leftOut().get(0));
            return true;
        }
        if (c.reference().filter(this::refersToNoKey).isPresent()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    c.span(),
                    "a reference to columns of " + c.reference().get().table() + " that are no key of it is left out");
            return true;
        }
        for (String clause : c.leftOut()) {
            sayLeftOut(clause, "", c.span(), adapter);
        }
        if (c.disabled()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK, c.span(), "a constraint that is switched off on the source is left out");
            return true;
        }
        if (c.check().isPresent()
                && !has(SqlFeature.CHECKS_READ_CLOCK)
                && readsClock(c.check().get())) {
            adapter.note(FindingCode.SYNTAX_CHECK, c.span(), "a check that reads the time of day is left out");
            return true;
        }
        return false;
    }

    /** True for columns of a known table that make no key, which some engines let others refer to. */
    private boolean refersToNoKey(Reference reference) {
        return adapter.lost(SqlFeature.REFERENCES_ANY_INDEX)
                && !reference.columns().isEmpty()
                && adapter.knowledge
                        .table(reference.table())
                        .filter(t -> t.keys().stream().noneMatch(k -> isOf(k, reference.columns())))
                        .isPresent();
    }

    private static boolean isOf(List<Name> key, List<Name> columns) {
        return key.size() == columns.size()
                && key.stream().allMatch(k -> columns.stream().anyMatch(k::matches));
    }

    /** Says where the target checks a key that the source did not. */
    private void sayUnchecked(TableConstraint c) {
        boolean key = c.kind() == ConstraintKind.PRIMARY_KEY || c.kind() == ConstraintKind.UNIQUE;
        boolean reference = c.kind() == ConstraintKind.FOREIGN_KEY;
        if (key && adapter.lost(SqlFeature.KEYS_ARE_PROMISES)) {
            adapter.note(FindingCode.UNCHECKED_KEY, c.span(), "rows that have the same key are refused now");
        } else if (reference && adapter.lost(SqlFeature.REFERENCES_ARE_PROMISES)) {
            adapter.note(FindingCode.UNCHECKED_KEY, c.span(), "rows that refer to nothing are refused now");
        }
    }

    Optional<TableConstraint> constraint(TableConstraint c) {
        if (goesWithout(c)) {
            return Optional.empty();
        }
        if (c.kind() == ConstraintKind.UNIQUE && !adapter.same()) {
            nulls(c.parts(), SqlFeature.UNIQUE_KEYS_TAKE_ONE_NULL, c.span());
            withoutCase(c.parts(), c.span());
            new TextRules(adapter).known(c.parts().stream().map(IndexPart::value), c.span(), "UNIQUE");
        }
        sayUnchecked(c);
        List<IndexPart> parts = c.parts().stream()
                .map(p -> new IndexPart(
                        p.value(), has(SqlFeature.PREFIX_INDEXES) ? p.prefix() : 0, false, Nulls.DEFAULT, List.of()))
                .toList();
        if (c.parts().stream().anyMatch(p -> p.prefix() > 0) && !has(SqlFeature.PREFIX_INDEXES)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    c.span(),
                    "the whole column for its beginning in a key, which lets more in");
        }
        Optional<Expr> check = c.check().flatMap(e -> new UnsaidParts(adapter)
                .expression(
                        "the check" + c.name().map(n -> " " + n.text()).orElse(""),
                        c.span(),
                        () -> steady(DocumentChecks.of(adapter.exactCondition(e), adapter), adapter)));
        if (check.isEmpty() && c.check().isPresent()) {
            return Optional.empty();
        }
        return Optional.of(new TableConstraint(
                c.kind(),
                c.name(),
                parts,
                check,
                c.reference().map(r -> reference(r, c)),
                c.deferrable(),
                c.initiallyDeferred(),
                false,
                List.of(),
                c.span()));
    }
}
