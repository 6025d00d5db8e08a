package io.enthalpa.core.fluid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.ReferenceTable;
import io.enthalpa.core.fault.EnthalpaFault;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class WaterAndAtmosphereTest {
    static List<ReferenceTable.Row> water() {
        return ReferenceTable.rows("water-properties.csv");
    }

    static List<ReferenceTable.Row> saturation() {
        return ReferenceTable.rows("water-saturation.csv");
    }

    static List<ReferenceTable.Row> atmosphere() {
        return ReferenceTable.rows("standard-atmosphere.csv");
    }

    /** IAPWS-IF97 and IAPWS transport releases. */
    @ParameterizedTest
    @MethodSource("water")
    void waterAgreesWithThePublishedTable(ReferenceTable.Row row) {
        double t = row.get("temperature_C") + 273.15;
        assertThat(Water.density(t)).isCloseTo(row.get("density_kg_m3"), withinPercentage(0.1));
        assertThat(Water.heatCapacity(t)).isCloseTo(row.get("cp_J_kgK"), withinPercentage(0.2));
        assertThat(Water.viscosity(t)).isCloseTo(row.get("viscosity_Pa_s"), withinPercentage(1));
        assertThat(Water.conductivity(t)).isCloseTo(row.get("conductivity_W_mK"), withinPercentage(1));
    }

    /** IAPWS-IF97. */
    @ParameterizedTest
    @MethodSource("saturation")
    void saturationAgreesWithThePublishedTable(ReferenceTable.Row row) {
        assertThat(WaterVapour.saturationPressure(row.get("temperature_C") + 273.15))
                .isCloseTo(row.get("saturation_pressure_Pa"), withinPercentage(0.3));
    }

    /** ISO 2533:1975. */
    @ParameterizedTest
    @MethodSource("atmosphere")
    void atmosphereAgreesWithTheStandard(ReferenceTable.Row row) {
        double h = row.get("altitude_m");
        assertThat(Atmosphere.temperature(h)).isCloseTo(row.get("temperature_K"), within(0.005));
        assertThat(Atmosphere.pressure(h)).isCloseTo(row.get("pressure_Pa"), withinPercentage(0.01));
        assertThat(HumidAir.DRY.density(Atmosphere.pressure(h), Atmosphere.temperature(h)))
                .isCloseTo(row.get("density_kg_m3"), withinPercentage(0.05));
    }

    @Test
    void refusesAltitudesThatNobodyDrivesAt() {
        assertThatThrownBy(() -> Atmosphere.pressure(9000))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessage("altitude is 9000 m; it must lie between -500 and 5000 m.");
    }
}
