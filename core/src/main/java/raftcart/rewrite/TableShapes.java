package raftcart.rewrite;

import java.util.List;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement;

/** Which columns a table has, in which order and under which names, while statements change it. */
final class TableShapes {
    private final QueryAdapter adapter;

    TableShapes(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    /** Columns that go, or get another name or place. */
    void remember(AlterAction action, DdlStatement.AlterTable alter) {
        Knowledge knowledge = adapter.knowledge;
        if (action instanceof AlterAction.DropColumn drop) {
            knowledge.removeColumn(alter.name(), drop.column());
        } else if (action instanceof AlterAction.RenameColumn rename) {
            knowledge.renameColumn(alter.name(), rename.from(), rename.to());
        } else if (action instanceof AlterAction.PlaceColumn place) {
            knowledge.placeColumn(alter.name(), place, adapter.same() || says(place));
        }
    }

    /** The table's own name, once all else that is said of it by the old one is done. */
    void renamed(DdlStatement.AlterTable alter) {
        for (AlterAction action : alter.actions()) {
            if (action instanceof AlterAction.RenameTable rename) {
                adapter.knowledge.renameTable(alter.name(), rename.to());
            }
        }
    }

    /** True where the target can put a column to its place. */
    private boolean says(AlterAction.PlaceColumn place) {
        return adapter.to.has(SqlFeature.PLACES_COLUMNS)
                && !(place.before() && place.beside().isPresent());
    }

    /** A place goes with the column's definition where the target has it; elsewhere a new column is the last one. */
    void placed(AlterAction.PlaceColumn place, DdlStatement.AlterTable alter, List<AlterAction> actions) {
        if (!says(place)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    alter.span(),
                    place.column().text() + " stands elsewhere among the columns, which SELECT * shows");
            return;
        }
        for (int i = actions.size(); i > 0; i--) {
            AlterAction a = actions.get(i - 1);
            boolean own = a instanceof AlterAction.AddColumn add
                            && add.column().name().matches(place.column())
                    || a instanceof AlterAction.ChangeColumn change
                            && change.definition().name().matches(place.column());
            if (own) {
                actions.add(i, place);
                return;
            }
        }
    }
}
