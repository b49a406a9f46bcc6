package raftcart.cli.terminal;

/** The few styles in use, by what they mean. */
public enum Style {
    GOOD("32"),
    WARN("33"),
    BAD("31"),
    STRONG("1"),
    FAINT("2");

    static final String END = "\u001b[0m";

    private final String code;

    Style(String code) {
        this.code = code;
    }

    String start() {
        return "\u001b[" + code + "m";
    }
}
