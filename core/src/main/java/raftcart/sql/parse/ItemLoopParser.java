package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.Truth;

/** Reads FOREACH of PL/pgSQL. */
final class ItemLoopParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final Supplier<List<Statement>> rounds;

    /** @param rounds reads the statements of the loop */
    ItemLoopParser(Parsing parsing, Supplier<List<Statement>> rounds) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.rounds = rounds;
    }

    /** A loop over the items of an array ("Looping Through Arrays", PL/pgSQL): over the places of those that are listed. */
    Statement loop(Span span) {
        cursor.take();
        Expr target = new Expr.Column(parsing.qualifiedName(), false, span);
        cursor.expectWords("IN");
        cursor.expectWords("ARRAY");
        Expr array = parsing.expressions.expression();
        cursor.expectWords("LOOP");
        List<Statement> body = rounds.get();
        boolean listed = array instanceof Expr.ArrayItems a
                && !a.items().isEmpty()
                && a.items().stream().allMatch(i -> i instanceof Expr.Literal || isKept(i, body));
        cursor.expectWords("END", "LOOP");
        return listed ? places(((Expr.ArrayItems) array).items(), target, body, span) : rows(array, target, body, span);
    }

    /** A loop over the items of any array, as over the rows that they are; one that is NULL is an error. */
    private static Statement rows(Expr array, Expr target, List<Statement> rounds, Span span) {
        Name row = Name.of("row_" + span.line() + "_" + span.column() + "_");
        Expr.Call unnest = new Expr.Call(QualifiedName.of("unnest"), false, List.of(array), CallSuffix.NONE, span);
        TableRef.Alias alias =
                new TableRef.Alias(Name.of("items_"), List.of(Name.of("item_"), Name.of("place_")), List.of());
        TableRef items = new TableRef.Function(unnest, false, true, Optional.of(alias), span);
        Query query = Query.of(QueryBody.Select.of(
                        List.of(QueryBody.Item.of(Expr.Column.of("items_", "item_"))),
                        List.of(items),
                        Optional.empty()))
                .withOrder(List.of(new OrderItem(Expr.Column.of("items_", "place_"), false, OrderItem.Nulls.DEFAULT)));
        List<Statement> body =
                new ArrayList<>(List.of(new CodeStatement.Assign(target, Expr.Column.of(row.text(), "item_"), span)));
        body.addAll(rounds);
        Statement loop = new CodeStatement.ForRows(
                Optional.empty(), row, Optional.of(query), Optional.empty(), List.of(), body, span);
        if (array instanceof Expr.ArrayItems) {
            return loop;
        }
        Statement fails = new CodeStatement.Signal(
                Optional.of("22004"), Optional.of(Expr.Literal.string("FOREACH over NULL")), List.of(), span);
        Expr none = new Expr.Is(array, Truth.NULL, false, span);
        return new CodeStatement.If(List.of(new CodeStatement.Choice(none, List.of(fails))), List.of(loop), span);
    }

    private static Statement places(List<Expr> items, Expr target, List<Statement> rounds, Span span) {
        Name place = Name.of("item_" + span.line() + "_" + span.column() + "_");
        List<Expr.When> choices = new ArrayList<>();
        for (int i = 0; i < items.size(); i++) {
            choices.add(new Expr.When(Expr.Literal.number(i + 1), items.get(i)));
        }
        Expr value = new Expr.Case(Optional.of(Expr.Column.of(place.text())), choices, Optional.empty(), span);
        List<Statement> body = new ArrayList<>(List.of(new CodeStatement.Assign(target, value, span)));
        body.addAll(rounds);
        return new CodeStatement.ForRange(
                Optional.empty(),
                place,
                false,
                Expr.Literal.number(1),
                Expr.Literal.number(items.size()),
                Optional.empty(),
                body,
                span);
    }

    /** True for a variable that the rounds of a loop leave as it is: they assign no variable but others. */
    private static boolean isKept(Expr item, List<Statement> rounds) {
        return item instanceof Expr.Column
                && !StatementSearch.anyStatement(
                        rounds,
                        s -> s instanceof CodeStatement.Assign a && a.target().equals(item)
                                || s instanceof CodeStatement.SelectInto i
                                        && i.targets().contains(item)
                                || s instanceof CodeStatement.Fetch
                                || s instanceof CodeStatement.ChangeInto
                                || s instanceof CodeStatement.Dynamic
                                || s instanceof Statement.CallProcedure);
    }
}
