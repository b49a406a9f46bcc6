package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.dialect.Language;
import raftcart.dialect.Untranslatable;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.error.SqlSyntaxException;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.rewrite.ExpressionRewriter.Note;
import raftcart.rewrite.Scope.Relation;
import raftcart.sql.Span;
import raftcart.sql.parse.ExprParser;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.parse.StatementParser;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;

/**
 * Translates the objects of a catalog that are statements, such as views. All names in them, and all tables that are known,
 * are those of the target already.
 */
public final class ObjectRewriter {
    private final Language from;
    private final Language to;
    private final Knowledge knowledge;

    public ObjectRewriter(Language from, Language to, Knowledge knowledge) {
        this.from = from;
        this.to = to;
        this.knowledge = knowledge;
    }

    /** The same for objects in another mode of the source's engine. */
    public ObjectRewriter in(Language other) {
        return new ObjectRewriter(other, to, knowledge);
    }

    /**
     * What came of an object.
     *
     * @param statements the object in the target's SQL; none where it could not be said, or is nothing there
     * @param reason why it could not be said; empty where it could
     * @param shares the number of statements within a routine or trigger, by how they fare; none where it was not read
     */
    public record Result(List<String> statements, String reason, List<Note> notes, Map<Outcome, Integer> shares) {
        public Result {
            statements = List.copyOf(statements);
            notes = List.copyOf(notes);
            shares = Map.copyOf(shares);
        }

        /** One that has no statements within. */
        public Result(List<String> statements, String reason, List<Note> notes) {
            this(statements, reason, notes, Map.of());
        }

        private Result sharing(Map<Outcome, Integer> counts) {
            return new Result(statements, reason, notes, counts);
        }

        /** Nothing, for a reason. */
        public static Result not(String reason) {
            return new Result(List.of(), reason, List.of());
        }

        /** True where the object could be said. */
        public boolean done() {
            return reason.isEmpty();
        }
    }

    /**
     * Reads an object's text.
     *
     * @throws SqlSyntaxException if it cannot be read
     */
    public static Statement parse(String text, Language language) {
        List<StatementParser.Parsed> parsed =
                StatementParser.parse(text, language.grammar(), 1, 1).statements();
        if (parsed.isEmpty()) {
            throw new SqlSyntaxException(1, 1, "found nothing, expected a statement");
        }
        StatementParser.Parsed first = parsed.get(0);
        return first.statement().orElseThrow(() -> first.failure().orElseThrow());
    }

    /** Remembers what a routine takes, for those that call it. */
    public void know(Statement statement) {
        CodeAdapter code = new CodeAdapter(new StatementAdapter(from, to, knowledge, new AdaptNotes()));
        if (statement instanceof CodeStatement.CreateRoutine routine) {
            new CodeHeads(code).know(routine);
        } else if (statement instanceof CodeStatement.CreatePackage made) {
            made.routines().forEach(new CodeHeads(code)::know);
        }
    }

    /** True for a routine that is there, and whose rows the source reads like those of a table (Firebird). */
    public boolean givesRows(QualifiedName name) {
        return from.grammar().has(GrammarFeature.PSQL_ROUTINES)
                && knowledge.isRoutine(name)
                && knowledge.code().signatures().givesRows(name);
    }

    /** Translates a statement. */
    public Result rewrite(Statement statement) {
        AdaptNotes notes = new AdaptNotes();
        try {
            StatementAdapter adapter = new StatementAdapter(from, to, knowledge, notes);
            List<Statement> adapted = adapter.adapt(statement);
            Result result = written(adapted, adapter.expressions(), notes);
            return statement instanceof CodeStatement && result.done()
                    ? result.sharing(CodeShares.of(statement, notes))
                    : result;
        } catch (Untranslatable e) {
            Result left =
                    Result.not(e.parts().stream().map(ObjectRewriter::placed).collect(Collectors.joining("; ")));
            return statement instanceof CodeStatement ? left.sharing(CodeShares.of(statement, notes, e)) : left;
        }
    }

    private static String placed(Untranslatable part) {
        return part.place().map(s -> s.line() + ":" + s.column() + ": ").orElse("") + part.getMessage();
    }

    /** What assigns a value to a column at every change of its row, for a target that does it by a trigger. */
    public Result assignOnUpdate(QualifiedName table, Name column, String value, List<Name> watched) {
        AdaptNotes notes = new AdaptNotes();
        QueryAdapter adapter = new QueryAdapter(from, to, knowledge, notes);
        Relation.of(table.last().text(), table, knowledge).ifPresent(adapter.scope::add);
        try {
            Expr adapted = adapter.expr(ExprParser.parse(value, from.grammar()));
            Statement trigger = new DdlStatement.AssignOnUpdate(table, column, adapted, watched, Span.NONE);
            return written(List.of(trigger), adapter, notes);
        } catch (Untranslatable | SqlSyntaxException e) {
            return Result.not(e.getMessage());
        }
    }

    private Result written(List<Statement> adapted, ExprAdapter adapter, AdaptNotes notes) {
        SqlWriter writer = to.writer().apply(new WriterContext(to, adapter::kindOf, n -> n, notes::add));
        List<String> texts = new ArrayList<>();
        adapted.forEach(s -> texts.add(StatementRewriter.delimited(s, writer.statement(s), to)));
        Optional<String> unknown = notes.all().stream()
                .filter(n -> n.code() == FindingCode.FUNCTION_UNKNOWN)
                .map(AdaptNotes.Note::detail)
                .findFirst();
        return unknown.map(f -> Result.not("the function " + f + " is not known"))
                .orElseGet(() -> new Result(texts, "", notes(notes)));
    }

    private static List<Note> notes(AdaptNotes notes) {
        return notes.all().stream()
                .map(n -> new Note(n.code(), n.detail()))
                .distinct()
                .toList();
    }
}
