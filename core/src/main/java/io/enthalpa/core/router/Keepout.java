package io.enthalpa.core.router;

import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Convex;
import io.enthalpa.core.space.Gap;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Motion;
import io.enthalpa.core.space.Shorter;
import io.enthalpa.core.space.Solid;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Something that a pipe must miss.
 *
 * @param name   as a reader knows it
 * @param solid  where it stands
 * @param still  m asked, cold and standing
 * @param moved  m asked through all that both do
 * @param own    what the pipe does
 * @param others what it does; both still where they hang on the same
 * @param sways  of a pipe that does not move all alike, by how much of both; empty where it does
 */
public record Keepout(
        String name, Solid solid, double still, double moved, Motion own, Motion others, Optional<Sways> sways) {
    /** How a pipe goes along that hangs on one thing at one end and on another at its other. */
    public interface Sways {
        /** @return of the movement, 0 to 1, that some of the pipe does at most */
        double share(Bounds some);
    }

    /** The pipe moves all alike. */
    public Keepout(String name, Solid solid, double still, double moved, Motion own, Motion others) {
        this(name, solid, still, moved, own, others, Optional.empty());
    }

    /** m: a gap that is a thousandth of a millimetre short is as asked. */
    private static final double ROUNDING = 1e-6;
    /** m of a pipe that sways that is taken to go along alike. */
    public static final double SHORT = 0.1;

    /** @return of what hangs on the same as the pipe */
    public static Keepout together(String name, Solid solid, double asked) {
        return new Keepout(name, solid, asked, asked, Motion.STILL, Motion.STILL);
    }

    private boolean moves() {
        return !own.isStill() || !others.isStill();
    }

    /** @param ease m less than asked is enough @return whether a piece keeps its gaps from it */
    boolean clears(Solid piece, double ease) {
        // What stands in it need not be asked how deep.
        return (ease > still || !Gaps.meet(piece, solid))
                && keeps(Gaps.between(piece, solid, still - ease), still - ease)
                && (!moves() || keeps(moved(piece, moved - ease), moved - ease));
    }

    /** @param within m beyond which nobody asks @return the gap through all that both do */
    private Optional<Gap> moved(Solid piece, double within) {
        return sways.isPresent() ? swaying(piece, within, sways.get()) : Gaps.moved(piece, own, solid, others, within);
    }

    /**
     * What parts two things standing parts them as they move, by so much less as any place of the pipe may be moved across it: no more than that is
     * told, for a search asks often. How it is laid then is checked by all that it does.
     */
    private Optional<Gap> swaying(Solid piece, double within, Sways pipe) {
        Bounds box = piece.bounds().orElseThrow();
        double most = grown(own, box).add(grown(others, box)).getNorm();
        if (Gaps.between(piece, solid, within + most).isEmpty()) {
            return Optional.empty();
        }
        // Of several parts one that is farther off may be come at more straight.
        boolean isOne = solid.half().isPresent() || solid.size() == 1;
        Optional<Gap> least = Optional.empty();
        double enough = within;
        for (Solid.Part part : piece.parts()) {
            for (Convex some : Shorter.of(part.convex(), SHORT)) {
                double share = pipe.share(some.bounds());
                Vector3D far = grown(own.times(share), some.bounds()).add(grown(others.times(share), some.bounds()));
                Optional<Gap> gap = Gaps.between(Solid.of(part.element(), some), solid, enough + far.getNorm())
                        .map(g -> less(g, isOne ? across(far, g.apart().towards()) : far.getNorm()));
                if (gap.isPresent() && gap.get().value() < enough) {
                    enough = gap.get().value();
                    least = gap;
                }
            }
        }
        return least;
    }

    /** m that a movement takes any place of a box along each axis of the room at most. */
    private static Vector3D grown(Motion motion, Bounds box) {
        if (motion.isStill()) {
            return Vector3D.ZERO;
        }
        Bounds swept = motion.swept(box);
        return new Vector3D(swept.maxX() - box.maxX(), swept.maxY() - box.maxY(), swept.maxZ() - box.maxZ());
    }

    private static double across(Vector3D far, Vector3D way) {
        return far.getX() * Math.abs(way.getX())
                + far.getY() * Math.abs(way.getY())
                + far.getZ() * Math.abs(way.getZ());
    }

    private static boolean keeps(Optional<Gap> gap, double asked) {
        return gap.isEmpty() || gap.get().value() >= asked - ROUNDING;
    }

    /** @param within m beyond which nobody asks @return the gap of a piece less what is asked, the lesser of standing and moved */
    public Optional<Gap> spare(Solid piece, double within) {
        Optional<Gap> standing = less(Gaps.between(piece, solid, within + still), still);
        if (!moves()) {
            return standing;
        }
        double least = standing.map(Gap::value).orElse(within);
        Optional<Gap> moving = less(moved(piece, Math.min(within, least) + moved), moved);
        return moving.filter(g -> g.value() < least).or(() -> standing);
    }

    private static Gap less(Gap g, double by) {
        return new Gap(g.apart().less(by), g.elementA(), g.elementB());
    }

    private static Optional<Gap> less(Optional<Gap> gap, double asked) {
        return gap.map(g -> less(g, asked));
    }

    /** @return m that a box keeps from its plane at least, however it is shifted */
    double beyond(Bounds box) {
        Solid.HalfSpace half = solid.half().orElseThrow();
        Vector3D n = half.normal();
        return -box.reach(n.negate())
                - half.on().dotProduct(n)
                - others.travel().getNorm();
    }
}
