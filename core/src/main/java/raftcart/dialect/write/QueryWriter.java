package raftcart.dialect.write;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.dialect.Language;
import raftcart.dialect.PagingStyle;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Query.Paging;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Grouping;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.QueryBody.SetOperation;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.TableRef.Alias;
import raftcart.sql.tree.TableRef.Join;

/** Writes queries. */
public class QueryWriter {
    private final WriterContext context;
    private final Language language;
    private SqlWriter writer;

    public QueryWriter(WriterContext context) {
        this.context = context;
        this.language = context.language();
    }

    void attach(SqlWriter statements) {
        this.writer = statements;
    }

    protected final Language language() {
        return language;
    }

    protected final WriterContext context() {
        return context;
    }

    protected final boolean has(SqlFeature feature) {
        return language.has(feature);
    }

    protected final Untranslatable cannot(String what) {
        return new Untranslatable(what + " cannot be said in " + language.name());
    }

    protected final String text(Expr expression) {
        return writer.expression(expression);
    }

    private String list(List<Expr> expressions) {
        return list(expressions, new StringBuilder(12 * expressions.size())).toString();
    }

    private StringBuilder list(List<Expr> expressions, StringBuilder text) {
        int start = text.length();
        for (Expr expression : expressions) {
            text.append(text.length() == start ? "" : ", ").append(text(expression));
        }
        return text;
    }

    /** A query. */
    public final String query(Query query) {
        return query(query, Optional.empty());
    }

    /** A query whose rows go into a table by SELECT INTO. */
    final String query(Query query, Optional<String> into) {
        List<String> clauses = new ArrayList<>();
        with(query.with(), query.recursive()).ifPresent(clauses::add);
        Optional<String> top = top(query);
        if (query.body() instanceof Select select) {
            clauses.addAll(select(select, top, into));
        } else {
            clauses.add(body(query.body()));
        }
        if (!query.order().isEmpty()) {
            clauses.add("ORDER BY " + writer.expressions().order(query.order()));
        }
        if (top.isEmpty()) {
            query.paging()
                    .ifPresent(p -> clauses.addAll(paging(p, !query.order().isEmpty())));
        }
        query.locking().ifPresent(l -> clauses.add(locking(l)));
        return Layout.clauses(clauses);
    }

    /** WITH and its tables. */
    final Optional<String> with(List<Query.CommonTable> tables, boolean recursive) {
        if (tables.isEmpty()) {
            return Optional.empty();
        }
        if (!has(SqlFeature.COMMON_TABLES)) {
            throw cannot("WITH");
        }
        if (recursive && !has(SqlFeature.RECURSION)) {
            throw cannot("a recursive query");
        }
        String word = recursive && has(SqlFeature.RECURSIVE_WORD) ? "WITH RECURSIVE " : "WITH ";
        return Optional.of(word
                + tables.stream()
                        .map(t -> language.write(t.name()) + columns(t.columns()) + " AS "
                                + Layout.parentheses(query(t.query())))
                        .collect(Collectors.joining(",\n")));
    }

    final String columns(List<Name> names) {
        return names.isEmpty() ? "" : " (" + writer.expressions().names(names, ", ") + ")";
    }

    /** TOP and its amount, where the dialect says it so. */
    private Optional<String> top(Query query) {
        boolean style = language.paging() == PagingStyle.TOP || language.paging() == PagingStyle.TOP_OR_FETCH;
        if (!style || query.paging().isEmpty() || !(query.body() instanceof Select)) {
            return Optional.empty();
        }
        Paging paging = query.paging().get();
        if (paging.offset().isPresent() || paging.limit().isEmpty()) {
            return Optional.empty();
        }
        Expr limit = paging.limit().get();
        String amount = limit instanceof Expr.Literal ? text(limit) : "(" + text(limit) + ")";
        return Optional.of(
                "TOP " + amount + (paging.percent() ? " PERCENT" : "") + (paging.ties() ? " WITH TIES" : ""));
    }

    /** Which rows are wanted, at the end of a query. */
    protected List<String> paging(Paging paging, boolean ordered) {
        List<String> clauses = new ArrayList<>();
        switch (language.paging()) {
            case LIMIT, LIMIT_FIRST -> {
                boolean ties = paging.ties() && !paging.percent() && has(SqlFeature.FETCH_WITH_TIES);
                if (ties) {
                    paging.offset().ifPresent(o -> clauses.add("OFFSET " + text(o)));
                    paging.limit().ifPresent(l -> clauses.add(fetch(paging, l)));
                    break;
                }
                if (paging.percent() || paging.ties()) {
                    throw cannot("a share of the rows, or rows WITH TIES");
                }
                boolean bare = paging.limit().isEmpty() && language.paging() == PagingStyle.LIMIT_FIRST;
                paging.limit().ifPresent(l -> clauses.add("LIMIT " + text(l)));
                if (bare) {
                    clauses.add("LIMIT " + unlimited());
                }
                paging.offset().ifPresent(o -> clauses.add("OFFSET " + text(o)));
            }
            case FETCH -> {
                paging.offset().ifPresent(o -> clauses.add("OFFSET " + amount(o) + " ROWS"));
                paging.limit().ifPresent(l -> clauses.add(fetch(paging, l)));
            }
            case TOP_OR_FETCH -> {
                if (paging.percent() || paging.ties()) {
                    throw cannot("a share of the rows after an offset");
                }
                if (!ordered) {
                    clauses.add("ORDER BY (SELECT NULL)");
                }
                clauses.add("OFFSET " + paging.offset().map(this::text).orElse("0") + " ROWS");
                paging.limit().ifPresent(l -> clauses.add("FETCH NEXT " + text(l) + " ROWS ONLY"));
            }
            case TOP -> throw cannot("rows after an offset");
            default -> throw new IllegalStateException("paging " + language.paging());
        }
        return clauses;
    }

    private String fetch(Paging paging, Expr limit) {
        if (paging.ties()) {
            require(SqlFeature.FETCH_WITH_TIES, "rows WITH TIES");
        }
        if (paging.percent()) {
            require(SqlFeature.FETCH_PERCENT, "a share of the rows");
        }
        return "FETCH " + (paging.offset().isPresent() ? "NEXT " : "FIRST ") + amount(limit)
                + (paging.percent() ? " PERCENT" : "") + (paging.ties() ? " ROWS WITH TIES" : " ROWS ONLY");
    }

    /** A number of rows where FETCH and OFFSET want one. */
    protected String amount(Expr amount) {
        return text(amount);
    }

    /** The limit that stands for none. */
    protected String unlimited() {
        return "18446744073709551615";
    }

    /** The lock that reading takes. */
    protected String locking(Query.Locking locking) {
        if (!has(SqlFeature.FOR_UPDATE)) {
            throw cannot("FOR " + locking.strength());
        }
        String of = locking.of().isEmpty()
                ? ""
                : " OF " + locking.of().stream().map(writer.expressions()::name).collect(Collectors.joining(", "));
        String waiting = locking.waiting();
        if (waiting.equals("SKIP LOCKED") && !has(SqlFeature.SKIP_LOCKED)) {
            throw cannot("SKIP LOCKED");
        }
        return "FOR " + locking.strength() + of + (waiting.isEmpty() ? "" : " " + waiting);
    }

    private String body(QueryBody body) {
        if (body instanceof SetOperation set) {
            return setOperation(set);
        }
        if (body instanceof QueryBody.Values values) {
            return values(values);
        }
        if (body instanceof QueryBody.Nested nested) {
            return nested(nested);
        }
        return Layout.clauses(select((Select) body, Optional.empty(), Optional.empty()));
    }

    /** A query in parentheses as a part of another. */
    protected String nested(QueryBody.Nested nested) {
        Query query = nested.query();
        if (!has(SqlFeature.PARTS_HAVE_NO_ORDER)) {
            return Layout.parentheses(query(query));
        }
        return query.paging().isPresent()
                ? "SELECT * FROM " + Layout.parentheses(query(query)) + " part_"
                : Layout.parentheses(query(query.withOrder(List.of())));
    }

    private String setOperation(SetOperation set) {
        String word = set.kind().name();
        switch (set.kind()) {
            case INTERSECT -> require(SqlFeature.INTERSECT, "INTERSECT");
            case EXCEPT -> {
                require(SqlFeature.EXCEPT, "EXCEPT");
                word = has(SqlFeature.MINUS) ? "MINUS" : word;
            }
            default -> {
                // UNION is there everywhere
            }
        }
        if (set.all() && set.kind() != SetOperation.Kind.UNION) {
            require(SqlFeature.SET_OPERATION_ALL, set.kind() + " ALL");
        }
        // Which of several operations binds tighter differs, so the right side and other kinds on the left are put
        // apart.
        boolean apart = set.left() instanceof SetOperation left && left.kind() != set.kind();
        String left = apart ? group(set.left()) : body(set.left());
        String right = set.right() instanceof SetOperation ? group(set.right()) : body(set.right());
        return left + "\n" + word + (set.all() ? " ALL" : "") + "\n" + right;
    }

    /** One side of a set operation that is one itself. */
    protected String group(QueryBody body) {
        return Layout.parentheses(body(body));
    }

    private void require(SqlFeature feature, String what) {
        if (!has(feature)) {
            throw cannot(what);
        }
    }

    /** VALUES as a query. */
    protected String values(QueryBody.Values values) {
        if (has(SqlFeature.VALUES_QUERY)) {
            return "VALUES " + rows(values);
        }
        return values.rows().stream()
                .map(r ->
                        "SELECT " + list(r) + (language.dummyTable().isEmpty() ? "" : " FROM " + language.dummyTable()))
                .collect(Collectors.joining("\nUNION ALL\n"));
    }

    final String rows(QueryBody.Values values) {
        List<String> rows = new ArrayList<>(values.rows().size());
        for (List<Expr> row : values.rows()) {
            rows.add(list(row, new StringBuilder("(")).append(')').toString());
        }
        return Layout.rows(rows);
    }

    private List<String> select(Select select, Optional<String> top, Optional<String> into) {
        if (select.hierarchy().isPresent()) {
            throw cannot("a hierarchical query of this form");
        }
        List<String> clauses = new ArrayList<>();
        StringBuilder head = new StringBuilder("SELECT");
        if (select.distinct()) {
            head.append(" DISTINCT");
        }
        if (!select.distinctOn().isEmpty()) {
            require(SqlFeature.DISTINCT_ON, "DISTINCT ON");
            head.append(" DISTINCT ON (").append(list(select.distinctOn())).append(')');
        }
        top.ifPresent(t -> head.append(' ').append(t));
        clauses.add(Layout.list(
                head.toString(), select.items().stream().map(this::item).toList()));
        into.ifPresent(i -> clauses.add("INTO " + i));
        from(select).ifPresent(clauses::add);
        select.where().ifPresent(w -> clauses.add("WHERE " + text(w)));
        if (!select.groupBy().isEmpty()) {
            clauses.add("GROUP BY " + groups(select.groupBy()));
        }
        select.having().ifPresent(h -> clauses.add("HAVING " + text(h)));
        if (!select.windows().isEmpty()) {
            require(SqlFeature.WINDOW_CLAUSE, "WINDOW");
            clauses.add("WINDOW "
                    + select.windows().stream()
                            .map(w -> language.write(w.name()) + " AS " + definition(w))
                            .collect(Collectors.joining(", ")));
        }
        select.qualify().ifPresent(q -> {
            require(SqlFeature.QUALIFY, "QUALIFY");
            clauses.add("QUALIFY " + text(q));
        });
        return clauses;
    }

    private String definition(QueryBody.NamedWindow window) {
        String text = writer.expressions().window(window.window());
        return text.startsWith("(") ? text : "(" + text + ")";
    }

    private Optional<String> from(Select select) {
        if (select.from().isEmpty()) {
            boolean dummy = !language.dummyTable().isEmpty()
                    && (!has(SqlFeature.SELECT_WITHOUT_FROM) || select.where().isPresent());
            return dummy ? Optional.of("FROM " + language.dummyTable()) : Optional.empty();
        }
        return Optional.of("FROM " + tables(select.from()));
    }

    final String tables(List<TableRef> tables) {
        return tables.stream().map(this::table).collect(Collectors.joining(", "));
    }

    final String item(QueryBody.Item item) {
        return text(item.value())
                + item.alias().map(a -> " AS " + language.write(a)).orElse("");
    }

    private String groups(List<Grouping> groups) {
        boolean onlyRollup = groups.size() == 1
                && groups.get(0).kind() == Grouping.Kind.ROLLUP
                && !has(SqlFeature.ROLLUP)
                && has(SqlFeature.WITH_ROLLUP);
        if (onlyRollup) {
            return list(groups.get(0).items()) + " WITH ROLLUP";
        }
        return groups.stream().map(this::grouping).collect(Collectors.joining(", "));
    }

    private String grouping(Grouping grouping) {
        return switch (grouping.kind()) {
            case PLAIN -> list(grouping.items());
            case ALL -> "ALL";
            case ROLLUP -> {
                require(SqlFeature.ROLLUP, "ROLLUP");
                yield "ROLLUP (" + list(grouping.items()) + ")";
            }
            case CUBE -> {
                require(SqlFeature.GROUPING_SETS, "CUBE");
                yield "CUBE (" + list(grouping.items()) + ")";
            }
            case SETS -> {
                require(SqlFeature.GROUPING_SETS, "GROUPING SETS");
                yield "GROUPING SETS ("
                        + grouping.sets().stream().map(this::set).collect(Collectors.joining(", ")) + ")";
            }
        };
    }

    /** One of several sets, whose parentheses are no row of values. */
    private String set(Grouping grouping) {
        boolean several = grouping.kind() == Grouping.Kind.PLAIN
                && grouping.items().size() == 1
                && grouping.items().get(0) instanceof Expr.Row;
        return several ? "(" + list(((Expr.Row) grouping.items().get(0)).items()) + ")" : grouping(grouping);
    }

    /** Something in FROM. */
    public String table(TableRef table) {
        if (table instanceof TableRef.Table named) {
            return named(named);
        }
        if (table instanceof TableRef.Derived derived) {
            if (derived.lateral()) {
                require(SqlFeature.LATERAL, "LATERAL");
            }
            return (derived.lateral() ? "LATERAL " : "")
                    + Layout.parentheses(query(derived.query()))
                    + alias(derived.alias());
        }
        if (table instanceof TableRef.Function function) {
            require(SqlFeature.TABLE_FUNCTIONS, "a function in FROM");
            return function(function);
        }
        if (table instanceof TableRef.JsonTable json) {
            return new JsonTableWriter(language, this::text).text(json) + alias(json.alias());
        }
        if (table instanceof Join join) {
            return join(join);
        }
        throw cannot(table instanceof TableRef.Pivot ? "PIVOT" : "UNPIVOT");
    }

    private String named(TableRef.Table table) {
        return (table.only() ? only() : "")
                + writer.expressions().name(table.name())
                + table.sample().map(this::sample).orElse("")
                + alias(table.alias())
                + table.lock().map(this::lockOfTable).orElse("");
    }

    /** The lock of a table, where it stands there. */
    protected String lockOfTable(Query.Locking lock) {
        return "";
    }

    /** The word for a table without its heirs. */
    protected String only() {
        return "";
    }

    /** A part of a table's rows. */
    protected String sample(TableRef.Sample sample) {
        if (!has(SqlFeature.TABLE_SAMPLE) || sample.rows()) {
            throw cannot("a sample of a table");
        }
        String method = sample.method().isEmpty() || sample.method().equals("BLOCK") ? "SYSTEM" : sample.method();
        return " TABLESAMPLE " + method + " (" + text(sample.amount()) + ")"
                + sample.seed().map(s -> " REPEATABLE (" + text(s) + ")").orElse("");
    }

    /** A function that gives rows. */
    protected String function(TableRef.Function function) {
        if (function.ordinality()) {
            throw cannot("a table function with row numbers");
        }
        return "TABLE(" + text(function.call()) + ")" + alias(function.alias());
    }

    protected final String alias(Optional<Alias> alias) {
        if (alias.isPresent() && !alias.get().types().isEmpty()) {
            throw cannot("an alias that gives types to columns");
        }
        return alias.map(a -> " " + language.write(a.name()) + columns(a.columns()))
                .orElse("");
    }

    private String join(Join join) {
        String left = table(join.left());
        String right = join.right() instanceof Join ? Layout.parentheses(table(join.right())) : table(join.right());
        String condition = join.on().map(on -> " ON " + text(on)).orElse("");
        if (!join.using().isEmpty()) {
            require(SqlFeature.USING_JOIN, "USING");
            condition = " USING" + columns(join.using());
        }
        return left + "\n" + word(join) + " " + right + condition;
    }

    private String word(Join join) {
        if (join.kind().name().startsWith("NATURAL")) {
            require(SqlFeature.NATURAL_JOIN, "NATURAL JOIN");
        }
        return switch (join.kind()) {
            case INNER -> "JOIN";
            case LEFT -> "LEFT JOIN";
            case RIGHT -> "RIGHT JOIN";
            case FULL -> {
                require(SqlFeature.FULL_JOIN, "FULL JOIN");
                yield "FULL JOIN";
            }
            case CROSS -> "CROSS JOIN";
            case NATURAL -> "NATURAL JOIN";
            case NATURAL_LEFT -> "NATURAL LEFT JOIN";
            case NATURAL_RIGHT -> "NATURAL RIGHT JOIN";
            case NATURAL_FULL -> {
                require(SqlFeature.FULL_JOIN, "FULL JOIN");
                yield "NATURAL FULL JOIN";
            }
            case CROSS_APPLY -> {
                require(SqlFeature.APPLY, "CROSS APPLY");
                yield "CROSS APPLY";
            }
            case OUTER_APPLY -> {
                require(SqlFeature.APPLY, "OUTER APPLY");
                yield "OUTER APPLY";
            }
        };
    }
}
