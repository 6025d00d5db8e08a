package io.enthalpa.core.engine;

import java.util.List;

/**
 * What a blower does at one speed, from surge to choke.
 *
 * @param speed  rad/s, corrected to the map's reference temperature
 * @param points by rising flow, at least two
 */
public record SpeedLine(double speed, List<Point> points) {
    public SpeedLine {
        points = List.copyOf(points);
    }

    /**
     * @param flow       kg/s, corrected to the map's reference state
     * @param ratio      outlet over inlet total pressure
     * @param efficiency isentropic, 0 to 1
     */
    public record Point(double flow, double ratio, double efficiency) {
        Point towards(Point other, double share) {
            return new Point(
                    flow + share * (other.flow - flow),
                    ratio + share * (other.ratio - ratio),
                    efficiency + share * (other.efficiency - efficiency));
        }
    }
}
