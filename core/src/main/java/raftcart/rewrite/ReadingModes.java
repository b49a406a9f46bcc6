package raftcart.rewrite;

import java.util.HashMap;
import java.util.Map;
import raftcart.dialect.Language;
import raftcart.dialect.Languages;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.ZerosInKeys;

/** The mode in which the statements of a script are read, as those before them have set it. */
public final class ReadingModes {
    private final Language usual;
    private final Map<String, String> saved = new HashMap<>();
    private String mode = "";
    private Language language;

    /** Before any statement. */
    public ReadingModes(Language usual) {
        this.usual = usual;
        this.language = usual;
    }

    /** The dialect in which the next statement is. */
    public Language language() {
        return language;
    }

    /** The mode that is set; empty for the usual one. */
    public String mode() {
        return mode;
    }

    /** Takes a statement into account. */
    public void take(Statement statement) {
        if (!(statement instanceof ZerosInKeys setting)) {
            return;
        }
        String before = mode;
        for (ZerosInKeys.Step step : setting.steps()) {
            switch (step.kind()) {
                case SAVED -> saved.put(step.variable(), mode);
                case RESTORED -> mode = saved.getOrDefault(step.variable(), "");
                default -> mode = step.mode();
            }
        }
        if (!mode.equals(before)) {
            language = Languages.inMode(usual, mode);
        }
    }
}
