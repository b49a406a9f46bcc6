package raftcart.sql.parse;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;

/** The character sets that MySQL and MariaDB name before a text ("Supported Character Sets and Collations"). */
final class CharacterSets {
    private static final Map<String, String> NAMES = Map.ofEntries(
            Map.entry("ascii", "US-ASCII"),
            Map.entry("latin1", "windows-1252"),
            Map.entry("latin2", "ISO-8859-2"),
            Map.entry("latin5", "ISO-8859-9"),
            Map.entry("latin7", "ISO-8859-13"),
            Map.entry("cp1250", "windows-1250"),
            Map.entry("cp1251", "windows-1251"),
            Map.entry("cp1256", "windows-1256"),
            Map.entry("cp1257", "windows-1257"),
            Map.entry("cp850", "IBM850"),
            Map.entry("cp852", "IBM852"),
            Map.entry("cp866", "IBM866"),
            Map.entry("koi8r", "KOI8-R"),
            Map.entry("koi8u", "KOI8-U"),
            Map.entry("greek", "ISO-8859-7"),
            Map.entry("hebrew", "ISO-8859-8"),
            Map.entry("tis620", "TIS-620"),
            Map.entry("big5", "Big5"),
            Map.entry("gbk", "GBK"),
            Map.entry("gb2312", "GB2312"),
            Map.entry("sjis", "Shift_JIS"),
            Map.entry("ujis", "EUC-JP"),
            Map.entry("euckr", "EUC-KR"),
            Map.entry("ucs2", "UTF-16BE"),
            Map.entry("utf16", "UTF-16BE"),
            Map.entry("utf16le", "UTF-16LE"),
            Map.entry("utf32", "UTF-32BE"));

    private CharacterSets() {}

    /** The set of a name such as {@code utf8mb4}, without regard to case. */
    static Optional<Charset> named(String name) {
        String lower = name.toLowerCase(java.util.Locale.ROOT);
        if (lower.startsWith("utf8")) {
            return Optional.of(StandardCharsets.UTF_8);
        }
        return Optional.ofNullable(NAMES.get(lower))
                .filter(Charset::isSupported)
                .map(Charset::forName);
    }

    /** The text that bytes in hexadecimal digits stand for; empty where they are none. */
    static Optional<String> decoded(String digits, Charset set) {
        String even = digits.length() % 2 == 0 ? digits : "0" + digits;
        try {
            ByteBuffer bytes = ByteBuffer.wrap(HexFormat.of().parseHex(even));
            return Optional.of(set.newDecoder().decode(bytes).toString());
        } catch (CharacterCodingException | IllegalArgumentException e) {
            return Optional.empty(); // the caller says which text it is
        }
    }
}
