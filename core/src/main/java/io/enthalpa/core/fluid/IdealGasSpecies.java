package io.enthalpa.core.fluid;

/**
 * Caloric properties of the species in air by the NASA seven-coefficient polynomials, 200 to 1000 K
 * (McBride, Gordon &amp; Reno, Coefficients for calculating thermodynamic and transport properties of
 * individual species, NASA TM-4513, 1993; coefficients from memory, checked against the air table). Methanol: the polynomial of the
 * same form in GRI-Mech 3.0 (1999), from memory, checked at 298.15 K.
 */
enum IdealGasSpecies {
    NITROGEN(28.0134e-3, 3.53100528, -1.23660988e-4, -5.02999433e-7, 2.43530612e-9, -1.40881235e-12),
    OXYGEN(31.9988e-3, 3.78245636, -2.99673416e-3, 9.84730201e-6, -9.68129509e-9, 3.24372837e-12),
    ARGON(39.948e-3, 2.5, 0, 0, 0, 0),
    CARBON_DIOXIDE(44.0095e-3, 2.35677352, 8.98459677e-3, -7.12356269e-6, 2.45919022e-9, -1.43699548e-13),
    WATER(18.01528e-3, 4.19864056, -2.0364341e-3, 6.52040211e-6, -5.48797062e-9, 1.77197817e-12),
    METHANOL(Methanol.MOLAR_MASS, 5.71539582, -1.52309129e-2, 6.52441155e-5, -7.10806889e-8, 2.61352698e-11);

    final double molarMass;
    private final double[] a;

    IdealGasSpecies(double molarMass, double... a) {
        this.molarMass = molarMass;
        this.a = a;
    }

    /** Adds {@code moleFraction} of this species to polynomial coefficients of cp/R. */
    void addTo(double[] coefficients, double moleFraction) {
        for (int i = 0; i < a.length; i++) {
            coefficients[i] += moleFraction * a[i];
        }
    }
}
