package io.enthalpa.formats;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.uncertainty.Calibration;
import io.enthalpa.formats.document.BuildDocument;
import tools.jackson.core.JacksonException;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The open build file: JSON, UTF-8, one build with its duty and options, every number with its unit in its key
 * ({@code boost_kPa}). Described in docs/build-file.md.
 */
public final class BuildFile {
    /** Value of {@code format} in every build file. */
    public static final String FORMAT = "enthalpa-build";
    /** The version written, and the latest one read. */
    public static final int VERSION = 7;
    /** Largest file read, in characters. */
    public static final int LARGEST = 4_000_000;

    private static final JsonMapper MAPPER = BuildDocument.mapper();

    private BuildFile() {}

    /**
     * @param text a whole file
     * @return the build in it
     * @throws EnthalpaFault {@link FaultKind#MALFORMED} with line and column when it is not JSON, is of a later version, or has a
     *                       key that is not known; {@link FaultKind#OUT_OF_RANGE} and others by field
     */
    public static Build read(String text) {
        return read(parse(text));
    }

    /** As {@link #read(String)}, from a tree already parsed. */
    public static Build read(JsonNode tree) {
        checkFormat(tree);
        return BuildDocument.read(tree);
    }

    /** @return the tree of a whole file; only its syntax is checked */
    public static JsonNode parse(String text) {
        if (text.length() > LARGEST) {
            throw malformed("%d characters".formatted(text.length()), "at most %d".formatted(LARGEST), "");
        }
        try {
            JsonNode tree = MAPPER.readTree(text);
            if (tree == null || tree.isMissingNode()) {
                throw malformed("empty", "a build exported by Enthalpa", "");
            }
            return tree;
        } catch (JacksonException e) {
            throw malformed(
                    where(e) + reason(e),
                    "JSON",
                    "The file may be cut short or edited by hand; export it again from the build's page.");
        }
    }

    /**
     * @param tree a build file of any version
     * @return the same build as a file of this version, every row with its identity
     * @throws EnthalpaFault as {@link #read(String)}
     */
    public static ObjectNode normal(JsonNode tree) {
        ObjectNode normal = tree(read(tree));
        RowIdentities.carry(tree, normal);
        return normal;
    }

    private static String where(JacksonException e) {
        TokenStreamLocation at = e.getLocation();
        return at == null ? "" : "line %d, column %d: ".formatted(at.getLineNr(), at.getColumnNr());
    }

    private static String reason(JacksonException e) {
        String message = e.getOriginalMessage();
        return message.startsWith("Unexpected end-of-input")
                ? "it ends in the middle"
                : message.contains("Duplicate") ? message : "not readable as JSON";
    }

    private static void checkFormat(JsonNode tree) {
        JsonNode format = tree.get("format");
        if (format == null || !format.isString() || !format.stringValue().equals(FORMAT)) {
            throw malformed(
                    "it is not an Enthalpa build",
                    "\"format\": \"" + FORMAT + "\" at its top",
                    "Choose a file exported from a build's page.");
        }
        JsonNode version = tree.get("version");
        if (version == null || !version.isInt() || version.intValue() < 1) {
            throw malformed("it has no version", "\"version\": " + VERSION, "");
        }
        if (version.intValue() > VERSION) {
            throw malformed(
                    "it is of version %d".formatted(version.intValue()),
                    "version %d or earlier".formatted(VERSION),
                    "It was written by a later Enthalpa: open it with that one, or update this one.");
        }
    }

    private static EnthalpaFault malformed(String found, String expected, String remedy) {
        return EnthalpaFault.of(FaultKind.MALFORMED, "", "build file", found, expected, remedy);
    }

    /** @return the build as text, indented */
    public static String write(Build build) {
        return MAPPER.writeValueAsString(tree(build)) + "\n";
    }

    /** @return a tree as the text of a file, indented */
    public static String write(JsonNode tree) {
        return MAPPER.writeValueAsString(tree) + "\n";
    }

    /** @return the build as a tree */
    public static ObjectNode tree(Build build) {
        return BuildDocument.tree(build, FORMAT, VERSION);
    }

    /** @return an option as it stands in a file */
    public static ObjectNode tree(BuildOption option) {
        ObjectNode node = BuildDocument.tree(option);
        RowIdentities.carry(node, node);
        return node;
    }

    /** @return what a log taught of a build, as it stands in a file */
    public static ObjectNode tree(Calibration calibration) {
        ObjectNode node = BuildDocument.tree(calibration);
        RowIdentities.carry(node, node);
        return node;
    }

    /** @return the word for the kind of a piece, as in the file: filter, blower, pipe, core and so on */
    public static String kind(PathElement element) {
        return BuildDocument.kind(element);
    }

    /** @return the word for what is chosen from a list, as in the file */
    public static String word(Enum<?> value) {
        return BuildDocument.word(value);
    }
}
