package io.enthalpa.core.router;

import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Gap;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Motion;
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
 */
public record Keepout(String name, Solid solid, double still, double moved, Motion own, Motion others) {
    /** m: a gap that is a thousandth of a millimetre short is as asked. */
    private static final double ROUNDING = 1e-6;

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
                && (!moves() || keeps(Gaps.moved(piece, own, solid, others, moved - ease), moved - ease));
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
        Optional<Gap> moving = less(Gaps.moved(piece, own, solid, others, Math.min(within, least) + moved), moved);
        return moving.filter(g -> g.value() < least).or(() -> standing);
    }

    private static Optional<Gap> less(Optional<Gap> gap, double asked) {
        return gap.map(g -> new Gap(g.apart().less(asked), g.elementA(), g.elementB()));
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
