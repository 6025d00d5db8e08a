package io.enthalpa.core.steady;

import io.enthalpa.core.chargepath.Ambient;
import io.enthalpa.core.chargepath.ChargePath;
import io.enthalpa.core.chargepath.PathWall;
import io.enthalpa.core.fluid.HumidAir;
import java.util.Arrays;
import java.util.List;

/** The walls of a path held steady: each where charge and surroundings leave it. Radiation is taken at the wall of the round before. */
final class SteadyWalls {
    private final List<PathWall> walls;
    private final Ambient ambient;
    private final double bay;
    private final double roadSpeed;
    private final double[] assumed;
    private final double[] found;

    SteadyWalls(ChargePath path, double roadSpeed) {
        walls = path.walls();
        ambient = path.ambient();
        this.roadSpeed = roadSpeed;
        bay = ambient.temperature() + path.bay().map(b -> b.rise(roadSpeed)).orElse(0.0);
        assumed = new double[walls.size()];
        Arrays.fill(assumed, bay);
        found = assumed.clone();
    }

    /** @return K of the bay's air */
    double bay() {
        return bay;
    }

    double behind(int k, HumidAir air, double flow, double inlet) {
        PathWall wall = walls.get(k);
        PathWall.Meeting out = wall.meets(assumed[k], bay, ambient, 1, roadSpeed);
        double reach = wall.reach(air, flow, inlet);
        double inside = flow * air.heatCapacity(inlet) * reach;
        found[k] = (inside * inlet + out.conductance() * out.level()) / (inside + out.conductance());
        return inlet + reach * (found[k] - inlet);
    }

    /** Takes what was found for the next round. @return K that a wall moved at most */
    double settle() {
        double moved = 0;
        for (int k = 0; k < found.length; k++) {
            moved = Math.max(moved, Math.abs(found[k] - assumed[k]));
            assumed[k] = found[k];
        }
        return moved;
    }
}
