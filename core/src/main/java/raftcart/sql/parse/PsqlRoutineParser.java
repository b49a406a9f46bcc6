package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.CodeStatement.ReturnRows;
import raftcart.sql.tree.CodeStatement.Timing;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.RoutineTraits;
import raftcart.sql.tree.RoutineTraits.Access;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TypeName;

/**
 * Reads functions, procedures and triggers of Firebird ("CREATE PROCEDURE", "CREATE FUNCTION", "CREATE TRIGGER"). A procedure
 * that suspends gives rows, which its callers read like those of a table. One whose body cannot be read is left to a person as
 * a whole.
 */
final class PsqlRoutineParser {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final RoutineHeads heads;

    PsqlRoutineParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.heads = new RoutineHeads(parsing);
    }

    /** Reads from the word for the kind of object on. */
    Statement create(boolean replace, Span span) {
        String kind = parsing.word().toLowerCase(Locale.ROOT);
        cursor.take();
        boolean trigger = kind.equals("trigger");
        return RoutineHeads.whole(
                cursor, kind, () -> trigger ? trigger(replace, span) : routine(replace, kind, span), span);
    }

    /** A block that runs where it stands: {@code EXECUTE BLOCK}. */
    Statement run(Span span) {
        return RoutineHeads.whole(cursor, "block of code", () -> block(span), span);
    }

    private Statement block(Span span) {
        cursor.expectWords("BLOCK");
        if (!cursor.takeWords("AS")) {
            throw cursor.byHand("a block that takes or gives values");
        }
        ColonVariables variables = new ColonVariables();
        PsqlParser code = new PsqlParser(variables.rest(parsing), List.of(), List.of());
        return new CodeStatement.RunBlock((Block) variables.named(code.body()), span);
    }

    private Statement routine(boolean replace, String kind, Span span) {
        QualifiedName name = parsing.qualifiedName();
        List<Parameter> in = parameters(Mode.IN);
        List<Parameter> out = List.of();
        Optional<TypeName> returns = Optional.empty();
        boolean deterministic = false;
        if (kind.equals("function")) {
            cursor.expectWords("RETURNS");
            returns = Optional.of(type());
            deterministic = cursor.takeWords("DETERMINISTIC");
        } else if (cursor.takeWords("RETURNS")) {
            out = parameters(Mode.OUT);
        }
        boolean definer = security();
        ColonVariables variables = new ColonVariables();
        List<Parameter> named = new ArrayList<>(variables.named(in));
        boolean rows = suspends();
        List<Parameter> columns = rows ? variables.asVariables(out) : List.of();
        if (!rows) {
            named.addAll(variables.named(out));
        }
        PsqlParser code = new PsqlParser(variables.rest(parsing), out, columns);
        Statement body = variables.named(code.body());
        boolean gives = StatementSearch.anyStatement(List.of(body), ReturnRows.class::isInstance);
        RoutineTraits traits = new RoutineTraits(deterministic, Access.UNSAID, definer, true, Optional.empty());
        return new CodeStatement.CreateRoutine(
                name, replace, named, returns, gives ? out : List.of(), traits, body, span);
    }

    /** True where a SUSPEND stands in what follows. */
    private boolean suspends() {
        for (int i = 0; ; i++) {
            if (cursor.peek(i).isWord("SUSPEND")) {
                return true;
            }
            if (cursor.peek(i).kind() == TokenKind.END) {
                return false;
            }
        }
    }

    private boolean security() {
        if (cursor.peek().isWord("EXTERNAL")) {
            throw cursor.byHand("code in another language");
        }
        boolean definer = false;
        if (cursor.takeWords("SQL", "SECURITY")) {
            definer = cursor.takeWords("DEFINER");
            cursor.takeWords("INVOKER");
        } else if (cursor.takeWords("AUTHID")) {
            definer = cursor.takeWords("OWNER");
            cursor.takeWords("CALLER");
        }
        cursor.expectWords("AS");
        return definer;
    }

    private List<Parameter> parameters(Mode mode) {
        return cursor.peek().isSymbol("(") ? heads.parameters(() -> parameter(mode)) : List.of();
    }

    private Parameter parameter(Mode mode) {
        var name = parsing.name();
        TypeName type = type();
        boolean given = cursor.takeSymbol("=") || cursor.takeWords("DEFAULT");
        Optional<Expr> initial = given ? Optional.of(parsing.expressions.expression()) : Optional.empty();
        return new Parameter(mode, name, type, initial);
    }

    private TypeName type() {
        return PsqlParser.type(parsing);
    }

    private Statement trigger(boolean replace, Span span) {
        QualifiedName name = parsing.qualifiedName();
        Optional<QualifiedName> table =
                cursor.takeWords("FOR") ? Optional.of(parsing.qualifiedName()) : Optional.empty();
        if (cursor.takeWords("INACTIVE")) {
            throw cursor.byHand("a trigger that is switched off");
        }
        cursor.takeWords("ACTIVE");
        if (cursor.peek().isWord("ON")) {
            throw cursor.byHand("a trigger of the database");
        }
        Timing timing = heads.timing();
        List<Event> events = heads.events(false);
        cursor.takeWords("ACTIVE");
        position();
        if (table.isEmpty()) {
            cursor.expectWords("ON");
            table = Optional.of(parsing.qualifiedName());
            position();
        }
        security();
        ColonVariables variables = new ColonVariables();
        Parsing inner = variables.rest(new TriggerRows(parsing).rest());
        Statement body = variables.named(new PsqlParser(inner, List.of(), List.of()).body());
        return new CodeStatement.CreateTrigger(
                name,
                replace,
                timing,
                events,
                table.get(),
                true,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                false,
                true,
                FiringEvents.asked(body, inner.cursor),
                span);
    }

    /** The place of a trigger among others, which is the first unless it is said. */
    private void position() {
        if (cursor.takeWords("POSITION") && parsing.wholeNumber().signum() != 0) {
            throw cursor.byHand("a trigger with a position among others");
        }
    }
}
