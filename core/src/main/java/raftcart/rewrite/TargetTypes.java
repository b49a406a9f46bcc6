package raftcart.rewrite;

import raftcart.dialect.ColumnUse;
import raftcart.dialect.Language;
import raftcart.sql.parse.TypeNameParser;
import raftcart.type.LogicalType;

/** What columns are on a target. */
final class TargetTypes {
    private TargetTypes() {}

    /** The type by the name that a column of another type gets there. */
    static LogicalType chosen(LogicalType type, Language to) {
        String name = to.types().choose(type, ColumnUse.PLAIN).sql();
        return to.types().read(TypeNameParser.parse(name, to.grammar().lexical()));
    }
}
