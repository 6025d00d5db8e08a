package io.enthalpa.core.chargepath;

/**
 * Something hot beside a pipe: a turbine, a manifold, an exhaust pipe.
 *
 * @param temperature K of its surface when the engine works
 * @param width       m across the pipe
 * @param distance    m from the pipe's middle to its face
 * @param along       m of pipe that it stands beside
 * @param shielded    true with a bright sheet between
 */
public record HotNeighbour(double temperature, double width, double distance, double along, boolean shielded) {
    /** @param length m of pipe at most @return the same beside so much */
    HotNeighbour within(double length) {
        return new HotNeighbour(temperature, width, distance, Math.min(along, length), shielded);
    }

    static final double STEFAN_BOLTZMANN = 5.670374e-8;
    private static final double OWN_EMISSIVITY = 0.85;
    private static final double SHEET_EMISSIVITY = 0.1;

    /**
     * What the pipe receives for each kelvin, W/K: the view of a cylinder to a strip beside it, grey surfaces, a bright sheet between as two more
     * surfaces in a row. See {@link PathWall#METHOD}.
     *
     * @param wall       K of the pipe
     * @param source     K of the neighbour now
     * @param outside    m, outer diameter
     * @param emissivity of the pipe's outside
     */
    double conductance(double wall, double source, double outside, double emissivity) {
        double view = Math.atan(width / 2 / Math.max(distance, outside / 2)) / Math.PI;
        double surfaces = 1 / emissivity + 1 / OWN_EMISSIVITY - 1 + (shielded ? 2 / SHEET_EMISSIVITY - 1 : 0);
        double cubes = (source * source + wall * wall) * (source + wall);
        return STEFAN_BOLTZMANN * cubes * view * Math.PI * outside * along / surfaces;
    }
}
