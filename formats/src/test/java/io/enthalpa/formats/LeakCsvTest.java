package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.leak.LeakTest.Reading;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;

class LeakCsvTest {
    private static List<Reading> read(String text) {
        return LeakCsv.read(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
    }

    @Test
    void clockGaugeAndAirHoweverTheyAreCalled() {
        List<Reading> own = read("time_s,gauge_kPa,air_C\n5,95,21\n35,94.5,20.5\n");
        assertThat(own).hasSize(2);
        assertThat(own.get(0).time()).isZero();
        assertThat(own.get(1).time()).isCloseTo(30, within(1e-9));
        assertThat(own.get(1).gauge()).isCloseTo(94_500, within(1e-6));
        List<Reading> german = read("Time [s];Pressure [bar]\n0;0,95\n60;0,94\n");
        assertThat(german.get(1).gauge()).isCloseTo(94_000, within(1e-6));
        assertThat(german.get(0).temperature()).isNaN();
        // 14 psi are 96 526.6 Pa.
        assertThat(read("t,psi\n0,14\n9,13\n").get(0).gauge()).isCloseTo(96_526.6, within(0.1));
    }

    /** 1000 falling from 100 kPa by 1 Pa each: groups of five, the first at their mean, 99 998 Pa. */
    @Test
    void manyAreAveragedToFew() {
        StringBuilder text = new StringBuilder("time,gauge\n");
        for (int i = 0; i < 1000; i++) {
            text.append(i / 10.0).append(',').append(100 - i / 1000.0).append('\n');
        }
        List<Reading> few = read(text.toString());
        assertThat(few).hasSize(200);
        assertThat(few.get(0).gauge()).isCloseTo(99_998, within(1e-6));
        assertThat(few.get(0).time()).isCloseTo(0.2, within(1e-9));
    }

    @Test
    void whatHasNoGaugeIsRefused() {
        assertThatThrownBy(() -> read("time,colour\n0,1\n"))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("gauge or pressure");
    }
}
