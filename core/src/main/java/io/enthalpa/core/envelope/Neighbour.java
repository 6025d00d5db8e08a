package io.enthalpa.core.envelope;

import io.enthalpa.core.room.AskedGap;
import io.enthalpa.core.space.Bounds;
import io.enthalpa.core.space.Gap;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Motion;
import io.enthalpa.core.space.Solid;
import java.util.Optional;

/**
 * What the core must miss.
 *
 * @param name   of it
 * @param solid  where it stands
 * @param asked  gap
 * @param own    how the core's carrier moves
 * @param other  how its carrier moves
 * @param across whether the two hang on different carriers
 * @param place  its number in the room; of a body of the option counted on behind them
 * @param isOfAir whether it is what the air behind the block must miss, not the core itself
 */
record Neighbour(
        String name,
        Solid solid,
        AskedGap asked,
        Motion own,
        Motion other,
        boolean across,
        int place,
        boolean isOfAir) {
    /** m: a gap that is a hundredth of a millimetre short is as asked. */
    private static final double ROUNDING = 1e-5;

    /** @return the same, that the air behind the block must miss; as it stands still */
    Neighbour ofAir() {
        return new Neighbour(
                name, solid, new AskedGap(Box.AIR_GAP, Box.AIR_GAP), Motion.STILL, Motion.STILL, false, place, true);
    }

    /** @return m that are missing to what is asked, standing or moved; less than 0 what is to spare. Nothing when it is farther off than that */
    double missing(Solid core) {
        double short_ = Gaps.between(core, solid, asked.still())
                .map(gap -> asked.still() - gap.value())
                .orElse(0.0);
        if (!across) {
            return short_;
        }
        double moved = Gaps.moved(core, own, solid, other, asked.moved())
                .map(gap -> asked.moved() - gap.value())
                .orElse(0.0);
        return Math.max(short_, moved);
    }

    boolean isMissedBy(Solid core) {
        return missing(core) <= ROUNDING;
    }

    /** @return m that suffice, standing, for what is asked standing and moved, for a core within some bounds */
    double enough(Bounds bounds) {
        if (!across) {
            return asked.still();
        }
        double strays = own.most(bounds) + solid.bounds().map(other::most).orElse(0.0);
        return Math.max(asked.still(), asked.moved() + strays);
    }

    /** @return the gap where it is less than that; nothing otherwise */
    Optional<Gap> nearer(Solid core, double than) {
        return Gaps.between(core, solid, than).filter(gap -> gap.value() < than - ROUNDING);
    }
}
