package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.function.ValueKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;

/** Parts of JSON documents, which dialects name step by step or by a path from the root. */
final class JsonPaths {
    private static final Pattern PLAIN = Pattern.compile("[A-Za-z_][A-Za-z0-9_]*");
    private static final Pattern QUOTED = Pattern.compile("\"[^\"]*\"");
    private static final Pattern PLACE = Pattern.compile("[0-9]{1,6}");
    private static final Pattern STEP =
            Pattern.compile("\\.(?:([A-Za-z_][A-Za-z0-9_]*)|\"([^\"]*)\")|\\[([0-9]{1,6})]");
    private static final Pattern DOCUMENT = Pattern.compile("(?s)\\s*(\\{\\s*(\".*)?\\}|\\[.*\\])\\s*");

    private final ExprAdapter adapter;

    JsonPaths(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** A document and the way to a part of it. */
    private record Part(Expr document, String path) {
        Part then(String step) {
            return new Part(document, path + step);
        }
    }

    /** An operator on documents. */
    Expr operator(Expr.Binary binary) {
        if (binary.operator() == BinaryOperator.CONTAINS) {
            return contains(binary);
        }
        boolean text =
                binary.operator() == BinaryOperator.JSON_GET_TEXT || binary.operator() == BinaryOperator.JSON_PATH_TEXT;
        if (adapter.to.has(SqlFeature.JSON_ARROWS)
                && binary.operator() != BinaryOperator.JSON_PATH
                && binary.operator() != BinaryOperator.JSON_PATH_TEXT) {
            return step(binary, text ? "_text" : "");
        }
        if (adapter.from.has(SqlFeature.JSON_PATH_OPERATORS) && adapter.to.has(SqlFeature.JSON_PATH_OPERATORS)) {
            return new Expr.Binary(
                    binary.operator(), adapter.expr(binary.left()), adapter.expr(binary.right()), binary.span());
        }
        Part part = part(binary)
                .orElseThrow(() -> new Untranslatable("a part of a JSON document that is not named by a constant"));
        boolean path =
                constant(binary.right()) instanceof Expr.Literal l && l.text().startsWith("$");
        wrapped(part.path(), path && adapter.from.has(SqlFeature.JSON_PATHS_WRAP), binary.span());
        return get(part, text, binary.span());
    }

    /** A call that names a part by a path, with the path as others write it. */
    Optional<Expr> rewrite(Expr.Call call) {
        boolean text = call.is("json_get_text");
        boolean constant = (text || call.is("json_get"))
                && call.arguments().get(1) instanceof Expr.Literal l
                && l.kind() == LiteralKind.STRING;
        if (!constant) {
            return Optional.empty();
        }
        String path = ((Expr.Literal) call.arguments().get(1)).text();
        boolean bare = !path.startsWith("$");
        wrapped(path, adapter.from.has(SqlFeature.JSON_PATHS_WRAP), call.span());
        boolean nulls =
                text && adapter.to.has(SqlFeature.JSON_NULL_IS_TEXT) && !adapter.from.has(SqlFeature.JSON_NULL_IS_TEXT);
        return bare || nulls || isWild(path) || followsSteps()
                ? Optional.of(get(new Part(call.arguments().get(0), bare ? "$." + path : path), text, call.span()))
                : Optional.empty();
    }

    /** A part that is cast to a text or number, where that takes the quotes of texts away. */
    static Expr.Cast unquoted(Expr.Cast cast, ExprAdapter adapter) {
        boolean quoted = adapter.from.has(SqlFeature.CASTS_UNQUOTE_JSON)
                && !adapter.to.has(SqlFeature.CASTS_UNQUOTE_JSON)
                && KindFinder.kind(adapter.finder.type(cast.type())) != ValueKind.JSON;
        if (!quoted) {
            return cast;
        }
        if (cast.value() instanceof Expr.Call call && call.is("json_get")) {
            return new Expr.Cast(
                    call.with("json_get_text", call.arguments()).at(cast.span()),
                    cast.type(),
                    cast.safe(),
                    cast.span());
        }
        boolean whole = adapter.kind(cast.value()) == ValueKind.JSON && !adapter.to.has(SqlFeature.OPENJSON);
        return whole
                ? new Expr.Cast(
                        Expr.Call.of("json_get_text", cast.value(), Expr.Literal.string("$"))
                                .at(cast.span()),
                        cast.type(),
                        cast.safe(),
                        cast.span())
                : cast;
    }

    /** Says that place 0 of an object or single value is itself on one side, and nothing on the other. */
    private void wrapped(String path, boolean wraps, Span span) {
        boolean wrapsThere = adapter.to.has(SqlFeature.JSON_PATHS_WRAP);
        if (path.contains("[0]") && wraps != wrapsThere) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    span,
                    "place 0 of what is no list is NULL on the " + (wraps ? "target" : "source")
                            + ", and itself on the " + (wraps ? "source" : "target"));
        }
    }

    private static boolean isWild(String path) {
        return QUOTED.matcher(path).replaceAll("").contains("*");
    }

    /** A path with wildcards, which gives a list of all parts on some engines, and the first or nothing on others. */
    private Expr all(Part part, boolean text, Span span) {
        boolean said = adapter.from.has(SqlFeature.JSON_WILDCARDS_LIST) && adapter.writes("json_get_all");
        if (!said || text || part.path().contains("**")) {
            throw new Untranslatable("a path of JSON with wildcards");
        }
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                span,
                "a list of what the wildcards find; lists and objects may be taken for each other");
        return Expr.Call.of("json_get_all", adapter.expr(part.document()), Expr.Literal.string(part.path()))
                .at(span);
    }

    private Expr get(Part part, boolean text, Span span) {
        boolean wild = isWild(part.path())
                && adapter.from.has(SqlFeature.JSON_WILDCARDS_LIST) != adapter.to.has(SqlFeature.JSON_WILDCARDS_LIST);
        if (wild) {
            return all(part, text, span);
        }
        boolean told =
                text && adapter.from.has(SqlFeature.JSON_NULL_IS_TEXT) != adapter.to.has(SqlFeature.JSON_NULL_IS_TEXT);
        if (told && adapter.from.has(SqlFeature.JSON_NULL_IS_TEXT)) {
            adapter.note(
                    FindingCode.FUNCTION_DIFFERS,
                    span,
                    "JSON's null is the text null on the source, and NULL on the target");
        }
        Expr document = adapter.expr(part.document());
        Expr path = Expr.Literal.string(part.path());
        Expr value = followsSteps()
                ? new Expr.Binary(
                        text ? BinaryOperator.JSON_PATH_TEXT : BinaryOperator.JSON_PATH,
                        adapter.kind(part.document()) == ValueKind.JSON
                                ? document
                                : new Expr.Cast(document, adapter.castType(new LogicalType.Json(true)), false, span),
                        Expr.Literal.string(steps(part.path())
                                .orElseThrow(() -> new Untranslatable("the path " + part.path() + " of JSON"))),
                        span)
                : Expr.Call.of(text ? "json_get_text" : "json_get", document, path)
                        .at(span);
        if (!told || adapter.from.has(SqlFeature.JSON_NULL_IS_TEXT)) {
            return value;
        }
        if (adapter.writes("json_text_or_null")) {
            return Expr.Call.of("json_text_or_null", document, path).at(span);
        }
        Expr type = Expr.Call.of(
                        "json_type", Expr.Call.of("json_get", document, path).at(span))
                .at(span);
        Expr some = new Expr.Binary(BinaryOperator.NOT_EQUAL, type, Expr.Literal.string("null"), span);
        return new Expr.Case(Optional.empty(), List.of(new Expr.When(some, value)), Optional.empty(), span);
    }

    /** True where the target has the operators that follow a list of steps, and no path language. */
    private boolean followsSteps() {
        return adapter.to.has(SqlFeature.JSON_PATH_OPERATORS) && !adapter.writes("json_get");
    }

    /** A path as the list of its steps ({@code {a,"b c",0}}); empty for one with wildcards and the like. */
    static Optional<String> steps(String path) {
        List<String> steps = new ArrayList<>();
        Matcher step = STEP.matcher(path);
        int end = 1;
        while (step.find() && step.start() == end) {
            String plain = step.group(1) != null ? step.group(1) : step.group(3);
            // Without quotes the word would be no text, but NULL.
            boolean quotes = plain == null || plain.equalsIgnoreCase("null");
            steps.add(quotes ? '"' + (plain == null ? step.group(2) : plain) + '"' : plain);
            end = step.end();
        }
        return path.startsWith("$") && end == path.length()
                ? Optional.of("{" + String.join(",", steps) + "}")
                : Optional.empty();
    }

    /** One step, as targets write it that name parts one by one. */
    private Expr step(Expr.Binary binary, String suffix) {
        Expr document = adapter.expr(binary.left());
        if (!(constant(binary.right()) instanceof Expr.Literal key)) {
            throw new Untranslatable("a field of a JSON document that is not a constant");
        }
        if (key.kind() == LiteralKind.NUMBER) {
            return Expr.Call.of("json_element" + suffix, document, key).at(binary.span());
        }
        if (key.text().startsWith("$")) {
            return get(new Part(binary.left(), key.text()), !suffix.isEmpty(), binary.span());
        }
        return Expr.Call.of("json_field" + suffix, document, key).at(binary.span());
    }

    /** The part that an expression names by constants; the whole of it where it names none. */
    private Optional<Part> part(Expr e) {
        if (!(e instanceof Expr.Binary binary)) {
            return Optional.of(new Part(e, "$"));
        }
        return switch (binary.operator()) {
            case JSON_GET, JSON_GET_TEXT ->
                inner(binary).flatMap(p -> key(constant(binary.right())).map(p::then));
            case JSON_PATH, JSON_PATH_TEXT ->
                inner(binary).flatMap(p -> keys(constant(binary.right())).map(p::then));
            default -> Optional.of(new Part(e, "$"));
        };
    }

    /** What stands on the left: a text is a document of its own. */
    private Optional<Part> inner(Expr.Binary binary) {
        boolean text = binary.left() instanceof Expr.Binary b
                && (b.operator() == BinaryOperator.JSON_GET_TEXT || b.operator() == BinaryOperator.JSON_PATH_TEXT);
        return text ? Optional.of(new Part(binary.left(), "$")) : part(binary.left());
    }

    /** The name or the names of a step without the cast that PostgreSQL puts behind them in the texts of views. */
    private static Expr constant(Expr right) {
        return right instanceof Expr.Cast cast
                        && cast.value() instanceof Expr.Literal
                        && cast.type().name().equals("text")
                ? cast.value()
                : right;
    }

    private static Optional<String> key(Expr right) {
        if (!(right instanceof Expr.Literal key)) {
            return Optional.empty();
        }
        if (key.kind() == LiteralKind.NUMBER) {
            return PLACE.matcher(key.text()).matches() ? Optional.of("[" + key.text() + "]") : Optional.empty();
        }
        return Optional.of(key.text().startsWith("$") ? key.text().substring(1) : named(key.text()));
    }

    /** PostgreSQL's list of steps in braces; one of digits is taken for a place. */
    private static Optional<String> keys(Expr right) {
        Optional<List<String>> steps = right instanceof Expr.Literal l && l.kind() == LiteralKind.STRING
                ? ArrayTexts.items(l.text())
                : Optional.empty();
        if (steps.filter(all -> all.stream().anyMatch(s -> s.matches("-\\d+"))).isPresent()) {
            throw new Untranslatable("a place of a list counted from its end");
        }
        return steps.map(all -> {
            StringBuilder path = new StringBuilder();
            all.forEach(s -> path.append(PLACE.matcher(s).matches() ? "[" + s + "]" : named(s)));
            return path.toString();
        });
    }

    private static String named(String key) {
        return PLAIN.matcher(key).matches()
                ? "." + key
                : ".\"" + key.replace("\\", "\\\\").replace("\"", "\\\"") + "\"";
    }

    /** Whether a document contains another; arrays and ranges have the same operator. */
    private Expr contains(Expr.Binary binary) {
        boolean json = adapter.kind(binary.left()) == ValueKind.JSON
                || binary.right() instanceof Expr.Literal l
                        && l.kind() == LiteralKind.STRING
                        && DOCUMENT.matcher(l.text()).matches();
        if (!json) {
            return new Expr.Binary(
                    binary.operator(), adapter.expr(binary.left()), adapter.expr(binary.right()), binary.span());
        }
        return Expr.Call.of("json_contains", adapter.expr(binary.left()), adapter.expr(binary.right()))
                .at(binary.span());
    }
}
