package raftcart.catalog;

import com.fasterxml.jackson.annotation.JsonValue;

/** The kinds of object that a database holds, with the word used for one. */
public enum ObjectKind {
    SCHEMA("schema"),
    TYPE("type"),
    SEQUENCE("sequence"),
    TABLE("table"),
    INDEX("index"),
    FOREIGN_KEY("foreign key"),
    VIEW("view"),
    MATERIALIZED_VIEW("materialized view"),
    FUNCTION("function"),
    PROCEDURE("procedure"),
    PACKAGE("package"),
    TRIGGER("trigger"),
    EVENT("event"),
    RULE("rule"),
    POLICY("policy"),
    CONSTRAINT("constraint"),
    STATISTICS("statistics object"),
    FOREIGN_TABLE("foreign table"),
    EXTENSION("extension"),
    ROLE("role"),
    GRANT("grant"),
    DEFAULT_RIGHT("default right"),
    SYNONYM("synonym"),
    COMMENT("comment"),
    COLLATION("collation"),
    CAST("cast"),
    OPERATOR("operator"),
    TEXT_SEARCH("text search object"),
    FOREIGN_SERVER("foreign server"),
    PUBLICATION("publication"),
    EVENT_TRIGGER("event trigger"),
    LARGE_OBJECT("large object"),
    SETTING("setting"),
    /** A statement of a script that could not be taken into account. */
    STATEMENT("statement");

    private final String word;

    ObjectKind(String word) {
        this.word = word;
    }

    /** The word used for one object of this kind. */
    @JsonValue
    public String word() {
        return word;
    }

    /** The word with its article: {@code a view}, {@code an index}. */
    public String indefinite() {
        return ("aeiou".indexOf(word.charAt(0)) < 0 ? "a " : "an ") + word;
    }

    /** The word as a part of a file name. */
    public String fileWord() {
        return word.replace(' ', '-');
    }
}
