package io.enthalpa.core.source;

/**
 * Where a formula or number comes from.
 *
 * @param author    author or body, "Rennels & Hudson"
 * @param year      year of publication; 0 for common practice without one
 * @param title     title and place within it
 * @param standing  how far it can be trusted
 */
public record Citation(String author, int year, String title, Standing standing) {

    /** How well founded a statement is. */
    public enum Standing {
        /** A published formula or table. */
        PUBLISHED,
        /** Published, but written down here from memory. */
        FROM_MEMORY,
        /** Common practice, no source. */
        COMMON_PRACTICE
    }

    public static Citation published(String author, int year, String title) {
        return new Citation(author, year, title, Standing.PUBLISHED);
    }

    public static Citation fromMemory(String author, int year, String title) {
        return new Citation(author, year, title, Standing.FROM_MEMORY);
    }

    public static Citation commonPractice(String what) {
        return new Citation("", 0, what, Standing.COMMON_PRACTICE);
    }

    /** @return one line for the reader */
    public String line() {
        return switch (standing) {
            case PUBLISHED -> author + " (" + year + "), " + title;
            case FROM_MEMORY -> author + " (" + year + "), " + title + "; from memory";
            case COMMON_PRACTICE -> title + "; common practice, no source";
        };
    }
}
