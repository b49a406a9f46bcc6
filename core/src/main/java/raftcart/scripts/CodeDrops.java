package raftcart.scripts;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.sql.tree.QualifiedName;

/**
 * Takes away what scripts drop of the objects that are kept as their texts.
 *
 * @param code the objects so far
 */
record CodeDrops(List<CodeObject> code, ObjectNames names) {
    private static final Set<ObjectKind> OF_TABLES = Set.of(ObjectKind.TRIGGER, ObjectKind.RULE, ObjectKind.POLICY);

    /** Drops a routine; the reason where it cannot be told which of several it is. */
    Optional<String> routine(Routines.Head dropped) {
        ObjectName exact = dropped.object(names);
        boolean found =
                code.removeIf(c -> c.kind() == dropped.kind() && c.name().equals(exact));
        ObjectName plain = names.object(dropped.name());
        List<CodeObject> overloads = code.stream()
                .filter(c -> c.kind() == dropped.kind()
                        && c.name().schema().equals(plain.schema())
                        && c.name().name().startsWith(plain.name() + "("))
                .toList();
        if (found || overloads.isEmpty()) {
            return Optional.empty();
        }
        List<CodeObject> alike = overloads.size() == 1
                ? overloads
                : overloads.stream()
                        .filter(c -> !dropped.part().isEmpty()
                                && Routines.sameArguments(
                                        c.name().name().substring(plain.name().length()), dropped.part()))
                        .toList();
        if (alike.size() != 1) {
            return Optional.of("it cannot be told which routine called " + plain + " is dropped");
        }
        code.remove(alike.get(0));
        return Optional.empty();
    }

    void role(QualifiedName role) {
        code.removeIf(c -> c.kind() == ObjectKind.ROLE
                && role.last().text().equalsIgnoreCase(c.name().name()));
    }

    /** Drops a view or the like; the kind as DROP has it. */
    void other(String kind, ObjectName name) {
        String word = kind.toLowerCase(Locale.ROOT);
        code.removeIf(c -> c.name().equals(name) && c.kind().word().endsWith(word));
        Pattern onIt =
                Pattern.compile("(?is).*\\bon\\s+(only\\s+)?(\\S+\\.)?\"?" + Pattern.quote(name.name()) + "\\b.*");
        code.removeIf(c -> c.name().schema().equals(name.schema())
                && switch (c.kind()) {
                    case INDEX -> onIt.matcher(c.source()).matches();
                    case COMMENT -> isOf(word, name.name(), c.name().name());
                    default -> false;
                });
    }

    /** True for a comment on this object, or on a column of it. */
    private static boolean isOf(String kind, String object, String comment) {
        return comment.equalsIgnoreCase(kind + " " + object) || comment.startsWith("column " + object + ".");
    }

    /** Drops what goes with a table. */
    void triggers(ObjectName table) {
        code.removeIf(c -> OF_TABLES.contains(c.kind())
                && c.name().schema().equals(table.schema())
                && Routines.table(c.kind(), c.source())
                        .filter(t -> t.equalsIgnoreCase(table.name()))
                        .isPresent());
    }
}
