package raftcart.rewrite;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.dialect.SqlFeature;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;
import raftcart.type.LogicalType;
import raftcart.type.ValueForm;

/**
 * Constants of types that the target keeps as texts: identifiers, addresses, spans, ranges and shapes, which the source
 * takes in several spellings and always gives in the same one ("Data Types", PostgreSQL).
 */
final class OwnSpellings {
    private static final String NUMBER = "-?(?:\\d+|\\d*\\.\\d*[1-9])";
    private static final String POINT = "\\(" + NUMBER + "," + NUMBER + "\\)";
    private static final String SPAN =
            "(?:-?\\d+ (?:year|mon|day)s?(?: (?!$)|$))*(?:-?\\d{2,}:\\d\\d:\\d\\d(?:\\.\\d*[1-9])?)?";
    private static final String RANGE = "empty|\\[[^ ,]+,[^ ,]*\\)|\\(,[^ ,]*\\)";

    private static final Pattern ADDRESS = Pattern.compile(
            "(?:25[0-5]|2[0-4]\\d|1?\\d?\\d)(?:\\.(?:25[0-5]|2[0-4]\\d|1?\\d?\\d)){3}(?:/(?:[12]?\\d|3[01]))?|[0-9a-f:]+(?:/\\d+)?");

    /** How the source gives values of these types itself; each type stands for those whose names begin so too. */
    private static final Map<String, Pattern> USUAL = Map.ofEntries(
            Map.entry("interval", Pattern.compile(SPAN)),
            Map.entry("macaddr8", Pattern.compile("[0-9a-f]{2}(?::[0-9a-f]{2}){7}")),
            Map.entry("macaddr", Pattern.compile("[0-9a-f]{2}(?::[0-9a-f]{2}){5}")),
            Map.entry("int4range", Pattern.compile(RANGE)),
            Map.entry("int8range", Pattern.compile(RANGE)),
            Map.entry("daterange", Pattern.compile(RANGE)),
            Map.entry("numrange", Pattern.compile("empty|[\\[(][^ ,]*,[^ ,]*[\\])]")),
            Map.entry("tsrange", Pattern.compile("empty|[\\[(]\"[^\"]*\",\"[^\"]*\"[\\])]")),
            Map.entry("tstzrange", Pattern.compile("empty|[\\[(]\"[^\"]*\",\"[^\"]*\"[\\])]")),
            Map.entry("point", Pattern.compile(POINT)),
            Map.entry("lseg", Pattern.compile("\\[" + POINT + "," + POINT + "]")),
            Map.entry("box", Pattern.compile(POINT + "," + POINT)),
            Map.entry("circle", Pattern.compile("<" + POINT + "," + NUMBER + ">")),
            Map.entry("line", Pattern.compile("\\{" + NUMBER + "," + NUMBER + "," + NUMBER + "}")),
            Map.entry("path", Pattern.compile("[\\[(]" + POINT + "(?:," + POINT + ")*[\\])]")),
            Map.entry("polygon", Pattern.compile("\\(" + POINT + "(?:," + POINT + ")*\\)")),
            Map.entry("inet", ADDRESS),
            Map.entry("cidr", ADDRESS),
            Map.entry("pg_lsn", Pattern.compile("[0-9A-F]{1,8}/[0-9A-F]{1,8}")),
            Map.entry("xid8", Pattern.compile("0|[1-9]\\d*")),
            Map.entry("xid", Pattern.compile("0|[1-9]\\d*")),
            Map.entry("tsvector", Pattern.compile("(?:'[^']*'(?::[\\dA-D,]+)?(?: (?!$)|$))*")),
            Map.entry("tsquery", Pattern.compile("(?:'[^']*'| [&|] |[!()])*")));

    private final ExprAdapter adapter;
    private boolean noted;

    OwnSpellings(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    /** A constant as the source gives the value itself, where that is known; else it is told, once for all rows. */
    Expr.Literal constant(Expr.Literal literal, LogicalType type) {
        boolean text =
                literal.kind() == LiteralKind.STRING && !adapter.from.name().equals(adapter.to.name());
        if (text && type instanceof LogicalType.Char && adapter.to.has(SqlFeature.FIXED_TEXTS_ARE_PLAIN)) {
            // Blanks at its end are no part of such a text elsewhere.
            return new Expr.Literal(LiteralKind.STRING, literal.text().replaceFirst(" +\\z", ""), literal.span());
        }
        if (text && type instanceof LogicalType.Uuid) {
            return UniqueIds.usual(literal);
        }
        Optional<Pattern> usual = text && !noted ? usual(type) : Optional.empty();
        boolean other = usual.isPresent()
                && !usual.get().matcher(literal.text()).matches()
                && (type instanceof LogicalType.Address
                        || TargetTypes.chosen(type, adapter.to).form() == ValueForm.TEXT);
        if (other) {
            noted = true;
            adapter.note(
                    FindingCode.IMPLICIT_CAST,
                    literal.span(),
                    "'" + literal.text() + "' stays as it is written; the source would give it in another spelling");
        }
        return literal;
    }

    private static Optional<Pattern> usual(LogicalType type) {
        if (type instanceof LogicalType.Address) {
            return Optional.of(ADDRESS);
        }
        return type instanceof LogicalType.Opaque opaque
                ? Optional.ofNullable(
                        USUAL.get(opaque.nativeName().toLowerCase(Locale.ROOT).replaceFirst(" .*|[(].*", "")))
                : Optional.empty();
    }
}
