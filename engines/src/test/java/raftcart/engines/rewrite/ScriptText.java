package raftcart.engines.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/** Cuts what was written for one statement of the source into the statements that it consists of. */
final class ScriptText {
    private static final Pattern DELIMITED = Pattern.compile("DELIMITER //\\n(.*?)//\\nDELIMITER ;", Pattern.DOTALL);

    /** Code of HSQLDB, and triggers of SQLite, which have no delimiters of their own. */
    private static final Pattern CODE = Pattern.compile("(?s).*\\bBEGIN ATOMIC\\b.*|CREATE TRIGGER .*\\nBEGIN\\n.*");

    private ScriptText() {}

    /** The statements of a text; the body of a routine stays whole. */
    static List<String> statements(String text) {
        if (text.startsWith("DELIMITER")) {
            return DELIMITED.matcher(text).results().map(r -> r.group(1)).toList();
        }
        if (CODE.matcher(text).matches()) {
            return List.of(text.split(";\n(?=CREATE )")); // behind what it replaces
        }
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
