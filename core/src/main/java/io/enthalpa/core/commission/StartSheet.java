package io.enthalpa.core.commission;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.chargepath.Station;
import io.enthalpa.core.commission.Step.Kind;
import io.enthalpa.core.fit.Body;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.fit.GapRow;
import io.enthalpa.core.joint.Joint;
import io.enthalpa.core.joint.Joints;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.steady.LoopResult;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.core.verdict.Verdict;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.TankSpec;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What is looked at before the first start, at idle, on the first drive and after it, from what was built; with what the model says will be read. */
public final class StartSheet {
    private static final int TIGHTEST = 6;
    private static final double NEAR = 25e-3;
    private static final double TOLD = 0.5e-3;
    /** K short of the timing line at which the first pull is broken off when it should have been colder. */
    private static final double TOO_WARM = 10;

    private final Answer answer;
    private final BuildOption option;
    private final SteadyResult steady;
    private final List<Step> steps = new ArrayList<>();

    private StartSheet(Build build, String letter) {
        this.answer = new Answer(build, letter);
        this.option = answer.option();
        this.steady = answer.steady();
    }

    /** @return in order */
    public static List<Step> of(Build build, String letter) {
        StartSheet sheet = new StartSheet(build, letter);
        sheet.cold();
        sheet.idle();
        sheet.drive();
        sheet.hot();
        return List.copyOf(sheet.steps);
    }

    private void cold() {
        answer.build().room().ifPresent(this::gaps);
        List<Joint> hoses = Joints.of(answer, steady.path()).all().stream()
                .filter(j -> j.seam().joining().coupling().isHose())
                .toList();
        if (!hoses.isEmpty()) {
            steps.add(Step.of(Kind.START_TORQUE).plain("clamps", 2 * hoses.size()));
        }
        int braces = option.runs().stream().mapToInt(r -> r.braces().size()).sum();
        if (braces > 0) {
            steps.add(Step.of(Kind.START_BRACE).plain("braces", braces));
        }
        steps.add(Step.of(Kind.START_CLEAN));
        if (option.airWays().stream().anyMatch(w -> w.fan().isPresent())) {
            steps.add(Step.of(Kind.START_FAN));
        }
        steps.add(Step.of(Kind.START_LEAK));
    }

    private void gaps(RoomSpec room) {
        Fit fit = Fit.of(option, room);
        List<GapRow> rows = fit.gaps().stream()
                .filter(g -> Math.min(g.still(), g.moved().orElse(g.still())) < NEAR)
                .sorted(Comparator.comparingDouble(GapRow::missing).reversed())
                .toList();
        rows.stream()
                .filter(g -> isBonnet(g, room))
                .findFirst()
                .ifPresent(g -> steps.add(gap(Kind.START_BONNET, g, fit)));
        rows.stream()
                .filter(g -> !isBonnet(g, room))
                .limit(TIGHTEST)
                .forEach(g -> steps.add(gap(
                        g.still() - g.moved().orElse(g.still()) > TOLD ? Kind.START_GAP_MOVES : Kind.START_GAP,
                        g,
                        fit)));
    }

    private static boolean isBonnet(GapRow gap, RoomSpec room) {
        return gap.obstacle().isPresent()
                && room.obstacles().get(gap.obstacle().getAsInt()).nature() == Nature.BONNET;
    }

    private static Step gap(Kind kind, GapRow gap, Fit fit) {
        Body body = fit.bodies().get(gap.body());
        return Step.of(kind, body.name(), gap.name())
                .with("still", Math.max(gap.still(), 0), Quantity.LENGTH)
                .with("moved", Math.max(gap.moved().orElse(gap.still()), 0), Quantity.LENGTH);
    }

    private void idle() {
        for (LoopResult loop : steady.loops()) {
            steps.add(Step.of(Kind.START_PUMP, loop.slot().element().name())
                    .with("flow", loop.flow().flow(), Quantity.VOLUME_FLOW));
            loop.spec()
                    .tank()
                    .map(TankSpec::ice)
                    .map(IceSpec::mass)
                    .filter(kg -> kg > 0)
                    .ifPresent(kg -> steps.add(Step.of(Kind.START_ICE).with("ice", kg, Quantity.MASS)));
        }
        if (!steady.loops().isEmpty()) {
            steps.add(Step.of(Kind.START_DRIP));
        }
        if (!Pieces.of(PathElement.Injection.class, option.path()).isEmpty()) {
            steps.add(Step.of(Kind.START_SPRAY));
        }
        steps.add(Step.of(Kind.START_LOG_IDLE));
    }

    private void drive() {
        Station end = steady.path().stations().get(steady.path().stations().size() - 1);
        double outside = answer.build().climate().ambient().pressure();
        Verdict verdict = answer.verdict(answer.soak());
        steps.add(Step.of(Kind.START_PULL)
                .with("worst", verdict.worst(), Quantity.TEMPERATURE)
                .with("target", answer.targets().intake(), Quantity.TEMPERATURE));
        Optional<Station> blown =
                steady.path().stations().stream().max(Comparator.comparingDouble(Station::totalPressure));
        steps.add(Step.of(Kind.START_BOOST)
                .pressure("blower", blown.orElse(end).totalPressure() - outside)
                .pressure("plenum", end.totalPressure() - outside));
        steps.add(
                Step.of(Kind.START_STOP).with("stop", answer.targets().timingPull() - TOO_WARM, Quantity.TEMPERATURE));
    }

    private void hot() {
        steps.add(Step.of(Kind.START_CLAMPS));
        Joints.of(answer, steady.path()).all().stream()
                .filter(j -> j.seam().joining().coupling().isJoint())
                .max(Comparator.comparingDouble(
                        j -> j.temperature() / j.seam().joining().most()))
                .ifPresent(j -> steps.add(Step.of(
                                Kind.START_HOT_JOINT,
                                j.seam().before(),
                                j.seam().behind())
                        .with("is", j.temperature(), Quantity.TEMPERATURE)
                        .with("most", j.seam().joining().most(), Quantity.TEMPERATURE)));
        steps.add(Step.of(Kind.START_CHAFE));
        if (!steady.loops().isEmpty()) {
            steps.add(Step.of(Kind.START_LEVEL));
        }
    }
}
