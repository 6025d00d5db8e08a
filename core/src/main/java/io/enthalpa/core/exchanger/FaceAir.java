package io.enthalpa.core.exchanger;

import io.enthalpa.core.fluid.HumidAir;

/**
 * The cooling air where it meets a face.
 *
 * @param density     kg/m3
 * @param temperature K
 */
public record FaceAir(double density, double temperature) {
    private static final double SEA_LEVEL = 101325;

    /** As cards speak of it: dry air at sea level. @param temperature K */
    public static FaceAir atSeaLevel(double temperature) {
        return new FaceAir(HumidAir.DRY.density(SEA_LEVEL, temperature), temperature);
    }

    /**
     * A loss measured in other air, at the same velocity: a power n of velocity is one of Reynolds number too, {@code dp = k rho^(n-1) mu^(2-n) v^n}.
     *
     * @param known Pa
     * @param card  the air it was measured in
     * @return Pa in this air
     */
    public double loss(double known, FaceAir card) {
        double n = CoolantLoss.AIR_EXPONENT;
        return known
                * Math.pow(density / card.density, n - 1)
                * Math.pow(HumidAir.DRY.viscosity(temperature) / HumidAir.DRY.viscosity(card.temperature), 2 - n);
    }
}
