package raftcart.scripts;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.catalog.ObjectKind;
import raftcart.dialect.Language;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;

/** What a routine is and how it is called, by the beginning of its text. */
final class Routines {
    private static final String PART = "(?:\"[^\"]+\"|`[^`]+`|\\[[^\\]]+\\]|[\\w$#@]+)";
    private static final Pattern HEAD =
            Pattern.compile("(?is)\\s*(?:create|alter)\\b(?:\\s+or\\s+(?:replace|alter))?(?:(?!\\b(?:as|is|begin)\\b)"
                    + "[^(;])*?\\b(procedure|function|trigger|package\\s+body|package|type\\s+body|event|rule|policy)\\s+(?:if\\s+not\\s+exists\\s+)?"
                    + "(" + PART + "(?:\\s*\\.\\s*" + PART + ")*).*");

    private static final Pattern DROP =
            Pattern.compile("(?is)\\s*drop\\s+(procedure|proc|function|trigger|package|event|rule)\\s+"
                    + "(?:if\\s+exists\\s+)?(" + PART + "(?:\\s*\\.\\s*" + PART
                    + ")*)\\s*(?:\\([^)]*\\))?(?:\\s+on\\s+[^;]*)?"
                    + "\\s*(?:cascade|restrict)?\\s*;?\\s*");

    /** An ALTER that brings no new text: ENABLE, DISABLE, COMPILE, RENAME TO and so on. */
    private static final Pattern SETTING = Pattern.compile("(?is)\\s*alter\\b(?!.*\\b(?:as|is|begin)\\b).*");

    /** A setting that leaves a routine as a script makes it. */
    private static final Pattern AS_MADE = Pattern.compile("(?is).*\\b(?:enable|compile(?:\\s+\\w+)*)\\s*;?\\s*");

    private Routines() {}

    /** True for what changes a routine but is none. */
    static boolean isSetting(String text) {
        return SETTING.matcher(text).matches();
    }

    /** True for a setting that changes nothing. */
    static boolean isAsMade(String setting) {
        return AS_MADE.matcher(setting).matches();
    }

    /** The kind and name of a routine. */
    record Head(ObjectKind kind, QualifiedName name) {}

    static Optional<Head> head(String text, Language language) {
        Matcher matcher = HEAD.matcher(text.length() > 2000 ? text.substring(0, 2000) : text);
        return matcher.matches()
                ? Optional.of(new Head(kind(matcher.group(1)), name(matcher.group(2), language)))
                : Optional.empty();
    }

    /** What a DROP takes away; empty where it is of another kind, or of several. */
    static Optional<Head> dropped(String text, Language language) {
        Matcher matcher = DROP.matcher(text);
        return matcher.matches()
                ? Optional.of(new Head(kind(matcher.group(1)), name(matcher.group(2), language)))
                : Optional.empty();
    }

    private static ObjectKind kind(String word) {
        return switch (word.toLowerCase(Locale.ROOT).split("\\s")[0]) {
            case "procedure", "proc" -> ObjectKind.PROCEDURE;
            case "function" -> ObjectKind.FUNCTION;
            case "trigger" -> ObjectKind.TRIGGER;
            case "event" -> ObjectKind.EVENT;
            case "rule" -> ObjectKind.RULE;
            case "policy" -> ObjectKind.POLICY;
            case "type" -> ObjectKind.TYPE;
            default -> ObjectKind.PACKAGE;
        };
    }

    private static QualifiedName name(String text, Language language) {
        return new QualifiedName(java.util.Arrays.stream(text.split("\\s*\\.\\s*"))
                .map(p -> p.matches("[\"`\\[].*")
                        ? language.grammar().names().quoted(p.substring(1, p.length() - 1))
                        : Name.of(p))
                .toList());
    }

    /** True for the body of what the other text declares, which does not take its place. */
    static boolean isBodyOf(String declaration, String body) {
        return Pattern.compile("(?is).{0,80}\\b(package|type)\\s+body\\b.*")
                        .matcher(body)
                        .matches()
                != Pattern.compile("(?is).{0,80}\\b(package|type)\\s+body\\b.*")
                        .matcher(declaration)
                        .matches();
    }
}
