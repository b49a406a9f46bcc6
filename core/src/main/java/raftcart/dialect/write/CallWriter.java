package raftcart.dialect.write;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.function.FunctionDictionary.Written;
import raftcart.sql.function.Signature;
import raftcart.sql.function.Template;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.ExprVisitor;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.OrderItem.Nulls;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Window;

/** Writes constants, names, calls and windows; {@link ExprWriter} writes the rest. */
public abstract class CallWriter implements ExprVisitor<String> {
    private static final Pattern PLAIN = Pattern.compile("[A-Za-z_][A-Za-z0-9_]*");

    /** The longest expression that is written, in characters: twice the longest statement that is read. */
    private static final int LONGEST = 8_000_000;

    private final WriterContext context;
    private final Language language;
    private final boolean booleanConstants;
    private SqlWriter statements;

    protected CallWriter(WriterContext context) {
        this.context = context;
        this.language = context.language();
        this.booleanConstants = language.has(SqlFeature.BOOLEAN_CONSTANTS);
    }

    void attach(SqlWriter writer) {
        this.statements = writer;
    }

    final SqlWriter statements() {
        return statements;
    }

    protected final Language language() {
        return language;
    }

    protected final WriterContext context() {
        return context;
    }

    /** True where the dialect has the feature. */
    protected final boolean has(SqlFeature feature) {
        return language.has(feature);
    }

    /**
     * The expression as text.
     *
     * @throws Untranslatable if it grows beyond all measure, as what is written several times does in many levels
     */
    public final String text(Expr expression) {
        String text = expression.accept(this);
        if (text.length() > LONGEST) {
            throw cannot("a statement that would come to more than " + LONGEST + " characters");
        }
        return text;
    }

    /** The expression in parentheses unless it holds together at least as tightly as this level. */
    protected final String operand(Expr expression, int level) {
        String text = text(expression);
        boolean function = expression instanceof Expr.Binary b
                && (b.operator() == BinaryOperator.DIVIDE_WHOLE || b.operator() == BinaryOperator.POWER);
        int own = function || expression instanceof Expr.Call || expression instanceof Expr.Cast
                ? (isClosed(text) ? Levels.CLOSED : 0)
                : Levels.of(expression);
        return own < level ? Layout.parentheses(text) : text;
    }

    /** The expression in parentheses unless nothing can run into it. */
    protected final String closed(Expr expression) {
        return operand(expression, Levels.CLOSED);
    }

    /** True for one call, name, constant, choice or parenthesis. */
    private static boolean isClosed(String text) {
        int open = 0;
        char quote = 0;
        boolean choice = text.startsWith("CASE ") && text.endsWith(" END");
        for (int i = 0; i < text.length(); i++) {
            char c = text.charAt(i);
            if (quote != 0) {
                quote = c == quote ? 0 : quote;
            } else if (c == '\'' || c == '"' || c == '`') {
                quote = c;
            } else if (c == '(') {
                open++;
            } else if (c == ')') {
                open--;
            } else if (open == 0 && !choice && !Character.isLetterOrDigit(c) && "_.$@:?#".indexOf(c) < 0) {
                return false;
            }
        }
        return true;
    }

    protected final String list(List<Expr> expressions) {
        StringBuilder text = new StringBuilder();
        for (Expr expression : expressions) {
            text.append(text.isEmpty() ? "" : ", ").append(text(expression));
        }
        return text.toString();
    }

    /** A name with points in it. */
    public String name(QualifiedName name) {
        return name.parts().size() == 1
                ? language.write(name.last())
                : plainName(context.names().apply(name));
    }

    /** A function's name: words of the language are functions only without quotes, as IF and LEFT are. */
    private String called(QualifiedName function) {
        boolean plain = function.parts().size() == 1
                && !function.last().exact()
                && PLAIN.matcher(function.last().text()).matches();
        return plain ? function.last().text() : name(function);
    }

    private String plainName(QualifiedName name) {
        return name.parts().size() == 1 ? language.write(name.last()) : names(name.parts(), ".");
    }

    /** Names with something between them. */
    protected final String names(List<Name> names, String between) {
        StringBuilder text = new StringBuilder();
        for (Name one : names) {
            text.append(text.isEmpty() ? "" : between).append(language.write(one));
        }
        return text.toString();
    }

    /** A text constant. */
    public String string(String text) {
        return "'" + (text.indexOf('\'') < 0 ? text : text.replace("'", "''")) + "'";
    }

    protected final Untranslatable cannot(String what) {
        return new Untranslatable(what + " cannot be said in " + language.name());
    }

    @Override
    public String visitLiteral(Expr.Literal literal) {
        return switch (literal.kind()) {
            case NULL -> "NULL";
            case BOOLEAN -> bool(literal.text().equals("true"));
            case NUMBER -> literal.text();
            case STRING -> string(literal.text());
            case BYTES -> bytes(literal.text());
            case BITS -> bits(literal.text());
            case DATE, TIME, TIMESTAMP, ZONED_TIMESTAMP -> moment(literal.kind(), literal.text());
        };
    }

    /** TRUE or FALSE. */
    protected String bool(boolean value) {
        return booleanConstants ? (value ? "TRUE" : "FALSE") : value ? "1" : "0";
    }

    /** Bytes given in hexadecimal. */
    protected String bytes(String hex) {
        return "X'" + hex + "'";
    }

    /** Bits given as zeros and ones. */
    protected String bits(String bits) {
        return "B'" + bits + "'";
    }

    /** A date, time or timestamp. */
    protected String moment(LiteralKind kind, String text) {
        String word =
                switch (kind) {
                    case DATE -> "DATE ";
                    case TIME -> "TIME ";
                    default -> "TIMESTAMP ";
                };
        return has(SqlFeature.TYPED_DATES) ? word + string(text) : string(text);
    }

    @Override
    public String visitParameter(Expr.Parameter parameter) {
        return parameter.text();
    }

    @Override
    public String visitColumn(Expr.Column column) {
        if (column.outer()) {
            throw cannot("an outer join marked with (+)");
        }
        // A column's first name is a table's where there are two.
        return column.name().parts().size() == 2 ? plainName(column.name()) : name(column.name());
    }

    @Override
    public String visitStar(Expr.Star star) {
        if (!star.except().isEmpty()) {
            throw cannot("a star that leaves out columns");
        }
        return star.table().map(t -> name(t) + ".*").orElse("*");
    }

    @Override
    public String visitCall(Expr.Call call) {
        if (!call.canonical()) {
            return withSuffix(called(call.name()) + "(" + arguments(call) + ")", suffix(call));
        }
        Written written = language.functions()
                .write(call.function(), call.arguments(), context.kinds())
                .orElseThrow(() -> new Untranslatable("the function " + call.function()
                        + (call.arguments().isEmpty()
                                ? ""
                                : " with " + call.arguments().size() + " argument(s)")
                        + " has no counterpart in " + language.name()));
        if (!written.check().isEmpty()) {
            context.notes().add(FindingCode.FUNCTION_DIFFERS, call.span(), call.function() + ": " + written.check());
        }
        String filled = fill(written, call);
        boolean ordered = !call.suffix().order().isEmpty()
                && !call.isAny("mode", "rank", "dense_rank")
                && !call.function().startsWith("percentile_");
        if (!ordered) {
            return withSuffix(filled, suffix(call));
        }
        Expr.Call rest =
                new Expr.Call(call.name(), true, call.arguments(), call.suffix().withoutOrder(), call.span());
        return withSuffix(ordered(filled, "ORDER BY " + order(call.suffix().order())), suffix(rest));
    }

    /** An aggregate that takes its rows in an order: inside of its parentheses, or after them. */
    protected String ordered(String call, String order) {
        return call.substring(0, call.lastIndexOf(')')) + " " + order + ")";
    }

    private String fill(Written written, Expr.Call call) {
        List<Signature.Parameter> parameters = written.signature().parameters();
        return written.template().fill(new Template.Arguments() {
            @Override
            public boolean has(String name) {
                return index(name) < call.arguments().size();
            }

            private int index(String name) {
                for (int i = 0; i < parameters.size(); i++) {
                    if (parameters.get(i).name().equals(name)) {
                        return i;
                    }
                }
                return Integer.MAX_VALUE;
            }

            @Override
            public String text(String name, boolean enclosed) {
                int index = index(name);
                if (parameters.get(index).variable()) {
                    List<Expr> rest = call.arguments()
                            .subList(
                                    Math.min(index, call.arguments().size()),
                                    call.arguments().size());
                    return rest.stream()
                            .map(e -> enclosed ? CallWriter.this.text(e) : closed(e))
                            .collect(Collectors.joining(", "));
                }
                Expr argument = call.arguments().get(index);
                String prefix = index == 0 && call.suffix().distinct() ? "DISTINCT " : "";
                return prefix + (enclosed ? CallWriter.this.text(argument) : closed(argument));
            }
        });
    }

    private String arguments(Expr.Call call) {
        CallSuffix suffix = call.suffix();
        String arguments = (suffix.distinct() ? "DISTINCT " : "") + list(call.arguments());
        return suffix.order().isEmpty()
                        || suffix.withinGroup()
                        || !suffix.keep().isEmpty()
                ? arguments
                : arguments + " ORDER BY " + order(suffix.order());
    }

    /** What follows the parentheses of a call. */
    protected String suffix(Expr.Call call) {
        CallSuffix suffix = call.suffix();
        StringBuilder text = new StringBuilder();
        if (!suffix.keep().isEmpty()) {
            text.append(" KEEP (DENSE_RANK ")
                    .append(suffix.keep())
                    .append(" ORDER BY ")
                    .append(order(suffix.order()))
                    .append(')');
        } else if (suffix.withinGroup()) {
            text.append(" WITHIN GROUP (ORDER BY ")
                    .append(order(suffix.order()))
                    .append(')');
        } else if (call.canonical() && !suffix.order().isEmpty()) {
            throw cannot("an order inside of " + call.function());
        }
        suffix.filter()
                .ifPresent(f -> text.append(" FILTER (WHERE ").append(text(f)).append(')'));
        if (!suffix.nulls().isEmpty()) {
            text.append(nullTreatment(suffix.nulls()));
        }
        suffix.over().ifPresent(w -> text.append(" OVER ").append(window(w)));
        return text.toString();
    }

    /** A call and what follows its parentheses. */
    protected String withSuffix(String call, String suffix) {
        return call + suffix;
    }

    /** IGNORE NULLS and RESPECT NULLS. */
    protected String nullTreatment(String nulls) {
        if (nulls.equals("RESPECT NULLS")) {
            return "";
        }
        throw cannot(nulls);
    }

    /** A window's name or its definition in parentheses. */
    public String window(Window window) {
        if (!has(SqlFeature.WINDOW_FUNCTIONS)) {
            throw cannot("a window function");
        }
        if (window.isReference()) {
            return language.write(window.base().orElseThrow());
        }
        List<String> parts = new ArrayList<>();
        window.base().ifPresent(b -> parts.add(language.write(b)));
        if (!window.partition().isEmpty()) {
            parts.add("PARTITION BY " + list(window.partition()));
        }
        if (!window.order().isEmpty()) {
            parts.add("ORDER BY " + order(window.order()));
        }
        window.frame().ifPresent(f -> parts.add(frame(f)));
        return "(" + String.join(" ", parts) + ")";
    }

    private String frame(Window.Frame frame) {
        String exclusion = frame.exclusion().isEmpty() ? "" : " " + frame.exclusion();
        return frame.end()
                .map(end -> frame.unit() + " BETWEEN " + bound(frame.start()) + " AND " + bound(end) + exclusion)
                .orElseGet(() -> frame.unit() + " " + bound(frame.start()) + exclusion);
    }

    private String bound(Window.Bound bound) {
        return bound.offset().map(o -> text(o) + " ").orElse("") + bound.words();
    }

    /** The expressions of an ORDER BY. */
    public final String order(List<OrderItem> items) {
        return items.stream().map(this::orderItem).collect(Collectors.joining(", "));
    }

    private String orderItem(OrderItem item) {
        String text = text(item.value()) + (item.descending() ? " DESC" : "");
        if (item.nulls() == Nulls.DEFAULT) {
            return text;
        }
        return text + (item.nulls() == Nulls.FIRST ? " NULLS FIRST" : " NULLS LAST");
    }
}
