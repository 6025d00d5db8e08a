package io.enthalpa.core.chargepath;

/**
 * The metal of a plenum or manifold bolted to a hot engine.
 *
 * @param mass     kg of aluminium
 * @param area     m2 inside
 * @param head     K of the engine's face when warm
 * @param toHead   W/K through flange and gasket
 */
public record PlenumWallSpec(double mass, double area, double head, double toHead) {}
