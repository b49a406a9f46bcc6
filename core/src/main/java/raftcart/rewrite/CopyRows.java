package raftcart.rewrite;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.dialect.Language;
import raftcart.sql.parse.StatementParser;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.Statement.Insert;

/** COPY blocks of dumps ("COPY, Text Format" of PostgreSQL's manual): a statement, and lines of data after it. */
public final class CopyRows {
    private static final int LONGEST = 4000;
    private static final Pattern COPY = Pattern.compile("(?is)\\s*copy\\s+(.+?)\\s+from\\s+stdin\\b(.*)");

    private CopyRows() {}

    /** True for a statement that announces lines of data. */
    public static boolean isCopy(String statement) {
        return statement.length() < LONGEST && COPY.matcher(statement).matches();
    }

    /** The table, with its columns if they are named, of lines in the usual format; empty for other formats. */
    public static Optional<String> target(String statement) {
        Matcher m = COPY.matcher(statement);
        boolean other = !m.matches()
                || m.group(2).toLowerCase(Locale.ROOT).matches("(?s).*\\b(csv|binary|delimiter|null)\\b.*");
        return other ? Optional.empty() : Optional.of(m.group(1));
    }

    /** An INSERT into the table, with a row that is to be replaced. */
    public static Optional<Insert> insert(String target, Language language, int line) {
        Optional<Statement> statement = StatementParser.parse(
                        "insert into " + target + " values (1)", language.grammar(), line, 1)
                .statements()
                .get(0)
                .statement();
        return statement.map(Insert.class::cast);
    }

    /** The lines of data, of which an empty one is a row with an empty text. */
    public static List<String> lines(String data) {
        String rows = data.endsWith("\n") ? data.substring(0, data.length() - 1) : data;
        return data.isEmpty() ? List.of() : List.of(rows.split("\n", -1));
    }

    /** The fields of a line: NULL or texts. */
    public static List<Expr> values(String line) {
        String row = line.endsWith("\r") ? line.substring(0, line.length() - 1) : line;
        List<Expr> values = new ArrayList<>();
        for (String field : row.split("\t", -1)) {
            values.add(field.equals("\\N") ? Expr.Literal.ofNull() : Expr.Literal.string(unescaped(field)));
        }
        return values;
    }

    private static String unescaped(String field) {
        if (field.indexOf('\\') < 0) {
            return field;
        }
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < field.length(); i++) {
            char c = field.charAt(i);
            if (c != '\\' || i + 1 == field.length()) {
                text.append(c);
                continue;
            }
            char next = field.charAt(++i);
            text.append(
                    switch (next) {
                        case 'n' -> '\n';
                        case 't' -> '\t';
                        case 'r' -> '\r';
                        case 'b' -> '\b';
                        case 'f' -> '\f';
                        case 'v' -> '\u000b';
                        default -> next;
                    });
        }
        return text.toString();
    }
}
