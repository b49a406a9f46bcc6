package raftcart.engines.rewrite;

import java.io.IOException;
import java.io.PrintStream;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.Language;
import raftcart.dialect.Languages;
import raftcart.finding.Outcome;
import raftcart.rewrite.Knowledge;
import raftcart.rewrite.StatementResult;
import raftcart.rewrite.StatementRewriter;
import raftcart.rewrite.TokenRules;
import raftcart.sql.script.Piece;
import raftcart.sql.script.ScriptReader;

/**
 * Not a test but a developer's probe: runs scripts that other people wrote on their engine and, translated, on another, and
 * prints every statement whose rows (of a query) or whose table (of a change) differ, or that the target refuses, without a
 * finding that told so. What the source refuses itself is passed over. CONTRIBUTING.md says how to call it.
 */
public final class CorpusRun {
    private static final Pattern TABLE = Pattern.compile(
            "(?is)^\\s*(?:insert\\s+(?:ignore\\s+)?(?:into\\s+)?|replace\\s+(?:into\\s+)?|update\\s+(?:only\\s+)?|delete\\s+from\\s+(?:only\\s+)?"
                    + "|merge\\s+into\\s+|truncate\\s+(?:table\\s+)?|alter\\s+table\\s+|create\\s+(?:temp\\w*\\s+)?table\\s+(?:if\\s+not\\s+exists\\s+)?"
                    + "|create\\s+(?:or\\s+replace\\s+)?view\\s+)([\\w.\"`]+).*");
    private static final Pattern QUERY = Pattern.compile("(?is)^\\s*\\(*\\s*(select|with|values|table)\\b.*");
    private static final Pattern TRANSACTION = Pattern.compile(
            "(?is)^\\s*(begin|start\\s+tran|commit|rollback|abort|end|savepoint|release|set\\s+tran|lock|explain|analyze|vacuum|set|reset|show|prepare|execute|deallocate|declare|fetch|move|close|flush|kill|shutdown)\\b.*");
    private static final Pattern OTHER_EACH_TIME = Pattern.compile(
            "(?i).*(now\\s*\\(|current_|random|rand\\s*\\(|uuid|clock_|pg_|information_schema|version|explain|sys(date|time)|ctid|xmin|oid\\b|regclass).*",
            Pattern.DOTALL);

    private static final Pattern DROPS = Pattern.compile("(?is)^\\s*(drop|alter)\\b.*");

    /** What became of one statement. */
    private enum Fate {
        SAME,
        TOLD,
        BY_HAND,
        FOLLOWS,
        REFUSED,
        SILENT,
        /** What gives other rows each time, or the engine's own names and numbers. */
        NOT_COMPARED,
        NOT_RUN
    }

    private final String source;
    private final String target;
    private final PrintStream out;
    private final Map<Fate, Integer> counts = new EnumMap<>(Fate.class);
    private final Set<String> lost = new HashSet<>();

    private CorpusRun(String source, String target, PrintStream out) {
        this.source = source;
        this.target = target;
        this.out = out;
    }

    /** @param args the source's dialect, the target's, and script files */
    public static void main(String[] args) throws IOException, SQLException {
        PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
        CorpusRun run = new CorpusRun(args[0], args[1], out);
        for (String file : List.of(args).subList(2, args.length)) {
            run.file(Path.of(file));
        }
        out.println("total " + args[0] + " to " + args[1] + ": " + run.counts);
        System.exit(0); // servers and drivers leave threads behind
    }

    private void file(Path file) throws IOException, SQLException {
        lost.clear();
        Language from = Languages.named(source).orElseThrow();
        StatementRewriter rewriter =
                new StatementRewriter(from, Languages.named(target).orElseThrow(), new Knowledge(), TokenRules.NONE);
        try (SqlEngines engines = new SqlEngines(Set.of(source, target));
                Reader in = Files.newBufferedReader(file, StandardCharsets.UTF_8)) {
            ScriptReader reader = new ScriptReader(in, from.grammar().lexical(), from.scripts());
            for (Optional<Piece> piece = reader.next(); piece.isPresent(); piece = reader.next()) {
                if (piece.get().kind() == Piece.Kind.STATEMENT
                        && !TRANSACTION.matcher(piece.get().text()).matches()) {
                    String place = file.getFileName() + ":" + piece.get().line();
                    statement(engines, rewriter, piece.get(), place);
                }
            }
        }
    }

    private void statement(SqlEngines engines, StatementRewriter rewriter, Piece piece, String place) {
        String sql = piece.text();
        List<String> expected;
        try {
            expected = run(engines, source, sql, List.of(sql));
        } catch (SQLException e) {
            count(Fate.NOT_RUN);
            return;
        }
        List<StatementResult> results = rewriter.rewrite(sql, piece.line(), piece.column());
        Outcome outcome = results.stream().map(StatementResult::outcome).reduce(Outcome.AS_IS, Outcome::worse);
        String text =
                String.join(";\n", results.stream().map(StatementResult::text).toList());
        if (outcome == Outcome.BY_HAND) {
            loses(sql);
            report(Fate.BY_HAND, place, sql, results.get(0).findings() + "");
            return;
        }
        boolean follows = isLost(sql);
        try {
            List<String> parts = QUERY.matcher(sql).matches() ? List.of(text) : ScriptText.statements(text);
            List<String> rows = run(engines, target, sql, parts);
            if (rows.equals(expected) || OTHER_EACH_TIME.matcher(sql).matches()) {
                count(rows.equals(expected) ? Fate.SAME : Fate.NOT_COMPARED);
                return;
            }
            Fate fate = outcome == Outcome.CHECK ? Fate.TOLD : follows ? Fate.FOLLOWS : Fate.SILENT;
            report(fate, place, sql, "=> " + text + "\n   -- " + shown(expected) + "\n   ++ " + shown(rows));
        } catch (SQLException e) {
            Fate fate = outcome == Outcome.CHECK ? Fate.TOLD : follows ? Fate.FOLLOWS : Fate.REFUSED;
            report(fate, place, sql, "=> " + text + "\n   ! " + e.getMessage());
        }
        loses(sql);
    }

    /** Runs a query, or a change as its parts; gives the rows of the one, or of the table that the other changed. */
    private List<String> run(SqlEngines engines, String engine, String sql, List<String> parts) throws SQLException {
        if (QUERY.matcher(sql).matches()) {
            return parts.get(0).isBlank() ? List.of() : engines.rows(engine, parts.get(0), SqlEngines.isOrdered(sql));
        }
        for (String part : parts) {
            if (!part.isBlank()) {
                engines.execute(engine, part);
            }
        }
        Matcher table = TABLE.matcher(sql);
        boolean read = table.matches() && !isLost(sql) && !DROPS.matcher(sql).matches();
        return read ? contents(engines, engine, table.group(1)) : List.of();
    }

    private List<String> contents(SqlEngines engines, String engine, String table) throws SQLException {
        String name = table.replaceAll("[\"`]", engine.equals("mariadb") ? "`" : "\"");
        return engines.rows(engine, "SELECT * FROM " + name, false);
    }

    private void report(Fate fate, String place, String sql, String what) {
        count(fate);
        out.println("#" + fate + " " + place + "\n   " + sql.strip() + "\n   " + what);
    }

    private void count(Fate fate) {
        counts.merge(fate, 1, Integer::sum);
    }

    private static String shown(List<String> rows) {
        String text = rows.toString();
        return text.length() > 600 ? text.substring(0, 600) + "..." : text;
    }

    /** What a change would have made is missing on the target from here on. */
    private void loses(String sql) {
        Matcher made = Pattern.compile(
                        "(?i)\\b(?:table|view|sequence|type|domain|function|schema|index|role|user|group|into|update|from)\\s+(?:only\\s+|if\\s+not\\s+exists\\s+)?([\\w.\"`]+)")
                .matcher(sql);
        if (!QUERY.matcher(sql).matches()) {
            while (made.find()) {
                lost.add(made.group(1).replaceAll("[\"`]", "").toLowerCase(Locale.ROOT));
            }
        }
    }

    private boolean isLost(String sql) {
        Matcher word = Pattern.compile("[\\w.]+").matcher(sql.toLowerCase(Locale.ROOT));
        while (word.find()) {
            if (lost.contains(word.group())) {
                return true;
            }
        }
        return false;
    }
}
