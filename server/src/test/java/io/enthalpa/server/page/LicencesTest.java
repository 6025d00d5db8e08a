package io.enthalpa.server.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.jar.JarEntry;
import java.util.jar.JarFile;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The page shows the licence of every jar and font that ships; what it shows is committed and made anew here with
 * {@code -Dupdate.licences=true}. The scripts' own are written when the page is built.
 */
class LicencesTest {
    private static final Path COMMITTED = Path.of("src/main/resources/static/licences-jars.json");
    private static final Path FONT = Path.of("../web/node_modules/@fontsource-variable/archivo");
    private static final Pattern JAR = Pattern.compile("(.+?)-(\\d[\\w.]*)\\.jar");
    private static final Pattern LICENCE =
            Pattern.compile("META-INF/[^/]*(licen[cs]e|notice)[^/]*", Pattern.CASE_INSENSITIVE);
    /** What jars without a text of their own say in their project descriptions; of two, the one taken. */
    private static final Map<String, String> TOLD_ELSEWHERE = Map.of(
            "error_prone_annotations", "Apache-2.0",
            "h2", "MPL-2.0",
            "jspecify", "Apache-2.0",
            "logback-classic", "EPL-2.0",
            "logback-core", "EPL-2.0",
            "snakeyaml", "Apache-2.0");

    private final ObjectNode root = JsonMapper.shared().createObjectNode();
    private final ArrayNode parts = root.putArray("parts");
    private final ObjectNode texts = root.putObject("texts");
    private final Map<String, String> known = new LinkedHashMap<>();

    @Test
    void everyJarAndFontThatShipsHasItsLicence() throws IOException {
        for (String path :
                Files.readString(Path.of("target/ships.txt")).strip().split(Pattern.quote(File.pathSeparator))) {
            File file = new File(path);
            Matcher name = JAR.matcher(file.getName());
            // Starters hold nothing and are left out of the package.
            boolean other =
                    !file.getName().startsWith("enthalpa-") && !file.getName().contains("-starter");
            if (other && name.matches()) {
                jar(file, name.group(1), name.group(2));
            }
        }
        String version = JsonMapper.shared()
                .readTree(Files.readString(FONT.resolve("package.json")))
                .get("version")
                .asString();
        part("Archivo, font", version, "OFL-1.1", List.of(Files.readString(FONT.resolve("LICENSE"))));
        String made =
                JsonMapper.builder().build().writerWithDefaultPrettyPrinter().writeValueAsString(root) + "\n";
        if (Boolean.getBoolean("update.licences")) {
            Files.createDirectories(COMMITTED.getParent());
            Files.writeString(COMMITTED, made);
        }
        assertThat(Files.readString(COMMITTED))
                .as("licences of what ships; -Dupdate.licences=true writes them anew")
                .isEqualTo(made);
    }

    private void jar(File file, String name, String version) throws IOException {
        List<String> found = new ArrayList<>();
        try (JarFile jar = new JarFile(file)) {
            for (JarEntry entry : jar.stream()
                    .filter(e -> LICENCE.matcher(e.getName()).matches())
                    .toList()) {
                found.add(new String(jar.getInputStream(entry).readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        String told = TOLD_ELSEWHERE.get(name);
        if (told != null) {
            found.add(0, Files.readString(Path.of("src/licences/" + told + ".txt")));
        }
        assertThat(found)
                .as(name + " has no licence in it: say in this test which it is under")
                .isNotEmpty();
        part(name, version, told == null ? identifier(found) : told, found);
    }

    private static String identifier(List<String> texts) {
        String all = String.join("\n", texts);
        return all.contains("Apache License")
                ? "Apache-2.0"
                : all.contains("Eclipse Public License")
                        ? "EPL-2.0"
                        : all.contains("Permission is hereby granted") ? "MIT" : "see text";
    }

    private void part(String name, String version, String licence, List<String> own) {
        ArrayNode says = parts.addObject()
                .put("name", name)
                .put("version", version)
                .put("licence", licence)
                .putArray("texts");
        for (String text : own) {
            String plain =
                    text.replace("\r\n", "\n").replaceAll("(?m)[ \\t]+$", "").strip();
            String id = known.computeIfAbsent(plain, t -> "t" + (known.size() + 1));
            texts.put(id, plain);
            says.add(id);
        }
    }
}
