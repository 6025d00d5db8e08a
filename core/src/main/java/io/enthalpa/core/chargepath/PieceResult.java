package io.enthalpa.core.chargepath;

/**
 * What one piece of the path does: its price.
 *
 * @param element     the piece
 * @param loss        Pa of total pressure lost; below zero for the blower
 * @param temperature K gained; below zero for a cooler
 * @param heat        W given to the air; below zero when taken from it
 * @param velocity    m/s, the fastest inside
 * @param mach        at that place
 */
public record PieceResult(PathElement element, double loss, double temperature, double heat, double velocity, double mach) {
}
