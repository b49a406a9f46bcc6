package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateView.CheckOption;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableRef;

/** Adapts views. */
final class ViewAdapter {
    private final QueryAdapter adapter;
    private final StructureAdapter structure;

    ViewAdapter(QueryAdapter adapter, StructureAdapter structure) {
        this.adapter = adapter;
        this.structure = structure;
    }

    private boolean has(SqlFeature feature) {
        return adapter.to.has(feature);
    }

    List<Statement> view(DdlStatement.CreateView view) {
        List<Scope.ColumnFacts> columns = adapter.finder.columns(view.query(), adapter.scope);
        if (!columns.isEmpty()) {
            List<Knowledge.KnownColumn> known = new ArrayList<>();
            for (int i = 0; i < columns.size(); i++) {
                Scope.ColumnFacts c = columns.get(i);
                raftcart.sql.tree.Name name =
                        i < view.columns().size() ? view.columns().get(i) : raftcart.sql.tree.Name.of(c.name());
                known.add(new Knowledge.KnownColumn(
                        name, c.type().or(() -> ColumnFactory.ofKind(c.kind())), c.notNull(), c.ignoresCase()));
            }
            adapter.knowledge.add(view.name(), known, List.of());
        }
        Query query =
                adapter.query(view.columns().isEmpty() ? new ItemNames(adapter).named(view.query()) : view.query());
        if (adapter.same()) {
            return List.of(with(view, query, view.orReplace(), view.check(), view.ifNotExists(), view.temporary()));
        }
        leftOut(view);
        List<Statement> all = new ArrayList<>();
        boolean replace = view.orReplace() && has(SqlFeature.OR_REPLACE_VIEW);
        if (view.orReplace() && !replace) {
            boolean ifExists = has(SqlFeature.IF_EXISTS);
            if (ifExists) {
                all.add(new DdlStatement.Drop(
                        "VIEW", List.of(view.name()), true, false, Optional.empty(), view.span()));
            } else {
                adapter.note(FindingCode.SYNTAX_CHECK, view.span(), "OR REPLACE is left out; drop the view first");
            }
        }
        if (view.temporary() && !has(SqlFeature.TEMPORARY_VIEWS)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK, view.span(), "the view stays after the session, and all sessions see it");
        }
        CheckOption check = check(view);
        boolean ifNotExists = view.ifNotExists() && structure.canSayIf(SqlFeature.VIEW_IF_NOT_EXISTS, view);
        all.add(with(view, query, replace, check, ifNotExists, view.temporary() && has(SqlFeature.TEMPORARY_VIEWS)));
        return all;
    }

    /** Clauses that the target goes without; whose rights the view reads with is not one of storage. */
    private void leftOut(DdlStatement.CreateView view) {
        for (String clause : view.leftOut()) {
            String lower = clause.toLowerCase(Locale.ROOT);
            if (lower.matches("algorithm *= *undefined|sql security definer")) {
                continue; // what goes without saying, but dumps say it
            }
            if (lower.contains("invoker") || lower.contains("current_user")) {
                adapter.note(
                        FindingCode.SYNTAX_CHECK,
                        view.span(),
                        "the view reads with the rights of its owner, on the source with those of who asks: " + clause);
            } else if (lower.contains("security_barrier")) {
                adapter.note(
                        FindingCode.SYNTAX_CHECK,
                        view.span(),
                        "functions of a query may see rows that the view does not show: " + clause);
            } else {
                structure.leftOut(List.of(clause), view);
            }
        }
    }

    /** What the view says of rows that it would not show, as far as the target has that. */
    private CheckOption check(DdlStatement.CreateView view) {
        CheckOption check = view.check();
        if (check == CheckOption.READ_ONLY && !has(SqlFeature.VIEW_READ_ONLY)) {
            adapter.note(FindingCode.PRIVILEGE, view.span(), "WITH READ ONLY: grant nothing but SELECT on the view");
            check = CheckOption.NONE;
        }
        if ((check == CheckOption.LOCAL || check == CheckOption.CASCADED) && !has(SqlFeature.VIEW_CHECK_OPTION)) {
            adapter.note(FindingCode.SYNTAX_CHECK, view.span(), "WITH CHECK OPTION is left out");
            check = CheckOption.NONE;
        }
        boolean checks = check == CheckOption.LOCAL || check == CheckOption.CASCADED;
        if (checks && !has(SqlFeature.CHECK_OPTION_OF_JOINS) && !isOfOneTable(view.query())) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    view.span(),
                    "WITH CHECK OPTION is left out: rows of such a view are not changed through it on the target");
            check = CheckOption.NONE;
        }
        if (check == CheckOption.LOCAL && !has(SqlFeature.VIEW_LOCAL_CHECK)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    view.span(),
                    "WITH CHECK OPTION looks at the conditions of the views below too");
            check = CheckOption.CASCADED;
        }
        return check;
    }

    /** True for the plain rows of one table, which every engine lets views change (SQL:2016, 7.16). */
    private static boolean isOfOneTable(Query query) {
        return query.body() instanceof QueryBody.Select select
                && query.with().isEmpty()
                && query.paging().isEmpty()
                && !select.distinct()
                && select.groupBy().isEmpty()
                && select.having().isEmpty()
                && select.from().size() == 1
                && select.from().get(0) instanceof TableRef.Table;
    }

    private static DdlStatement.CreateView with(
            DdlStatement.CreateView view,
            Query query,
            boolean replace,
            CheckOption check,
            boolean ifNotExists,
            boolean temporary) {
        return new DdlStatement.CreateView(
                view.name(),
                replace,
                ifNotExists,
                view.materialized(),
                temporary,
                view.recursive(),
                view.columns(),
                query,
                check,
                List.of(),
                view.span());
    }
}
