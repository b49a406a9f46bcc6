package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.rewrite.Scope.ColumnFacts;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TypeName;

/** Functions that give rows, which become procedures with a result set: of their one query, or of the rows that they collected. */
final class PlGiven {
    private final PlCode pl;
    private final QueryAdapter adapter;

    PlGiven(PlCode pl) {
        this.pl = pl;
        this.adapter = pl.adapter();
    }

    /** The columns of the rows, with types of the target. */
    List<Parameter> columns(CodeStatement.CreateRoutine routine) {
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                routine.span(),
                "a procedure that gives rows: CALL it where a query read from it");
        List<Parameter> columns = new ArrayList<>();
        for (Parameter row : routine.rows()) {
            Optional<List<ColumnFacts>> whole = row.name().text().isEmpty() ? table(row.type()) : Optional.empty();
            if (whole.isPresent()) {
                whole.get()
                        .forEach(c -> columns.add(column(
                                Name.of(c.name()),
                                CodeResults.type(c).map(t -> pl.code().written(Name.of(c.name()), t)),
                                routine.span())));
                continue;
            }
            if (row.type().name().equals("record")) {
                throw CodeAdapter.at(routine.span(), "a function that gives rows of any kind");
            }
            Name name = row.name().text().isEmpty() ? routine.name().last() : row.name();
            KnownColumn known = pl.code().known(name, row.type());
            columns.add(column(name, known.type().map(t -> pl.code().written(name, t)), routine.span()));
        }
        return columns;
    }

    private static Parameter column(Name name, Optional<TypeName> type, Span span) {
        return new Parameter(
                Mode.OUT,
                name,
                type.orElseThrow(() -> CodeAdapter.at(span, "the type of " + name.text() + " is not known")),
                Optional.empty());
    }

    private Optional<List<ColumnFacts>> table(TypeName type) {
        String plain = type.name().replace(TypeName.OF_ROW, "");
        return adapter.knowledge
                .table(QualifiedName.of(plain.split("\\.")))
                .map(t -> List.copyOf(t.facts().values()));
    }

    /** What the function declares besides: variables that are called as its columns. */
    List<Declaration> variables(CodeStatement.CreateRoutine routine) {
        boolean used = StatementSearch.anyStatement(
                List.of(routine.body()), s -> s instanceof CodeStatement.ReturnRows r && isOfVariables(r));
        if (!used) {
            return List.of();
        }
        List<Declaration> all = new ArrayList<>();
        for (Parameter row : routine.rows()) {
            if (pl.frame().variable(row.name()).isPresent()) {
                continue; // a parameter that takes a value, too
            }
            KnownColumn known = pl.code().known(row.name(), row.type());
            pl.frame().declare(known);
            all.add(new Declaration.Variable(
                    row.name(),
                    pl.code().written(row.name(), known.type().orElseThrow()),
                    Optional.empty(),
                    false,
                    routine.span()));
        }
        return all;
    }

    private static boolean isOfVariables(CodeStatement.ReturnRows returned) {
        return returned.query().body() instanceof QueryBody.Select s
                && s.items().isEmpty();
    }

    /** True for one row that is put together, and is not that of a query. */
    static boolean isOne(CodeStatement.ReturnRows returned) {
        return returned.query().body() instanceof QueryBody.Select s
                && s.from().isEmpty()
                && s.where().isEmpty()
                && s.items().size() <= 1;
    }

    /** True where the rows are those of one query, behind which there is nothing. */
    static boolean isOfOneQuery(Statement body) {
        return body instanceof Block block
                && block.rescues().isEmpty()
                && block.body().size() == 1
                && (block.body().get(0) instanceof CodeStatement.ReturnRows r && !isOfVariables(r)
                        || block.body().get(0) instanceof CodeStatement.ReturnText);
    }

    /** Rows that the function gives. */
    Statement given(CodeStatement.ReturnRows returned, List<Parameter> columns, Name table, boolean direct) {
        Query query = new PlRecords(pl).given(returned);
        if (isOfVariables(returned)) {
            QueryBody.Select select = (QueryBody.Select) query.body();
            query = query.withBody(select.withItems(columns.stream()
                    .map(c -> Item.of(Expr.Column.of(c.name().text())))
                    .toList()));
        }
        Query adapted = adapter.query(query);
        if (direct && !adapter.to.has(SqlFeature.QUERIES_OF_CODE_GIVE_ROWS)) {
            return new CodeStatement.ReturnRows(adapted, returned.span());
        }
        return direct
                ? new Statement.QueryStatement(adapted, Optional.empty(), false, returned.span())
                : Statement.Insert.of(
                        Statement.Insert.Mode.INSERT,
                        new QualifiedName(List.of(table)),
                        columns.stream().map(Parameter::name).toList(),
                        adapted,
                        returned.span());
    }

    /** The body between the beginning and the end of collecting. */
    static Block collecting(Block body, List<Parameter> columns, Name table, Span span) {
        return Block.of(
                List.of(
                        new CodeStatement.CollectRows(table, columns, true, span),
                        body,
                        new CodeStatement.CollectRows(table, columns, false, span)),
                span);
    }
}
