package raftcart.rewrite;

import java.util.HashMap;
import java.util.Map;
import raftcart.sql.tree.Statement.ZerosInKeys;

/** Whether 0 stands for the next number in a column that the engine numbers, as the statements so far have set it. */
public final class KeyZeros {
    private final Map<String, Boolean> saved = new HashMap<>();
    private final boolean atFirst;
    private boolean numbered;

    /**
     * Before any statement.
     *
     * @param numbered what holds in a session that sets nothing
     */
    public KeyZeros(boolean numbered) {
        this.atFirst = numbered;
        this.numbered = numbered;
    }

    /** Takes a setting into account. */
    public void take(ZerosInKeys setting) {
        for (ZerosInKeys.Step step : setting.steps()) {
            numbered = switch (step.kind()) {
                case NUMBERED -> true;
                case KEPT -> false;
                case SAVED -> {
                    saved.put(step.variable(), numbered);
                    yield numbered;
                }
                case RESTORED -> saved.getOrDefault(step.variable(), atFirst);
            };
        }
    }

    /** True where it stands for the next number. */
    public boolean areNumbered() {
        return numbered;
    }
}
