package raftcart.sql.expr;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.tree.TypeName;

/** An expression. Nodes are immutable and compare by meaning: their spans do not count. */
public sealed interface Expr {
    /** Where the expression stands in the text that it was read from. */
    Span span();

    /** Calls the visitor's method for this kind of node. */
    <R> R accept(ExprVisitor<R> visitor);

    /** A constant; {@code text} holds its digits or characters without quotes. */
    record Literal(LiteralKind kind, String text, Span span) implements Expr {
        public Literal {
            Objects.requireNonNull(kind, "kind");
            Objects.requireNonNull(text, "text");
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitLiteral(this);
        }
    }

    /** A column, with its qualifiers first if there are any. */
    record ColumnRef(List<String> names, Span span) implements Expr {
        public ColumnRef {
            names = List.copyOf(names);
        }

        /** The column's own name. */
        public String column() {
            return names.get(names.size() - 1);
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitColumnRef(this);
        }
    }

    /** A call of a function by its canonical name. */
    record Call(String function, List<Expr> arguments, Span span) implements Expr {
        public Call {
            Objects.requireNonNull(function, "function");
            arguments = List.copyOf(arguments);
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitCall(this);
        }
    }

    /** An operator before its operand. */
    record Unary(UnaryOperator operator, Expr operand, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitUnary(this);
        }
    }

    /** An operator between two operands. */
    record Binary(BinaryOperator operator, Expr left, Expr right, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitBinary(this);
        }
    }

    /** Texts put together; the result is NULL if any part is. */
    record Concat(List<Expr> parts, Span span) implements Expr {
        public Concat {
            parts = List.copyOf(parts);
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitConcat(this);
        }
    }

    /** Whether a value lies between two others, both included. */
    record Between(Expr value, Expr low, Expr high, boolean negated, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitBetween(this);
        }
    }

    /** Whether a value is one of a list. */
    record InList(Expr value, List<Expr> items, boolean negated, Span span) implements Expr {
        public InList {
            items = List.copyOf(items);
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitInList(this);
        }
    }

    /** Whether a text matches a pattern of {@code %} and {@code _}. */
    record Like(Expr value, Expr pattern, boolean ignoreCase, boolean negated, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitLike(this);
        }
    }

    /** Whether a text matches a regular expression. */
    record Matches(Expr value, Expr pattern, boolean ignoreCase, boolean negated, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitMatches(this);
        }
    }

    /** Whether a value is, or is not, NULL, TRUE or FALSE. */
    record Is(Expr value, Truth truth, boolean negated, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitIs(this);
        }
    }

    /** A choice; with a subject it compares, without one each condition stands for itself. */
    record Case(Optional<Expr> subject, List<When> branches, Optional<Expr> otherwise, Span span) implements Expr {
        public Case {
            branches = List.copyOf(branches);
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitCase(this);
        }
    }

    /** A conversion to a type written in the dialect that was read. */
    record Cast(Expr value, TypeName type, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitCast(this);
        }
    }

    /** The time at which the statement or transaction began. */
    record CurrentTime(CurrentKind kind, int precision, Span span) implements Expr {
        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitCurrentTime(this);
        }
    }

    /** The next number of a sequence, named with its qualifiers first. */
    record NextValue(List<String> sequence, Span span) implements Expr {
        public NextValue {
            sequence = List.copyOf(sequence);
        }

        @Override
        public <R> R accept(ExprVisitor<R> visitor) {
            return visitor.visitNextValue(this);
        }
    }

    /** One branch of a {@link Case}. */
    record When(Expr condition, Expr result) {}
}
