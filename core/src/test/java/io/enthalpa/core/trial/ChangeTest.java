package io.enthalpa.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.build.BuildOption;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ChangeTest {
    private static Change change(double worst, double loss) {
        return new Change(What.PIPE, "pipe", new BuildOption("A", "", 0, List.of(), List.of()), worst, loss, 0);
    }

    /** A sixth of a kelvin is worth a weld, a tenth of a kilopascal too while it costs no more than that. */
    @ParameterizedTest
    @CsvSource({
        "-0.2, 0, true",
        "-0.1, 0, false",
        "0.1, -150, true",
        "0.2, -150, false",
        "0.1, -50, false",
        "2, 0, false"
    })
    void onlyWhatHelpsIsOffered(double worst, double loss, boolean helps) {
        assertThat(change(worst, loss).helps()).isEqualTo(helps);
    }

    @Test
    void twoKilopascalsCountAsAKelvin() {
        assertThat(change(-1, 1000).rank()).isCloseTo(-0.5, within(1e-12));
    }
}
