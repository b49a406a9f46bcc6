package raftcart.sql.script;

import java.io.IOException;
import java.io.Reader;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.sql.CharClass;
import raftcart.sql.LexicalFeature;
import raftcart.sql.LexicalRules;

/** Reads a script piece by piece; never holds more than one statement, and of a very long one only a part. */
public final class ScriptReader {
    /** The longest statement that is read as one. */
    public static final int LONGEST = 4_000_000;

    /** An INSERT longer than this is cut between two rows. */
    static final int CUT = 200_000;

    private static final Pattern CODE = Pattern.compile(
            "(?is)^(create\\s+(or\\s+(replace|alter)\\s+)?(force\\s+)?((non)?editionable\\s+)?(definer\\s*=\\s*\\S+\\s+)?"
                    + "(aggregate\\s+)?(temp(orary)?\\s+)?(function|procedure|proc|trigger|package|type\\s+body|event|macro|task|rule)\\b"
                    + "|(alter|recreate|replace)\\s+(function|procedure|proc|trigger|macro|module)\\b|declare\\b(?!\\s+(global|local))"
                    + "|with\\s+(function|procedure)\\s|begin\\b(?!\\s*(;|tran|work|immediate|deferred|exclusive|isolation|read|$))|execute\\s+block\\b).*");
    private static final Pattern CLIENT_LINE = Pattern.compile(
            "(?i)^(set\\s+(?!transaction|constraint|role)\\w+(?!\\s*=)\\b|prompt|spool|rem|remark|whenever|show\\s+err|column\\s|col\\s|define\\s|undefine"
                    + "|accept\\s|ttitle|btitle|break\\s+on|clear\\s|host\\s|pause|variable\\s|exit|quit|connect\\s|conn\\s|disconnect"
                    + "|start\\s+(?!with)|timing|@|!|store\\s|exec\\s|print\\s).*");

    /** T-SQL's conditions and loops, whose blocks hold statements. */
    private static final Pattern CONDITIONAL = Pattern.compile("(?i)(if|while)\\b");

    /** Teradata's macros and triggers, and PostgreSQL's rules, hold their statements in parentheses. */
    private static final Pattern MACRO =
            Pattern.compile("(?i)(create|replace)\\s+(or\\s+replace\\s+)?(macro|trigger|rule)\\b");

    private static final Pattern SET_SCHEMA = Pattern.compile("SET SCHEMA (\\S+)\\s*");
    private static final Pattern OWN_LINE = Pattern.compile("(CREATE|ALTER) USER SA\\b.*|GRANT DBA TO SA\\s*"
            + "|GRANT USAGE ON DOMAIN INFORMATION_SCHEMA\\..*|ALTER SEQUENCE SYSTEM_LOBS\\..*");
    private static final Pattern NUMBERED = Pattern.compile("\\\\u([0-9a-fA-F]{4})");
    private static final Pattern OWN_SCRIPT = Pattern.compile("SET DATABASE UNIQUE NAME \\w+\\s*");
    private static final Pattern GO = Pattern.compile("(?i)go(\\s+\\d+)?(\\s*--.*)?");
    private static final Pattern COPY = Pattern.compile("(?is)copy\\b.*\\bfrom\\s+stdin\\b.*");
    private static final Pattern INSERT_HEAD = Pattern.compile("(?is)^(insert|replace)\\b.*?\\bvalues?\\b(?=\\s*\\()");

    private final ScriptInput input;
    private final LexicalRules rules;
    private final Set<ScriptFeature> features;
    private final PieceText text;
    private boolean inOwnSchema;
    private String delimiter = ";";
    private int startLine = 1;
    private int startColumn = 1;
    private boolean dataFollows;
    private final CodeDepth depth = new CodeDepth();
    private boolean code;
    private boolean codeKnown;
    private boolean macro;
    private String head = "";
    private int parentheses;
    private boolean tooLong;
    private boolean resuming;

    public ScriptReader(Reader in, LexicalRules rules, Set<ScriptFeature> features) {
        this.input = new ScriptInput(in, rules);
        this.text = input.text;
        this.rules = rules;
        this.features = EnumSet.noneOf(ScriptFeature.class);
        this.features.addAll(features);
    }

    private boolean has(ScriptFeature feature) {
        return features.contains(feature);
    }

    /** The line that is read next, counted from 1. */
    public int line() {
        return input.line();
    }

    /** The next piece; empty at the end. */
    public Optional<Piece> next() throws IOException {
        if (dataFollows) {
            dataFollows = false;
            return Optional.of(data());
        }
        if (head.isEmpty() && !tooLong) {
            statementLines();
            mark();
            Optional<Piece> blank = blank();
            if (blank.isPresent()) {
                return blank;
            }
            mark();
            if (input.peek() < 0) {
                return Optional.empty();
            }
        }
        Optional<Piece> client = head.isEmpty() && !tooLong ? clientLine() : Optional.empty();
        return client.isPresent() ? client : Optional.of(statement());
    }

    /** Takes the ends of lines for separators where the script begins as the engine's own do. */
    private void statementLines() throws IOException {
        if (has(ScriptFeature.STATEMENT_LINES)
                && OWN_SCRIPT.matcher(input.lineAhead()).matches()) {
            delimiter = "\n";
        }
    }

    /** True for a line of the engine's own script on what every database of it has: its account, rights and schemas. */
    private boolean isOwnLine(String line) {
        Matcher schema = SET_SCHEMA.matcher(line);
        if (schema.matches()) {
            inOwnSchema = schema.group(1).equals("SYSTEM_LOBS");
        }
        return inOwnSchema || OWN_LINE.matcher(line).matches();
    }

    private void mark() {
        startLine = input.line();
        startColumn = input.column();
    }

    private Piece piece(Piece.Kind kind, String separator) {
        String body = delimiter.equals("\n") ? decoded(text.toString()) : text.toString();
        text.shorten(0);
        return new Piece(kind, body, startLine, startColumn, separator);
    }

    /** The engine's own script has all characters beyond ASCII, and ends of lines in texts, by their numbers. */
    private static String decoded(String line) {
        return NUMBERED.matcher(line)
                .replaceAll(m -> Matcher.quoteReplacement(String.valueOf((char) Integer.parseInt(m.group(1), 16))));
    }

    /** White space, comments and stray separators. */
    private Optional<Piece> blank() throws IOException {
        while (true) {
            int c = input.peek();
            if (c >= 0 && (Character.isWhitespace(c) || c == '\ufeff')) {
                input.take();
            } else if (c == '-' || c == '/' || c == '#') {
                boolean named = c == '-'
                        && has(ScriptFeature.TERMINATOR_COMMENTS)
                        && SeparatorLines.named(input.lineAhead(), delimiter, features)
                                .isPresent();
                if (named || !input.comment()) {
                    break;
                }
            } else {
                break;
            }
        }
        return text.isEmpty() ? Optional.empty() : Optional.of(piece(Piece.Kind.BLANK, ""));
    }

    /** A line that is for the client, if one begins here. */
    private Optional<Piece> clientLine() throws IOException {
        int c = input.peek();
        boolean backslash = c == '\\' && has(ScriptFeature.BACKSLASH_COMMANDS);
        boolean dot = c == '.' && has(ScriptFeature.DOT_COMMANDS);
        if (backslash || dot || delimiter.equals("\n") && isOwnLine(input.lineAhead())) {
            input.restOfLine();
            return Optional.of(piece(Piece.Kind.CLIENT, ""));
        }
        boolean word = has(ScriptFeature.CLIENT_WORDS)
                || has(ScriptFeature.DELIMITER_COMMAND)
                || has(ScriptFeature.TERM_COMMAND)
                || has(ScriptFeature.TERMINATOR_COMMENTS)
                || has(ScriptFeature.GO_LINES)
                || has(ScriptFeature.SLASH_LINES);
        if (!word) {
            return Optional.empty();
        }
        boolean possible = has(ScriptFeature.CLIENT_WORDS) || "dDsSgG/-".indexOf(c) >= 0;
        if (!possible) {
            return Optional.empty();
        }
        String ahead = input.lineAhead();
        if (has(ScriptFeature.SLASH_LINES) && ahead.strip().equals("/")) {
            input.restOfLine();
            return Optional.of(piece(Piece.Kind.CLIENT, ""));
        }
        if (has(ScriptFeature.GO_LINES) && isGo(ahead)) {
            input.restOfLine();
            return Optional.of(piece(Piece.Kind.CLIENT, ""));
        }
        Optional<String> other = SeparatorLines.named(ahead, delimiter, features);
        if (other.isPresent()) {
            input.restOfLine();
            delimiter = other.get();
            return Optional.of(piece(Piece.Kind.CLIENT, ""));
        }
        boolean client = has(ScriptFeature.CLIENT_WORDS)
                && CLIENT_LINE.matcher(ahead).matches()
                && !ahead.stripTrailing().endsWith(",");
        if (!client) {
            return Optional.empty();
        }
        input.restOfLine();
        return Optional.of(piece(Piece.Kind.CLIENT, ""));
    }

    static boolean isGo(String line) {
        return GO.matcher(line.strip()).matches();
    }

    private Piece statement() throws IOException {
        if (tooLong) {
            return rest();
        }
        if (head.isEmpty()) {
            depth.reset();
            code = false;
            codeKnown = false;
            parentheses = 0;
        } else {
            text.append(head);
            text.append(' ');
        }
        boolean lineStart = false;
        while (true) {
            int c = input.peek();
            if (c < 0) {
                head = "";
                return piece(Piece.Kind.STATEMENT, "");
            }
            if (!codeKnown && (text.length() > 400 || c == ';' || c == '\n' && text.length() > 120)) {
                decideCode();
            }
            if (lineStart && endsByLine()) {
                head = "";
                return piece(Piece.Kind.STATEMENT, "");
            }
            if (atDelimiter(c)) {
                return separated();
            }
            lineStart = step(c, lineStart);
            if (text.length() > CUT && !head.equals("-") && cutHere()) {
                return rows();
            }
            if (text.length() > LONGEST) {
                tooLong = true;
                head = "";
                return piece(Piece.Kind.TOO_LONG, "");
            }
        }
    }

    private void decideCode() {
        codeKnown = true;
        boolean conditional = has(ScriptFeature.GO_LINES)
                && !text.isEmpty()
                && "iIwW".indexOf(text.charAt(0)) >= 0
                && CONDITIONAL.matcher(text).lookingAt();
        code = conditional
                || !text.isEmpty()
                        && "cCaArRdDbBeEwW".indexOf(text.charAt(0)) >= 0
                        && CODE.matcher(text).matches();
        macro = code && MACRO.matcher(text).lookingAt();
        if (code) {
            depth.scan(text.toString());
        }
    }

    private Piece rest() throws IOException {
        while (input.peek() >= 0 && text.length() < LONGEST) {
            if (atDelimiter(input.peek()) && delimiter.equals(";")) {
                input.take();
                text.shorten(text.length() - 1);
                tooLong = false;
                return piece(Piece.Kind.TOO_LONG, ";");
            }
            input.take();
        }
        tooLong = input.peek() >= 0;
        return piece(Piece.Kind.TOO_LONG, "");
    }

    /** True where the line that begins here ends the statement by itself. */
    private boolean endsByLine() throws IOException {
        int c = input.peek();
        if (c == '/' && has(ScriptFeature.SLASH_LINES)) {
            return input.lineAhead().strip().equals("/");
        }
        if ((c == 'g' || c == 'G') && has(ScriptFeature.GO_LINES)) {
            return isGo(input.lineAhead());
        }
        return false;
    }

    private boolean atDelimiter(int c) throws IOException {
        if ((c == '@' || c == '!') && delimiter.equals(";") && SeparatorLines.isUnnamed(input.lineAhead(), features)) {
            delimiter = Character.toString(c);
        }
        if (c != delimiter.charAt(0)) {
            return false;
        }
        for (int i = 1; i < delimiter.length(); i++) {
            if (input.ahead(i) != delimiter.charAt(i)) {
                return false;
            }
        }
        if (!delimiter.equals(";")) {
            return true;
        }
        if (!codeKnown) {
            decideCode();
        }
        boolean byLine = has(ScriptFeature.SLASH_LINES) || has(ScriptFeature.GO_LINES);
        return !code || (!byLine && depth.isClosed() && !(macro && parentheses > 0));
    }

    private Piece separated() throws IOException {
        int length = text.length();
        for (int i = 0; i < delimiter.length(); i++) {
            input.take();
        }
        text.shorten(length);
        head = "";
        dataFollows = has(ScriptFeature.COPY_DATA)
                && !text.isEmpty()
                && "cC".indexOf(text.charAt(0)) >= 0
                && text.length() < 4000
                && COPY.matcher(text).matches();
        return piece(Piece.Kind.STATEMENT, delimiter);
    }

    /** Takes one character, or a whole string, name or comment; true after the end of a line. */
    private boolean step(int c, boolean lineStart) throws IOException {
        switch (c) {
            case '\'':
                input.string('\'', rules.has(LexicalFeature.BACKSLASH_ESCAPES) || isEscapeString());
                return false;
            case '"', '`':
                input.string((char) c, c == '"' && rules.has(LexicalFeature.DOUBLE_QUOTED_STRINGS));
                return false;
            case '-', '#', '/':
                if (!commentInside()) {
                    input.take();
                }
                return false;
            case '[':
                if (rules.closing('[') == 0) {
                    input.take();
                } else {
                    input.string(rules.closing('['), false);
                }
                return false;
            case '$':
                input.dollar();
                return false;
            case '(':
                parentheses++;
                codeSign("(");
                return false;
            case ')':
                parentheses--;
                input.take();
                return false;
            case ';':
                codeSign(";");
                return false;
            case ':':
                codeSign(":");
                return false;
            case '\n':
                input.take();
                return true;
            default:
                return word(c, lineStart);
        }
    }

    private void codeSign(String sign) throws IOException {
        if (code) {
            depth.word(sign);
        }
        input.take();
    }

    private boolean isEscapeString() {
        int length = text.length();
        return length > 0
                && rules.has(LexicalFeature.ESCAPE_STRINGS)
                && (text.charAt(length - 1) == 'E' || text.charAt(length - 1) == 'e');
    }

    private boolean commentInside() throws IOException {
        boolean hint = input.peek() == '/' && input.ahead(1) == '*';
        if (hint) {
            input.blockComment();
            return true;
        }
        return input.comment();
    }

    private boolean word(int c, boolean lineStart) throws IOException {
        char separator = delimiter.charAt(0);
        boolean mayEnd = has(ScriptFeature.TERMINATOR_COMMENTS) && delimiter.equals(";");
        if (!CharClass.isNameStart((char) c) || mayEnd && c == '@') {
            int start = text.length();
            boolean blank = input.plain(separator);
            if (text.length() == start) {
                blank = Character.isWhitespace(input.take());
            }
            return lineStart && blank;
        }
        int start = text.length();
        input.name(mayEnd ? '@' : Character.isLetterOrDigit(separator) ? ';' : separator);
        if (input.peek() == '\'' && isAlternativeQuote(start)) {
            input.alternativeQuote();
        } else if (code) {
            depth.word(text.from(start));
        }
        return false;
    }

    /** True for the q, or nq, before a text in quotes of its own choice. */
    private boolean isAlternativeQuote(int start) {
        int length = text.length() - start;
        boolean national = length == 2 && "nN".indexOf(text.charAt(start)) >= 0;
        return rules.has(LexicalFeature.ALTERNATIVE_QUOTES)
                && (length == 1 || national)
                && "qQ".indexOf(text.charAt(text.length() - 1)) >= 0;
    }

    /** True after a comma between two rows of an INSERT. */
    private boolean cutHere() {
        int last = text.length() - 1;
        if (parentheses != 0 || text.charAt(last) != ',') {
            return false;
        }
        if (head.isEmpty()) {
            head = insertHead();
        }
        return !head.equals("-");
    }

    /** The beginning of the INSERT up to VALUES, or a dash where the statement is none that can be cut. */
    private String insertHead() {
        String start = text.subSequence(0, Math.min(text.length(), 20_000)).toString();
        Matcher m = INSERT_HEAD.matcher(start);
        return m.find() ? m.group() : "-";
    }

    private Piece rows() {
        text.shorten(text.length() - 1);
        Piece rows = piece(Piece.Kind.ROWS, ";");
        mark();
        return rows;
    }

    /** The lines of data up to the one that ends them. */
    private Piece data() throws IOException {
        if (!resuming) {
            input.restOfLine(); // the rest of the line with the statement
            input.take();
            text.shorten(0);
        }
        resuming = false;
        mark();
        int lineBegin = 0;
        while (input.peek() >= 0) {
            int c = input.take();
            if (c == '\n') {
                if (text.length() - lineBegin == 3
                        && text.charAt(lineBegin) == '\\'
                        && text.charAt(lineBegin + 1) == '.') {
                    text.shorten(lineBegin);
                    return piece(Piece.Kind.DATA, "\\.");
                }
                lineBegin = text.length();
                if (text.length() > CUT) {
                    dataFollows = true;
                    resuming = true;
                    return piece(Piece.Kind.DATA, "");
                }
            }
        }
        return piece(Piece.Kind.DATA, "");
    }
}
