package io.enthalpa.core.plant;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.PathWall;
import io.enthalpa.core.fluid.HumidAir;

/** One wall while a run goes on. What it meets is worked out anew only when something has moved enough to matter. */
public final class WallPlant {
    private static final double SAME_FLOW = 0.02;
    private static final double SAME_CHARGE = 4;
    private static final double SAME_WALL = 0.5;
    private static final double SAME_BAY = 0.05;
    private static final double SAME_SPEED = 0.5;
    private static final double SAME_WARMTH = 0.002;
    private final PathWall wall;
    private final Ambient ambient;
    private double temperature;
    private double reach;
    private double reachFlow = Double.NaN;
    private double reachCharge;
    private PathWall.Meeting meeting;
    private double metWall;
    private double metBay = Double.NaN;
    private double metSpeed;
    private double metWarm;
    private double seenFlow;
    private HumidAir seenAir;
    private double seenIn;
    private double taken;
    private double rejected;

    public WallPlant(PathWall wall, Ambient ambient, double start) {
        this.wall = wall;
        this.ambient = ambient;
        temperature = start;
        seenAir = ambient.air();
    }

    public double temperature() {
        return temperature;
    }

    /** @return K of the charge behind the wall, as it stands; notes what asked */
    public double ask(HumidAir air, double flow, double inlet) {
        if (!(Math.abs(flow - reachFlow) <= SAME_FLOW * reachFlow && Math.abs(inlet - reachCharge) < SAME_CHARGE)) {
            reach = wall.reach(air, flow, inlet);
            reachFlow = flow;
            reachCharge = inlet;
        }
        seenFlow = flow;
        seenAir = air;
        seenIn = inlet;
        return inlet + reach * (temperature - inlet);
    }

    /** Relaxes exactly over a step; a standing charge neither brings nor takes heat. */
    public void advance(double dt, boolean running, double bay, double warm, double roadSpeed) {
        meet(bay, warm, roadSpeed);
        double inside = running ? seenFlow * seenAir.heatCapacity(seenIn) * reach : 0;
        double pull = inside + meeting.conductance();
        double limit = (inside * seenIn + meeting.conductance() * meeting.level()) / pull;
        double x = pull * dt / wall.capacity();
        double mean = limit + (temperature - limit) * (x < 1e-9 ? 1 : -Math.expm1(-x) / x);
        taken += inside * (seenIn - mean) * dt;
        rejected += meeting.conductance() * (mean - meeting.level()) * dt;
        temperature = limit + (temperature - limit) * Math.exp(-x);
    }

    private void meet(double bay, double warm, double roadSpeed) {
        boolean same = Math.abs(bay - metBay) < SAME_BAY
                && Math.abs(temperature - metWall) < SAME_WALL
                && Math.abs(roadSpeed - metSpeed) < SAME_SPEED
                && Math.abs(warm - metWarm) < SAME_WARMTH;
        if (!same) {
            meeting = wall.meets(temperature, bay, ambient, warm, roadSpeed);
            metBay = bay;
            metWall = temperature;
            metSpeed = roadSpeed;
            metWarm = warm;
        }
    }

    public double stored() {
        return temperature * wall.capacity();
    }

    /** @return J from the charge since the start */
    public double taken() {
        return taken;
    }

    /** @return J to what is outside since the start */
    public double rejected() {
        return rejected;
    }
}
