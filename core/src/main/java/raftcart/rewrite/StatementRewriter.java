package raftcart.rewrite;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;
import raftcart.dialect.Language;
import raftcart.dialect.Untranslatable;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.error.SqlSyntaxException;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.sql.LexicalFeature;
import raftcart.sql.Passwords;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenKind;
import raftcart.sql.parse.StatementParser;
import raftcart.sql.script.ScriptFeature;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.Statement;

/** Translates the statements of one text; remembers what they make for those that follow. */
public final class StatementRewriter {
    private static final Pattern VERSION = Pattern.compile("/\\*M?!");
    private static final Pattern VERSION_START = Pattern.compile("/\\*M?!\\d*\\s*$");
    private static final Pattern VERSION_END = Pattern.compile("\\s*\\*/");

    private final ReadingModes modes;
    private final Language to;
    private final Knowledge knowledge;
    private final TokenRules rules;
    private Language from;

    public StatementRewriter(Language from, Language to, Knowledge knowledge, TokenRules rules) {
        this.modes = new ReadingModes(from);
        this.from = from;
        this.to = to;
        this.knowledge = knowledge;
        this.rules = rules;
    }

    /** Translates a piece of text that begins at this line and column. */
    public List<StatementResult> rewrite(String source, int line, int column) {
        AdaptNotes ruled = new AdaptNotes();
        String text =
                rules.isEmpty() ? source : rules.apply(source, from.grammar().lexical(), line, column, ruled);
        StatementParser.Result parsed;
        try {
            parsed = StatementParser.parse(text, from.grammar(), line, column);
        } catch (RuntimeException | StackOverflowError e) {
            return List.of(defect(e, text, new int[] {line, column}));
        }
        boolean stays = from.name().equals(to.name())
                && !parsed.statements().isEmpty()
                && parsed.statements().stream().allMatch(StatementRewriter::isUnderstood);
        if (stays) {
            StatementResult kept = kept(parsed, text, ruled, line, column);
            from = modes.language();
            return List.of(kept);
        }
        parsed.statements().forEach(s -> s.statement().ifPresent(modes::take));
        List<StatementResult> results = new ArrayList<>();
        int passed = 0;
        for (StatementParser.Parsed one : parsed.statements()) {
            AdaptNotes notes = new AdaptNotes();
            ruled.all().forEach(n -> notes.add(n.code(), spanAt(n.line(), n.column()), n.detail()));
            for (Token hint : parsed.hints()) {
                if (hint.span().start() >= one.start() && hint.span().start() < one.end()) {
                    notes.add(FindingCode.HINT_DROPPED, hint.span(), shortened(hint.text()));
                }
            }
            if (one.unguarded()) {
                notes.add(
                        FindingCode.SYNTAX_CHECK,
                        one.statement().orElseThrow().span(),
                        "the condition on the engine's catalog is left out; the statement runs in any case");
            }
            boolean last = results.size() == parsed.statements().size() - 1;
            String around = comments(around(parsed, passed, one, last));
            StatementResult result = rewrite(one, text, inside(parsed, one), notes, line, column);
            boolean plain = around.isEmpty() || result.text().isEmpty();
            results.add(plain ? result : result.withText(around + result.text()));
            passed = one.end();
        }
        from = modes.language();
        return results;
    }

    /** Statements that the source does without: those that set counters behind the numbers that rows brought. */
    List<StatementResult> counters(int line) {
        List<StatementResult> results = new ArrayList<>();
        for (Statement statement : KeyNumbers.statements(knowledge)) {
            PlacedFinding finding = new PlacedFinding(
                    FindingCode.SYNTAX_ADAPTED, line, 1, "counters go on behind the numbers that the rows brought");
            try {
                String text = write(statement, new AdaptNotes());
                results.add(new StatementResult(line, 1, Outcome.ADAPTED, "", text, List.of(finding)));
            } catch (Untranslatable e) {
                PlacedFinding check = new PlacedFinding(FindingCode.SYNTAX_CHECK, line, 1, e.getMessage());
                results.add(new StatementResult(line, 1, Outcome.CHECK, "", "", List.of(check)));
            }
        }
        return results;
    }

    private static Span spanAt(int line, int column) {
        return new Span(0, 0, line, column);
    }

    private static String shortened(String text) {
        String one = text.replaceAll("\\s+", " ");
        return one.length() > 60 ? one.substring(0, 60) + "..." : one;
    }

    private StatementResult rewrite(
            StatementParser.Parsed parsed, String text, List<Token> inner, AdaptNotes notes, int line, int column) {
        String source = text.substring(parsed.start(), parsed.end());
        int[] place = place(text, parsed.start(), line, column);
        if (parsed.statement().isEmpty()) {
            SqlSyntaxException failure = parsed.failure().orElseThrow();
            FindingCode code = failure.isUnderstood() ? FindingCode.NO_COUNTERPART : FindingCode.NOT_UNDERSTOOD;
            PlacedFinding finding = new PlacedFinding(code, failure.line(), failure.column(), failure.reason());
            return byHand(finding, whole(text, parsed), place);
        }
        Statement statement = parsed.statement().get();
        try {
            String written = write(statement, notes);
            return finished(parsed, source, written, inner, notes, place);
        } catch (Untranslatable e) {
            boolean routine = statement instanceof Statement.NotTranslated n && n.routine()
                    || statement instanceof CodeStatement && e.place().isEmpty();
            FindingCode code = routine ? FindingCode.CODE_BY_HAND : FindingCode.NO_COUNTERPART;
            List<PlacedFinding> findings = e.parts().stream()
                    .map(p -> new PlacedFinding(
                            code,
                            p.place().map(Span::line).orElse(place[0]),
                            p.place().map(Span::column).orElse(place[1]),
                            p.getMessage()))
                    .toList();
            String left = whole(text, parsed);
            return new StatementResult(place[0], place[1], Outcome.BY_HAND, left, byHand(findings, left), findings);
        } catch (RuntimeException | StackOverflowError e) {
            return defect(e, whole(text, parsed), place);
        }
    }

    /** One statement at which we fail must not take the thousands around it along. */
    private StatementResult defect(Throwable e, String source, int[] place) {
        // Asked for here alone, as a log that is set up takes a good part of the time of a short command.
        LoggerFactory.getLogger(StatementRewriter.class)
                .error("a statement at line {} was not translated from {} to {}", place[0], from.name(), to.name(), e);
        return byHand(new PlacedFinding(FindingCode.DEFECT, place[0], place[1], where(e)), source, place);
    }

    /** The kind of a failure and its innermost place in our own code. */
    private static String where(Throwable e) {
        return e.getClass().getSimpleName()
                + Stream.of(e.getStackTrace())
                        .filter(s -> s.getClassName().startsWith("raftcart."))
                        .findFirst()
                        .map(s -> " at " + s)
                        .orElse("");
    }

    private static StatementResult byHand(PlacedFinding finding, String source, int[] place) {
        return new StatementResult(
                place[0], place[1], Outcome.BY_HAND, source, byHand(finding, source), List.of(finding));
    }

    /** The source of a statement with the marks of a version comment around it. */
    private static String whole(String text, StatementParser.Parsed parsed) {
        Matcher before = VERSION_START.matcher(text.substring(0, parsed.start()));
        Matcher after = VERSION_END.matcher(text.substring(parsed.end()));
        boolean opens = before.find();
        return text.substring(
                opens ? before.start() : parsed.start(),
                opens && after.lookingAt() ? parsed.end() + after.end() : parsed.end());
    }

    private static boolean isUnderstood(StatementParser.Parsed parsed) {
        return parsed.failure().map(SqlSyntaxException::isUnderstood).orElse(true);
    }

    /** What a statement makes is known to those that follow, whatever becomes of its text. */
    private void remember(Statement statement) {
        try {
            new StatementAdapter(from, to, knowledge, new AdaptNotes()).adapt(statement);
        } catch (Untranslatable e) {
            return; // what has no place in the tree makes nothing that could be remembered
        }
    }

    /** Where the dialect stays the same the whole text stays, conditions around statements and all, with what rules made of it. */
    private StatementResult kept(StatementParser.Result parsed, String text, AdaptNotes ruled, int line, int column) {
        int[] place = place(text, parsed.statements().get(0).start(), line, column);
        try {
            parsed.statements().forEach(s -> s.statement().ifPresent(this::remember));
            parsed.statements().forEach(s -> s.statement().ifPresent(modes::take));
        } catch (RuntimeException | StackOverflowError e) {
            return defect(e, text, place);
        }
        List<PlacedFinding> findings = ruled.all().stream()
                .map(n -> new PlacedFinding(n.code(), n.line(), n.column(), n.detail()))
                .toList();
        Outcome outcome = findings.stream().map(PlacedFinding::outcome).reduce(Outcome.AS_IS, Outcome::worse);
        String kept = text.stripTrailing(); // the separator is put behind it
        return new StatementResult(place[0], place[1], outcome, kept, kept, findings);
    }

    private String write(Statement statement, AdaptNotes notes) {
        StatementAdapter adapter = new StatementAdapter(from, to, knowledge, notes);
        List<Statement> adapted = adapter.adapt(statement);
        SchemaNames names = new SchemaNames(from, to, notes, statement.span());
        WriterContext context = new WriterContext(to, adapter.expressions()::kindOf, names, notes::add);
        SqlWriter writer = to.writer().apply(context);
        List<String> texts = new ArrayList<>();
        for (Statement one : adapted) {
            texts.add(delimited(one, writer.statement(one), to));
        }
        return Placeholders.plain(joined(texts), notes, statement.span());
    }

    /** A statement that holds semicolons with a separator of its own, for clients that cut scripts at each of them. */
    static String delimited(Statement statement, String text, Language to) {
        if (!(statement instanceof CodeStatement)) {
            return text;
        }
        if (to.scripts().contains(ScriptFeature.TERMINATOR_COMMENTS)) {
            return "--#SET TERMINATOR @\n" + text + "@\n--#SET TERMINATOR ;";
        }
        return to.scripts().contains(ScriptFeature.DELIMITER_COMMAND)
                ? "DELIMITER //\n" + text + "//\nDELIMITER ;"
                : text;
    }

    /** Statements with separators, but behind one that has brought its own. */
    private static String joined(List<String> texts) {
        if (texts.size() == 1) {
            return texts.get(0); // most statements, which are long in dumps
        }
        StringBuilder all = new StringBuilder();
        for (String text : texts) {
            boolean ended = all.length() > 0 && all.charAt(all.length() - 1) == ';';
            all.append(all.isEmpty() ? "" : ended ? "\n" : ";\n").append(text);
        }
        return all.toString();
    }

    private StatementResult finished(
            StatementParser.Parsed parsed,
            String source,
            String written,
            List<Token> inner,
            AdaptNotes notes,
            int[] place) {
        List<PlacedFinding> findings = new ArrayList<>();
        Outcome outcome = Outcome.AS_IS;
        for (AdaptNotes.Note note : notes.all()) {
            PlacedFinding finding = new PlacedFinding(note.code(), note.line(), note.column(), note.detail());
            findings.add(finding);
            outcome = outcome.worse(finding.outcome());
        }
        boolean versions = from.grammar().lexical().has(LexicalFeature.VERSION_COMMENTS)
                && source.contains("/*")
                && VERSION.matcher(source).find();
        // Names in the source's own quotes alone make another text, which is seen at once.
        boolean unquoted = inner.isEmpty() && source.indexOf('`') >= 0 && written.indexOf('`') < 0;
        boolean same = !unquoted && !versions && isPortable(inner) && Sameness.of(source, parsed.tokens(), written, to);
        if (same) {
            // Nothing was changed, whatever was thought of on the way.
            findings.removeIf(f -> f.outcome() == Outcome.ADAPTED);
            Outcome rest = findings.stream().map(PlacedFinding::outcome).reduce(Outcome.AS_IS, Outcome::worse);
            return new StatementResult(place[0], place[1], rest, source, source, findings);
        }
        String text = inner.isEmpty() ? written : comments(inner) + written;
        return new StatementResult(place[0], place[1], outcome.worse(Outcome.ADAPTED), source, text, findings);
    }

    /** The comments between the statement before and this one; after the last one those that follow, too. */
    private static List<Token> around(
            StatementParser.Result parsed, int from, StatementParser.Parsed one, boolean last) {
        if (parsed.comments().isEmpty()) {
            return List.of();
        }
        return parsed.comments().stream()
                .filter(t -> t.span().start() >= from && t.span().start() < one.start()
                        || last && t.span().start() >= one.end())
                .toList();
    }

    /** The comments and hints that stand inside of a statement. */
    private static List<Token> inside(StatementParser.Result parsed, StatementParser.Parsed one) {
        if (parsed.comments().isEmpty() && parsed.hints().isEmpty()) {
            return List.of();
        }
        return Stream.concat(parsed.comments().stream(), parsed.hints().stream())
                .filter(t -> t.span().start() > one.start() && t.span().start() < one.end())
                .sorted(Comparator.comparingInt(t -> t.span().start()))
                .toList();
    }

    /** True where the comments inside of a statement are comments, and no more, to the target too. */
    private boolean isPortable(List<Token> inner) {
        return inner.isEmpty()
                || from.name().equals(to.name())
                || inner.stream()
                        .allMatch(t -> t.kind() == TokenKind.COMMENT
                                && Comments.isPortable(t.text(), to.grammar().lexical()));
    }

    /** The comments, to be put before the statement. */
    private static String comments(List<Token> inner) {
        StringBuilder text = new StringBuilder();
        for (Token comment : inner) {
            if (comment.kind() == TokenKind.COMMENT) {
                text.append(Comments.portable(comment.text())).append('\n');
            }
        }
        return text.toString();
    }

    /** The source as a comment, headed by the reason. */
    static String byHand(PlacedFinding finding, String source) {
        return byHand(List.of(finding), source);
    }

    /** The source as a comment, headed by the reasons, with their places where there are several. */
    private static String byHand(List<PlacedFinding> findings, String source) {
        StringBuilder text = new StringBuilder();
        for (PlacedFinding finding : findings) {
            String where = findings.size() == 1 ? "" : finding.line() + ":" + finding.column() + ": ";
            text.append("-- ")
                    .append(where)
                    .append(finding.message().replaceAll("\\s+", " "))
                    .append('\n');
        }
        return text + commented(Passwords.hidden(source));
    }

    /** Each line of a text as a comment. */
    static String commented(String source) {
        StringBuilder text = new StringBuilder();
        for (String line : source.split("\\R", -1)) {
            text.append(text.isEmpty() ? "-- " : "\n-- ").append(line);
        }
        return text.toString();
    }

    private static int[] place(String text, int offset, int line, int column) {
        int atLine = line;
        int lastBreak = -1;
        for (int i = 0; i < offset; i++) {
            if (text.charAt(i) == '\n') {
                atLine++;
                lastBreak = i;
            }
        }
        return new int[] {atLine, lastBreak < 0 ? column + offset : offset - lastBreak};
    }
}
