package io.enthalpa.core.plant;

import io.enthalpa.core.waterloop.IceSpec;

/**
 * Water under way in a hose: what goes in comes out in the same order, later by volume over flow. Parcels of one temperature each; neighbours that
 * hardly differ are one parcel.
 */
final class PlugFlow {
    private static final double SAME = 0.005;
    private double[] temperature = new double[64];
    private double[] capacity = new double[64];
    private int first;
    private int count;

    /**
     * @param heatCapacity J/K of all the water in it, 0 for no hose
     * @param start        K
     */
    PlugFlow(double heatCapacity, double start) {
        if (heatCapacity > 0) {
            temperature[0] = start;
            capacity[0] = heatCapacity;
            count = 1;
        }
    }

    /** What comes out first. @param amount J/K, no more than is in it @return K of it, mean */
    double draw(double amount) {
        double left = amount;
        double heat = 0;
        while (left > 0 && count > 0) {
            double part = Math.min(left, capacity[first]);
            heat += part * temperature[first];
            left -= part;
            capacity[first] -= part;
            if (capacity[first] <= 0) {
                first = (first + 1) % capacity.length;
                count--;
            }
        }
        return heat / (amount - left);
    }

    /** Lets in as much as leaves. @param amount J/K, above 0 @param in K @return K of what left, mean */
    double push(double amount, double in) {
        append(amount, in);
        return draw(amount);
    }

    /** @param amount J/K that comes in, above 0 @param in K */
    void append(double amount, double in) {
        int last = (first + count - 1) % capacity.length;
        if (count > 0 && Math.abs(temperature[last] - in) < SAME) {
            temperature[last] += (in - temperature[last]) * amount / (capacity[last] + amount);
            capacity[last] += amount;
            return;
        }
        if (count == capacity.length) {
            grow();
        }
        int next = (first + count) % capacity.length;
        temperature[next] = in;
        capacity[next] = amount;
        count++;
    }

    private void grow() {
        double[] t = new double[2 * count];
        double[] c = new double[2 * count];
        for (int i = 0; i < count; i++) {
            t[i] = temperature[(first + i) % count];
            c[i] = capacity[(first + i) % count];
        }
        temperature = t;
        capacity = c;
        first = 0;
    }

    /** @return J over 0 °C */
    double stored() {
        double sum = 0;
        for (int i = 0; i < count; i++) {
            int k = (first + i) % capacity.length;
            sum += capacity[k] * (temperature[k] - IceSpec.MELTING);
        }
        return sum;
    }
}
