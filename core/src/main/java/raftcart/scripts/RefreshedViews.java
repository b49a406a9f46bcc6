package raftcart.scripts;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;

/** Materialized views that a dump makes without rows and fills at its end. */
final class RefreshedViews {
    private static final Pattern REFRESH = Pattern.compile(
            "(?is)\\s*refresh\\s+materialized\\s+view\\s+(?:concurrently\\s+)?([\\w$.]+|\"[^\"]+\")(?:\\s+with\\s+data)?\\s*;?\\s*");
    private static final Pattern WITHOUT_ROWS = Pattern.compile("(?is)\\s+with\\s+no\\s+data\\s*;?\\s*$");

    private RefreshedViews() {}

    /** Makes the view that a statement fills one with rows; false for any other statement or view. */
    static boolean refresh(String statement, List<CodeObject> code, ObjectNames names) {
        Matcher matcher = REFRESH.matcher(statement);
        if (!matcher.matches()) {
            return false;
        }
        List<Name> parts = List.of(matcher.group(1).split("\\.")).stream()
                .map(p -> p.startsWith("\"") ? new Name(p.substring(1, p.length() - 1), true) : Name.of(p))
                .toList();
        ObjectName name = names.object(new QualifiedName(parts));
        boolean known = code.stream().anyMatch(c -> isView(c, name));
        code.replaceAll(c -> isView(c, name)
                ? new CodeObject(
                        c.kind(), c.name(), WITHOUT_ROWS.matcher(c.source()).replaceFirst(""))
                : c);
        return known;
    }

    private static boolean isView(CodeObject object, ObjectName name) {
        return object.kind() == ObjectKind.MATERIALIZED_VIEW && object.name().equals(name);
    }
}
