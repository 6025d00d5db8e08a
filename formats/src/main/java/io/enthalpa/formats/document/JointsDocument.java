package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.C;
import static io.enthalpa.formats.document.Suffix.DEG;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.N;

import io.enthalpa.core.route.Bears;
import io.enthalpa.core.route.Clamp;
import io.enthalpa.core.route.Coupling;
import io.enthalpa.core.route.Joining;
import io.enthalpa.core.route.JointsSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

@Part(
        value = "joints",
        says =
                "how the pipes of the option are joined; straight silicone, T-bolt clamps and beads where nothing is said")
record JointsDocument(
        Coupling coupling,
        Clamp clamp,
        @Nullable Boolean plain,

        @Figure(
                label = "a T-bolt clamp on a bead holds",
                min = 100,
                max = 20000,
                usual = Joining.HOLD,
                help =
                        "M6 at 5 N m, oily: 2 pi times 4.2 kN at a friction of 0.1; worm drive 0.4 and constant tension 0.8 of it, on a plain end a fifth; common practice, no source")
        @Nullable
        Double hold_N,

        @Figure(
                label = "a joint bears across",
                min = 0,
                max = 50,
                usual = 2,
                help = "on the maker's sheet; straight hose 2, hump 6, quick joint 1.5 mm; common practice, no source")
        @Nullable
        Double across_mm,

        @Figure(
                label = "a joint bears along",
                min = 0,
                max = 50,
                usual = 3,
                help = "on the maker's sheet; straight hose 3, hump 8, quick joint 2 mm; common practice, no source")
        @Nullable
        Double along_mm,

        @Figure(
                label = "a joint bends by",
                min = 0,
                max = 30,
                usual = 2,
                help =
                        "on the maker's sheet; straight hose 2, hump 6, quick joint 3 degrees; common practice, no source")
        @Nullable
        Double bend_deg,

        @Figure(
                label = "a joint lasts up to",
                min = 60,
                max = 900,
                usual = 177,
                help =
                        "air in it for long; silicone 177 (350 °F), lined with fluorosilicone as its sheet says, seals of fluorine rubber 200 °C; common practice, no source")
        @Nullable
        Double most_C,

        @Called(value = "joint of its own", alone = true, most = 120) @Nullable
        List<OtherJoint> others) {
    @Part(value = "joints/other", says = "a joint that is made otherwise than most")
    record OtherJoint(
            String of,
            JointsSpec.End end,
            Coupling coupling,
            Clamp clamp,
            @Nullable Boolean plain,
            @Nullable String id) {
        JointsSpec.Other core(Joining usual) {
            Joining made = usual.as(coupling);
            return new JointsSpec.Other(
                    of,
                    end,
                    new Joining(coupling, clamp, !Boolean.TRUE.equals(plain), made.hold(), made.own(), made.hottest()));
        }

        static OtherJoint of(JointsSpec.Other o) {
            Joining j = o.joining();
            return new OtherJoint(o.of(), o.end(), j.coupling(), j.clamp(), j.beaded() ? null : true, null);
        }
    }

    JointsSpec core() {
        Bears usual = coupling.bears();
        boolean own = across_mm != null || along_mm != null || bend_deg != null;
        Joining all = new Joining(
                coupling,
                clamp,
                !Boolean.TRUE.equals(plain),
                N.si(hold_N).orElse(Joining.HOLD),
                own
                        ? Optional.of(new Bears(
                                MM.si(across_mm).orElse(usual.offset()),
                                DEG.si(bend_deg).orElse(usual.angle()),
                                MM.si(along_mm).orElse(usual.slack())))
                        : Optional.empty(),
                C.si(most_C));
        List<JointsSpec.Other> otherwise = new ArrayList<>();
        for (int i = 0; others != null && i < others.size(); i++) {
            otherwise.add(others.get(i).core(all));
        }
        return new JointsSpec(all, otherwise);
    }

    static @Nullable JointsDocument of(JointsSpec spec) {
        if (spec.equals(JointsSpec.USUAL)) {
            return null;
        }
        Joining j = spec.usual();
        return new JointsDocument(
                j.coupling(),
                j.clamp(),
                j.beaded() ? null : true,
                j.hold() == Joining.HOLD ? null : Double.valueOf(N.of(j.hold())),
                j.own().map(b -> MM.of(b.offset())).orElse(null),
                j.own().map(b -> MM.of(b.slack())).orElse(null),
                j.own().map(b -> DEG.of(b.angle())).orElse(null),
                C.of(j.hottest()),
                spec.others().isEmpty()
                        ? null
                        : spec.others().stream().map(OtherJoint::of).toList());
    }
}
