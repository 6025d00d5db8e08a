package io.enthalpa.server.builds;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;

/** The invented builds that are shipped with the program. */
public final class DemoFiles {
    private static final List<String> NAMES = List.of("juniper", "pass-van", "saltline", "pilot-launch");

    private DemoFiles() {}

    /** @return each as a build file */
    public static List<String> all() {
        return NAMES.stream().map(DemoFiles::text).toList();
    }

    /** @return a build file shipped with the program */
    static String text(String name) {
        try (InputStream in = DemoFiles.class.getResourceAsStream("/demo/" + name + ".json")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
