package raftcart.translate;

import java.util.List;
import raftcart.catalog.Column;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;

/** Says where two rows with NULL in a unique key are duplicates on one engine only. */
final class NullsInKeys {
    private final Language from;
    private final Dialect to;
    private final Notes notes;

    NullsInKeys(Language from, Dialect to, Notes notes) {
        this.from = from;
        this.to = to;
        this.notes = notes;
    }

    void say(Table table) {
        for (Key key : table.uniqueKeys()) {
            say(table, key.name(), key.parts(), SqlFeature.UNIQUE_KEYS_TAKE_ONE_NULL);
        }
        for (Index index : table.indexes()) {
            if (index.unique() && index.predicate().isEmpty()) {
                say(table, index.name(), index.parts(), SqlFeature.NULLS_ARE_DUPLICATES);
            }
        }
    }

    private void say(Table table, String key, List<KeyPart> parts, SqlFeature one) {
        boolean nullable = parts.stream()
                .anyMatch(p -> table.column(p.column()).filter(Column::nullable).isPresent());
        boolean partly = parts.size() > 1 && differ(SqlFeature.NULLS_ARE_DUPLICATES_IN_PART);
        if (nullable && (partly || differ(one))) {
            notes.find(
                    FindingCode.SYNTAX_CHECK,
                    table.name() + "." + key,
                    "one engine takes two NULLs in the key for duplicates, the other does not");
        }
    }

    private boolean differ(SqlFeature feature) {
        return from.has(feature) != to.has(feature);
    }
}
