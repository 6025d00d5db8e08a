package io.enthalpa.core.commission;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.commission.Step.Kind;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.joint.Joint;
import io.enthalpa.core.joint.Joints;
import io.enthalpa.core.leak.LeakRecord;
import io.enthalpa.core.leak.LeakTest;
import io.enthalpa.core.leak.LeakTest.Reading;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.route.Fitting;
import io.enthalpa.core.route.JointsSpec.End;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.steady.LoopResult;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.TankSpec;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A leak test of an option: how hard it may be pumped up, what is stored in it then, what is shut, where to put soap, and what the readings come to.
 *
 * @param volume m3 shut in
 * @param test   Pa above outside that it is pumped up to
 * @param limit  Pa above outside that it is never pumped above
 * @param steps  in order
 */
public record LeakPlan(double volume, double test, double limit, double energy, double hammer, List<Step> steps) {
    public static final Method METHOD = Method.of(
                    "leak-plan",
                    "How hard a side is pumped up to try it",
                    "The boosted side to the boost at the blower, a water loop to what its cap holds, half a bar where that is open; neither above what the weakest part is rated to, nor above what the joint that holds least bears "
                            + "with half as much again to spare. Soap goes first where air gets out first: the outlet of the blower, then joints by how much of their hold the boost takes.")
            .formula("p = min(boost or cap, rated, hold / (1.5 pi D^2 / 4))")
            .source(Citation.commonPractice(
                    "test at what it sees; the outlet of the blower pops first; half a bar for an open loop"))
            .leavesOut("Parts whose rating nobody typed.");

    /** Errors of the gauge by which a reading has to be over to be over. */
    private static final double SURE = 2;

    private static final double OPEN_LOOP = 50e3;
    /** N on a cap from where it is strapped. */
    private static final double STRAPPED = 60;

    /** Share under which two digits say nothing. */
    private static final double LEAST_TOLD = 1e-4;

    public LeakPlan {
        steps = List.copyOf(steps);
    }

    /**
     * @param record of the test as far as it is written down
     * @throws EnthalpaFault when the option has no such side, or readings cannot be
     */
    public static LeakPlan of(Build build, LeakRecord record) {
        Answer answer = new Answer(build, record.letter());
        SteadyResult steady = answer.steady();
        return record.side() == LeakRecord.Side.CHARGE
                ? new Charge(answer, steady, record).plan()
                : new Water(answer, steady, record).plan();
    }

    /** @return Pa absolute */
    static double outside(Build build, LeakRecord record) {
        return record.barometer().orElse(build.climate().ambient().pressure());
    }

    private static LeakPlan plan(LeakTest leak, double test, double limit, List<Step> steps) {
        double energy = leak.storedEnergy(test);
        double hammer = leak.asHammer(test);
        List<Step> all = new ArrayList<>();
        all.add(Step.of(Kind.LEAK_ENERGY)
                .pressure("test", test)
                .with("volume", leak.volume(), Quantity.VOLUME)
                .plain("energy", energy)
                .with("hammer", hammer, Quantity.LENGTH));
        all.addAll(steps);
        return new LeakPlan(leak.volume(), test, limit, energy, hammer, all);
    }

    /** How a test is done, whatever the side. */
    private static List<Step> done(double test) {
        return List.of(
                Step.of(Kind.LEAK_PUMP_UP).pressure("test", test),
                Step.of(Kind.LEAK_SETTLE),
                Step.of(Kind.LEAK_READ),
                Step.of(Kind.LEAK_LET_OUT));
    }

    /** What any readings say before they are judged. */
    private static void readings(LeakTest leak, LeakRecord record, double limit, boolean emptied, List<Step> steps) {
        List<Reading> readings = record.readings();
        if (emptied) {
            steps.add(Step.of(Kind.LEAK_EMPTIED));
        }
        double most = readings.stream().mapToDouble(Reading::gauge).max().orElse(0);
        if (most > limit * (1 + 1e-6) + SURE * record.gaugeError()) {
            steps.add(Step.of(Kind.LEAK_OVER).pressure("most", most).pressure("limit", limit));
        }
        Reading first = readings.get(0);
        Reading last = readings.get(readings.size() - 1);
        double shown = first.gauge() - last.gauge();
        double cooled = leak.cooled(first, last);
        if (Math.abs(cooled) > 0.1 * Math.abs(shown) && Math.abs(first.temperature() - last.temperature()) > 0.2) {
            steps.add(Step.of(Kind.LEAK_COOLED)
                    .pressure("shown", shown)
                    .pressure("cooled", cooled)
                    .plain("warmer", last.temperature() > first.temperature() ? 1 : 0));
        }
    }

    private record Charge(Answer answer, SteadyResult steady, LeakRecord record) {
        LeakPlan plan() {
            Joints joints = Joints.of(answer, steady.path());
            double outside = outside(answer.build(), record);
            double boost = steady.path().stations().stream()
                            .mapToDouble(s -> s.totalPressure())
                            .max()
                            .orElseThrow()
                    - answer.build().climate().ambient().pressure();
            if (boost < 1e3) {
                throw EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        "",
                        "boosted side",
                        "without boost",
                        "an option with boost at full load",
                        "Give it boost in the Brief; what has none cannot leak any.");
            }
            List<Joint> held = joints.all().stream()
                    .filter(j -> j.force() > 0 && j.seam().joining().coupling().isJoint())
                    .sorted(Comparator.comparingDouble(Charge::taken).reversed())
                    .toList();
            Optional<Joint> weakest = held.stream()
                    .filter(j -> bears(j) < Double.POSITIVE_INFINITY)
                    .min(Comparator.comparingDouble(Charge::bears));
            double ofJoint = weakest.map(Charge::bears).orElse(Double.POSITIVE_INFINITY);
            // What nobody rated is tried no harder than it will be driven.
            double limit = Math.min(record.rated().orElse(boost), ofJoint);
            double test = Math.min(boost, limit);
            LeakTest leak =
                    new LeakTest(record.volume().orElse(steady.path().filling().volume()), outside);
            List<Step> steps = new ArrayList<>();
            if (record.rated().isEmpty()) {
                steps.add(Step.of(Kind.LEAK_NO_RATING));
            }
            if (ofJoint <= limit) {
                weakest.ifPresent(j -> steps.add(Step.of(
                                Kind.LEAK_LIMIT_OF_JOINT,
                                j.seam().before(),
                                j.seam().behind())
                        .pressure("limit", limit)));
            } else {
                steps.add(Step.of(Kind.LEAK_LIMIT).pressure("limit", limit));
            }
            steps.add(Step.of(Kind.LEAK_REGULATOR).pressure("test", test));
            caps(joints, test, steps);
            steps.addAll(done(test));
            steps.add(falls(leak, test, boost));
            soap(held, steps);
            if (record.readings().size() > 1) {
                judge(leak, limit, boost, steps);
            }
            return LeakPlan.plan(leak, test, limit, steps);
        }

        private Step falls(LeakTest leak, double test, double boost) {
            double inside = steady.path().intakeTemperature();
            double still = answer.build().climate().temperature();
            return Step.of(Kind.LEAK_FALLS)
                    .pressure(
                            "good",
                            60
                                    * leak.fallOf(
                                            LeakTest.GOOD,
                                            test,
                                            still,
                                            boost,
                                            inside,
                                            steady.path().flow()))
                    .pressure(
                            "most",
                            60
                                    * leak.fallOf(
                                            LeakTest.ACCEPTABLE,
                                            test,
                                            still,
                                            boost,
                                            inside,
                                            steady.path().flow()));
        }

        /** Pa above outside that it bears at rest, with what pulses ask of it to spare. */
        private static double bears(Joint j) {
            double area = Math.PI / 4 * j.seam().pipe().size() * j.seam().pipe().size();
            return j.seam().joining().coupling().isHose()
                    ? j.seam().joining().holds() / (Joint.PULSES * area)
                    : Double.POSITIVE_INFINITY;
        }

        /** Share of its hold that the boost takes. */
        private static double taken(Joint j) {
            return j.gauge() / bears(j);
        }

        private void caps(Joints joints, double test, List<Step> steps) {
            List<Joint> boosted =
                    joints.all().stream().filter(j -> j.force() > 0).toList();
            for (Joint j : boosted) {
                boolean start = j.seam().end() == End.START;
                PathElement other = j.seam().other();
                if (start && other instanceof PathElement.Blower) {
                    cap(j, j.seam().before(), test, steps);
                } else if (!start && (other instanceof PathElement.Plenum || other instanceof PathElement.Throttle)) {
                    cap(j, j.seam().behind(), test, steps);
                }
            }
            for (Run run : answer.option().runs()) {
                run.fittings().stream()
                        .filter(f -> f.kind() == Fitting.Kind.RELIEF)
                        .findFirst()
                        .ifPresent(f -> steps.add(Step.of(Kind.LEAK_CAP_RELIEF, run.of())));
            }
        }

        private static void cap(Joint j, String at, double test, List<Step> steps) {
            double size = j.seam().pipe().size();
            double force = test * Math.PI / 4 * size * size;
            steps.add(Step.of(Kind.LEAK_CAP, at)
                    .with("size", size, Quantity.LENGTH)
                    .with("force", force, Quantity.FORCE));
            if (force > STRAPPED && steps.stream().noneMatch(s -> s.kind() == Kind.LEAK_GUARD)) {
                steps.add(Step.of(Kind.LEAK_GUARD));
            }
        }

        private static void soap(List<Joint> held, List<Step> steps) {
            List<Joint> first = new ArrayList<>(held);
            held.stream().filter(Charge::isOutlet).forEach(j -> {
                first.remove(j);
                first.add(0, j);
            });
            for (Joint j : first) {
                steps.add(Step.of(
                                Kind.LEAK_SOAP_JOINT,
                                j.seam().before(),
                                j.seam().behind())
                        .with("force", j.force(), Quantity.FORCE)
                        .plain("outlet", isOutlet(j) ? 1 : 0));
            }
            steps.add(Step.of(Kind.LEAK_SOAP_SEAMS));
        }

        private static boolean isOutlet(Joint j) {
            return j.seam().end() == End.START && j.seam().other() instanceof PathElement.Blower;
        }

        private void judge(LeakTest leak, double limit, double boost, List<Step> steps) {
            LeakTest.Result r = leak.result(
                    record.readings(),
                    record.gaugeError(),
                    boost,
                    steady.path().intakeTemperature(),
                    steady.path().flow());
            steps.add(Step.of(
                            switch (r.verdict()) {
                                case GOOD -> Kind.LEAK_GOOD;
                                case ACCEPTABLE -> Kind.LEAK_ACCEPTABLE;
                                case TOO_MUCH -> Kind.LEAK_TOO_MUCH;
                                case OPEN -> Kind.LEAK_OPEN;
                            })
                    .with("share", Math.max(r.share(), LEAST_TOLD), Quantity.SHARE)
                    .with("sd", Math.max(2 * r.sd(), LEAST_TOLD), Quantity.SHARE)
                    .plain("less", r.share() < LEAST_TOLD ? 1 : 0)
                    .with("fall", -60 * r.fall(), Quantity.PRESSURE)
                    .with("driving", r.driving(), Quantity.MASS));
            readings(leak, record, limit, r.emptied(), steps);
        }
    }

    private record Water(Answer answer, SteadyResult steady, LeakRecord record) {
        LeakPlan plan() {
            LoopResult loop = loop();
            double cap =
                    loop.spec().tank().map(TankSpec::cap).filter(c -> c > 0).orElse(OPEN_LOOP);
            double limit = Math.min(record.rated().orElse(cap), cap);
            double outside = outside(answer.build(), record);
            LeakTest leak = new LeakTest(record.volume().orElse(loop.spec().volume()), outside);
            List<Step> steps = new ArrayList<>();
            steps.add(Step.of(Kind.LEAK_LIMIT).pressure("limit", limit));
            steps.add(Step.of(Kind.LEAK_SCALD));
            steps.add(Step.of(Kind.LEAK_REGULATOR).pressure("test", limit));
            steps.add(Step.of(Kind.LEAK_CAP_LOOP, name(loop))
                    .plain(
                            "open",
                            loop.spec()
                                            .tank()
                                            .map(TankSpec::cap)
                                            .filter(c -> c > 0)
                                            .isPresent()
                                    ? 0
                                    : 1));
            steps.addAll(done(limit));
            loop.spec().pieces().stream()
                    .filter(LoopPiece.Pump.class::isInstance)
                    .forEach(p -> steps.add(Step.of(Kind.LEAK_SOAP_PUMP, p.name())));
            loop.spec().pieces().stream()
                    .filter(LoopPiece.Hose.class::isInstance)
                    .sorted(Comparator.comparingDouble(LoopPiece::bore).reversed())
                    .forEach(p -> steps.add(Step.of(Kind.LEAK_SOAP_HOSE, p.name())));
            steps.add(Step.of(Kind.LEAK_SOAP_SEAMS));
            if (record.readings().size() > 1) {
                LeakTest.WaterResult r = leak.water(record.readings(), record.gaugeError(), limit);
                steps.add(Step.of(
                                switch (r.verdict()) {
                                    case GOOD -> Kind.LEAK_WATER_GOOD;
                                    case ACCEPTABLE -> Kind.LEAK_WATER_ACCEPTABLE;
                                    case TOO_MUCH -> Kind.LEAK_WATER_TOO_MUCH;
                                    case OPEN -> Kind.LEAK_WATER_OPEN;
                                })
                        .plain("water", r.water() * 3600e6)
                        .plain("sd", 2 * r.sd() * 3600e6)
                        .with("fall", -60 * r.fall(), Quantity.PRESSURE));
                readings(leak, record, limit, r.emptied(), steps);
            }
            return LeakPlan.plan(leak, limit, limit, steps);
        }

        private LoopResult loop() {
            List<LoopResult> closed =
                    steady.loops().stream().filter(l -> !l.spec().isOpen()).toList();
            if (closed.isEmpty()) {
                throw EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        "",
                        "water side",
                        "without a closed loop",
                        "an option with a water core in a closed loop",
                        "Try the boosted side.");
            }
            if (record.loop().isEmpty()) {
                return closed.get(0);
            }
            String core = record.loop().get();
            return closed.stream()
                    .filter(l -> name(l).equals(core))
                    .findFirst()
                    .orElseThrow(() -> EnthalpaFault.of(
                            FaultKind.CONTRADICTION,
                            "",
                            "loop that is tried",
                            "that of " + core,
                            "that of "
                                    + String.join(
                                            " or ",
                                            closed.stream().map(Water::name).toList()),
                            "Choose one of them."));
        }

        private static String name(LoopResult loop) {
            return loop.slot().element().name();
        }
    }
}
