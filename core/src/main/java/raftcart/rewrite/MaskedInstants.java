package raftcart.rewrite;

import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/** Instants as constants with a mask that ends in the zone, which the text gives in hours and minutes. */
final class MaskedInstants {
    private static final Pattern MASK = Pattern.compile("(?i)(.*?)\\s*(?:TZH(?::?TZM)?|TZR)");
    private static final Pattern TEXT = Pattern.compile("(.*?)\\s*([+-])(\\d{1,2})(?::?(\\d{2}))?");
    private static final Pattern REGION = Pattern.compile("(.*?)\\s+([A-Za-z_]+(?:/[A-Za-z_]+)+)");
    private static final DateTimeFormatter PLAIN = DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm:ss");

    private final ExprAdapter adapter;

    MaskedInstants(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    Expr read(Expr.Call call) {
        String constant = text(call, 0);
        Matcher mask = MASK.matcher(text(call, 1));
        Optional<String> literal = mask.matches()
                ? ofOffset(constant, mask.group(1)).or(() -> ofRegion(constant, mask.group(1)))
                : Optional.empty();
        if (literal.isEmpty()) {
            throw new Untranslatable(
                    "an instant that is read by a mask, unless both are constants and end in the zone");
        }
        adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "the instant that the mask reads: " + literal.get());
        return adapter.expr(new Expr.Literal(LiteralKind.ZONED_TIMESTAMP, literal.get(), call.span()));
    }

    private static Optional<String> ofOffset(String constant, String mask) {
        Matcher text = TEXT.matcher(constant);
        if (!text.matches()) {
            return Optional.empty();
        }
        String minutes = text.group(4) == null ? "00" : text.group(4);
        String offset = text.group(2) + String.format("%02d", Integer.parseInt(text.group(3))) + ":" + minutes;
        return MaskedDates.read(text.group(1), mask).map(m -> literal(m, offset));
    }

    /** The zone of a region at that time; none where clocks are put forward or back, and the time is none or two. */
    private static Optional<String> ofRegion(String constant, String mask) {
        Matcher text = REGION.matcher(constant);
        if (!text.matches()) {
            return Optional.empty();
        }
        return ZoneId.getAvailableZoneIds().stream()
                .filter(text.group(2)::equalsIgnoreCase)
                .findFirst()
                .flatMap(zone -> MaskedDates.read(text.group(1), mask).flatMap(m -> {
                    List<ZoneOffset> offsets = ZoneId.of(zone).getRules().getValidOffsets(m);
                    return offsets.size() == 1
                            ? Optional.of(literal(
                                    m,
                                    offsets.get(0).getTotalSeconds() == 0
                                            ? "+00:00"
                                            : offsets.get(0).getId()))
                            : Optional.empty();
                }));
    }

    private static String literal(LocalDateTime moment, String offset) {
        String fraction = moment.getNano() == 0 ? "" : String.format(".%06d", moment.getNano() / 1000);
        return PLAIN.format(moment) + fraction + " " + offset;
    }

    private static String text(Expr.Call call, int argument) {
        return call.arguments().get(argument) instanceof Expr.Literal l && l.kind() == LiteralKind.STRING
                ? l.text()
                : "";
    }
}
