package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Truth;

/** Variables of PL/pgSQL that hold arrays, whose items are assigned one by one. */
final class PlItems {
    private final PlCode pl;

    PlItems(PlCode pl) {
        this.pl = pl;
    }

    /** An item of an array; a place below the first, for which the target has none, is an error. */
    List<Statement> put(Expr.Subscript item, CodeStatement.Assign assign) {
        Expr.Column array = (Expr.Column) pl.code().target(item.array());
        Expr place = pl.meant(item.index().orElseThrow());
        Statement put = new CodeStatement.Assign(
                array,
                ArrayDocuments.put((Expr.Column) item.array(), place, pl.meant(assign.value()), pl.adapter()),
                assign.span());
        boolean constant =
                place instanceof Expr.Literal l && l.isDigits(9) && !l.text().equals("0");
        if (!constant || !((Expr.Literal) place).text().equals("1")) {
            pl.adapter()
                    .note(
                            FindingCode.SYNTAX_CHECK,
                            assign.span(),
                            "an array whose first item has another place than 1 has NULLs before it on the target");
        }
        if (constant) {
            return List.of(put);
        }
        Expr beyond =
                new Expr.Binary(BinaryOperator.LESS, pl.adapter().expr(place), Expr.Literal.number(1), assign.span());
        Expr none = new Expr.Is(pl.adapter().expr(place), Truth.NULL, false, assign.span());
        Statement fails = new CodeStatement.Signal(
                Optional.of("2202E"),
                Optional.of(Expr.Literal.string("an item before the first of an array")),
                List.of(),
                assign.span());
        Expr condition = new Expr.Junction(false, List.of(beyond, none), assign.span());
        return List.of(
                new CodeStatement.If(List.of(new Choice(condition, List.of(fails))), List.of(put), assign.span()));
    }
}
