package io.enthalpa.formats;

/** Keeps what the PDF library remembers of the machine's fonts out of the user's own folder. */
final class PdfFonts {
    private static final String CACHE = "pdfbox.fontcache";

    private PdfFonts() {}

    static void quiet() {
        if (System.getProperty(CACHE) == null) {
            System.setProperty(CACHE, System.getProperty("java.io.tmpdir"));
        }
    }
}
