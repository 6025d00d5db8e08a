package io.enthalpa.core.loss;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.ReferenceTable;
import java.util.List;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class ChangesAndJunctionsTest {
    static List<ReferenceTable.Row> changes() {
        return ReferenceTable.rows("diameter-change-loss.csv");
    }

    static List<ReferenceTable.Row> mitres() {
        return ReferenceTable.rows("mitre-loss.csv");
    }

    static LongStream seeds() {
        return Cases.seeds();
    }

    /** Crane TP-410 for cones, Borda-Carnot and Rennels &amp; Hudson (2012) for steps. */
    @ParameterizedTest
    @MethodSource("changes")
    void changeOfBoreAgreesWithThePublishedTable(ReferenceTable.Row row) {
        double angle = Math.toRadians(row.get("included_angle_deg"));
        assertThat(DiameterChange.coefficient(row.get("d_in_m"), row.get("d_out_m"), angle))
                .isCloseTo(row.get("k"), withinPercentage(0.01));
    }

    /** Rennels &amp; Hudson (2012) exactly; every other published method within the 16 % that they differ by, from 30° up. */
    @ParameterizedTest
    @MethodSource("mitres")
    void mitreLiesAmongThePublishedMethods(ReferenceTable.Row row) {
        double k = MitreLoss.coefficient(Math.toRadians(row.get("angle_deg")));
        if (row.text("method").equals("Rennels")) {
            assertThat(k).isCloseTo(row.get("k"), withinPercentage(0.01));
        } else if (row.get("angle_deg") >= 30) {
            assertThat(k).isCloseTo(row.get("k"), withinPercentage(16));
        } else {
            assertThat(k).isBetween(0.04, 0.0721303);
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void gentlerConeNeverCostsMoreAndNothingGains(long seed) {
        Cases cases = Cases.of(seed);
        double from = cases.between(0.03, 0.1);
        double to = cases.between(0.03, 0.1);
        double length = cases.between(0.01, 0.3);
        double cone = DiameterChange.coefficient(from, to, DiameterChange.includedAngle(from, to, length));
        double longer = DiameterChange.coefficient(from, to, DiameterChange.includedAngle(from, to, 1.5 * length));
        assertThat(cone).isGreaterThanOrEqualTo(0);
        assertThat(longer).isLessThanOrEqualTo(cone + 1e-12);
        assertThat(DiameterChange.includedAngle(from, to, 0)).isEqualTo(Math.PI);
        assertThat(DiameterChange.coefficient(from, from, Math.PI)).isZero();
    }

    /** Equal legs of half the area each: speeds stay, only the angle costs: K = 2 - 2 cos a, split and merge alike. */
    @Test
    void symmetricYOfEqualSpeedsCostsOnlyItsAngle() {
        double angle = Math.toRadians(30);
        assertThat(JunctionLoss.split(1, angle)).isCloseTo(2 - 2 * Math.cos(angle), within(1e-12));
        assertThat(JunctionLoss.merge(1, Math.cos(angle))).isCloseTo(2 - 2 * Math.cos(angle), within(1e-12));
        assertThat(JunctionLoss.split(1, 0)).isCloseTo(0, within(1e-12));
    }

    /** A slow leg beside a fast one is drawn along, and the pair as a whole still loses: energy is not made. */
    @ParameterizedTest
    @MethodSource("seeds")
    void mergeAsAWholeNeverGains(long seed) {
        Cases cases = Cases.of(seed);
        double share = cases.between(0.05, 0.95);
        double areaOne = cases.between(0.5, 2.5);
        double areaTwo = cases.between(0.5, 2.5);
        double angle = cases.between(0.0, Math.PI / 2);
        double one = share * areaOne;
        double two = (1 - share) * areaTwo;
        double momentum = (share * one + (1 - share) * two) * Math.cos(angle);
        double whole = share * JunctionLoss.merge(one, momentum) + (1 - share) * JunctionLoss.merge(two, momentum);
        assertThat(whole)
                .as("at least what mixing two speeds costs")
                .isGreaterThanOrEqualTo(share * (1 - share) * Math.pow(one - two, 2) - 1e-9);
        assertThat(JunctionLoss.split(one, angle)).isGreaterThanOrEqualTo(0);
    }

    @Test
    void jointCostsALittleAndNeverMoreThanItsTwoSteps() {
        double whole =
                DiameterChange.coefficient(0.063, 0.067, Math.PI) + DiameterChange.coefficient(0.067, 0.063, Math.PI);
        assertThat(JointLoss.coefficient(0.063, 0.067, 0.008)).isLessThan(0.06).isPositive();
        assertThat(JointLoss.coefficient(0.063, 0.067, 0.5)).isCloseTo(whole, within(1e-12));
        assertThat(JointLoss.coefficient(0.063, 0.063, 0.01)).isZero();
        assertThat(JointLoss.coefficient(0.063, 0.067, 0)).isZero();
    }

    @Test
    void mitreInARunCountsAsAMitre() {
        PipeSpec mitred = new PipeSpec(PipeMaterial.STEEL, 0.063, 0.5, List.of(PipeSpec.Bend.mitre(Math.PI / 2)));
        PipeSpec straight = new PipeSpec(PipeMaterial.STEEL, 0.063, 0.5, List.of());
        assertThat(mitred.loss().coefficient(2e5) - straight.loss().coefficient(2e5))
                .isCloseTo(MitreLoss.coefficient(Math.PI / 2), within(1e-9));
        assertThat(mitred.volume()).isCloseTo(straight.volume(), within(1e-12));
        assertThat(mitred.apart()).isInfinite();
    }

    /**
     * Worked example from a textbook (Çengel &amp; Cimbala, Fluid Mechanics, from memory): water at 60 °F through a 2 in stainless pipe at
     * Re 126 400, relative roughness 0.000042: f = 0.0174.
     */
    @Test
    void workedExampleOfPipeFriction() {
        assertThat(FrictionFactor.darcy(126_400, 0.000042)).isCloseTo(0.0174, withinPercentage(1));
    }
}
