package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.TableRef;

/** Texts put together by T-SQL's {@code FOR XML PATH('')}, mostly with a separator before each that STUFF takes off. */
final class JoinedTexts {
    private JoinedTexts() {}

    /** The aggregate with its separator. */
    static Expr.Call separated(ExprAdapter adapter, Expr.Call call) {
        adapter.note(
                FindingCode.FUNCTION_DIFFERS,
                call.span(),
                "FOR XML PATH: the source writes &, < and > of the texts as entities");
        Expr separator = call.arguments().size() > 1 ? call.arguments().get(1) : Expr.Literal.string("");
        return call.with("string_agg", List.of(call.arguments().get(0), separator));
    }

    /** {@code STUFF((SELECT ', ' + x ... FOR XML PATH('')), 1, 2, '')} with the separator between the texts. */
    static Optional<Expr> withoutFirstSeparator(Expr.Call stuff) {
        List<Expr> a = stuff.arguments();
        boolean cuts = a.size() == 4
                && isText(a.get(1), "1")
                && a.get(2) instanceof Expr.Literal
                && isText(a.get(3), "")
                && a.get(0) instanceof Expr.Subquery;
        if (!cuts) {
            return Optional.empty();
        }
        Expr.Subquery subquery = (Expr.Subquery) a.get(0);
        boolean joined = subquery.query().body() instanceof Select s
                && s.items().size() == 1
                && s.items().get(0).value() instanceof Expr.Call c
                && c.is("joined_texts")
                && c.arguments().size() == 1;
        if (!joined) {
            return Optional.empty();
        }
        Select select = (Select) subquery.query().body();
        Expr.Call call = (Expr.Call) select.items().get(0).value();
        int length = Integer.parseInt(((Expr.Literal) a.get(2)).text());
        Optional<Select> rows = rows(select);
        Expr item =
                rows.map(r -> r.items().get(0).value()).orElse(call.arguments().get(0));
        Optional<Expr.Literal> separator = first(item).filter(l -> l.text().length() == length);
        if (separator.isEmpty()) {
            return Optional.empty();
        }
        Expr rest = withoutFirst((Expr.Binary) item);
        Expr value = rows.isPresent() ? call.arguments().get(0) : rest;
        Select changed = select.withItems(List.of(Item.of(call.with("joined_texts", List.of(value, separator.get())))));
        if (rows.isPresent()) {
            TableRef.Derived derived = (TableRef.Derived) select.from().get(0);
            Select inner = rows.get()
                    .withItems(List.of(new Item(rest, rows.get().items().get(0).alias())));
            changed = changed.withFrom(List.of(new TableRef.Derived(
                    derived.query().withBody(inner), derived.lateral(), derived.alias(), derived.span())));
        }
        return Optional.of(new Expr.Subquery(subquery.query().withBody(changed), stuff.span()));
    }

    /** The rows that are told apart before they are put together. */
    private static Optional<Select> rows(Select select) {
        boolean derived = select.from().size() == 1
                && select.from().get(0) instanceof TableRef.Derived d
                && d.alias().filter(a -> a.name().text().equals("rows_")).isPresent();
        return derived
                ? Optional.of((Select)
                        ((TableRef.Derived) select.from().get(0)).query().body())
                : Optional.empty();
    }

    private static boolean isText(Expr e, String text) {
        return e instanceof Expr.Literal l && l.text().equals(text);
    }

    /** The text that a sum begins with. */
    private static Optional<Expr.Literal> first(Expr e) {
        if (!(e instanceof Expr.Binary sum) || sum.operator() != BinaryOperator.ADD) {
            return Optional.empty();
        }
        return sum.left() instanceof Expr.Literal l && l.kind() == LiteralKind.STRING
                ? Optional.of(l)
                : first(sum.left());
    }

    private static Expr withoutFirst(Expr.Binary sum) {
        return sum.left() instanceof Expr.Literal
                ? sum.right()
                : new Expr.Binary(sum.operator(), withoutFirst((Expr.Binary) sum.left()), sum.right(), sum.span());
    }
}
