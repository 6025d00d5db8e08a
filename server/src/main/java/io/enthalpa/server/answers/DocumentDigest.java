package io.enthalpa.server.answers;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import tools.jackson.databind.JsonNode;

/** A short name of a document's content, by which answers about it are known again. */
public final class DocumentDigest {
    private DocumentDigest() {}

    public static String of(JsonNode document) {
        return of(document.toString());
    }

    /** @return SHA-256 in hexadecimal */
    public static String of(String text) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
