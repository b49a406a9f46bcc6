package raftcart.rewrite;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import raftcart.dialect.write.WriterContext;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.parse.StatementParser;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;

/**
 * Statements that code puts together as texts. One that is a constant becomes a statement of the code; of another the parts
 * that are constants are translated, with names in the places of those that are not.
 */
final class DynamicCode {
    private static final Pattern PART = Pattern.compile("q_(\\d+)_q");

    private final QueryAdapter adapter;
    private final Function<Statement, List<Statement>> statements;
    private final UnaryOperator<Expr> targets;

    /**
     * Makes statements of texts.
     *
     * @param statements adapts a statement that is no longer computed
     * @param targets a variable as the target calls it
     */
    DynamicCode(QueryAdapter adapter, Function<Statement, List<Statement>> statements, UnaryOperator<Expr> targets) {
        this.adapter = adapter;
        this.statements = statements;
        this.targets = targets;
    }

    List<Statement> made(CodeStatement.Dynamic dynamic) {
        List<Expr> parts = dynamic.text() instanceof Expr.Concat c ? c.parts() : List.of(dynamic.text());
        StringBuilder template = new StringBuilder();
        for (int i = 0; i < parts.size(); i++) {
            template.append(constant(parts.get(i)).orElse("q_" + i + "_q"));
        }
        Statement read = read(template.toString(), dynamic.span());
        List<Expr.Parameter> places = places(read);
        if (places.size() != dynamic.values().size()) {
            throw CodeAdapter.at(dynamic.span(), "a computed statement with another number of values than places");
        }
        boolean whole = parts.stream().allMatch(p -> constant(p).isPresent());
        return whole ? plain(read, places, dynamic) : List.of(computed(read, places, parts, dynamic));
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
    private List<Statement> plain(Statement read, List<Expr.Parameter> places, CodeStatement.Dynamic dynamic) {
        Statement statement = replaced(read, places, dynamic.values());
        if (statement instanceof Statement.NotTranslated not) {
            throw CodeAdapter.at(dynamic.span(), not.what());
        }
        if (dynamic.targets().isEmpty()) {
            return statements.apply(statement);
        }
        if (!(statement instanceof Statement.QueryStatement query)) {
            throw CodeAdapter.at(dynamic.span(), "a computed statement that gives values and is no query");
        }
        return statements.apply(
                new CodeStatement.SelectInto(query.query(), dynamic.targets(), Expected.EXACTLY_ONE, dynamic.span()));
    }

    private Statement computed(
            Statement read, List<Expr.Parameter> places, List<Expr> parts, CodeStatement.Dynamic dynamic) {
        List<Expr> numbered = IntStream.range(0, places.size())
                .<Expr>mapToObj(
                        i -> new Expr.Parameter("$" + (i + 1), places.get(i).span()))
                .toList();
        // A computed statement sees nothing of the routine's variables.
        StatementAdapter apart = new StatementAdapter(adapter.from, adapter.to, adapter.knowledge, adapter.notes);
        List<Statement> adapted = apart.adapt(replaced(read, places, numbered));
        if (adapted.size() != 1) {
            throw CodeAdapter.at(dynamic.span(), "a computed statement that becomes several");
        }
        WriterContext context = new WriterContext(adapter.to, apart.expressions()::kindOf, n -> n, adapter.notes::add);
        String text = adapter.to.writer().apply(context).statement(adapted.get(0));
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                dynamic.span(),
                "a computed statement: what its variables bring has to be SQL of the target");
        return new CodeStatement.Dynamic(
                adapter.expr(pieces(text, parts, dynamic.span())),
                dynamic.targets().stream().map(targets).toList(),
                dynamic.values().stream().map(adapter::expr).toList(),
                dynamic.span());
    }

    /** The text with what was computed in the places that names stood for; each of them has to be there once. */
    private static Expr pieces(String text, List<Expr> parts, Span span) {
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
        return new Expr.Concat(pieces, true, span);
    }
}
