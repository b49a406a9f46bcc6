package raftcart.sql.function;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * A text with places for arguments: {@code $name} for one, {@code $name...} for all further ones with commas between,
 * {@code [...]} for a part that is there only if its arguments are.
 */
public final class Template {
    private final List<Part> parts;
    private final Set<String> required;
    private final Set<String> mentioned;

    private Template(List<Part> parts) {
        this.parts = List.copyOf(parts);
        this.required = names(this.parts, false);
        this.mentioned = names(this.parts, true);
    }

    /** A piece of a template. */
    sealed interface Part {}

    record Text(String text) implements Part {}

    /** An argument; {@code enclosed} where commas or parentheses stand on both sides of it. */
    record Slot(String name, boolean rest, boolean enclosed) implements Part {}

    record Optionally(List<Part> parts) implements Part {}

    static Template parse(String source) {
        Reader reader = new Reader(source);
        List<Part> parts = reader.parts(false);
        return new Template(parts);
    }

    List<Part> parts() {
        return parts;
    }

    /** The names that have to be given. */
    Set<String> required() {
        return required;
    }

    /** All names that appear. */
    Set<String> mentioned() {
        return mentioned;
    }

    private static Set<String> names(List<Part> parts, boolean optional) {
        Set<String> names = new LinkedHashSet<>();
        collect(parts, names, optional);
        return Collections.unmodifiableSet(names);
    }

    private static void collect(List<Part> parts, Set<String> names, boolean optional) {
        for (Part part : parts) {
            if (part instanceof Slot slot && (optional || !slot.rest())) {
                names.add(slot.name());
            } else if (part instanceof Optionally inner && optional) {
                collect(inner.parts(), names, true);
            }
        }
    }

    /** How arguments become text. */
    public interface Arguments {
        /** True where this argument is given. */
        boolean has(String name);

        /** The argument's text, in parentheses where it would otherwise run into what stands beside it. */
        String text(String name, boolean enclosed);
    }

    /** The text with its places filled. */
    public String fill(Arguments arguments) {
        StringBuilder text = new StringBuilder();
        fill(parts, arguments, text);
        return text.toString();
    }

    private static void fill(List<Part> parts, Arguments arguments, StringBuilder text) {
        for (Part part : parts) {
            if (part instanceof Text fixed) {
                text.append(fixed.text());
            } else if (part instanceof Slot slot) {
                text.append(arguments.text(slot.name(), slot.enclosed()));
            } else if (part instanceof Optionally inner) {
                Set<String> names = new LinkedHashSet<>();
                collect(inner.parts(), names, true);
                if (names.stream().allMatch(arguments::has)) {
                    fill(inner.parts(), arguments, text);
                }
            }
        }
    }

    /** Cuts a template into parts. */
    private static final class Reader {
        private final String source;
        private int position;

        Reader(String source) {
            this.source = source;
        }

        List<Part> parts(boolean inner) {
            List<Part> parts = new ArrayList<>();
            StringBuilder text = new StringBuilder();
            while (position < source.length()) {
                char c = source.charAt(position);
                if (c == '\\' && position + 1 < source.length()) {
                    text.append(source.charAt(position + 1));
                    position += 2;
                } else if (c == '[') {
                    flush(parts, text);
                    position++;
                    parts.add(new Optionally(parts(true)));
                } else if (c == ']' && inner) {
                    flush(parts, text);
                    position++;
                    return parts;
                } else if (c == '$' && position + 1 < source.length() && isName(source.charAt(position + 1))) {
                    flush(parts, text);
                    parts.add(slot());
                } else {
                    text.append(c);
                    position++;
                }
            }
            if (inner) {
                throw new IllegalArgumentException("a [ is not closed in: " + source);
            }
            flush(parts, text);
            return parts;
        }

        private static boolean isName(char c) {
            return Character.isLetterOrDigit(c) || c == '_';
        }

        private static void flush(List<Part> parts, StringBuilder text) {
            if (text.length() > 0) {
                parts.add(new Text(text.toString()));
                text.setLength(0);
            }
        }

        private Slot slot() {
            int start = position + 1;
            int end = start;
            while (end < source.length() && isName(source.charAt(end))) {
                end++;
            }
            boolean rest = source.startsWith("...", end);
            boolean opens = isBoundary(before(position - 1), "(,");
            position = rest ? end + 3 : end;
            boolean closes = isBoundary(after(position), "),");
            return new Slot(source.substring(start, end), rest, opens && closes);
        }

        private static boolean isBoundary(char c, String marks) {
            return marks.indexOf(c) >= 0;
        }

        private char before(int from) {
            int at = from;
            while (at >= 0 && (source.charAt(at) == ' ' || source.charAt(at) == '[')) {
                at--;
            }
            return at >= 0 ? source.charAt(at) : ' ';
        }

        private char after(int from) {
            int at = from;
            while (at < source.length() && " []".indexOf(source.charAt(at)) >= 0) {
                at++;
            }
            return at < source.length() ? source.charAt(at) : ' ';
        }
    }
}
