package io.enthalpa.formats.document;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Finds what was meant by a misspelt word. */
final class Nearest {
    private Nearest() {}

    /** @return the word that takes the fewest changes, when those are at most a third of its letters or only its unit differs */
    static Optional<String> to(String written, List<String> known) {
        String plain = written.toLowerCase(Locale.ROOT);
        return known.stream()
                .filter(word -> stem(word).equals(stem(plain))
                        || distance(plain, word.toLowerCase(Locale.ROOT)) <= word.length() / 3)
                .min(Comparator.comparingInt(word -> distance(plain, word.toLowerCase(Locale.ROOT))));
    }

    private static String stem(String key) {
        return key.toLowerCase(Locale.ROOT).replaceFirst("_.*", "");
    }

    /** Letters put in, left out or changed: Levenshtein's distance, by rows. */
    private static int distance(String a, String b) {
        int[] row = new int[b.length() + 1];
        for (int j = 0; j <= b.length(); j++) {
            row[j] = j;
        }
        for (int i = 1; i <= a.length(); i++) {
            int diagonal = row[0];
            row[0] = i;
            for (int j = 1; j <= b.length(); j++) {
                int above = row[j];
                row[j] = Math.min(
                        Math.min(row[j], row[j - 1]) + 1, diagonal + (a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1));
                diagonal = above;
            }
        }
        return row[b.length()];
    }
}
