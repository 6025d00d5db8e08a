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

class PipeLossTest {
    static List<ReferenceTable.Row> friction() {
        return ReferenceTable.rows("friction-factor.csv");
    }

    static List<ReferenceTable.Row> bends() {
        return ReferenceTable.rows("bend-loss.csv");
    }

    static LongStream seeds() {
        return Cases.seeds();
    }

    /** Colebrook (1939) solved exactly. */
    @ParameterizedTest
    @MethodSource("friction")
    void frictionAgreesWithThePublishedTable(ReferenceTable.Row row) {
        assertThat(FrictionFactor.darcy(row.get("reynolds"), row.get("relative_roughness")))
                .isCloseTo(row.get("darcy_friction_factor"), withinPercentage(1));
    }

    /** Four published methods; inside their spread or within a tenth of it. */
    @ParameterizedTest
    @MethodSource("bends")
    void bendLossLiesWithinTheSpreadOfPublishedMethods(ReferenceTable.Row row) {
        double friction = FrictionFactor.darcy(row.get("reynolds"), 1.5e-6 / 0.0635);
        double k =
                BendLoss.coefficient(row.get("radius_over_diameter"), Math.toRadians(row.get("angle_deg")), friction);
        double slack = 0.1 * (row.get("k_max") - row.get("k_min"));
        assertThat(k).isBetween(row.get("k_min") - slack, row.get("k_max") + slack);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void rougherPipeNeverRubsLess(long seed) {
        Cases cases = Cases.of(seed);
        double re = cases.between(500, 1e6);
        double roughness = cases.between(0, 0.01);
        assertThat(FrictionFactor.darcy(re, roughness + 0.001))
                .isGreaterThanOrEqualTo(FrictionFactor.darcy(re, roughness));
    }

    @Test
    void frictionHasNoStepAtTheEdgesOfTransition() {
        for (double edge : new double[] {FrictionFactor.LAMINAR_LIMIT, FrictionFactor.TURBULENT_FROM}) {
            assertThat(FrictionFactor.darcy(edge - 1e-6, 1e-4))
                    .isCloseTo(FrictionFactor.darcy(edge + 1e-6, 1e-4), within(1e-6));
        }
    }

    @Test
    void runAddsStraightAndBends() {
        PipeSpec straight = new PipeSpec(PipeMaterial.ALUMINIUM, 0.0635, 1.0, List.of());
        PipeSpec.Bend bend = new PipeSpec.Bend(Math.PI / 2, 1.5 * 0.0635);
        PipeSpec bent = new PipeSpec(PipeMaterial.ALUMINIUM, 0.0635, 1.0, List.of(bend, bend));
        double f = FrictionFactor.darcy(2e5, 1.5e-6 / 0.0635);
        assertThat(straight.loss().coefficient(2e5)).isCloseTo(f / 0.0635, within(1e-12));
        assertThat(bent.loss().coefficient(2e5) - straight.loss().coefficient(2e5))
                .isCloseTo(2 * BendLoss.coefficient(1.5, Math.PI / 2, f), within(1e-12));
        assertThat(bent.volume())
                .isCloseTo(Math.PI / 4 * 0.0635 * 0.0635 * (1 + Math.PI * 1.5 * 0.0635), within(1e-12));
    }
}
