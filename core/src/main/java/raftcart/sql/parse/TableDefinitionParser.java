package raftcart.sql.parse;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateTable;
import raftcart.sql.tree.DdlStatement.CreateTable.Temporary;
import raftcart.sql.tree.DdlStatement.TableCopy;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.Partitioning;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableParts.IndexPart;
import raftcart.sql.tree.TableParts.TableConstraint;
import raftcart.sql.tree.TableRef;

/** Reads CREATE TABLE. */
final class TableDefinitionParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final List<ColumnDefinition> columns = new ArrayList<>();
    private final List<TableConstraint> constraints = new ArrayList<>();
    private static final Pattern COLLATION = Pattern.compile("(?i)\\bCOLLATE\\s*=?\\s*(\\w+)");
    private Optional<String> collation = Optional.empty();
    private Optional<Partitioning> partitioning = Optional.empty();
    private final List<String> leftOut = new ArrayList<>();
    private Optional<TableCopy> like = Optional.empty();
    private Optional<Query> query = Optional.empty();
    private Optional<String> comment = Optional.empty();
    private boolean withData = true;
    private Optional<Boolean> untilCommit = Optional.empty();
    private boolean summary;

    TableDefinitionParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    /** What follows CREATE ... TABLE. */
    Statement table(Temporary given, List<String> prefix, Span span) {
        leftOut.addAll(prefix);
        boolean ifNotExists = cursor.takeWords("IF", "NOT", "EXISTS");
        QualifiedName name = parsing.qualifiedName();
        if (cursor.takeWords("OF")) {
            throw cursor.byHand("a table of a type");
        }
        if (cursor.takeWords("PARTITION", "OF")) {
            return partition(name, span);
        }
        beforeColumns();
        if (cursor.takeWords("CLONE")) {
            query = Optional.of(wholeTable());
            leftOut.add("keys and defaults of the table that is cloned");
        } else if (cursor.takeWords("LIKE")) {
            like = Optional.of(
                    new TableCopy(parsing.qualifiedName(), parsing.has(GrammarFeature.LIKE_COPIES_ALL), false));
        } else if (cursor.peek().isSymbol("(") && !parsing.queries.startsQuery()) {
            elements();
        }
        rest();
        refuseNothing();
        if (summary) {
            return summaryTable(name, span);
        }
        columns.replaceAll(c -> ColumnMeanings.inCharacterSetOfTable(numbered(c), leftOut));
        constraints.removeIf(this::isSaidByColumn);
        return new CreateTable(
                name,
                ifNotExists,
                lifetime(parsing.isTemporary(name) ? Temporary.SESSION : given),
                columns,
                constraints,
                like,
                query,
                withData,
                comment,
                collation,
                partitioning,
                leftOut,
                span);
    }

    /** What Teradata and Snowflake say of storage between the name and the columns, and H2's comment. */
    private void beforeColumns() {
        if (cursor.peek().isWord("COMMENT") && cursor.peek(1).isString()) {
            cursor.take();
            comment = Optional.of(parsing.string());
        }
        while (cursor.takeSymbol(",")) {
            leftOut.add(option());
        }
        if (cursor.takeWords("CLUSTER", "BY")) {
            leftOut.add("CLUSTER BY " + parsing.skipParentheses());
        }
    }

    private void refuseNothing() {
        if (columns.isEmpty() && like.isEmpty() && query.isEmpty()) {
            throw cursor.previous().isSymbol(")")
                    ? cursor.byHand("a table without columns")
                    : cursor.unexpected("columns or a query");
        }
    }

    private Temporary lifetime(Temporary temporary) {
        boolean ends = temporary != Temporary.NO
                && untilCommit.orElse(parsing.has(GrammarFeature.TEMPORARY_ROWS_END_AT_COMMIT));
        if (!ends) {
            return temporary;
        }
        return temporary == Temporary.GLOBAL ? Temporary.GLOBAL_UNTIL_COMMIT : Temporary.SESSION_UNTIL_COMMIT;
    }

    /** True for a primary key that a column is already by its type IDENTITY. */
    private boolean isSaidByColumn(TableConstraint constraint) {
        return constraint.kind() == ConstraintKind.PRIMARY_KEY
                && columns.stream()
                        .flatMap(c -> c.constraints().stream())
                        .anyMatch(c -> c.kind() == ConstraintKind.PRIMARY_KEY);
    }

    /** What follows ON COMMIT; true where the rows go then. */
    private boolean atCommit() {
        if (cursor.takeWords("DROP")) {
            cursor.takeWords("DEFINITION");
            leftOut.add("ON COMMIT DROP");
            return false;
        }
        boolean ends = cursor.takeWords("DELETE");
        if (!ends) {
            cursor.takeWords("PRESERVE");
        }
        cursor.takeAny("ROWS", "DEFINITION");
        return ends;
    }

    private Statement summaryTable(QualifiedName name, Span span) {
        return new DdlStatement.CreateView(
                name,
                false,
                false,
                true,
                false,
                false,
                columns.stream().map(ColumnDefinition::name).toList(),
                query.orElseThrow(),
                DdlStatement.CreateView.CheckOption.NONE,
                leftOut,
                span);
    }

    private void elements() {
        cursor.expectSymbol("(");
        ConstraintParser keys = new ConstraintParser(parsing);
        do {
            if (cursor.peek().isSymbol(")")) {
                break; // a comma before the end, which some dialects allow
            }
            if (cursor.takeWords("LIKE")) {
                if (!columns.isEmpty() || !constraints.isEmpty()) {
                    throw cursor.byHand("LIKE among other columns");
                }
                like = Optional.of(copy(parsing.qualifiedName()));
            } else if (atPeriod()) {
                leftOut.add("PERIOD " + (cursor.takeWords("FOR") ? "FOR " : "")
                        + cursor.take().text() + " " + parsing.skipParentheses());
            } else if (cursor.atWords("SUPPLEMENTAL", "LOG")) {
                leftOut.add(supplemental());
            } else if (parsing.has(GrammarFeature.COLUMN_FAMILIES) && cursor.takeWords("FAMILY")) {
                leftOut.add("FAMILY "
                        + (cursor.peek().isSymbol("(") ? "" : parsing.name().text() + " ") + parsing.skipParentheses());
            } else if (keys.atTableConstraint()) {
                PeriodKeys.read(parsing).ifPresentOrElse(leftOut::add, () -> constraints.add(keys.tableConstraint()));
            } else {
                columns.add(new ColumnParser(parsing).column());
            }
        } while (cursor.takeSymbol(","));
        cursor.expectSymbol(")");
    }

    /** The columns between which a row holds, to engines that keep the history of a table. */
    private boolean atPeriod() {
        boolean period = cursor.peek().isWord("PERIOD")
                && (cursor.peek(1).isWord("FOR") || cursor.peek(1).isAnyWord("SYSTEM_TIME", "BUSINESS_TIME"));
        return period && cursor.takeWords("PERIOD");
    }

    /** A whole number that is the primary key by itself, and no reference to another table, is numbered by some. */
    private ColumnDefinition numbered(ColumnDefinition column) {
        boolean numbers = parsing.has(GrammarFeature.INTEGER_KEYS_ARE_NUMBERED)
                && has(column, ConstraintKind.PRIMARY_KEY)
                && !has(column, ConstraintKind.FOREIGN_KEY)
                && column.identity().isEmpty()
                && column.type().filter(t -> t.name().equals("integer")).isPresent();
        return numbers ? column.withIdentity(IdentityOptions.DEFAULT) : column;
    }

    /** True for a column with a constraint of its own, or with one of the table that is on it alone. */
    private boolean has(ColumnDefinition column, ConstraintKind kind) {
        return column.constraints().stream().anyMatch(c -> c.kind() == kind)
                || constraints.stream()
                        .filter(c -> c.kind() == kind && c.parts().size() == 1)
                        .anyMatch(c -> c.parts().get(0).value() instanceof Expr.Column part
                                && part.name().last().matches(column.name()));
    }

    /** Oracle's further columns in its logs. */
    private String supplemental() {
        StringBuilder text = new StringBuilder();
        while (!cursor.atEnd() && !cursor.peek().isSymbol(",") && !cursor.peek().isSymbol(")")) {
            text.append(text.isEmpty() ? "" : " ")
                    .append(
                            cursor.peek().isSymbol("(")
                                    ? parsing.skipParentheses()
                                    : cursor.take().text());
        }
        return text.toString();
    }

    private void rest() {
        while (!cursor.atEnd() && !cursor.peek().isSymbol(";")) {
            if (cursor.peek().isWord("AS") || startsQueryHere()) {
                cursor.takeWords("AS");
                asQuery();
            } else if (cursor.takeWords("COMMENT")) {
                cursor.takeSymbol("=");
                comment = Optional.of(parsing.string());
            } else if (parsing.has(GrammarFeature.DATA_ATTRIBUTES) && atIndex()) {
                index();
            } else if (cursor.takeWords("AUTO_INCREMENT")) {
                cursor.takeSymbol("=");
                startAt(parsing.wholeNumber());
            } else if (cursor.takeWords("ON", "COMMIT")) {
                untilCommit = Optional.of(atCommit());
            } else if (cursor.atWords("ORGANIZATION", "EXTERNAL")) {
                throw cursor.byHand("an external table");
            } else if (cursor.atWords("NESTED", "TABLE")) {
                throw cursor.byHand("a table within a table");
            } else if (materialized()) {
                leftOut.add("DATA INITIALLY DEFERRED");
            } else if (cursor.atWords("PARTITION", "BY")) {
                partitioned();
            } else if (cursor.takeWords("INHERITS")) {
                inherits();
            } else if (parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)
                    && Keywords.startsStatement(cursor.peek())
                    && !cursor.peek().isWord("WITH")) {
                return;
            } else {
                passedOver(clause());
            }
        }
    }

    /** The one table whose columns this one has, and whose queries read its rows. */
    private void inherits() {
        cursor.expectSymbol("(");
        List<QualifiedName> parents = parsing.list(parsing::qualifiedName);
        cursor.expectSymbol(")");
        if (parents.size() > 1 || like.isPresent()) {
            throw cursor.byHand("a table that inherits from several");
        }
        like = Optional.of(new TableCopy(parents.get(0), false, true));
    }

    private TableCopy copy(QualifiedName table) {
        boolean whole = parsing.has(GrammarFeature.LIKE_COPIES_ALL);
        while (cursor.takeAny("INCLUDING", "EXCLUDING")) {
            boolean including = cursor.previous().isWord("INCLUDING");
            String part = cursor.take().text();
            boolean all = part.equalsIgnoreCase("ALL");
            whole = all ? including : whole;
            if (!all) {
                leftOut.add((including ? "INCLUDING " : "EXCLUDING ") + part);
            }
        }
        return new TableCopy(table, whole, false);
    }

    /** A part of a table, made on its own; parts of parts are left out. */
    private Statement partition(QualifiedName name, Span span) {
        QualifiedName table = parsing.qualifiedName();
        if (cursor.peek().isSymbol("(")) {
            throw cursor.byHand("a partition with columns or constraints of its own");
        }
        int mark = cursor.mark();
        Partitioning.Bounds bounds = new PartitionParser(parsing).bounds();
        String text = PartitionParser.text(cursor.taken(mark));
        if (cursor.atWords("PARTITION", "BY")) {
            throw cursor.byHand("a partition that is partitioned itself");
        }
        while (!cursor.atEnd() && !cursor.peek().isSymbol(";")) {
            leftOut.add(clause());
        }
        return new DdlStatement.CreatePartition(
                name, table, new Partitioning.Partition(Optional.of(name), bounds, text), span);
    }

    /** Parts of the table; a scheme of another kind is a clause like others. */
    private void partitioned() {
        int mark = cursor.mark();
        try {
            cursor.expectWords("PARTITION", "BY");
            partitioning = Optional.of(new PartitionParser(parsing).whole());
        } catch (SqlSyntaxException e) {
            cursor.reset(mark); // read as words, it is reported as left out
            passedOver(clause());
        }
    }

    /** Clauses about storage are left out; what they say of the collation of all columns is kept beside. */
    private void passedOver(String clause) {
        leftOut.add(clause);
        Matcher named = COLLATION.matcher(clause);
        if (named.find()) {
            collation = Optional.of("COLLATE " + named.group(1));
        }
    }

    /** The number from which the column of the table that is numbered goes on. */
    private void startAt(BigInteger number) {
        for (int i = 0; i < columns.size(); i++) {
            ColumnDefinition column = columns.get(i);
            if (column.identity().isPresent()) {
                columns.set(i, column.withIdentity(column.identity().get().from(number)));
            }
        }
    }

    /** DB2's summary table: its rows follow those that it was made of. */
    private boolean materialized() {
        boolean starts = query.isPresent() && cursor.takeWords("DATA", "INITIALLY", "DEFERRED");
        summary |= starts;
        return starts;
    }

    private boolean atIndex() {
        int ahead = cursor.peek().isWord("UNIQUE") ? 1 : 0;
        ahead += cursor.peek(ahead).isWord("PRIMARY") ? 1 : 0;
        return cursor.peek(ahead).isWord("INDEX");
    }

    /** Teradata's indexes: one that is unique is a key, the primary one says where rows lie. */
    private void index() {
        Span span = cursor.peek().span();
        boolean unique = cursor.takeWords("UNIQUE");
        boolean primary = cursor.takeWords("PRIMARY");
        cursor.expectWords("INDEX");
        Optional<Name> name = cursor.peek().isName() ? Optional.of(parsing.name()) : Optional.empty();
        List<IndexPart> parts = new ConstraintParser(parsing).keyParts();
        cursor.takeSymbol(",");
        if (!unique && primary) {
            leftOut.add("PRIMARY INDEX");
            return;
        }
        constraints.add(new TableConstraint(
                unique ? ConstraintKind.UNIQUE : ConstraintKind.INDEX,
                name,
                parts,
                Optional.empty(),
                Optional.empty(),
                false,
                false,
                false,
                List.of(),
                span));
    }

    private boolean startsQueryHere() {
        boolean further = (cursor.peek().isWord("SELECT") || cursor.peek().isSymbol("("))
                && !parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR);
        return (columns.isEmpty() || further)
                && like.isEmpty()
                && query.isEmpty()
                && parsing.queries.startsQuery()
                && !cursor.peek().isAnyWord("WITH", "TABLE");
    }

    private Query wholeTable() {
        Expr star = new Expr.Star(Optional.empty(), List.of(), cursor.peek().span());
        return Query.of(QueryBody.Select.of(
                List.of(QueryBody.Item.of(star)),
                List.of(TableRef.Table.of(parsing.qualifiedName())),
                Optional.empty()));
    }

    private void asQuery() {
        if (parsing.queries.startsQuery()) {
            boolean parenthesis = cursor.peek().isSymbol("(");
            int mark = cursor.mark();
            if (parenthesis) {
                cursor.take();
                Query inner = parsing.queries.query();
                if (cursor.takeSymbol(")") && !cursor.peek().isAnyWord(ClauseWords.AFTER_QUERIES)) {
                    query = Optional.of(inner);
                } else {
                    cursor.reset(mark);
                    query = Optional.of(parsing.queries.query());
                }
            } else {
                query = Optional.of(parsing.queries.query());
            }
        } else {
            query = Optional.of(wholeTable());
        }
        if (cursor.takeWords("WITH", "NO", "DATA") || cursor.takeWords("DEFINITION", "ONLY")) {
            withData = false;
        } else {
            cursor.takeWords("WITH", "DATA");
        }
    }

    private String option() {
        StringBuilder text = new StringBuilder();
        while (!cursor.atEnd()
                && !cursor.peek().isSymbol(",")
                && !cursor.peek().isSymbol("(")
                && !cursor.peek().isWord("AS")) {
            text.append(text.isEmpty() ? "" : " ").append(cursor.take().text());
        }
        return text.toString();
    }

    /** A clause about storage: words, values and parentheses up to where the next one seems to begin. */
    private String clause() {
        StringBuilder text = new StringBuilder();
        boolean first = true;
        while (!cursor.atEnd()) {
            Token token = cursor.peek();
            if (token.isSymbol(",") || token.isSymbol(";")) {
                if (!first && token.isSymbol(",") && !parsing.has(GrammarFeature.SHORT_VERBS)) {
                    cursor.take();
                }
                break;
            }
            if (!first
                    && (token.isWord("AS") || token.isWord("COMMENT") || token.isAnyWord(ClauseWords.TABLE_CLAUSES))
                    && !text.toString().matches("(?i)DEFAULT|.* BY|PARTITION|NO|.*=|.* STORE")) {
                break;
            }
            if (!first && (token.isWord("SELECT") || token.isSymbol("(")) && startsQueryHere()) {
                break;
            }
            if (!first && parsing.has(GrammarFeature.DATA_ATTRIBUTES) && atIndex()) {
                break;
            }
            if (!first && parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR) && Keywords.startsStatement(token)) {
                break;
            }
            if (token.isSymbol("(")) {
                text.append(' ').append(parsing.skipParentheses());
            } else if (token.kind() == TokenKind.SYMBOL && token.text().equals(")")) {
                throw cursor.unexpected("the end of the statement");
            } else {
                text.append(first ? "" : " ").append(cursor.take().text());
            }
            first = false;
        }
        if (text.isEmpty()) {
            throw cursor.unexpected("a clause of a table");
        }
        return text.toString();
    }
}
