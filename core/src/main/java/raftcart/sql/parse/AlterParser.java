package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement.AlterTable;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TypeName;

/** Reads ALTER TABLE. */
final class AlterParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final ConstraintParser constraints;

    AlterParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.constraints = new ConstraintParser(parsing);
    }

    /** What follows ALTER TABLE. */
    Statement table(Span span) {
        boolean ifExists = cursor.takeWords("IF", "EXISTS");
        boolean only = cursor.peek(1).isName() && cursor.takeWords("ONLY");
        QualifiedName name = parsing.qualifiedName();
        if (only || parsing.has(GrammarFeature.OPERATORS_OF_SIGNS)) {
            cursor.takeSymbol("*"); // and the tables that inherit from it
        }
        List<AlterAction> actions = new ArrayList<>();
        do {
            action(actions);
            while (atActionWithoutComma()) {
                action(actions); // DB2 and Oracle write several without commas
            }
        } while (cursor.takeSymbol(","));
        return new AlterTable(name, ifExists, actions, span);
    }

    private boolean atActionWithoutComma() {
        return cursor.peek().isAnyWord("ADD", "MODIFY", "ALTER", "DROP")
                && !parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR);
    }

    private void action(List<AlterAction> actions) {
        if (cursor.peek().isWord("WITH")
                && cursor.peek(1).isAnyWord("CHECK", "NOCHECK")
                && cursor.peek(2).isWord("ADD")) {
            cursor.take();
            if (cursor.take().isWord("NOCHECK")) {
                actions.add(new AlterAction.Physical("NOT VALID, WITH NOCHECK"));
            }
        }
        if (cursor.takeWords("SET", "UNUSED")) {
            cursor.takeWords("COLUMN");
            List<Name> unused = cursor.peek().isSymbol("(") ? parsing.namesInParentheses() : List.of(parsing.name());
            unused.forEach(n -> actions.add(new AlterAction.DropColumn(n, false, false)));
        } else if (cursor.takeWords("ADD")) {
            add(actions);
        } else if (cursor.takeWords("DROP")) {
            drop(actions);
        } else if (cursor.takeWords("ALTER")) {
            if (cursor.peek().isWord("CONSTRAINT") && cursor.peek(1).isName()) {
                throw cursor.byHand("a constraint that is deferred from now on, or no more");
            }
            cursor.takeWords("COLUMN");
            conditional(actions);
            alterColumn(actions);
        } else if (cursor.takeWords("MODIFY")) {
            modify(actions);
        } else if (cursor.takeWords("CHANGE")) {
            change(actions);
        } else if (cursor.takeWords("RENAME")) {
            rename(actions);
        } else if (cursor.takeWords("ORDER", "BY")) {
            order(actions);
        } else if (cursor.atWords("COMMENT")) {
            cursor.take();
            cursor.takeSymbol("=");
            actions.add(new AlterAction.SetComment(parsing.string()));
        } else if (cursor.atWords("AUTO_INCREMENT")) {
            cursor.take();
            cursor.takeSymbol("=");
            actions.add(new AlterAction.RestartIdentity(Name.of(""), parsing.wholeNumber()));
        } else if (actions.isEmpty() || !continuesAdd(actions)) {
            actions.add(attached().orElseGet(() -> new AlterAction.Physical(restOfAction())));
        }
    }

    private void change(List<AlterAction> actions) {
        cursor.takeWords("COLUMN");
        conditional(actions);
        Name from = parsing.name();
        ColumnDefinition definition = new ColumnParser(parsing).column();
        if (!from.matches(definition.name())) {
            actions.add(new AlterAction.RenameColumn(from, definition.name()));
        }
        actions.add(new AlterAction.ChangeColumn(definition.name(), definition));
        position(definition.name(), actions);
    }

    /** How the rows lie now, which no later one is bound to. */
    private void order(List<AlterAction> actions) {
        do {
            parsing.qualifiedName();
            cursor.takeAny("ASC", "DESC");
        } while (!cursor.peek(1).isAnyWord(ClauseWords.ALTER_ACTIONS)
                && !cursor.peek(2).isSymbol("=")
                && cursor.takeSymbol(","));
        actions.add(new AlterAction.Physical("ORDER BY"));
    }

    /** MariaDB's IF EXISTS before the part that is changed. */
    private void conditional(List<AlterAction> actions) {
        if (cursor.takeWords("IF", "EXISTS")) {
            actions.add(new AlterAction.Physical("IF EXISTS"));
        }
    }

    /** A table that becomes a partition. */
    private Optional<AlterAction> attached() {
        if (!cursor.takeWords("ATTACH", "PARTITION")) {
            return Optional.empty();
        }
        QualifiedName part = parsing.qualifiedName();
        return Optional.of(new AlterAction.AttachPartition(part, new PartitionParser(parsing).boundsAsWritten()));
    }

    /** T-SQL goes on after ADD with further columns and constraints, without saying ADD again. */
    private boolean continuesAdd(List<AlterAction> actions) {
        AlterAction last = actions.get(actions.size() - 1);
        boolean changes = last instanceof AlterAction.SetType
                || last instanceof AlterAction.SetNullable
                || last instanceof AlterAction.SetDefault;
        if (changes && cursor.takeWords("COLUMN")) {
            alterColumn(actions);
            return true;
        }
        boolean drops = last instanceof AlterAction.DropColumn || last instanceof AlterAction.DropConstraint;
        if (drops && cursor.peek().isAnyWord("COLUMN", "CONSTRAINT")) {
            drop(actions);
            return true;
        }
        if (last instanceof AlterAction.DropColumn
                && cursor.peek().isName()
                && parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)) {
            actions.add(new AlterAction.DropColumn(parsing.name(), false, false));
            return true;
        }
        boolean batches = parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR);
        boolean adds = last instanceof AlterAction.AddColumn
                || last instanceof AlterAction.AddConstraint
                || batches && last instanceof AlterAction.SetDefault;
        boolean loose = batches || parsing.has(GrammarFeature.COLON_PATHS);
        if (!adds || !loose || !cursor.peek().isName()) {
            return false;
        }
        element(actions);
        return true;
    }

    private void add(List<AlterAction> actions) {
        boolean column = cursor.takeWords("COLUMN");
        boolean ifNotExists = cursor.takeWords("IF", "NOT", "EXISTS");
        if (cursor.takeSymbol("(")) {
            do {
                element(actions);
            } while (cursor.takeSymbol(","));
            cursor.expectSymbol(")");
            return;
        }
        if (cursor.peek().isAnyWord("PARTITION", "SUPPLEMENTAL")) {
            actions.add(new AlterAction.Physical("ADD " + restOfAction()));
            return;
        }
        if (column || ifNotExists) {
            add(ifNotExists, actions);
            return;
        }
        element(actions);
    }

    private void add(boolean ifNotExists, List<AlterAction> actions) {
        ColumnParser parser = new ColumnParser(parsing);
        ColumnDefinition column = parser.column();
        boolean fills = !parsing.has(GrammarFeature.ADDED_COLUMNS_STAY_NULL)
                || column.notNull().orElse(false)
                || parser.fills();
        actions.add(new AlterAction.AddColumn(column, ifNotExists, fills));
        position(column.name(), actions);
    }

    private void element(List<AlterAction> actions) {
        if (isNamedDefault()) {
            namedDefault(actions);
        } else if (cursor.peek().isWord("DEFAULT") && parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)) {
            cursor.take();
            defaultFor(Optional.empty(), actions);
        } else if (constraints.atTableConstraint()) {
            actions.add(new AlterAction.AddConstraint(constraints.tableConstraint()));
        } else {
            add(false, actions);
        }
    }

    private boolean isNamedDefault() {
        return cursor.peek().isWord("CONSTRAINT") && cursor.peek(2).isWord("DEFAULT");
    }

    private void namedDefault(List<AlterAction> actions) {
        cursor.take();
        Name name = parsing.name();
        cursor.take();
        defaultFor(Optional.of(name), actions);
    }

    private void defaultFor(Optional<Name> constraint, List<AlterAction> actions) {
        Expr value = parsing.expressions.expression();
        cursor.expectWords("FOR");
        actions.add(new AlterAction.SetDefault(parsing.name(), Optional.of(value), constraint));
        cursor.takeWords("WITH", "VALUES"); // it bears on columns alone that are added
    }

    private void drop(List<AlterAction> actions) {
        Token token = cursor.peek();
        if (cursor.takeWords("PRIMARY", "KEY")) {
            actions.add(new AlterAction.DropConstraint("PRIMARY KEY", Optional.empty(), false, cascade()));
            return;
        }
        if (token.isAnyWord("CONSTRAINT", "FOREIGN", "INDEX", "KEY", "CHECK", "UNIQUE")
                && !cursor.peek(1).isAnyWord("CASCADE")) {
            cursor.take();
            cursor.takeWords("KEY");
            boolean ifExists = cursor.takeWords("IF", "EXISTS");
            String kind = token.isAnyWord("FOREIGN", "UNIQUE")
                    ? token.value().toUpperCase(java.util.Locale.ROOT) + (token.isWord("FOREIGN") ? " KEY" : "")
                    : token.isAnyWord("INDEX", "KEY") ? "INDEX" : "CONSTRAINT";
            do {
                Name name = parsing.name();
                actions.add(new AlterAction.DropConstraint(kind, Optional.of(name), ifExists, cascade()));
            } while (!cursor.peek(1).isAnyWord(ClauseWords.ALTER_ACTIONS)
                    && !cursor.peek(1).isAnyWord("COLUMN", "CONSTRAINT")
                    && !cursor.peek(2).isSymbol("=")
                    && cursor.takeSymbol(","));
            return;
        }
        if (token.isWord("PARTITION")) {
            throw cursor.byHand("dropping a partition, which removes its rows");
        }
        cursor.takeWords("COLUMN");
        boolean ifExists = cursor.takeWords("IF", "EXISTS");
        List<Name> names = cursor.peek().isSymbol("(") ? parsing.namesInParentheses() : List.of(parsing.name());
        boolean cascade = cascade();
        names.forEach(n -> actions.add(new AlterAction.DropColumn(n, ifExists, cascade)));
    }

    private boolean cascade() {
        boolean cascade = cursor.takeWords("CASCADE");
        cursor.takeAny("CONSTRAINTS", "RESTRICT");
        return cascade;
    }

    private void alterColumn(List<AlterAction> actions) {
        int mark = cursor.mark();
        Name column = parsing.name();
        if (cursor.takeWords("TO")) {
            actions.add(new AlterAction.RenameColumn(column, parsing.name()));
        } else if (cursor.takeWords("POSITION")) {
            actions.add(new AlterAction.Physical("POSITION " + parsing.wholeNumber()));
        } else if (cursor.takeWords("SET", "NOT", "NULL")) {
            actions.add(new AlterAction.SetNullable(column, false));
        } else if (cursor.takeWords("DROP", "NOT", "NULL")
                || cursor.takeWords("SET", "NULL")
                || cursor.takeWords("NULL")) {
            actions.add(new AlterAction.SetNullable(column, true));
        } else if (cursor.takeWords("NOT", "NULL")) {
            actions.add(new AlterAction.SetNullable(column, false));
        } else if (cursor.takeWords("SET", "DEFAULT")
                || cursor.takeWords("DEFAULT")
                || cursor.takeWords("SET", "WITH", "DEFAULT")) {
            actions.add(AlterAction.SetDefault.of(column, Optional.of(parsing.expressions.expression())));
        } else if (cursor.takeWords("DROP", "DEFAULT")) {
            actions.add(AlterAction.SetDefault.of(column, Optional.empty()));
        } else if (!furtherChange(column, actions)) {
            type(column, mark, actions);
        }
    }

    /** Another type for a column, perhaps with more of its definition. */
    private void type(Name column, int mark, List<AlterAction> actions) {
        cursor.takeWords("SET", "DATA");
        boolean typeWord = cursor.takeWords("TYPE");
        int atType = cursor.mark();
        TypeName type = TypeNameParser.parse(cursor);
        while (cursor.takeWords("COLLATE")) {
            parsing.qualifiedName();
        }
        Optional<Expr> using =
                cursor.takeWords("USING") ? Optional.of(parsing.expressions.expression()) : Optional.empty();
        boolean computed = cursor.peek().isWord("COMPUTED");
        boolean whole = parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)
                && (cursor.atWords("NOT", "NULL") || cursor.atWords("NULL"));
        if (computed || whole || cursor.peek().isAnyWord("GENERATED", "DEFAULT", "IDENTITY", "AUTO_INCREMENT")) {
            cursor.reset(computed ? atType : mark);
            ColumnParser parser = new ColumnParser(parsing);
            actions.add(new AlterAction.ChangeColumn(
                    column, computed ? parser.rest(column, cursor.peek().span()) : parser.column()));
            return;
        }
        actions.add(new AlterAction.SetType(column, type, using));
        if (!typeWord && cursor.takeWords("NOT", "NULL")) {
            actions.add(new AlterAction.SetNullable(column, false));
        } else if (!typeWord && cursor.takeWords("NULL")) {
            actions.add(new AlterAction.SetNullable(column, true));
        }
    }

    /** Changes other than of type, default and NULL; true for one of them. */
    private boolean furtherChange(Name column, List<AlterAction> actions) {
        boolean generated = cursor.takeWords("ADD", "GENERATED")
                || cursor.takeWords("SET", "GENERATED")
                || cursor.takeWords("GENERATED");
        if (generated) {
            boolean always = cursor.takeWords("ALWAYS");
            if (!always) {
                cursor.expectWords("BY", "DEFAULT");
            }
            cursor.expectWords("AS", "IDENTITY");
            boolean parenthesis = cursor.takeSymbol("(");
            if (parenthesis && cursor.takeWords("SEQUENCE", "NAME")) {
                parsing.qualifiedName();
            }
            List<String> leftOut = new ArrayList<>();
            actions.add(new AlterAction.AddIdentity(column, new IdentityParser(parsing).options(always, leftOut)));
            if (parenthesis) {
                cursor.expectSymbol(")");
            }
        } else if (cursor.takeWords("RENAME", "TO")) {
            actions.add(new AlterAction.RenameColumn(column, parsing.name()));
        } else if (cursor.takeWords("RESTART", "WITH")) {
            actions.add(new AlterAction.RestartIdentity(column, parsing.wholeNumber()));
        } else if (cursor.peek().isAnyWord("RESTART", "DROP", "SET", "UNSET")
                && !cursor.atWords("SET", "DATA", "TYPE")) {
            actions.add(new AlterAction.Physical("ALTER COLUMN " + column.text() + " " + restOfAction()));
        } else {
            return false;
        }
        return true;
    }

    private void modify(List<AlterAction> actions) {
        if (cursor.peek().isAnyWord("PARTITION", "LOB", "DEFAULT", "CONSTRAINT")) {
            actions.add(new AlterAction.Physical("MODIFY " + restOfAction()));
            return;
        }
        cursor.takeWords("COLUMN");
        conditional(actions);
        if (cursor.peek().isName() && cursor.peek(1).isAnyWord("DROP", "SET", "UNSET")) {
            alterColumn(actions);
            return;
        }
        boolean parenthesis = cursor.takeSymbol("(");
        do {
            ColumnDefinition definition = new ColumnParser(parsing).column();
            boolean restart = definition.type().isEmpty()
                    && definition
                            .identity()
                            .flatMap(TableParts.IdentityOptions::start)
                            .isPresent();
            actions.add(
                    restart
                            ? new AlterAction.RestartIdentity(
                                    definition.name(),
                                    definition.identity().get().start().get())
                            : new AlterAction.ChangeColumn(definition.name(), definition));
            position(definition.name(), actions);
        } while (parenthesis && cursor.takeSymbol(","));
        if (parenthesis) {
            cursor.expectSymbol(")");
        }
    }

    /** The place of a column among the others. */
    private void position(Name column, List<AlterAction> actions) {
        if (cursor.takeWords("FIRST")) {
            actions.add(new AlterAction.PlaceColumn(column, true, Optional.empty()));
        } else if (cursor.takeAny("AFTER", "BEFORE")) {
            boolean before = cursor.previous().isWord("BEFORE");
            actions.add(new AlterAction.PlaceColumn(column, before, Optional.of(parsing.name())));
        }
    }

    private void rename(List<AlterAction> actions) {
        if (cursor.peek().isAnyWord("CONSTRAINT", "INDEX", "KEY")
                && !cursor.peek(1).isAnyWord("TO", "AS")) {
            boolean index = !cursor.take().isWord("CONSTRAINT");
            conditional(actions);
            Name part = parsing.name();
            cursor.expectWords("TO");
            actions.add(new AlterAction.RenamePart(index, part, parsing.name()));
            return;
        }
        if (cursor.takeWords("TO") || cursor.takeWords("AS")) {
            actions.add(new AlterAction.RenameTable(parsing.qualifiedName()));
            return;
        }
        if (cursor.takeWords("COLUMN")) {
            conditional(actions);
        }
        QualifiedName from = parsing.qualifiedName();
        if (!cursor.takeWords("TO") && !cursor.takeWords("AS")) {
            actions.add(new AlterAction.RenameTable(from));
            return;
        }
        actions.add(new AlterAction.RenameColumn(from.last(), parsing.name()));
    }

    /** Changes that are known and have no counterpart. */
    private void refuse() {
        if (cursor.peek().isAnyWord("ENABLE", "DISABLE", "FORCE", "NO")
                && cursor.peek(1).isWord("ROW")
                && cursor.peek(2).isWord("LEVEL")) {
            throw cursor.byHand("security of single rows");
        }
        if (cursor.atWords("SET", "SCHEMA")) {
            throw cursor.byHand("a table that moves to another schema");
        }
        if (cursor.peek().isWord("CONFIGURE")) {
            throw cursor.byHand("the settings of a zone");
        }
        boolean parts = cursor.peek().isAnyWord("EXCHANGE", "REORGANIZE", "COALESCE", "REBUILD", "MERGE", "SPLIT")
                        && cursor.peek(1).isAnyWord("PARTITION", "SUBPARTITION", "PARTITIONS")
                || cursor.peek().isWord("SWITCH");
        if (parts) {
            throw cursor.byHand("a change of the partitions of a table");
        }
        if (cursor.peek().isWord("ACTIVATE") && cursor.peek(4).isWord("WITH")) {
            throw cursor.byHand("a table that is emptied");
        }
        if (cursor.peek().isAnyWord("OPTIONS", "SCATTER")) {
            throw cursor.byHand("ALTER TABLE ... " + parsing.word());
        }
        if (cursor.peek().isWord("SWAP")) {
            throw cursor.byHand("tables that swap their names");
        }
        if (cursor.peek().isWord("DETACH") && cursor.peek(1).isWord("PARTITION")) {
            throw cursor.byHand("a partition that leaves its table");
        }
    }

    /** A setting that says nothing about meaning, as it was written; what is not known to be one is refused. */
    private String restOfAction() {
        boolean checking = cursor.peek().isAnyWord("DISABLE", "NOCHECK", "ENABLE", "CHECK")
                && cursor.peek(1).isAnyWord("CONSTRAINT", "TRIGGER", "ALL", "PRIMARY", "UNIQUE", "KEYS");
        boolean off = checking
                && cursor.peek().isAnyWord("DISABLE", "NOCHECK")
                && !cursor.peek(1).isWord("KEYS");
        boolean asMade = cursor.atWords("ENABLE", "TRIGGER") || cursor.atWords("ENABLE", "KEYS");
        if (off || checking && cursor.peek().isWord("ENABLE") && !asMade) {
            throw cursor.byHand("switching a constraint or trigger on or off");
        }
        refuse();
        boolean known = cursor.peek().isAnyWord(ClauseWords.TABLE_SETTINGS)
                && (!cursor.peek().isWord("DEFAULT")
                        || cursor.peek(1).isAnyWord("CHARACTER", "CHARSET", "COLLATE", "COLLATION", "DDL"));
        if (cursor.peek().isAnyWord("INHERIT", "OF")
                || cursor.atWords("NO", "INHERIT")
                || cursor.atWords("NOT", "OF")) {
            throw cursor.byHand("a table that inherits, or has a type");
        }
        if (!known || cursor.peek().isWord("ATTACH")) {
            throw cursor.unexpected("a change of a table");
        }
        StringBuilder text = new StringBuilder();
        while (!cursor.atEnd() && !cursor.peek().isSymbol(",") && !cursor.peek().isSymbol(";")) {
            if (parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)
                    && !text.isEmpty()
                    && Keywords.startsStatement(cursor.peek())) {
                break;
            }
            text.append(text.isEmpty() ? "" : " ");
            text.append(
                    cursor.peek().isSymbol("(")
                            ? parsing.skipParentheses()
                            : cursor.take().text());
        }
        return text.toString();
    }
}
