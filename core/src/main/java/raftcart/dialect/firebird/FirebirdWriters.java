package raftcart.dialect.firebird;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.dialect.write.ChangeWriter;
import raftcart.dialect.write.DdlWriter;
import raftcart.dialect.write.ExprWriter;
import raftcart.dialect.write.QueryWriter;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.CurrentKind;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateTable.Temporary;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableParts.IndexPart;
import raftcart.sql.tree.TableRef;

/** Writes Firebird's SQL where it differs from the common spelling. */
public final class FirebirdWriters {
    private FirebirdWriters() {}

    /** The writers of statements. */
    public static SqlWriter of(WriterContext context) {
        return SqlWriter.of(
                context, new Expressions(context), new Queries(context), new Changes(context), new Structure(context));
    }

    /** Expressions. */
    private static final class Expressions extends ExprWriter {
        Expressions(WriterContext context) {
            super(context);
        }

        @Override
        protected String bits(String bits) {
            throw cannot("a bit string");
        }

        @Override
        public String visitAtZone(Expr.AtZone at) {
            return closed(at.value()) + " AT TIME ZONE " + closed(at.zone());
        }

        @Override
        public String visitCollate(Expr.Collate collate) {
            return closed(collate.value()) + " COLLATE " + name(collate.collation());
        }

        @Override
        public String visitCurrentTime(Expr.CurrentTime time) {
            // A cast of an instant goes to the zone of the session; its text has its own zone, behind 24 characters.
            return time.kind() == CurrentKind.UTC_TIMESTAMP
                    ? "CAST(SUBSTRING(CAST(CURRENT_TIMESTAMP AT TIME ZONE 'UTC' AS VARCHAR(60)) FROM 1 FOR 24) AS TIMESTAMP)"
                    : super.visitCurrentTime(time);
        }

        @Override
        protected String wholeQuotient(Expr.Binary binary) {
            return closed(binary.left()) + " / " + closed(binary.right());
        }

        @Override
        protected String odd(Expr.Binary binary) {
            return switch (binary.operator()) {
                case BIT_AND -> "BIN_AND(" + text(binary.left()) + ", " + text(binary.right()) + ")";
                case BIT_OR -> "BIN_OR(" + text(binary.left()) + ", " + text(binary.right()) + ")";
                case BIT_XOR -> "BIN_XOR(" + text(binary.left()) + ", " + text(binary.right()) + ")";
                case SHIFT_LEFT -> "BIN_SHL(" + text(binary.left()) + ", " + text(binary.right()) + ")";
                case SHIFT_RIGHT -> "BIN_SHR(" + text(binary.left()) + ", " + text(binary.right()) + ")";
                default -> super.odd(binary);
            };
        }
    }

    /** Queries. */
    private static final class Queries extends QueryWriter {
        Queries(WriterContext context) {
            super(context);
        }

        @Override
        protected String function(TableRef.Function function) {
            String ordinality = function.ordinality() ? " WITH ORDINALITY" : "";
            return text(function.call()) + ordinality + alias(function.alias());
        }

        @Override
        protected String locking(Query.Locking locking) {
            if (!locking.waiting().isEmpty()) {
                throw cannot("FOR UPDATE " + locking.waiting());
            }
            return "WITH LOCK";
        }
    }

    /** Changes. */
    private static final class Changes extends ChangeWriter {
        Changes(WriterContext context) {
            super(context);
        }

        @Override
        protected String call(Statement.CallProcedure call) {
            return "EXECUTE PROCEDURE " + name(call.name()) + "("
                    + call.arguments().stream().map(this::text).collect(Collectors.joining(", ")) + ")";
        }
    }

    /** Structure. */
    private static final class Structure extends DdlWriter {
        Structure(WriterContext context) {
            super(context);
        }

        @Override
        protected String renameColumn(String table, String from, Name to) {
            return "ALTER TABLE " + table + " ALTER COLUMN " + from + " TO "
                    + language().write(to);
        }

        @Override
        protected String setType(String column, String type, Optional<Expr> using) {
            return "ALTER COLUMN " + column + " TYPE " + type;
        }

        @Override
        protected String dropColumn(String column) {
            return "DROP " + column;
        }

        /** "CREATE INDEX": one order for all columns, and an expression stands alone. */
        @Override
        protected String index(DdlStatement.CreateIndex index) {
            List<IndexPart> parts = index.parts();
            boolean computed = parts.stream().anyMatch(p -> !(p.value() instanceof Expr.Column));
            if (!index.kind().isEmpty()
                    || index.where().isPresent()
                    || !index.include().isEmpty()) {
                return super.index(index);
            }
            if (computed && parts.size() > 1 || index.name().isEmpty()) {
                throw cannot(computed ? "an index of several parts on an expression" : "an index without a name");
            }
            boolean descending = parts.stream().allMatch(IndexPart::descending);
            if (!descending && parts.stream().anyMatch(IndexPart::descending)) {
                note(FindingCode.PHYSICAL_CLAUSES, index.span(), "DESC of some columns of an index");
            }
            String of = parts.stream().map(p -> text(p.value())).collect(Collectors.joining(", "));
            return "CREATE " + (index.unique() ? "UNIQUE " : "") + (descending ? "DESCENDING " : "") + "INDEX "
                    + language().write(index.name().get().last()) + " ON " + name(index.table())
                    + (computed ? " COMPUTED BY (" : " (") + of + ")";
        }

        /** "CREATE SEQUENCE": where it begins and by how much it goes on. */
        @Override
        protected String sequence(DdlStatement.CreateSequence sequence) {
            IdentityOptions options = sequence.options();
            if (options.max().isPresent() || options.cycle()) {
                note(FindingCode.SYNTAX_CHECK, sequence.span(), "a sequence without MAXVALUE and CYCLE");
            }
            return super.sequence(sequence);
        }

        @Override
        protected String sequenceOptions(IdentityOptions options) {
            return number(" START WITH ", options.start()) + number(" INCREMENT BY ", options.increment());
        }

        @Override
        protected String addIdentity(String column, IdentityOptions options) {
            throw cannot("a column that is numbered from now on");
        }

        @Override
        protected String onCommit(Temporary temporary) {
            return temporary == Temporary.NO
                    ? ""
                    : temporary.untilCommit() ? " ON COMMIT DELETE ROWS" : " ON COMMIT PRESERVE ROWS";
        }

        @Override
        protected String addColumn(String column) {
            return "ADD " + column;
        }

        @Override
        protected String generated(ColumnDefinition column) {
            return "GENERATED ALWAYS AS (" + text(column.generated().orElseThrow()) + ")";
        }

        @Override
        protected String temporary(Temporary temporary) {
            return temporary == Temporary.NO ? "" : "GLOBAL TEMPORARY ";
        }

        @Override
        protected String viewHead(DdlStatement.CreateView view) {
            return view.orReplace() ? "CREATE OR ALTER VIEW " : super.viewHead(view);
        }

        @Override
        protected String begin() {
            return "SET TRANSACTION";
        }
    }
}
