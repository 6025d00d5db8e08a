package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.DEG;
import static io.enthalpa.formats.document.Suffix.MM;

import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.route.TurnList.Step;
import java.util.List;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * A laid pipe as it is cut and put together, typed so instead of by its corners.
 *
 * @param straight_mm behind the last bend
 */
@Part(value = "run/turns", says = "a laid pipe by lengths, turns and bends")
public record TurnsDocument(
        @Called(value = "bend", alone = true, most = Centreline.MOST_CORNERS)
        List<RunTurn> turns,

        @Like(RunTurn.class) double straight_mm) {
    @Part(value = "run/turn", says = "a bend with the straight before it")
    record RunTurn(
            @Figure(
                    label = "straight before",
                    min = 0,
                    max = 20000,
                    usual = 200,
                    help = "from where the pipe begins, or from the end of the bend before")
            double straight_mm,

            @Figure(
                    label = "turned",
                    min = -180,
                    max = 180,
                    usual = 0,
                    help =
                            "from the plane of the bend before, clockwise in the way of the flow; the first from straight up, of an upright beginning from the rear")
            double turned_deg,

            @Figure(label = "bent by", min = 0, max = 175, usual = 90, help = "as cut")
            double bent_deg,

            @Like(RunDocument.RunCorner.class) @Nullable Double radius_mm) {
        Step core() {
            return new Step(
                    MM.si(straight_mm),
                    DEG.si(turned_deg),
                    DEG.si(bent_deg),
                    MM.si(radius_mm).orElse(Double.NaN));
        }
    }

    /** @throws io.enthalpa.core.fault.EnthalpaFault by field, value and what is allowed */
    public static TurnsDocument read(JsonNode tree) {
        Check.check(tree, new Place("", "", Shape.of(TurnsDocument.class)));
        return Binding.MAPPER.treeToValue(tree, TurnsDocument.class);
    }

    /** @return one for each corner; NaN for the radius of stock */
    public List<Step> steps() {
        return turns.stream().map(RunTurn::core).toList();
    }

    /** @return m behind the last bend */
    public double last() {
        return MM.si(straight_mm);
    }
}
