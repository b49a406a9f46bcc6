package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Transaction;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.Truth;

/** Errors in T-SQL: how they are raised, asked for and survived ("RAISERROR", "THROW", "@@ERROR", "SET XACT_ABORT"). */
final class TsqlErrors {
    /** The state of an error without a number of its own, which T-SQL gives the number 50000. */
    private static final String PLAIN = "U0000";

    private static final int FIRST_OWN = 50_000;
    private static final int LAST_OWN = 59_999;

    /** Up to this severity a message is no error ("RAISERROR", severity). */
    private static final int HARMLESS = 10;

    private static final Pattern PLACE = Pattern.compile("%(?:%|[-+ #0]*\\d*(?:ld|i64d|[sdiu]))");

    /** Settings under which every statement runs on other engines anyway, and what they say without meaning. */
    private static final List<String> USUAL = List.of(
            "NOCOUNT ON",
            "NOCOUNT OFF",
            "ANSI_NULLS ON",
            "QUOTED_IDENTIFIER ON",
            "ANSI_WARNINGS ON",
            "ANSI_PADDING ON",
            "ARITHABORT ON",
            "CONCAT_NULL_YIELDS_NULL ON",
            "NUMERIC_ROUNDABORT OFF",
            "ANSI_NULL_DFLT_ON ON",
            "FMTONLY OFF",
            "TRANSACTION ISOLATION LEVEL READ UNCOMMITTED",
            "TRANSACTION ISOLATION LEVEL READ COMMITTED");

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final boolean ofTrigger;
    private boolean endsAtErrors;

    /**
     * For one routine.
     *
     * @param endsAtErrors true where a statement that fails ends it
     * @param ofTrigger true where it runs within the change that fired it
     */
    TsqlErrors(Parsing parsing, boolean endsAtErrors, boolean ofTrigger) {
        this.ofTrigger = ofTrigger;
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.endsAtErrors = endsAtErrors;
    }

    /** A setting, of which only those are taken that other engines have anyway. */
    void setting() {
        List<String> names = new ArrayList<>();
        do {
            StringBuilder name = new StringBuilder();
            while (name.length() < 80
                    && cursor.peek().kind() == TokenKind.WORD
                    && !cursor.peek().isAnyWord("ON", "OFF")
                    && (name.isEmpty() || !Keywords.startsStatement(cursor.peek()))
                    && !name.toString().endsWith("COMMITTED")) {
                name.append(name.isEmpty() ? "" : " ").append(parsing.word());
                cursor.take();
            }
            names.add(name.toString());
        } while (cursor.takeSymbol(","));
        String value = cursor.peek().isAnyWord("ON", "OFF") ? " " + parsing.word() : "";
        if (!value.isEmpty()) {
            cursor.take();
        }
        for (String name : names) {
            if (name.equals("XACT_ABORT") && value.equals(" ON")) {
                endsAtErrors = true;
            } else if (!USUAL.contains(name + value)) {
                throw cursor.byHand("the setting " + name + value);
            }
        }
    }

    /** {@code RAISERROR('text', 16, 1, values)}: a message, or an error. */
    Statement raised(Span span) {
        cursor.take();
        cursor.expectSymbol("(");
        List<Expr> given = parsing.expressions.list();
        cursor.expectSymbol(")");
        if (cursor.takeWords("WITH")) {
            parsing.list(parsing::name);
        }
        if (given.size() < 3 || given.get(0) instanceof Expr.Literal l && l.kind() == LiteralKind.NUMBER) {
            throw cursor.byHand("an error by its number alone");
        }
        Expr message = filled(given.get(0), given.subList(3, given.size()));
        boolean harmless = given.get(1) instanceof Expr.Literal severity && number(severity) <= HARMLESS;
        return harmless
                ? new CodeStatement.Message(message, span)
                : new CodeStatement.Signal(Optional.of(PLAIN), Optional.of(message), List.of(), span);
    }

    private static long number(Expr.Literal literal) {
        return literal.text().matches("\\d{1,9}") ? Long.parseLong(literal.text()) : Long.MAX_VALUE;
    }

    /** A text whose places are filled; NULL shows as such. */
    private Expr filled(Expr text, List<Expr> values) {
        if (!(text instanceof Expr.Literal literal) || literal.kind() != LiteralKind.STRING) {
            if (!values.isEmpty()) {
                throw cursor.byHand("an error with a computed text and values for its places");
            }
            return text;
        }
        List<Expr> parts = new ArrayList<>();
        Matcher place = PLACE.matcher(literal.text());
        int at = 0;
        int next = 0;
        while (place.find()) {
            String between = literal.text().substring(at, place.start());
            at = place.end();
            if (place.group().equals("%%")) {
                parts.add(Expr.Literal.string(between + "%"));
                continue;
            }
            if (next >= values.size() || !place.group().matches("%[sdiu]")) {
                throw cursor.byHand("the text of an error with the place " + place.group());
            }
            parts.add(Expr.Literal.string(between));
            Expr value = values.get(next++);
            parts.add(Expr.Call.of(
                            "coalesce", Expr.Call.of("text_of", value).at(value.span()), Expr.Literal.string("(null)"))
                    .at(value.span()));
        }
        parts.add(Expr.Literal.string(literal.text().substring(at)));
        List<Expr> all = parts.stream()
                .filter(p -> !(p instanceof Expr.Literal l && l.text().isEmpty()))
                .toList();
        return all.isEmpty() ? text : all.size() == 1 ? all.get(0) : new Expr.Concat(all, false, text.span());
    }

    /** THROW, of an error of one's own or again of the one at hand. */
    Statement thrown(Span span) {
        cursor.take();
        if (cursor.atEnd() || cursor.peek().isSymbol(";") || cursor.peek().isAnyWord("END", "ELSE")) {
            return new CodeStatement.Signal(Optional.empty(), Optional.empty(), List.of(), span);
        }
        Token number = cursor.take();
        boolean known = number.kind() == TokenKind.NUMBER && number.text().matches("5\\d{4}");
        if (!known) {
            throw cursor.byHand("an error whose number is none from " + FIRST_OWN + " to " + LAST_OWN);
        }
        cursor.expectSymbol(",");
        Expr message = parsing.expressions.expression();
        cursor.expectSymbol(",");
        parsing.expressions.expression();
        return new CodeStatement.Signal(
                Optional.of("U" + number.text().substring(1)), Optional.of(message), List.of(), span);
    }

    /** What CATCH does, with the ROLLBACK first that stands behind what only remembers the error. */
    List<Statement> caught(List<Statement> body) {
        List<Statement> all = new ArrayList<>();
        for (Statement statement : body) {
            all.add(asked(statement));
        }
        for (int i = 1; i < all.size(); i++) {
            boolean remembers = all.subList(0, i).stream()
                    .allMatch(s -> s instanceof CodeStatement.Assign || s instanceof CodeStatement.Nothing);
            if (remembers && isRollback(all.get(i))) {
                all.add(0, all.remove(i));
            }
        }
        boolean ends = ofTrigger
                && all.stream().anyMatch(TsqlErrors::isRollback)
                && all.stream().noneMatch(CodeStatement.Signal.class::isInstance);
        if (ends) {
            all.add(endOfTransaction(Span.NONE));
        }
        return all;
    }

    private static boolean isRollback(Statement statement) {
        return statement instanceof Transaction t && t.kind() == Transaction.Kind.ROLLBACK;
    }

    /** Makes functions of ours of those that ask for the error at hand, which is there in CATCH only. */
    private Statement asked(Statement statement) {
        return new StatementMapper() {
            @Override
            public Expr expr(Expr e) {
                return e instanceof Expr.Call call && call.function().matches("error_\\w+")
                        ? call.with(call.function(), List.of())
                        : super.expr(e);
            }
        }.statement(statement);
    }

    /** A choice without questions that have one answer where an error ends the routine. */
    Statement choice(CodeStatement.If choice) {
        Expr condition = choice.choices().get(0).condition();
        List<Statement> body = choice.choices().get(0).body();
        boolean open = asksOnly(condition, "@@trancount") || asksForOpen(condition);
        if (open && body.size() == 1 && choice.otherwise().isEmpty() && body.get(0) instanceof Transaction) {
            return body.get(0);
        }
        boolean guarded = condition instanceof Expr.Is given
                && given.truth() == Truth.NULL
                && given.negated()
                && given.value() instanceof Expr.Call call
                && call.function().equals("object_id")
                && body.size() == 1
                && choice.otherwise().isEmpty();
        if (guarded && body.get(0) instanceof DdlStatement.Drop d) {
            return new DdlStatement.Drop(d.kind(), d.names(), true, d.cascade(), d.table(), d.temporary(), d.span());
        }
        boolean failed = asksOnly(condition, "@@error")
                && condition instanceof Expr.Binary b
                && (b.operator() == BinaryOperator.NOT_EQUAL || b.operator() == BinaryOperator.GREATER)
                && b.right() instanceof Expr.Literal zero
                && zero.text().equals("0");
        return failed ? CodeStatement.Block.of(choice.otherwise(), choice.span()) : choice;
    }

    /** True for a comparison of this with a number. */
    private static boolean asksOnly(Expr condition, String name) {
        return condition instanceof Expr.Binary b && b.right() instanceof Expr.Literal && name.equals(name(b.left()));
    }

    /** True for the question for an open transaction; for one that can only be rolled back where each error makes it so. */
    private boolean asksForOpen(Expr condition) {
        return condition instanceof Expr.Binary b
                && name(b.left()).equals("xact_state")
                && (b.operator() == BinaryOperator.NOT_EQUAL || endsAtErrors && b.operator() == BinaryOperator.EQUAL);
    }

    private static String name(Expr e) {
        return e instanceof Expr.Parameter p
                ? p.text().toLowerCase(Locale.ROOT)
                : e instanceof Expr.Call c ? c.function() : "";
    }

    /** The statements with calls in the place of the engine's variables. */
    List<Statement> read(List<Statement> all) {
        return all.stream()
                .map(s -> new StatementMapper() {
                    @Override
                    public Expr expr(Expr e) {
                        String name = e instanceof Expr.Parameter ? name(e) : "";
                        return switch (name) {
                            case "@@rowcount" -> ofStatement("%rowcount", e.span());
                            case "@@fetch_status" -> ofStatement("%fetch", e.span());
                            default -> {
                                boolean outside = e instanceof Expr.Call c
                                        && !c.canonical()
                                        && c.function().matches("error_\\w+|xact_state");
                                if (outside) {
                                    throw new SqlSyntaxException(
                                            e.span().line(),
                                            e.span().column(),
                                            name(e).toUpperCase(Locale.ROOT)
                                                    + ", asked outside of CATCH or for more than whether to roll back",
                                            true);
                                }
                                yield super.expr(e);
                            }
                        };
                    }
                }.statement(s))
                .toList();
    }

    private static Expr ofStatement(String what, Span span) {
        return new Expr.Call(QualifiedName.of(what), false, List.of(Expr.Column.of("sql")), CallSuffix.NONE, span);
    }

    /** True where statements behind one that fails are done on the source, and not where an error ends the routine. */
    boolean goesOn(List<Statement> body) {
        List<Statement> outside = new StatementMapper() {
            @Override
            public Statement statement(Statement statement) {
                return isTry(statement) ? new CodeStatement.Nothing(Span.NONE) : super.statement(statement);
            }
        }.statements(body);
        return changes(outside) > 1 && !endsAtErrors;
    }

    /** How many changes one run makes at most; 2 stands for more, too. */
    private static int changes(List<Statement> body) {
        return Math.min(2, body.stream().mapToInt(TsqlErrors::changes).sum());
    }

    private static int changes(Statement statement) {
        if (statement instanceof CodeStatement.If choice) {
            return Math.max(changes(choice.choices().get(0).body()), changes(choice.otherwise()));
        }
        if (statement instanceof CodeStatement.Block block) {
            return changes(block.body());
        }
        boolean again = statement instanceof CodeStatement.Loop || statement instanceof CodeStatement.ForRows;
        boolean works = StatementSearch.anyStatement(
                List.of(statement), s -> s instanceof Statement.Dml && !(s instanceof Statement.QueryStatement));
        return works ? again ? 2 : 1 : 0;
    }

    /** A trigger that rolls back ends in an error, which undoes the change that fired it, too. */
    private static Statement endOfTransaction(Span span) {
        Expr text = Expr.Literal.string("The transaction ended in the trigger.");
        return new CodeStatement.Signal(Optional.of(PLAIN), Optional.of(text), List.of(), span);
    }

    private static boolean isTry(Statement statement) {
        return statement instanceof CodeStatement.Block b && !b.handlers().isEmpty();
    }

    /** Statements in which errors say whether anything follows on them, as RAISERROR outside of TRY does not leave a routine. */
    List<Statement> followed(List<Statement> body, boolean more) {
        List<Statement> all = new ArrayList<>();
        for (int i = 0; i < body.size(); i++) {
            Statement statement = body.get(i);
            boolean left = all.stream().anyMatch(CodeStatement.Signal.class::isInstance)
                    || i + 1 < body.size() && body.get(i + 1) instanceof CodeStatement.Signal;
            if (ofTrigger && isRollback(statement)) {
                if (!left) {
                    all.add(endOfTransaction(((Transaction) statement).span()));
                }
                continue;
            }
            int next = i + 1;
            boolean undone = false;
            while (next < body.size() && isRollback(body.get(next))) {
                undone = true;
                next++;
            }
            undone |= i > 0 && isRollback(body.get(i - 1));
            boolean follows =
                    ofTrigger ? !undone : next < body.size() ? !(body.get(next) instanceof CodeStatement.Return) : more;
            all.add(marked(statement, follows));
        }
        return all;
    }

    private Statement marked(Statement statement, boolean follows) {
        if (statement instanceof CodeStatement.Signal signal) {
            boolean plain = signal.state().filter(PLAIN::equals).isPresent();
            return plain && follows ? signal.goingOn() : signal;
        }
        if (statement instanceof CodeStatement.If choice) {
            Choice first = choice.choices().get(0);
            return new CodeStatement.If(
                    List.of(new Choice(first.condition(), followed(first.body(), follows))),
                    followed(choice.otherwise(), follows),
                    choice.span());
        }
        return statement instanceof CodeStatement.Loop loop
                ? new CodeStatement.Loop(
                        loop.label(), loop.before(), loop.after(), followed(loop.body(), true), loop.span())
                : statement;
    }
}
