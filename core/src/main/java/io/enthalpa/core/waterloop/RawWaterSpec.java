package io.enthalpa.core.waterloop;

/**
 * Sea, lake or mains water that passes once.
 *
 * @param temperature K where it comes in
 * @param fouling     m2 K/W of growth and scale on the water side; sea water 1e-4 to 2e-4 (TEMA's allowances, from memory)
 */
public record RawWaterSpec(double temperature, double fouling) {}
