package io.enthalpa.core.joint;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fit.Bodies;
import io.enthalpa.core.fit.Body;
import io.enthalpa.core.fit.Laid;
import io.enthalpa.core.fit.Laid.Joined;
import io.enthalpa.core.fit.Pipework;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.mount.Mounting;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.route.Bears;
import io.enthalpa.core.route.Brace;
import io.enthalpa.core.route.JointsSpec.End;
import io.enthalpa.core.space.Motion;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealMatrix;

/** Laid pipes as stiff links between bodies that move, and what their joints see of it. */
final class Links {
    /** What is stiff gives as much. */
    private static final Bears STIFF = new Bears(0.005e-3, Math.toRadians(0.005), 0.005e-3);
    /** m that a rubber brace gives; common practice, no source. */
    private static final double RUBBER = 5e-3;
    /** Twist of a joint counts as that much of its bend: a hose and a clamp let a pipe turn about itself. */
    private static final double TWIST = 0.05;
    /** What nothing holds stays. */
    private static final double LOOSE = 1e-7;
    /** m: farther apart, two pipes are not joined. */
    private static final double APART = 0.3;
    /** K at which it is put together. */
    private static final double COLD = 293.15;

    private static final int DOF = 6;

    private final RoomSpec room;
    private final Pipework pipes;
    private final List<Body> bodies;
    private final List<Laid> links;
    private final Map<Spot, Integer> numbers = new HashMap<>();
    private final double[] growth;
    private final List<String> carriers;
    private final List<double[]> rows = new ArrayList<>();
    private final List<double[]> driven = new ArrayList<>();

    /** Where two are joined: a link, and a link or what a carrier carries. */
    private record Place(int link, Vector3D at, Vector3D along, int other, String carrier, double off) {}

    /** @param temperature K of the air in a pipe */
    Links(BuildOption option, RoomSpec room, ToDoubleFunction<Spot> temperature) {
        this.room = room;
        this.bodies = Bodies.of(option);
        this.pipes = Pipework.of(option, bodies);
        this.links = pipes.laid();
        this.growth = new double[links.size()];
        Set<String> moving = new LinkedHashSet<>();
        for (int i = 0; i < links.size(); i++) {
            Laid l = links.get(i);
            numbers.put(l.spot(), i);
            double warmer = Math.max(0, temperature.applyAsDouble(l.spot()) - COLD);
            growth[i] = expansion(l.pipe().spec().material()) * warmer;
            l.before().map(this::carrier).ifPresent(moving::add);
            l.behind().map(this::carrier).ifPresent(moving::add);
            pipes.run(l).braces().forEach(b -> moving.add(b.carrier()));
        }
        this.carriers = moving.stream().filter(c -> !room.motion(c).isStill()).toList();
    }

    /** 1/K; from memory, CRC Handbook of Chemistry and Physics. */
    private static double expansion(PipeMaterial material) {
        return switch (material) {
            case ALUMINIUM -> Mounting.EXPANSION;
            case STEEL -> 11.7e-6;
            case STAINLESS -> 17.2e-6;
            case SILICONE -> 0;
        };
    }

    private String carrier(Joined joined) {
        return bodies.get(joined.body()).stand().carrier();
    }

    private Optional<Place> place(Seam seam) {
        Integer link = numbers.get(seam.spot());
        if (link == null) {
            return Optional.empty();
        }
        Laid laid = links.get(link);
        boolean start = seam.end() == End.START;
        Vector3D at = start ? laid.spec().from() : laid.spec().to();
        List<Vector3D> points = laid.spec().points();
        int n = points.size();
        Vector3D along = (start
                        ? points.get(1).subtract(points.get(0))
                        : points.get(n - 1).subtract(points.get(n - 2)))
                .normalize();
        Optional<Joined> joined = start ? laid.before() : laid.behind();
        if (joined.isPresent()) {
            return Optional.of(new Place(
                    link, at, along, -1, carrier(joined.get()), joined.get().off()));
        }
        return Optional.ofNullable(numbers.get(seam.beside()))
                .filter(o -> links.get(o).spec().to().distance(at) < APART)
                .map(o -> new Place(link, at, along, o, "", 0));
    }

    /** @return for each joint the most that it sees; empty where it is not known */
    List<Optional<Moved>> moved(List<Seam> seams) {
        List<Optional<Place>> places = seams.stream().map(this::place).toList();
        rows.clear();
        driven.clear();
        for (int s = 0; s < places.size(); s++) {
            Bears bears = seams.get(s).joining().bears();
            places.get(s).ifPresent(p -> joint(p, bears));
        }
        for (int i = 0; i < links.size(); i++) {
            for (Brace brace : pipes.run(links.get(i)).braces()) {
                brace(i, brace);
            }
            for (int k = 0; k < DOF; k++) {
                double[] row = new double[DOF * links.size()];
                row[DOF * i + k] = LOOSE;
                rows.add(row);
                driven.add(new double[drivers()]);
            }
        }
        if (links.isEmpty()) {
            return places.stream().map(p -> Optional.<Moved>empty()).toList();
        }
        RealMatrix lying = lying();
        return places.stream().map(p -> p.map(at -> most(at, lying))).toList();
    }

    /** A column for each driver: how far each link shifts and turns for it. */
    private RealMatrix lying() {
        DecompositionSolver solver =
                new QRDecomposition(new Array2DRowRealMatrix(rows.toArray(double[][]::new), false), 0).getSolver();
        RealMatrix b = new Array2DRowRealMatrix(driven.toArray(double[][]::new), false);
        return solver.solve(b.scalarMultiply(-1));
    }

    /** Rolled one way and the other, travelled along three axes, for each carrier; grown hot. */
    private int drivers() {
        return 5 * carriers.size() + 1;
    }

    private void joint(Place p, Bears bears) {
        Vector3D[] frame = frame(p.along);
        double[] shift = {
            1 / Math.max(bears.offset(), STIFF.offset()),
            1 / Math.max(bears.offset(), STIFF.offset()),
            1 / Math.max(bears.slack(), STIFF.slack())
        };
        double bend = 1 / Math.max(bears.angle(), STIFF.angle());
        for (int k = 0; k < frame.length; k++) {
            row(shifting(p, frame[k]), drivenShift(p, frame[k]), shift[k]);
            row(turning(p, frame[k]), drivenTurn(p, frame[k]), k == 2 ? TWIST * bend : bend);
        }
    }

    private void brace(int link, Brace brace) {
        Vector3D at = links.get(link).line().at(brace.along());
        Place p = new Place(link, at, Vector3D.PLUS_I, -1, brace.carrier(), 0);
        for (Vector3D k : frame(Vector3D.PLUS_I)) {
            row(shifting(p, k), drivenShift(p, k), 1 / (brace.rubber() ? RUBBER : STIFF.offset()));
            if (!brace.rubber()) {
                row(turning(p, k), drivenTurn(p, k), 1 / STIFF.angle());
            }
        }
    }

    private void row(double[] own, double[] byDrivers, double weight) {
        rows.add(scaled(own, weight));
        driven.add(scaled(byDrivers, weight));
    }

    private static double[] scaled(double[] a, double by) {
        double[] b = new double[a.length];
        for (int i = 0; i < a.length; i++) {
            b[i] = a[i] * by;
        }
        return b;
    }

    /** Two across and one along. */
    private static Vector3D[] frame(Vector3D along) {
        Vector3D across = along.orthogonal();
        return new Vector3D[] {across, along.crossProduct(across), along};
    }

    /** How far apart the two come along k, for each freedom of the links. */
    private double[] shifting(Place p, Vector3D k) {
        double[] row = new double[DOF * links.size()];
        add(row, p.link, p.at, k, 1);
        if (p.other >= 0) {
            add(row, p.other, p.at, k, -1);
        }
        return row;
    }

    private void add(double[] row, int link, Vector3D at, Vector3D k, double sign) {
        Vector3D turn = at.subtract(centre(link)).crossProduct(k);
        put(row, link, k, turn, sign);
    }

    private double[] turning(Place p, Vector3D k) {
        double[] row = new double[DOF * links.size()];
        put(row, p.link, Vector3D.ZERO, k, 1);
        if (p.other >= 0) {
            put(row, p.other, Vector3D.ZERO, k, -1);
        }
        return row;
    }

    private static void put(double[] row, int link, Vector3D shift, Vector3D turn, double sign) {
        for (int i = 0; i < 3; i++) {
            row[DOF * link + i] += sign * shift.toArray()[i];
            row[DOF * link + 3 + i] += sign * turn.toArray()[i];
        }
    }

    private Vector3D centre(int link) {
        return links.get(link).spec().from();
    }

    private double[] drivenShift(Place p, Vector3D k) {
        double[] by = new double[drivers()];
        if (p.other < 0) {
            int at = 5 * carriers.indexOf(p.carrier);
            if (at >= 0) {
                Motion m = room.motion(p.carrier);
                by[at] = -m.shift(p.at, 1).dotProduct(k);
                by[at + 1] = -m.shift(p.at, -1).dotProduct(k);
                for (int i = 0; i < 3; i++) {
                    by[at + 2 + i] = -m.travel().toArray()[i] * k.toArray()[i];
                }
            }
        } else {
            by[by.length - 1] -=
                    growth[p.other] * p.at.subtract(centre(p.other)).dotProduct(k);
        }
        by[by.length - 1] += growth[p.link] * p.at.subtract(centre(p.link)).dotProduct(k);
        return by;
    }

    private double[] drivenTurn(Place p, Vector3D k) {
        double[] by = new double[drivers()];
        int at = p.other < 0 ? 5 * carriers.indexOf(p.carrier) : -1;
        if (at >= 0) {
            Motion m = room.motion(p.carrier);
            by[at] = -m.roll() * m.axis().dotProduct(k);
            by[at + 1] = m.roll() * m.axis().dotProduct(k);
        }
        return by;
    }

    /** Over all ways to the ends of what the carriers do, cold and hot. */
    private Moved most(Place p, RealMatrix lying) {
        Vector3D[] frame = frame(p.along);
        double[][] seen = new double[DOF][];
        for (int k = 0; k < 3; k++) {
            seen[k] = plus(lying.preMultiply(shifting(p, frame[k])), drivenShift(p, frame[k]));
            seen[3 + k] = plus(lying.preMultiply(turning(p, frame[k])), drivenTurn(p, frame[k]));
        }
        double[] most = new double[3];
        most(seen, 0, new double[DOF], most);
        return new Moved(most[0], most[1] + p.off, most[2]);
    }

    private static double[] plus(double[] a, double[] b) {
        double[] c = new double[a.length];
        for (int i = 0; i < a.length; i++) {
            c[i] = a[i] + b[i];
        }
        return c;
    }

    /** Each carrier rolled either way, each travel either way, grown or not. */
    private void most(double[][] seen, int driver, double[] sum, double[] most) {
        if (driver == drivers()) {
            most[0] = Math.max(most[0], Math.hypot(sum[0], sum[1]));
            most[1] = Math.max(most[1], Math.hypot(sum[3], sum[4]));
            most[2] = Math.max(most[2], Math.abs(sum[2]));
        } else if (driver == drivers() - 1) {
            most(seen, driver + 1, sum, most);
            most(seen, driver + 1, with(seen, driver, sum, 1), most);
        } else if (driver % 5 == 0) {
            most(seen, driver + 2, with(seen, driver, sum, 1), most);
            most(seen, driver + 2, with(seen, driver + 1, sum, 1), most);
        } else if (feels(seen, driver)) {
            most(seen, driver + 1, with(seen, driver, sum, 1), most);
            most(seen, driver + 1, with(seen, driver, sum, -1), most);
        } else {
            most(seen, driver + 1, sum, most);
        }
    }

    private static boolean feels(double[][] seen, int driver) {
        for (double[] s : seen) {
            if (Math.abs(s[driver]) > 1e-9) {
                return true;
            }
        }
        return false;
    }

    private static double[] with(double[][] seen, int driver, double[] sum, double sign) {
        double[] s = sum.clone();
        for (int k = 0; k < DOF; k++) {
            s[k] += sign * seen[k][driver];
        }
        return s;
    }
}
