package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Expected;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.CodeStatement.Rescue;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.QueryBody.Item;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Truth;
import raftcart.sql.tree.TypeName;

/**
 * Reads the statements of PSQL ("Procedural SQL (PSQL) Statements", Firebird). What a block changed before an error that it
 * handles is undone, as PL/pgSQL has it, so that its handlers are rescues.
 */
final class PsqlParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final List<Parameter> columns;
    private final List<Parameter> held;
    private int loops;

    /**
     * @param columns the columns of the rows that the routine gives
     * @param held the variables in which their values are
     */
    PsqlParser(Parsing parsing, List<Parameter> columns, List<Parameter> held) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.columns = columns;
        this.held = held;
    }

    /** A type, perhaps that of a column. */
    static TypeName type(Parsing parsing) {
        TokenCursor cursor = parsing.cursor;
        TypeName type;
        if (cursor.takeWords("TYPE", "OF", "COLUMN")) {
            String of = parsing.qualifiedName().parts().stream().map(Name::text).collect(Collectors.joining("."));
            type = TypeName.of(of + TypeName.OF_COLUMN);
        } else {
            cursor.takeWords("TYPE", "OF"); // a domain without its checks
            type = TypeNameParser.parse(cursor);
        }
        if (cursor.takeWords("CHARACTER", "SET")) {
            cursor.take();
        }
        if (cursor.peek().isWord("NOT")) {
            throw cursor.byHand("a variable or parameter that takes no NULL");
        }
        if (cursor.takeWords("COLLATE")) {
            cursor.take();
        }
        return type;
    }

    /** Declarations and the block to which they belong, up to the end of the text. */
    Block body() {
        Span span = cursor.peek().span();
        List<Declaration> declarations = new ArrayList<>();
        held.forEach(
                h -> declarations.add(new Declaration.Variable(h.name(), h.type(), Optional.empty(), false, span)));
        while (cursor.takeWords("DECLARE")) {
            declarations.add(declaration());
            cursor.expectSymbol(";");
        }
        Block block = block(declarations, span);
        if (!cursor.atEnd()) {
            throw cursor.unexpected("the end of the body");
        }
        return block;
    }

    private Declaration declaration() {
        Span span = cursor.peek().span();
        if (cursor.peek().isAnyWord("PROCEDURE", "FUNCTION")) {
            throw cursor.byHand("a routine within a routine");
        }
        Name name = parsing.name();
        if (cursor.peek().isWord("SCROLL")) {
            throw cursor.byHand("a cursor that goes back");
        }
        cursor.takeWords("NO", "SCROLL");
        if (cursor.takeWords("CURSOR", "FOR")) {
            cursor.expectSymbol("(");
            Query query = parsing.queries.query();
            cursor.expectSymbol(")");
            return new Declaration.Cursor(name, List.of(), query, span);
        }
        TypeName type = type(parsing);
        boolean given = cursor.takeSymbol("=") || cursor.takeWords("DEFAULT");
        Optional<Expr> initial = given ? Optional.of(parsing.expressions.expression()) : Optional.empty();
        return new Declaration.Variable(name, type, initial, false, span);
    }

    private Block block(List<Declaration> declarations, Span span) {
        cursor.expectWords("BEGIN");
        List<Statement> body = new ArrayList<>();
        while (!cursor.peek().isAnyWord("END", "WHEN")) {
            body.add(statement());
        }
        List<Rescue> rescues = new ArrayList<>();
        while (cursor.takeWords("WHEN")) {
            List<Condition> conditions = parsing.list(this::condition);
            cursor.expectWords("DO");
            rescues.add(new Rescue(conditions, one()));
        }
        cursor.expectWords("END");
        cursor.takeSymbol(";");
        return new Block(Optional.empty(), declarations, List.of(), body, rescues, span);
    }

    private Condition condition() {
        if (cursor.takeWords("ANY")) {
            return new Condition(Condition.Kind.ERROR, "");
        }
        if (cursor.takeWords("EXCEPTION")) {
            return new Condition(Condition.Kind.STATE, state(parsing.name()));
        }
        if (cursor.takeWords("SQLSTATE")) {
            return new Condition(Condition.Kind.STATE, parsing.string());
        }
        if (cursor.takeWords("GDSCODE")) {
            return new Condition(Condition.Kind.NAME, parsing.name().key());
        }
        cursor.expectWords("SQLCODE");
        String sign = cursor.takeSymbol("-") ? "-" : "";
        return new Condition(Condition.Kind.NUMBER, sign + cursor.take().text());
    }

    /** The state that stands for an exception of the database's own, which has a name alone: the same wherever it is raised. */
    private static String state(Name exception) {
        int hash = Math.floorMod(exception.text().toUpperCase(Locale.ROOT).hashCode(), 36 * 36 * 36 * 36);
        String digits = Integer.toString(hash, 36).toUpperCase(Locale.ROOT);
        return "U" + "0".repeat(4 - digits.length()) + digits;
    }

    /** The statements of a branch: those of a block that declares and handles nothing, or one. */
    private List<Statement> one() {
        Statement one = statement();
        return one instanceof Block b && b.rescues().isEmpty() ? b.body() : List.of(one);
    }

    private Statement statement() {
        if (cursor.atEnd()) {
            throw cursor.unexpected("a statement");
        }
        return parsing.nested(() -> {
            Token token = cursor.peek();
            Span span = token.span();
            if (token.isWord("BEGIN")) {
                return block(List.of(), span);
            }
            Optional<Name> label = Optional.empty();
            if (token.isName() && cursor.peek(1).isSymbol(":")) {
                label = Optional.of(parsing.name());
                cursor.take();
            }
            if (cursor.peek().isAnyWord("IF", "WHILE", "FOR")) {
                return compound(label, span);
            }
            Statement simple = simple(span);
            cursor.expectSymbol(";");
            return simple;
        });
    }

    private Statement compound(Optional<Name> label, Span span) {
        Token verb = cursor.take();
        if (verb.isWord("FOR")) {
            return rows(label, span);
        }
        cursor.expectSymbol("(");
        Expr condition = parsing.expressions.expression();
        cursor.expectSymbol(")");
        if (verb.isWord("WHILE")) {
            cursor.expectWords("DO");
            return loop(label, condition, span);
        }
        cursor.expectWords("THEN");
        List<Statement> then = one();
        List<Statement> otherwise = cursor.takeWords("ELSE") ? one() : List.of();
        return new CodeStatement.If(List.of(new Choice(condition, then)), otherwise, span);
    }

    /** A loop; one that asks for the number of rows asks for it at the beginning of each round. */
    private Statement loop(Optional<Name> label, Expr condition, Span span) {
        boolean counts = ExprSearch.any(
                condition,
                e -> e instanceof Expr.Column c
                        && c.name().parts().size() == 1
                        && c.name().last().is("row_count"));
        if (!counts) {
            return new CodeStatement.Loop(label, Optional.of(condition), Optional.empty(), one(), span);
        }
        Statement leave = new CodeStatement.Jump(false, Optional.empty(), Optional.empty(), span);
        Expr ends = new Expr.Is(condition, Truth.TRUE, true, span);
        List<Statement> body = new ArrayList<>();
        body.add(new CodeStatement.If(List.of(new Choice(ends, List.of(leave))), List.of(), span));
        body.addAll(one());
        return new CodeStatement.Loop(label, Optional.empty(), Optional.empty(), body, span);
    }

    private Statement simple(Span span) {
        String word = cursor.peek().kind() == TokenKind.WORD ? parsing.word() : "";
        switch (word) {
            case "LEAVE", "BREAK", "CONTINUE":
                cursor.take();
                Optional<Name> label = cursor.peek().isName() ? Optional.of(parsing.name()) : Optional.empty();
                return new CodeStatement.Jump(word.equals("CONTINUE"), label, Optional.empty(), span);
            case "EXIT":
                cursor.take();
                return new CodeStatement.Return(Optional.empty(), span);
            case "RETURN":
                cursor.take();
                return new CodeStatement.Return(Optional.of(parsing.expressions.expression()), span);
            case "SUSPEND":
                cursor.take();
                return suspended(span);
            case "EXCEPTION":
                cursor.take();
                return raised(span);
            case "EXECUTE":
                cursor.take();
                return executed(span);
            case "SELECT", "WITH":
                return new IntoParser(parsing).select(Expected.AT_MOST_ONE);
            case "INSERT", "UPDATE", "DELETE":
                return new ChangeIntoParser(parsing).change(span);
            case "MERGE":
                return StatementParser.nested(parsing);
            case "OPEN", "CLOSE":
                cursor.take();
                return new CodeStatement.CursorStep(
                        word.equals("OPEN"), parsing.name(), List.of(), Optional.empty(), span);
            case "FETCH":
                return fetched(span);
            case "IN", "POST_EVENT":
                throw cursor.byHand(word.equals("IN") ? "an autonomous transaction" : "POST_EVENT");
            default:
                return assigned(span);
        }
    }

    private Statement assigned(Span span) {
        if (!cursor.peek().isName()) {
            throw cursor.unexpected("a statement");
        }
        if (cursor.peek(1).isName()) {
            throw cursor.byHand("the statement " + cursor.peek().text());
        }
        Expr target = target();
        cursor.expectSymbol("=");
        return new CodeStatement.Assign(target, parsing.expressions.expression(), span);
    }

    private Expr target() {
        Span span = cursor.peek().span();
        return new Expr.Column(parsing.qualifiedName(), false, span);
    }

    private Statement suspended(Span span) {
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < held.size(); i++) {
            Expr value = new Expr.Column(new QualifiedName(List.of(held.get(i).name())), false, span);
            items.add(new Item(value, Optional.of(columns.get(i).name())));
        }
        if (items.isEmpty()) {
            throw cursor.byHand("rows without columns");
        }
        return new CodeStatement.ReturnRows(Query.of(QueryBody.Select.of(items, List.of(), Optional.empty())), span);
    }

    private Statement raised(Span span) {
        if (cursor.peek().isSymbol(";")) {
            return new CodeStatement.Signal(Optional.empty(), Optional.empty(), List.of(), span);
        }
        Name name = parsing.name();
        if (cursor.peek().isWord("USING")) {
            throw cursor.byHand("an exception with values for its text");
        }
        boolean own = cursor.peek().isSymbol(";");
        Expr message = own ? Expr.Literal.string(name.text()) : parsing.expressions.expression();
        List<String> more = own ? List.of("the text of CREATE EXCEPTION") : List.of();
        return new CodeStatement.Signal(Optional.of(state(name)), Optional.of(message), more, span);
    }

    private Statement executed(Span span) {
        if (cursor.takeWords("STATEMENT")) {
            Expr text = parsing.expressions.expression();
            if (!cursor.peek().isSymbol(";") && !cursor.peek().isWord("INTO")) {
                throw cursor.byHand("a computed statement with parameters or in another transaction");
            }
            List<Expr> into = cursor.takeWords("INTO") ? parsing.list(this::target) : List.of();
            return new CodeStatement.Dynamic(text, into, List.of(), Expected.AT_MOST_ONE, span);
        }
        cursor.expectWords("PROCEDURE");
        QualifiedName name = parsing.qualifiedName();
        List<Expr> given = new ArrayList<>();
        boolean enclosed = cursor.takeSymbol("(");
        boolean none = cursor.peek().isSymbol(")")
                || cursor.peek().isSymbol(";")
                || cursor.peek().isWord("RETURNING_VALUES");
        if (!none) {
            given.addAll(parsing.expressions.list());
        }
        if (enclosed) {
            cursor.expectSymbol(")");
        }
        Set<Integer> outputs = new HashSet<>();
        if (cursor.takeWords("RETURNING_VALUES")) {
            boolean targets = cursor.takeSymbol("(");
            for (Expr target : parsing.list(this::target)) {
                outputs.add(given.size());
                given.add(target);
            }
            if (targets) {
                cursor.expectSymbol(")");
            }
        }
        return new Statement.CallProcedure(name, given, Optional.of(outputs), span);
    }

    private Statement fetched(Span span) {
        cursor.take();
        if (cursor.peek().isAnyWord("PRIOR", "FIRST", "LAST", "ABSOLUTE", "RELATIVE")) {
            throw cursor.byHand("FETCH " + parsing.word());
        }
        cursor.takeWords("NEXT");
        cursor.takeWords("FROM");
        Name name = parsing.name();
        cursor.expectWords("INTO");
        return new CodeStatement.Fetch(name, parsing.list(this::target), span);
    }

    /** {@code FOR SELECT ... INTO :a, :b DO}: the variables keep the values of the last row behind it. */
    private Statement rows(Optional<Name> label, Span span) {
        if (!cursor.peek().isAnyWord("SELECT", "WITH")) {
            throw cursor.byHand("a loop over the rows of a computed statement");
        }
        List<Token> tokens = new ArrayList<>();
        int depth = 0;
        while (!(depth == 0 && cursor.peek().isAnyWord("INTO", "DO")) && !cursor.atEnd()) {
            depth += cursor.peek().isSymbol("(") ? 1 : cursor.peek().isSymbol(")") ? -1 : 0;
            tokens.add(cursor.take());
        }
        tokens.add(new Token(TokenKind.END, "", "", cursor.peek().span()));
        List<Expr> targets = cursor.takeWords("INTO") ? parsing.list(this::target) : List.of();
        if (cursor.peek().isWord("AS")) {
            throw cursor.byHand("a loop whose cursor has a name");
        }
        cursor.expectWords("DO");
        TokenCursor inner = new TokenCursor(tokens);
        Query query = new Parsing(inner, parsing.grammar).queries.query();
        if (!inner.atEnd()) {
            throw inner.unexpected("INTO");
        }
        Name row = Name.of("row_" + ++loops + "_");
        List<Statement> body = new ArrayList<>();
        Query named = named(query, targets, row, body);
        body.addAll(one());
        return new CodeStatement.ForRows(label, row, Optional.of(named), Optional.empty(), List.of(), body, span);
    }

    /** The query whose columns have names of their own, by which the values of a row are assigned. */
    private Query named(Query query, List<Expr> targets, Name row, List<Statement> assignments) {
        if (!(query.body() instanceof QueryBody.Select select) || select.items().size() != targets.size()) {
            throw cursor.byHand("a loop over rows whose columns are not one for each variable");
        }
        Set<String> taken = new HashSet<>();
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < targets.size(); i++) {
            Item item = select.items().get(i);
            Optional<Name> own = item.alias()
                    .or(() -> item.value() instanceof Expr.Column c
                            ? Optional.of(c.name().last())
                            : Optional.empty());
            Name name = own.filter(n -> taken.add(n.key())).orElse(Name.of("column_" + (i + 1) + "_"));
            boolean plain = own.filter(name::equals).isPresent();
            items.add(plain ? item : new Item(item.value(), Optional.of(name)));
            Expr value = new Expr.Column(
                    new QualifiedName(List.of(row, name)), false, item.value().span());
            assignments.add(
                    new CodeStatement.Assign(targets.get(i), value, item.value().span()));
        }
        return query.withBody(select.withItems(items));
    }
}
