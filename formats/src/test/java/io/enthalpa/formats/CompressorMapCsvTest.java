package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.engine.CompressorMap;
import io.enthalpa.core.fault.EnthalpaFault;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CompressorMapCsvTest {
    private static final String ROWS = """
            60000,0.05,1.5,0.70
            60000,0.10,1.42,0.72
            60000,0.14,1.2,0.62
            90000,0.08,2.1,0.71
            90000,0.16,1.95,0.75
            90000,0.21,1.5,0.60
            """;

    private static CompressorMap read(String heading, String rows) {
        return CompressorMapCsv.read(heading + "\n" + rows);
    }

    @Test
    void plainTableIsRead() {
        CompressorMap map = read("speed [rpm],flow [kg/s],pressure ratio,efficiency", ROWS);
        assertThat(map.lines()).hasSize(2);
        assertThat(map.lines().get(1).points().get(1).flow()).isCloseTo(0.16, within(1e-12));
        assertThat(map.lines().get(0).points().get(2).efficiency()).isCloseTo(0.62, within(1e-12));
        assertThat(map.referenceTemperature()).isEqualTo(298.15);
    }

    /** The same map in other units and another order of columns is the same map. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"flow [lb/min]|132.27735731", "flow [kg/h]|3600", "flow_g_s|1000", "Flow (cfm)|1812.7"})
    void anyUnitWillDo(String heading, double perKilogramSecond) {
        StringBuilder rows = new StringBuilder("Efficiency [%];" + heading
                + ";Pressure Ratio;Speed [rpm]\n# inlet temperature 25 C\n# inlet pressure: 100 kPa\n");
        for (String row : ROWS.lines().toList()) {
            String[] c = row.split(",");
            rows.append(100 * Double.parseDouble(c[3]))
                    .append(';')
                    .append(Double.parseDouble(c[1]) * perKilogramSecond)
                    .append(';')
                    .append(c[2])
                    .append(';')
                    .append(c[0])
                    .append('\n');
        }
        CompressorMap map = CompressorMapCsv.read(rows.toString());
        assertThat(map.lines().get(1).points().get(1).flow()).isCloseTo(0.16, withinPercentage(0.1));
        assertThat(map.lines().get(1).points().get(1).efficiency()).isCloseTo(0.75, within(1e-9));
    }

    @Test
    void inletStateIsTakenFromTheComments() {
        CompressorMap map = CompressorMapCsv.read(
                "# inlet temperature 15 °C\n# inlet pressure 0.95 bar\nspeed [rpm],flow [kg/s],pressure ratio,efficiency\n"
                        + ROWS);
        assertThat(map.referenceTemperature()).isCloseTo(288.15, within(1e-9));
        assertThat(map.referencePressure()).isCloseTo(95e3, within(1e-6));
    }

    @Test
    void writtenMapReadsBack() {
        CompressorMap map = read("speed [rpm],flow [kg/s],pressure ratio,efficiency", ROWS);
        CompressorMap again = CompressorMapCsv.read(CompressorMapCsv.write(map));
        assertThat(again.lines().get(0).points())
                .hasSameSizeAs(map.lines().get(0).points());
        assertThat(again.at(0.12, 1.6).efficiency()).isCloseTo(map.at(0.12, 1.6).efficiency(), within(1e-4));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "speed [rpm],flow [kg/s],efficiency|60000,0.1,0.7|no column \"pressure ratio\"",
                "speed [rpm],flow [bananas],pressure ratio,efficiency|60000,0.1,1.5,0.7|\"bananas\" does not measure this",
                "speed [rpm],flow,pressure ratio,efficiency|60000,0.1,1.5,0.7|\"no unit\" does not measure this",
                "speed [rpm],flow [kg/s],pressure ratio,efficiency|60000,0.1,1.5,0.7|number of speed lines on the map is 1",
                "speed [rpm],flow [kg/s],pressure ratio,efficiency|60000,x,1.5,0.7|map file, line 2, flow [kg/s]: \"x\" is not a number",
                "speed [rpm],flow [kg/s],pressure ratio,efficiency|60000,0.1,1.5,70|efficiency is 7000 %"
            })
    void badMapsAreRefusedByName(String heading, String row, String words) {
        String rows = row.contains("70") && row.endsWith(",70")
                ? row + "\n60000,0.2,1.3,70\n90000,0.1,2,70\n90000,0.2,1.9,70"
                : row;
        assertThatThrownBy(() -> read(heading, rows))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining(words);
    }

    @Test
    void rubbishIsRefusedNotSwallowed() {
        Random random = new Random(7);
        for (int i = 0; i < 200; i++) {
            StringBuilder text = new StringBuilder();
            for (int k = 0; k < 80; k++) {
                text.append((char) (random.nextInt(96) + (random.nextInt(8) == 0 ? 10 : 32)));
            }
            assertThatThrownBy(() -> CompressorMapCsv.read(text.toString())).isInstanceOf(EnthalpaFault.class);
        }
        assertThatThrownBy(() -> CompressorMapCsv.read("")).hasMessageContaining("empty");
    }
}
