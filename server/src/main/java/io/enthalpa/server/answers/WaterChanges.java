package io.enthalpa.server.answers;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.endurance.LoopResult;
import io.enthalpa.core.endurance.SteadyResult;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.formats.BuildFile;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What a fabricator would change on a loop, each tried on a copy of the document at full load: bores, ports, pumps, radiator, ice. */
final class WaterChanges {
    /** Usual bores of hose and spigot, mm: among them -10 (14) and -12 (17) (TF-05: common practice, no source). */
    private static final double[] BORES = {10, 12, 14, 17, 19, 22, 25, 32, 38, 45, 51};

    private static final Set<String> WITH_BORE = Set.of(
            "hose",
            "spigot",
            "elbow 90",
            "elbow 45",
            "tee through",
            "tee branch",
            "ball valve",
            "gate valve",
            "globe valve",
            "check valve");
    private static final double WORTH_K = 0.1;
    private static final int MOST_SHOWN = 6;

    /** @param pointer within the option @param value to write there, a word, a number or a list of pieces */
    record LoopEdit(String pointer, Object value) {}

    /**
     * A change with what it does.
     *
     * @param what       "radiator spigot and radiator outlet 10 → 17 mm"
     * @param share_pct  of all losses that the piece takes now; null when it is not about one
     * @param flow_L_min with it
     * @param flowRatio  over the flow now
     * @param intake_K   change of the intake temperature
     * @param water_K    change of the water at the core
     */
    record WaterChangeView(
            String what,
            @Nullable Double share_pct,
            double flow_L_min,
            double flowRatio,
            double intake_K,
            double water_K,
            List<LoopEdit> edits) {}

    private record Numbers(double intake, double water, double flow) {}

    private final JsonNode document;
    private final String letter;
    private final String place;
    private final JsonNode loop;
    private final int option;
    private final List<WaterChangeView> found = new ArrayList<>();
    private LoopResult now;
    private Numbers start;

    private WaterChanges(JsonNode document, String letter, String place) {
        this.document = document;
        this.letter = letter;
        this.place = place;
        this.option = OptionIndex.of(document, letter);
        this.loop = document.at("/options/" + option + place + "/water");
    }

    /** @param place pointer of the core within the option @return those that help, best first */
    static List<WaterChangeView> of(JsonNode document, String letter, String place) {
        WaterChanges search = new WaterChanges(document, letter, place);
        SteadyResult result = new Answer(BuildFile.read(document), letter).steady();
        search.now = result.loops().stream()
                .filter(l -> l.slot().pointer().equals(place))
                .findFirst()
                .orElseThrow(() -> OptionIndex.noSuch("water-cooled core", place));
        search.start = numbers(result, place);
        search.bores();
        search.ports();
        search.machines();
        return search.found.stream()
                .sorted(Comparator.comparingDouble(WaterChangeView::intake_K))
                .limit(MOST_SHOWN)
                .toList();
    }

    private static Numbers numbers(SteadyResult result, String place) {
        LoopResult loop = result.loops().stream()
                .filter(l -> l.slot().pointer().equals(place))
                .findFirst()
                .orElseThrow(() -> OptionIndex.noSuch("water-cooled core", place));
        return new Numbers(
                result.path().intakeTemperature(), loop.waterIn(), loop.flow().flow());
    }

    /** The narrowest pieces together to the bore that the rest has; and every hose one size up. */
    private void bores() {
        JsonNode pieces = loop.path("pieces");
        if (pieces.isEmpty() || loop.hasNonNull("flow_L_min")) {
            return;
        }
        List<Integer> bored = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            if (WITH_BORE.contains(pieces.get(i).path("kind").asString(""))) {
                bored.add(i);
            }
        }
        double narrow = bored.stream().mapToDouble(i -> bore(pieces, i)).min().orElse(0);
        double[] sorted =
                bored.stream().mapToDouble(i -> bore(pieces, i)).sorted().toArray();
        double usual = sorted.length == 0 ? 0 : sorted[sorted.length * 3 / 4];
        List<Integer> narrowest =
                bored.stream().filter(i -> bore(pieces, i) < 1.05 * narrow).toList();
        if (usual > 1.08 * narrow) {
            widen(narrowest, nearest(usual));
        }
        widen(narrowest, next(narrow));
        List<Integer> hoses = bored.stream()
                .filter(i -> pieces.get(i).path("kind").asString("").equals("hose"))
                .toList();
        double thinHose = hoses.stream().mapToDouble(i -> bore(pieces, i)).min().orElse(0);
        if (!hoses.isEmpty()) {
            widen(bored, next(Math.max(thinHose, narrow)));
        }
    }

    private static double bore(JsonNode pieces, int i) {
        return pieces.get(i).path("bore_mm").asDouble(0);
    }

    private static double next(double bore) {
        for (double b : BORES) {
            if (b > bore * 1.03) {
                return b;
            }
        }
        return bore * 1.2;
    }

    private static double nearest(double bore) {
        double best = bore;
        double off = Double.POSITIVE_INFINITY;
        for (double b : BORES) {
            if (Math.abs(b - bore) < off) {
                off = Math.abs(b - bore);
                best = b;
            }
        }
        return Math.max(best, bore);
    }

    private void widen(List<Integer> which, double to) {
        JsonNode pieces = loop.path("pieces");
        List<LoopEdit> edits = new ArrayList<>();
        List<String> names = new ArrayList<>();
        double from = Double.POSITIVE_INFINITY;
        double share = 0;
        for (int i : which) {
            if (bore(pieces, i) < to - 0.01) {
                edits.add(new LoopEdit(
                        place + "/water/pieces/" + i + "/bore_mm", JsonNodeFactory.instance.numberNode(to)));
                names.add(pieces.get(i).path("name").asString(""));
                from = Math.min(from, bore(pieces, i));
                share += now.flow().pieces().get(i).share();
            }
        }
        if (!edits.isEmpty()) {
            String who = names.size() <= 2 ? String.join(" and ", names) : names.size() + " hoses and fittings";
            tryOne("%s, %s → %s mm".formatted(who, plain(from), plain(to)), 100 * share, edits);
        }
    }

    private static String plain(double mm) {
        return mm == Math.rint(mm) ? "%.0f".formatted(mm) : "%.1f".formatted(mm);
    }

    private void ports() {
        JsonNode pieces = loop.path("pieces");
        for (int i = 0; i < pieces.size(); i++) {
            JsonNode piece = pieces.get(i);
            if (!piece.path("kind").asString("").equals("core")) {
                continue;
            }
            String at = place + "/water/pieces/" + i;
            List<LoopEdit> all = new ArrayList<>();
            if (!piece.path("ports").asString("").equals("opposite corners")) {
                all.add(new LoopEdit(at + "/ports", JsonNodeFactory.instance.stringNode("opposite corners")));
                tryOne("water ports at opposite corners", null, List.copyOf(all));
            }
            if (piece.path("fedFrom").asString("").equals("top")) {
                LoopEdit feed = new LoopEdit(at + "/fedFrom", JsonNodeFactory.instance.stringNode("bottom"));
                tryOne("fed from the bottom", null, List.of(feed));
                all.add(feed);
            }
            if (all.size() == 2) {
                tryOne("corner ports, fed from the bottom", null, all);
            }
        }
    }

    private void machines() {
        JsonNode pieces = loop.path("pieces");
        for (int i = 0; i < pieces.size() && !loop.hasNonNull("flow_L_min"); i++) {
            if (pieces.get(i).path("kind").asString("").equals("pump")) {
                ArrayNode more = pieces.deepCopy().asArray();
                ObjectNode second = (ObjectNode) pieces.get(i).deepCopy();
                second.put("name", "second " + second.path("name").asString("pump"));
                more.insert(i + 1, second);
                tryOne(
                        "a second " + pieces.get(i).path("name").asString("pump") + " behind the first",
                        null,
                        List.of(new LoopEdit(place + "/water/pieces", more)));
                break;
            }
        }
        JsonNode radiator = loop.path("radiator");
        if (radiator.isObject()) {
            double depth = Math.rint(radiator.path("depth_mm").asDouble(0) * 1.3);
            tryOne(
                    "radiator %s → %s mm deep"
                            .formatted(plain(radiator.path("depth_mm").asDouble(0)), plain(depth)),
                    null,
                    List.of(new LoopEdit(
                            place + "/water/radiator/depth_mm", JsonNodeFactory.instance.numberNode(depth))));
        }
        JsonNode tank = loop.path("tank");
        if (tank.path("ice_kg").asDouble(0) > 0 && tank.path("icePiece_mm").asDouble(0) > 30) {
            tryOne(
                    "ice broken to 25 mm",
                    null,
                    List.of(new LoopEdit(place + "/water/tank/icePiece_mm", JsonNodeFactory.instance.numberNode(25))));
        }
    }

    private void tryOne(String what, @Nullable Double share, List<LoopEdit> edits) {
        if (found.stream().anyMatch(c -> c.what().equals(what))) {
            return;
        }
        JsonNode trial = document.deepCopy();
        for (LoopEdit edit : edits) {
            String at = "/options/" + option + edit.pointer();
            int cut = at.lastIndexOf('/');
            ((ObjectNode) trial.at(at.substring(0, cut))).set(at.substring(cut + 1), (JsonNode) edit.value());
        }
        try {
            Numbers then = numbers(new Answer(BuildFile.read(trial), letter).steady(), place);
            if (then.intake() - start.intake() < -WORTH_K) {
                found.add(new WaterChangeView(
                        what,
                        share,
                        then.flow() * 60e3,
                        then.flow() / start.flow(),
                        then.intake() - start.intake(),
                        then.water() - start.water(),
                        edits));
            }
        } catch (EnthalpaFault noAnswer) {
            // A change without an answer is not offered.
        }
    }
}
