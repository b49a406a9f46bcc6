package raftcart.scripts;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Table;
import raftcart.dialect.Language;
import raftcart.dialect.write.WriterContext;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;

/**
 * Triggers that do nothing but fill a key from a sequence, as Oracle and DB2 had it before they numbered columns: the next
 * value becomes the default of the column, and the trigger is done.
 */
final class KeyTriggers {
    private static final String NAME = "((?:[\\w$#]+|\"[^\"]+\")(?:\\.(?:[\\w$#]+|\"[^\"]+\"))?)";
    private static final Pattern HEAD = Pattern.compile(
            "(?is).*?\\btrigger\\s+\\S+\\s+(?:no\\s+cascade\\s+)?before\\s+insert\\s+on\\s+" + NAME + "\\b(.*)");
    private static final Pattern VALUE = Pattern.compile("(?is)(?:select\\s+" + NAME
            + "\\s*\\.\\s*nextval\\s+into\\s+:?new\\.([\\w$#]+|\"[^\"]+\")\\s+from\\s+dual"
            + "|:?new\\.([\\w$#]+|\"[^\"]+\")\\s*:=\\s*" + NAME + "\\s*\\.\\s*nextval)\\s*;");
    private static final Pattern REST = Pattern.compile(
            "(?is)(\\s|--[^\\n]*\\n|/\\*.*?\\*/|referencing\\s+new\\s+as\\s+new(\\s+old\\s+as\\s+old)?|for\\s+each\\s+row|when\\s*\\([^)]*\\bis\\s+null\\s*\\)"
                    + "|enable|declare|begin|if\\s+:?new\\.\\S+\\s+is\\s+null\\s+then|end\\s+if\\s*;|end\\s*[\\w$#\"]*\\s*;?|null\\s*;|/)*");

    private final Language language;
    private final ObjectNames names;

    KeyTriggers(Language language, ObjectNames names) {
        this.language = language;
        this.names = names;
    }

    void apply(Map<ObjectName, TableDraft> tables, List<CodeObject> code) {
        code.removeIf(c -> c.kind() == ObjectKind.TRIGGER && fills(c.source(), tables));
    }

    private boolean fills(String source, Map<ObjectName, TableDraft> tables) {
        Matcher head = HEAD.matcher(source);
        if (!head.matches()) {
            return false;
        }
        String body = head.group(2);
        Matcher value = VALUE.matcher(body);
        if (!value.find()) {
            return false;
        }
        String rest = body.substring(0, value.start()) + body.substring(value.end());
        if (!REST.matcher(rest).matches()) {
            return false;
        }
        Optional<TableDraft> table = Optional.ofNullable(tables.get(names.object(name(head.group(1)))))
                .or(() -> tables.values().stream()
                        .filter(t -> t.name.name()
                                .equalsIgnoreCase(name(head.group(1)).last().text()))
                        .findFirst());
        boolean into = value.group(1) != null;
        Name column = name(into ? value.group(2) : value.group(3)).last();
        QualifiedName sequence = name(into ? value.group(1) : value.group(4));
        String next = language.writer()
                .apply(WriterContext.plain(language))
                .expression(new Expr.SequenceValue(sequence, true, Span.NONE));
        return table.filter(t -> t.change(column, c -> Columns.withDefault(c, Optional.of(next))))
                .map(t -> t.physical.add(Table.NUMBERED + "a trigger filled " + column.text() + " from " + sequence
                        + "; the next value is its default now"))
                .isPresent();
    }

    private QualifiedName name(String text) {
        return new QualifiedName(java.util.Arrays.stream(text.split("\\."))
                .map(String::strip)
                .map(p -> p.startsWith("\"")
                        ? language.grammar().names().quoted(p.substring(1, p.length() - 1))
                        : Name.of(p))
                .toList());
    }
}
