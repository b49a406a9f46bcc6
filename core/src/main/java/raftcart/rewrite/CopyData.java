package raftcart.rewrite;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import raftcart.dialect.Language;
import raftcart.dialect.Untranslatable;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.sql.Span;
import raftcart.sql.script.Piece;
import raftcart.sql.script.ScriptFeature;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Insert;

/** Turns the lines of data after COPY ... FROM stdin into INSERT statements ("COPY": text format). */
final class CopyData {
    private static final Pattern NUMBER = Pattern.compile("-?\\d+(\\.\\d+)?(e[+-]?\\d+)?");
    private static final Pattern BYTES = Pattern.compile("\\\\x([0-9a-f]{2})*");
    private static final int ROWS = 100;

    private final Language from;
    private final Language to;
    private final Knowledge knowledge;
    private String target = "";
    private int line;

    CopyData(Language from, Language to, Knowledge knowledge) {
        this.from = from;
        this.to = to;
        this.knowledge = knowledge;
    }

    private boolean keeps() {
        return to.scripts().contains(ScriptFeature.COPY_DATA);
    }

    boolean begins(Piece piece) {
        return from.scripts().contains(ScriptFeature.COPY_DATA) && CopyRows.isCopy(piece.text());
    }

    void begin(Piece piece, Output output) throws IOException {
        if (keeps()) {
            output.verbatim(piece.text() + ";\n");
            return;
        }
        target = CopyRows.target(piece.text()).orElse("");
    }

    void data(Piece piece, Output output, Consumer<StatementResult> listener) throws IOException {
        if (keeps()) {
            output.verbatim(piece.text() + (piece.separator().isEmpty() ? "" : piece.separator() + "\n"));
            return;
        }
        line = piece.line();
        List<List<Expr>> rows = new ArrayList<>();
        for (String row : CopyRows.lines(piece.text())) {
            rows.add(CopyRows.values(row));
            if (rows.size() == ROWS) {
                insert(rows, output, listener);
                line += rows.size();
                rows = new ArrayList<>();
            }
        }
        if (!rows.isEmpty()) {
            insert(rows, output, listener);
        }
    }

    private void insert(List<List<Expr>> rows, Output output, Consumer<StatementResult> listener) throws IOException {
        List<PlacedFinding> findings = new ArrayList<>();
        AdaptNotes notes = new AdaptNotes();
        String text;
        try {
            if (target.isEmpty()) {
                throw new Untranslatable("data in a format of its own");
            }
            text = written(rows, notes);
            findings.add(new PlacedFinding(FindingCode.SYNTAX_ADAPTED, line, 1, "lines of data as INSERT"));
            // The places within the rows made here mean nothing; each finding is said once.
            notes.all().stream()
                    .map(n -> new PlacedFinding(n.code(), line, 1, n.detail()))
                    .distinct()
                    .filter(f -> f.outcome() != Outcome.ADAPTED)
                    .forEach(findings::add);
        } catch (Untranslatable e) {
            PlacedFinding finding = new PlacedFinding(FindingCode.NO_COUNTERPART, line, 1, e.getMessage());
            findings.add(finding);
            text = StatementRewriter.byHand(finding, rows.size() + " rows of data for " + target);
        }
        Outcome outcome = findings.stream().map(PlacedFinding::outcome).reduce(Outcome.ADAPTED, Outcome::worse);
        StatementResult result = new StatementResult(line, 1, outcome, "COPY " + target, text, findings);
        listener.accept(result);
        output.statement(result, ";");
    }

    private String written(List<List<Expr>> rows, AdaptNotes notes) {
        Insert into = CopyRows.insert(target, from, line).orElseThrow(() -> new Untranslatable("COPY of this form"));
        Insert insert = into.withSource(Query.of(new QueryBody.Values(rows(rows, into, notes), Span.NONE)));
        if (knowledge.numbered(insert.table()).isPresent()) {
            insert = insert.withOverriding("SYSTEM"); // COPY gives the numbers whatever the column says
        }
        StatementAdapter adapter = new StatementAdapter(from, to, knowledge, notes);
        List<Statement> adapted = adapter.adapt(insert);
        SqlWriter writer = to.writer()
                .apply(new WriterContext(
                        to,
                        adapter.expressions()::kindOf,
                        new SchemaNames(from, to, notes, insert.span()),
                        notes::add));
        return adapted.stream().map(writer::statement).collect(Collectors.joining(";\n"));
    }

    /** Numbers without quotes where the column is known to be one. */
    private List<List<Expr>> rows(List<List<Expr>> rows, Insert insert, AdaptNotes notes) {
        Optional<Knowledge.KnownTable> table = knowledge.table(insert.table());
        int wanted = insert.columns().isEmpty()
                ? table.map(t -> t.columns().size()).orElse(rows.get(0).size())
                : insert.columns().size();
        for (int i = 0; i < rows.size(); i++) {
            if (rows.get(i).size() != wanted) {
                throw new Untranslatable("line " + (line + i) + " of the data, which has "
                        + rows.get(i).size() + " values for " + wanted + " columns");
            }
        }
        if (table.isEmpty()) {
            if (!from.name().equals(to.name())) {
                Span place = new Span(0, 0, line, 1);
                notes.add(FindingCode.TYPES_UNKNOWN, place, "all values of the rows as texts");
            }
            return rows;
        }
        List<Knowledge.KnownColumn> columns = insert.columns().isEmpty()
                ? List.copyOf(table.get().columns().values())
                : insert.columns().stream()
                        .map(c -> table.get().columns().get(c.text().toLowerCase(java.util.Locale.ROOT)))
                        .toList();
        return rows.stream().map(r -> row(r, columns)).toList();
    }

    private static List<Expr> row(List<Expr> row, List<Knowledge.KnownColumn> columns) {
        List<Expr> typed = new ArrayList<>();
        for (int i = 0; i < row.size(); i++) {
            Expr.Literal value = (Expr.Literal) row.get(i);
            Knowledge.KnownColumn column = i < columns.size() ? columns.get(i) : null;
            boolean known = column != null && column.type().isPresent() && value.kind() == LiteralKind.STRING;
            boolean number = known
                    && KindFinder.kind(column.type().get()).isNumber()
                    && NUMBER.matcher(value.text()).matches();
            boolean bytes = known
                    && KindFinder.kind(column.type().get()) == raftcart.sql.function.ValueKind.BYTES
                    && BYTES.matcher(value.text()).matches();
            typed.add(
                    number
                            ? new Expr.Literal(LiteralKind.NUMBER, value.text(), Span.NONE)
                            : bytes
                                    ? new Expr.Literal(
                                            LiteralKind.BYTES, value.text().substring(2), Span.NONE)
                                    : value);
        }
        return typed;
    }
}
