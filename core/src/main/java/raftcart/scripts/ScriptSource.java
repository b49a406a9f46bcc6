package raftcart.scripts;

import java.io.IOException;
import java.io.InputStream;
import java.io.Reader;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import raftcart.catalog.Catalog;
import raftcart.dialect.Language;
import raftcart.dialect.Languages;
import raftcart.error.CatalogException;
import raftcart.error.PlanException;
import raftcart.rewrite.TextSource;
import raftcart.sql.script.Piece;
import raftcart.sql.script.ScriptReader;
import raftcart.sql.tree.Statement;

/**
 * A file, or a folder of files, in one dialect ({@code scripts:DIALECT:PATH}). The files of a folder are read in the order
 * of their names, folders below it in their place, unless one makes tables that another before it needs.
 */
public final class ScriptSource {
    private static final Pattern KEYED_START =
            Pattern.compile("(?is)\\s*(insert\\s+(ignore|or\\s+(ignore|replace))|replace\\s+into|upsert)\\b");
    private static final Pattern KEYED_END = Pattern.compile("(?i)\\bon\\s+(duplicate\\s+key|conflict)\\b");

    /** The characters at the end of an INSERT among which it says what happens to rows whose key is there. */
    private static final int LONGEST_END = 2000;

    private static final Pattern URL = Pattern.compile("scripts:([^:]*):(.+)");

    /** What is no script in a folder of scripts. */
    private static final Pattern OTHER = Pattern.compile(
            "(?i).*\\.(md|zip|gz|bz2|xz|7z|tar|jar|png|jpe?g|gif|pdf|docx?|xlsx?|csv|json|xml|ya?ml|part)");

    private final Language language;
    private final Path path;
    private List<Path> ordered = List.of();

    private ScriptSource(Language language, Path path) {
        this.language = language;
        this.path = path;
    }

    /** True for a URL of script files. */
    public static boolean accepts(String url) {
        return url.startsWith("scripts:");
    }

    /**
     * The source that a URL names.
     *
     * @throws PlanException if it has another form or names an unknown dialect
     */
    public static ScriptSource of(String url) {
        Matcher matcher = URL.matcher(url);
        if (!matcher.matches()) {
            throw new PlanException(
                    "'" + url + "' is not of the form scripts:DIALECT:PATH",
                    "Name the dialect of the scripts and their file or folder; `raftcart rewrite --help` lists the dialects.");
        }
        Language language = Languages.named(matcher.group(1))
                .orElseThrow(() -> new PlanException(
                        "there is no dialect '" + matcher.group(1) + "'",
                        "The dialects are " + String.join(", ", Languages.names()) + "."));
        return new ScriptSource(language, Path.of(matcher.group(2)));
    }

    /** The dialect of the scripts. */
    public Language language() {
        return language;
    }

    /**
     * The database that the scripts leave behind.
     *
     * @throws CatalogException if there are no scripts, or one cannot be read
     */
    public Catalog read() {
        CatalogBuilder builder = new CatalogBuilder(language);
        List<Path> files = files();
        for (Path file : files) {
            pieces(file, piece -> builder.take(piece, file.getFileName().toString()));
        }
        return builder.catalog(files.size() + " script file(s)" + early(files));
    }

    /** Names the files that are read before others which stand before them by name. */
    private static String early(List<Path> files) {
        List<Path> late = files.stream().sorted().collect(Collectors.toCollection(LinkedList::new));
        List<String> names = new ArrayList<>();
        for (Path file : files) {
            if (!late.get(0).equals(file)) {
                names.add(file.getFileName().toString());
            }
            late.remove(file);
        }
        if (names.isEmpty()) {
            return "";
        }
        String more = names.size() > 3 ? " and " + (names.size() - 3) + " more" : "";
        return ", read first for their tables: " + String.join(", ", names.subList(0, Math.min(3, names.size())))
                + more;
    }

    private List<Path> files() {
        if (ordered.isEmpty()) {
            ordered = FileOrder.of(named(), language, this::pieces);
        }
        return ordered;
    }

    /** The files in the order of their names. */
    private List<Path> named() {
        if (Files.isRegularFile(path)) {
            return List.of(path);
        }
        try (Stream<Path> all = Files.walk(path)) {
            List<Path> files = all.filter(Files::isRegularFile)
                    .filter(f -> !f.getFileName().toString().startsWith("."))
                    .filter(f -> !OTHER.matcher(f.getFileName().toString()).matches())
                    .sorted()
                    .toList();
            if (files.isEmpty()) {
                throw new CatalogException(path + " holds no script files", "Name the folder with the scripts.");
            }
            return files;
        } catch (IOException e) {
            throw new CatalogException(path + " cannot be read", "Check the path after scripts:DIALECT:.", e);
        }
    }

    /**
     * Gives every statement that can be read, with its place.
     *
     * @return where the sequences stand after them
     * @throws CatalogException if there are no scripts, or one cannot be read
     */
    public DrawnSequences forEachStatement(Consumer<ScriptStatement> taker) {
        RowHistory history = new RowHistory(language);
        List<Path> files = files();
        for (Path file : files) {
            pieces(file, piece -> history.foresee(piece, file.getFileName().toString()));
        }
        BiConsumer<Statement, String> inEnd =
                (statement, place) -> history.next(statement, place).ifPresent(taker);
        for (Path file : files) {
            RowPieces rows = new RowPieces(language, file.getFileName().toString(), inEnd);
            pieces(file, rows::take);
        }
        return history.sequences();
    }

    /** True where rows hang on which keys are there already, so that the target needs its unique keys before them. */
    public boolean asksForKeys() {
        boolean[] asks = new boolean[1];
        for (Path file : files()) {
            pieces(file, piece -> asks[0] |= asksForKeys(piece));
        }
        return asks[0];
    }

    private static boolean asksForKeys(Piece piece) {
        boolean rows = piece.kind() == Piece.Kind.STATEMENT || piece.kind() == Piece.Kind.ROWS;
        String text = piece.text();
        return rows
                && (KEYED_START.matcher(text).lookingAt()
                        || KEYED_END
                                .matcher(text.substring(Math.max(0, text.length() - LONGEST_END)))
                                .find());
    }

    private void pieces(Path file, Consumer<Piece> taker) {
        try (InputStream in = Files.newInputStream(file);
                Reader text = TextSource.open(in, StandardCharsets.UTF_8)) {
            ScriptReader reader = new ScriptReader(text, language.grammar().lexical(), language.scripts());
            for (Optional<Piece> next = reader.next(); next.isPresent(); next = reader.next()) {
                taker.accept(next.get());
            }
        } catch (CharacterCodingException e) {
            throw new CatalogException(file + " is not UTF-8", "Save it as UTF-8, or with a byte order mark.", e);
        } catch (IOException e) {
            throw new CatalogException(
                    file + " cannot be read: " + e.getMessage(), "Leave nothing but scripts in the folder.", e);
        }
    }

    /** The same source by the whole path of its file or folder, wherever a command is run. */
    public String absoluteUrl() {
        if (!Files.exists(path)) {
            throw new PlanException(path + " does not exist", "Name the file or folder with the scripts.");
        }
        return "scripts:" + language.name() + ":" + path.toAbsolutePath().normalize();
    }

    /** The file or folder as the plan names it, or below a migration's folder where it is not to be found as it is. */
    public ScriptSource below(Path folder) {
        Path inside = folder.resolve(path);
        Optional<Path> found = Stream.of(path, inside).filter(Files::exists).findFirst();
        return new ScriptSource(language, found.orElse(path));
    }
}
