package io.enthalpa.core.endurance;

import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.plant.CoreTrace;
import java.util.List;

/**
 * A run, one value a step in each column; all columns equally long. Temperatures K, pressures Pa absolute.
 *
 * @param columns  what the whole system does
 * @param outside  K of outside air
 * @param cores    each core, in the order of the path
 * @param stations behind each piece of the main way
 * @param walls    each wall counted
 * @param fans     of each way of the cooling air that has one
 * @param layers   the air at each layer of each way, front first
 * @param audit    heat accounts of cores, water and walls
 */
public record Trace(
        Columns columns,
        double outside,
        List<CoreTrace> cores,
        List<Station> stations,
        List<Wall> walls,
        List<Fan> fans,
        List<LayerAir> layers,
        EnergyAudit audit) {
    public Trace {
        cores = List.copyOf(cores);
        stations = List.copyOf(stations);
        walls = List.copyOf(walls);
        fans = List.copyOf(fans);
        layers = List.copyOf(layers);
    }

    /**
     * @param time        s, at the end of each step
     * @param duration    s, of each step
     * @param speed       rad/s of the crankshaft
     * @param roadSpeed   m/s
     * @param asked       Pa above ambient, asked for
     * @param boost       Pa above ambient, reached
     * @param flow        kg/s of charge; 0 while the engine stands
     * @param loss        Pa that all pieces but the blower take; 0 while the engine stands
     * @param blowerFlow  kg/s through the blower, corrected to its map's inlet where it has one; of the second of two
     * @param blowerRatio outlet over inlet pressure of that blower
     * @param intake      K of charge at the plenum
     * @param shown       K that the sensor there shows
     * @param bay         K of air in the engine bay
     * @param sprayed     m3 of injection liquid used since the start
     * @param limited     true where the blower could not make what was asked
     */
    public record Columns(
            double[] time,
            double[] duration,
            double[] speed,
            double[] roadSpeed,
            double[] asked,
            double[] boost,
            double[] flow,
            double[] loss,
            double[] blowerFlow,
            double[] blowerRatio,
            double[] intake,
            double[] shown,
            double[] bay,
            double[] sprayed,
            boolean[] limited) {
        public static Columns of(double[] duration) {
            int n = duration.length;
            return new Columns(
                    new double[n],
                    duration,
                    new double[n],
                    new double[n],
                    new double[n],
                    new double[n],
                    new double[n],
                    new double[n],
                    new double[n],
                    new double[n],
                    new double[n],
                    new double[n],
                    new double[n],
                    new double[n],
                    new boolean[n]);
        }
    }

    /**
     * @param name        as on the charge line
     * @param temperature K, total; outside air while the engine stands
     * @param pressure    Pa absolute, total
     */
    public record Station(String name, double[] temperature, double[] pressure) {}

    /**
     * @param name        of the piece
     * @param spot        where the piece stands
     * @param temperature K
     */
    public record Wall(String name, Spot spot, double[] temperature) {}

    /**
     * @param way as the way of the air is called
     * @param on  whether it turns
     */
    public record Fan(String way, boolean[] on) {}

    /**
     * @param way  as the way of the air is called
     * @param name of the layer; of a core or radiator the core's
     * @param in   K of the air before it
     * @param out  K behind it
     */
    public record LayerAir(String way, String name, Layer.Kind kind, double[] in, double[] out) {}

    public int length() {
        return columns.time.length;
    }

    public double[] time() {
        return columns.time;
    }

    public double[] duration() {
        return columns.duration;
    }

    public double[] speed() {
        return columns.speed;
    }

    public double[] roadSpeed() {
        return columns.roadSpeed;
    }

    public double[] boost() {
        return columns.boost;
    }

    public double[] flow() {
        return columns.flow;
    }

    public double[] intake() {
        return columns.intake;
    }

    public double[] shown() {
        return columns.shown;
    }

    public double[] sprayed() {
        return columns.sprayed;
    }

    public boolean[] limited() {
        return columns.limited;
    }

    /** @return K of the hottest charge on its way at a step: behind the blower, or the intake where nothing is hotter */
    public double hottest(int i) {
        double hottest =
                Math.max(columns.intake[i], cores.isEmpty() ? 0 : cores.get(0).in()[i]);
        for (Station station : stations) {
            hottest = Math.max(hottest, station.temperature()[i]);
        }
        return hottest;
    }

    /** @return the core nearest the plenum; null without one */
    public CoreTrace core() {
        return cores.isEmpty() ? null : cores.get(cores.size() - 1);
    }

    /** @return charge before the first core; without a core that at the plenum */
    public double[] coreIn() {
        return cores.isEmpty() ? intake() : cores.get(0).in();
    }

    /** @return cold stream at the core nearest the plenum at a step, K: outside air, or its water */
    public double coldAt(int i) {
        return cores.isEmpty() ? outside : core().coldIn()[i];
    }

    /** @param moments s, rising @return K at the first step that reaches each; NaN where the engine is off */
    public double[] intakeAt(double[] moments) {
        double[] found = new double[moments.length];
        int i = 0;
        for (int k = 0; k < moments.length; k++) {
            while (i < length() - 1 && time()[i] < moments[k]) {
                i++;
            }
            found[k] = flow()[i] > 0 ? intake()[i] : Double.NaN;
        }
        return found;
    }
}
