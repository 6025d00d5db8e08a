package io.enthalpa.core.router;

import io.enthalpa.core.route.Centreline;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.space.Convex;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** What a pipe has to spare all along it. */
public final class Ribbon {
    public static final Method METHOD = Method.of(
                    "ribbon",
                    "Gap along a pipe",
                    "Of thin slices of the pipe, every so many millimetres: how far what is nearest stands off the slice, less the gap that is asked of it, the "
                            + "lesser of standing and moved. Between two slices of a straight it is no less than at either by more than half their distance; the list of gaps "
                            + "has the exact least.")
            .source(Citation.commonPractice("a distance changes by no more than the way that is gone"))
            .leavesOut("Beyond 250 mm nothing is near.");
    /** Places along it at most. */
    private static final int MOST = 200;
    /** m: half as long as the slice that is looked at. */
    private static final double THIN = 1e-4;
    /** m between two places at least. */
    private static final double EVERY = 10e-3;

    private Ribbon() {}

    /**
     * A place along a pipe.
     *
     * @param along   m from its beginning
     * @param at      m, its middle there
     * @param spare   m over the gap asked; less than 0 what is missing
     * @param nearest number of what is nearest; -1 where nothing is
     * @param asked   m of it, standing; 0 where nothing is near
     * @param on      m, the place on it that is nearest; the pipe's own where nothing is
     */
    public record Spot(double along, Vector3D at, double spare, int nearest, double asked, Vector3D on) {}

    /**
     * A thin slice of a pipe.
     *
     * @param depth m from its middle to its outside, the most there is
     */
    public record Slice(Convex shape, double depth) {}

    /** A pipe by its slices. */
    public interface Slices {
        /** @param along m from its beginning @param half m, of its thickness */
        Slice at(double along, double half);
    }

    /** @return of a round pipe of so much outside, m */
    public static Slices round(Centreline line, double outside) {
        return (along, half) -> {
            Vector3D at = line.at(along);
            Vector3D thin = line.heading(along).scalarMultiply(half);
            return new Slice(Frustum.cylinder(at.subtract(thin), at.add(thin), outside / 2), outside / 2);
        };
    }

    public static List<Spot> of(Centreline line, Slices slices, List<Keepout> keepouts) {
        Passage passage = new Passage(keepouts, 0);
        double length = line.length();
        int count = Math.max(1, Math.min(MOST, (int) Math.ceil(length / EVERY)));
        List<Spot> spots = new ArrayList<>();
        for (int i = 0; i <= count; i++) {
            double along = length * i / count;
            spots.add(spot(along, line.at(along), slices.at(along, THIN), passage));
        }
        return spots;
    }

    private static Spot spot(double along, Vector3D at, Slice cut, Passage passage) {
        Passage.Tight slice = passage.tightest(Solid.of("", cut.shape));
        if (slice.keepout() < 0) {
            return new Spot(along, at, slice.spare(), -1, 0, at);
        }
        double asked = passage.keepouts().get(slice.keepout()).still();
        if (slice.spare() + asked >= 0) {
            return new Spot(along, at, slice.spare(), slice.keepout(), asked, on(slice, asked));
        }
        // A slice that stands in something comes out of it along the pipe first, which the pipe does not.
        Passage.Tight middle = passage.tightest(at);
        double other = passage.keepouts().get(middle.keepout()).still();
        return new Spot(along, at, middle.spare() - cut.depth, middle.keepout(), other, on(middle, other));
    }

    private static Vector3D on(Passage.Tight tight, double asked) {
        return tight.at().subtract(tight.spare() + asked, tight.away());
    }
}
