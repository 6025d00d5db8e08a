package io.enthalpa.core.fit;

import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Hull;
import io.enthalpa.core.space.Pose;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * What stands close behind the face of a core or radiator that air goes through.
 *
 * @param body    its number among the bodies
 * @param blocked share of the face behind which less than {@link #WANTED} is free
 * @param free    m behind the face to the nearest of what stands there, {@link #WANTED} at most
 * @param name    of the nearest; empty when all is free
 */
public record AirBehind(int body, double blocked, double free, String name) {
    /** m of free air behind a core; common practice, no source. */
    public static final double WANTED = 75e-3;

    public static final Method METHOD = Method.of(
                    "air-behind",
                    "Air behind a core",
                    "Behind each of 24 by 12 cells of the face a bar as long as the air wanted, half as wide as the cell, is held against all that air does not go "
                            + "through; the share of the cells whose bar strikes is told, and how near the nearest stands.")
            .source(Citation.commonPractice("75 mm of free air behind a core"))
            .leavesOut(
                    "What the air does there: a share is a caution, not a loss. Core, radiator, condenser and grille let the air on and do not count.");

    private static final int ACROSS = 24;
    private static final int UP = 12;
    /** m */
    private static final double FINE = 0.5e-3;
    /** m: what lies along a bar does not strike it. */
    private static final double TOUCH = 1e-5;

    /** @return of every core cooled by air and every radiator that has a place */
    static List<AirBehind> of(List<Body> bodies, RoomSpec room, List<Solid> solids) {
        List<AirBehind> all = new ArrayList<>();
        for (int i = 0; i < bodies.size(); i++) {
            if (bodies.get(i).face().isPresent()) {
                all.add(new Search(bodies.get(i), against(i, bodies, room, solids)).search(i));
            }
        }
        return all;
    }

    private record Against(String name, Solid solid) {}

    private static List<Against> against(int i, List<Body> bodies, RoomSpec room, List<Solid> solids) {
        List<Against> all = new ArrayList<>();
        for (int k = 0; k < solids.size(); k++) {
            if (stops(room.obstacles().get(k).nature())) {
                all.add(new Against(room.obstacles().get(k).name(), solids.get(k)));
            }
        }
        for (int j = 0; j < bodies.size(); j++) {
            if (j != i && stops(bodies.get(j).stand().what())) {
                all.add(new Against(bodies.get(j).name(), bodies.get(j).solid()));
            }
        }
        return all;
    }

    /** @return whether air does not go through such an obstacle */
    public static boolean stops(Nature nature) {
        return nature != Nature.AIR_THROUGH && nature != Nature.KEEP_OUT;
    }

    /** @return whether air does not go through such a body */
    public static boolean stops(Stand.What what) {
        return what != Stand.What.CORE && what != Stand.What.RADIATOR;
    }

    private record Search(Body body, List<Against> all) {
        AirBehind search(int i) {
            CoreSize face = body.face().orElseThrow();
            Optional<Against> nearest = Optional.empty();
            double free = WANTED;
            List<Against> near = new ArrayList<>();
            for (Against a : all) {
                if (strikes(a, bar(0, 0, face.width(), face.height(), WANTED))) {
                    near.add(a);
                    double until = until(a, face);
                    if (nearest.isEmpty() || until < free) {
                        free = until;
                        nearest = Optional.of(a);
                    }
                }
            }
            return new AirBehind(
                    i,
                    near.isEmpty() ? 0 : blocked(near, face),
                    free,
                    nearest.map(Against::name).orElse(""));
        }

        private double until(Against a, CoreSize face) {
            double clear = 0;
            double struck = WANTED;
            while (struck - clear > FINE) {
                double middle = (clear + struck) / 2;
                if (strikes(a, bar(0, 0, face.width(), face.height(), middle))) {
                    struck = middle;
                } else {
                    clear = middle;
                }
            }
            return clear;
        }

        private double blocked(List<Against> near, CoreSize face) {
            int struck = 0;
            for (int c = 0; c < ACROSS; c++) {
                for (int r = 0; r < UP; r++) {
                    Solid bar = bar(
                            ((c + 0.5) / ACROSS - 0.5) * face.width(),
                            ((r + 0.5) / UP - 0.5) * face.height(),
                            face.width() / ACROSS / 2,
                            face.height() / UP / 2,
                            WANTED);
                    if (near.stream().anyMatch(a -> strikes(a, bar))) {
                        struck++;
                    }
                }
            }
            return struck / (double) (ACROSS * UP);
        }

        /** Behind the face, its middle so far right and up on it. */
        private Solid bar(double right, double up, double wide, double high, double deep) {
            Pose pose = body.stand().pose();
            Vector3D middle =
                    pose.toRoom(new Vector3D((body.face().orElseThrow().depth() + deep) / 2, right, up));
            return Solid.of("air", Hull.box(new Pose(middle, pose.turn()), deep - TOUCH, wide - TOUCH, high - TOUCH));
        }

        private static boolean strikes(Against a, Solid bar) {
            return Gaps.meet(bar, a.solid());
        }
    }
}
