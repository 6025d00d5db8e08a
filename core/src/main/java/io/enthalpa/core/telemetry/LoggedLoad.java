package io.enthalpa.core.telemetry;

import io.enthalpa.core.duty.DutyPlan;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.duty.Gearing;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;

/**
 * What a log says of the engine's work, with what it does not say.
 *
 * @param gearing from road speed to engine speed, where that was not logged
 * @param outside Pa absolute
 * @param boost   Pa that a full throttle is taken for, where neither boost nor manifold pressure was logged
 * @param limiter rad/s
 */
public record LoggedLoad(Optional<Gearing> gearing, double outside, double boost, double limiter) {
    /** Over the limiter by more than this share is no engine speed. */
    public static final double OVER_LIMITER = 1.15;

    private static final double DEEPEST = -90e3;

    /** @return the channel the load is read from: boost before manifold pressure before throttle; empty when none was logged */
    public static Optional<Channel> loadChannel(Set<Channel> logged) {
        for (Channel channel : new Channel[] {Channel.BOOST, Channel.MANIFOLD, Channel.THROTTLE}) {
            if (logged.contains(channel)) {
                return Optional.of(channel);
            }
        }
        return Optional.empty();
    }

    /** @param value of the load channel @return Pa above ambient */
    public double boost(Channel channel, double value) {
        return switch (channel) {
            case MANIFOLD -> Math.max(value - outside, DEEPEST);
            case THROTTLE -> DutyPlan.SHUT + Math.max(0, Math.min(value, 1)) * (boost - DutyPlan.SHUT);
            default -> Math.max(value, DEEPEST);
        };
    }

    /** @return rad/s as logged, or by the gearing; not held to the limiter */
    public double speed(Set<Channel> logged, ToDoubleFunction<Channel> value) {
        return logged.contains(Channel.ENGINE_SPEED)
                ? value.applyAsDouble(Channel.ENGINE_SPEED)
                : gearing.orElseThrow().engineSpeed(value.applyAsDouble(Channel.ROAD_SPEED));
    }

    /** @return a row of a duty */
    public DutyPoint point(double time, Set<Channel> logged, Channel load, ToDoubleFunction<Channel> value) {
        return new DutyPoint(
                time,
                Math.min(speed(logged, value), limiter),
                boost(load, value.applyAsDouble(load)),
                logged.contains(Channel.ROAD_SPEED) ? Math.max(value.applyAsDouble(Channel.ROAD_SPEED), 0) : 0);
    }
}
