package io.enthalpa.server.logs;

import io.enthalpa.core.quantity.Unit;
import io.enthalpa.core.telemetry.Channel;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Columns of numbers as a screen is told them: few digits, null for none. */
final class Numbers {
    private static final double DIGITS = 1e3;

    private Numbers() {}

    static @Nullable Double orNull(double value) {
        return Double.isNaN(value) ? null : Math.round(value * DIGITS) / DIGITS;
    }

    /** @param values SI @return in the channel's usual unit */
    static List<@Nullable Double> told(Channel channel, double[] values) {
        Unit unit = channel.usualUnit();
        double[] told = new double[values.length];
        for (int i = 0; i < told.length; i++) {
            told[i] = unit.fromSi(values[i]);
        }
        return rounded(told);
    }

    static List<@Nullable Double> rounded(double[] values) {
        List<@Nullable Double> told = new ArrayList<>(values.length);
        for (double value : values) {
            told.add(orNull(value));
        }
        return told;
    }

    /** @return mean of the steps within each of so many equal parts; where a part has none, the value straight between its neighbours */
    static double[] middles(double[] time, double[] values, double from, double to, int columns) {
        double[] middles = new double[columns];
        double width = (to - from) / columns;
        int i = 0;
        for (int c = 0; c < columns; c++) {
            double left = from + c * width;
            while (i < time.length && time[i] < left) {
                i++;
            }
            double sum = 0;
            int n = 0;
            int k = i;
            for (; k < time.length && time[k] < left + width; k++) {
                if (!Double.isNaN(values[k])) {
                    sum += values[k];
                    n++;
                }
            }
            middles[c] = n > 0 ? sum / n : between(time, values, i, left + width / 2);
            i = k;
        }
        return middles;
    }

    private static double between(double[] time, double[] values, int next, double at) {
        if (next == 0 || next >= time.length || time[next] - time[next - 1] > 2) {
            return Double.NaN;
        }
        double share = (at - time[next - 1]) / (time[next] - time[next - 1]);
        return values[next - 1] + Math.max(0, Math.min(share, 1)) * (values[next] - values[next - 1]);
    }
}
