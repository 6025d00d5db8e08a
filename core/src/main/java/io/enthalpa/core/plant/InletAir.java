package io.enthalpa.core.plant;

/**
 * The cooling air where it meets a core, or the radiator of its loop.
 *
 * @param flow  kg/s
 * @param inlet K
 * @param speed m/s at the face
 */
public record InletAir(double flow, double inlet, double speed) {
    InletAir times(double factor) {
        return factor == 1 ? this : new InletAir(flow * factor, inlet, speed * factor);
    }
}
