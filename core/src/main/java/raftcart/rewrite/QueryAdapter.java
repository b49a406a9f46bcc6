package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.Language;
import raftcart.dialect.LanguageResources;
import raftcart.dialect.PagingStyle;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.Signature;
import raftcart.sql.function.ValueKind;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Query.CommonTable;
import raftcart.sql.tree.Query.Paging;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Grouping;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.QueryBody.Select;
import raftcart.sql.tree.TableRef;
import raftcart.sql.tree.UnaryOperator;

/** Changes queries so that they give on the target what they give on the source. */
class QueryAdapter extends ExprAdapter {

    /** Common tables that parts of the query being adapted became. */
    private Optional<List<CommonTable>> hoisted = Optional.empty();

    QueryAdapter(Language from, Language to, Knowledge knowledge, AdaptNotes notes) {
        super(from, to, knowledge, notes);
    }

    boolean same() {
        return from.name().equals(to.name());
    }

    @Override
    public Query query(Query original) {
        if (!same()) {
            JsonTables.refuseKeys(original);
        }
        return instants.apart(() -> inOwnScope(original));
    }

    private Query inOwnScope(Query original) {
        Optional<List<CommonTable>> outer = hoisted;
        boolean before = askedForTrue;
        hoisted = Optional.of(new ArrayList<>());
        askedForTrue = true;
        try {
            Query query = inScope(original);
            List<CommonTable> tables = new ArrayList<>(query.with());
            tables.addAll(hoisted.get());
            return hoisted.get().isEmpty()
                    ? query
                    : new Query(
                            tables, true, query.body(), query.order(), query.paging(), query.locking(), query.span());
        } finally {
            hoisted = outer;
            askedForTrue = before;
        }
    }

    private Query inScope(Query original) {
        Scope before = scope;
        scope = new Scope(Optional.of(before));
        try {
            Query query = plainer(original);
            boolean recursive = query.recursive();
            List<CommonTable> tables = new ArrayList<>();
            for (CommonTable given : query.with()) {
                boolean itself = !same() && mentions(given.query().body(), given);
                CommonTable table = itself ? RecursiveColumns.ofQueries(given) : given;
                scope.addCommonTable(table, finder);
                boolean own = readsItself(table, query.recursive());
                recursive |= own;
                List<Name> columns = own && table.columns().isEmpty() ? recursiveColumns(table) : table.columns();
                Query adapted = query(table.query());
                Query typed = own ? new RecursiveColumns(this, table).typed(adapted) : adapted;
                tables.add(new CommonTable(table.name(), columns, typed, table.hint()));
            }
            return body(query, tables, recursive);
        } finally {
            scope = before;
        }
    }

    /** The query in the forms that every target has, as far as they are the same. */
    private Query plainer(Query query) {
        if (same()) {
            return query;
        }
        Query locked = new TableLocks(this)
                .rewrite(InlinedTables.in(
                        RowSequences.once(OrderedTwice.parted(RowFunctions.rewrite(query, this)), this), this));
        Query named = NamedWindows.rewrite(locked, this);
        Query joined = LateralQueries.rewrite(RowsAmongColumns.rewrite(named, this), this);
        Query documents = EscapedRows.rewrite(DependentRows.rewrite(DocumentRows.rewrite(joined, this), this), this);
        Query columns = ValuesColumns.rewrite(documents, this);
        Query plain = GroupAdapter.spelled(new ItemAliases(this).rewrite(columns), this);
        plain = GroupingSets.rewrite(GroupAdapter.ofOneGroup(GroupAdapter.ofRows(plain, this), this), this);
        return new FullJoins(this).rewrite(new NamedJoins(this).rewrite(new OldForms(this).rewrite(plain)));
    }

    /** The columns of a recursive common table, where the target wants them named. */
    private List<Name> recursiveColumns(CommonTable table) {
        if (same() || !to.has(SqlFeature.RECURSION_NAMES_COLUMNS)) {
            return table.columns();
        }
        List<Name> names = finder.columns(table.query(), scope).stream()
                .map(c -> Name.of(c.name()))
                .toList();
        if (names.isEmpty() || names.stream().anyMatch(n -> n.text().isEmpty())) {
            throw new Untranslatable("a recursive query whose columns are not named");
        }
        return names;
    }

    /** An item of the order of a UNION, by its place where the target wants that. */
    private OrderItem placed(OrderItem item, QueryBody body) {
        if (same() || !to.has(SqlFeature.UNION_ORDER_BY_PLACE) || !(item.value() instanceof Expr.Column column)) {
            return item;
        }
        List<Scope.ColumnFacts> columns = finder.columns(Query.of(body), scope);
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).name().equalsIgnoreCase(column.name().last().text())) {
                return item.withValue(Expr.Literal.number(i + 1));
            }
        }
        return item;
    }

    /** True for a common table that reads itself, and not a table of its name that was there before. */
    private boolean readsItself(CommonTable table, boolean recursive) {
        boolean own = mentions(table.query().body(), table);
        boolean other = own && !recursive && !same() && !from.has(SqlFeature.RECURSION_IS_IMPLIED);
        if (other && to.has(SqlFeature.RECURSION_IS_IMPLIED)) {
            throw new Untranslatable("a common table that reads another table of its own name");
        }
        return own && !other;
    }

    /** A common table that reads itself, in dialects that do not say so. */
    static boolean mentions(QueryBody body, CommonTable table) {
        if (body instanceof QueryBody.SetOperation set) {
            return mentions(set.left(), table) || mentions(set.right(), table);
        }
        return body instanceof Select select && select.from().stream().anyMatch(t -> mentions(t, table));
    }

    private static boolean mentions(TableRef ref, CommonTable table) {
        if (ref instanceof TableRef.Join join) {
            return mentions(join.left(), table) || mentions(join.right(), table);
        }
        return ref instanceof TableRef.Table named
                && named.name().parts().size() == 1
                && named.name().last().matches(table.name());
    }

    private Query body(Query given, List<CommonTable> tables, boolean recursive) {
        Query query = LooseGroups.tightened(this, given);
        Optional<Paging> paging = query.paging()
                .filter(p -> same() || !isAll(p))
                .map(p -> new Paging(
                        p.offset().map(this::expr),
                        p.limit().filter(l -> same() || !isNoLimit(l)).map(this::expr),
                        p.percent(),
                        // Without an order no row is like another, and some engines refuse to look.
                        p.ties() && (same() || !query.order().isEmpty())));
        if (!(query.body() instanceof Select select)) {
            List<OrderItem> order = new ArrayList<>();
            if (!same()) {
                new TextRules(this).orderedUnion(query);
            }
            query.order().forEach(o -> order.addAll(orders.ofUnion(placed(o, query.body()))));
            QueryBody alike = body(new UnionKinds(this).alike(query.body()));
            return new Query(tables, recursive, alike, order, paging, query.locking(), query.span());
        }
        List<TableRef> from = enter(select);
        Select adapted = select(select, from, given.body());
        if (!same()) {
            new TextRules(this).ordered(query, given.body());
            orders.refuseHidden(query, select);
            orders.ofGroups(query, select);
        }
        List<OrderItem> order = orders.ofRows(query, select);
        Optional<Query.Locking> locking =
                same() ? query.locking() : query.locking().map(l -> new LockAdapter(this).adapt(l, query));
        Query result = new Query(tables, recursive, adapted, order, paging, locking, query.span());
        return new ChoiceAdapter(this).rewrite(result);
    }

    /** True for SQLite's {@code LIMIT -1} and PostgreSQL's {@code LIMIT NULL}. */
    private static boolean isNoLimit(Expr limit) {
        return limit instanceof Expr.Literal l
                        && (l.kind() == LiteralKind.NULL || l.text().startsWith("-"))
                || limit instanceof Expr.Unary u && u.operator() == UnaryOperator.MINUS;
    }

    /** True for {@code TOP 100 PERCENT}. */
    private static boolean isAll(Paging paging) {
        return paging.percent()
                && paging.offset().isEmpty()
                && paging.limit()
                        .filter(l -> l instanceof Expr.Literal n && n.text().equals("100"))
                        .isPresent();
    }

    /** Opens the scope of a SELECT and adapts what stands in FROM. */
    private List<TableRef> enter(Select select) {
        Scope own = new Scope(Optional.of(scope));
        finder.addTables(select, own);
        scope = own;
        select.from().forEach(new TextRules(this)::joined);
        return fromClause(select);
    }

    private List<TableRef> fromClause(Select select) {
        boolean dummy =
                !same() && select.from().size() == 1 && isDummy(select.from().get(0));
        if (dummy) {
            return List.of();
        }
        List<TableRef> adapted = new ApplyAdapter(this)
                .joined(select.from()).stream().map(this::table).toList();
        return same() ? adapted : ApplyAdapter.begun(adapted);
    }

    private boolean isDummy(TableRef table) {
        boolean oneRow = table instanceof TableRef.Derived d
                && d.alias().isEmpty()
                && d.query().body() instanceof QueryBody.Values values
                && values.rows().size() == 1;
        if (oneRow) {
            return true;
        }
        if (!(table instanceof TableRef.Table named) || named.alias().isPresent()) {
            return false;
        }
        return DummyTables.isOne(named.name(), from);
    }

    @Override
    protected QueryBody select(Select given) {
        Query old = plainer(Query.of(given));
        boolean more = old.paging().isPresent()
                || !old.order().isEmpty()
                || !old.with().isEmpty();
        if (more || !(old.body() instanceof Select)) {
            return new QueryBody.Nested(query(old), given.span());
        }
        Select select = LooseGroups.tightened(this, (Select) old.body());
        Scope before = scope;
        try {
            List<TableRef> from = enter(select);
            Select adapted = select(select, from, old.body());
            Query whole = new ChoiceAdapter(this).rewrite(Query.of(adapted));
            return whole.body();
        } finally {
            scope = before;
        }
    }

    /** The SELECT adapted; the one that was given has the groups of the source. */
    private Select select(Select select, List<TableRef> from, QueryBody given) {
        if (select.items().isEmpty() && !same() && !to.has(SqlFeature.NULL_ITEMS)) {
            throw new Untranslatable("a query without columns");
        }
        if (!same()) {
            new TextRules(this).select((Select) given);
            NamedJoins.star((Select) given, this);
        }
        List<Item> items = select.items().isEmpty()
                ? List.of(Item.of(Expr.Literal.ofNull()))
                : new StarItems(this)
                        .spelled(whole(ofDummy(select, from)), from).stream()
                                .map(this::item)
                                .toList();
        List<Grouping> groups = same() ? select.groupBy() : new GroupAdapter(this).groups(select);
        Optional<Expr> having =
                select.having().map(h -> condition(same() ? h : new GroupAdapter(this).having(h, select)));
        return new Select(
                select.distinct(),
                exprs(select.distinctOn()),
                items,
                from,
                optionalCondition(select.where()),
                select.hierarchy(),
                groups.stream().map(this::grouping).toList(),
                having,
                select.windows().stream()
                        .map(w -> new QueryBody.NamedWindow(w.name(), new WindowAdapter(this).window(w.window())))
                        .toList(),
                optionalCondition(select.qualify()),
                select.span());
    }

    @Override
    public QueryBody body(QueryBody body) {
        if (!same() && body instanceof QueryBody.SetOperation set && !set.all()) {
            new TextRules(this).set(set);
        }
        return super.body(body);
    }

    /** The one column of Oracle's DUAL ("Selecting from the DUAL Table"), where nothing is left to read it from. */
    private List<Item> ofDummy(Select select, List<TableRef> from) {
        boolean gone = !same() && from.isEmpty() && !select.from().isEmpty();
        if (!gone || select.items().stream().noneMatch(i -> i.value() instanceof Expr.Star)) {
            return select.items();
        }
        if (!this.from.dummyTable().equalsIgnoreCase("DUAL") || select.items().size() > 1) {
            throw new Untranslatable("the columns of a table of one row");
        }
        return List.of(new Item(Expr.Literal.string("X"), Optional.of(Name.of("dummy"))));
    }

    /** Items without stars that leave columns out. */
    private List<Item> whole(List<Item> given) {
        List<Item> items = new ArrayList<>();
        for (Item item : given) {
            boolean partial = !same()
                    && item.value() instanceof Expr.Star star
                    && !star.except().isEmpty();
            items.addAll(partial ? new StarExceptions(this).spelled((Expr.Star) item.value()) : List.of(item));
        }
        return items;
    }

    private Item item(Item item) {
        boolean bare = !same()
                && item.value() instanceof Expr.Literal l
                && l.kind() == raftcart.sql.tree.LiteralKind.NULL
                && !to.has(SqlFeature.NULL_ITEMS);
        if (bare) {
            throw new Untranslatable("NULL without a type");
        }
        if (!same() && item.value() instanceof Expr.Call call) {
            from.functions()
                    .recognise(call.name().toString(), call.arguments(), this::kind)
                    .ifPresent(r -> result(r.signature(), call));
        }
        Expr value = instants.item(item.value());
        // A column that was a call or literal keeps the name that the source gives it only if it says so.
        return new Item(value, item.alias());
    }

    /** Looks at what a function gives that is a column of the result. */
    private void result(Signature function, Expr.Call call) {
        if (function.group() == Signature.Group.TABLE && !to.has(SqlFeature.ROWS_AMONG_COLUMNS)) {
            throw new Untranslatable("a function that gives rows, among the columns");
        }
        if (function.result() == ValueKind.BOOLEAN && lost(SqlFeature.NUMBERS_ARE_CONDITIONS)) {
            note(FindingCode.FUNCTION_DIFFERS, call.span(), "true and false, which are 1 and 0 on the source");
        }
    }

    private Grouping grouping(Grouping grouping) {
        return new Grouping(
                grouping.kind(),
                exprs(grouping.items()),
                grouping.sets().stream().map(this::grouping).toList());
    }

    @Override
    public TableRef table(TableRef table) {
        if (table instanceof TableRef.Join join) {
            return new ApplyAdapter(this).join(join);
        }
        if (table instanceof TableRef.Derived derived) {
            TableRef adapted =
                    new TableRef.Derived(query(derived.query()), derived.lateral(), derived.alias(), derived.span());
            return same() ? adapted : derived(derived, (TableRef.Derived) adapted);
        }
        if (table instanceof TableRef.Function function && !same()) {
            Optional<TableRef> adapted = new TableFunctions(this, hoisted).adapt(function);
            if (adapted.isPresent()) {
                return adapted.get();
            }
        }
        if (table instanceof TableRef.JsonTable json && !same()) {
            return new JsonTables(this).adapt(json);
        }
        Optional<TableRef> made = table instanceof TableRef.Table named ? function(named) : Optional.empty();
        if (made.isPresent()) {
            return table(made.get());
        }
        if (table instanceof TableRef.Table named && !same()) {
            ofTheEngine(named);
            new ColumnSequences(this).refuseRows(named);
        }
        if (table instanceof TableRef.Table named && !same() && named.sample().isPresent()) {
            TableRef drawn = new Samples(this).adapt(named);
            return drawn instanceof TableRef.Derived ? table(drawn) : super.table(drawn);
        }
        if (table instanceof TableRef.Table named) {
            return super.table(TemporaryNames.of(named, this));
        }
        if (table instanceof TableRef.Pivot pivot && !same()) {
            return new PivotAdapter(this).pivot(pivot);
        }
        if (table instanceof TableRef.Unpivot unpivot && !same()) {
            return new PivotAdapter(this).unpivot(unpivot);
        }
        return super.table(table);
    }

    /** What looks like a table and is a function: a series by its name, or a procedure that gives rows. */
    private Optional<TableRef> function(TableRef.Table table) {
        if (same() || !isUnknown(table)) {
            return Optional.empty();
        }
        if (from.grammar().has(GrammarFeature.PSQL_ROUTINES)
                && knowledge.code().signatures().givesRows(table.name())) {
            Expr call = new Expr.Call(table.name(), false, List.of(), CallSuffix.NONE, table.span());
            return Optional.of(new TableRef.Function(call, false, false, table.alias(), table.span()));
        }
        return lost(SqlFeature.SERIES_TABLES) ? ConstantSeries.of(table).map(f -> f) : Optional.empty();
    }

    private boolean isUnknown(TableRef.Table table) {
        return knowledge.table(table.name()).isEmpty()
                && scope.commonTable(table.name()).isEmpty();
    }

    /** Says where a query reads what an engine tells of itself. */
    private void ofTheEngine(TableRef.Table table) {
        String key = table.name().key();
        boolean catalog = LanguageResources.catalogs(from.name()).matcher(key).matches();
        if (catalog && scope.commonTable(table.name()).isEmpty() && !DummyTables.isOne(table.name(), from)) {
            note(FindingCode.ENGINE_CATALOG, table.span(), table.name().toString());
        }
    }

    private TableRef derived(TableRef.Derived original, TableRef.Derived adapted) {
        boolean unordered = !adapted.query().order().isEmpty()
                && adapted.query().paging().isEmpty()
                && to.paging() == PagingStyle.TOP_OR_FETCH;
        Query query = unordered ? adapted.query().withOrder(List.of()) : adapted.query();
        boolean forgets = !unordered
                && !query.order().isEmpty()
                && query.paging().isEmpty()
                && lost(SqlFeature.DERIVED_ROWS_KEEP_ORDER);
        if (forgets) {
            note(FindingCode.SYNTAX_ADAPTED, original.span(), "a limit, so that the query in FROM keeps its order");
            query = query.withPaging(Optional.of(
                    new Paging(Optional.empty(), Optional.of(Expr.Literal.number(Long.MAX_VALUE)), false, false)));
        }
        Optional<TableRef.Alias> alias = adapted.alias();
        if (alias.isEmpty()) {
            // Most engines want a name for a query in FROM.
            note(FindingCode.SYNTAX_ADAPTED, original.span(), "a name for the query in FROM");
            alias = Optional.of(TableRef.Alias.of(
                    "t_" + original.span().line() + "_" + original.span().column()));
        }
        boolean named = !alias.get().columns().isEmpty() && !to.has(SqlFeature.DERIVED_COLUMN_NAMES);
        if (named) {
            note(FindingCode.SYNTAX_ADAPTED, original.span(), "the names of columns inside of the query");
            query = query.withBody(withNames(query.body(), alias.get().columns()));
            alias = Optional.of(new TableRef.Alias(alias.get().name(), List.of(), List.of()));
        }
        return new TableRef.Derived(query, adapted.lateral(), alias, adapted.span());
    }

    /** The body with these names for its columns. */
    private static QueryBody withNames(QueryBody body, List<Name> names) {
        if (body instanceof QueryBody.SetOperation set) {
            return new QueryBody.SetOperation(
                    set.kind(), set.all(), withNames(set.left(), names), set.right(), set.span());
        }
        if (body instanceof Select select && select.items().size() == names.size()) {
            List<Item> items = new ArrayList<>();
            for (int i = 0; i < names.size(); i++) {
                items.add(new Item(select.items().get(i).value(), Optional.of(names.get(i))));
            }
            return select.withItems(items);
        }
        if (body instanceof QueryBody.Values values) {
            QueryBody all = null;
            for (List<Expr> row : values.rows()) {
                QueryBody one =
                        withNames(Select.of(row.stream().map(Item::of).toList(), List.of(), Optional.empty()), names);
                all = all == null
                        ? one
                        : new QueryBody.SetOperation(QueryBody.SetOperation.Kind.UNION, true, all, one, values.span());
            }
            return all;
        }
        throw new Untranslatable("names for the columns of a query in FROM");
    }
}
