package io.enthalpa.core.endurance;

/**
 * The cooling air where it meets a core, or the radiator of its loop.
 *
 * @param flow  kg/s
 * @param inlet K
 * @param speed m/s at the face
 */
public record AirMeeting(double flow, double inlet, double speed) {
    AirMeeting times(double factor) {
        return factor == 1 ? this : new AirMeeting(flow * factor, inlet, speed * factor);
    }
}
