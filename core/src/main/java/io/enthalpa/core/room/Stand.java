package io.enthalpa.core.room;

import io.enthalpa.core.space.Pose;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Where a body of an option stands: its middle, then its turns, of a core the middle of its finned block.
 *
 * @param of      name of the piece, of a radiator, tank or pump the name of the core whose loop it is on
 * @param what    of it
 * @param turned  rad, clockwise seen from above
 * @param tipped  rad, its top rearwards
 * @param leaned  rad, its top to the right
 * @param carrier by name
 * @param size    m, where the build does not tell it otherwise; empty for the usual
 * @param mass    kg with what is in it, where it was put on a scale
 * @param mounts  that hold it
 * @param scroll  of a blower that has one, where it is known how it is clocked
 */
public record Stand(
        String of,
        What what,
        Vector3D middle,
        double turned,
        double tipped,
        double leaned,
        String carrier,
        Optional<Size> size,
        OptionalDouble mass,
        List<Mount> mounts,
        Optional<Scroll> scroll) {
    public Stand {
        mounts = List.copyOf(mounts);
    }

    /** Not weighed, and not mounted yet. */
    public Stand(
            String of,
            What what,
            Vector3D middle,
            double turned,
            double tipped,
            double leaned,
            String carrier,
            Optional<Size> size) {
        this(
                of,
                what,
                middle,
                turned,
                tipped,
                leaned,
                carrier,
                size,
                OptionalDouble.empty(),
                List.of(),
                Optional.empty());
    }

    /** What of a piece it is. */
    public enum What {
        CORE,
        RADIATOR,
        TANK,
        PUMP,
        FILTER,
        BLOWER,
        THROTTLE,
        PLENUM,
        /** It has no place of its own: it is laid. */
        PIPE
    }

    /** m along its own axes before it is turned. */
    public record Size(double deep, double wide, double high) {}

    public Pose pose() {
        return Pose.of(middle, turned, tipped, leaned);
    }

    /** @return the same a little way off, m */
    public Stand shifted(double back, double right, double up) {
        return at(middle.add(new Vector3D(back, right, up)));
    }

    /** @return the same elsewhere */
    public Stand at(Vector3D other) {
        return new Stand(of, what, other, turned, tipped, leaned, carrier, size, mass, mounts, scroll);
    }

    /** @return the same turned otherwise, rad */
    public Stand turned(double turn, double tip, double lean) {
        return new Stand(of, what, middle, turn, tip, lean, carrier, size, mass, mounts, scroll);
    }

    /** @return the same hung on something else */
    public Stand carriedBy(String other) {
        return new Stand(of, what, middle, turned, tipped, leaned, other, size, mass, mounts, scroll);
    }

    /** @return the same held otherwise */
    public Stand held(List<Mount> others) {
        return new Stand(of, what, middle, turned, tipped, leaned, carrier, size, mass, others, scroll);
    }

    /** @return the same with its scroll clocked so */
    public Stand scrolled(Scroll other) {
        return new Stand(of, what, middle, turned, tipped, leaned, carrier, size, mass, mounts, Optional.of(other));
    }
}
