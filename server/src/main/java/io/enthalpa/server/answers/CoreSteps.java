package io.enthalpa.server.answers;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.endurance.CoreResult;
import io.enthalpa.core.endurance.SteadyResult;
import io.enthalpa.core.exchanger.FinnedBlock;
import io.enthalpa.core.exchanger.FinnedCore;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.formats.BuildFile;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What one more row, one more fin or two more centimetres of a core would do at full load: each tried on a copy of the document. */
final class CoreSteps {
    private static final double CENTIMETRES = 20;

    /**
     * One small change to a core.
     *
     * @param what        "one more charge row"
     * @param key         of the number it changes, within the core: "height_mm" or "block/coldFin/pitch_mm"
     * @param from        value now, in the unit of the key
     * @param to          value tried
     * @param intake_K    change of the intake temperature
     * @param loss_kPa    change of the path's loss
     * @param mass_kg     change of the core's mass
     * @param coldLoss_Pa change of what the coolant loses in the block; null for a core by its card
     */
    record StepView(
            String what,
            String key,
            double from,
            double to,
            double intake_K,
            double loss_kPa,
            double mass_kg,
            @Nullable Double coldLoss_Pa) {}

    private final JsonNode document;
    private final String letter;
    private final String place;
    private final String at;
    private final List<StepView> found = new ArrayList<>();
    private Numbers now;

    private CoreSteps(JsonNode document, String letter, String place) {
        this.document = document;
        this.letter = letter;
        this.place = place;
        this.at = "/options/" + OptionIndex.of(document, letter) + place;
    }

    private record Numbers(double intake, double loss, double mass, Double coldLoss) {}

    /** @param place pointer of the core within the option @return the steps that have an answer, in a fixed order */
    static List<StepView> of(JsonNode document, String letter, String place) {
        BuildFile.read(document).option(letter);
        CoreSteps steps = new CoreSteps(document, letter, place);
        if (!document.at(steps.at).path("kind").asString("").equals("core")) {
            throw OptionIndex.noSuch("core", place);
        }
        steps.now = steps.numbers(document);
        if (steps.now == null) {
            return List.of();
        }
        JsonNode core = document.at(steps.at);
        if (core.has("block")) {
            SteadyResult result = new Answer(BuildFile.read(document), letter).steady();
            FinnedBlock block =
                    (FinnedBlock) core(result, place).slot().element().spec().basis();
            double height = core.path("height_mm").asDouble(0);
            steps.add("one more charge row", "height_mm", Math.ceil(height + block.step() * 1000) - height);
            steps.fin("one more charge fin in 10 mm", "block/chargeFin/pitch_mm");
            steps.fin("one more cooling fin in 10 mm", "block/coldFin/pitch_mm");
        }
        steps.add("20 mm deeper", "depth_mm", CENTIMETRES);
        steps.add("20 mm higher", "height_mm", CENTIMETRES);
        steps.add("20 mm wider", "width_mm", CENTIMETRES);
        return steps.found;
    }

    private static CoreResult core(SteadyResult result, String place) {
        return result.cores().stream()
                .filter(c -> c.slot().pointer().equals(place))
                .findFirst()
                .orElseThrow(() -> OptionIndex.noSuch("core", place));
    }

    private void add(String what, String key, double more) {
        double from = document.at(at + "/" + key).doubleValue();
        tryOne(what, key, from, from + more);
    }

    private void fin(String what, String key) {
        double from = document.at(at + "/" + key).doubleValue();
        tryOne(what, key, from, 1 / (1 / from + 0.1));
    }

    private void tryOne(String what, String key, double from, double to) {
        JsonNode trial = document.deepCopy();
        String pointer = at + "/" + key;
        int cut = pointer.lastIndexOf('/');
        double rounded = Math.rint(to * 100) / 100;
        ((ObjectNode) trial.at(pointer.substring(0, cut))).put(pointer.substring(cut + 1), rounded);
        Numbers then = numbers(trial);
        if (then != null) {
            found.add(new StepView(
                    what,
                    key,
                    from,
                    rounded,
                    then.intake() - now.intake(),
                    then.loss() - now.loss(),
                    then.mass() - now.mass(),
                    then.coldLoss() == null || now.coldLoss() == null ? null : then.coldLoss() - now.coldLoss()));
        }
    }

    private @Nullable Numbers numbers(JsonNode tree) {
        try {
            SteadyResult result = new Answer(BuildFile.read(tree), letter).steady();
            CoreResult core = core(result, place);
            Double coldLoss = core.slot().cooler().model() instanceof FinnedCore finned
                    ? finned.coldLoss(core.coldFlow(), (core.coldIn() + core.coldOut()) / 2)
                    : null;
            return new Numbers(
                    result.path().intakeTemperature(),
                    result.path().totalLoss() / 1000,
                    core.slot().cooler().model().metalMass(),
                    coldLoss);
        } catch (EnthalpaFault noAnswer) {
            return null;
        }
    }
}
