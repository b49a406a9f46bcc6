package raftcart.dialect;

import java.util.Collections;
import java.util.HashSet;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import raftcart.dialect.write.SqlWriter;
import raftcart.dialect.write.WriterContext;
import raftcart.sql.FlagSet;
import raftcart.sql.LexicalFeature;
import raftcart.sql.function.FunctionDictionary;
import raftcart.sql.parse.Grammar;
import raftcart.sql.script.ScriptFeature;
import raftcart.sql.tree.Name;

/**
 * The SQL of an engine: how it is read, what it can say, and how it is written.
 *
 * @param name the name by which users choose it, in lower case
 * @param quotes the characters around a quoted name
 * @param longestName the greatest number of characters of a name
 * @param reserved words that cannot be names without quotes, in lower case
 * @param dummyTable what stands in FROM where nothing is read; empty where FROM may be left out
 * @param defaultSchema the schema of names without one, where it has a name of its own; empty elsewhere
 * @param masks how the dialect writes format masks of dates
 * @param scripts what stands in scripts besides statements
 * @param writer makes what writes statements
 * @param quotesAll true where names whose case is known are quoted even if they need not be
 */
public record Language(
        String name,
        Grammar grammar,
        String quotes,
        int longestName,
        Set<String> reserved,
        Set<SqlFeature> features,
        NullOrder nulls,
        PagingStyle paging,
        String dummyTable,
        String defaultSchema,
        MaskStyle masks,
        Set<ScriptFeature> scripts,
        Supplier<FunctionDictionary> dictionary,
        Supplier<TypeTable> typeTable,
        Function<WriterContext, SqlWriter> writer,
        boolean quotesAll) {
    public Language {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(grammar, "grammar");
        reserved = Collections.unmodifiableSet(new HashSet<>(reserved));
        features = FlagSet.copyOf(SqlFeature.class, features);
        scripts = Set.copyOf(scripts);
    }

    /** A dialect that quotes names only where they need it. */
    public Language(
            String name,
            Grammar grammar,
            String quotes,
            int longestName,
            Set<String> reserved,
            Set<SqlFeature> features,
            NullOrder nulls,
            PagingStyle paging,
            String dummyTable,
            String defaultSchema,
            MaskStyle masks,
            Set<ScriptFeature> scripts,
            Supplier<FunctionDictionary> dictionary,
            Supplier<TypeTable> typeTable,
            Function<WriterContext, SqlWriter> writer) {
        this(
                name,
                grammar,
                quotes,
                longestName,
                reserved,
                features,
                nulls,
                paging,
                dummyTable,
                defaultSchema,
                masks,
                scripts,
                dictionary,
                typeTable,
                writer,
                false);
    }

    /** True where the dialect has the feature. */
    public boolean has(SqlFeature feature) {
        return features.contains(feature);
    }

    /** The functions. */
    public FunctionDictionary functions() {
        return dictionary.get();
    }

    /** The types. */
    public TypeTable types() {
        return typeTable.get();
    }

    /** The name as it is written: in quotes only where it needs them. */
    public String write(Name name) {
        String text = name.text();
        boolean regular = isRegular(text) && !reserved.contains(text.toLowerCase(Locale.ROOT));
        if (regular
                && (!name.exact() || !quotesAll && grammar.names().fold(text).equals(text))) {
            return text;
        }
        String stored = name.exact() ? text : grammar.names().fold(text);
        char close = quotes.charAt(1);
        return quotes.charAt(0) + stored.replace(String.valueOf(close), "" + close + close) + close;
    }

    private boolean isRegular(String text) {
        if (text.isEmpty()
                || !(Character.isLetter(text.charAt(0))
                        || text.charAt(0) == '_'
                        || (text.charAt(0) == '#' && grammar.lexical().has(LexicalFeature.NUMBER_SIGN_NAMES)))) {
            return false;
        }
        for (int i = 1; i < text.length(); i++) {
            char c = text.charAt(i);
            if (!(c == '_' || (c >= '0' && c <= '9') || Character.isLetter(c))) {
                return false;
            }
        }
        return true;
    }

    /** The same dialect with other functions and types. */
    public Language with(Supplier<FunctionDictionary> functions, Supplier<TypeTable> types) {
        return new Language(
                name,
                grammar,
                quotes,
                longestName,
                reserved,
                features,
                nulls,
                paging,
                dummyTable,
                defaultSchema,
                masks,
                scripts,
                functions,
                types,
                writer,
                quotesAll);
    }

    /** The same dialect under another name. */
    public Language named(String other) {
        return new Language(
                other,
                grammar,
                quotes,
                longestName,
                reserved,
                features,
                nulls,
                paging,
                dummyTable,
                defaultSchema,
                masks,
                scripts,
                dictionary,
                typeTable,
                writer,
                quotesAll);
    }

    /** The same dialect, with names in quotes wherever their case is known, as generated scripts have them. */
    public Language quotingAll() {
        return new Language(
                name,
                grammar,
                quotes,
                longestName,
                reserved,
                features,
                nulls,
                paging,
                dummyTable,
                defaultSchema,
                masks,
                scripts,
                dictionary,
                typeTable,
                writer,
                true);
    }
}
