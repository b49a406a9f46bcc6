package raftcart.scripts;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;

/** What a routine is and how it is called, by the beginning of its text. */
final class Routines {
    private static final String PART = "(?:\"[^\"]+\"|`[^`]+`|\\[[^\\]]+\\]|[\\w$#@]+)";
    private static final Pattern HEAD =
            Pattern.compile("(?is)\\s*(?:create|alter)\\b(?:\\s+or\\s+(?:replace|alter))?(?:(?!\\b(?:as|is|begin)\\b)"
                    + "[^(;])*?\\b(procedure|proc|function|trigger|package\\s+body|package|type\\s+body|event|rule|policy)\\s+(?:if\\s+not\\s+exists\\s+)?"
                    + "(" + PART + "(?:\\s*\\.\\s*" + PART + ")*).*");

    private static final Pattern DROP =
            Pattern.compile("(?is)\\s*drop\\s+(procedure|proc|function|trigger|package|event|rule|policy)\\s+"
                    + "(?:if\\s+exists\\s+)?(" + PART + "(?:\\s*\\.\\s*" + PART
                    + ")*)\\s*(?:\\((?:[^()]|\\([^()]*\\))*\\))?(?:\\s+on\\s+[^;]*)?"
                    + "\\s*(?:cascade|restrict)?\\s*;?\\s*");

    /** An ALTER that brings no new text: ENABLE, DISABLE, COMPILE, RENAME TO and so on. */
    private static final Pattern SETTING = Pattern.compile("(?is)\\s*alter\\b(?!.*\\b(?:as|is|begin)\\b).*");

    /** A setting that leaves a routine as a script makes it. */
    private static final Pattern AS_MADE = Pattern.compile("(?is).*\\b(?:enable|compile(?:\\s+\\w+)*)\\s*;?\\s*");

    /** The characters among which a routine says what it is. */
    private static final int LONGEST_HEAD = 2000;

    private static final Pattern WATCHED = Pattern.compile("(?i)\\bon\\s+(?:" + PART + "\\s*\\.\\s*)*(" + PART + ")");
    private static final Pattern RULED = Pattern.compile("(?i)\\bto\\s+(?:" + PART + "\\s*\\.\\s*)*(" + PART + ")");

    private Routines() {}

    /** True for what changes a routine but is none. */
    static boolean isSetting(String text) {
        return SETTING.matcher(text).matches();
    }

    /** True for a setting that changes nothing. */
    static boolean isAsMade(String setting) {
        return AS_MADE.matcher(setting).matches();
    }

    /**
     * The kind and name of a routine.
     *
     * @param part what distinguishes it from others of its name: the arguments, or the table; may be empty
     */
    record Head(ObjectKind kind, QualifiedName name, String part) {
        /** What it is called in a catalog. */
        ObjectName object(ObjectNames names) {
            ObjectName plain = names.object(name);
            return new ObjectName(plain.schema(), plain.name() + part);
        }
    }

    static Optional<Head> head(String text, Language language) {
        String start = text.length() > LONGEST_HEAD ? text.substring(0, LONGEST_HEAD) : text;
        Matcher matcher = HEAD.matcher(start);
        return matcher.matches()
                ? Optional.of(head(matcher.group(1), matcher.group(2), start.substring(matcher.end(2)), language))
                : Optional.empty();
    }

    /** What a DROP takes away; empty where it is of another kind, or of several. */
    static Optional<Head> dropped(String text, Language language) {
        Matcher matcher = DROP.matcher(text);
        return matcher.matches()
                ? Optional.of(head(matcher.group(1), matcher.group(2), text.substring(matcher.end(2)), language))
                : Optional.empty();
    }

    private static Head head(String word, String name, String rest, Language language) {
        ObjectKind kind = kind(word);
        boolean overloaded = kind == ObjectKind.FUNCTION || kind == ObjectKind.PROCEDURE;
        String part = "";
        if (overloaded && language.has(SqlFeature.ROUTINES_ARE_OVERLOADED)) {
            part = rest.isBlank() ? "" : arguments(rest.strip());
        } else if (!overloaded && language.has(SqlFeature.TABLES_HAVE_TRIGGERS)) {
            part = table(kind, rest).map(t -> " on " + t).orElse("");
        }
        return new Head(kind, name(name, language), part);
    }

    /** The arguments at the beginning of a text, in parentheses; empty where there are none. */
    private static String arguments(String text) {
        int depth = 0;
        for (int i = 0; i < text.length() && (i == 0) == (depth == 0); i++) {
            depth += text.charAt(i) == '(' ? 1 : text.charAt(i) == ')' ? -1 : 0;
            if (depth == 0) {
                return i == 0
                        ? ""
                        : text.substring(0, i + 1).replaceAll("\\s+", " ").replaceAll("(?<=\\() | (?=\\))", "");
            }
        }
        return "";
    }

    /** The table of a trigger, rule or policy by its text; empty where it says none. */
    static Optional<String> table(ObjectKind kind, String text) {
        Matcher ruled = RULED.matcher(text);
        Matcher matcher = kind == ObjectKind.RULE && ruled.find() ? ruled : WATCHED.matcher(text);
        boolean found = matcher == ruled || matcher.find();
        return found ? Optional.of(matcher.group(1).replaceAll("[\"`\\[\\]]", "")) : Optional.empty();
    }

    /** True for arguments of which a DROP names the types alone, or with their names. */
    static boolean sameArguments(String made, String dropped) {
        List<String> ofMade = types(made);
        List<String> ofDropped = types(dropped);
        boolean same = ofMade.size() == ofDropped.size();
        for (int i = 0; same && i < ofMade.size(); i++) {
            String one = ofMade.get(i);
            String other = ofDropped.get(i);
            same = one.equals(other) || one.endsWith(" " + other) || other.endsWith(" " + one);
        }
        return same;
    }

    private static List<String> types(String arguments) {
        String inner = arguments.substring(1, arguments.length() - 1).toLowerCase(Locale.ROOT);
        return Arrays.stream(inner.split(",(?![^(]*\\))"))
                .map(a -> a.replaceAll("(?s)\\bdefault\\b.*|=.*", "").strip())
                .filter(a -> !a.isEmpty())
                .toList();
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
        return new QualifiedName(Arrays.stream(text.split("\\s*\\.\\s*"))
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
