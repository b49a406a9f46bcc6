package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import raftcart.sql.Lexer;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.BinaryOperator;
import raftcart.sql.tree.CallSuffix;
import raftcart.sql.tree.CurrentKind;
import raftcart.sql.tree.DateUnit;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.OrderItem;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Truth;
import raftcart.sql.tree.TypeName;

/** Reads calls of functions, those with a syntax of their own too. */
final class CallParser {
    private static final Set<String> OF_ONE_ENGINE =
            Set.of("try_parse", "parse", "column_get", "column_create", "column_add");

    /** By an interval that they add or take away. */
    private static final Set<String> MOVED_DATES = Set.of("date_add", "date_sub", "adddate", "subdate");

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final ExprParser expressions;
    private final CallSuffixParser suffixes;
    private final TextCallParser texts;
    private final JsonCallParser json;

    CallParser(Parsing parsing, ExprParser expressions) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.expressions = expressions;
        this.suffixes = new CallSuffixParser(parsing);
        this.texts = new TextCallParser(parsing, expressions);
        this.json = new JsonCallParser(parsing, expressions);
    }

    /** A call whose name is taken and whose parenthesis stands next. */
    Expr call(QualifiedName name, Span span) {
        return parsing.nested(() -> {
            Expr special = name.parts().size() == 1 && !name.last().exact()
                    ? special(name.last().key(), span)
                    : null;
            return special != null ? special : plain(name, span);
        });
    }

    private Expr special(String name, Span span) {
        return switch (name) {
            case "cast", "safe_cast" -> cast(name.equals("safe_cast"), span);
            case "try_cast", "trycast" -> cast(true, span);
            case "convert" -> convert(false, span);
            case "try_convert" -> convert(true, span);
            case "extract" -> extract(span);
            case "first_day", "last_day" -> endOfPeriod(name);
            case "trim" -> texts.trim(span);
            case "substring", "substr" -> texts.substring(span);
            case "position" -> texts.position(span);
            case "overlay" -> texts.overlay(span);
            case "now", "current_timestamp", "getdate", "sysdatetime" -> current(CurrentKind.TIMESTAMP, span);
            case "localtimestamp" -> current(CurrentKind.LOCAL_TIMESTAMP, span);
            case "curdate", "current_date" -> current(CurrentKind.DATE, span);
            case "curtime", "current_time", "localtime" -> current(CurrentKind.TIME, span);
            case "utc_timestamp", "getutcdate", "sysutcdatetime" -> current(CurrentKind.UTC_TIMESTAMP, span);
            case "nextval", "currval", "lastval" -> sequence(name, span);
            case "gen_id" -> generator(span);
            case "isnull" -> parsing.has(GrammarFeature.ISNULL_ASKS) ? isNull(span) : null;
            case "grouping_id" -> null;
            case "match" -> throw cursor.byHand("a full-text search");
            case "columns" -> throw cursor.byHand("columns chosen by a pattern");
            case "cursor",
                    "multiset",
                    "xmlelement",
                    "xmlforest",
                    "xmltable",
                    "xmlparse",
                    "xmlserialize",
                    "xmlquery",
                    "xmlexists",
                    "xmlconcat",
                    "xmlroot",
                    "xmlattributes",
                    "json_table",
                    "treat" -> throw cursor.byHand(name.toUpperCase(Locale.ROOT));
            case "xmlagg" -> new JoinedXmlParser(parsing).read(span);
            case "case_n" -> CaseNumberParser.read(parsing, span);
            case "json_object" -> json.object(span);
            case "json_array" -> json.array(span);
            default -> ofOneEngine(name);
        };
    }

    /** Functions with words among their arguments that no other engine has. */
    private Expr ofOneEngine(String name) {
        if (OF_ONE_ENGINE.contains(name)) {
            throw cursor.byHand(name.toUpperCase(Locale.ROOT));
        }
        return null;
    }

    private Expr cast(boolean safe, Span span) {
        cursor.expectSymbol("(");
        Expr value = expressions.expression();
        cursor.expectWords("AS");
        if (cursor.peek().isWord("FORMAT") && cursor.peek(1).isString()) {
            cursor.take();
            Expr mask = Expr.Literal.string(parsing.string());
            cursor.expectSymbol(")");
            return Expr.Call.of("shown_as", value, mask).at(span);
        }
        TypeName type = TypeNameParser.parse(cursor);
        if (cursor.takeWords("CHARACTER", "SET") || cursor.takeWords("CHARSET")) {
            cursor.take();
        }
        if (cursor.takeWords("DEFAULT")) {
            return orElseNull(value, type, span);
        }
        if (cursor.takeWords("FORMAT")) {
            Expr mask = expressions.expression();
            cursor.expectSymbol(")");
            Optional<String> spelled = parsing.has(GrammarFeature.DATA_ATTRIBUTES) && mask instanceof Expr.Literal l
                    ? AttributeParser.spelled(l.text())
                    : Optional.empty();
            Expr known =
                    spelled.<Expr>map(Expr.Literal::string).orElseThrow(() -> cursor.byHand("a cast with a format"));
            return Expr.Call.of("cast_with_format", value, Expr.Literal.string(type.name()), known)
                    .at(span);
        }
        cursor.expectSymbol(")");
        Expr shown = AttributeParser.asText(value, type, span);
        return safe ? new Expr.Cast(shown, type, true, span) : PostfixParser.typed(shown, type, span);
    }

    /** Oracle's value for what cannot be converted ("CAST"), if that is NULL. */
    private Expr orElseNull(Expr value, TypeName type, Span span) {
        if (!cursor.takeWords("NULL", "ON", "CONVERSION", "ERROR") || !cursor.takeSymbol(")")) {
            throw cursor.byHand("a cast with another value than NULL for what cannot be converted, or with a format");
        }
        return new Expr.Cast(value, type, true, span);
    }

    /** The number of a style, which the engine's own scripts put into parentheses. */
    private String style() {
        if (!cursor.takeSymbol("(")) {
            return cursor.take().text();
        }
        String style = style();
        cursor.expectSymbol(")");
        return style;
    }

    private Expr convert(boolean safe, Span span) {
        cursor.expectSymbol("(");
        if (parsing.has(GrammarFeature.CONVERT_TYPE_FIRST)) {
            TypeName type = TypeNameParser.parse(cursor);
            cursor.expectSymbol(",");
            Expr value = expressions.expression();
            if (cursor.takeSymbol(",")) {
                String style = style();
                cursor.expectSymbol(")");
                return style.matches("0+") ? new Expr.Cast(value, type, safe, span) : styled(value, type, style, span);
            }
            cursor.expectSymbol(")");
            return new Expr.Cast(value, type, safe, span);
        }
        Expr value = expressions.expression();
        if (cursor.takeWords("USING")) {
            cursor.take(); // texts are characters here, whatever their bytes
            cursor.expectSymbol(")");
            return value;
        }
        cursor.expectSymbol(",");
        TypeName type = TypeNameParser.parse(cursor);
        cursor.expectSymbol(")");
        return new Expr.Cast(value, type, safe, span);
    }

    private static Expr styled(Expr value, TypeName type, String style, Span span) {
        String numbers = type.parameters().stream()
                .map(n -> n == TypeName.MAX ? "max" : String.valueOf(n))
                .collect(Collectors.joining(","));
        String name = type.name() + (numbers.isEmpty() ? "" : "(" + numbers + ")");
        return new Expr.Call(
                QualifiedName.of("convert_with_style"),
                true,
                List.of(value, Expr.Literal.string(name), Expr.Literal.string(style)),
                CallSuffix.NONE,
                span);
    }

    private Expr extract(Span span) {
        cursor.expectSymbol("(");
        Token field = cursor.take();
        if (field.isWord("YEAR_MONTH")) {
            cursor.expectWords("FROM");
            Expr value = expressions.expression();
            cursor.expectSymbol(")");
            Expr years = new Expr.Binary(
                    BinaryOperator.MULTIPLY, Expr.Call.of("extract_year", value), Expr.Literal.number(100), span);
            return new Expr.Binary(BinaryOperator.ADD, years, Expr.Call.of("extract_month", value), span);
        }
        if (field.isWord("DAY_OF_WEEK")) {
            cursor.expectWords("FROM");
            Expr value = expressions.expression(); // 1 for Sunday, on H2 and HSQLDB
            cursor.expectSymbol(")");
            return Expr.Call.of("day_of_week_sunday_1", value).at(span);
        }
        DateUnit unit = DateUnit.named(field.value())
                .orElseThrow(() -> cursor.byHand("the field " + field.text() + " of a date"));
        if (!cursor.takeWords("FROM")) {
            cursor.expectSymbol(",");
        }
        Expr value = expressions.expression();
        cursor.expectSymbol(")");
        String part = unit.name().toLowerCase(Locale.ROOT);
        Optional<String> weeks = ownWeeks(unit);
        if (weeks.isPresent()) {
            return Expr.Call.of(weeks.get(), value).at(span);
        }
        boolean within = part.endsWith("second")
                && !part.equals("second")
                && parsing.has(GrammarFeature.FRACTIONS_WITHIN_SECOND);
        if (part.equals("second") && parsing.has(GrammarFeature.SECONDS_ARE_WHOLE)) {
            return Expr.Call.of("second_whole", value).at(span);
        }
        return Expr.Call.of(within ? part + "_of_second" : "extract_" + part, value)
                .at(span);
    }

    /** Weeks and their days, where EXTRACT does not count them from Monday, as ISO 8601 does, and from 0 for Sunday. */
    private Optional<String> ownWeeks(DateUnit unit) {
        if (unit == DateUnit.WEEK && parsing.has(GrammarFeature.WEEKS_BEGIN_ON_SUNDAY)) {
            return Optional.of("week_from_first_sunday");
        }
        if (!parsing.has(GrammarFeature.WEEKS_GO_BY_LANGUAGE)) {
            return Optional.empty();
        }
        return unit == DateUnit.DAY_OF_WEEK
                ? Optional.of("day_of_week_sunday_1")
                : Optional.of("week_by_language").filter(w -> unit == DateUnit.WEEK);
    }

    /** Firebird's {@code FIRST_DAY(OF MONTH FROM d)} keeps the time of day, as no function elsewhere does. */
    private Expr endOfPeriod(String name) {
        if (cursor.peek(1).isWord("OF")) {
            throw cursor.byHand(name.toUpperCase(Locale.ROOT) + " OF");
        }
        return null;
    }

    private Expr isNull(Span span) {
        cursor.expectSymbol("(");
        Expr value = expressions.expression();
        cursor.expectSymbol(")");
        return new Expr.Is(value, Truth.NULL, false, span);
    }

    private Expr current(CurrentKind kind, Span span) {
        cursor.expectSymbol("(");
        int precision = cursor.peek().isSymbol(")") ? -1 : parsing.wholeNumber().intValue();
        cursor.expectSymbol(")");
        return new Expr.CurrentTime(kind, precision, span);
    }

    private Expr sequence(String function, Span span) {
        int mark = cursor.mark();
        cursor.expectSymbol("(");
        Token token = cursor.peek();
        if (token.isString()) {
            cursor.take();
            if (cursor.takeSymbol("::")) {
                TypeNameParser.parse(cursor);
            }
            if (cursor.takeSymbol(")") && !function.equals("lastval")) {
                Parsing inner = new Parsing(
                        new TokenCursor(Lexer.tokens(token.value(), parsing.grammar.lexical())), parsing.grammar);
                return new Expr.SequenceValue(inner.qualifiedName(), function.equals("nextval"), span);
            }
        } else if (token.isName() && !function.equals("lastval")) {
            QualifiedName name = parsing.qualifiedName();
            if (cursor.takeSymbol(")")) {
                return new Expr.SequenceValue(name, function.equals("nextval"), span);
            }
        }
        cursor.reset(mark);
        return null;
    }

    private Expr generator(Span span) {
        cursor.expectSymbol("(");
        QualifiedName name = parsing.qualifiedName();
        cursor.expectSymbol(",");
        java.math.BigInteger step = parsing.wholeNumber();
        cursor.expectSymbol(")");
        if (step.bitLength() > 1 || step.signum() < 0) {
            throw cursor.byHand("GEN_ID with a step other than 0 and 1");
        }
        return new Expr.SequenceValue(name, step.signum() == 1, span);
    }

    /** T-SQL's methods of XML look like functions. */
    private void refuseMethods(QualifiedName name) {
        boolean method = parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)
                && name.parts().size() > 1
                && name.last().key().matches("value|nodes|query|exist|modify")
                && cursor.peek(1).isString();
        if (method) {
            throw cursor.byHand("a method of XML");
        }
    }

    /** A number in the order of MySQL's GROUP_CONCAT is the place of an argument. */
    private List<OrderItem> byPlace(List<OrderItem> order, List<Expr> arguments, QualifiedName name) {
        boolean places = name.last().is("group_concat") && parsing.has(GrammarFeature.GROUP_CONCAT_JOINS_ARGUMENTS);
        return places
                ? order.stream()
                        .map(o -> o.value() instanceof Expr.Literal n
                                        && n.isDigits(2)
                                        && Integer.parseInt(n.text()) >= 1
                                        && Integer.parseInt(n.text()) <= arguments.size()
                                ? o.withValue(arguments.get(Integer.parseInt(n.text()) - 1))
                                : o)
                        .toList()
                : order;
    }

    /** MySQL's GROUP_CONCAT(a, b) puts its arguments together before it puts rows together. */
    private List<Expr> joined(List<Expr> arguments, QualifiedName name, Span span) {
        boolean several = arguments.size() > 1
                && name.last().is("group_concat")
                && parsing.has(GrammarFeature.GROUP_CONCAT_JOINS_ARGUMENTS);
        return several
                ? new ArrayList<>(
                        List.of(new Expr.Call(QualifiedName.of("CONCAT"), false, arguments, CallSuffix.NONE, span)))
                : arguments;
    }

    private Expr plain(QualifiedName name, Span span) {
        refuseMethods(name);
        boolean dates = hasDates(name);
        cursor.expectSymbol("(");
        boolean distinct = cursor.takeAny("DISTINCT", "UNIQUE");
        if (!distinct && cursor.peek().isWord("ALL") && !cursor.peek(1).isSymbol(")")) {
            cursor.take();
        }
        List<Expr> arguments = arguments(name, dates);
        List<OrderItem> order = List.of();
        String nulls = suffixes.nullTreatment();
        if (cursor.takeWords("ORDER", "BY")) {
            order = byPlace(parsing.queries.orderItems(), arguments, name);
        }
        arguments = joined(arguments, name, span);
        if (cursor.takeWords("SEPARATOR")) {
            arguments.add(new Expr.Literal(LiteralKind.STRING, parsing.string(), span));
        }
        nulls = nulls.isEmpty() ? suffixes.nullTreatment() : nulls;
        if (isNamed(name, "char") && cursor.takeWords("USING")) {
            parsing.name(); // the character set, which is the target's own there
        }
        if (cursor.peek().isAnyWord("ASC", "DESC")) {
            throw cursor.byHand("an order inside of " + name);
        }
        if (arguments.size() == 2
                && arguments.get(1) instanceof Expr.Interval
                && MOVED_DATES.contains(name.last().key())) {
            cursor.expectSymbol(")");
            boolean minus = name.last().key().contains("sub");
            BinaryOperator operator = minus ? BinaryOperator.SUBTRACT : BinaryOperator.ADD;
            return new Expr.Binary(operator, arguments.get(0), arguments.get(1), span);
        }
        overflow();
        Optional<TypeName> returned = json.clauses(name);
        if (cursor.peek().isAnyWord("ON", "LIMIT", "RETURNING")) {
            throw cursor.byHand("the clause " + parsing.word() + " in a call");
        }
        cursor.expectSymbol(")");
        Expr call = suffixes.suffixed(name, arguments, distinct, order, nulls, span);
        return returned.<Expr>map(t -> new Expr.Cast(call, t, true, span)).orElse(call);
    }

    private List<Expr> arguments(QualifiedName name, boolean dates) {
        if (cursor.peek().isSymbol(")")) {
            return new ArrayList<>();
        }
        return new ArrayList<>(dates ? dateArguments(name) : parsing.list(this::argument));
    }

    private static boolean isNamed(QualifiedName name, String word) {
        return name.parts().size() == 1 && name.last().text().equalsIgnoreCase(word);
    }

    private boolean hasDates(QualifiedName name) {
        return isNamed(name, "dateadd") && cursor.hasDirectly("TO")
                || isNamed(name, "datediff") && cursor.hasDirectly("FROM");
    }

    /** Firebird's {@code DATEADD(1 DAY TO d)} and {@code DATEDIFF(DAY FROM a TO b)}: as if with commas. */
    private List<Expr> dateArguments(QualifiedName name) {
        boolean add = isNamed(name, "dateadd");
        Expr amount = expressions.expression();
        if (!add) {
            cursor.expectWords("FROM");
        }
        Expr second = add
                ? new Expr.Column(
                        parsing.qualifiedName(), false, cursor.previous().span())
                : expressions.expression();
        cursor.expectWords("TO");
        Expr last = expressions.expression();
        return add ? List.of(second, amount, last) : List.of(amount, second, last);
    }

    /** What LISTAGG does about a text that grows too long; elsewhere texts have other limits. */
    private void overflow() {
        int mark = cursor.mark();
        if (!cursor.takeWords("ON", "OVERFLOW")) {
            return;
        }
        if (!cursor.takeWords("ERROR")) {
            cursor.expectWords("TRUNCATE");
            if (cursor.peek().isString()) {
                cursor.take();
            }
            if (cursor.takeAny("WITH", "WITHOUT")) {
                cursor.expectWords("COUNT");
            }
        }
        cursor.noteHint(mark);
    }

    private Expr argument() {
        Token token = cursor.peek();
        if (token.isName() && (cursor.peek(1).isSymbol("=>") || cursor.peek(1).isSymbol(":="))) {
            Name name = parsing.name();
            cursor.take();
            return new Expr.NamedArgument(name, expressions.expression(), token.span());
        }
        if (token.isWord("VARIADIC")
                && !cursor.peek(1).isSymbol(",")
                && !cursor.peek(1).isSymbol(")")) {
            throw cursor.byHand("a list as the arguments of a call (VARIADIC)");
        }
        if (token.isAnyWord("SELECT", "WITH") && parsing.queries.startsQuery()) {
            return new Expr.Subquery(parsing.queries.query(), token.span());
        }
        return expressions.expression();
    }
}
