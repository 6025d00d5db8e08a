package io.enthalpa.core.fit;

import io.enthalpa.core.room.AskedGap;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.router.Keepout;
import io.enthalpa.core.space.Motion;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a pipe hangs on, and so how it moves against all else: as {@link Fit} counts it.
 *
 * @param carrier its name
 * @param floats  where its other end goes along with another carrier
 */
record Hung(String carrier, Optional<Floats> floats, RoomSpec room) {
    /** m that are asked besides, so that a corner may be told to a hundredth of a millimetre. */
    private static final double TOLD = 2e-5;

    /** @param solids of the room's obstacles */
    List<Keepout> toRoom(List<Solid> solids) {
        List<Keepout> all = new ArrayList<>();
        for (int k = 0; k < solids.size(); k++) {
            Obstacle o = room.obstacles().get(k);
            all.add(keepout(o.name(), solids.get(k), AskedGap.from(o, carrier), o.carrier(), floats));
        }
        return all;
    }

    /** Two that float go along with one another. */
    Keepout keepout(Body body) {
        String theirs = body.stand().carrier();
        return keepout(
                body.name(),
                body.solid(),
                AskedGap.between(theirs, carrier),
                theirs,
                body.floats().isPresent() ? Optional.empty() : floats);
    }

    private Keepout keepout(String name, Solid solid, AskedGap rule, String theirs, Optional<Floats> sways) {
        boolean together = carrier.equals(theirs);
        if (!together) {
            return keepout(name, solid, rule, room.motion(carrier), room.motion(theirs), Optional.empty());
        }
        return sways.map(f -> keepout(
                        name, solid, rule.asItMoves(), room.motion(f.with()), room.motion(carrier), Optional.of(f)))
                .orElseGet(() -> keepout(name, solid, rule, Motion.STILL, Motion.STILL, Optional.empty()));
    }

    private static Keepout keepout(
            String name, Solid solid, AskedGap rule, Motion own, Motion others, Optional<Keepout.Sways> sways) {
        return new Keepout(name, solid, rule.still() + TOLD, rule.moved() + TOLD, own, others, sways);
    }
}
