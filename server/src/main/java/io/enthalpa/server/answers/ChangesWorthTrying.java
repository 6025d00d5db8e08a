package io.enthalpa.server.answers;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.Verdict;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.sizing.CoolingMethod;
import io.enthalpa.core.sizing.MethodSizing;
import io.enthalpa.core.sizing.Proposal;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.formats.document.DocumentField;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Tries single changes that a fabricator would think of on a copy of the document, each through the whole duty, and keeps those
 * that help: the next pipe size, a deeper or taller core, a better fed face, more water.
 */
final class ChangesWorthTrying {
    /** Usual tube sizes, mm (TF-17: common practice, no source). */
    private static final double[] TUBES = {51, 57, 63, 70, 76, 89, 102, 127};
    /** Usual water hose bores, mm; common practice, no source. */
    private static final double[] HOSES = {13, 16, 19, 25, 32, 38, 45, 51, 57, 63, 76};

    private static final int MOST_SHOWN = 5;
    private static final double STEPS_WANTED = 10_000;
    private static final double MOST_COARSE = 6;
    /** Below this a change is not worth a weld. */
    private static final double LEAST_GAIN_K = 0.15;

    private static final double LEAST_GAIN_KPA = 0.1;

    private final JsonNode document;
    private final int option;
    private final String letter;
    private final List<ChangeView> found = new ArrayList<>();
    private Numbers now;

    private ChangesWorthTrying(JsonNode document, String letter) {
        this.document = document;
        this.letter = letter;
        this.option = OptionIndex.of(document, letter);
    }

    /** Worst intake temperature in K, loss in Pa and s until the target is passed of a document's option; the whole duty when it never is. */
    private record Numbers(double worst, double loss, double keeps) {}

    /**
     * Runs of many hours in longer steps, before the change and after it: the steps relax exactly, so that the difference hardly moves, and
     * the answer is there while it is wanted.
     */
    private static double coarser(Answer answer) {
        double steps = answer.duty().repeats() * answer.duty().runLength() / EnduranceRun.stepFor(answer.duty());
        return Math.max(1, Math.min(MOST_COARSE, steps / STEPS_WANTED));
    }

    static List<ChangeView> of(JsonNode document, String letter) {
        Build build = BuildFile.read(document);
        List<PathElement> path = build.option(letter).path();
        ChangesWorthTrying search = new ChangesWorthTrying(document, letter);
        Optional<Numbers> now = search.numbers(document);
        if (now.isEmpty()) {
            return List.of();
        }
        search.now = now.get();
        if (cores(path).isEmpty()) {
            search.tryCooler(build);
        }
        search.tryAll("/path");
        search.tryWays();
        return search.found.stream()
                .sorted(Comparator.comparingDouble(ChangesWorthTrying::rank))
                .limit(MOST_SHOWN)
                .toList();
    }

    /** Kelvin gained first; a kilopascal counts as half a kelvin. */
    private static double rank(ChangeView change) {
        return change.worst_K() + 0.5 * change.loss_kPa();
    }

    /** @param row pointer of a list of pieces within the option; the legs of a pair are rows too */
    private void tryAll(String row) {
        JsonNode path = document.at("/options/" + option + row);
        for (int i = 0; i < path.size(); i++) {
            String at = row + "/" + i;
            JsonNode piece = path.get(i);
            String name = piece.path("name").asString("");
            switch (piece.path("kind").asString("")) {
                case "filter" -> {
                    if (piece.path("bayShare_pct").asDouble(0) > 5) {
                        trial(name, at, DocumentField.of("filter", "bayShare_pct"), 0);
                    }
                    if (piece.path("heatGain_K").asDouble(0) > 3) {
                        tryOne(name, at, DocumentField.of("filter", "heatGain_K"), 2);
                    }
                }
                case "plenum" -> {
                    if (piece.at("/wall/toHead_W_K").asDouble(0) > 3) {
                        trial(name, at + "/wall", DocumentField.of("plenum/wall", "toHead_W_K"), 2);
                    }
                }
                case "pipe" -> tryNextTube(name, at, piece.path("bore_mm").asDouble(0));
                case "core" -> tryCore(name, at, piece);
                case "pair" -> {
                    for (int leg = 0; leg < piece.path("legs").size(); leg++) {
                        tryAll(at + "/legs/" + leg + "/path");
                    }
                }
                default -> {
                    // blower and small pieces are given
                }
            }
        }
    }

    private void tryNextTube(String name, String at, double bore) {
        tryOne(name, at, DocumentField.of("pipe", "bore_mm"), nextOf(TUBES, bore * 1.02));
    }

    /** @return the next that is sold; 0 when there is none */
    private static double nextOf(double[] sold, double over) {
        return Arrays.stream(sold).filter(size -> size > over).findFirst().orElse(0);
    }

    /** @return a size that somebody would ask for, not smaller */
    private static double upTo(double size, double step) {
        return step * Math.ceil(size / step - 1e-9);
    }

    /** Where nothing cools the charge, the first thing to try is a core: air to air, as large as the target wants. */
    private void tryCooler(Build build) {
        try {
            Proposal proposal = new MethodSizing(build, letter).propose(CoolingMethod.AIR);
            PathElement.Core core = cores(proposal.option().path()).get(0);
            double keeps = Double.isNaN(proposal.verdict().firstOverTarget())
                    ? proposal.trace().time()[proposal.trace().length() - 1]
                    : proposal.verdict().firstOverTarget();
            found.add(ChangeView.cooler(
                    core.name(),
                    BuildFile.tree(proposal.option()),
                    proposal.verdict().worst() - now.worst(),
                    (proposal.loss() - now.loss()) / 1000,
                    keeps - now.keeps()));
        } catch (EnthalpaFault noAnswer) {
            // Then there is none to offer.
        }
    }

    private static List<PathElement.Core> cores(List<PathElement> path) {
        return path.stream()
                .flatMap(piece -> piece instanceof PathElement.Core core
                        ? Stream.of(core)
                        : piece instanceof PathElement.Parallel pair
                                ? pair.legs().stream().flatMap(leg -> cores(leg.path()).stream())
                                : Stream.<PathElement.Core>empty())
                .toList();
    }

    private void tryCore(String name, String at, JsonNode core) {
        tryOne(
                name,
                at,
                DocumentField.of("core", "depth_mm"),
                upTo(core.path("depth_mm").asDouble(0) * 1.2, 5));
        tryOne(
                name,
                at,
                DocumentField.of("core", "height_mm"),
                upTo(core.path("height_mm").asDouble(0) * 1.15, 10));
        boolean inWay = inWay(core.path("name").asString(""));
        JsonNode air = core.path("air");
        if (air.isObject() && !inWay) {
            tryOne(
                    name,
                    at + "/air",
                    DocumentField.of("core/air", "faceShare_pct"),
                    Math.min(Math.rint(air.path("faceShare_pct").asDouble(0) * 1.3), 60));
            tryOne(
                    name,
                    at + "/air",
                    DocumentField.of("core/air", "standstill_m_s"),
                    Math.max(2, air.path("standstill_m_s").asDouble(0)));
        }
        JsonNode water = core.path("water");
        if (water.isObject()) {
            tryOne(
                    name,
                    at + "/water",
                    DocumentField.of("core/water", "flow_L_min"),
                    Math.rint(water.path("flow_L_min").asDouble(0) * 1.5));
            tryOne(
                    name,
                    at + "/water",
                    DocumentField.of("core/water", "volume_L"),
                    water.path("volume_L").asDouble(0) * 2);
            tryNarrowest(at + "/water/pieces", water.path("pieces"));
            if (!inWay) {
                tryOne(
                        name,
                        at + "/water/radiator/air",
                        DocumentField.of("core/air", "faceShare_pct"),
                        Math.min(
                                Math.rint(
                                        water.at("/radiator/air/faceShare_pct").asDouble(0) * 1.3),
                                60));
            }
            trySinks(at + "/water", water);
        }
    }

    /** What takes the water's heat: a bigger radiator, more or finer ice, a stronger chiller. */
    private void trySinks(String at, JsonNode water) {
        if (water.path("radiator").isObject()) {
            List<ChangeView.Edit> card = cardOfItsOwn(at + "/radiator", water.path("radiator"));
            trial(
                    "radiator",
                    at + "/radiator",
                    DocumentField.of("core/water/radiator", "height_mm"),
                    upTo(water.at("/radiator/height_mm").asDouble(0) * 1.25, 10),
                    card);
            trial(
                    "radiator",
                    at + "/radiator",
                    DocumentField.of("core/water/radiator", "depth_mm"),
                    upTo(water.at("/radiator/depth_mm").asDouble(0) * 1.5, 2),
                    card);
        }
        tryOne(
                "ice tank",
                at + "/tank",
                DocumentField.of("core/water/tank", "ice_kg"),
                Math.rint(water.at("/tank/ice_kg").asDouble(0) * 1.5));
        double piece = water.at("/tank/icePiece_mm").asDouble(0);
        if (piece > 12) {
            trial("ice tank", at + "/tank", DocumentField.of("core/water/tank", "icePiece_mm"), Math.rint(piece / 2));
        }
        tryOne(
                "chiller",
                at + "/chiller",
                DocumentField.of("core/water/chiller", "capacity_kW"),
                Math.rint(water.at("/chiller/capacity_kW").asDouble(0) * 15) / 10);
    }

    /** What keeps a card speaking of the radiator that it was made for when another size of the same make is taken. */
    private static List<ChangeView.Edit> cardOfItsOwn(String at, JsonNode radiator) {
        List<ChangeView.Edit> edits = new ArrayList<>();
        if (!radiator.has("tubes")) {
            for (DocumentField[] pair : new DocumentField[][] {
                {
                    DocumentField.of("core/water/radiator", "cardWidth_mm"),
                    DocumentField.of("core/water/radiator", "width_mm")
                },
                {
                    DocumentField.of("core/water/radiator", "cardHeight_mm"),
                    DocumentField.of("core/water/radiator", "height_mm")
                },
                {
                    DocumentField.of("core/water/radiator", "cardDepth_mm"),
                    DocumentField.of("core/water/radiator", "depth_mm")
                }
            }) {
                if (!radiator.has(pair[0].key())) {
                    edits.add(new ChangeView.Edit(
                            at + "/" + pair[0].key(),
                            radiator.path(pair[1].key()).asDouble(0)));
                }
            }
        }
        return edits;
    }

    /** A way of the air brings the core's, or its radiator's. */
    private boolean inWay(String core) {
        for (JsonNode way : document.at("/options/" + option + "/airWays")) {
            for (JsonNode layer : way.path("layers")) {
                if (layer.path("name").asString("").equals(core)) {
                    return true;
                }
            }
        }
        return false;
    }

    private void tryNarrowest(String at, JsonNode pieces) {
        int narrow = -1;
        for (int i = 0; i < pieces.size(); i++) {
            double bore = pieces.get(i).path("bore_mm").asDouble(0);
            if (bore > 0
                    && !pieces.get(i).path("kind").asString("").equals("pump")
                    && (narrow < 0 || bore < pieces.get(narrow).path("bore_mm").asDouble(0))) {
                narrow = i;
            }
        }
        if (narrow >= 0) {
            tryOne(
                    pieces.get(narrow).path("name").asString(""),
                    at + "/" + narrow,
                    DocumentField.of("water/piece", "bore_mm"),
                    nextOf(HOSES, pieces.get(narrow).path("bore_mm").asDouble(0) * 1.3));
        }
    }

    /** Better sealed, more exit, and each wall moved out of the way, up or down. */
    private void tryWays() {
        JsonNode ways = document.at("/options/" + option + "/airWays");
        for (int w = 0; w < ways.size(); w++) {
            JsonNode way = ways.get(w);
            String at = "/airWays/" + w;
            String name = way.path("name").asString("");
            tryOne(name, at, DocumentField.of("airWay", "seal_pct"), 97);
            tryOne(
                    name,
                    at + "/exit",
                    DocumentField.of("airWay/exit", "area_cm2"),
                    upTo(way.at("/exit/area_cm2").asDouble(0) * 1.4, 50));
            tryOne(
                    name,
                    at + "/opening",
                    DocumentField.of("airWay/opening", "height_mm"),
                    upTo(way.at("/opening/height_mm").asDouble(0) * 1.25, 5));
            for (int k = 0; k < way.at("/opening/walls").size(); k++) {
                JsonNode wall = way.at("/opening/walls/" + k);
                double up = wall.path("up_mm").asDouble(0);
                trial(
                        wall.path("name").asString(""),
                        at + "/opening/walls/" + k,
                        DocumentField.of("airWay/opening/wall", "up_mm"),
                        up + (up < 0 ? -60 : 60));
            }
        }
    }

    private void tryOne(String name, String place, DocumentField field, double to) {
        JsonNode before = document.at("/options/" + option + place + "/" + field.key());
        if (before.isNumber()
                && (to > before.asDouble(0) * 1.001 || field.equals(DocumentField.of("filter", "heatGain_K")))) {
            trial(name, place, field, to);
        }
    }

    private void trial(String name, String place, DocumentField field, double to) {
        trial(name, place, field, to, List.of());
    }

    /** @param also edits that go with it */
    private void trial(String name, String place, DocumentField field, double to, List<ChangeView.Edit> also) {
        String pointer = place + "/" + field.key();
        double from = document.at("/options/" + option + pointer).asDouble(0);
        if (to > field.max() || to < field.min()) {
            return;
        }
        JsonNode trial = document.deepCopy();
        ObjectNode target = (ObjectNode) trial.at("/options/" + option + place);
        target.put(field.key(), to);
        for (ChangeView.Edit edit : also) {
            int cut = edit.pointer().lastIndexOf('/');
            ((ObjectNode) trial.at("/options/" + option + edit.pointer().substring(0, cut)))
                    .put(edit.pointer().substring(cut + 1), edit.value());
        }
        List<ChangeView.Edit> edits = new ArrayList<>(also);
        edits.add(new ChangeView.Edit(pointer, to));
        numbers(trial).ifPresent(after -> {
            double worst = after.worst() - now.worst();
            double loss = (after.loss() - now.loss()) / 1000;
            if (worst < -LEAST_GAIN_K || loss < -LEAST_GAIN_KPA && worst < LEAST_GAIN_K) {
                found.add(new ChangeView(
                        name,
                        field.key(),
                        field.part(),
                        from,
                        to,
                        edits,
                        null,
                        worst,
                        loss,
                        after.keeps() - now.keeps()));
            }
        });
    }

    private Optional<Numbers> numbers(JsonNode tree) {
        try {
            Answer answer = new Answer(BuildFile.read(tree), letter);
            Verdict verdict = answer.verdict(answer.soak(coarser(answer)));
            double keeps =
                    Double.isNaN(verdict.firstOverTarget()) ? answer.duty().length() : verdict.firstOverTarget();
            double loss = answer.steady().path().totalLoss();
            return Double.isFinite(verdict.worst())
                    ? Optional.of(new Numbers(verdict.worst(), loss, keeps))
                    : Optional.empty();
        } catch (EnthalpaFault noAnswer) {
            return Optional.empty();
        }
    }
}
