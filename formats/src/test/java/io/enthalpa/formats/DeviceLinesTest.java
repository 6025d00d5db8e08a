package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.formats.DeviceLines.Row;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class DeviceLinesTest {
    private static List<Row> rows(DeviceLines lines, String text) {
        List<Row> rows = new ArrayList<>();
        text.lines().forEach(line -> lines.line(line).ifPresent(rows::add));
        return rows;
    }

    /** 27 °C are 300.15 K, 12 psi 82 737.1 Pa. */
    @Test
    void aHeadingAndRows() {
        DeviceLines lines = new DeviceLines();
        List<Row> rows = rows(
                lines,
                "# device: bench logger (simulated)\n\ntime [s],intake [°C],boost [psi]\n0.5,27,12\n0.6,,12.1\n");
        assertThat(lines.name()).isEqualTo("bench logger (simulated)");
        assertThat(lines.isSimulated()).isTrue();
        assertThat(lines.channels()).containsExactlyInAnyOrder(Channel.INTAKE, Channel.BOOST);
        int intake = lines.channels().indexOf(Channel.INTAKE);
        assertThat(rows).hasSize(2);
        assertThat(rows.get(0).time().orElseThrow()).isEqualTo(0.5);
        assertThat(rows.get(0).values()[intake]).isCloseTo(300.15, within(1e-9));
        assertThat(rows.get(0).values()[1 - intake]).isCloseTo(82_737.1, within(0.1));
        assertThat(rows.get(1).values()[intake]).isNaN();
    }

    /** On before anybody listened, cut in two on the wire, said again: none of that ends a drive. */
    @Test
    void whatIsSpoiltIsCountedAndLeftOut() {
        DeviceLines lines = new DeviceLines();
        List<Row> rows = rows(
                lines,
                "3,4\nboost;outside air\n80;21\n8\nboost;outside air\n???;x\n81;9000\n" + "9".repeat(5000) + "\n");
        assertThat(rows).hasSize(2);
        assertThat(lines.spoilt()).isEqualTo(4);
        assertThat(rows.get(0).time()).isEmpty();
        assertThat(rows.get(1).values()[lines.channels().indexOf(Channel.OUTSIDE)])
                .as("no weather is that warm")
                .isNaN();
    }

    @Test
    void aHeadingThatNamesNothingIsRefused() {
        DeviceLines lines = new DeviceLines();
        assertThatThrownBy(() -> rows(lines, "colour,taste\n1,2\n"))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("colour,taste");
    }
}
