package io.enthalpa.core.route;

/**
 * Where a tube is made flat to pass a tight place.
 *
 * @param along   m from where the pipe begins, along its middle, to the middle of the oval
 * @param length  m that is flat all along; what leads over to the round comes besides
 * @param height  m outside, from flat to flat
 * @param clock   rad that a flat looks away from straight up, clockwise in the way of the flow; where the pipe goes upright, from the rear
 * @param pressed from the tube, with its girth; otherwise made with its area
 */
public record Oval(double along, double length, double height, double clock, boolean pressed) {
    /** @return the same elsewhere on its pipe */
    public Oval at(double other) {
        return new Oval(other, length, height, clock, pressed);
    }

    public Oval withHeight(double other) {
        return new Oval(along, length, other, clock, pressed);
    }
}
