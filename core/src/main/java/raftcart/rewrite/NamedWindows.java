package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody.NamedWindow;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryMapper;
import raftcart.sql.tree.Window;

/** The windows of a WINDOW clause, put where they are named, for targets without the clause. */
final class NamedWindows extends QueryMapper {
    private final List<NamedWindow> windows;

    private NamedWindows(List<NamedWindow> windows) {
        this.windows = windows;
    }

    static Query rewrite(Query query, ExprAdapter adapter) {
        boolean concerns =
                query.body() instanceof Select s && !s.windows().isEmpty() && !adapter.to.has(SqlFeature.WINDOW_CLAUSE);
        if (!concerns) {
            return query;
        }
        Select select = (Select) query.body();
        adapter.note(FindingCode.SYNTAX_ADAPTED, select.span(), "each window where it is named");
        NamedWindows mapper = new NamedWindows(select.windows());
        Select plain = new Select(
                select.distinct(),
                mapper.exprs(select.distinctOn()),
                mapper.items(select.items()),
                select.from(),
                select.where(),
                select.hierarchy(),
                select.groupBy(),
                select.having(),
                List.of(),
                mapper.optional(select.qualify()),
                select.span());
        return query.withBody(plain).withOrder(mapper.order(query.order()));
    }

    @Override
    public Query query(Query query) {
        return query; // which has windows of its own
    }

    @Override
    public Expr expr(Expr e) {
        Expr inner = super.expr(e);
        return inner instanceof Expr.Call call && call.suffix().over().isPresent()
                ? new Expr.Call(
                        call.name(),
                        call.canonical(),
                        call.arguments(),
                        call.suffix().withOver(resolved(call.suffix().over().get())),
                        call.span())
                : inner;
    }

    /** A window with what the one on which it builds says (SQL:2016, 7.15). */
    private Window resolved(Window window) {
        Optional<Window> base = window.base().flatMap(b -> windows.stream()
                .filter(w -> w.name().matches(b))
                .map(w -> resolved(w.window()))
                .findFirst());
        return base.map(b -> new Window(
                        Optional.empty(),
                        b.partition(),
                        window.order().isEmpty() ? b.order() : window.order(),
                        window.isReference() ? b.frame() : window.frame()))
                .orElse(window);
    }
}
