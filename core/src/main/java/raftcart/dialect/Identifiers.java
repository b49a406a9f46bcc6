package raftcart.dialect;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Collectors;
import raftcart.catalog.ObjectName;

/**
 * How an engine writes names. Names are always quoted, so that case, reserved words and odd characters never matter.
 *
 * @param quote the character on both sides of a quoted name
 * @param longest the greatest length of a name
 * @param countsBytes true where that length is in bytes of UTF-8 rather than in characters
 */
public record Identifiers(char quote, int longest, boolean countsBytes) {

    /** The name in quotes. */
    public String quote(String name) {
        String mark = String.valueOf(quote);
        return mark + name.replace(mark, mark + mark) + mark;
    }

    /** Schema and name in quotes with a point between; the name alone where the schema is empty. */
    public String quote(ObjectName name) {
        return name.schema().isEmpty() ? quote(name.name()) : quote(name.schema()) + "." + quote(name.name());
    }

    /** The names in quotes with commas between. */
    public String quoteAll(List<String> names) {
        return names.stream().map(this::quote).collect(Collectors.joining(", "));
    }

    /** True where the engine takes the name at its full length. */
    public boolean fits(String name) {
        return length(name) <= longest;
    }

    /**
     * The name itself where it fits; otherwise its beginning and eight hexadecimal digits that depend on the whole
     * name, so that the same name is shortened in the same way every time and two long names stay apart.
     */
    public String shorten(String name) {
        if (fits(name)) {
            return name;
        }
        String suffix = String.format("_%08x", name.hashCode());
        String head = name;
        while (length(head) + suffix.length() > longest) {
            head = head.substring(0, head.offsetByCodePoints(head.length(), -1));
        }
        return head + suffix;
    }

    private int length(String name) {
        return countsBytes ? name.getBytes(StandardCharsets.UTF_8).length : name.codePointCount(0, name.length());
    }
}
