package raftcart.engines.rewrite;

import java.util.ArrayList;
import java.util.List;

/** Cuts what was written for one statement of the source into the statements that it consists of. */
final class ScriptText {
    private ScriptText() {}

    /** The statements of a text; the body of a routine stays whole. */
    static List<String> statements(String text) {
        List<String> parts = new ArrayList<>();
        StringBuilder open = new StringBuilder();
        for (String part : text.split(";\n")) {
            open.append(open.isEmpty() ? "" : ";\n").append(part);
            boolean closed = open.toString().split("\\$\\$", -1).length % 2 == 1;
            if (closed) {
                parts.add(open.toString());
                open.setLength(0);
            }
        }
        return parts;
    }
}
