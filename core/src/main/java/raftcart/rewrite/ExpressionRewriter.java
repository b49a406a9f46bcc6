package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;
import raftcart.catalog.Partitioning;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.dialect.write.DdlWriter;
import raftcart.dialect.write.PartitionWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.error.SqlSyntaxException;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Scope.Relation;
import raftcart.sql.Span;
import raftcart.sql.parse.ExprParser;
import raftcart.sql.parse.PartitionParser;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.QueryMapper;
import raftcart.type.LogicalType;

/**
 * Translates the single expressions of a catalog: conditions of rows, defaults, computed columns, parts of indexes. The
 * tables that it knows have their names on the target, since names come before everything else.
 */
public final class ExpressionRewriter {
    private final Language from;
    private final Language to;
    private final Knowledge knowledge;
    private final QualifiedName table;
    private final Names names;

    /**
     * For the expressions of one table.
     *
     * @param knowledge the tables under their names on the target
     * @param table the table on the target
     */
    public ExpressionRewriter(Language from, Language to, Knowledge knowledge, QualifiedName table, Names names) {
        this.from = from;
        this.to = to;
        this.knowledge = knowledge;
        this.table = table;
        this.names = names;
    }

    /** Where names of the source are found on the target. */
    public interface Names {
        /** The column of the table; empty where it has none of this name. */
        Optional<Name> column(Name source);

        /** The sequence. */
        QualifiedName sequence(QualifiedName source);
    }

    /** Something to know about a translated expression. */
    public record Note(FindingCode code, String detail) {}

    /**
     * What came of an expression.
     *
     * @param text the expression in the target's SQL, if it could be said
     * @param reason why not
     */
    public record Result(Optional<String> text, String reason, List<Note> notes) {
        public Result {
            notes = List.copyOf(notes);
        }

        /** None, for a reason. */
        public static Result not(String reason) {
            return new Result(Optional.empty(), reason, List.of());
        }
    }

    /** A condition that rows fulfil or not. */
    public Result condition(String text) {
        return rewrite(text, QueryAdapter::condition);
    }

    /** A value of whichever type. */
    public Result value(String text) {
        return rewrite(text, QueryAdapter::expr);
    }

    /**
     * A value for an index, which may not hang on settings: conversions of texts into texts are left out, others refused, and
     * columns of padded texts stand without their blanks.
     *
     * @param padded true for such a column, by its name on the source
     */
    public Result indexed(String text, Predicate<Name> padded) {
        IndexedTexts texts = new IndexedTexts(padded);
        return rewrite(text, (adapter, e) -> {
            Expr value = adapter.expr(texts.expr(e));
            if (IndexedTexts.converts(value)) {
                throw new Untranslatable("a conversion of types");
            }
            return SteadyValues.of(value, adapter);
        });
    }

    /** A value of an index in which nothing is left out. */
    public Result indexed(String text) {
        return rewrite(text, (adapter, e) -> SteadyValues.of(adapter.expr(e), adapter));
    }

    /** What a column of this type is computed by. */
    public Result computed(String text, LogicalType type) {
        return rewrite(
                text,
                (adapter, e) -> SteadyValues.of(new ValueAdapter(adapter).computed(e, Optional.of(type)), adapter));
    }

    /** The condition of a check, which reads no clock where the target's do not. */
    public Result check(String text) {
        return rewrite(text, (adapter, e) -> {
            if (ConstraintAdapter.readsClock(e) && !adapter.to.has(SqlFeature.CHECKS_READ_CLOCK)) {
                throw new Untranslatable("a check that reads the time of day");
            }
            return ConstraintAdapter.steady(DocumentChecks.of(adapter.condition(e), adapter), adapter);
        });
    }

    /** The default of a column, or the value that is assigned to it at every change. */
    public Result defaultValue(String text, LogicalType type) {
        boolean[] enclosed = {false};
        Result result = rewrite(text, (adapter, e) -> {
            Expr value = new ColumnAdapter(adapter).value(e, Optional.of(type));
            enclosed[0] = DdlWriter.isEnclosed(value);
            return value;
        });
        return enclosed[0]
                ? new Result(result.text().map(t -> "(" + t + ")"), result.reason(), result.notes())
                : result;
    }

    private Result rewrite(String text, BiFunction<QueryAdapter, Expr, Expr> how) {
        AdaptNotes notes = new AdaptNotes();
        QueryAdapter adapter = new QueryAdapter(from, to, knowledge, notes);
        Relation.of(table.last().text(), table, knowledge).ifPresent(adapter.scope::add);
        try {
            Expr named = new Renamer().expr(ExprParser.parse(text, from.grammar()));
            Expr adapted = how.apply(adapter, adapter.lost(SqlFeature.IGNORES_CASE) ? folded(named, adapter) : named);
            refuseUnknown(adapted);
            WriterContext context = new WriterContext(to, adapter::kindOf, n -> n, notes::add);
            String written = to.writer().apply(context).expression(adapted);
            return unknownFunction(notes)
                    .map(f -> Result.not("the function " + f + " is not known"))
                    .orElseGet(() -> new Result(Optional.of(written), "", notes(notes)));
        } catch (SqlSyntaxException | Untranslatable e) {
            return Result.not(e.getMessage());
        }
    }

    /** How a table is divided on the target; none where it is not, with the reason among the notes. */
    public record Parts(Optional<Partitioning> partitioning, List<Note> notes) {}

    /**
     * Brings the partitions of the table across.
     *
     * @param keys its unique keys on the target, the primary key first
     * @param references true where foreign keys lead from it or to it
     * @param stored the types of its columns on the target
     */
    public Parts partitions(
            Partitioning given,
            List<List<Name>> keys,
            boolean references,
            Function<Name, Optional<LogicalType>> stored) {
        AdaptNotes notes = new AdaptNotes();
        QueryAdapter adapter = new QueryAdapter(from, to, knowledge, notes);
        Relation.of(table.last().text(), table, knowledge).ifPresent(adapter.scope::add);
        Optional<Partitioning> parts = Optional.empty();
        try {
            List<PartitionParser.Part> listed = given.partitions().stream()
                    .map(p -> new PartitionParser.Part(p.name(), p.bounds()))
                    .toList();
            raftcart.sql.tree.Partitioning read = PartitionParser.parse(given.scheme(), listed, from.grammar());
            List<Expr> named = read.keys().stream().map(new Renamer()::expr).toList();
            PartitionAdapter.Around around = new PartitionAdapter.Around(table, keys, references, stored);
            PartitionWriter writer = to.writer()
                    .apply(new WriterContext(to, adapter::kindOf, n -> n, notes::add))
                    .partitions();
            parts = new PartitionAdapter(adapter, around, Span.NONE)
                    .adapted(read.withKeys(named))
                    .map(p -> new Partitioning(
                            writer.scheme(p),
                            p.partitions().stream()
                                    .map(o -> new Partitioning.Partition(
                                            o.name().orElseThrow().last().text(), writer.bounds(o)))
                                    .toList()));
        } catch (SqlSyntaxException e) {
            notes.add(
                    FindingCode.SYNTAX_CHECK,
                    Span.NONE,
                    "the table is not partitioned (was by " + given.scheme() + "): " + e.getMessage());
        }
        return new Parts(parts, notes(notes));
    }

    private static Expr folded(Expr named, QueryAdapter adapter) {
        return new CaseFolder(adapter).expr(named);
    }

    /** A function that nobody knows would not let the object be made. */
    private static Optional<String> unknownFunction(AdaptNotes notes) {
        return notes.all().stream()
                .filter(n -> n.code() == FindingCode.FUNCTION_UNKNOWN)
                .map(AdaptNotes.Note::detail)
                .findFirst();
    }

    private static List<Note> notes(AdaptNotes notes) {
        return notes.all().stream()
                .map(n -> new Note(n.code(), n.detail()))
                .distinct()
                .toList();
    }

    /** What a text of the source says; empty where it cannot be read, which its own translation then says. */
    private Optional<Expr> read(String text) {
        try {
            return Optional.of(ExprParser.parse(text, from.grammar()));
        } catch (SqlSyntaxException e) {
            return Optional.empty();
        }
    }

    /** The columns that an expression names, by their names on the source; none where it cannot be read. */
    public List<Name> columnsOf(String text) {
        List<Name> columns = new ArrayList<>();
        QueryMapper names = new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                if (e instanceof Expr.Column column) {
                    columns.add(column.name().last());
                }
                return super.expr(e);
            }
        };
        read(text).ifPresent(names::expr);
        return List.copyOf(columns);
    }

    /** The columns that are not NULL in rows of this condition, if it says nothing else of them. */
    public Optional<List<Name>> notNulls(String condition) {
        return read(condition).flatMap(NotNullConditions::alone);
    }

    /** The columns that are not NULL in rows of this condition, as far as it says so itself. */
    public List<Name> notNullsAmong(String condition) {
        return read(condition).map(NotNullConditions::among).orElse(List.of());
    }

    /**
     * The type of a column for the values of an expression; empty where one of them might not fit.
     *
     * @param columns the types of the columns, by their names on the source
     */
    public Optional<LogicalType> typeOf(String text, Function<Name, Optional<LogicalType>> columns) {
        return read(text).flatMap(new ComputedTypes(columns)::of);
    }

    /**
     * The first characters of a column.
     *
     * @param column by its name on the source
     */
    public record Beginning(Name column, int length) {}

    /** What an expression is the beginning of; empty where it is something else. */
    public Optional<Beginning> beginning(String text) {
        return read(text).flatMap(IndexedTexts::of);
    }

    /** Puts the target's names in the place of the source's. */
    private final class Renamer extends QueryMapper {
        @Override
        public Expr expr(Expr e) {
            if (e instanceof Expr.Column column) {
                return renamed(column);
            }
            if (e instanceof Expr.Call call && DateWords.isFirstOf(call)) {
                return DateWords.kept(call, super.expr(call));
            }
            return e instanceof Expr.SequenceValue value
                    ? new Expr.SequenceValue(names.sequence(value.sequence()), value.next(), value.span())
                    : super.expr(e);
        }

        private Expr renamed(Expr.Column column) {
            return names.column(column.name().last())
                    .<Expr>map(own -> new Expr.Column(new QualifiedName(List.of(own)), false, column.span()))
                    .orElse(column);
        }
    }

    /** Refuses columns that the table does not have, once words such as units of time are no longer among them. */
    private void refuseUnknown(Expr adapted) {
        new QueryMapper() {
            @Override
            public Expr expr(Expr e) {
                if (e instanceof Expr.Column column
                        && !isKnown(column.name().last())
                        && !isWord(column.name().last())) {
                    throw new Untranslatable("column " + column.name().last().text() + " is not one of the table's");
                }
                return super.expr(e);
            }
        }.expr(adapted);
    }

    private boolean isKnown(Name name) {
        return knowledge
                .table(table)
                .filter(t -> t.columns().containsKey(name.text().toLowerCase(Locale.ROOT)))
                .isPresent();
    }

    /** True for what is written like a column and is a function, such as the name of the user. */
    private static boolean isWord(Name name) {
        return Stream.of("user", "session_user", "system_user", "current_user", "sysdate", "systimestamp", "level")
                        .anyMatch(name.text()::equalsIgnoreCase)
                || name.text().toLowerCase(Locale.ROOT).startsWith("current");
    }
}
