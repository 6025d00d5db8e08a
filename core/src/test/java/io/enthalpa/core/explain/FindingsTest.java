package io.enthalpa.core.explain;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.core.Loops;
import io.enthalpa.core.endurance.EnergyAudit;
import io.enthalpa.core.explain.Finding.Kind;
import io.enthalpa.core.explain.Finding.Part;
import io.enthalpa.core.plant.ResistanceShares;
import io.enthalpa.core.plant.ResistanceShares.Limit;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.verdict.RunFigures;
import io.enthalpa.core.verdict.RunShape;
import io.enthalpa.core.verdict.Targets;
import io.enthalpa.core.verdict.Verdict;
import io.enthalpa.core.verdict.Verdict.Outcome;
import io.enthalpa.core.verdict.WaterBounds;
import io.enthalpa.core.waterloop.ChillerSpec;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.TankSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is chosen to be said, on runs written by hand: target 328 K, timing line 343 K, outside 308 K. */
class FindingsTest {
    private static final double NEVER = Double.NaN;
    private static final ResistanceShares SHARES = new ResistanceShares(0.2, 0.02, 0.3, 0.4, 0.05, 0.03, 0);
    private Outcome outcome = Outcome.HOLDS;
    private double mean = 320;
    private boolean climbing;
    private double limitedFrom = NEVER;
    private ResistanceShares shares = SHARES;
    private double needed = 0.8;
    private Limit limit = Limit.COLD_SIDE;
    private Verdict.Beside beside = new Verdict.Beside(NEVER, NEVER, NEVER, NEVER);
    private RunShape shape = RunShape.FLAT;
    private double byCoolant = NEVER;
    private double firstShown = NEVER;
    private double recovered = NEVER;
    private double condensed;
    private double latent;
    private int runs = 1;
    private Optional<WaterLoopSpec> loop = Optional.empty();
    private WaterBounds water = WaterBounds.NONE;

    private List<Finding> found() {
        boolean over = outcome == Outcome.OVER_TARGET || outcome == Outcome.PULLS_TIMING;
        boolean pulls = outcome == Outcome.PULLS_TIMING;
        Verdict verdict = new Verdict(
                outcome,
                326,
                700,
                mean,
                over ? 192 : NEVER,
                pulls ? 240 : NEVER,
                over ? 90 : 0,
                pulls ? 12 : 0,
                climbing,
                limitedFrom,
                shares,
                needed,
                limit,
                beside);
        RunFigures figures =
                new RunFigures(shape, byCoolant, firstShown, 0, recovered, 0.94, 0.82, condensed, 0, List.of());
        return Findings.of(
                verdict,
                figures,
                new Findings.Circumstances(
                        new Targets(328, 343), runs, 308, new EnergyAudit(1e6, 0, 1e6, latent), loop, water));
    }

    private List<Kind> kinds(Part part) {
        return found().stream()
                .map(Finding::kind)
                .filter(kind -> kind.part() == part)
                .toList();
    }

    private FindingsTest cooledByWater() {
        loop = Optional.of(new Loops().spec());
        return this;
    }

    @Test
    void theHeadlineSaysHowItEnds() {
        assertThat(found().get(0))
                .isEqualTo(new Finding(
                        Kind.HOLDS,
                        List.of(
                                new Figure("worst", 326, Quantity.TEMPERATURE),
                                new Figure("climbing", 0, Quantity.NUMBER),
                                new Figure("short", 0, Quantity.NUMBER))));
        runs = 2;
        assertThat(kinds(Part.HEADLINE)).containsExactly(Kind.HOLDS_BOTH_RUNS);
        runs = 4;
        assertThat(found().get(0).figures()).contains(new Figure("runs", 4, Quantity.NUMBER));
        limitedFrom = 12;
        assertThat(found().get(0).figures()).contains(new Figure("short", 1, Quantity.NUMBER));
        assertThat(kinds(Part.PARTICULARS))
                .containsExactly(Kind.TARGET_KEPT, Kind.TIMING_NEVER, Kind.MEAN, Kind.BLOWER_SHORT);
        outcome = Outcome.PULLS_TIMING;
        assertThat(found().get(0).figures())
                .as("when the line was passed, not the target")
                .contains(new Figure("first", 240, Quantity.TIME));
        assertThat(kinds(Part.PARTICULARS))
                .containsExactly(Kind.TARGET_PASSED, Kind.TIMING_PASSED, Kind.MEAN, Kind.BLOWER_SHORT);
        outcome = Outcome.OVER_TARGET;
        assertThat(found().get(0).figures()).contains(new Figure("first", 192, Quantity.TIME));
    }

    @Test
    void anEngineThatNeverRunsIsAskedForSpeedAndNothingElse() {
        outcome = Outcome.NEVER_RUNS;
        assertThat(found()).extracting(Finding::kind).containsExactly(Kind.NEVER_RUNS, Kind.WANTS_ENGINE_SPEED);
    }

    @ParameterizedTest
    @CsvSource({
        "FLAT, HOLDS, false, FLAT_AND_HOLDS",
        "FLAT, OVER_TARGET, false, FLAT_BUT_HIGH",
        "SAW_TEETH, HOLDS, true, TEETH_AND_HOLDS",
        "SAW_TEETH, PULLS_TIMING, false, TEETH_TOO_HIGH",
        "SOAKED, HOLDS, false, SOAKED_THEN_AIR",
        "SOAKED, HOLDS, true, SOAKED_THEN_WATER",
        "RAMP, OVER_TARGET, false, RAMP_OF_LITTLE_AIR",
        "RAMP, OVER_TARGET, true, RAMP_OF_LITTLE_WATER"
    })
    void theShapeSaysWhatItPointsAt(RunShape is, Outcome ends, boolean water, Kind says) {
        shape = is;
        outcome = ends;
        assertThat((water ? cooledByWater() : this).kinds(Part.SHAPE)).containsExactly(says);
    }

    @Test
    void aRampIsToldByWhatMakesIt() {
        shape = RunShape.RAMP;
        limit = Limit.CHARGE;
        assertThat(kinds(Part.SHAPE)).containsExactly(Kind.RAMP_OF_CORE);
        limit = Limit.OUTSIDE_AIR;
        assertThat(kinds(Part.SHAPE)).containsExactly(Kind.RAMP_TO_OUTSIDE_AIR);
        byCoolant = 0.8;
        assertThat(kinds(Part.SHAPE)).containsExactly(Kind.RAMP_OF_WARM_AIR);
        cooledByWater();
        assertThat(kinds(Part.SHAPE))
                .as("the radiator's share is larger than the tank's")
                .containsExactly(Kind.RAMP_OF_SINK);
        shares = new ResistanceShares(0.2, 0.02, 0.2, 0.1, 0.1, 0.38, 0);
        assertThat(kinds(Part.SHAPE)).containsExactly(Kind.RAMP_OF_TANK);
        shares = null;
        assertThat(kinds(Part.SHAPE)).as("without a core").containsExactly(Kind.RAMP_OF_SURROUNDINGS);
    }

    @Test
    void whatIsNotJudgedIsToldWhereItIsHotter() {
        assertThat(kinds(Part.BESIDE)).isEmpty();
        beside = new Verdict.Beside(325, 18, 326.9, 30);
        assertThat(kinds(Part.BESIDE))
                .as("no hotter than what is judged, or hardly")
                .isEmpty();
        beside = new Verdict.Beside(335, 18, 344, 30);
        assertThat(kinds(Part.BESIDE)).containsExactly(Kind.START_SOAK, Kind.HOT_OFF_LOAD);
        water = new WaterBounds(70, 384, 373, 12, 262, 263.5);
        assertThat(kinds(Part.BESIDE))
                .containsExactly(Kind.START_SOAK, Kind.HOT_OFF_LOAD, Kind.WATER_BOILS, Kind.WATER_FREEZES);
    }

    @Test
    void whatCoolingIsWorthAndWhatTheSensorMakesOfIt() {
        assertThat(kinds(Part.WORTH)).containsExactly(Kind.DENSITY);
        mean = 283.5;
        assertThat(kinds(Part.WORTH)).containsExactly(Kind.DENSITY);
        mean = 281;
        assertThat(kinds(Part.WORTH)).as("TF-31").containsExactly(Kind.DENSITY, Kind.SPRAYS_BADLY);
        mean = 320;
        outcome = Outcome.PULLS_TIMING;
        recovered = 8;
        condensed = 0.143;
        assertThat(kinds(Part.WORTH))
                .containsExactly(Kind.DENSITY, Kind.BACK_AT_TARGET, Kind.SENSOR_NEVER_SHOWS, Kind.CONDENSED);
        firstShown = 71;
        latent = 0.18e6;
        assertThat(kinds(Part.WORTH))
                .containsExactly(Kind.DENSITY, Kind.BACK_AT_TARGET, Kind.SENSOR_SHOWS, Kind.CONDENSED_HEAVILY);
    }

    @ParameterizedTest
    @CsvSource({
        "COLD_SIDE, false, LIMIT_LITTLE_AIR, 0.7",
        "COLD_SIDE, true, LIMIT_LITTLE_WATER, 0.7",
        "WALL, false, LIMIT_WALL, 0.02",
        "WARMED_AIR, false, LIMIT_WARMED_AIR, 0",
        "CHARGE, false, LIMIT_CHARGE_SIDE, 0.2",
        "TANK, true, LIMIT_TANK_OVER_RADIATOR, 0.03",
        "SINK, true, LIMIT_RADIATOR, 0.05"
    })
    void theLargestShareIsWhatToChangeFirst(Limit first, boolean water, Kind says, double share) {
        limit = first;
        List<Finding> found = (water ? cooledByWater() : this).found();
        assertThat(found.get(found.size() - 1).kind()).isEqualTo(says);
        assertThat(found.get(found.size() - 1).figures().get(0).value())
                .isCloseTo(share, org.assertj.core.api.Assertions.within(1e-12));
    }

    @Test
    void theLimitIsToldByWhatStandsBehindIt() {
        shares = new ResistanceShares(0.65, 0.02, 0.2, 0.08, 0.05, 0, 0);
        assertThat(kinds(Part.LIMIT)).as("more film than flow").containsExactly(Kind.LIMIT_AIR_SIDE);
        limit = Limit.CHARGE;
        assertThat(kinds(Part.LIMIT)).containsExactly(Kind.LIMIT_CHARGE_SIDE_BY_FAR);
        limit = Limit.OUTSIDE_AIR;
        assertThat(kinds(Part.LIMIT)).containsExactly(Kind.LIMIT_OUTSIDE_AIR);
        needed = 1.04;
        assertThat(kinds(Part.LIMIT)).containsExactly(Kind.LIMIT_OUTSIDE_AIR_TOO_WARM);
        Loops iced = new Loops();
        iced.radiator = Optional.empty();
        iced.tank = Optional.of(
                new TankSpec(20e-3, false, OptionalDouble.empty(), new IceSpec(8, 0.03, IceSpec.Stir.STILL), false));
        loop = Optional.of(iced.spec());
        limit = Limit.SINK;
        assertThat(kinds(Part.LIMIT)).containsExactly(Kind.LIMIT_ICE);
        limit = Limit.TANK;
        assertThat(kinds(Part.LIMIT)).containsExactly(Kind.LIMIT_TANK);
        iced.tank = Optional.of(TankSpec.PLAIN);
        iced.chiller = Optional.of(new ChillerSpec(4e3, 277, 20e3, true));
        loop = Optional.of(iced.spec());
        limit = Limit.SINK;
        assertThat(kinds(Part.LIMIT)).containsExactly(Kind.LIMIT_CHILLER);
        shares = null;
        assertThat(kinds(Part.LIMIT)).as("without a core").isEmpty();
    }
}
