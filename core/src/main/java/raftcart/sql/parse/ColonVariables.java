package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;

/**
 * The names of a routine's variables where a colon tells them from columns inside of SQL, and may be left out elsewhere ("SQL
 * Stored Procedures", Teradata; "Procedural SQL Statements", Firebird): parameters get {@code p_} before them and all others
 * {@code v_}, so that no column can be meant.
 */
final class ColonVariables {
    /** What each statement sets, without being declared. */
    private static final Set<String> OF_STATEMENTS = Set.of("sqlstate", "sqlcode", "gdscode", "activity_count");

    private final Map<String, String> names = new HashMap<>();

    /** The parameters with the names that they get. */
    List<Parameter> named(List<Parameter> parameters) {
        return named(parameters, "p_");
    }

    /** The columns of the rows that a routine gives, as the variables that hold them. */
    List<Parameter> asVariables(List<Parameter> columns) {
        return named(columns, "v_");
    }

    private List<Parameter> named(List<Parameter> parameters, String prefix) {
        List<Parameter> named = new ArrayList<>();
        for (Parameter p : parameters) {
            String name = prefix + p.name().text();
            names.put(p.name().key(), name);
            named.add(new Parameter(p.mode(), Name.of(name), p.type(), p.initial()));
        }
        return named;
    }

    /** The rest of the text, in which declarations and what has a colon have their new names. */
    Parsing rest(Parsing parsing) {
        TokenCursor cursor = parsing.cursor;
        List<Token> tokens = new ArrayList<>();
        while (!cursor.atEnd()) {
            Token token = cursor.take();
            if (token.isWord("DECLARE") && parsing.has(GrammarFeature.PSQL_ROUTINES)) {
                cursor.takeWords("VARIABLE"); // which is no name there
            }
            boolean handler = cursor.peek(1).isWord("HANDLER");
            boolean other = cursor.peek(1).isAnyWord("CURSOR", "CONDITION", "SCROLL", "NO", "INSENSITIVE");
            boolean declares = token.isWord("DECLARE") && !handler && !other;
            tokens.add(isVariable(token) ? renamed(token, cursor) : token);
            while (declares) {
                Token name = cursor.take();
                String own = "v_" + name.value();
                names.put(name.value().toLowerCase(Locale.ROOT), own);
                tokens.add(new Token(TokenKind.WORD, own, own, name.span()));
                declares = cursor.peek().isSymbol(",");
                if (declares) {
                    tokens.add(cursor.take());
                }
            }
        }
        tokens.add(new Token(TokenKind.END, "", "", cursor.peek().span()));
        return new Parsing(new TokenCursor(tokens), parsing.grammar);
    }

    private static boolean isVariable(Token token) {
        return token.kind() == TokenKind.PARAMETER && token.text().matches(":[\\p{L}_].*");
    }

    private Token renamed(Token token, TokenCursor cursor) {
        String plain = token.text().substring(1);
        String name = names.get(plain.toLowerCase(Locale.ROOT));
        if (name == null && !cursor.peek().isSymbol(".")) {
            Span span = token.span();
            throw new SqlSyntaxException(span.line(), span.column(), token.text() + ", which is not declared", true);
        }
        String now = name == null ? plain : name; // the row of a loop has its own name
        return new Token(TokenKind.WORD, now, now, token.span());
    }

    /** The body, in which names without a colon that are no columns mean variables. */
    Statement named(Statement body) {
        return new Bare().statement(body);
    }

    /** Goes through what is no SQL. */
    private final class Bare extends StatementMapper {
        private int queries;

        @Override
        public Statement statement(Statement statement) {
            if (statement instanceof Statement.CallProcedure call
                    && call.arguments().size() == 1) {
                boolean runs = call.name().parts().size() == 2
                        && call.name().toString().equalsIgnoreCase("dbc.sysexecsql");
                if (runs) {
                    return new CodeStatement.Dynamic(expr(call.arguments().get(0)), List.of(), List.of(), call.span());
                }
            }
            boolean sql = statement instanceof Statement.Dml && !(statement instanceof Statement.CallProcedure);
            queries += sql ? 1 : 0;
            Statement named = super.statement(statement);
            queries -= sql ? 1 : 0;
            return named;
        }

        @Override
        public Query query(Query query) {
            queries++;
            Query named = super.query(query);
            queries--;
            return named;
        }

        @Override
        public Expr expr(Expr e) {
            if (queries > 0
                    || !(e instanceof Expr.Column column)
                    || column.name().parts().size() > 1) {
                return super.expr(e);
            }
            String key = column.name().last().key();
            if (OF_STATEMENTS.contains(key) && !names.containsKey(key)) {
                throw new SqlSyntaxException(
                        e.span().line(), e.span().column(), "a variable that each statement sets", true);
            }
            String name = names.get(key);
            if (name == null && key.equals("row_count")) {
                return new Expr.Call(column.name(), false, List.of(), CallSuffix.NONE, e.span());
            }
            return name == null ? e : new Expr.Column(QualifiedName.of(name), false, e.span());
        }
    }
}
