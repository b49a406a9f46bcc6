package raftcart.plan;

import java.util.Collection;
import java.util.Comparator;
import java.util.Optional;

/** Finds the word that somebody probably meant. */
public final class Suggestion {
    private Suggestion() {}

    /** The known word nearest to the one given, if it is near at all. */
    public static Optional<String> nearest(String word, Collection<String> known) {
        int limit = Math.max(2, word.length() / 3);
        return known.stream()
                .filter(k -> distance(word, k) <= limit)
                .min(Comparator.comparingInt((String k) -> distance(word, k)).thenComparing(k -> k));
    }

    private static int distance(String a, String b) {
        int[] row = new int[b.length() + 1];
        for (int j = 0; j <= b.length(); j++) {
            row[j] = j;
        }
        for (int i = 1; i <= a.length(); i++) {
            int diagonal = row[0];
            row[0] = i;
            for (int j = 1; j <= b.length(); j++) {
                int change = a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1;
                int next = Math.min(Math.min(row[j], row[j - 1]) + 1, diagonal + change);
                diagonal = row[j];
                row[j] = next;
            }
        }
        return row[b.length()];
    }
}
