package raftcart.scripts;

import java.util.List;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.sql.Passwords;

/** The statements of scripts that could not be taken into account, which are kept for a person. */
final class LeftStatements {
    /** The changes of rows that are kept for a person one by one. */
    private static final int MOST_CHANGES = 200;

    /** The characters of such a change that are kept. */
    private static final int LONGEST_CHANGE = 100_000;

    private final List<CodeObject> code;
    private final ObjectNames names;
    private int changesLeft;

    LeftStatements(List<CodeObject> code, ObjectNames names) {
        this.code = code;
        this.names = names;
    }

    /** Keeps what may change rows for a person; of very many the first ones, with a word on the rest. */
    void change(String reason, String text, String file, int line) {
        changesLeft++;
        String more =
                changesLeft == MOST_CHANGES ? "; what follows of this kind is not listed, `raftcart rewrite` does" : "";
        if (changesLeft <= MOST_CHANGES) {
            boolean all = text.length() <= LONGEST_CHANGE;
            keep(reason + more, all ? text : text.substring(0, LONGEST_CHANGE) + " ...", file, line);
        }
    }

    /** Keeps a statement that could not be taken into account, for a person. */
    void keep(String reason, String text, String file, int line) {
        code.add(new CodeObject(
                ObjectKind.STATEMENT,
                new ObjectName(names.defaultSchema(), file + ":" + line),
                "-- " + reason.replaceAll("\\s+", " ") + "\n" + Passwords.hidden(text)));
    }
}
