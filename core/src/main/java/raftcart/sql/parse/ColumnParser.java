package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.CurrentKind;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.ConstraintKind;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TableParts.NamedOption;
import raftcart.sql.tree.TableParts.Reference;
import raftcart.sql.tree.TableParts.TableConstraint;
import raftcart.sql.tree.TypeName;

/** Reads the definition of a column. */
final class ColumnParser {
    private static final String END_OF_TIME = "9999-12-31 00:00:00";

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final ConstraintParser constraints;

    private Optional<Boolean> notNull = Optional.empty();
    private Optional<Expr> defaultValue = Optional.empty();
    private Optional<Expr> generated = Optional.empty();
    private boolean stored;
    private boolean fills;
    private Optional<IdentityOptions> identity = Optional.empty();
    private Optional<Expr> onUpdate = Optional.empty();
    private Optional<String> collation = Optional.empty();
    private Optional<String> comment = Optional.empty();
    private final List<TableConstraint> own = new ArrayList<>();
    private final List<NamedOption> options = new ArrayList<>();
    private final List<String> leftOut = new ArrayList<>();

    ColumnParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.constraints = new ConstraintParser(parsing);
    }

    ColumnDefinition column() {
        Span span = cursor.peek().span();
        return rest(parsing.name(), span);
    }

    /** What follows the column's name. */
    ColumnDefinition rest(Name name, Span span) {
        Optional<TypeName> type = Optional.empty();
        if (!endsColumn() && cursor.peek().isName() && !startsOption()) {
            type = Optional.of(TypeNameParser.parse(cursor));
            if (cursor.previous().isWord("ZEROFILL")) {
                leftOut.add("ZEROFILL");
            } else if (type.get().name().equals("xml") && cursor.previous().isSymbol(")")) {
                leftOut.add("documents follow a schema");
            }
        }
        while (!endsColumn()) {
            option(name);
        }
        return ColumnMeanings.of(
                new ColumnDefinition(
                        name,
                        type.map(t -> withoutSerial(t, span))
                                .map(t -> ColumnMeanings.inCharacterSet(t, ColumnMeanings.characterSet(leftOut))),
                        notNull,
                        defaultValue,
                        generated,
                        stored,
                        identity,
                        onUpdate,
                        collation,
                        comment,
                        own,
                        options,
                        leftOut,
                        span),
                parsing);
    }

    /** SERIAL and its kin are integers that the engine numbers. */
    private TypeName withoutSerial(TypeName type, Span span) {
        boolean wide = type.name().equals("serial") && parsing.has(GrammarFeature.SERIAL_IS_A_WIDE_KEY);
        if (wide && own.stream().noneMatch(c -> c.kind() == ConstraintKind.PRIMARY_KEY)) {
            key(ConstraintKind.UNIQUE, Optional.empty(), span);
        }
        String plain = wide
                ? "bigint unsigned"
                : switch (type.name()) {
                    case "serial", "serial4" -> "integer";
                    case "bigserial", "serial8" -> "bigint";
                    case "smallserial", "serial2" -> "smallint";
                    case "identity" -> parsing.has(GrammarFeature.IDENTITIES_ARE_INTEGERS) ? "integer" : "bigint";
                    default -> null;
                };
        if (plain == null) {
            return type;
        }
        boolean key = type.name().equals("identity") && parsing.has(GrammarFeature.IDENTITY_TYPE_IS_A_KEY);
        if (key) {
            key(ConstraintKind.PRIMARY_KEY, Optional.empty(), span);
        }
        identity = Optional.of(identity.orElse(IdentityOptions.DEFAULT));
        notNull = Optional.of(true);
        return TypeName.of(plain);
    }

    private boolean endsColumn() {
        Token token = cursor.peek();
        boolean next = parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)
                && Keywords.startsStatement(token)
                && !token.isWord("WITH");
        return next
                || token.kind() == TokenKind.END
                || token.isSymbol(",")
                || token.isSymbol(")")
                || token.isSymbol(";")
                || token.isAnyWord("FIRST", "AFTER", "BEFORE", "ADD", "ALTER", "DROP", "MODIFY");
    }

    /** True at a word that begins an option and cannot be the name of a type. */
    private boolean startsOption() {
        return cursor.peek().isAnyWord(ClauseWords.COLUMN_OPTIONS)
                || cursor.peek().isWord("COMPUTED")
                        && (cursor.peek(1).isWord("BY") || cursor.peek(1).isSymbol("("))
                || cursor.peek().isWord("IDENTITY") && parsing.has(GrammarFeature.UNTYPED_COLUMNS);
    }

    private void option(Name column) {
        Span span = cursor.peek().span();
        Optional<Name> name = Optional.empty();
        if (cursor.takeWords("CONSTRAINT")) {
            name = Optional.of(parsing.name());
        }
        if (cursor.atWords("NOT", "FOR", "REPLICATION")) {
            passedOver(column);
        } else if (cursor.takeWords("NOT", "NULL") || cursor.takeWords("NN")) {
            notNull = Optional.of(true);
            name.ifPresent(n -> options.add(new NamedOption(n, false)));
            states();
            cursor.takeWords("NOT", "DEFERRABLE");
            if (cursor.takeWords("ON", "CONFLICT")) {
                leftOut.add("ON CONFLICT " + cursor.take().text());
            }
        } else if (cursor.takeWords("NULL")) {
            notNull = Optional.of(false);
        } else if (cursor.takeWords("DEFAULT") || cursor.takeWords("WITH", "DEFAULT")) {
            name.ifPresent(n -> options.add(new NamedOption(n, true)));
            defaultOption();
        } else if (cursor.takeWords("PRIMARY", "KEY") || cursor.takeWords("PRIMARY") || cursor.takeWords("KEY")) {
            key(ConstraintKind.PRIMARY_KEY, name, span);
        } else if (cursor.takeWords("UNIQUE")) {
            cursor.takeWords("KEY");
            key(ConstraintKind.UNIQUE, name, span);
        } else if (cursor.takeWords("CHECK")) {
            List<String> physical = new ArrayList<>();
            own.add(constraints.check(name, physical, span));
        } else if (cursor.peek().isWord("REFERENCES") || cursor.atWords("FOREIGN", "KEY", "REFERENCES")) {
            foreignKey(name, span);
        } else if (!numbering() && !description() && !passedOver(column)) {
            throw cursor.unexpected("an option of a column");
        }
    }

    /** Whether NOT NULL is checked at all, and of the rows that are there. */
    private void states() {
        if (cursor.takeWords("DISABLE")) {
            notNull = Optional.empty();
            leftOut.add("NOT NULL DISABLE");
        }
        cursor.takeAny("ENABLE");
        if (!cursor.takeWords("VALIDATE") && cursor.takeWords("NOVALIDATE")) {
            leftOut.add("NOVALIDATE");
        }
    }

    private void foreignKey(Optional<Name> name, Span span) {
        if (cursor.takeWords("FOREIGN")) {
            cursor.take();
        }
        List<String> physical = new ArrayList<>();
        Reference reference = constraints.reference(physical);
        ConstraintParser.Trailer trailer = constraints.trailer(physical, true);
        own.add(new TableConstraint(
                ConstraintKind.FOREIGN_KEY,
                name,
                List.of(),
                Optional.empty(),
                Optional.of(reference),
                trailer.deferrable,
                trailer.deferred,
                trailer.disabled,
                physical,
                span));
    }

    private void key(ConstraintKind kind, Optional<Name> name, Span span) {
        List<String> physical = new ArrayList<>();
        constraints.clustering(physical);
        cursor.takeAny("ASC", "DESC");
        ConstraintParser.Trailer trailer = constraints.trailer(physical, true);
        own.removeIf(c -> kind == ConstraintKind.PRIMARY_KEY && c.kind() == kind); // said twice by IDENTITY
        own.add(new TableConstraint(
                kind,
                name,
                List.of(),
                Optional.empty(),
                Optional.empty(),
                trailer.deferrable,
                trailer.deferred,
                trailer.disabled,
                physical,
                span));
    }

    private void defaultOption() {
        if (cursor.takeWords("ON", "NULL")) {
            leftOut.add("DEFAULT ON NULL");
        }
        if (cursor.takeWords("AUTOINCREMENT")) {
            identity = Optional.of(IdentityOptions.DEFAULT);
            return;
        }
        boolean alone = endsColumn()
                || cursor.atWords("NOT", "NULL")
                || cursor.peek().isAnyWord("CHECK", "CONSTRAINT", "REFERENCES", "UNIQUE", "PRIMARY");
        if (alone) {
            defaultValue = Optional.of(Expr.Call.of("default_of_type")); // DB2's WITH DEFAULT alone
            return;
        }
        defaultValue =
                Optional.of(ColumnMeanings.ofDefault(parsing.expressions.expression(OperatorTable.OTHER), parsing));
        fills |= cursor.takeWords("WITH", "VALUES");
    }

    /** True where the definition says that the rows that are there get the default. */
    boolean fills() {
        return fills;
    }

    private boolean numbering() {
        if (cursor.takeWords("GENERATED")) {
            generatedOption();
            return true;
        }
        if (cursor.takeAny("AUTO_INCREMENT", "AUTOINCREMENT")) {
            if (identity.isEmpty()) {
                identity = Optional.of(seedAfterAutoincrement());
            }
            return true;
        }
        if (cursor.takeWords("IDENTITY")) {
            boolean key = parsing.has(GrammarFeature.IDENTITIES_ARE_INTEGERS);
            identity = Optional.of(key ? IdentityOptions.DEFAULT : new IdentityParser(parsing).seed());
            if (key) {
                key(
                        ConstraintKind.PRIMARY_KEY,
                        Optional.empty(),
                        cursor.previous().span());
            }
            return true;
        }
        if (cursor.peek().isWord("AS") && cursor.peek(1).isWord("IDENTITY")) {
            cursor.take();
            return numbering();
        }
        if (cursor.peek().isAnyWord("AS", "COMPUTED", "MATERIALIZED", "ALIAS")) {
            cursor.take();
            cursor.takeWords("BY");
            computed();
            return true;
        }
        return false;
    }

    private IdentityOptions seedAfterAutoincrement() {
        if (cursor.peek().isSymbol("(")) {
            return new IdentityParser(parsing).seed();
        }
        return cursor.peek().isAnyWord("START", "INCREMENT")
                ? new IdentityParser(parsing).options(false, leftOut)
                : IdentityOptions.DEFAULT;
    }

    /** The moments, in UTC to T-SQL, from which and until which a row holds; a row that is new holds from now on. */
    private void setByEngine() {
        Token which = cursor.take();
        Span span = which.span();
        defaultValue = Optional.of(
                which.isWord("END")
                        ? new Expr.Literal(LiteralKind.TIMESTAMP, END_OF_TIME, span)
                        : parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)
                                ? ExprParser.parse("SYSUTCDATETIME()", parsing.grammar)
                                : new Expr.CurrentTime(CurrentKind.LOCAL_TIMESTAMP, -1, span));
        leftOut.add("GENERATED ALWAYS AS ROW " + which.text());
    }

    private void generatedOption() {
        boolean always = cursor.takeWords("ALWAYS");
        if (!always) {
            cursor.expectWords("BY", "DEFAULT");
            if (cursor.takeWords("ON", "NULL")) {
                leftOut.add("ON NULL");
            }
        }
        if (setAtChange()) {
            return;
        }
        cursor.expectWords("AS");
        if (cursor.takeWords("IDENTITY")) {
            numbered(always);
        } else if (cursor.peek().isWord("SEQUENCE") && cursor.peek(1).isName()) {
            Span span = cursor.take().span();
            defaultValue = Optional.of(new Expr.SequenceValue(parsing.qualifiedName(), true, span));
        } else {
            computed();
        }
    }

    /** What the engine sets itself at every change of a row, or of those beside it in its history. */
    private boolean setAtChange() {
        if (cursor.takeWords("FOR", "EACH", "ROW", "ON", "UPDATE", "AS", "ROW", "CHANGE", "TIMESTAMP")) {
            Expr now = new Expr.CurrentTime(
                    CurrentKind.LOCAL_TIMESTAMP, -1, cursor.previous().span());
            defaultValue = Optional.of(now);
            onUpdate = Optional.of(now);
            return true;
        }
        if (cursor.peek().isSymbol(",") || cursor.peek().isSymbol(")")) {
            leftOut.add("GENERATED ALWAYS"); // the address of its row, to DB2
            return true;
        }
        if (cursor.takeWords("AS", "TRANSACTION", "START", "ID")) {
            leftOut.add("GENERATED ALWAYS AS TRANSACTION START ID");
            return true;
        }
        if (cursor.takeWords("AS", "ROW") && cursor.peek().isAnyWord("START", "BEGIN", "END")) {
            setByEngine();
            return true;
        }
        if (cursor.atWords("FOR", "EACH", "ROW") || cursor.previous().isWord("ROW")) {
            throw cursor.byHand("columns that the engine sets at every change");
        }
        return false;
    }

    private void numbered(boolean always) {
        IdentityOptions options = IdentityOptions.DEFAULT;
        boolean parenthesis = cursor.takeSymbol("(");
        if (parenthesis && cursor.peek().kind() == TokenKind.NUMBER) {
            java.math.BigInteger start = parsing.wholeNumber();
            java.math.BigInteger step = cursor.takeSymbol(",") ? parsing.wholeNumber() : java.math.BigInteger.ONE;
            options = IdentityOptions.of(start, step);
        } else {
            options = new IdentityParser(parsing).options(always, leftOut);
        }
        if (parenthesis) {
            cursor.expectSymbol(")");
        }
        identity = Optional.of(new IdentityOptions(
                always,
                options.start(),
                options.increment(),
                options.min(),
                options.max(),
                options.cache(),
                options.cycle()));
    }

    private void computed() {
        boolean parenthesis = cursor.peek().isSymbol("(");
        boolean bare = parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)
                || parsing.has(GrammarFeature.BARE_COMPUTED_COLUMNS);
        if (!parenthesis && bare) {
            generated = Optional.of(parsing.expressions.expression(OperatorTable.OTHER));
            stored = cursor.takeAny("PERSISTED");
            return;
        }
        if (!parenthesis) {
            throw cursor.unexpected("'('");
        }
        cursor.take();
        generated = Optional.of(parsing.expressions.expression());
        cursor.expectSymbol(")");
        stored = cursor.takeAny("STORED", "PERSISTED", "PERSISTENT");
        cursor.takeWords("VIRTUAL");
    }

    private boolean description() {
        if (cursor.takeWords("COLLATE")) {
            Token name = cursor.peek();
            collation = Optional.of(
                    "COLLATE " + (name.isString() ? "'" + parsing.string() + "'" : parsing.qualifiedName()));
            return true;
        }
        if (cursor.takeWords("COMMENT")) {
            cursor.takeSymbol("=");
            comment = Optional.of(parsing.string());
            return true;
        }
        if (cursor.takeWords("ON", "UPDATE")) {
            onUpdate = Optional.of(parsing.expressions.expression(OperatorTable.OTHER));
            return true;
        }
        return false;
    }

    private boolean isVersioning() {
        return cursor.takeWords("WITHOUT", "SYSTEM", "VERSIONING") || cursor.takeWords("WITH", "SYSTEM", "VERSIONING");
    }

    /** Words by which capitals and small letters are not the same: BINARY of MySQL, CASESPECIFIC of Teradata. */
    private boolean exactTexts() {
        if (cursor.takeWords("BINARY")) {
            collation = Optional.of("COLLATE " + ColumnMeanings.characterSet(leftOut) + "_bin");
            return true;
        }
        if (cursor.takeAny("CASESPECIFIC", "CS")) {
            collation = Optional.of("CASESPECIFIC");
            return true;
        }
        return false;
    }

    /** Options about storage and presentation. */
    private boolean passedOver(Name column) {
        if (cursor.takeWords("NOT", "FOR", "REPLICATION") || isVersioning()) {
            leftOut.add(cursor.previous().text());
            return true;
        }
        if (cursor.atWords("COLUMN_SET", "FOR", "ALL_SPARSE_COLUMNS")) {
            throw cursor.byHand("a set of columns");
        }
        if (cursor.peek().isAnyWord("MASKED", "ENCRYPTED") && cursor.peek(1).isWord("WITH")) {
            leftOut.add(cursor.take().text() + " " + cursor.take().text() + " " + parsing.skipParentheses());
            return true;
        }
        if (cursor.takeWords("CHARACTER", "SET") || cursor.takeAny("CHARSET", "CHARACTER_SET")) {
            leftOut.add("CHARACTER SET " + cursor.take().text());
            return true;
        }
        if (cursor.takeWords("NOT") && cursor.takeAny(ClauseWords.NEGATED_COLUMN_FLAGS)) {
            leftOut.add("NOT " + cursor.previous().text());
            return true;
        }
        if (exactTexts()) {
            return true;
        }
        if (cursor.takeAny(ClauseWords.COLUMN_FLAGS)) {
            String flag = cursor.previous().text();
            leftOut.add(cursor.takeSymbol("=") ? flag + "=" + cursor.take().text() : flag);
            return true;
        }
        if (cursor.takeWords("SEQUENCE")) {
            leftOut.add("SEQUENCE " + parsing.qualifiedName());
            return true;
        }
        if (cursor.takeWords("IMPLICITLY", "HIDDEN")) {
            leftOut.add("IMPLICITLY HIDDEN");
            return true;
        }
        if (cursor.takeAny(ClauseWords.COLUMN_CLAUSES)) {
            leftOut.add(clause(cursor.previous().text()));
            return true;
        }
        return characterSet();
    }

    /** DB2's kinds of characters behind a type. */
    private boolean characterSet() {
        if (cursor.takeWords("FOR", "BIT", "DATA")) {
            throw cursor.unexpected("FOR BIT DATA right after the type");
        }
        return cursor.takeWords("FOR", "SBCS", "DATA") || cursor.takeWords("FOR", "MIXED", "DATA");
    }

    private String clause(String word) {
        StringBuilder text = new StringBuilder(word);
        if (cursor.takeWords("LENGTH")) {
            text.append(" LENGTH");
        }
        boolean value = cursor.peek().isString()
                || cursor.peek().kind() == TokenKind.NUMBER
                || (!word.equalsIgnoreCase("compress") && cursor.peek().kind() == TokenKind.WORD && !startsOption());
        if (value) {
            text.append(' ').append(cursor.take().text());
        }
        if (cursor.peek().isSymbol("(")) {
            text.append(' ').append(parsing.skipParentheses());
        }
        return text.toString();
    }
}
