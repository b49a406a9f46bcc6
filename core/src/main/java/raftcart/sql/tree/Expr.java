package raftcart.sql.tree;

import java.util.List;
import java.util.Optional;
import raftcart.sql.Span;

/** A value, condition or anything else that stands where a value may stand. Records are immutable. */
public sealed interface Expr {
    /** Where it was read. */
    Span span();

    /** Calls the visitor's method for this kind of node. */
    <R> R accept(ExprVisitor<R> visitor);

    /** The same node over mapped children. */
    default Expr map(TreeMapper mapper) {
        return this;
    }

    /** A constant; the text is without quotes. */
    record Literal(LiteralKind kind, String text, Span span) implements Expr {
        /** A number. */
        public static Literal number(long value) {
            return new Literal(LiteralKind.NUMBER, Long.toString(value), Span.NONE);
        }

        /** A text. */
        public static Literal string(String text) {
            return new Literal(LiteralKind.STRING, text, Span.NONE);
        }

        /** True for a text of at least one digit and at most so many. */
        public boolean isDigits(int longest) {
            boolean digits = !text.isEmpty() && text.length() <= longest;
            for (int i = 0; digits && i < text.length(); i++) {
                digits = text.charAt(i) >= '0' && text.charAt(i) <= '9';
            }
            return digits;
        }

        /** NULL. */
        public static Literal ofNull() {
            return new Literal(LiteralKind.NULL, "", Span.NONE);
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitLiteral(this);
        }
    }

    /** A value that the caller supplies, in its source spelling: {@code ?}, {@code :name}, {@code $1}, {@code @p}. */
    record Parameter(String text, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitParameter(this);
        }
    }

    /** A column or anything else that has a name; {@code outer} for the old mark of outer joins. */
    record Column(QualifiedName name, boolean outer, Span span) implements Expr {
        /** A column of this name. */
        public static Column of(String... names) {
            return new Column(QualifiedName.of(names), false, Span.NONE);
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitColumn(this);
        }
    }

    /** All columns, of one table or of all. */
    record Star(Optional<QualifiedName> table, List<Name> except, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitStar(this);
        }
    }

    /**
     * A call.
     *
     * @param canonical true where the name is ours and no longer the dialect's
     */
    record Call(QualifiedName name, boolean canonical, List<Expr> arguments, CallSuffix suffix, Span span)
            implements Expr {
        public Call {
            arguments = List.copyOf(arguments);
        }

        /** A call of one of our canonical functions. */
        public static Call of(String function, Expr... arguments) {
            return new Call(QualifiedName.of(function), true, List.of(arguments), CallSuffix.NONE, Span.NONE);
        }

        /** The same call at this place. */
        public Call at(Span place) {
            return new Call(name, canonical, arguments, suffix, place);
        }

        /** The same call of another function. */
        public Call with(String function, List<Expr> others) {
            return new Call(QualifiedName.of(function), true, others, suffix, span);
        }

        /** The function's name without schema, in lower case. */
        public String function() {
            return name.last().key();
        }

        /** True for a function of one of these names, ours or the dialect's. */
        public boolean isAny(String... functions) {
            Name last = name.last();
            for (String one : functions) {
                if (last.is(one)) {
                    return true;
                }
            }
            return false;
        }

        /** True for this canonical function. */
        public boolean is(String function) {
            return canonical && name.last().is(function);
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitCall(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Call(name, canonical, mapper.exprs(arguments), suffix.map(mapper), span);
        }
    }

    /** An argument that is given by name. */
    record NamedArgument(Name name, Expr value, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitNamedArgument(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new NamedArgument(name, mapper.expr(value), span);
        }
    }

    /** An operator before its operand. */
    record Unary(UnaryOperator operator, Expr operand, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitUnary(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Unary(operator, mapper.expr(operand), span);
        }
    }

    /** An operator between two operands. */
    record Binary(BinaryOperator operator, Expr left, Expr right, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitBinary(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Binary(operator, mapper.expr(left), mapper.expr(right), span);
        }
    }

    /** Conditions joined by AND, or by OR. */
    record Junction(boolean and, List<Expr> parts, Span span) implements Expr {
        public Junction {
            parts = List.copyOf(parts);
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitJunction(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Junction(and, mapper.exprs(parts), span);
        }
    }

    /** Texts put together; {@code nullIsEmpty} where a NULL among them adds nothing rather than making all NULL. */
    record Concat(List<Expr> parts, boolean nullIsEmpty, Span span) implements Expr {
        public Concat {
            parts = List.copyOf(parts);
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitConcat(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Concat(mapper.exprs(parts), nullIsEmpty, span);
        }
    }

    /** A comparison with all or any of several values. */
    record Quantified(BinaryOperator operator, Expr left, boolean all, Expr right, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitQuantified(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Quantified(operator, mapper.expr(left), all, mapper.expr(right), span);
        }
    }

    /** A value between two others, both included. */
    record Between(Expr value, Expr low, Expr high, boolean symmetric, boolean negated, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitBetween(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Between(mapper.expr(value), mapper.expr(low), mapper.expr(high), symmetric, negated, span);
        }
    }

    /** A value among listed ones; a query is a single item of kind {@link Subquery}. */
    record InList(Expr value, List<Expr> items, boolean negated, Span span) implements Expr {
        public InList {
            items = List.copyOf(items);
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitInList(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new InList(mapper.expr(value), mapper.exprs(items), negated, span);
        }
    }

    /** True where the query has rows. */
    record Exists(Query query, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitExists(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Exists(mapper.query(query), span);
        }
    }

    /** A pattern of % and _. */
    record Like(Expr value, Expr pattern, Optional<Expr> escape, boolean ignoreCase, boolean negated, Span span)
            implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitLike(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Like(
                    mapper.expr(value), mapper.expr(pattern), mapper.optional(escape), ignoreCase, negated, span);
        }
    }

    /** A regular expression found anywhere in a text. */
    record Matches(Expr value, Expr pattern, boolean ignoreCase, boolean negated, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitMatches(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Matches(mapper.expr(value), mapper.expr(pattern), ignoreCase, negated, span);
        }
    }

    /** A test for NULL or a truth value. */
    record Is(Expr value, Truth truth, boolean negated, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitIs(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Is(mapper.expr(value), truth, negated, span);
        }
    }

    /** A choice; with a subject, the conditions are values that it is compared with. */
    record Case(Optional<Expr> subject, List<When> branches, Optional<Expr> otherwise, Span span) implements Expr {
        public Case {
            branches = List.copyOf(branches);
        }

        /** A choice between two values by a condition. */
        public static Case of(Expr condition, Expr then, Expr otherwise) {
            return new Case(
                    Optional.empty(), List.of(new When(condition, then)), Optional.of(otherwise), condition.span());
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitCase(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Case(
                    mapper.optional(subject),
                    branches.stream()
                            .map(b -> new When(mapper.expr(b.condition()), mapper.expr(b.result())))
                            .toList(),
                    mapper.optional(otherwise),
                    span);
        }
    }

    /** One branch of a choice. */
    record When(Expr condition, Expr result) {}

    /** A value brought to another type; {@code safe} where a failure gives NULL. */
    record Cast(Expr value, TypeName type, boolean safe, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitCast(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Cast(mapper.expr(value), type, safe, span);
        }
    }

    /** A query in parentheses where a value stands. */
    record Subquery(Query query, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitSubquery(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Subquery(mapper.query(query), span);
        }
    }

    /** Several values as one. */
    record Row(List<Expr> items, Span span) implements Expr {
        public Row {
            items = List.copyOf(items);
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitRow(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Row(mapper.exprs(items), span);
        }
    }

    /** An array of values. */
    record ArrayItems(List<Expr> items, Span span) implements Expr {
        public ArrayItems {
            items = List.copyOf(items);
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitArrayItems(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new ArrayItems(mapper.exprs(items), span);
        }
    }

    /** An element or, with an end, a slice of an array. */
    record Subscript(Expr array, Optional<Expr> index, Optional<Expr> end, boolean slice, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitSubscript(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Subscript(mapper.expr(array), mapper.optional(index), mapper.optional(end), slice, span);
        }
    }

    /** A length of time: the sum of its parts. */
    record Interval(List<IntervalPart> parts, Span span) implements Expr {
        public Interval {
            parts = List.copyOf(parts);
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitInterval(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Interval(
                    parts.stream()
                            .map(p -> new IntervalPart(mapper.expr(p.amount()), p.unit()))
                            .toList(),
                    span);
        }
    }

    /** So many of a unit. */
    record IntervalPart(Expr amount, DateUnit unit) {}

    /** A time seen in another zone. */
    record AtZone(Expr value, Expr zone, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitAtZone(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new AtZone(mapper.expr(value), mapper.expr(zone), span);
        }
    }

    /** A text under a collation. */
    record Collate(Expr value, QualifiedName collation, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitCollate(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Collate(mapper.expr(value), collation, span);
        }
    }

    /** The present, with so many fractional digits; -1 for as many as the engine gives. */
    record CurrentTime(CurrentKind kind, int precision, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitCurrentTime(this);
        }
    }

    /** The next number of a sequence, or the last one given in this session. */
    record SequenceValue(QualifiedName sequence, boolean next, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitSequenceValue(this);
        }
    }

    /** An assignment inside an expression, as {@code @x := @x + 1}. */
    record Assignment(Expr target, Expr value, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitAssignment(this);
        }

        @Override
        public Expr map(TreeMapper mapper) {
            return new Assignment(mapper.expr(target), mapper.expr(value), span);
        }
    }

    /** The default of a column, where a value is wanted. */
    record Default(Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitDefault(this);
        }
    }
}
