package io.enthalpa.server.logs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.server.problem.StoreFault;
import java.util.Random;
import org.junit.jupiter.api.Test;

class PackedColumnTest {
    private static float[] sensor(int rows) {
        Random noise = new Random(4);
        float[] values = new float[rows];
        for (int i = 0; i < rows; i++) {
            values[i] = i % 97 == 0 ? Float.NaN : Math.round(10 * (310 + 0.01 * i + noise.nextGaussian())) / 10f;
        }
        return values;
    }

    @Test
    void valuesComeBackAsTheyWere() {
        float[] values = sensor(4096);
        PackedColumn packed = PackedColumn.ofValues(values);
        assertThat(packed.values()).containsExactly(values);
        assertThat(packed.bytes().length).as("of 16 384").isLessThan(9000);
    }

    @Test
    void timesComeBackToAMicrosecond() {
        double[] time = new double[4096];
        for (int i = 0; i < time.length; i++) {
            time[i] = 35_000 + 0.02 * i + (i > 3000 ? 900 : 0);
        }
        PackedColumn packed = PackedColumn.ofTimes(time);
        assertThat(packed.times()).containsExactly(time, within(1e-6));
        assertThat(packed.bytes().length)
                .as("a steady clock costs next to nothing")
                .isLessThan(400);
        assertThat(PackedColumn.ofTimes(new double[] {7.5}).times()).containsExactly(7.5);
    }

    @Test
    void aDamagedByteIsNoticed() {
        PackedColumn packed = PackedColumn.ofValues(sensor(500));
        packed.bytes()[40] ^= 1;
        assertThatThrownBy(packed::values).isInstanceOf(StoreFault.class).hasMessageContaining("damaged");
    }
}
