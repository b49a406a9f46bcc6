package raftcart.rewrite;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.ForRange;
import raftcart.sql.tree.CodeStatement.ForRows;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** Loops over rows and over whole numbers, whose variable is there within them alone. */
final class CodeLoops {
    private final CodeAdapter code;
    private final QueryAdapter adapter;

    CodeLoops(CodeAdapter code) {
        this.code = code;
        this.adapter = code.adapter();
    }

    Statement loop(CodeStatement loop) {
        Scope before = adapter.scope;
        adapter.scope = new Scope(Optional.of(before));
        code.frame().enter();
        try {
            return loop instanceof ForRange range ? range(range) : rows((ForRows) loop);
        } finally {
            code.frame().leave();
            adapter.scope = before;
        }
    }

    private Statement range(ForRange range) {
        var from = adapter.expr(range.from());
        var to = adapter.expr(range.to());
        Optional<LogicalType> whole = Optional.of(new LogicalType.Int(32, false));
        code.frame().declare(new KnownColumn(range.variable(), whole, true, false));
        adapter.scope.add(Scope.Relation.ofVariables("", code.frame().facts()));
        return new ForRange(
                range.label(),
                range.variable(),
                range.reverse(),
                from,
                to,
                range.step().map(adapter::expr),
                code.statements(range.body()),
                range.span());
    }

    private Statement rows(ForRows rows) {
        if (rows.query().isEmpty()) {
            return ofCursor(rows);
        }
        Query query = rows.query().get();
        List<Scope.ColumnFacts> columns = adapter.finder.columns(query, adapter.scope);
        Query adapted = adapter.query(query);
        Map<String, Scope.ColumnFacts> facts = new LinkedHashMap<>();
        columns.forEach(c -> facts.put(c.name().toLowerCase(Locale.ROOT), c));
        adapter.scope.add(new Scope.Relation(rows.row().text(), facts, !facts.isEmpty()));
        Statement loop = new ForRows(
                rows.label(),
                rows.row(),
                Optional.of(adapted),
                Optional.empty(),
                List.of(),
                code.statements(rows.body()),
                rows.span());
        // The row has to be declared, and is there within the loop alone.
        Declaration row =
                new Declaration.Variable(rows.row(), TypeName.of("record"), Optional.empty(), false, rows.span());
        return new Block(Optional.empty(), List.of(row), List.of(), List.of(loop), List.of(), rows.span());
    }

    /** A loop over the rows of a cursor, which opens and closes it and declares its row by itself. */
    private Statement ofCursor(ForRows rows) {
        Name cursor = rows.cursor().orElseThrow();
        if (!code.frame().isCursor(cursor)) {
            throw CodeAdapter.at(rows.span(), "FOR over " + cursor.text() + ", which is no cursor that is known");
        }
        var arguments = rows.arguments().stream().map(adapter::expr).toList();
        Map<String, Scope.ColumnFacts> facts = new LinkedHashMap<>();
        code.frame().cursor(cursor).forEach(c -> facts.put(c.name().toLowerCase(Locale.ROOT), c));
        adapter.scope.add(new Scope.Relation(rows.row().text(), facts, !facts.isEmpty()));
        CodeCursors cursors = code.cursors();
        List<Statement> body = new ArrayList<>(cursors.inLoop(cursor, rows.span()));
        body.addAll(code.statements(rows.body()));
        Statement loop =
                new ForRows(rows.label(), rows.row(), Optional.empty(), rows.cursor(), arguments, body, rows.span());
        List<Statement> before = cursors.beforeLoop(cursor, rows.span());
        if (before.isEmpty() && body.size() == rows.body().size()) {
            return loop;
        }
        List<Statement> all = new ArrayList<>(before);
        all.add(loop);
        all.addAll(cursors.afterLoop(cursor, rows.span()));
        return Block.of(all, rows.span());
    }
}
