package io.enthalpa.server.home;

import io.enthalpa.core.build.Answer;
import io.enthalpa.formats.BuildFile;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URISyntaxException;
import java.net.URL;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.CRC32C;

/** Tells one state of the computation from another by what it is made of, so that no verdict of an earlier one is shown as this one's. */
final class ProgramStamp {
    private ProgramStamp() {}

    /** @return the same for the same core and formats, however they are packed */
    static String now() {
        try {
            CRC32C sum = new CRC32C();
            for (Class<?> part : List.of(Answer.class, BuildFile.class)) {
                add(part.getProtectionDomain().getCodeSource().getLocation(), sum);
            }
            return Long.toHexString(sum.getValue());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (URISyntaxException e) {
            throw new IllegalStateException(e);
        }
    }

    private static void add(URL where, CRC32C sum) throws IOException, URISyntaxException {
        if (where.getProtocol().equals("file") && Files.isDirectory(Path.of(where.toURI()))) {
            try (Stream<Path> classes = Files.walk(Path.of(where.toURI()))) {
                for (Path file : classes.filter(Files::isRegularFile).sorted().toList()) {
                    sum.update(Files.readAllBytes(file));
                }
            }
        } else {
            // A library inside a library is told as the jar that holds it: "jar:nested:/app.jar/!lib/core.jar!/".
            String text = where.toString();
            URL library = text.endsWith("!/") && text.startsWith("jar:")
                    ? new URL(text.substring(4, text.length() - 2))
                    : where;
            try (InputStream in = library.openStream()) {
                byte[] buffer = new byte[64 * 1024];
                for (int read = in.read(buffer); read >= 0; read = in.read(buffer)) {
                    sum.update(buffer, 0, read);
                }
            }
        }
    }
}
