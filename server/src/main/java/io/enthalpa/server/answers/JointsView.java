package io.enthalpa.server.answers;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.joint.Held;
import io.enthalpa.core.joint.Joint;
import io.enthalpa.core.joint.Joints;
import io.enthalpa.core.joint.Moved;
import io.enthalpa.core.joint.School;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.route.Bears;
import io.enthalpa.core.route.Coupling;
import io.enthalpa.core.route.Joining;
import io.enthalpa.formats.BuildFile;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/** Where the pipes of an option are joined, how its laid pipes are held, and what each school takes. */
public record JointsView(UsualView usual, List<JointView> joints, List<HeldPipeView> held, List<SchoolView> schools) {
    /** @param across_mm to either side */
    public record JointMovedView(double across_mm, double along_mm, double bend_deg) {
        static JointMovedView of(Moved m) {
            return new JointMovedView(FitView.mm(m.offset()), FitView.mm(m.along()), Math.toDegrees(m.angle()));
        }

        static JointMovedView of(Bears b) {
            return new JointMovedView(FitView.mm(b.offset()), FitView.mm(b.slack()), Math.toDegrees(b.angle()));
        }
    }

    /** Which of what it moves by is more than it bears. */
    public record JointOverView(boolean across, boolean along, boolean bend) {
        static JointOverView of(Moved.Used used) {
            return new JointOverView(used.across() > 1, used.along() > 1, used.bend() > 1);
        }
    }

    /** How all are made that are not said to be otherwise. */
    public record UsualView(String coupling, String clamp, boolean beaded) {
        static UsualView of(Joining made) {
            return new UsualView(BuildFile.word(made.coupling()), BuildFile.word(made.clamp()), made.beaded());
        }
    }

    /** A body hung elsewhere. @param place "/stands/0" */
    public record HungView(String place, String of, String carrier) {}

    /**
     * What of an option is other.
     *
     * @param joints as a build file says them; empty for the usual
     */
    public record JoinedView(@Nullable JsonNode joints, List<HungView> hung) {
        static JoinedView of(BuildOption was, BuildOption is) {
            List<HungView> hung = new ArrayList<>();
            for (int i = 0; i < is.stands().size(); i++) {
                Stand stand = is.stands().get(i);
                if (!stand.carrier().equals(was.stands().get(i).carrier())) {
                    hung.add(new HungView("/stands/" + i, stand.of(), stand.carrier()));
                }
            }
            return new JoinedView(BuildFile.tree(is).get("joints"), hung);
        }
    }

    public record JointMendView(Joints.Mend by, JoinedView joined) {}

    /**
     * @param of      name of the pipe at whose end it is
     * @param own     whether it is made otherwise than is usual of the option
     * @param moved   empty where it is not known
     * @param force_N that pushes it off
     * @param holds_N empty where it is locked
     */
    public record JointView(
            String of,
            String end,
            String before,
            String behind,
            String coupling,
            String clamp,
            boolean beaded,
            boolean own,
            double size_mm,
            @Nullable JointMovedView moved,
            JointMovedView bears,
            @Nullable JointOverView over,
            double force_N,
            double asked_N,
            @Nullable Double holds_N,
            double temperature_C,
            double most_C,
            boolean carries,
            boolean sound,
            List<FitView.FitFindingView> findings,
            @Nullable JointMendView mend) {}

    /** @param brace_mm where one in the middle of the free length would be */
    public record HeldPipeView(
            String place,
            String of,
            String hangs,
            @Nullable Double free_mm,
            @Nullable Double rings_Hz,
            @Nullable Double brace_mm,
            boolean rings,
            List<FitView.FitFindingView> findings) {}

    /**
     * @param unsound joints, "blower to hot pipe"
     * @param tight   gaps that are less than asked; empty where the room is not measured
     */
    public record SchoolView(
            School.Matter matter,
            String choice,
            boolean now,
            int welds,
            int joints,
            double mass_kg,
            double hours,
            double price,
            List<String> unsound,
            @Nullable Integer tight,
            JoinedView joined) {}

    /** @return of no joints where full load has no answer */
    static JointsView ifThere(Build build, String letter) {
        try {
            return of(build, letter);
        } catch (EnthalpaFault noAnswer) {
            UsualView usual = UsualView.of(build.option(letter).joints().usual());
            return new JointsView(usual, List.of(), List.of(), List.of());
        }
    }

    public static JointsView of(Build build, String letter) {
        Joints joints = Joints.of(build, letter);
        BuildOption option = build.option(letter);
        return new JointsView(
                UsualView.of(option.joints().usual()),
                IntStream.range(0, joints.all().size())
                        .mapToObj(i -> joint(i, joints, option))
                        .toList(),
                joints.held().stream().map(p -> held(p, build.engine())).toList(),
                School.of(joints, build.room()).stream()
                        .map(s -> school(s, option))
                        .toList());
    }

    private static JointView joint(int number, Joints joints, BuildOption option) {
        Joint joint = joints.all().get(number);
        Joining made = joint.seam().joining();
        return new JointView(
                joint.seam().pipe().name(),
                BuildFile.word(joint.seam().end()),
                joint.seam().before(),
                joint.seam().behind(),
                BuildFile.word(made.coupling()),
                BuildFile.word(made.clamp()),
                made.beaded(),
                !made.equals(option.joints().usual()),
                FitView.mm(joint.seam().pipe().size()),
                joint.moved().map(JointMovedView::of).orElse(null),
                JointMovedView.of(made.bears()),
                joint.moved().map(m -> JointOverView.of(m.of(made.bears()))).orElse(null),
                joint.force(),
                joint.force() * Joint.PULSES,
                Double.isInfinite(made.holds()) ? null : Double.valueOf(made.holds()),
                joint.temperature() - 273.15,
                made.most() - 273.15,
                made.coupling().isHose(),
                joint.isSound(),
                joint.findings().stream().map(FitView.FitFindingView::of).toList(),
                joint.isSound()
                        ? null
                        : joints.mend(number)
                                .map(m -> new JointMendView(m.by(), JoinedView.of(option, m.option())))
                                .orElse(null));
    }

    private static HeldPipeView held(Joints.Pipe pipe, EngineSpec engine) {
        return new HeldPipeView(
                "/runs/" + pipe.number(),
                pipe.of(),
                pipe.hangs(),
                pipe.longest().map(h -> FitView.mm(h.to() - h.from())).orElse(null),
                pipe.longest().map(Held::rings).orElse(null),
                pipe.longest().map(h -> Math.rint(500 * (h.to() + h.from()))).orElse(null),
                pipe.longest().filter(h -> h.rings(engine)).isPresent(),
                Joints.findings(pipe, engine).stream()
                        .map(FitView.FitFindingView::of)
                        .toList());
    }

    private static String choice(School s) {
        return switch (s.matter()) {
            case JOINTS -> BuildFile.word(Coupling.valueOf(s.choice()));
            case METAL -> BuildFile.word(PipeMaterial.valueOf(s.choice()));
            case CARRYING -> s.choice();
        };
    }

    private static SchoolView school(School s, BuildOption option) {
        return new SchoolView(
                s.matter(),
                choice(s),
                s.now(),
                s.making().welds(),
                s.making().joints(),
                s.making().mass(),
                s.making().hours(),
                s.making().price(),
                s.unsound().stream()
                        .map(j -> j.seam().before() + " to " + j.seam().behind())
                        .toList(),
                s.tight().isPresent() ? Integer.valueOf(s.tight().getAsInt()) : null,
                JoinedView.of(option, s.option()));
    }
}
