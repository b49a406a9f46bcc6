package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CodeStatement;
import raftcart.sql.tree.CodeStatement.Block;
import raftcart.sql.tree.CodeStatement.Choice;
import raftcart.sql.tree.CodeStatement.CreateTrigger;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.CodeStatement.Timing;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.StatementMapper;
import raftcart.sql.tree.UnaryOperator;

/** Triggers that call a function, each event of which becomes a trigger with the body of that function. */
final class PlTriggers {
    private final PlCode pl;

    PlTriggers(PlCode pl) {
        this.pl = pl;
    }

    static List<Statement> triggers(CreateTrigger trigger, StatementAdapter statements, CodeAdapter code) {
        QueryAdapter adapter = statements.expressions();
        if (trigger.timing() == Timing.INSTEAD) {
            throw CodeAdapter.at(trigger.span(), "a trigger in the place of a change");
        }
        Statement.CallProcedure call = (Statement.CallProcedure) trigger.body();
        Statement body = adapter.knowledge
                .triggerFunction(call.name())
                .orElseThrow(() -> CodeAdapter.at(
                        trigger.span(), "a trigger whose function " + call.name() + " is not translated"))
                .body();
        if (!trigger.eachRow()) {
            Statement each = RowByRow.body(trigger, body, adapter)
                    .orElseThrow(() -> CodeAdapter.at(trigger.span(), "a trigger for each statement"));
            adapter.note(FindingCode.SYNTAX_ADAPTED, trigger.span(), "the rows of a change one by one");
            return each(RowByRow.each(trigger), each, statements, code);
        }
        if (trigger.rows().isPresent()) {
            throw CodeAdapter.at(trigger.span(), "a trigger that reads the rows of a change as tables");
        }
        return each(trigger, body, statements, code);
    }

    private static List<Statement> each(
            CreateTrigger trigger, Statement body, StatementAdapter statements, CodeAdapter code) {
        OwnTableChanges.refuse(trigger, body, statements.expressions());
        List<Statement> all = new ArrayList<>();
        for (Event event : trigger.events()) {
            all.add(one(trigger, event, body, statements, code));
        }
        return all;
    }

    /** Says of a trigger on some columns when it does its work. */
    static void sayWatched(QueryAdapter adapter, Span span) {
        adapter.note(
                FindingCode.SYNTAX_CHECK,
                span,
                "it does its work where one of the columns gets another value, on the source wherever one is assigned");
    }

    private static Statement one(
            CreateTrigger trigger, Event event, Statement body, StatementAdapter statements, CodeAdapter code) {
        QueryAdapter adapter = statements.expressions();
        if (!event.columns().isEmpty()) {
            sayWatched(adapter, trigger.span());
        }
        String word = event.kind().name();
        List<Name> columns = adapter.knowledge
                .table(trigger.table())
                .map(t -> t.columns().values().stream()
                        .map(Knowledge.KnownColumn::name)
                        .toList())
                .orElse(List.of());
        Folded known = new Folded(word, trigger, columns);
        Statement folded = known.statement(body);
        CodeFrame frame = code.open(CodeFrame.Kind.TRIGGER, folded, Optional.empty());
        Scope before = adapter.scope;
        adapter.scope = new Scope(Optional.of(before));
        frame.enter();
        try {
            for (String row : List.of("new", "old")) {
                Scope.Relation.of(row, trigger.table(), adapter.knowledge).ifPresent(adapter.scope::add);
            }
            PlCode pl = new PlCode(statements, code);
            boolean after = trigger.timing() == Timing.AFTER;
            Block adapted = pl.trigger(withoutLastReturn(folded, after), frame, after);
            Block guarded = asked(trigger, event, known)
                    .map(w -> Block.of(
                            List.of(new CodeStatement.If(
                                    List.of(new Choice(adapter.condition(w), List.of(adapted))),
                                    List.of(),
                                    trigger.span())),
                            trigger.span()))
                    .orElse(adapted);
            return made(trigger, event, guarded, adapter);
        } finally {
            adapter.scope = before;
            frame.leave();
        }
    }

    /** The condition of the trigger, and that one of the columns which it watches changes. */
    private static Optional<Expr> asked(CreateTrigger trigger, Event event, Folded known) {
        List<Expr> changed = event.columns().stream()
                .<Expr>map(c -> new Expr.Binary(
                        BinaryOperator.DIFFERENT, known.of("old", c), known.of("new", c), trigger.span()))
                .toList();
        List<Expr> all = new ArrayList<>();
        trigger.when().map(known::expr).ifPresent(all::add);
        if (!changed.isEmpty()) {
            all.add(changed.size() == 1 ? changed.get(0) : new Expr.Junction(false, changed, trigger.span()));
        }
        return all.isEmpty()
                ? Optional.empty()
                : Optional.of(all.size() == 1 ? all.get(0) : new Expr.Junction(true, all, trigger.span()));
    }

    private static CreateTrigger made(CreateTrigger trigger, Event event, Block body, QueryAdapter adapter) {
        Name last = trigger.name().last();
        String suffix = "_" + event.kind().name().toLowerCase(Locale.ROOT);
        String own = trigger.events().size() == 1 ? last.text() : last.text() + suffix;
        String unique = adapter.knowledge.isFirstTrigger(own)
                ? own
                : trigger.table().last().text() + "_" + own;
        Name name = new Name(unique.substring(0, Math.min(unique.length(), adapter.to.longestName())), last.exact());
        return new CreateTrigger(
                trigger.name().withLast(name),
                trigger.replace(),
                trigger.timing(),
                List.of(event),
                trigger.table(),
                true,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                false,
                false,
                body,
                trigger.span());
    }

    /** What a trigger's function gives at its end says no more than that it has come to it. */
    private static Block withoutLastReturn(Statement body, boolean after) {
        Block block = (Block) body;
        List<Statement> all = block.body();
        boolean last = !all.isEmpty()
                && all.get(all.size() - 1) instanceof CodeStatement.Return r
                && (after || r.value().filter(v -> !isNull(v)).isPresent());
        return last ? block.withBody(all.subList(0, all.size() - 1)) : block;
    }

    private static boolean isNull(Expr e) {
        return e instanceof Expr.Literal l && l.kind() == LiteralKind.NULL;
    }

    /** Says where a trigger passes over a row, of which the target knows nothing, and refuses another row. */
    void sayWhatIsGiven(CodeStatement.Return returned) {
        boolean row = returned.value()
                .filter(v ->
                        v instanceof Expr.Column c && c.name().last().text().matches("(?i)new|old"))
                .isPresent();
        boolean skips = returned.value().filter(PlTriggers::isNull).isPresent();
        if (skips) {
            pl.adapter()
                    .note(
                            FindingCode.SYNTAX_CHECK,
                            returned.span(),
                            "RETURN NULL before a change leaves the row out on the source; the target goes on with it");
        } else if (!row) {
            throw CodeAdapter.at(returned.span(), "another row that a trigger gives");
        }
    }

    /** The body for one event: what it asks of the event is known, and the rest of each choice is gone. */
    private static final class Folded extends StatementMapper {
        private final String event;
        private final CreateTrigger trigger;
        private final List<Name> columns;

        private Folded(String event, CreateTrigger trigger, List<Name> columns) {
            this.event = event;
            this.trigger = trigger;
            this.columns = columns;
        }

        @Override
        public Expr expr(Expr e) {
            if (e instanceof Expr.Column c && c.name().parts().size() == 1) {
                return switch (c.name().last().text().toLowerCase(Locale.ROOT)) {
                    case "tg_op" -> Expr.Literal.string(event);
                    case "tg_when" -> Expr.Literal.string(trigger.timing().name());
                    case "tg_level" -> Expr.Literal.string("ROW");
                    case "tg_name" -> Expr.Literal.string(trigger.name().last().text());
                    case "tg_table_name", "tg_relname" ->
                        Expr.Literal.string(trigger.table().last().text());
                    default -> e;
                };
            }
            return isMissing(e) ? Expr.Literal.ofNull() : rows(e).orElseGet(() -> super.expr(e));
        }

        /** A new row has no old one, and a row that is gone no new one. */
        private boolean isMissing(Expr e) {
            String missing = event.equals("INSERT") ? "old" : event.equals("DELETE") ? "new" : "";
            return e instanceof Expr.Column c
                    && c.name().parts().size() == 2
                    && c.name().parts().get(0).text().equalsIgnoreCase(missing);
        }

        /** Rows that differ have a column that differs. */
        private Optional<Expr> rows(Expr e) {
            boolean rows = e instanceof Expr.Binary b
                    && (b.operator() == BinaryOperator.DIFFERENT || b.operator() == BinaryOperator.SAME)
                    && b.left() instanceof Expr.Star
                    && b.right() instanceof Expr.Star
                    && !columns.isEmpty();
            if (!rows) {
                return Optional.empty();
            }
            Expr.Binary binary = (Expr.Binary) e;
            List<Expr> each = new ArrayList<>();
            for (Name column : columns) {
                each.add(new Expr.Binary(binary.operator(), of("old", column), of("new", column), e.span()));
            }
            boolean same = binary.operator() == BinaryOperator.SAME;
            return Optional.of(each.size() == 1 ? each.get(0) : new Expr.Junction(same, each, e.span()));
        }

        private Expr of(String row, Name column) {
            return new Expr.Column(new QualifiedName(List.of(Name.of(row), column)), false, trigger.span());
        }

        /** Statements up to one that ends the function; blocks that do nothing of their own are opened. */
        @Override
        public List<Statement> statements(List<Statement> all) {
            List<Statement> reached = new ArrayList<>();
            for (Statement statement : super.statements(all)) {
                boolean plain = statement instanceof Block b
                        && b.label().isEmpty()
                        && b.declarations().isEmpty()
                        && b.rescues().isEmpty();
                reached.addAll(plain ? ((Block) statement).body() : List.of(statement));
                boolean ends = !reached.isEmpty() && reached.get(reached.size() - 1) instanceof CodeStatement.Return;
                if (ends) {
                    return reached;
                }
            }
            return reached;
        }

        @Override
        public Statement statement(Statement statement) {
            Statement inner = super.statement(statement);
            if (!(inner instanceof CodeStatement.If choice)) {
                return inner;
            }
            List<Choice> open = new ArrayList<>();
            List<Statement> otherwise = choice.otherwise();
            for (Choice each : choice.choices()) {
                Optional<Boolean> known = known(each.condition());
                if (known.isEmpty()) {
                    open.add(new Choice(rest(each.condition()), each.body()));
                } else if (known.get()) {
                    otherwise = each.body();
                    break;
                }
            }
            return open.isEmpty()
                    ? Block.of(otherwise, choice.span())
                    : new CodeStatement.If(open, otherwise, choice.span());
        }

        /** What is left of a condition without what is known to be true. */
        private static Expr rest(Expr condition) {
            if (!(condition instanceof Expr.Junction junction) || !junction.and()) {
                return condition;
            }
            List<Expr> open =
                    junction.parts().stream().filter(o -> known(o).isEmpty()).toList();
            return open.size() == 1 ? open.get(0) : new Expr.Junction(true, open, junction.span());
        }

        /** A condition that is true or false whatever the rows are. */
        private static Optional<Boolean> known(Expr condition) {
            if (condition instanceof Expr.Junction junction) {
                boolean decides = !junction.and();
                return junction.parts().stream().anyMatch(o -> known(o).filter(k -> k == decides)
                                .isPresent())
                        ? Optional.of(decides)
                        : junction.parts().stream().allMatch(o -> known(o).isPresent())
                                ? Optional.of(!decides)
                                : Optional.empty();
            }
            if (condition instanceof Expr.Unary unary && unary.operator() == UnaryOperator.NOT) {
                return known(unary.operand()).map(k -> !k);
            }
            return compared(condition);
        }

        private static Optional<Boolean> compared(Expr condition) {
            if (condition instanceof Expr.Binary b
                    && b.left() instanceof Expr.Literal l
                    && b.right() instanceof Expr.Literal r) {
                return b.operator() == BinaryOperator.EQUAL
                        ? Optional.of(l.text().equals(r.text()))
                        : b.operator() == BinaryOperator.NOT_EQUAL
                                ? Optional.of(!l.text().equals(r.text()))
                                : Optional.empty();
            }
            boolean list = condition instanceof Expr.InList in
                    && in.value() instanceof Expr.Literal
                    && in.items().stream().allMatch(Expr.Literal.class::isInstance);
            if (!list) {
                return Optional.empty();
            }
            Expr.InList in = (Expr.InList) condition;
            String value = ((Expr.Literal) in.value()).text();
            boolean there =
                    in.items().stream().anyMatch(i -> ((Expr.Literal) i).text().equals(value));
            return Optional.of(there != in.negated());
        }
    }
}
