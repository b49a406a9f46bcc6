package raftcart.dialect.write;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.DdlStatement.TableCopy;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.IndexPart;
import raftcart.sql.tree.TableParts.Reference;
import raftcart.sql.tree.TableParts.TableConstraint;

/** Writes tables, their columns and constraints, and their changes. */
final class TableWriter {
    private final DdlWriter ddl;

    TableWriter(DdlWriter ddl) {
        this.ddl = ddl;
    }

    private String name(Name name) {
        return ddl.language().write(name);
    }

    String table(CreateTable table) {
        String head = "CREATE " + ddl.temporary(table.temporary()) + "TABLE " + ddl.ifNotExists(table.ifNotExists())
                + ddl.name(table.name());
        List<String> elements = new ArrayList<>();
        for (ColumnDefinition column : table.columns()) {
            elements.add(column(column));
        }
        for (TableConstraint constraint : table.constraints()) {
            elements.add(constraint(constraint));
        }
        boolean inherits = table.like().filter(TableCopy::inherits).isPresent();
        if (table.like().isPresent() && !inherits) {
            ddl.require(SqlFeature.CREATE_TABLE_LIKE, "CREATE TABLE ... LIKE");
            return head + ddl.like(table.like().get());
        }
        String body = elements.isEmpty() ? "" : " (\n    " + Layout.indent(String.join(",\n", elements)) + "\n)";
        if (inherits) {
            ddl.require(SqlFeature.TABLE_INHERITANCE, "a table that inherits");
            body = (elements.isEmpty() ? " ()" : body) + " INHERITS ("
                    + ddl.name(table.like().get().table()) + ")";
        }
        String comment = table.comment()
                .filter(c -> ddl.has(SqlFeature.INLINE_COMMENTS))
                .map(c -> " COMMENT = " + ddl.string(c))
                .orElse("");
        String options = table.collation().map(c -> " " + c).orElse("") + comment;
        String query = "";
        if (table.query().isPresent()) {
            ddl.require(SqlFeature.CREATE_TABLE_AS, "CREATE TABLE ... AS");
            query = ddl.asQuery(ddl.writer().query(table.query().get()), table.withData());
        }
        String parts = table.partitioning().map(ddl.partitions()::clause).orElse("");
        return head + body + ddl.tableEnd(ddl.onCommit(table.temporary()), options + parts, query);
    }

    String column(ColumnDefinition column) {
        return column(column, "");
    }

    /** @param behindDefault what stands behind the default, if there is one */
    private String column(ColumnDefinition column, String behindDefault) {
        StringBuilder text = new StringBuilder(name(column.name()));
        column.type().ifPresent(t -> text.append(' ').append(ddl.writer().type(t)));
        if (column.identity().isPresent()) {
            String identity = ddl.identity(column.identity().get());
            text.append(identity.isEmpty() ? "" : " " + identity);
        }
        column.collation().ifPresent(c -> text.append(' ').append(c));
        column.defaultValue()
                .ifPresent(d -> text.append(' ').append(defaultValue(column, d)).append(behindDefault));
        if (column.generated().isPresent()) {
            text.append(' ').append(ddl.generated(column));
        }
        column.notNull().ifPresent(n -> text.append(n ? " NOT NULL" : nullWord()));
        column.onUpdate().ifPresent(u -> {
            ddl.require(SqlFeature.ASSIGNS_ON_UPDATE, "an assignment at every change (ON UPDATE)");
            text.append(ddl.onUpdate(u));
        });
        column.comment().filter(c -> ddl.has(SqlFeature.INLINE_COMMENTS)).ifPresent(c -> text.append(" COMMENT ")
                .append(ddl.string(c)));
        for (TableConstraint constraint : column.constraints()) {
            text.append(' ').append(constraint(constraint));
        }
        return text.toString();
    }

    /** A constant is an expression in parentheses where long texts take no constants. */
    private String defaultValue(ColumnDefinition column, Expr value) {
        boolean enclosed = !ddl.has(SqlFeature.TEXT_DEFAULTS)
                && value instanceof Expr.Literal l
                && l.kind() != LiteralKind.NULL
                && column.type()
                        .filter(t -> t.name().matches(".*(text|blob|json)"))
                        .isPresent();
        return enclosed ? "DEFAULT (" + ddl.text(value) + ")" : ddl.defaultValue(value);
    }

    private static String nullWord() {
        return ""; // NULL is the default everywhere and not allowed everywhere
    }

    String constraint(TableConstraint constraint) {
        if (constraint.isOfRows()) {
            throw ddl.cannot("a key of some rows only");
        }
        String named = constraint.name().map(n -> "CONSTRAINT " + name(n) + " ").orElse("");
        String columns = constraint.parts().isEmpty() ? "" : " (" + parts(constraint.parts()) + ")";
        String body =
                switch (constraint.kind()) {
                    case PRIMARY_KEY -> "PRIMARY KEY" + columns;
                    case UNIQUE -> "UNIQUE" + columns;
                    case CHECK -> "CHECK (" + ddl.text(constraint.check().orElseThrow()) + ")";
                    case FOREIGN_KEY ->
                        (columns.isEmpty() ? "" : "FOREIGN KEY" + columns + " ") + reference(constraint);
                    case EXCLUDE -> constraint.leftOut().get(0);
                    case INDEX -> throw ddl.cannot("an index inside of a table");
                };
        return named + body + deferrable(constraint);
    }

    private String parts(List<IndexPart> parts) {
        return parts.stream()
                .map(p -> {
                    if (!(p.value() instanceof Expr.Column)) {
                        throw ddl.cannot("a key on an expression");
                    }
                    return p.prefix() > 0 ? ddl.indexPart(p) : ddl.text(p.value());
                })
                .collect(Collectors.joining(", "));
    }

    private String reference(TableConstraint constraint) {
        Reference reference = constraint.reference().orElseThrow();
        String columns = reference.columns().isEmpty()
                ? ""
                : reference.columns().stream().map(this::name).collect(Collectors.joining(", ", " (", ")"));
        return "REFERENCES " + ddl.name(reference.table()) + columns
                + onDelete(reference, constraint)
                + (ddl.has(SqlFeature.ON_UPDATE_ACTION) ? action(" ON UPDATE ", reference.onUpdate(), constraint) : "");
    }

    private String onDelete(Reference reference, TableConstraint constraint) {
        if (reference.cleared().isEmpty()) {
            return action(" ON DELETE ", reference.onDelete(), constraint);
        }
        String cleared = reference.cleared().stream().map(this::name).collect(Collectors.joining(", ", " (", ")"));
        if (!ddl.has(SqlFeature.ACTIONS_NAME_COLUMNS)) {
            ddl.note(
                    FindingCode.KEY_ACTION_LOST,
                    constraint.span(),
                    reference.onDelete() + " of some of the columns left out:" + cleared);
            return "";
        }
        return action(" ON DELETE ", reference.onDelete(), constraint) + cleared;
    }

    private String action(String word, String action, TableConstraint constraint) {
        if (action.isEmpty() || action.equals("NO ACTION")) {
            return "";
        }
        if (action.equals("RESTRICT") && !ddl.has(SqlFeature.RESTRICT_ACTION)) {
            return "";
        }
        if (action.equals("SET DEFAULT") && !ddl.has(SqlFeature.SET_DEFAULT_ACTION)) {
            ddl.note(FindingCode.KEY_ACTION_LOST, constraint.span(), "SET DEFAULT left out");
            return "";
        }
        return word + action;
    }

    private String deferrable(TableConstraint constraint) {
        if (!constraint.deferrable()) {
            return "";
        }
        if (!ddl.has(SqlFeature.DEFERRABLE)) {
            ddl.note(FindingCode.DEFERRABLE_LOST, constraint.span(), "checked at once");
            return "";
        }
        return " DEFERRABLE" + (constraint.initiallyDeferred() ? " INITIALLY DEFERRED" : "");
    }

    String alter(DdlStatement.AlterTable alter) {
        List<String> statements = new ArrayList<>();
        if (alter.ifExists()) {
            ddl.require(SqlFeature.ALTER_IF_EXISTS, "ALTER TABLE IF EXISTS");
        }
        String head = "ALTER TABLE " + (alter.ifExists() ? "IF EXISTS " : "") + ddl.name(alter.name()) + " ";
        for (AlterAction action : alter.actions()) {
            if (action instanceof AlterAction.PlaceColumn place && !statements.isEmpty()) {
                statements.add(statements.remove(statements.size() - 1) + place(place));
            } else {
                statements.add(alter(head, alter.name(), action));
            }
        }
        return String.join(";\n", statements);
    }

    /** Where a column stands, behind its definition. */
    private String place(AlterAction.PlaceColumn place) {
        return place.beside()
                .map(b -> (place.before() ? " BEFORE " : " AFTER ") + name(b))
                .orElse(" FIRST");
    }

    private String alter(String head, QualifiedName table, AlterAction action) {
        if (action instanceof AlterAction.AddColumn add) {
            boolean fills = add.fills()
                    && ddl.has(SqlFeature.DEFAULTS_WITH_VALUES)
                    && !add.column().notNull().orElse(false);
            return head
                    + ddl.addColumn((add.ifNotExists() ? ddl.ifNotExists(true) : "")
                            + column(add.column(), fills ? " WITH VALUES" : ""));
        }
        if (action instanceof AlterAction.DropColumn drop) {
            boolean cascade =
                    drop.cascade() && ddl.has(SqlFeature.CASCADE) && !ddl.has(SqlFeature.COLUMNS_GO_WITHOUT_CASCADE);
            return head
                    + ddl.dropColumn(ddl.ifExists(drop.ifExists()) + name(drop.column()))
                    + (cascade ? ddl.cascade() : "");
        }
        if (action instanceof AlterAction.RenameColumn rename) {
            return ddl.renameColumn(ddl.name(table), name(rename.from()), rename.to());
        }
        if (action instanceof AlterAction.RenamePart rename) {
            return rename.index()
                    ? ddl.renameIndex(Optional.of(table), table.withLast(rename.from()), rename.to())
                    : ddl.renameConstraint(table, rename.from(), rename.to());
        }
        if (action instanceof AlterAction.RenameTable rename) {
            return ddl.renameTable(ddl.name(table), rename.to().last());
        }
        if (action instanceof AlterAction.AddConstraint add) {
            ddl.require(SqlFeature.ADD_CONSTRAINT, "a constraint added to a table");
            return head + "ADD " + constraint(add.constraint());
        }
        if (action instanceof AlterAction.DropConstraint drop) {
            ddl.require(SqlFeature.ADD_CONSTRAINT, "a constraint removed from a table");
            return head + ddl.dropConstraint(drop);
        }
        if (action instanceof AlterAction.SetComment comment) {
            ddl.require(SqlFeature.INLINE_COMMENTS, "a comment of a table");
            return head + "COMMENT = " + ddl.string(comment.text());
        }
        if (action instanceof AlterAction.AttachPartition attach) {
            return head + "ATTACH PARTITION " + ddl.name(attach.part()) + " " + attach.bounds();
        }
        ddl.require(SqlFeature.ALTER_COLUMN, "a column changed");
        return change(head, table, action);
    }

    private String change(String head, QualifiedName table, AlterAction action) {
        if (action instanceof AlterAction.SetType set) {
            return head + ddl.setType(name(set.column()), ddl.writer().type(set.type()), set.using());
        }
        if (action instanceof AlterAction.SetNullable set) {
            return head + ddl.setNullable(name(set.column()), set.nullable());
        }
        if (action instanceof AlterAction.SetDefault set) {
            return head + ddl.setDefault(ddl.name(table), name(set.column()), set.value());
        }
        if (action instanceof AlterAction.AddIdentity add) {
            return head + ddl.addIdentity(name(add.column()), add.options());
        }
        if (action instanceof AlterAction.RestartIdentity restart) {
            ddl.require(SqlFeature.IDENTITY_RESTARTS, "the next number of a column");
            return head + ddl.restartIdentity(name(restart.column()), restart.next());
        }
        if (action instanceof AlterAction.ChangeColumn change) {
            return changed(head, table, change);
        }
        throw ddl.cannot("a physical setting of a table");
    }

    /** A column defined anew, in one action or in several. */
    private String changed(String head, QualifiedName table, AlterAction.ChangeColumn change) {
        ColumnDefinition definition = change.definition();
        String column = name(change.column());
        Optional<String> whole = ddl.changeColumn(column, definition, column(definition));
        if (whole.isPresent()) {
            return head + whole.get();
        }
        boolean simple = definition.generated().isEmpty()
                && definition.constraints().stream().noneMatch(c -> c.kind() != ConstraintKind.CHECK);
        if (!simple) {
            throw ddl.cannot("a column that becomes computed, numbered or a key");
        }
        List<String> statements = new ArrayList<>();
        definition
                .type()
                .ifPresent(t ->
                        statements.add(head + ddl.setType(column, ddl.writer().type(t), change.using())));
        definition.notNull().ifPresent(n -> statements.add(head + ddl.setNullable(column, !n)));
        definition
                .defaultValue()
                .ifPresent(d -> statements.add(head + ddl.setDefault(ddl.name(table), column, Optional.of(d))));
        definition.constraints().forEach(c -> statements.add(head + "ADD " + constraint(c)));
        definition.identity().ifPresent(i -> statements.add(head + ddl.addIdentity(column, i)));
        return String.join(";\n", statements);
    }
}
