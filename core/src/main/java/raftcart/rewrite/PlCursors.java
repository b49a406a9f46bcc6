package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.CodeStatement.Handler;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Statement;

/** Cursors of PL/pgSQL, whose end is no condition but leaves FOUND false and the variables NULL ("Cursors"). */
final class PlCursors {
    private final PlCode pl;
    private final QueryAdapter adapter;

    PlCursors(PlCode pl) {
        this.pl = pl;
        this.adapter = pl.adapter();
    }

    Declaration declared(Declaration.Cursor cursor) {
        if (!cursor.parameters().isEmpty() && !adapter.to.has(SqlFeature.ROW_VARIABLES)) {
            throw CodeAdapter.at(cursor.span(), "a cursor with parameters");
        }
        Scope before = adapter.scope;
        adapter.scope = new Scope(Optional.of(before));
        pl.frame().enter();
        try {
            List<Parameter> parameters = new ArrayList<>();
            for (Parameter p : cursor.parameters()) {
                KnownColumn known = pl.code().known(p.name(), p.type());
                pl.frame().declare(known);
                parameters.add(new Parameter(
                        p.mode(),
                        p.name(),
                        pl.code().written(p.name(), known.type().orElseThrow()),
                        Optional.empty()));
            }
            adapter.scope.add(
                    Scope.Relation.ofVariables(cursor.name().text(), pl.frame().facts()));
            pl.frame().reads(cursor.name(), cursor.query());
            pl.frame().goes(cursor.name(), adapter.finder.columns(cursor.query(), adapter.scope));
            return new Declaration.Cursor(cursor.name(), parameters, adapter.query(cursor.query()), cursor.span());
        } finally {
            pl.frame().leave();
            adapter.scope = before;
        }
    }

    Statement step(CodeStatement.CursorStep step) {
        if (step.query().isPresent()) {
            throw CodeAdapter.at(step.span(), "a cursor that is handed on, or opened for several queries");
        }
        return new CodeStatement.CursorStep(
                step.opens(),
                step.cursor(),
                step.arguments().stream().map(a -> adapter.expr(pl.meant(a))).toList(),
                Optional.empty(),
                step.span());
    }

    /** The next row; behind the last one there is none, which is no error. */
    List<Statement> fetch(CodeStatement.Fetch fetch) {
        Span span = fetch.span();
        List<Expr> targets = new PlRecords(pl).targets(fetch.targets());
        if (new PlRecords(pl).held(fetch.targets()).isPresent()) {
            pl.frame()
                    .isAt(
                            fetch.cursor(),
                            ((Expr.Column) fetch.targets().get(0)).name().last());
        }
        Expr found = Expr.Column.of(PlCode.FOUND.text());
        Statement read = new CodeStatement.Fetch(fetch.cursor(), targets, span);
        List<Statement> all = new ArrayList<>(noting(read, span));
        List<Statement> cleared = new PlRecords(pl).cleared(fetch.targets(), span);
        Expr missing = new Expr.Binary(BinaryOperator.EQUAL, found, Expr.Literal.number(0), span);
        all.add(new CodeStatement.If(List.of(new Choice(missing, cleared)), List.of(), span));
        return all;
    }

    /** What reads a row, with a note of whether there was one. */
    List<Statement> noting(Statement read, Span span) {
        Expr found = Expr.Column.of(PlCode.FOUND.text());
        Statement none = new CodeStatement.Assign(found, Expr.Literal.number(0), span);
        Handler end = new Handler(false, List.of(new Condition(Condition.Kind.NOT_FOUND, "")), none, span);
        return List.of(
                new CodeStatement.Assign(found, Expr.Literal.number(1), span),
                new Block(Optional.empty(), List.of(), List.of(end), List.of(read), List.of(), span));
    }

    /** What reads a row into variables of which it asks itself, so that they become NULL only where there is none. */
    List<Statement> clearing(Statement read, List<Statement> cleared, Span span) {
        List<Statement> none = new ArrayList<>(cleared);
        List<Statement> all = new ArrayList<>();
        if (pl.asksForFound()) {
            Expr found = Expr.Column.of(PlCode.FOUND.text());
            none.add(new CodeStatement.Assign(found, Expr.Literal.number(0), span));
            all.add(new CodeStatement.Assign(found, Expr.Literal.number(1), span));
        }
        Handler end =
                new Handler(false, List.of(new Condition(Condition.Kind.NOT_FOUND, "")), Block.of(none, span), span);
        all.add(new Block(Optional.empty(), List.of(), List.of(end), List.of(read), List.of(), span));
        return all;
    }

    /** A query that has to give one row: none is an error of its own, several are one anyway. */
    Statement strict(CodeStatement.SelectInto read) {
        Span span = read.span();
        Statement error = new CodeStatement.Signal(
                Optional.of("P0002"), Optional.of(Expr.Literal.string("query returned no rows")), List.of(), span);
        Handler none = new Handler(true, List.of(new Condition(Condition.Kind.NOT_FOUND, "")), error, span);
        Statement one = new CodeStatement.SelectInto(read.query(), read.targets(), Expected.AT_MOST_ONE, span);
        return new Block(Optional.empty(), List.of(), List.of(none), List.of(one), List.of(), span);
    }
}
