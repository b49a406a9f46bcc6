package raftcart.translate;

import java.util.List;
import raftcart.catalog.Column;
import raftcart.catalog.KeyPart;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.type.LogicalType;
import raftcart.type.ValueChoices.UniqueTexts;

/** Whether texts of a unique key that differ in case alone are duplicates, where the engines differ in that. */
record UniqueCase(Dialect to, UniqueTexts wanted, Table table, Notes notes) {
    /** The end of the name of the index that refuses such texts. */
    static final String SUFFIX = "_ignoring_case";

    /** True where the target refuses such texts only if it is told to. */
    boolean folds(List<KeyPart> parts) {
        return differs(parts, UniqueTexts.IGNORE_CASE);
    }

    /** Says where small and capital letters are no longer the same in a key. */
    void sayExact(List<KeyPart> parts) {
        if (differs(parts, UniqueTexts.EXACT)) {
            parts.stream()
                    .filter(this::ignoresCase)
                    .forEach(p -> notes.find(
                            FindingCode.UNIQUE_WITH_CASE,
                            table.name() + "." + p.column(),
                            "small and capital letters are not the same any more"));
        }
    }

    private boolean differs(List<KeyPart> parts, UniqueTexts choice) {
        return wanted == choice
                && !to.has(SqlFeature.IGNORES_CASE)
                && parts.stream().anyMatch(this::ignoresCase);
    }

    private boolean ignoresCase(KeyPart part) {
        return table.column(part.column())
                .filter(Column::ignoresCase)
                .filter(c -> c.type() instanceof LogicalType.Char
                        || c.type() instanceof LogicalType.Varchar
                        || c.type() instanceof LogicalType.Text)
                .isPresent();
    }
}
