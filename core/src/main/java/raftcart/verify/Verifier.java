package raftcart.verify;

import java.math.BigInteger;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.Consumer;
import raftcart.catalog.Column;
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
    private final boolean within;

    /** Compares what is committed. */
    public Verifier(EngineSession source, EngineSession target) {
        this(source, target, false);
    }

    private Verifier(EngineSession source, EngineSession target, boolean within) {
        this.source = source;
        this.target = target;
        this.within = within;
    }

    /** Compares what the transactions at hand see, which go on. */
    public static List<TableVerdict> withinTransactions(
            EngineSession source, EngineSession target, List<TableMapping> tables) {
        return new Verifier(source, target, true).verify(tables, v -> {});
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
            Both<Digest> digests = both(threads, s -> Digest.query(s.connection(), query(s, table, false)));
            boolean same = digests.onSource().equals(digests.onTarget());
            List<String> differing = same ? List.of() : differingColumns(table, threads);
            return verdict(table, digests, differing, "", start);
        } catch (SQLException e) {
            Digest none = new Digest(0, "");
            return verdict(table, new Both<>(none, none), List.of(), e.getMessage(), start);
        }
    }

    private static TableVerdict verdict(
            TableMapping table, Both<Digest> digests, List<String> differing, String problem, long start) {
        return new TableVerdict(
                table.source().name().toString(),
                table.target().name().toString(),
                digests.onSource().rows(),
                digests.onTarget().rows(),
                digests.onSource().hex(),
                digests.onTarget().hex(),
                differing,
                problem,
                (System.nanoTime() - start) / 1e9);
    }

    private List<String> differingColumns(TableMapping table, ExecutorService threads) throws SQLException {
        int columns = table.columns().size();
        Both<List<BigInteger>> digests =
                both(threads, s -> Digest.queryColumns(s.connection(), query(s, table, true), columns));
        List<String> differing = new ArrayList<>();
        for (int i = 0; i < columns; i++) {
            if (!digests.onSource().get(i).equals(digests.onTarget().get(i))) {
                differing.add(table.columns().get(i).source().name());
            }
        }
        return differing;
    }

    private String query(EngineSession session, TableMapping table, boolean byColumn) {
        boolean onSource = session == source;
        Dialect dialect = session.engine().dialect();
        List<DigestField> fields = table.columns().stream()
                .map(c -> field(dialect.values(), onSource ? c.source() : c.target(), c, onSource))
                .toList();
        String from = onSource ? table.sourceRows(dialect) : dialect.values().rowsOf(table.target());
        return byColumn
                ? dialect.values().columnDigestsQuery(from, fields)
                : dialect.values().digestQuery(from, fields);
    }

    private static DigestField field(ValueSql values, Column column, ColumnMapping mapping, boolean source) {
        String canonical = values.canonical(column, mapping.form());
        if (source && mapping.nullIfImpossible()) {
            canonical = "CASE WHEN " + values.impossibleDate(column) + " THEN NULL ELSE " + canonical + " END";
        }
        return new DigestField(canonical, mapping.form().freeText());
    }

    /** Asks both sides at the same time, and waits for both whatever happens. */
    private <T> Both<T> both(ExecutorService threads, Question<T> question) throws SQLException {
        Future<T> onSource = threads.submit(() -> ask(source, question));
        Future<T> onTarget = threads.submit(() -> ask(target, question));
        T first = get(onSource, onTarget);
        return new Both<>(first, get(onTarget, onSource));
    }

    private <T> T ask(EngineSession session, Question<T> question) throws SQLException {
        try {
            return question.answer(session);
        } finally {
            if (!within) {
                session.connection().rollback(); // ends the transaction that the query began; there is nothing to keep
            }
        }
    }

    private static <T> T get(Future<T> wanted, Future<T> other) throws SQLException {
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
    private static void settle(Future<?> other, ExecutionException first) {
        try {
            other.get();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (ExecutionException e) {
            first.addSuppressed(e);
        }
    }

    @FunctionalInterface
    private interface Question<T> {
        T answer(EngineSession session) throws SQLException;
    }

    private record Both<T>(T onSource, T onTarget) {}
}
