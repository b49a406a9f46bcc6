package raftcart.plan;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.error.PlanException;

/** Passwords stand in a plan as {@code ${env:NAME}} or {@code ${file:PATH}}; this finds what they refer to. */
public final class Secrets {
    private static final Pattern REFERENCE = Pattern.compile("\\$\\{(\\w+):([^}]*)}");
    private static final Pattern PASSWORD_IN_URL = Pattern.compile("(?i)([?&;])(password|pwd)=([^&;]*)");
    private static final Pattern USER_INFO = Pattern.compile("//([^/@:]*):([^/@]*)@");

    private Secrets() {}

    /**
     * The text with all references replaced.
     *
     * @throws PlanException if a variable is not set or a file cannot be read
     */
    public static String resolve(String text, UnaryOperator<String> environment) {
        Matcher matcher = REFERENCE.matcher(text);
        StringBuilder resolved = new StringBuilder();
        while (matcher.find()) {
            matcher.appendReplacement(
                    resolved, Matcher.quoteReplacement(lookUp(matcher.group(1), matcher.group(2), environment)));
        }
        matcher.appendTail(resolved);
        return resolved.toString();
    }

    private static String lookUp(String kind, String name, UnaryOperator<String> environment) {
        switch (kind) {
            case "env":
                String value = environment.apply(name);
                if (value == null) {
                    throw new PlanException(
                            "the environment variable " + name + " is not set", "Set it, or change the reference.");
                }
                return value;
            case "file":
                try {
                    return Files.readString(Path.of(name)).strip();
                } catch (IOException e) {
                    throw new PlanException(
                            "the file " + name + " that holds a password cannot be read",
                            "Check that it exists and that you may read it.",
                            e);
                }
            default:
                throw new PlanException(
                        "reference ${" + kind + ":...} is not known", "Use ${env:NAME} or ${file:PATH}.");
        }
    }

    /** The URL with the values of passwords replaced by stars; references stay readable. */
    public static String mask(String url) {
        String masked = PASSWORD_IN_URL
                .matcher(url)
                .replaceAll(m -> Matcher.quoteReplacement(
                        m.group(1) + m.group(2) + "=" + (isReference(m.group(3)) ? m.group(3) : "***")));
        return USER_INFO.matcher(masked).replaceAll("//$1:***@");
    }

    /** The password that a URL holds in plain text, if it does. */
    public static Optional<String> plainPassword(String url) {
        Matcher matcher = PASSWORD_IN_URL.matcher(url);
        return matcher.find() && !isReference(matcher.group(3)) ? Optional.of(matcher.group(3)) : Optional.empty();
    }

    /** The URL without its password parameter. */
    public static String withoutPassword(String url) {
        String cut = PASSWORD_IN_URL.matcher(url).replaceAll(m -> m.group(1).equals("?") ? "?" : "");
        return cut.replace("?&", "?").replaceAll("[?]$", "");
    }

    private static boolean isReference(String value) {
        return REFERENCE.matcher(value).matches();
    }
}
