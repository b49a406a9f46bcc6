package raftcart.scripts;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import raftcart.catalog.Clauses;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Language;
import raftcart.dialect.write.WriterContext;
import raftcart.sql.Span;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;

/**
 * Triggers that do nothing but fill a key from a sequence, as Oracle, DB2 and Firebird had it before they numbered columns:
 * the next value becomes the default of the column, and the trigger is done.
 */
final class KeyTriggers {
    private static final String NAME = "((?:[\\w$#]+|\"[^\"]+\")(?:\\.(?:[\\w$#]+|\"[^\"]+\"))?)";
    private static final Pattern HEAD = Pattern.compile(
            "(?is).*?\\btrigger\\s+\\S+\\s+(?:(?:no\\s+cascade\\s+)?before\\s+insert(?<change>\\s+or\\s+update(?:\\s+of\\s+[\\w$#]+)?)?\\s+on\\s+(?<on>"
                    + NAME + ")|for\\s+(?<for>" + NAME
                    + ")\\s+(?:active\\s+)?before\\s+insert(?:\\s+position\\s+\\d+)?\\s+as)(?!\\w)(?<body>.*)");
    private static final Pattern VALUE = Pattern.compile("(?is)(?:select\\s+" + NAME
            + "\\s*\\.\\s*nextval\\s+into\\s+:?new\\.([\\w$#]+|\"[^\"]+\")\\s+from\\s+dual"
            + "|:?new\\.([\\w$#]+|\"[^\"]+\")\\s*(?::=\\s*" + NAME + "\\s*\\.\\s*nextval|=\\s*(?:gen_id\\s*\\(\\s*"
            + NAME
            + "\\s*,\\s*1\\s*\\)|next\\s+value\\s+for\\s+" + NAME + ")))\\s*;");
    private static final Pattern REST = Pattern.compile(
            "(?is)(\\s|--[^\\n]*\\n|/\\*.*?\\*/|referencing\\s+new\\s+as\\s+new(\\s+old\\s+as\\s+old)?|for\\s+each\\s+row|when\\s*\\([^)]*\\bis\\s+null\\s*\\)"
                    + "|enable|declare|begin|\\w+\\s+(exception|integer|boolean|number|char\\(\\d+\\)|varchar2?\\(\\d+\\))\\s*;"
                    + "|exception(?=\\s)|when\\s+\\w+\\s+then\\s+raise_application_error\\([^)]*\\)\\s*;|if\\s*\\(?\\s*(:?new\\.\\S+\\s*=\\s*0\\s+or\\s+)?:?new\\.\\S+\\s+is\\s+null\\s*\\)?\\s*then|end\\s+if\\s*;|end\\s*[\\w$#\"]*\\s*;?|null\\s*;|/)*");

    private static final Pattern ZERO = Pattern.compile("(?i)=\\s*0\\s+or\\b");

    private final Language language;
    private final ObjectNames names;

    KeyTriggers(Language language, ObjectNames names) {
        this.language = language;
        this.names = names;
    }

    /**
     * What a trigger does.
     *
     * @param next the next value of the sequence in the source's SQL
     * @param more true where it also fills in for a 0, or at an update
     */
    record Fill(TableDraft table, Name column, QualifiedName sequence, String next, boolean more) {}

    /** Makes defaults of the triggers that fill keys, and takes these triggers away. */
    void apply(Map<ObjectName, TableDraft> tables, List<CodeObject> code) {
        code.removeIf(c -> fill(c, tables).filter(KeyTriggers::apply).isPresent());
    }

    /** What the triggers fill. */
    List<Fill> fills(Map<ObjectName, TableDraft> tables, List<CodeObject> code) {
        return code.stream().flatMap(c -> fill(c, tables).stream()).toList();
    }

    private static boolean apply(Fill fill) {
        boolean changed = fill.table().change(fill.column(), c -> Columns.withDefault(c, Optional.of(fill.next())));
        if (changed && fill.more()) {
            fill.table().physical.add("numbers for " + fill.column().text() + " where 0 is given, or at an update");
        }
        return changed
                && fill.table()
                        .physical
                        .add(Clauses.NUMBERED + "a trigger filled "
                                + fill.column().text() + " from " + fill.sequence()
                                + "; the next value is its default now");
    }

    private Optional<Fill> fill(CodeObject object, Map<ObjectName, TableDraft> tables) {
        Matcher head = HEAD.matcher(object.source());
        if (object.kind() != ObjectKind.TRIGGER || !head.matches()) {
            return Optional.empty();
        }
        String body = head.group("body");
        String named = Optional.ofNullable(head.group("on")).orElseGet(() -> head.group("for"));
        Matcher value = VALUE.matcher(body);
        if (!value.find()) {
            return Optional.empty();
        }
        String rest = body.substring(0, value.start()) + body.substring(value.end());
        if (!REST.matcher(rest).matches()) {
            return Optional.empty();
        }
        Optional<TableDraft> table = Optional.ofNullable(tables.get(names.object(name(named))))
                .or(() -> tables.values().stream()
                        .filter(t -> t.name.name()
                                .equalsIgnoreCase(name(named).last().text()))
                        .findFirst());
        boolean into = value.group(1) != null;
        Name column = name(into ? value.group(2) : value.group(3)).last();
        QualifiedName sequence = inSchema(
                name(Stream.of(1, 4, 5, 6)
                        .map(value::group)
                        .filter(Objects::nonNull)
                        .findFirst()
                        .orElseThrow()),
                object.name().schema());
        String next = language.writer()
                .apply(WriterContext.plain(language))
                .expression(new Expr.SequenceValue(sequence, true, Span.NONE));
        boolean more = head.group("change") != null || ZERO.matcher(body).find();
        return table.map(t -> new Fill(t, column, sequence, next, more));
    }

    /** Names without a schema mean, in a trigger, those of its own schema. */
    private QualifiedName inSchema(QualifiedName name, String schema) {
        boolean own = name.parts().size() == 1 && !schema.isEmpty() && !schema.equals(names.defaultSchema());
        return own ? new QualifiedName(List.of(new Name(schema, true), name.last())) : name;
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
