package raftcart.scripts;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import raftcart.dialect.Language;
import raftcart.rewrite.CopyRows;
import raftcart.sql.Span;
import raftcart.sql.parse.StatementParser;
import raftcart.sql.script.Piece;
import raftcart.sql.script.ScriptFeature;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Insert;

/** The statements of a file one by one, with the lines of a COPY as INSERT statements. */
final class RowPieces {
    private static final int ROWS = 200;

    private final Language language;
    private final String file;
    private final BiConsumer<Statement, String> taker;
    private Optional<String> copied = Optional.empty();

    RowPieces(Language language, String file, BiConsumer<Statement, String> taker) {
        this.language = language;
        this.file = file;
        this.taker = taker;
    }

    void take(Piece piece) {
        switch (piece.kind()) {
            case DATA ->
                copied.flatMap(t -> CopyRows.insert(t, language, piece.line())).ifPresent(i -> lines(piece, i));
            case STATEMENT, ROWS -> statements(piece);
            default -> {
                // nothing that brings rows
            }
        }
    }

    private void statements(Piece piece) {
        boolean copies = language.scripts().contains(ScriptFeature.COPY_DATA) && CopyRows.isCopy(piece.text());
        if (copies) {
            copied = CopyRows.target(piece.text());
            return;
        }
        StatementParser.parse(piece.text(), language.grammar(), piece.line(), piece.column())
                .statements()
                .forEach(s -> s.statement()
                        .map(t -> RowChanges.single(t, language))
                        .orElse(List.of())
                        .forEach(t -> taker.accept(t, file + ":" + piece.line())));
    }

    private void lines(Piece piece, Insert into) {
        Insert insert = into.withOverriding("SYSTEM"); // COPY brings its numbers, whatever the column says
        List<List<Expr>> rows = new ArrayList<>();
        int line = piece.line();
        int first = line;
        for (String text : CopyRows.lines(piece.text())) {
            rows.add(CopyRows.values(text));
            line++;
            if (rows.size() == ROWS) {
                give(insert, rows, first);
                rows = new ArrayList<>();
                first = line;
            }
        }
        if (!rows.isEmpty()) {
            give(insert, rows, first);
        }
    }

    private void give(Insert insert, List<List<Expr>> rows, int line) {
        taker.accept(insert.withSource(Query.of(new QueryBody.Values(rows, Span.NONE))), file + ":" + line);
    }
}
