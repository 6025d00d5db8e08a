package io.enthalpa.core.chargepath;

import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.MapPoint;
import io.enthalpa.core.fluid.HumidAir;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Turns a solved march into stations and pieces with their figures. */
final class PathAnswer {
    private final March march;
    private final FlowState state = new FlowState();
    private double shaftPower;
    private double volume;
    private double mass;

    PathAnswer(March march) {
        this.march = march;
    }

    /** Stations and pieces of a chain. */
    record Row(List<Station> stations, List<PieceResult> pieces) {}

    double shaftPower() {
        return shaftPower;
    }

    Filling filling(double flow) {
        return new Filling(volume, mass, mass / flow);
    }

    /**
     * @param chain        solved
     * @param flow         kg/s through it
     * @param throttleLoss Pa that a closed throttle takes before the last station
     * @param blown        whether a blower stands before it
     */
    Row row(Chain chain, double flow, double throttleLoss, String firstName, boolean blown) {
        List<PathElement> elements = chain.elements;
        int n = elements.size();
        List<Station> stations = new ArrayList<>(n + 1);
        List<PieceResult> pieces = new ArrayList<>(n);
        double bore = elements.get(0).inletBore();
        stations.add(
                elements.get(0) instanceof PathElement.Parallel
                        ? outside(firstName, elements.get(0), chain)
                        : station(
                                firstName,
                                chain,
                                0,
                                flow,
                                Double.isNaN(bore) ? elements.get(0).bore() : bore));
        boolean boosted = blown;
        for (int i = 0; i < n; i++) {
            PathElement element = elements.get(i);
            String name = stationName(elements, i);
            boolean still = isStill(element);
            Station station = still
                    ? standing(
                            element, chain.gas[i + 1], chain.pressure[i + 1] - throttleLoss, chain.temperature[i + 1])
                    : station(name, chain, i + 1, flow, element.bore());
            stations.add(station);
            boosted |= element instanceof PathElement.Blower;
            pieces.add(piece(chain, i, flow, still ? stations.get(i) : station, boosted));
            boosted |= element instanceof PathElement.Parallel p
                    && p.legs().get(0).path().stream().anyMatch(PathElement.Blower.class::isInstance);
            count(volumeOf(chain, i), boosted, chain.gas[i + 1], chain.pressure[i + 1], chain.temperature[i + 1]);
        }
        return new Row(stations, pieces);
    }

    /** @return the station behind a piece */
    static String stationName(List<PathElement> elements, int i) {
        if (isStill(elements.get(i))) {
            return elements.get(i).name();
        }
        boolean beforeCore = i < elements.size() - 1 && elements.get(i + 1) instanceof PathElement.Core;
        return beforeCore ? elements.get(i + 1).name() + " in" : elements.get(i).name() + " out";
    }

    /** Behind it the air stands. */
    private static boolean isStill(PathElement element) {
        return element instanceof PathElement.Plenum || element instanceof PathElement.Parallel p && p.endsInBanks();
    }

    private PieceResult piece(Chain chain, int i, double flow, Station fastest, boolean blown) {
        PathElement element = chain.elements.get(i);
        HumidAir gas = chain.gas[i];
        double m = flow * march.mass(gas);
        double heat = m * (gas.enthalpy(chain.temperature[i + 1]) - gas.enthalpy(chain.temperature[i]));
        Optional<MapPoint> map = Optional.empty();
        if (element instanceof PathElement.Blower blower) {
            shaftPower += heat;
            double ratio = chain.pressure[i + 1] / chain.pressure[i];
            BlowerSpec spec = blower.spec();
            map = spec.map().isPresent() && ratio > 1
                    ? Optional.of(spec.place(m, chain.pressure[i], chain.temperature[i], ratio))
                    : map;
        }
        List<LegResult> legs =
                chain.legs[i] == null ? List.of() : legs(chain.legs[i], (PathElement.Parallel) element, flow, blown);
        return new PieceResult(
                element,
                chain.pressure[i] - chain.pressure[i + 1],
                chain.temperature[i + 1] - chain.temperature[i],
                heat,
                fastest.velocity(),
                fastest.mach(),
                volumeOf(chain, i),
                chain.stepLossAt(i, m),
                map,
                legs);
    }

    private List<LegResult> legs(Legs legs, PathElement.Parallel parallel, double flow, boolean blown) {
        List<LegResult> results = new ArrayList<>(2);
        for (int k = 0; k < 2; k++) {
            double share = k == 0 ? legs.share : 1 - legs.share;
            Row row = row(legs.chain[k], share * flow, 0, parallel.legs().get(k).name() + " in", blown);
            results.add(new LegResult(
                    parallel.legs().get(k).name(),
                    share,
                    share * flow,
                    legs.splitLoss[k],
                    legs.endsInBanks() ? 0 : legs.mergeLoss[k],
                    row.stations(),
                    row.pieces()));
        }
        return results;
    }

    private void count(double held, boolean boosted, HumidAir gas, double pressure, double temperature) {
        double inside = boosted ? held : 0;
        volume += inside;
        mass += inside
                * (gas.density(pressure, temperature)
                        - march.air.density(march.ambient.pressure(), march.ambient.temperature()));
    }

    private static double volumeOf(Chain chain, int i) {
        PathElement element = chain.elements.get(i);
        if (element instanceof PathElement.Pipe pipe) {
            return pipe.spec().volume();
        } else if (element instanceof PathElement.Reducer r) {
            double d = r.inletBore();
            return Math.PI / 12 * r.length() * (d * d + d * r.bore() + r.bore() * r.bore());
        } else if (element instanceof PathElement.Joint joint) {
            return Chain.area(joint.hoseBore()) * joint.gap();
        } else if (element instanceof PathElement.Core) {
            return chain.model[i].chargeVolume();
        }
        return element instanceof PathElement.Plenum plenum ? plenum.volume() : 0;
    }

    private Station station(String name, Chain chain, int i, double flow, double bore) {
        HumidAir gas = chain.gas[i];
        boolean passes =
                state.set(gas, chain.pressure[i], chain.temperature[i], flow * march.mass(gas), Chain.area(bore));
        return new Station(
                name,
                chain.pressure[i],
                state.pressure,
                chain.temperature[i],
                state.temperature,
                state.density,
                state.velocity,
                passes ? state.mach() : 1,
                bore);
    }

    /** Where each leg draws its own air it stands in front of them. */
    private Station outside(String name, PathElement pair, Chain chain) {
        double p = chain.pressure[0];
        double t = chain.temperature[0];
        return new Station(name, p, p, t, t, march.air.density(p, t), 0, 0, pair.bore());
    }

    /** In the plenum the air stands. */
    private Station standing(PathElement element, HumidAir gas, double p, double t) {
        return new Station(element.name(), p, p, t, t, gas.density(p, t), 0, 0, element.bore());
    }
}
