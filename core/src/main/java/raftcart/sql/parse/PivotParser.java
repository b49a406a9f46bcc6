package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.Alias;

/** Reads PIVOT and UNPIVOT. */
final class PivotParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final TableParser tables;

    PivotParser(Parsing parsing, TableParser tables) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.tables = tables;
    }

    TableRef pivot(TableRef source) {
        Span span = cursor.take().span();
        cursor.expectSymbol("(");
        List<Item> aggregates = parsing.list(tables::aliased);
        cursor.expectWords("FOR");
        List<Expr> by = new ArrayList<>();
        if (cursor.takeSymbol("(")) {
            throw cursor.byHand("PIVOT by several columns");
        }
        by.add(parsing.expressions.expression(OperatorTable.OTHER));
        cursor.expectWords("IN");
        cursor.expectSymbol("(");
        if (parsing.queries.startsQuery() || cursor.peek().isWord("ANY")) {
            throw cursor.byHand("PIVOT over values that are not listed");
        }
        List<Item> values = parsing.list(tables::aliased);
        cursor.expectSymbol(")");
        cursor.expectSymbol(")");
        Optional<Alias> alias = tables.alias();
        return new TableRef.Pivot(source, aggregates, by, values, alias, span);
    }

    TableRef unpivot(TableRef source) {
        Span span = cursor.take().span();
        boolean withNulls = cursor.takeWords("INCLUDE", "NULLS");
        cursor.takeWords("EXCLUDE", "NULLS");
        cursor.expectSymbol("(");
        if (cursor.peek().isSymbol("(")) {
            throw cursor.byHand("UNPIVOT of several columns at once");
        }
        Name value = parsing.name();
        cursor.expectWords("FOR");
        Name by = parsing.name();
        cursor.expectWords("IN");
        cursor.expectSymbol("(");
        List<Item> columns = parsing.list(tables::aliased);
        cursor.expectSymbol(")");
        cursor.expectSymbol(")");
        return new TableRef.Unpivot(source, value, by, columns, withNulls, tables.alias(), span);
    }
}
