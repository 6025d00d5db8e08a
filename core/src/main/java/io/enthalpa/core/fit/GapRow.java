package io.enthalpa.core.fit;

import io.enthalpa.core.room.AskedGap;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * The gap of a body from an obstacle or from another body.
 *
 * @param body     its number among the bodies
 * @param element  of it that is nearest, "inlet tank"
 * @param obstacle number in the room; empty when it is another body
 * @param other    number of the other body; empty when it is an obstacle
 * @param name     of what is on the other side
 * @param against  its element that is nearest
 * @param still    m, cold and standing
 * @param moved    m, the least of all that their carriers may do; empty where both hang on the same
 * @param asked    of it
 * @param from     the place on the body, where the gap is least standing
 * @param to       and on the other side
 */
public record GapRow(
        int body,
        String element,
        OptionalInt obstacle,
        OptionalInt other,
        String name,
        String against,
        double still,
        OptionalDouble moved,
        AskedGap asked,
        Vector3D from,
        Vector3D to) {
    /** @return m that are missing, standing or moved, whichever is more; less than 0 what is to spare */
    public double missing() {
        double standing = asked.still() - still;
        return moved.isEmpty() ? standing : Math.max(standing, asked.moved() - moved.getAsDouble());
    }

    public boolean isShort() {
        return missing() > ROUNDING;
    }

    /** @return whether one stands in the other, or comes into it as the carriers move */
    public boolean touches() {
        return Math.min(still, moved.orElse(still)) < -ROUNDING;
    }

    /** m: a gap that is a hundredth of a millimetre short is as asked. */
    private static final double ROUNDING = 1e-5;
}
