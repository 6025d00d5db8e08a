package io.enthalpa.formats;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.endurance.EnergyAudit;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.plant.CoreResult;
import io.enthalpa.core.steady.AirWayResult;
import io.enthalpa.core.steady.LoopResult;
import io.enthalpa.core.steady.SteadyResult;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The builds whose answers are kept, and what they answer now. */
final class Kept {
    static final Path FOLDER = Path.of("src/test/resources/kept");
    static final Path ANSWERS = FOLDER.resolve("answers.txt");
    static final Path CORPUS = Path.of("src/test/resources/corpus");
    private static final Path DEMO = Path.of("../server/src/main/resources/demo");
    private static final double ICE_POINT = 273.15;

    private Kept() {}

    /** @return every build by its name: the demo's, files of earlier versions, and invented ones that go into all corners */
    static Map<String, JsonNode> builds() throws IOException {
        Map<String, JsonNode> builds = new LinkedHashMap<>();
        for (Path folder : List.of(DEMO, CORPUS)) {
            try (Stream<Path> files = Files.list(folder)) {
                for (Path file : files.sorted().toList()) {
                    builds.put(file.getFileName().toString(), tree(file));
                }
            }
        }
        for (JsonNode each : tree(FOLDER.resolve("builds.json"))) {
            builds.put(each.get("name").stringValue(), changed(each));
        }
        return builds;
    }

    private static JsonNode tree(Path file) throws IOException {
        return JsonMapper.shared().readTree(file.toFile());
    }

    /** One option of a demo build with its changes: pairs of a pointer and what stands there; null takes it out, {@code +3} puts it in before the fourth. */
    private static JsonNode changed(JsonNode each) throws IOException {
        ObjectNode build = (ObjectNode) tree(DEMO.resolve(each.get("from").stringValue() + ".json"));
        ArrayNode options = (ArrayNode) build.get("options");
        while (options.size() > 1) {
            options.remove(options.get(0).get("letter").equals(each.get("option")) ? 1 : 0);
        }
        // As typed, or its changes of lengths and bends would say nothing.
        ((ObjectNode) options.get(0)).remove("runs");
        for (JsonNode change : each.get("changes")) {
            change(build, change.get(0).stringValue().replace("/option/", "/options/0/"), change.get(1));
        }
        return build;
    }

    private static void change(JsonNode build, String pointer, JsonNode value) {
        int cut = pointer.lastIndexOf('/');
        JsonNode at = build.at(pointer.substring(0, cut));
        String key = pointer.substring(cut + 1);
        if (at instanceof ArrayNode list && key.startsWith("+")) {
            list.insert(Integer.parseInt(key.substring(1)), value);
        } else if (at instanceof ArrayNode list && value.isNull()) {
            list.remove(Integer.parseInt(key));
        } else if (at instanceof ArrayNode list) {
            list.set(Integer.parseInt(key), value);
        } else if (at instanceof ObjectNode object && value.isNull()) {
            object.remove(key);
        } else if (at instanceof ObjectNode object) {
            object.set(key, value);
        } else {
            throw new IllegalArgumentException(pointer + " leads nowhere");
        }
    }

    /** @return {@code name letter quantity} and its value, in order */
    static Map<String, Double> answers(String name, JsonNode tree) {
        Build build;
        try {
            build = BuildFile.read(BuildFile.normal(tree));
        } catch (EnthalpaFault fault) {
            throw new IllegalArgumentException(name, fault);
        }
        Map<String, Double> answers = new LinkedHashMap<>();
        for (BuildOption option : build.options()) {
            Answer answer = new Answer(build, option.letter());
            Map<String, Double> figures = new LinkedHashMap<>();
            held(answer.steady(), figures);
            run(answer.soak(), figures);
            figures.forEach((what, value) -> answers.put(name + " " + option.letter() + " " + what, value));
        }
        return answers;
    }

    private static void held(SteadyResult steady, Map<String, Double> figures) {
        figures.put("plenum_C", steady.path().intakeTemperature() - ICE_POINT);
        figures.put("loss_kPa", steady.path().totalLoss() / 1000);
        figures.put("flow_kg_s", steady.path().flow());
        figures.put("manifold_kPa", steady.path().manifoldPressure() / 1000);
        figures.put("shaft_kW", steady.path().shaftPower() / 1000);
        for (CoreResult core : steady.cores()) {
            String at = core.slot().element().name().replace(' ', '_') + "/";
            figures.put(at + "out_C", core.out() - ICE_POINT);
            figures.put(at + "heat_kW", core.heat() / 1000);
            figures.put(at + "cold_in_C", core.coldIn() - ICE_POINT);
            figures.put(at + "cold_out_C", core.coldOut() - ICE_POINT);
            figures.put(at + "face_m_s", core.faceSpeed());
            figures.put(at + "condensate_g_s", core.condensate().flow() * 1000);
        }
        for (LoopResult loop : steady.loops()) {
            String at = loop.slot().element().name().replace(' ', '_') + "/water/";
            figures.put(at + "flow_L_min", loop.flow().flow() * 60_000);
            figures.put(at + "radiator_kW", loop.radiator() / 1000);
            figures.put(at + "ice_kW", loop.ice() / 1000);
            figures.put(at + "chiller_kW", loop.chiller() / 1000);
        }
        for (AirWayResult way : steady.ways()) {
            String at = way.spec().name().replace(' ', '_') + "/";
            figures.put(at + "air_m3_s", way.flow().total());
            figures.put(
                    at + "hot_kW",
                    way.layers().stream()
                                    .mapToDouble(AirWayResult.LayerResult::heat)
                                    .sum()
                            / 1000);
        }
    }

    private static void run(Trace trace, Map<String, Double> figures) {
        EnergyAudit audit = trace.audit();
        figures.put("duty/hottest_C", Arrays.stream(trace.intake()).max().orElseThrow() - ICE_POINT);
        figures.put("duty/end_C", trace.intake()[trace.length() - 1] - ICE_POINT);
        figures.put("duty/shown_C", trace.shown()[trace.length() - 1] - ICE_POINT);
        figures.put("duty/taken_kJ", audit.taken() / 1000);
        figures.put("duty/stored_kJ", audit.stored() / 1000);
        figures.put("duty/rejected_kJ", audit.rejected() / 1000);
        figures.put("duty/latent_kJ", audit.latent() / 1000);
    }

    static Map<String, Double> said() throws IOException {
        return Files.readAllLines(ANSWERS).stream()
                .collect(Collectors.toMap(
                        line -> line.substring(0, line.lastIndexOf(' ')),
                        line -> Double.valueOf(line.substring(line.lastIndexOf(' ') + 1)),
                        (a, b) -> b,
                        LinkedHashMap::new));
    }

    static void keep(Map<String, Double> answers) throws IOException {
        Files.writeString(
                ANSWERS,
                answers.entrySet().stream()
                        .map(e -> "%s %s\n".formatted(e.getKey(), text(e.getValue())))
                        .collect(Collectors.joining()));
    }

    /** Six digits; what is nothing but rounding is nothing. */
    static String text(double value) {
        return Math.abs(value) < 1e-6 ? "0" : String.format(Locale.ROOT, "%.6g", value);
    }
}
