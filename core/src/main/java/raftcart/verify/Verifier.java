package raftcart.verify;

import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Consumer;
import raftcart.catalog.Column;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Dialect;
import raftcart.dialect.ValueSql;
import raftcart.dialect.ValueSql.DigestField;
import raftcart.engine.EngineSession;
import raftcart.error.VerifyException;
import raftcart.translate.ColumnMapping;
import raftcart.translate.TableMapping;

/** Compares tables by count and content; both engines compute at the same time. */
public final class Verifier {
    private final EngineSession source;
    private final EngineSession target;

    public Verifier(EngineSession source, EngineSession target) {
        this.source = source;
        this.target = target;
    }

    /** Compares all tables, telling the listener of each verdict as it falls. */
    public List<TableVerdict> verify(List<TableMapping> tables, Consumer<TableVerdict> listener) {
        List<TableVerdict> verdicts = new ArrayList<>();
        ExecutorService threads = Executors.newFixedThreadPool(2, r -> {
            Thread thread = new Thread(r, "digest");
            thread.setDaemon(true);
            return thread;
        });
        try {
            for (TableMapping table : tables) {
                TableVerdict verdict = verify(table, threads);
                verdicts.add(verdict);
                listener.accept(verdict);
            }
        } finally {
            threads.shutdownNow();
        }
        return verdicts;
    }

    private TableVerdict verify(TableMapping table, ExecutorService threads) {
        long start = System.nanoTime();
        try {
            Pair digests = digests(table, table.columns(), threads);
            boolean same = digests.source().equals(digests.target());
            List<String> differing = same ? List.of() : differingColumns(table, threads);
            return verdict(table, digests, differing, "", start);
        } catch (SQLException e) {
            Digest none = new Digest(0, "");
            return verdict(table, new Pair(none, none), List.of(), e.getMessage(), start);
        }
    }

    private static TableVerdict verdict(
            TableMapping table, Pair digests, List<String> differing, String problem, long start) {
        return new TableVerdict(
                table.source().name().toString(),
                table.target().name().toString(),
                digests.source().rows(),
                digests.target().rows(),
                digests.source().hex(),
                digests.target().hex(),
                differing,
                problem,
                (System.nanoTime() - start) / 1e9);
    }

    private List<String> differingColumns(TableMapping table, ExecutorService threads) throws SQLException {
        List<String> differing = new ArrayList<>();
        for (ColumnMapping column : table.columns()) {
            Pair digests = digests(table, List.of(column), threads);
            if (!digests.source().hex().equals(digests.target().hex())) {
                differing.add(column.source().name());
            }
        }
        return differing;
    }

    private Pair digests(TableMapping table, List<ColumnMapping> columns, ExecutorService threads) throws SQLException {
        String onSource = query(source, table.source().name(), columns, true);
        String onTarget = query(target, table.target().name(), columns, false);
        Future<Digest> sourceDigest = threads.submit(() -> digest(source, onSource));
        Future<Digest> targetDigest = threads.submit(() -> digest(target, onTarget));
        Digest first = get(sourceDigest, targetDigest);
        return new Pair(first, get(targetDigest, targetDigest));
    }

    private static Digest digest(EngineSession session, String sql) throws SQLException {
        try {
            return Digest.query(session.connection(), sql);
        } finally {
            session.connection().rollback(); // ends the transaction that the query began; there is nothing to keep
        }
    }

    private static String query(EngineSession session, ObjectName table, List<ColumnMapping> columns, boolean source) {
        Dialect dialect = session.engine().dialect();
        List<DigestField> fields = columns.stream()
                .map(c -> field(dialect.values(), source ? c.source() : c.target(), c, source))
                .toList();
        return dialect.values().digestQuery(dialect.identifiers().quote(table), fields);
    }

    private static DigestField field(ValueSql values, Column column, ColumnMapping mapping, boolean source) {
        String canonical = values.canonical(column, mapping.form());
        if (source && mapping.nullIfImpossible()) {
            canonical = "CASE WHEN " + values.impossibleDate(column) + " THEN NULL ELSE " + canonical + " END";
        }
        return new DigestField(canonical, mapping.form().freeText());
    }

    private static Digest get(Future<Digest> wanted, Future<Digest> other) throws SQLException {
        try {
            return wanted.get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new VerifyException("the comparison was interrupted", "Run `raftcart verify` again.", e);
        } catch (ExecutionException e) {
            settle(other, e);
            if (e.getCause() instanceof SQLException sql) {
                throw sql;
            }
            throw new IllegalStateException("a digest failed", e.getCause());
        }
    }

    /** Waits for the other side too, so that its connection is free again. */
    private static void settle(Future<Digest> other, ExecutionException first) {
        try {
            other.get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (ExecutionException e) {
            first.addSuppressed(e);
        }
    }

    private record Pair(Digest source, Digest target) {}
}
