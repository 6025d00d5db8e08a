package io.enthalpa.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.waterloop.LoopHeights;
import io.enthalpa.core.waterloop.LoopHydraulics;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.Radiator;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

class UsualLoopTest {
    private static final double PER_MINUTE = 1e-3 / 60;
    private static final FaceAirSpec AIR = new FaceAirSpec(0.25, 0.5);

    private static List<String> names(WaterLoopSpec loop) {
        return loop.pieces().stream().map(LoopPiece::name).toList();
    }

    private static double flow(WaterLoopSpec loop, double size, double engineSpeed) {
        ChargeCooler core = new ChargeCooler(
                GenericParts.waterCore("core", size, 0.063, loop).spec());
        Radiator radiator =
                loop.radiator().map(r -> Radiator.of(r, loop.coolant())).orElse(null);
        return new LoopHydraulics(loop, core, radiator).flow(320, engineSpeed) / PER_MINUTE;
    }

    @Test
    void everyPartStandsOnceAndHosesJoinThem() {
        assertThat(names(GenericParts.withRadiator(1, AIR)))
                .containsExactly(
                        "tank",
                        "tank to pump",
                        "pump",
                        "pump to core",
                        "core",
                        "core to radiator",
                        "radiator",
                        "radiator to tank");
        assertThat(names(GenericParts.withIce(1, 8, false)))
                .startsWith("ice tank")
                .endsWith("core to ice tank");
        assertThat(names(GenericParts.withChiller(1, 12e-3))).contains("pump to chiller", "chiller", "chiller to core");
        assertThat(names(GenericParts.raw(1, 600)))
                .containsExactly(
                        "water in",
                        "water in to raw water pump",
                        "raw water pump",
                        "raw water pump to core",
                        "core",
                        "core to outfall",
                        "outfall");
    }

    @Test
    void closedLoopsFillByThemselves() {
        for (WaterLoopSpec loop : List.of(
                GenericParts.withRadiator(1, AIR),
                GenericParts.withIce(2, 8, true),
                GenericParts.withChiller(0.6, 9e-3))) {
            assertThat(LoopHeights.of(loop.pieces()).over()).isLessThanOrEqualTo(0);
        }
    }

    /** Its pump moves 40 L/min with nothing against it and 20 against 32 kPa: with its radiator's loss and hoses it meets between. */
    @Test
    void pumpMeetsTheLoopBetweenItsTwoPoints() {
        double one = flow(GenericParts.withRadiator(1, AIR), 1, 0);
        assertThat(one).isBetween(20.0, 40.0);
        assertThat(flow(GenericParts.withRadiator(2, AIR), 2, 0)).isBetween(1.6 * one, 2.2 * one);
    }

    @Test
    void rawWaterFollowsTheEngine() {
        double full = flow(GenericParts.raw(1, 600), 1, 600);
        assertThat(full).isBetween(60.0, 75.0);
        assertThat(flow(GenericParts.raw(1, 600), 1, 300)).isBetween(0.35 * full, 0.65 * full);
    }

    @Test
    void aGuessGivesWayToThePumpAndAMeasurementDoesNot() {
        WaterLoopSpec measured =
                GenericParts.withRadiator(1, AIR).withMeasured(14 * PER_MINUTE).withPieces(List.of());
        assertThat(UsualLoop.drawn(measured, 0).measured()).isEqualTo(OptionalDouble.of(14 * PER_MINUTE));
        WaterLoopSpec guessed = new WaterLoopSpec(
                measured.coolant(),
                measured.measured(),
                measured.volume(),
                List.of(),
                measured.radiator(),
                measured.tank(),
                measured.chiller(),
                measured.raw(),
                0,
                true,
                true);
        assertThat(UsualLoop.drawn(guessed, 0).measured()).isEmpty();
        assertThat(UsualLoop.drawn(guessed, 0).guessed()).isFalse();
    }
}
