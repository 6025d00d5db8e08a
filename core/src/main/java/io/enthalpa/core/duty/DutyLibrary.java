package io.enthalpa.core.duty;

import io.enthalpa.core.duty.DutyPiece.Brake;
import io.enthalpa.core.duty.DutyPiece.Climb;
import io.enthalpa.core.duty.DutyPiece.Hold;
import io.enthalpa.core.duty.DutyPiece.Pull;
import io.enthalpa.core.duty.DutyPiece.Ramp;
import io.enthalpa.core.duty.DutyPiece.Repeat;
import io.enthalpa.core.duty.DutyPiece.Wait;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Duties to begin from, fitted to an engine: its limiter, its boost, its gearing where known. Times and speeds are those of everyday
 * practice (common practice, no source); the user makes them his own.
 */
public final class DutyLibrary {
    private final double limiter;
    private final double boost;
    private final Optional<Gearing> gearing;

    /** @param limiter rad/s @param boost Pa asked for */
    public DutyLibrary(double limiter, double boost, Optional<Gearing> gearing) {
        this.limiter = limiter;
        this.boost = boost;
        this.gearing = gearing;
    }

    /**
     * @param name       "standing start"
     * @param says       what it is for, in a line
     * @param startAbove K over outside air
     * @param repeats    runs
     * @param between    s from run to run
     */
    public record Entry(
            String name, String says, double startAbove, int repeats, double between, List<DutyPiece> pieces) {
        public Duty duty(Optional<Gearing> gearing) {
            return new Duty(name, true, startAbove, repeats, between, DutyPlan.rows(pieces, gearing), pieces);
        }
    }

    public List<Entry> entries() {
        return List.of(
                new Entry(
                        "standing start",
                        "staging, 200 km/h in 9 s, back to the start",
                        10,
                        3,
                        900,
                        List.of(idle(180), pull(9, 200, 0.96), brake(12, 40), hold(120, 40, 0.25, -30e3))),
                new Entry(
                        "pull through the gears",
                        "a cruise, one long pull, a cruise",
                        10,
                        1,
                        0,
                        List.of(
                                hold(60, 60, 0.35, -20e3),
                                pull(16, 180, 0.96),
                                brake(10, 60),
                                hold(60, 60, 0.35, -20e3))),
                new Entry(
                        "limiter, standing",
                        "three minutes at the limiter without moving",
                        10,
                        1,
                        0,
                        List.of(new Hold(180, 0, OptionalDouble.of(0.98 * limiter), boost), idle(120))),
                new Entry(
                        "four hard minutes on a circuit",
                        "out of the pits, nine pulls between the corners",
                        10,
                        1,
                        0,
                        List.of(
                                idle(20),
                                pull(12, 130, 0.95),
                                brake(4, 75),
                                new Repeat(
                                        8, List.of(hold(4, 75, 0.6, 0.2 * boost), pull(17, 165, 0.95), brake(5, 70))))),
                new Entry("laps", "twelve laps of 90 s and a lap to cool", 10, 1, 0, laps(90, 6, 190, 80, 12)),
                new Entry(
                        "hill with a trailer",
                        "8 km at 45 km/h, then idling at the top",
                        15,
                        1,
                        0,
                        List.of(hold(60, 45, 0.4, 0.3 * boost), climb(8000, 45, 0.7, 0.85), idle(180))),
                new Entry(
                        "motorway",
                        "an hour at 130 km/h",
                        10,
                        1,
                        0,
                        List.of(ramp(20, 130, 0.5, 0.3), hold(3600, 130, 0.5, 0.3 * boost))),
                new Entry(
                        "two hours at full load",
                        "a boat, a machine: steady work without a pause",
                        10,
                        1,
                        0,
                        List.of(new Hold(7200, 40 / 3.6, OptionalDouble.of(6.0 / 7 * limiter), boost))),
                new Entry(
                        "sled pull",
                        "staging, 15 s of full load at walking pace, ten minutes to cool",
                        12,
                        2,
                        600,
                        List.of(
                                idle(120),
                                new Pull(4, 20 / 3.6, OptionalDouble.of(0.9 * limiter), boost),
                                new Hold(11, 30 / 3.6, OptionalDouble.of(0.95 * limiter), boost),
                                idle(60))),
                new Entry(
                        "a day of runs",
                        "six runs of 20 s, forty minutes between, warm-up before each",
                        8,
                        6,
                        2400,
                        List.of(idle(240), pull(20, 220, 0.97), brake(15, 50), hold(60, 50, 0.25, -30e3))));
    }

    /**
     * A lap of equal corners: down to the corner's speed, round it, up again; and one lap to cool behind them.
     *
     * @param seconds of a lap
     * @param corners 1 or more
     * @param fast    km/h at the end of a straight
     * @param slow    km/h in a corner
     * @param laps    1 or more
     */
    public List<DutyPiece> laps(double seconds, int corners, double fast, double slow, int laps) {
        double each = seconds / corners;
        List<DutyPiece> corner = List.of(
                pull(0.55 * each, fast, 0.95), brake(0.2 * each, slow), hold(0.25 * each, slow, 0.6, 0.2 * boost));
        return List.of(
                hold(20, slow, 0.5, -20e3),
                new Repeat(laps, List.of(new Repeat(corners, corner))),
                hold(1.3 * seconds, 0.5 * (fast + slow), 0.4, -30e3));
    }

    private DutyPiece idle(double seconds) {
        return new Wait(seconds, true);
    }

    /** @param share of the limiter, where the gearing is not known */
    private OptionalDouble speed(double share) {
        return gearing.isPresent() ? OptionalDouble.empty() : OptionalDouble.of(share * limiter);
    }

    private DutyPiece pull(double seconds, double kmh, double share) {
        return new Pull(seconds, reachable(kmh), speed(share), boost);
    }

    private DutyPiece hold(double seconds, double kmh, double share, double at) {
        return new Hold(seconds, reachable(kmh), speed(share), at);
    }

    private DutyPiece ramp(double seconds, double kmh, double share, double ofBoost) {
        return new Ramp(seconds, reachable(kmh), speed(share), ofBoost * boost);
    }

    private DutyPiece climb(double metres, double kmh, double share, double ofBoost) {
        return new Climb(metres, reachable(kmh), speed(share), ofBoost * boost);
    }

    private static DutyPiece brake(double seconds, double kmh) {
        return new Brake(seconds, kmh / 3.6);
    }

    /** m/s that the top gear allows. */
    private double reachable(double kmh) {
        return Math.min(
                kmh / 3.6,
                gearing.map(g -> 0.98 * g.changesAt(g.ratios().size() - 1)).orElse(Double.POSITIVE_INFINITY));
    }
}
