package io.enthalpa.core.plant;

/** Two stores of heat that exchange with each other, and each with levels of its own: exact over any step. */
final class CoupledStores {
    private double first;
    private double second;
    private double meanFirst;
    private double meanSecond;

    CoupledStores(double temperature) {
        first = temperature;
        second = temperature;
    }

    /**
     * {@code c1 dT1/dt = push1 - pull1 T1 - between (T1 - T2)} and the same for the second; one pull must be above 0.
     *
     * @param c1      J/K, of the first
     * @param pull1   W/K
     * @param push1   W
     * @param c2      J/K, of the second
     * @param pull2   W/K
     * @param push2   W
     * @param between W/K
     */
    void relax(
            double dt, double c1, double pull1, double push1, double c2, double pull2, double push2, double between) {
        double a11 = -(pull1 + between) / c1;
        double a12 = between / c1;
        double a21 = between / c2;
        double a22 = -(pull2 + between) / c2;
        double determinant = pull1 * pull2 + between * (pull1 + pull2);
        double settled1 = (push1 * (pull2 + between) + push2 * between) / determinant;
        double settled2 = (push2 * (pull1 + between) + push1 * between) / determinant;
        double y1 = first - settled1;
        double y2 = second - settled2;
        double middle = (a11 + a22) / 2;
        double half = (a11 - a22) / 2;
        double apart = Math.sqrt(half * half + a12 * a21);
        double slow = (middle + apart) * dt;
        double quick = (middle - apart) * dt;
        double turned1 = half * y1 + a12 * y2;
        double turned2 = a21 * y1 - half * y2;
        double p = (Math.exp(slow) + Math.exp(quick)) / 2;
        double s = (Math.exp(slow) - Math.exp(quick)) / (2 * apart);
        first = settled1 + p * y1 + s * turned1;
        second = settled2 + p * y2 + s * turned2;
        double meanSlow = Math.expm1(slow) / slow;
        double meanQuick = Math.expm1(quick) / quick;
        p = (meanSlow + meanQuick) / 2;
        s = (meanSlow - meanQuick) / (2 * apart);
        meanFirst = settled1 + p * y1 + s * turned1;
        meanSecond = settled2 + p * y2 + s * turned2;
    }

    /** Both as they are known from elsewhere. */
    void set(double t1, double t2) {
        first = t1;
        second = t2;
    }

    double first() {
        return first;
    }

    double second() {
        return second;
    }

    double meanFirst() {
        return meanFirst;
    }

    double meanSecond() {
        return meanSecond;
    }
}
