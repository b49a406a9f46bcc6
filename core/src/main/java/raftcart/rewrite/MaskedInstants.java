package raftcart.rewrite;

import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.LiteralKind;

/** Instants as constants with a mask that ends in the hours and minutes of the zone. */
final class MaskedInstants {
    private static final Pattern MASK = Pattern.compile("(?i)(.*?)\\s*TZH(?::?TZM)?");
    private static final Pattern TEXT = Pattern.compile("(.*?)\\s*([+-])(\\d{1,2})(?::?(\\d{2}))?");
    private static final DateTimeFormatter PLAIN = DateTimeFormatter.ofPattern("uuuu-MM-dd HH:mm:ss");

    private final ExprAdapter adapter;

    MaskedInstants(ExprAdapter adapter) {
        this.adapter = adapter;
    }

    Expr read(Expr.Call call) {
        String constant = text(call, 0);
        Matcher mask = MASK.matcher(text(call, 1));
        Matcher text = TEXT.matcher(constant);
        Optional<LocalDateTime> moment =
                mask.matches() && text.matches() ? MaskedDates.read(text.group(1), mask.group(1)) : Optional.empty();
        if (moment.isEmpty()) {
            throw new Untranslatable("an instant that is read by a mask, unless both are constants and end in hours and"
                    + " minutes of the zone");
        }
        String fraction = moment.get().getNano() == 0
                ? ""
                : String.format(".%06d", moment.get().getNano() / 1000);
        String minutes = text.group(4) == null ? "00" : text.group(4);
        String literal = PLAIN.format(moment.get()) + fraction + " " + text.group(2)
                + String.format("%02d", Integer.parseInt(text.group(3))) + ":" + minutes;
        adapter.note(FindingCode.SYNTAX_ADAPTED, call.span(), "the instant that the mask reads: " + literal);
        return adapter.expr(new Expr.Literal(LiteralKind.ZONED_TIMESTAMP, literal, call.span()));
    }

    private static String text(Expr.Call call, int argument) {
        return call.arguments().get(argument) instanceof Expr.Literal l && l.kind() == LiteralKind.STRING
                ? l.text()
                : "";
    }
}
