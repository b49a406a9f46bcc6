package raftcart.rewrite;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.write.WriterContext;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.parse.IntoParser;
import raftcart.sql.parse.StatementParser;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;

/**
 * Statements that code puts together as texts. One that is a constant becomes a statement of the code; of another the parts
 * that are constants are translated, with names in the places of those that are not.
 */
final class DynamicCode {
    private static final Pattern PART = Pattern.compile("q_(\\d+)_q");
    private static final Pattern QUERY = Pattern.compile("(?is)[\\s(]*(SELECT|WITH|VALUES|SHOW|TABLE)\\b.*");

    private final QueryAdapter adapter;
    private final Function<Statement, List<Statement>> statements;
    private final UnaryOperator<Expr> targets;
    private final Rows rows;

    /** What becomes of a query whose rows go to the caller. */
    @FunctionalInterface
    interface Rows {
        /** The query in the target's terms, and what is known of it by what knows nothing of the routine. */
        Query given(Query template, StatementAdapter apart, Span span);
    }

    /**
     * Makes statements of texts.
     *
     * @param statements adapts a statement that is no longer computed
     * @param targets a variable as the target calls it
     */
    DynamicCode(
            QueryAdapter adapter,
            Function<Statement, List<Statement>> statements,
            UnaryOperator<Expr> targets,
            Rows rows) {
        this.adapter = adapter;
        this.statements = statements;
        this.targets = targets;
        this.rows = rows;
    }

    /** True for a name that stands for something computed. */
    static boolean isComputed(String name) {
        return PART.matcher(name).matches();
    }

    /** True for what may hand rows to the caller. */
    static boolean isOfRows(CodeStatement.Dynamic dynamic) {
        Expr text = dynamic.text();
        Expr first = text instanceof Expr.Concat c ? c.parts().get(0) : text;
        return dynamic.targets().isEmpty()
                && first instanceof Expr.Literal l
                && QUERY.matcher(l.text()).matches();
    }

    List<Statement> made(CodeStatement.Dynamic dynamic) {
        return made(dynamic, false);
    }

    /** A computed query whose rows are among those that a function gives. */
    List<Statement> given(CodeStatement.ReturnText text) {
        return made(new CodeStatement.Dynamic(text.text(), List.of(), text.values(), text.span()), true);
    }

    private List<Statement> made(CodeStatement.Dynamic dynamic, boolean taken) {
        if (DynamicTexts.isPrepared(dynamic.text())) {
            throw CodeAdapter.at(dynamic.span(), "a prepared statement whose text is not known here");
        }
        List<Expr> parts = parts(dynamic);
        Statement read = read(template(parts), dynamic.span());
        List<Expr.Parameter> places = places(read);
        if (places.size() != dynamic.values().size()) {
            throw CodeAdapter.at(dynamic.span(), "a computed statement with another number of values than places");
        }
        boolean whole = parts.stream().allMatch(p -> constant(p).isPresent());
        // Among the statements of the code a name could mean a variable, which the text does not see.
        boolean hidden = whole && names(read, adapter.scope::isOfVariable);
        return whole && !hidden
                ? plain(read, places, dynamic, taken)
                : List.of(computed(read, places, parts, dynamic, taken));
    }

    private static List<Expr> parts(CodeStatement.Dynamic dynamic) {
        return dynamic.text() instanceof Expr.Concat c ? c.parts() : List.of(dynamic.text());
    }

    /** The text with names in the places of what is not constant. */
    private static String template(List<Expr> parts) {
        StringBuilder template = new StringBuilder();
        for (int i = 0; i < parts.size(); i++) {
            template.append(constant(parts.get(i)).orElse("q_" + i + "_q"));
        }
        return template.toString();
    }

    /** The query that a constant text is; none where a name in it would mean a variable among the statements of the code. */
    static Optional<Query> query(CodeStatement.Dynamic dynamic, Language from, Set<String> variables) {
        return statement(dynamic, from)
                .filter(s -> !names(
                        s,
                        n -> variables.contains(n.last().key())
                                || variables.contains(n.parts().get(0).key())))
                .filter(s -> places(s).size() == dynamic.values().size())
                .map(s -> replaced(s, places(s), dynamic.values()))
                .filter(Statement.QueryStatement.class::isInstance)
                .map(s -> ((Statement.QueryStatement) s).query());
    }

    private static boolean names(Statement statement, Predicate<QualifiedName> test) {
        return StatementSearch.anyExpression(
                List.of(statement), e -> e instanceof Expr.Column c && test.test(c.name()));
    }

    private static Optional<Statement> statement(CodeStatement.Dynamic dynamic, Language from) {
        return StatementParser.parse(template(parts(dynamic)), from.grammar(), 1, 1).statements().stream()
                .flatMap(p -> p.statement().stream())
                .findFirst();
    }

    /** The same whose variables of the session, which its text fills, are targets of the code. */
    static CodeStatement.Dynamic filling(CodeStatement.Dynamic dynamic, Language from) {
        if (!from.has(SqlFeature.SESSION_VARIABLES)) {
            return dynamic;
        }
        List<Expr> targets = new ArrayList<>();
        List<Expr> rest = new ArrayList<>();
        for (Expr part : parts(dynamic)) {
            boolean text = part instanceof Expr.Literal l && l.kind() == LiteralKind.STRING;
            rest.add(
                    text
                            ? Expr.Literal.string(
                                    IntoParser.without(((Expr.Literal) part).text(), from.grammar(), targets))
                            : part);
        }
        boolean fills = dynamic.targets().isEmpty() && !targets.isEmpty();
        boolean nullIsEmpty = dynamic.text() instanceof Expr.Concat c && c.nullIsEmpty();
        Expr text = rest.size() == 1 ? rest.get(0) : new Expr.Concat(rest, nullIsEmpty, dynamic.span());
        return fills ? dynamic.of(text).into(targets) : dynamic;
    }

    private static Optional<String> constant(Expr e) {
        return e instanceof Expr.Literal l && (l.kind() == LiteralKind.STRING || l.kind() == LiteralKind.NUMBER)
                ? Optional.of(l.text())
                : Optional.empty();
    }

    private Statement read(String text, Span span) {
        List<StatementParser.Parsed> parsed = StatementParser.parse(
                        text, adapter.from.grammar(), span.line(), span.column())
                .statements();
        if (parsed.size() != 1 || parsed.get(0).statement().isEmpty()) {
            throw CodeAdapter.at(span, "a computed statement that cannot be read without the values in it");
        }
        return parsed.get(0).statement().get();
    }

    /** The places for values, in their order in the text. */
    private static List<Expr.Parameter> places(Statement statement) {
        List<Expr.Parameter> places = new ArrayList<>();
        StatementSearch.anyExpression(List.of(statement), e -> {
            if (e instanceof Expr.Parameter p) {
                places.add(p);
            }
            return false;
        });
        places.sort(Comparator.comparingInt(p -> p.span().start()));
        return places;
    }

    private static Statement replaced(Statement statement, List<Expr.Parameter> places, List<Expr> values) {
        Map<Integer, Expr> by = IntStream.range(0, places.size())
                .boxed()
                .collect(Collectors.toMap(i -> places.get(i).span().start(), values::get));
        return new StatementMapper() {
            @Override
            public Expr expr(Expr e) {
                return e instanceof Expr.Parameter p ? by.get(p.span().start()) : super.expr(e);
            }
        }.statement(statement);
    }

    /** A constant text is a statement like others. */
    private List<Statement> plain(
            Statement read, List<Expr.Parameter> places, CodeStatement.Dynamic dynamic, boolean taken) {
        Statement statement = replaced(read, places, dynamic.values());
        if (statement instanceof Statement.NotTranslated not) {
            throw CodeAdapter.at(dynamic.span(), not.what());
        }
        if (taken && statement instanceof Statement.QueryStatement query) {
            return statements.apply(new CodeStatement.ReturnRows(query.query(), dynamic.span()));
        }
        boolean idle = dynamic.targets().isEmpty() && !adapter.from.has(SqlFeature.TEXTS_GIVE_ROWS);
        if (idle && statement instanceof Statement.QueryStatement query) {
            return statements.apply(new CodeStatement.Evaluate(
                    new Expr.Subquery(query.query(), dynamic.span()), dynamic.span())); // for what it does alone
        }
        if (dynamic.targets().isEmpty()) {
            return statements.apply(statement);
        }
        if (!(statement instanceof Statement.QueryStatement query)) {
            throw CodeAdapter.at(dynamic.span(), "a computed statement that gives values and is no query");
        }
        return statements.apply(
                new CodeStatement.SelectInto(query.query(), dynamic.targets(), dynamic.expected(), dynamic.span()));
    }

    private Statement computed(
            Statement read,
            List<Expr.Parameter> places,
            List<Expr> parts,
            CodeStatement.Dynamic dynamic,
            boolean taken) {
        List<Expr> numbered = IntStream.range(0, places.size())
                .<Expr>mapToObj(
                        i -> new Expr.Parameter("$" + (i + 1), places.get(i).span()))
                .toList();
        // A computed statement sees nothing of the routine's variables.
        StatementAdapter apart = new StatementAdapter(adapter.from, adapter.to, adapter.knowledge, adapter.notes);
        Statement statement = replaced(read, places, numbered);
        boolean untaken = !taken && dynamic.targets().isEmpty() && statement instanceof Statement.QueryStatement;
        boolean gives = untaken && adapter.from.has(SqlFeature.TEXTS_GIVE_ROWS);
        if (untaken && !gives && adapter.to.has(SqlFeature.TEXTS_GIVE_ROWS)) {
            throw CodeAdapter.at(dynamic.span(), "a computed query whose rows nobody takes");
        }
        List<Statement> adapted = gives
                ? List.of(new Statement.QueryStatement(
                        rows.given(((Statement.QueryStatement) statement).query(), apart, dynamic.span()),
                        Optional.empty(),
                        false,
                        dynamic.span()))
                : apart.adapt(statement);
        if (adapted.size() != 1) {
            throw CodeAdapter.at(dynamic.span(), "a computed statement that becomes several");
        }
        WriterContext context = new WriterContext(adapter.to, apart.expressions()::kindOf, n -> n, adapter.notes::add);
        String text = adapter.to.writer().apply(context).statement(adapted.get(0));
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                dynamic.span(),
                "a computed statement: what its variables bring has to be SQL of the target");
        sayRows(dynamic, adapted.get(0));
        boolean nullIsEmpty = dynamic.text() instanceof Expr.Concat c && c.nullIsEmpty();
        Expr whole = adapter.expr(pieces(text, parts, nullIsEmpty, dynamic.span()));
        List<Expr> values = dynamic.values().stream().map(adapter::expr).toList();
        return gives
                ? new CodeStatement.ReturnText(whole, values, dynamic.span())
                : new CodeStatement.Dynamic(
                        whole,
                        dynamic.targets().stream().map(targets).toList(),
                        values,
                        dynamic.expected(),
                        dynamic.span());
    }

    /** Says what becomes of variables for which there is no row, where these keep what they have on the source. */
    private void sayRows(CodeStatement.Dynamic dynamic, Statement adapted) {
        boolean one = adapted instanceof Statement.QueryStatement q
                && q.query().body() instanceof QueryBody.Select s
                && s.groupBy().isEmpty()
                && q.query().paging().isEmpty()
                && s.items().stream().anyMatch(i -> Aggregates.ofRows(i.value(), adapter.to));
        if (dynamic.expected() == Expected.AT_MOST_ONE && !dynamic.targets().isEmpty() && !one) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    dynamic.span(),
                    "a computed query without a row is an error, on the source its variables keep what they have");
        }
    }

    /** The text with what was computed in the places that names stood for; each of them has to be there once. */
    private static Expr pieces(String text, List<Expr> parts, boolean nullIsEmpty, Span span) {
        List<Expr> pieces = new ArrayList<>();
        Matcher matcher = PART.matcher(text);
        int end = 0;
        int found = 0;
        while (matcher.find()) {
            if (matcher.start() > end) {
                pieces.add(Expr.Literal.string(text.substring(end, matcher.start())));
            }
            pieces.add(parts.get(Integer.parseInt(matcher.group(1))));
            end = matcher.end();
            found++;
        }
        if (end < text.length()) {
            pieces.add(Expr.Literal.string(text.substring(end)));
        }
        long computed = parts.stream().filter(p -> constant(p).isEmpty()).count();
        if (found != computed) {
            throw CodeAdapter.at(span, "a computed statement whose parts do not stay what they are");
        }
        return new Expr.Concat(pieces, nullIsEmpty, span);
    }
}
