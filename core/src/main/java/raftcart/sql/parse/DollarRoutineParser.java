package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Lexer;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.ChangedRows;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.CodeStatement.Timing;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.RoutineTraits;
import raftcart.sql.tree.RoutineTraits.Access;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.Truth;
import raftcart.sql.tree.TypeName;

/**
 * Reads functions, procedures and triggers whose bodies are texts in a language that is named ("CREATE FUNCTION", "CREATE
 * TRIGGER", PostgreSQL). One whose body cannot be read is left to a person as a whole, for the reason and at the place where
 * reading ended.
 */
final class DollarRoutineParser {
    private static final String LANGUAGE = "plpgsql";
    private static final String QUERIES = "sql";
    /** Where names without a schema are looked up if nothing is said. */
    private static final String USUAL = "public";

    /** What a search_path may name besides schemas with tables of one's own. */
    private static final Set<String> BESIDE = Set.of("pg_catalog", "pg_temp", "$user", "");

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final RoutineHeads heads;
    private final Set<String> path = new TreeSet<>();
    private Optional<Token> body = Optional.empty();
    private String language = "";
    private boolean immutable;
    private boolean stable;
    private boolean strict;
    private boolean columnsFirst;
    private boolean definer;
    private final Map<String, Expr> aliases = new HashMap<>();
    private int places;

    DollarRoutineParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.heads = new RoutineHeads(parsing);
    }

    /** Reads from the word for the kind of object on. */
    Statement create(boolean replace, Span span) {
        int mark = cursor.mark();
        cursor.takeWords("CONSTRAINT");
        String kind = parsing.word().toLowerCase(Locale.ROOT);
        try {
            cursor.take();
            Statement read = kind.equals("trigger") ? trigger(replace, span) : routine(replace, kind, span);
            if (!cursor.atEnd() && !cursor.peek().isSymbol(";")) {
                throw cursor.unexpected("the end of the " + kind);
            }
            return read;
        } catch (SqlSyntaxException e) {
            cursor.reset(mark);
            boolean atomic = false; // statements of the standard, which hold semicolons, end with the text
            while (!cursor.atEnd() && (atomic || !cursor.peek().isSymbol(";"))) {
                atomic |= cursor.take().isWord("ATOMIC");
            }
            return RoutineHeads.left(kind, e, span);
        }
    }

    private Statement routine(boolean replace, String kind, Span span) {
        QualifiedName name = parsing.qualifiedName();
        List<Parameter> given = heads.parameters(this::parameter);
        RoutineResult result = RoutineResult.read(parsing, kind.equals("function"), given);
        List<Parameter> parameters = result.parameters();
        while (trait()) {
            continue;
        }
        if (path.size() > 1) {
            throw cursor.byHand("names that are looked up in " + String.join(", ", path));
        }
        Optional<Name> lookup =
                path.stream().filter(n -> !n.equals(USUAL)).map(Name::of).findFirst();
        boolean queries = language.equals(QUERIES);
        if (!language.equals(LANGUAGE) && !queries) {
            throw cursor.byHand("the language " + language);
        }
        if (body.isEmpty()) {
            throw cursor.unexpected("AS and the body");
        }
        Statement read = queries ? new QueryRoutine(inner(body.get())).body(result, span) : code(body.get());
        Statement code = named(result.giving(read), given);
        Access access = immutable ? Access.NONE : stable ? Access.READS : Access.UNSAID;
        RoutineTraits traits =
                new RoutineTraits(immutable || stable, access, definer, columnsFirst, Optional.empty(), lookup, false);
        Statement guarded = strict ? guarded(code, parameters, span) : code;
        return new CodeStatement.CreateRoutine(
                name, replace, parameters, result.returns(), result.rows(), traits, guarded, span);
    }

    /** A function that is not called with NULL gives NULL. */
    private static Statement guarded(Statement code, List<Parameter> parameters, Span span) {
        List<Expr> asked = new ArrayList<>();
        for (Parameter p : parameters) {
            Expr column = new Expr.Column(new QualifiedName(List.of(p.name())), false, span);
            asked.add(new Expr.Is(column, Truth.NULL, false, span));
        }
        if (asked.isEmpty()) {
            return code;
        }
        Expr none = asked.size() == 1 ? asked.get(0) : new Expr.Junction(false, asked, span);
        Statement end = new CodeStatement.Return(Optional.of(Expr.Literal.ofNull()), span);
        Statement guard = new CodeStatement.If(List.of(new CodeStatement.Choice(none, List.of(end))), List.of(), span);
        CodeStatement.Block block = (CodeStatement.Block) code;
        List<Statement> all = new ArrayList<>(List.of(guard));
        all.addAll(block.body());
        return block.withBody(all);
    }

    private Parameter parameter() {
        if (cursor.peek().isWord("VARIADIC")) {
            throw cursor.byHand("a parameter that takes several values");
        }
        Mode mode = heads.mode();
        boolean unnamed = isTypeOfWords()
                || cursor.peek(1).isSymbol("[")
                || cursor.peek(1).isSymbol(",")
                || cursor.peek(1).isSymbol(")")
                || cursor.peek(1).isSymbol("(");
        places++;
        Name name = unnamed ? Name.of("p" + places + "_") : parsing.name();
        TypeName type = AnchoredTypes.read(parsing);
        boolean usual = cursor.takeWords("DEFAULT") || cursor.takeSymbol("=") || cursor.takeSymbol(":=");
        Optional<Expr> initial = usual ? Optional.of(parsing.expressions.expression()) : Optional.empty();
        return new Parameter(mode, name, type, initial);
    }

    /** True where the name of a type of several words stands next. */
    private boolean isTypeOfWords() {
        return cursor.atWords("DOUBLE", "PRECISION")
                || cursor.peek().isAnyWord("CHARACTER", "CHAR", "BIT")
                        && cursor.peek(1).isWord("VARYING")
                || cursor.peek().isAnyWord("TIMESTAMP", "TIME")
                        && cursor.peek(1).isAnyWord("WITH", "WITHOUT");
    }

    /** One of the things that a routine says of itself, in any order. */
    private boolean trait() {
        if (cursor.takeWords("LANGUAGE")) {
            language = cursor.take().value().toLowerCase(Locale.ROOT);
        } else if (cursor.takeWords("IMMUTABLE")) {
            immutable = true;
        } else if (cursor.takeWords("STABLE")) {
            stable = true;
        } else if (cursor.takeWords("STRICT") || cursor.takeWords("RETURNS", "NULL", "ON", "NULL", "INPUT")) {
            strict = true;
        } else if (cursor.takeWords("SECURITY", "DEFINER") || cursor.takeWords("EXTERNAL", "SECURITY", "DEFINER")) {
            definer = true;
        } else if (cursor.takeWords("SET")) {
            setting();
        } else if (cursor.takeWords("AS")) {
            body = Optional.of(cursor.take());
        } else {
            return plain();
        }
        return true;
    }

    /** What says nothing of the meaning. */
    private boolean plain() {
        if (cursor.takeAny("COST", "ROWS", "PARALLEL", "SUPPORT")) {
            cursor.take();
            return true;
        }
        return cursor.takeWords("VOLATILE")
                || cursor.takeWords("CALLED", "ON", "NULL", "INPUT")
                || cursor.takeWords("SECURITY", "INVOKER")
                || cursor.takeWords("NOT", "LEAKPROOF")
                || cursor.takeWords("LEAKPROOF");
    }

    private void setting() {
        if (!cursor.takeWords("SEARCH_PATH")) {
            throw cursor.byHand("a setting of the routine");
        }
        if (!cursor.takeSymbol("=")) {
            cursor.expectWords("TO");
        }
        do {
            String schema =
                    cursor.peek().isString() ? parsing.string() : parsing.name().key();
            if (!BESIDE.contains(schema)) {
                path.add(schema);
            }
        } while (cursor.takeSymbol(","));
    }

    /** The body with its parameters called by their names, and not by their places. */
    private Statement named(Statement code, List<Parameter> parameters) {
        return new StatementMapper() {
            @Override
            public Expr expr(Expr e) {
                boolean alias = e instanceof Expr.Column c
                        && c.name().parts().size() == 1
                        && aliases.containsKey(c.name().last().key());
                if (alias) {
                    return expr(aliases.get(((Expr.Column) e).name().last().key()));
                }
                if (!(e instanceof Expr.Parameter p)) {
                    return super.expr(e);
                }
                int place = p.text().matches("[$][1-9]\\d?")
                        ? Integer.parseInt(p.text().substring(1))
                        : 0;
                if (place < 1 || place > parameters.size()) {
                    throw cursor.byHand("the value " + p.text());
                }
                return new Expr.Column(
                        new QualifiedName(List.of(parameters.get(place - 1).name())), false, p.span());
            }
        }.statement(code);
    }

    /** Code that runs at once ("DO", PostgreSQL). */
    Statement block(Span span) {
        cursor.take();
        while (!cursor.atEnd() && !cursor.peek().isSymbol(";")) {
            if (cursor.takeWords("LANGUAGE")) {
                language = cursor.take().value().toLowerCase(Locale.ROOT);
            } else {
                body = Optional.of(cursor.take());
            }
        }
        if (body.isEmpty() || !language.isEmpty() && !language.equals(LANGUAGE)) {
            return new Statement.NotTranslated("block of code", true, span);
        }
        try {
            Statement code = named(code(body.get()), List.of());
            return new CodeStatement.RunBlock(
                    code instanceof CodeStatement.Block b ? b : CodeStatement.Block.of(List.of(code), span), span);
        } catch (SqlSyntaxException e) {
            return RoutineHeads.left("block", e, span);
        }
    }

    /** The statements of a body, which is a text in the text. */
    private Statement code(Token text) {
        PlCodeParser parser = new PlCodeParser(inner(text));
        Statement body = parser.body();
        aliases.putAll(parser.aliases());
        columnsFirst = parser.columnsFirst();
        return body;
    }

    private Parsing inner(Token text) {
        if (text.kind() != TokenKind.STRING) {
            throw cursor.unexpected("the body as a text");
        }
        int quote = Math.max(0, text.text().indexOf(text.value()));
        Lexer lexer = new Lexer(
                text.value(),
                parsing.grammar.lexical(),
                text.span().line(),
                text.span().column() + quote);
        List<Token> tokens = new ArrayList<>();
        for (Token token = lexer.next(); ; token = lexer.next()) {
            if (token.kind() != TokenKind.COMMENT && token.kind() != TokenKind.HINT) {
                tokens.add(token);
            }
            if (token.kind() == TokenKind.END) {
                break;
            }
        }
        return new Parsing(new TokenCursor(tokens), parsing.grammar);
    }

    /** The rows of the statement as tables; one that is not named is called so that no query can mean it. */
    private Optional<ChangedRows> changedRows() {
        if (!cursor.takeWords("REFERENCING")) {
            return Optional.empty();
        }
        Name before = Name.of("old_rows_");
        Name after = Name.of("new_rows_");
        while (cursor.peek().isAnyWord("OLD", "NEW")) {
            boolean old = cursor.take().isWord("OLD");
            cursor.expectWords("TABLE");
            cursor.takeWords("AS");
            Name name = parsing.name();
            before = old ? name : before;
            after = old ? after : name;
        }
        return Optional.of(new ChangedRows(before, after));
    }

    private Statement trigger(boolean replace, Span span) {
        QualifiedName name = parsing.qualifiedName();
        Timing timing = cursor.takeWords("BEFORE")
                ? Timing.BEFORE
                : cursor.takeWords("INSTEAD", "OF") ? Timing.INSTEAD : Timing.AFTER;
        if (timing == Timing.AFTER) {
            cursor.expectWords("AFTER");
        }
        List<Event> events = heads.events(true);
        cursor.expectWords("ON");
        QualifiedName table = parsing.qualifiedName();
        if (cursor.peek().isAnyWord("FROM", "DEFERRABLE", "NOT", "INITIALLY")) {
            throw cursor.byHand("a trigger with " + parsing.word());
        }
        Optional<ChangedRows> rows = changedRows();
        boolean said = cursor.takeWords("FOR");
        cursor.takeWords("EACH");
        boolean eachRow = said && cursor.takeWords("ROW");
        if (said && !eachRow) {
            cursor.expectWords("STATEMENT");
        }
        Optional<Expr> when = Optional.empty();
        if (cursor.takeWords("WHEN")) {
            cursor.expectSymbol("(");
            when = Optional.of(parsing.expressions.expression());
            cursor.expectSymbol(")");
        }
        cursor.expectWords("EXECUTE");
        cursor.takeAny("FUNCTION", "PROCEDURE");
        QualifiedName function = parsing.qualifiedName();
        cursor.expectSymbol("(");
        if (!cursor.peek().isSymbol(")")) {
            throw cursor.byHand("a trigger with arguments");
        }
        cursor.expectSymbol(")");
        Statement body = new Statement.CallProcedure(function, List.of(), span);
        return new CodeStatement.CreateTrigger(
                name, replace, timing, events, table, eachRow, rows, when, Optional.empty(), false, false, body, span);
    }
}
