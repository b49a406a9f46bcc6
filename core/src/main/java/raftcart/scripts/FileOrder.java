package raftcart.scripts;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NavigableSet;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Consumer;
import raftcart.dialect.Language;
import raftcart.error.SqlSyntaxException;
import raftcart.sql.Lexer;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.script.Piece;

/**
 * The order of script files: that of their names, but for files that make tables which others, before them by name, fill
 * or change; run as they are named, they would fail on their own engine.
 */
final class FileOrder {
    /** Of statements with rows only the beginning is looked at. */
    private static final int HEAD = 2_000;

    private static final String[] CODE = {"PROCEDURE", "PROC", "FUNCTION", "TRIGGER", "PACKAGE", "EVENT"};

    private final Language language;
    private final Set<String> makes = new HashSet<>();
    private final Set<String> needs = new HashSet<>();
    private final Set<String> drops = new HashSet<>();

    private FileOrder(Language language) {
        this.language = language;
    }

    /** Gives the pieces of a file. */
    interface Pieces {
        void of(Path file, Consumer<Piece> taker);
    }

    /** What a file does with tables, by their names in lower case without schemas. */
    private record Tables(Path file, Set<String> makes, Set<String> needs, Set<String> drops) {
        private boolean mayFollow(Tables maker) {
            return drops.stream().noneMatch(maker.makes::contains);
        }
    }

    /** These files in the order in which they are to be read. */
    static List<Path> of(List<Path> files, Language language, Pieces pieces) {
        if (files.size() < 2) {
            return files;
        }
        List<Tables> all = new ArrayList<>();
        for (Path file : files) {
            FileOrder one = new FileOrder(language);
            pieces.of(file, one::take);
            one.needs.removeAll(one.makes);
            all.add(new Tables(file, one.makes, one.needs, one.drops));
        }
        return new Queue(all).ordered();
    }

    /** Takes the first file by name of those whose tables are made; where none is left, files need each other. */
    private static final class Queue {
        private final List<Tables> files;
        private final Map<String, List<Integer>> waiting = new HashMap<>();
        private final Set<String> made = new HashSet<>();
        private final NavigableSet<Integer> ready = new TreeSet<>();
        private final NavigableSet<Integer> left = new TreeSet<>();
        private final int[] wanted;

        Queue(List<Tables> files) {
            this.files = files;
            this.wanted = new int[files.size()];
            Map<String, List<Tables>> makers = new HashMap<>();
            files.forEach(f -> f.makes().forEach(t -> makers.computeIfAbsent(t, k -> new ArrayList<>())
                    .add(f)));
            for (int i = 0; i < files.size(); i++) {
                Tables file = files.get(i);
                for (String table : file.needs()) {
                    if (makers.getOrDefault(table, List.of()).stream().anyMatch(file::mayFollow)) {
                        waiting.computeIfAbsent(table, k -> new ArrayList<>()).add(i);
                        wanted[i]++;
                    }
                }
                left.add(i);
                if (wanted[i] == 0) {
                    ready.add(i);
                }
            }
        }

        List<Path> ordered() {
            List<Path> ordered = new ArrayList<>();
            while (!left.isEmpty()) {
                int next = ready.isEmpty() ? left.first() : ready.first();
                left.remove(next);
                ready.remove(next);
                files.get(next).makes().forEach(this::made);
                ordered.add(files.get(next).file());
            }
            return ordered;
        }

        private void made(String table) {
            if (!made.add(table)) {
                return;
            }
            for (int file : waiting.getOrDefault(table, List.of())) {
                if (--wanted[file] == 0 && left.contains(file)) {
                    ready.add(file);
                }
            }
        }
    }

    private void take(Piece piece) {
        if (piece.kind() != Piece.Kind.STATEMENT && piece.kind() != Piece.Kind.ROWS) {
            return;
        }
        String text = piece.text();
        boolean rows = text.regionMatches(true, 0, "INSERT", 0, 6) && text.length() > HEAD;
        try {
            List<Token> tokens = Lexer.tokens(
                    rows ? upToRows(text) : text, language.grammar().lexical());
            if (tokens.size() > 3 && tokens.stream().limit(5).noneMatch(t -> t.isAnyWord(CODE))) {
                read(new TokenCursor(tokens));
            }
        } catch (SqlSyntaxException e) {
            return; // what cannot be read is told where it is read as a whole
        }
    }

    private static String upToRows(String text) {
        int parenthesis = text.indexOf('(');
        return text.substring(0, parenthesis < 0 ? HEAD : Math.min(HEAD, parenthesis));
    }

    private void read(TokenCursor cursor) {
        while (!cursor.atEnd()) {
            if (cursor.takeWords("CREATE")) {
                created(cursor);
            } else if (cursor.takeWords("INSERT")) {
                inserted(cursor);
            } else if (cursor.takeWords("ALTER", "TABLE") || cursor.takeWords("REPLACE", "INTO")) {
                cursor.takeWords("IF", "EXISTS");
                cursor.takeWords("ONLY");
                name(cursor, 0, needs);
            } else if (cursor.takeWords("DROP", "TABLE")) {
                cursor.takeWords("IF", "EXISTS");
                name(cursor, 0, drops);
            } else if (cursor.takeWords("COMMENT", "ON", "TABLE")) {
                name(cursor, 0, needs);
            } else if (cursor.takeWords("COMMENT", "ON", "COLUMN")) {
                name(cursor, 1, needs);
            } else {
                cursor.take();
            }
        }
    }

    /** INSERT [IGNORE | OR REPLACE ...] [INTO] table. */
    private void inserted(TokenCursor cursor) {
        int words = 0;
        while (words < 4 && cursor.peek(words).kind() == TokenKind.WORD) {
            if (cursor.peek(words++).isWord("INTO")) {
                for (int i = 0; i < words; i++) {
                    cursor.take();
                }
                break;
            }
        }
        name(cursor, 0, needs);
    }

    private void created(TokenCursor cursor) {
        while (cursor.peek().isName() && !cursor.peek().isAnyWord("TABLE", "INDEX", "VIEW")) {
            cursor.take();
        }
        if (cursor.takeWords("TABLE")) {
            cursor.takeWords("IF", "NOT", "EXISTS");
            name(cursor, 0, makes);
        } else if (cursor.takeWords("INDEX")) {
            while (cursor.peek().isName() && !cursor.peek().isWord("ON")
                    || cursor.peek().isSymbol(".")) {
                cursor.take();
            }
            if (cursor.takeWords("ON")) {
                cursor.takeWords("ONLY");
                name(cursor, 0, needs);
            }
        }
    }

    /** A name with its schema, of which the part so many from the end is meant. */
    private static void name(TokenCursor cursor, int fromEnd, Set<String> into) {
        List<String> parts = new ArrayList<>();
        while (cursor.peek().isName()) {
            parts.add(cursor.take().value().strip().toLowerCase(Locale.ROOT));
            if (!cursor.takeSymbol(".")) {
                break;
            }
        }
        if (parts.size() > fromEnd) {
            into.add(parts.get(parts.size() - 1 - fromEnd));
        }
    }
}
