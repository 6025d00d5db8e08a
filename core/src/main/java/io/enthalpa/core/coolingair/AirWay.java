package io.enthalpa.core.coolingair;

import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.FaceAir;
import io.enthalpa.core.exchanger.RatedExchanger;
import io.enthalpa.core.fault.Budget;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.hipparchus.exception.MathRuntimeException;

/** An {@link AirWaySpec} ready to compute with: the flow balance, and the temperatures from layer to layer. */
public final class AirWay {
    public static final Method METHOD = Method.of(
                    "cooling-air",
                    "Cooling air through a car",
                    "The road wind's pressure between opening and exit, and the fan's, are used up at grille and opening, in the stack and at the exit. Where layers cover each other "
                            + "only in part, the stack is cut into lanes of equal cover, all between the same two pressures; a gap that is not sealed is a lane with no layer. "
                            + "Standing without a fan, warm air rises through the stack; some comes round to the front again, less the faster the car rolls. All losses and the fan are those of the air outside: thinner air costs and drives less.")
            .formula(
                    "(c_in - c_out) q + fan(Q) + buoyancy = K_in rho (Q/A_in)^2/2 + loss(v) + rho (Q/A_out)^2/2; loss = sum a_k v^n_k in each lane; "
                            + "K_in = 0.5 (0.1 rounded) + (1 - A_in/A_stack)^2, the step times 0.4 in a duct; gap K = 2.8")
            .source(
                    Citation.fromMemory("Barnard", 2009, "Road Vehicle Aerodynamic Design, 3rd ed., cooling flows"),
                    Citation.commonPractice(
                            "pressure shares of openings and exits, duct recovery 60 %, recirculation falling to a third at 3 m/s"))
            .leavesOut("Wind from the side; uneven flow over a face behind a bar; heat from exhaust parts.");
    private static final double SHARP_LIP = 0.5;
    private static final double ROUND_LIP = 0.1;
    private static final double DUCT_LEAVES = 0.4;
    private static final double GAP_K = 2.8;
    /** Nominal excess of the air in a warm stack, K, for warm air rising. */
    private static final double WARM = 40;

    /** Of the pressure over the stack, sought to 1e-6 Pa, and of the velocity in a lane, to 1e-10 of it. */
    private static final int MOST_TRIALS = 200;

    private static final int MOST_STEPS = 30;
    private static final double GRAVITY = 9.80665;
    /** Road speed at which recirculation has fallen to 1/e, m/s. */
    private static final double BLOWN_OFF = 3;

    private final AirWaySpec spec;
    private final List<CoreSize> sizes;
    private final List<AirLoss> losses = new ArrayList<>();
    private final List<RatedExchanger> others = new ArrayList<>();
    private final List<Lane> lanes;
    private final double face;
    /** m2 that is free, and its loss in velocity heads there. */
    private final double opening;

    private final double openingLoss;
    private final double height;
    private final double density;
    private final double heatCapacity;
    private final double outside;

    /** What a core or radiator of the build is to the air: its size, and its loss in Pa by face velocity in m/s. */
    public record Member(CoreSize size, DoubleUnaryOperator loss) {}

    /**
     * @param members  for each layer, null where the layer knows itself
     * @param outside  K
     * @param pressure Pa absolute outside
     * @throws EnthalpaFault {@link FaultKind#CONTRADICTION} when a layer is larger than the space; its field is "layers/i"
     */
    public AirWay(AirWaySpec spec, List<Member> members, double outside, double pressure, HumidAir air) {
        this.spec = spec;
        this.outside = outside;
        this.density = air.density(pressure, outside);
        this.heatCapacity = air.heatCapacity(outside);
        this.sizes = new ArrayList<>();
        for (int k = 0; k < spec.layers().size(); k++) {
            Layer layer = spec.layers().get(k);
            CoreSize size =
                    layer.isOther() ? layer.other().size() : members.get(k).size();
            sizes.add(size);
            fits(k, size);
            losses.add(
                    layer.isOther()
                            ? AirLoss.of(v -> layer.other().airLoss(v, new FaceAir(density, outside)))
                            : AirLoss.of(members.get(k).loss()));
            others.add(layer.isOther() ? layer.other().exchanger() : null);
        }
        this.lanes = Lane.of(IntStream.range(0, sizes.size())
                .mapToObj(k -> spec.layers().get(k).outline(sizes.get(k)))
                .toList());
        this.face = lanes.stream().mapToDouble(Lane::area).sum();
        this.opening = spec.opening().area();
        double step = opening < face ? Math.pow(1 - opening / face, 2) : 0;
        this.openingLoss =
                (spec.opening().rounded() ? ROUND_LIP : SHARP_LIP) + step * (spec.ducted() ? DUCT_LEAVES : 1);
        this.height = sizes.stream().mapToDouble(CoreSize::height).max().orElse(0);
    }

    public AirWaySpec spec() {
        return spec;
    }

    /** @return of each layer */
    public List<CoreSize> sizes() {
        return List.copyOf(sizes);
    }

    /** @return m2 of the stack's outline */
    public double face() {
        return face;
    }

    private void fits(int k, CoreSize size) {
        Rectangle r = spec.layers().get(k).outline(size);
        double wide = 2 * Math.max(Math.abs(r.left()), Math.abs(r.right()));
        if (size.width() > spec.spaceWidth() * 1.0001 || size.height() > spec.spaceHeight() * 1.0001) {
            boolean width = size.width() > spec.spaceWidth() * 1.0001;
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "layers/" + k,
                    spec.layers().get(k).name() + (width ? ", width" : ", height"),
                    "%.0f mm".formatted(1000 * (width ? size.width() : size.height())),
                    "at most the space of the way \"%s\", %.0f mm"
                            .formatted(spec.name(), 1000 * (width ? spec.spaceWidth() : spec.spaceHeight())),
                    "Make it smaller, or measure the space again.");
        }
        if (wide > 3 * spec.spaceWidth()) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "layers/" + k,
                    spec.layers().get(k).name() + ", place",
                    "%.0f mm off the middle".formatted(500 * wide),
                    "inside the space",
                    "");
        }
    }

    /** @param roadSpeed m/s, 0 or more @return with the engine running */
    public AirFlow flow(double roadSpeed) {
        return flow(roadSpeed, true);
    }

    /** @param roadSpeed m/s, 0 or more @param engineOn false where a fan may stand because the engine does */
    public AirFlow flow(double roadSpeed, boolean engineOn) {
        boolean blows = blows(roadSpeed, engineOn);
        double wind = (spec.opening().pressure() - spec.exitPressure()) * density * roadSpeed * roadSpeed / 2;
        double rising = density * GRAVITY * height * WARM / (outside + WARM);
        double fan0 = fan(0, blows);
        boolean against = wind + fan0 < 0;
        double drive = against ? 0 : wind;
        double most = drive + Math.max(fan0, 0) + rising;
        DoubleUnaryOperator left = stack -> {
            double q = through(stack);
            return drive + (against ? 0 : fan(q, blows)) + rising - ends(q) - stack;
        };
        double stack;
        try {
            stack = new BrentSolver(1e-8, 1e-6, 1e-9).solve(MOST_TRIALS, left::applyAsDouble, 0, most);
        } catch (MathRuntimeException none) {
            throw unsolved();
        }
        return state(stack, wind, rising, blows, against);
    }

    /** @param roadSpeed m/s @return whether the way's fan turns */
    public boolean blows(double roadSpeed, boolean engineOn) {
        return spec.fan().isPresent() && spec.fan().get().runsAt(roadSpeed, engineOn);
    }

    private double fan(double q, boolean blows) {
        return spec.fan().isPresent() ? spec.fan().get().rise(q, blows, density) : 0;
    }

    /** Pa lost at opening and exit together. */
    private double ends(double q) {
        return inLoss(q) + outLoss(q);
    }

    private double inLoss(double q) {
        double v = q / opening;
        return openingLoss * density / 2 * v * v;
    }

    private double outLoss(double q) {
        double v = q / spec.exitArea();
        return density / 2 * v * v;
    }

    private double gap() {
        return (1 - spec.seal()) * face;
    }

    /** @param stack Pa over the stack @return m3/s through all lanes and round them */
    private double through(double stack) {
        double sum = round(stack);
        for (Lane lane : lanes) {
            sum += lane.area() * velocity(lane, stack);
        }
        return sum;
    }

    private double round(double stack) {
        return gap() * Math.sqrt(2 * Math.max(stack, 0) / density / GAP_K);
    }

    /** m/s in a lane that takes a pressure, by Newton on the logarithm, which is nearly straight. */
    private double velocity(Lane lane, double stack) {
        if (stack <= 0) {
            return 0;
        }
        double x = Math.log(3);
        double goal = Math.log(stack);
        for (int i = 0; i < MOST_STEPS; i++) {
            double v = Math.exp(x);
            double sum = 0;
            double slope = 0;
            for (int k : lane.layers()) {
                double loss = losses.get(k).at(v);
                sum += loss;
                slope += losses.get(k).exponent() * loss;
            }
            double step = (Math.log(sum) - goal) * sum / slope;
            x -= step;
            if (Math.abs(step) < 1e-10) {
                return Math.exp(x);
            }
        }
        throw unsolved();
    }

    private EnthalpaFault unsolved() {
        return Budget.spent("air through the way \"" + spec.name() + "\"", MOST_TRIALS);
    }

    private AirFlow state(double stack, double wind, double rising, boolean blows, boolean against) {
        double[] lane = new double[lanes.size()];
        double[] layer = new double[sizes.size()];
        for (int i = 0; i < lane.length; i++) {
            lane[i] = lanes.get(i).area() * velocity(lanes.get(i), stack);
            for (int k : lanes.get(i).layers()) {
                layer[k] += lane[i];
            }
        }
        double[] perKelvin = new double[sizes.size()];
        for (int k = 0; k < perKelvin.length; k++) {
            double mass = layer[k] * density;
            perKelvin[k] =
                    others.get(k) == null ? 0 : OtherExchanger.perKelvin(others.get(k), mass, mass * heatCapacity);
        }
        double q = through(stack);
        double fan = fan(against ? 0 : q, blows);
        return new AirFlow(
                q, round(stack), lane, layer, perKelvin, wind, fan, rising, inLoss(q), stack, outLoss(q), against);
    }

    /**
     * The air from layer to layer.
     *
     * @param air  K before each layer, the mean of its lanes
     * @param heat W that each layer gives to the air
     * @param asked W that each layer which knows itself has to give; 0 for cores and radiators
     * @param hot  K of the hot side of each such layer
     * @param out  K behind each layer
     * @param behind K of all air behind the stack, bypass not counted
     * @param front K at the front of the stack, recirculation counted
     */
    public record Warmth(
            double[] air, double[] heat, double[] asked, double[] hot, double[] out, double behind, double front) {}

    /**
     * @param flow  from {@link #flow}
     * @param given W from each core or radiator as last known; layers that know themselves are worked out
     * @param car   how hard it works, which those follow
     */
    public Warmth warmth(AirFlow flow, double[] given, double roadSpeed, Working car) {
        Warmth once = warmthFrom(flow, given, outside, car);
        double round = spec.recirculation() * Math.exp(-roadSpeed / BLOWN_OFF);
        if (round < 1e-4) {
            return once;
        }
        // Behind the stack grows straight with the front, but where a layer comes to the most it may: two secant steps
        // are enough.
        double front = outside + round * (once.behind() - outside);
        Warmth now = warmthFrom(flow, given, front, car);
        double slope = (now.behind() - once.behind()) / Math.max(front - outside, 1e-9);
        front = outside + round * (once.behind() - outside) / Math.max(1 - round * slope, 0.05);
        return warmthFrom(flow, given, front, car);
    }

    private Warmth warmthFrom(AirFlow flow, double[] given, double front, Working car) {
        int n = sizes.size();
        double[] lane = new double[lanes.size()];
        Arrays.fill(lane, front);
        double[] air = new double[n];
        double[] heat = new double[n];
        double[] asked = new double[n];
        double[] hot = new double[n];
        double[] out = new double[n];
        for (int k = 0; k < n; k++) {
            double rate = flow.layers()[k] * density * heatCapacity;
            air[k] = mean(k, flow, lane, front);
            Layer layer = spec.layers().get(k);
            heat[k] = given[k];
            if (layer.isOther()) {
                double perKelvin = flow.perKelvin()[k];
                asked[k] = layer.asked(outside, car);
                heat[k] = Math.min(asked[k], perKelvin * Math.max(layer.other().hot() - air[k], 0));
                hot[k] = air[k] + heat[k] / perKelvin;
            }
            out[k] = air[k] + heat[k] / rate;
            warm(k, heat[k], flow, lane);
        }
        double sum = 0;
        double flows = 0;
        for (int i = 0; i < lane.length; i++) {
            sum += flow.lanes()[i] * lane[i];
            flows += flow.lanes()[i];
        }
        return new Warmth(air, heat, asked, hot, out, flows > 0 ? sum / flows : front, front);
    }

    private double mean(int k, AirFlow flow, double[] lane, double front) {
        double sum = 0;
        for (int i = 0; i < lane.length; i++) {
            if (lanes.get(i).passes(k)) {
                sum += flow.lanes()[i] * lane[i];
            }
        }
        return flow.layers()[k] > 0 ? sum / flow.layers()[k] : front;
    }

    /** Spreads a layer's heat over its lanes by their flow. */
    private void warm(int k, double heat, AirFlow flow, double[] lane) {
        double rise = heat / (flow.layers()[k] * density * heatCapacity);
        for (int i = 0; i < lane.length; i++) {
            if (lanes.get(i).passes(k)) {
                lane[i] += rise;
            }
        }
    }

    /** @return kg/s through a layer */
    public double massFlow(AirFlow flow, int layer) {
        return flow.layers()[layer] * density;
    }

    /** @return m/s at a layer's face */
    public double faceSpeed(AirFlow flow, int layer) {
        return flow.layers()[layer] / sizes.get(layer).face();
    }
}
