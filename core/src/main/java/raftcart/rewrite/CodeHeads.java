package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.finding.FindingCode;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.rewrite.KnownCode.KnownPackage;
import raftcart.sql.Span;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprSearch;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementSearch;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** What routines say of themselves before their bodies: parameters, results, and where they look up names. */
final class CodeHeads {
    private final CodeAdapter code;
    private final QueryAdapter adapter;

    CodeHeads(CodeAdapter code) {
        this.code = code;
        this.adapter = code.adapter();
    }

    /** Remembers what a routine takes and gives, where that does not hang on the types of columns. */
    void know(CodeStatement.CreateRoutine routine) {
        routine.returns()
                .filter(t -> !t.name().contains("%"))
                .ifPresent(
                        t -> adapter.knowledge.code().signatures().addResult(routine.name(), adapter.finder.type(t)));
        if (new ResultSets(adapter.from).areGiven(routine)
                || !routine.rows().isEmpty() && CodeWay.of(adapter.from, adapter.to) == CodeWay.TO_RESCUES) {
            adapter.knowledge.code().signatures().addRows(routine.name());
        }
        if (!routine.rows().isEmpty() && CodeWay.of(adapter.from, adapter.to) == CodeWay.TO_HANDLERS) {
            adapter.knowledge.code().signatures().addProcedure(routine.name(), isOfValues(routine.rows()));
            RowFunctions.of(routine)
                    .ifPresent(q -> adapter.knowledge.code().signatures().addQuery(routine.name(), q));
        }
        boolean plain =
                routine.parameters().stream().noneMatch(p -> p.type().name().contains("%"));
        if (plain) {
            adapter.knowledge
                    .code()
                    .signatures()
                    .add(
                            routine.name(),
                            routine.parameters().stream()
                                    .map(p -> new KnownSignatures.Taken(
                                            p.name(), p.mode(), p.type(), adapter.finder.type(p.type()), p.initial()))
                                    .toList());
        }
    }

    private boolean isOfValues(List<CodeStatement.Parameter> rows) {
        TypeName type = rows.get(0).type();
        return rows.size() == 1
                && rows.get(0).name().text().isEmpty()
                && !type.name().equals("record")
                && adapter.knowledge
                        .table(QualifiedName.of(type.name().split("\\.")))
                        .isEmpty();
    }

    /** What is known while a routine is adapted. */
    CodeFrame frame(CodeStatement.CreateRoutine routine) {
        boolean gives = gives(routine);
        Optional<KnownColumn> result =
                routine.returns().map(t -> code.known(routine.name().last(), t));
        boolean procedure = routine.returns().isEmpty();
        CodeFrame.Kind kind = procedure ? CodeFrame.Kind.PROCEDURE : CodeFrame.Kind.FUNCTION;
        boolean perhaps = procedure && !gives && routine.rows().isEmpty();
        CodeFrame frame = new CodeFrame(perhaps ? CodeFrame.Kind.PERHAPS_OF_ROWS : kind, routine.body(), result);
        frame.give(routine.rows().stream()
                .map(r -> new CodeStatement.Parameter(
                        r.mode(), r.name(), code.written(r.name(), code.types().type(r.type())), Optional.empty()))
                .toList());
        return frame;
    }

    /** The parameters; behind one that may be left out all others may, as the target wants it. */
    List<CodeStatement.Parameter> written(CodeStatement.CreateRoutine routine) {
        if (routine.traits().goesOn()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    routine.span(),
                    "a statement that fails ends the routine, on the source the next one follows");
        }
        boolean hands = routine.returns().filter(CodeResults.CURSOR::equals).isPresent()
                || routine.parameters().stream().anyMatch(p -> p.type().equals(CodeResults.CURSOR));
        if (hands) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    routine.span(),
                    "a cursor for the caller, who has to fetch from it within the same transaction");
        }
        List<CodeStatement.Parameter> all = new ArrayList<>();
        boolean optional = false;
        for (CodeStatement.Parameter p : withoutDefaults(routine.parameters())) {
            boolean added = optional && p.initial().isEmpty() && p.mode() != CodeStatement.Mode.OUT;
            if (added) {
                adapter.note(
                        FindingCode.SYNTAX_CHECK,
                        routine.span(),
                        p.name().text() + " may be left out, as parameters before it may be");
            }
            optional |= p.initial().isPresent();
            all.add(new CodeStatement.Parameter(
                    p.mode(),
                    p.name(),
                    code.written(p.name(), code.types().wide(code.types().type(p.type()))),
                    added
                            ? Optional.of(Expr.Literal.ofNull())
                            : p.initial().map(i -> new ValueAdapter(adapter)
                                    .forColumn(i, Optional.of(code.known(p.name(), p.type()))))));
        }
        return all;
    }

    /** Defaults go where something that gives a value stands behind one ("CREATE PROCEDURE", PostgreSQL). */
    private List<CodeStatement.Parameter> withoutDefaults(List<CodeStatement.Parameter> parameters) {
        boolean given = false;
        boolean behind = false;
        for (CodeStatement.Parameter p : parameters) {
            behind |= given && p.mode() == CodeStatement.Mode.OUT;
            given |= p.initial().isPresent();
        }
        if (!behind) {
            return parameters;
        }
        parameters.forEach(this::sayDefault);
        return parameters.stream()
                .map(p -> new CodeStatement.Parameter(p.mode(), p.name(), p.type(), Optional.empty()))
                .toList();
    }

    /** Says that time stands still for a routine which asks for the present more than once. */
    void sayPresent(Block body, Span span) {
        int[] asked = new int[1];
        StatementSearch.anyStatement(List.of(body), s -> {
            boolean again = s instanceof CodeStatement.Loop loop
                    && Stream.concat(loop.before().stream(), loop.after().stream())
                            .anyMatch(c -> ExprSearch.any(c, Expr.CurrentTime.class::isInstance));
            boolean assigns = s instanceof CodeStatement.Assign a
                    && ExprSearch.any(a.value(), Expr.CurrentTime.class::isInstance);
            asked[0] += again ? 2 : assigns ? 1 : 0;
            return false;
        });
        if (asked[0] > 1 && code.frame().kind.isProcedure()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    span,
                    "the present is that of the beginning of the transaction, on the source it goes on");
        }
    }

    private static boolean gives(CodeStatement.CreateRoutine routine) {
        boolean gives = routine.parameters().stream().anyMatch(p -> p.mode() != CodeStatement.Mode.IN);
        if (gives && routine.returns().isPresent()) {
            throw CodeAdapter.at(routine.span(), "a function with output parameters");
        }
        return gives;
    }

    /** The schema in which the names in a routine are looked up. */
    Optional<Name> lookup(CodeStatement.CreateRoutine routine, Optional<KnownPackage> of) {
        List<Name> qualifier = routine.name().qualifier();
        return of.isPresent()
                ? of.get().schema()
                : qualifier.isEmpty() ? Optional.empty() : Optional.of(usual(qualifier.get(qualifier.size() - 1)));
    }

    /** A schema; the source's usual one becomes the target's. */
    private Name usual(Name schema) {
        boolean usual = schema.text().equalsIgnoreCase(adapter.from.defaultSchema())
                && !adapter.to.defaultSchema().isEmpty();
        return usual ? Name.of(adapter.to.defaultSchema()) : schema;
    }

    /** A parameter has no digits after the point but those of its type, which the target's parameters do not see to. */
    List<Statement> rounded(List<CodeStatement.Parameter> given, List<CodeStatement.Parameter> written) {
        List<Statement> first = new ArrayList<>();
        for (int i = 0; i < given.size(); i++) {
            boolean digits = code.types().type(given.get(i).type()) instanceof LogicalType.Decimal d
                    && d.precision() > 0
                    && given.get(i).mode() != CodeStatement.Mode.OUT;
            if (digits) {
                Expr name =
                        new Expr.Column(new QualifiedName(List.of(given.get(i).name())), false, Span.NONE);
                Expr cast = new Expr.Cast(name, written.get(i).type(), false, Span.NONE);
                first.add(new CodeStatement.Assign(name, cast, Span.NONE));
            }
        }
        return first;
    }

    /** Says that a parameter has no default on the target. */
    void sayDefault(CodeStatement.Parameter parameter) {
        parameter
                .initial()
                .ifPresent(i -> adapter.note(
                        FindingCode.SYNTAX_CHECK,
                        i.span(),
                        "the parameter " + parameter.name().text() + " has no default: a call has to pass its value"));
    }

    /** True for a name that may be that of the routine: in another schema there may be another one. */
    static boolean isOf(QualifiedName called, QualifiedName routine) {
        boolean apart = called.parts().size() > 1
                && routine.parts().size() > 1
                && !called.parts()
                        .get(called.parts().size() - 2)
                        .matches(routine.parts().get(routine.parts().size() - 2));
        return !apart && called.last().matches(routine.last());
    }

    /** True for a function that calls itself, which MariaDB refuses. */
    static boolean callsItself(CodeStatement.CreateRoutine routine) {
        return routine.returns().isPresent()
                && StatementSearch.anyExpression(
                        List.of(routine.body()),
                        e -> e instanceof Expr.Call call
                                && isOf(call.name(), routine.name())
                                && call.arguments().size()
                                        <= routine.parameters().size());
    }
}
