package io.enthalpa.core.leak;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What is shut, pumped up and watched.
 *
 * @param volume  m3 shut in
 * @param outside Pa absolute
 */
public record LeakTest(double volume, double outside) {
    public static final Method METHOD = Method.of(
                    "leak-test",
                    "Leak test",
                    "Air shut in is as much as its pressure over its temperature says: what of that gets less is the leak, what only cools is none. The leak is taken for one small hole, whose area is the straight line through what has gone out over what such a hole would let out at the pressures on the way, and so carried over to the "
                            + "boost and temperature of driving: choked above 1.89 times the outside pressure, subsonic below. Under 0.2 % of the engine's air is good, under 1 % acceptable on a street car. What a water loop with air in it leaks is carried over to water through the same hole: under 1 mL an hour dries before it drips, under 10 is acceptable.")
            .formula(
                    "m = p V/(R T); A = d(sum -dm mean(1/G))/dt; E = p V ln(p/p0); G = p/sqrt(R T) sqrt(k) (2/(k+1))^((k+1)/(2(k-1))), or p/sqrt(R T) sqrt(2k/(k-1) (x^(2/k) - x^((k+1)/k))), x = p0/p; Q = (m/G) sqrt(2 dp/rho)")
            .source(
                    Citation.fromMemory(
                            "Shapiro",
                            1953,
                            "The Dynamics and Thermodynamics of Compressible Fluid Flow, isentropic nozzle"),
                    Citation.commonPractice("0.2 and 1 % of the air; 1 and 10 mL of water an hour"))
            .leavesOut(
                    "Hoses that give and go on stretching for the first minute; leaks that open or shut with pressure or heat.");
    /** J/(kg K). */
    private static final double GAS = 287.05;

    private static final double KAPPA = 1.4;
    private static final double GRAVITY = 9.80665;
    /** Share of the engine's air. */
    public static final double GOOD = 0.002;

    public static final double ACCEPTABLE = 0.01;
    private static final double SURE = 2;
    /** Share of the first reading under which the gauge tells nothing any more. */
    private static final double EMPTY = 0.01;

    private static final int PANELS = 20;
    /** Share of the highest reading from which it counts as pumped up. */
    private static final double PUMPED = 0.98;

    /**
     * @param time        s
     * @param gauge       Pa above outside
     * @param temperature K of the air inside
     */
    public record Reading(double time, double gauge, double temperature) {}

    /** m3/s of water: what dries before it drips, and what a week makes a cup of. */
    private static final double GOOD_WATER = 1e-6 / 3600;

    private static final double ACCEPTABLE_WATER = 10e-6 / 3600;
    /** kg/m3. */
    private static final double WATER = 998;

    /** How tight it is. */
    public enum Verdict {
        GOOD,
        ACCEPTABLE,
        TOO_MUCH,
        /** The readings leave two of them open. */
        OPEN
    }

    /**
     * @param fall    Pa/s at the temperature of the first reading
     * @param leak    kg/s at the test pressure
     * @param driving kg/s at running boost
     * @param share   of the engine's air
     * @param sd      of the share, one standard deviation
     * @param emptied whether all was out before it was read a second time: it leaks at least so much
     */
    public record Result(
            double fall, double leak, double driving, double share, double sd, Verdict verdict, boolean emptied) {}

    /**
     * @param fall  Pa/s at the temperature of the first reading
     * @param leak  kg/s of air at the test pressure
     * @param water m3/s at the cap's pressure, through the same hole
     * @param sd    m3/s of it, one standard deviation
     * @param emptied as above
     */
    public record WaterResult(double fall, double leak, double water, double sd, Verdict verdict, boolean emptied) {}

    public LeakTest {
        EnthalpaFault.within("volume", volume * 1000, 0.1, 10_000, "L");
        EnthalpaFault.within("outside pressure", outside / 1000, 30, 120, "kPa");
    }

    /** @param gauge Pa @return J that are set free when a cap lets go, the air expanding at one temperature */
    public double storedEnergy(double gauge) {
        double p = outside + gauge;
        return p * volume * Math.log(p / outside);
    }

    /** @return m from which a hammer of 1 kg has to fall to strike as hard */
    public double asHammer(double gauge) {
        return storedEnergy(gauge) / GRAVITY;
    }

    /**
     * @param readings    two or more, in order of time
     * @param gaugeError  Pa, one standard deviation of a reading
     * @param boost       Pa above outside while driving
     * @param temperature K of the charge while driving
     * @param flow        kg/s of the engine
     */
    public Result result(List<Reading> readings, double gaugeError, double boost, double temperature, double flow) {
        Tested t = tested(readings, gaugeError);
        double carried = flux(outside + boost, temperature) / t.flux();
        double share = t.leak() * carried / flow;
        double spread = t.sd() * carried / flow;
        return new Result(
                t.fall(),
                t.leak(),
                t.leak() * carried,
                share,
                spread,
                t.verdict(share, spread, GOOD, ACCEPTABLE),
                t.emptied());
    }

    /**
     * What the gauge falls by at a leak that takes a share of the engine's air.
     *
     * @param gauge Pa above outside at the test
     * @param still K of the air inside then
     * @return Pa/s
     */
    public double fallOf(double share, double gauge, double still, double boost, double temperature, double flow) {
        double leak = share * flow * flux(outside + gauge, still) / flux(outside + boost, temperature);
        return leak * GAS * still / volume;
    }

    /**
     * Of a water loop with air in it: what air goes through a hole, carried over to water.
     *
     * @param readings   as above
     * @param gaugeError Pa
     * @param cap        Pa above outside that the cap holds while driving
     */
    public WaterResult water(List<Reading> readings, double gaugeError, double cap) {
        Tested t = tested(readings, gaugeError);
        double speed = Math.sqrt(2 * cap / WATER);
        double water = t.leak() / t.flux() * speed;
        double spread = t.sd() / t.flux() * speed;
        return new WaterResult(
                t.fall(), t.leak(), water, spread, t.verdict(water, spread, GOOD_WATER, ACCEPTABLE_WATER), t.emptied());
    }

    /** @param leak kg/s at the mean of what was shown @param sd of it @param flux kg/(s m2) of a hole then @param emptied before it was read twice */
    private record Tested(double fall, double leak, double sd, double flux, boolean emptied) {
        /** What had gone out before anybody looked is known from below only. */
        Verdict verdict(double leak, double sd, double good, double acceptable) {
            Verdict told = LeakTest.verdict(leak, sd, good, acceptable);
            return emptied && told != Verdict.TOO_MUCH ? Verdict.OPEN : told;
        }
    }

    private Tested tested(List<Reading> readings, double gaugeError) {
        check(readings, gaugeError);
        List<Reading> some = telling(readings, gaugeError);
        double[] hole = new double[some.size()];
        double[] flux = new double[some.size()];
        flux[0] = through(some.get(0).gauge(), some.get(0).temperature());
        for (int i = 1; i < hole.length; i++) {
            Reading a = some.get(i - 1);
            Reading b = some.get(i);
            hole[i] = hole[i - 1]
                    + (mass(a.gauge(), a.temperature()) - mass(b.gauge(), b.temperature()))
                            * meanOfOneOver(a.gauge(), b.gauge(), (a.temperature() + b.temperature()) / 2);
            flux[i] = through(b.gauge(), b.temperature());
        }
        double still = some.get(0).temperature();
        Line area = Line.through(some, hole, flux, gaugeError * volume / (GAS * still));
        double[] pressure = some.stream()
                .mapToDouble(r -> (outside + r.gauge()) / r.temperature())
                .toArray();
        double[] alike = new double[pressure.length];
        Arrays.fill(alike, 1);
        double test = some.stream().mapToDouble(Reading::gauge).average().orElseThrow();
        double warm = some.stream().mapToDouble(Reading::temperature).average().orElseThrow();
        double shown = through(test, warm);
        return new Tested(
                Line.through(some, pressure, alike, 0).slope() * still,
                area.slope() * shown,
                area.sd() * shown,
                shown,
                readings.get(1).gauge() <= empty(readings, gaugeError));
    }

    /** @return Pa above outside from where nothing is left to tell */
    private static double empty(List<Reading> readings, double gaugeError) {
        return Math.max(SURE * gaugeError, EMPTY * readings.get(0).gauge());
    }

    /** @return those before all is out; where that is the first alone, as though it had just gone out at the second */
    private static List<Reading> telling(List<Reading> readings, double gaugeError) {
        double empty = empty(readings, gaugeError);
        List<Reading> some = new ArrayList<>(
                readings.stream().takeWhile(r -> r.gauge() > empty).toList());
        if (some.size() == 1) {
            some.add(new Reading(readings.get(1).time(), empty, readings.get(1).temperature()));
        }
        return some;
    }

    /** @return mean of 1/G between two gauge pressures; the root of the gauge as variable keeps it smooth to the end */
    private double meanOfOneOver(double one, double other, double temperature) {
        double from = Math.sqrt(one);
        double to = Math.sqrt(other);
        if (Math.abs(one - other) < 1e-9 * one) {
            return 1 / through(one, temperature);
        }
        double sum = 0;
        for (int k = 0; k <= PANELS; k++) {
            double u = from + (to - from) * k / PANELS;
            double weight = k == 0 || k == PANELS ? 1 : k % 2 == 1 ? 4 : 2;
            sum += weight * 2 * u / through(u * u, temperature);
        }
        return sum * (to - from) / (3 * PANELS) / (other - one);
    }

    /** @return Pa by which the last shows less than the first only because the air is cooler; negative where it is warmer */
    public double cooled(Reading first, Reading last) {
        return (outside + last.gauge()) * (first.temperature() / last.temperature() - 1);
    }

    /** @return from when the pump was shut off: from nearly the highest reading on, once it rises no more */
    public static List<Reading> sincePumped(List<Reading> readings) {
        double most = readings.stream().mapToDouble(Reading::gauge).max().orElse(0);
        int from = 0;
        while (from < readings.size() && readings.get(from).gauge() < PUMPED * most) {
            from++;
        }
        while (from + 1 < readings.size()
                && readings.get(from + 1).gauge() > readings.get(from).gauge()) {
            from++;
        }
        return readings.subList(from, readings.size());
    }

    private static Verdict verdict(double leak, double sd, double good, double acceptable) {
        Verdict best = of(leak - SURE * sd, good, acceptable);
        return best == of(leak + SURE * sd, good, acceptable) ? best : Verdict.OPEN;
    }

    private static Verdict of(double leak, double good, double acceptable) {
        return leak < good ? Verdict.GOOD : leak < acceptable ? Verdict.ACCEPTABLE : Verdict.TOO_MUCH;
    }

    private static void check(List<Reading> readings, double gaugeError) {
        if (readings.size() < 2) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "readings",
                    "readings",
                    String.valueOf(readings.size()),
                    "2 or more",
                    "Read pressure and clock at the start and at least once more.");
        }
        double first = readings.get(0).gauge();
        if (first <= SURE * gaugeError) {
            throw EnthalpaFault.of(
                    FaultKind.OUT_OF_RANGE,
                    "readings/0/gauge",
                    "gauge of reading 1",
                    "%.2f kPa".formatted(first / 1000),
                    "more than %.2f kPa, twice what the gauge may be off".formatted(SURE * gaugeError / 1000),
                    "The first reading is the one after the pump was shut off.");
        }
        for (int i = 1; i < readings.size(); i++) {
            if (readings.get(i).time() <= readings.get(i - 1).time()) {
                throw EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        "readings/" + i + "/time",
                        "time of reading " + (i + 1),
                        "%.0f s".formatted(readings.get(i).time()),
                        "later than the reading before it, %.0f s"
                                .formatted(readings.get(i - 1).time()),
                        "");
            }
        }
    }

    /** @param gauge Pa @return kg of air shut in */
    public double mass(double gauge, double temperature) {
        return (outside + gauge) * volume / (GAS * temperature);
    }

    /** @param mass kg @return Pa above outside that it shows */
    public double gauge(double mass, double temperature) {
        return mass * GAS * temperature / volume - outside;
    }

    /** @param gauge Pa @return kg/(s m2) that go out through a small hole */
    public double through(double gauge, double temperature) {
        return gauge <= 0 ? 0 : flux(outside + gauge, temperature);
    }

    /** kg/(s m2) through a small hole from a pressure to outside. */
    private double flux(double pressure, double temperature) {
        double x = outside / Math.max(pressure, outside * (1 + 1e-9));
        double critical = Math.pow(2 / (KAPPA + 1), KAPPA / (KAPPA - 1));
        double shape = x <= critical
                ? Math.sqrt(KAPPA) * Math.pow(2 / (KAPPA + 1), (KAPPA + 1) / (2 * (KAPPA - 1)))
                : Math.sqrt(2 * KAPPA / (KAPPA - 1) * (Math.pow(x, 2 / KAPPA) - Math.pow(x, (KAPPA + 1) / KAPPA)));
        return pressure / Math.sqrt(GAS * temperature) * shape;
    }

    /** Straight line of least squares through values against the clock, each as sure as its weight. */
    private record Line(double slope, double sd) {
        /** @param sure of each value, one over what it may be off by, in errors of a reading @param error of a reading */
        static Line through(List<Reading> readings, double[] y, double[] sure, double error) {
            double weights = 0;
            double t = 0;
            double mean = 0;
            for (int i = 0; i < y.length; i++) {
                double w = sure[i] * sure[i];
                weights += w;
                t += w * readings.get(i).time();
                mean += w * y[i];
            }
            t /= weights;
            mean /= weights;
            double spread = 0;
            double together = 0;
            for (int i = 0; i < y.length; i++) {
                double dt = readings.get(i).time() - t;
                spread += sure[i] * sure[i] * dt * dt;
                together += sure[i] * sure[i] * dt * (y[i] - mean);
            }
            double slope = together / spread;
            double left = 0;
            for (int i = 0; i < y.length; i++) {
                double off = sure[i] * (y[i] - mean - slope * (readings.get(i).time() - t));
                left += off * off;
            }
            double each = Math.max(error, y.length > 2 ? Math.sqrt(left / (y.length - 2)) : 0);
            return new Line(slope, each / Math.sqrt(spread));
        }
    }
}
