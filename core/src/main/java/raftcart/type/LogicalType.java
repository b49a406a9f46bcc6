package raftcart.type;

import com.fasterxml.jackson.annotation.JsonIgnore;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.fasterxml.jackson.annotation.JsonTypeInfo.Id;
import java.util.List;
import java.util.Objects;

/**
 * What a column can hold, independent of any engine. A dialect reads its own type names into these and writes these
 * as type names of its own.
 */
@JsonTypeInfo(use = Id.NAME, property = "kind")
@JsonSubTypes({
    @JsonSubTypes.Type(value = LogicalType.Bool.class, name = "boolean"),
    @JsonSubTypes.Type(value = LogicalType.Int.class, name = "integer"),
    @JsonSubTypes.Type(value = LogicalType.Decimal.class, name = "decimal"),
    @JsonSubTypes.Type(value = LogicalType.Floating.class, name = "floating"),
    @JsonSubTypes.Type(value = LogicalType.Char.class, name = "char"),
    @JsonSubTypes.Type(value = LogicalType.Varchar.class, name = "varchar"),
    @JsonSubTypes.Type(value = LogicalType.Text.class, name = "text"),
    @JsonSubTypes.Type(value = LogicalType.Binary.class, name = "binary"),
    @JsonSubTypes.Type(value = LogicalType.Varbinary.class, name = "varbinary"),
    @JsonSubTypes.Type(value = LogicalType.Blob.class, name = "blob"),
    @JsonSubTypes.Type(value = LogicalType.Bits.class, name = "bits"),
    @JsonSubTypes.Type(value = LogicalType.Date.class, name = "date"),
    @JsonSubTypes.Type(value = LogicalType.Time.class, name = "time"),
    @JsonSubTypes.Type(value = LogicalType.Duration.class, name = "duration"),
    @JsonSubTypes.Type(value = LogicalType.Timestamp.class, name = "timestamp"),
    @JsonSubTypes.Type(value = LogicalType.Year.class, name = "year"),
    @JsonSubTypes.Type(value = LogicalType.Enumeration.class, name = "enumeration"),
    @JsonSubTypes.Type(value = LogicalType.Members.class, name = "members"),
    @JsonSubTypes.Type(value = LogicalType.Json.class, name = "json"),
    @JsonSubTypes.Type(value = LogicalType.Uuid.class, name = "uuid"),
    @JsonSubTypes.Type(value = LogicalType.Address.class, name = "address"),
    @JsonSubTypes.Type(value = LogicalType.Array.class, name = "array"),
    @JsonSubTypes.Type(value = LogicalType.Opaque.class, name = "opaque")
})
public sealed interface LogicalType {

    /** The form in which a value of this type travels from a reader to a writer and is compared afterwards. */
    @JsonIgnore
    ValueForm form();

    /** Calls the visitor's method for this kind of type. */
    <R> R accept(TypeVisitor<R> visitor);

    /** True or false. */
    record Bool() implements LogicalType {
        @Override
        public ValueForm form() {
            return ValueForm.BOOLEAN;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitBool(this);
        }
    }

    /** A whole number of 8, 16, 24, 32 or 64 bits. */
    record Int(int bits, boolean unsigned) implements LogicalType {
        @Override
        public ValueForm form() {
            return ValueForm.INTEGER;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitInt(this);
        }
    }

    /** An exact decimal; precision 0 stands for a number without declared precision. */
    record Decimal(int precision, int scale, boolean unsigned) implements LogicalType {
        @Override
        public ValueForm form() {
            return ValueForm.DECIMAL;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitDecimal(this);
        }
    }

    /** The type of the same numbers from zero on; the type itself where it is not one of numbers. */
    default LogicalType withoutSign() {
        if (this instanceof Int i) {
            return new Int(i.bits(), true);
        }
        if (this instanceof Decimal d) {
            return new Decimal(d.precision(), d.scale(), true);
        }
        return this instanceof Floating f ? new Floating(f.bits(), true) : this;
    }

    /** A binary floating-point number of 32 or 64 bits (IEEE 754). */
    record Floating(int bits, boolean unsigned) implements LogicalType {
        public Floating(int bits) {
            this(bits, false);
        }

        @Override
        public ValueForm form() {
            return ValueForm.FLOATING;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitFloating(this);
        }
    }

    /** Blank-padded text of a fixed number of characters. */
    record Char(int length) implements LogicalType {
        @Override
        public ValueForm form() {
            return ValueForm.PADDED_TEXT;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitChar(this);
        }
    }

    /** Text of at most so many characters. */
    record Varchar(int length) implements LogicalType {
        @Override
        public ValueForm form() {
            return ValueForm.TEXT;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitVarchar(this);
        }
    }

    /** Text of at most so many bytes; 0 stands for no limit of its own. */
    record Text(long maxBytes) implements LogicalType {
        @Override
        public ValueForm form() {
            return ValueForm.TEXT;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitText(this);
        }
    }

    /** Exactly so many bytes. */
    record Binary(int length) implements LogicalType {
        @Override
        public ValueForm form() {
            return ValueForm.BYTES;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitBinary(this);
        }
    }

    /** At most so many bytes. */
    record Varbinary(int length) implements LogicalType {
        @Override
        public ValueForm form() {
            return ValueForm.BYTES;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitVarbinary(this);
        }
    }

    /** A large binary object of at most so many bytes; 0 stands for no limit of its own. */
    record Blob(long maxBytes) implements LogicalType {
        @Override
        public ValueForm form() {
            return ValueForm.BYTES;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitBlob(this);
        }
    }

    /** A string of bits; length 0 stands for a varying string without limit. */
    record Bits(int length, boolean varying) implements LogicalType {
        @Override
        public ValueForm form() {
            return ValueForm.BITS;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitBits(this);
        }
    }

    /** A calendar day. */
    record Date() implements LogicalType {
        @Override
        public ValueForm form() {
            return ValueForm.DATE;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitDate(this);
        }
    }

    /** A time of day with 0 to 6 fractional digits, with or without an offset. */
    record Time(int precision, boolean zoned) implements LogicalType {
        @Override
        public ValueForm form() {
            return zoned ? ValueForm.TEXT : ValueForm.TIME;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitTime(this);
        }
    }

    /** A signed span of hours, minutes and seconds, also beyond one day. */
    record Duration(int precision) implements LogicalType {
        @Override
        public ValueForm form() {
            return ValueForm.DURATION;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitDuration(this);
        }
    }

    /** A day and time; a zoned one is an instant, always carried in UTC. */
    record Timestamp(int precision, boolean zoned) implements LogicalType {
        @Override
        public ValueForm form() {
            return zoned ? ValueForm.INSTANT : ValueForm.TIMESTAMP;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitTimestamp(this);
        }
    }

    /** A calendar year. */
    record Year() implements LogicalType {
        @Override
        public ValueForm form() {
            return ValueForm.INTEGER;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitYear(this);
        }
    }

    /** One of a list of texts; {@code name} is empty where the engine declares the list with the column. */
    record Enumeration(String name, List<String> values) implements LogicalType {
        public Enumeration {
            Objects.requireNonNull(name, "name");
            values = List.copyOf(values);
        }

        @Override
        public ValueForm form() {
            return ValueForm.TEXT;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitEnumeration(this);
        }
    }

    /** Any number of a list of texts, written with commas between them. */
    record Members(List<String> values) implements LogicalType {
        public Members {
            values = List.copyOf(values);
        }

        @Override
        public ValueForm form() {
            return ValueForm.TEXT;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitMembers(this);
        }
    }

    /** A JSON document; {@code normalized} where the engine keeps the meaning but not the text. */
    record Json(boolean normalized) implements LogicalType {
        @Override
        public ValueForm form() {
            return ValueForm.TEXT;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitJson(this);
        }
    }

    /** A 128-bit identifier written as 8-4-4-4-12 hexadecimal digits. */
    record Uuid() implements LogicalType {
        @Override
        public ValueForm form() {
            return ValueForm.TEXT;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitUuid(this);
        }
    }

    /** The address of a network host, IPv4 or IPv6. */
    record Address() implements LogicalType {
        @Override
        public ValueForm form() {
            return ValueForm.TEXT;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitAddress(this);
        }
    }

    /** A list of values of one type; travels as a JSON array. */
    record Array(LogicalType element) implements LogicalType {
        public Array {
            Objects.requireNonNull(element, "element");
        }

        @Override
        public ValueForm form() {
            return ValueForm.TEXT;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitArray(this);
        }
    }

    /**
     * A type that only its own engine has; its values cross in their text form, or as bytes where {@code bytes} is
     * set.
     */
    record Opaque(String nativeName, boolean bytes) implements LogicalType {
        public Opaque {
            Objects.requireNonNull(nativeName, "nativeName");
        }

        /** True for a span of time, which several engines have, each with its own text form. */
        public boolean isInterval() {
            return nativeName.startsWith("interval");
        }

        /** True for an XML document, which several engines have. */
        public boolean isXml() {
            return nativeName.matches("xml|(sys\\.)?xmltype");
        }

        @Override
        public ValueForm form() {
            return bytes ? ValueForm.BYTES : ValueForm.TEXT;
        }

        @Override
        public <R> R accept(TypeVisitor<R> visitor) {
            return visitor.visitOpaque(this);
        }
    }
}
