package io.enthalpa.core.telemetry;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * The model as straight round a point: what each unknown does to each channel, and with it the step to the best fit and what it leaves open. The unknowns are in spreads, followed by the
 * constant offset of each channel in its error.
 *
 * @param at    predicted at the point, by channel
 * @param moved predicted with each unknown moved by {@code by} spreads
 */
record FitStep(FitData data, Map<Channel, double[]> at, List<Map<Channel, double[]>> moved, double by) {
    FitStep {
        moved = List.copyOf(moved);
    }

    /**
     * @param point   in spreads
     * @param longest that an unknown is moved at once
     * @return the next point
     */
    double[] step(double[] point, double longest) {
        List<Channel> channels = data.channels();
        RealVector right = new ArrayRealVector(point.length + channels.size());
        for (int c = 0; c < channels.size(); c++) {
            double[] predicted = at.get(channels.get(c));
            double error = FitData.error(channels.get(c), predicted);
            for (int k = 0; k < data.moments().length; k++) {
                double off = (data.measured()[c][k] - predicted[k]) / error;
                double w = fitted(k) ? data.weight()[k] : 0;
                if (w > 0 && !Double.isNaN(off)) {
                    for (int u = 0; u < point.length; u++) {
                        right.addToEntry(u, w * off * slope(channels.get(c), u, k) / error);
                    }
                    right.addToEntry(point.length + c, w * off);
                }
            }
        }
        for (int u = 0; u < point.length; u++) {
            right.addToEntry(u, -point[u]);
        }
        RealVector step =
                new CholeskyDecomposition(normal(channels)).getSolver().solve(right);
        double[] next = point.clone();
        for (int u = 0; u < next.length; u++) {
            next[u] += Math.max(-longest, Math.min(longest, step.getEntry(u)));
        }
        return next;
    }

    /** @return offsets of the channels that are left when the unknowns are at the point, K or in the channel's unit */
    double[] offsets() {
        List<Channel> channels = data.channels();
        double[] offsets = new double[channels.size()];
        for (int c = 0; c < offsets.length; c++) {
            double[] predicted = at.get(channels.get(c));
            double sum = 0;
            double weights = 1;
            for (int k = 0; k < data.moments().length; k++) {
                double off = data.measured()[c][k] - predicted[k];
                if (fitted(k) && !Double.isNaN(off)) {
                    sum += data.weight()[k] * off;
                    weights += data.weight()[k];
                }
            }
            offsets[c] = sum / weights;
        }
        return offsets;
    }

    /** @return of the unknowns, in spreads squared, once the log and what else is given have been looked at */
    RealMatrix covariance(List<Channel> channels) {
        RealMatrix all = new CholeskyDecomposition(normal(channels)).getSolver().getInverse();
        int last = moved.size() - 1;
        return all.getSubMatrix(0, last, 0, last);
    }

    private boolean fitted(int k) {
        return !data.held()[k];
    }

    private double slope(Channel channel, int unknown, int k) {
        double slope = (moved.get(unknown).get(channel)[k] - at.get(channel)[k]) / by;
        return Double.isNaN(slope) ? 0 : slope;
    }

    private RealMatrix normal(List<Channel> channels) {
        int p = moved.size();
        RealMatrix normal = new Array2DRowRealMatrix(p + channels.size(), p + channels.size());
        for (int i = 0; i < normal.getRowDimension(); i++) {
            normal.setEntry(i, i, 1);
        }
        double[] row = new double[p];
        for (int c = 0; c < channels.size(); c++) {
            double error = FitData.error(channels.get(c), at.get(channels.get(c)));
            for (int k = 0; k < data.moments().length; k++) {
                double w = fitted(k) ? data.weight()[k] : 0;
                if (w == 0 || Double.isNaN(at.get(channels.get(c))[k])) {
                    continue;
                }
                for (int u = 0; u < p; u++) {
                    row[u] = slope(channels.get(c), u, k) / error;
                }
                for (int u = 0; u < p; u++) {
                    for (int v = 0; v <= u; v++) {
                        double both = w * row[u] * row[v];
                        normal.addToEntry(u, v, both);
                        if (v < u) {
                            normal.addToEntry(v, u, both);
                        }
                    }
                    normal.addToEntry(u, p + c, w * row[u]);
                    normal.addToEntry(p + c, u, w * row[u]);
                }
                normal.addToEntry(p + c, p + c, w);
            }
        }
        return normal;
    }

    /** @return the channels that were measured, and one more */
    List<Channel> with(Channel more) {
        List<Channel> channels = new ArrayList<>(data.channels());
        channels.add(more);
        return channels;
    }
}
