package io.enthalpa.core.chargepath;

import io.enthalpa.core.exchanger.PlainPassage;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.Transport;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;

/** The wall of a pipe or plenum: what it holds, how the charge reaches it, what it meets outside. One temperature all along. */
public final class PathWall {
    public static final Method METHOD = Method.of(
                    "pipe-wall",
                    "Pipe and plenum walls",
                    "The charge comes exponentially closer to the wall it passes. Outside, the wall meets the bay's air or the outside air: 10 W/(m2 K) by itself "
                            + "(natural convection and radiation), more as the road wind reaches in, less through wrap. Something hot beside it is seen as a strip by a "
                            + "cylinder; a bright shield is two more surfaces. A plenum's wall also meets the engine through its gasket.")
            .formula("T2 = Tw + (T1 - Tw) exp(-h A / (m cp)), h by Gnielinski; outside Nu = 0.193 Re^0.618; "
                    + "radiation s F A (Ts^4 - Tw^4) / (1/e1 + 1/e2 - 1 + shield), F = atan(w / 2 s) / pi")
            .range(new ValidityRange("outside Reynolds number", 4e3, 4e4, ""))
            .source(
                    Citation.fromMemory(
                            "Incropera & DeWitt",
                            2007,
                            "Fundamentals of Heat and Mass Transfer: Hilpert's cylinder in crossflow; view of a cylinder to a parallel "
                                    + "rectangle; radiation shields"),
                    Citation.commonPractice(
                            "in the bay about a sixth of the road speed; wrap carries 0.09 W/(m K); 10 W/(m2 K) for still air and radiation"))
            .leavesOut(
                    "The wall's own fall of temperature along it; bends stir more than straight pipe; walls of cones, joints and end tanks.");
    private static final double STILL = 10;
    private static final double WIND_IN_BAY = 1.0 / 6;
    private static final double WRAP_CONDUCTIVITY = 0.09;
    private static final double ALUMINIUM_HEAT_CAPACITY = 900;
    /** Film properties are taken at this pressure; viscosity and conductivity do not feel it. */
    private static final double ANY_PRESSURE = 150e3;

    private final String name;
    private final Spot spot;
    private final double capacity;
    private final double bore;
    private final double length;
    private final double insideArea;
    private final double outsideArea;
    private final double outside;
    private final PipeWallSpec pipe;
    private final PlenumWallSpec plenum;
    private final double emissivity;

    private PathWall(String name, Spot spot, PipeSpec spec, PipeWallSpec wall) {
        this.name = name;
        this.spot = spot;
        this.pipe = wall;
        this.plenum = null;
        bore = spec.bore();
        length = spec.developed();
        outside = bore + 2 * wall.thickness();
        insideArea = Math.PI * bore * length;
        outsideArea = Math.PI * outside * length;
        capacity = wall.section(bore)
                * length
                * spec.material().density()
                * spec.material().heatCapacity();
        emissivity = wall.wrap() > 0 ? 0.9 : spec.material().emissivity();
    }

    private PathWall(String name, Spot spot, double bore, PlenumWallSpec wall) {
        this.name = name;
        this.spot = spot;
        this.pipe = null;
        this.plenum = wall;
        this.bore = bore;
        length = wall.area() / (Math.PI * bore);
        outside = bore;
        insideArea = wall.area();
        outsideArea = wall.area();
        capacity = wall.mass() * ALUMINIUM_HEAT_CAPACITY;
        emissivity = 0;
    }

    static PathWall of(PathElement piece, Spot spot) {
        if (piece instanceof PathElement.Pipe p) {
            return new PathWall(p.name(), spot, p.spec(), p.wall());
        }
        PathElement.Plenum p = (PathElement.Plenum) piece;
        return new PathWall(p.name(), spot, p.bore(), p.wall().orElseThrow());
    }

    public String name() {
        return name;
    }

    /** @return the piece it belongs to */
    public Spot spot() {
        return spot;
    }

    /** @return J/K */
    public double capacity() {
        return capacity;
    }

    /**
     * @param flow kg/s of charge
     * @param t    K of charge
     * @return how far the charge comes towards the wall, 0 to 1
     */
    public double reach(HumidAir air, double flow, double t) {
        if (flow <= 0) {
            return 0;
        }
        Transport charge = Transport.ofAir(air, ANY_PRESSURE, t);
        double film = PlainPassage.flow(bore, bore, length, flow / (Math.PI / 4 * bore * bore), charge)
                .film();
        return -Math.expm1(-film * insideArea / (flow * charge.heatCapacity()));
    }

    /**
     * What the wall meets outside.
     *
     * @param conductance W/K
     * @param level       K it would settle at without charge
     */
    public record Meeting(double conductance, double level) {}

    /**
     * @param wall      K now
     * @param bay       K of the bay's air
     * @param ambient   outside air
     * @param warm      1 with the engine warm, falling to 0 as it cools
     * @param roadSpeed m/s
     */
    public Meeting meets(double wall, double bay, Ambient ambient, double warm, double roadSpeed) {
        double outsideAir = ambient.temperature();
        if (plenum != null) {
            double air = STILL * outsideArea;
            double head = outsideAir + warm * (plenum.head() - outsideAir);
            return new Meeting(air + plenum.toHead(), (air * bay + plenum.toHead() * head) / (air + plenum.toHead()));
        }
        double surroundings = pipe.inBay() ? bay : outsideAir;
        double wind = pipe.inBay() ? WIND_IN_BAY * roadSpeed : roadSpeed;
        double film = STILL + forced(ambient.air(), ambient.pressure(), surroundings, wind);
        double toAir = outsideArea / (1 / film + pipe.wrap() / WRAP_CONDUCTIVITY);
        if (pipe.neighbour().isEmpty()) {
            return new Meeting(toAir, surroundings);
        }
        HotNeighbour hot = pipe.neighbour().get();
        double source = outsideAir + warm * (hot.temperature() - outsideAir);
        double seen = hot.conductance(wall, source, outside + 2 * pipe.wrap(), emissivity);
        double through = seen <= 0
                ? 0
                : 1 / (1 / seen + pipe.wrap() / WRAP_CONDUCTIVITY / Math.max(Math.PI * outside * hot.along(), 1e-9));
        return new Meeting(toAir + through, (toAir * surroundings + through * source) / (toAir + through));
    }

    private double forced(HumidAir air, double pressure, double t, double wind) {
        double reynolds = wind * outside * air.density(pressure, t) / air.viscosity(t);
        return reynolds < 1 ? 0 : 0.193 * Math.pow(reynolds, 0.618) * air.conductivity(t) / outside;
    }
}
