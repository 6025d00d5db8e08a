package io.enthalpa.core.joint;

import io.enthalpa.core.fit.FitFinding;
import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.route.Bears;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A joint and what it has to bear.
 *
 * @param gauge       Pa above outside air, at full load
 * @param temperature K of the air in it, held at full load
 * @param moved       empty where its pipe is not laid, or stands on nothing that has a place
 */
public record Joint(Seam seam, double gauge, double temperature, Optional<Moved> moved) {
    public static final Method METHOD = Method.of(
                    "push-off",
                    "What pushes a joint off",
                    "Pressure times the area inside, half as much again for pulses and the throttle that shuts; a hose holds by its clamp and the bead under it: of what a "
                            + "T-bolt clamp on a bead holds, a worm drive 0.4 and one of constant tension 0.8, on a plain end a fifth.")
            .formula("F = p pi D^2 / 4, D the tube's outside or the hose's bore; asked 1.5 F")
            .source(Citation.commonPractice(
                    "what clamps hold; the outlet of the compressor is where it pops off first"))
            .leavesOut(
                    "What a brace takes of it; hose that is soft with heat; oil in the joint beyond a friction of 0.1.");
    /** Asked beyond the steady force; common practice, no source. */
    public static final double PULSES = 1.5;

    /** @return N that push it off, pulses not counted; 0 where it is drawn on */
    public double force() {
        double size = seam.pipe().size();
        return Math.max(0, gauge) * Math.PI / 4 * size * size;
    }

    /** @return whether all that moves is borne, as far as it is known */
    public boolean bears() {
        return over() <= 1;
    }

    public boolean holds() {
        return PULSES * force() <= seam.joining().holds();
    }

    public boolean isCool() {
        return !seam.joining().coupling().isJoint()
                || temperature <= seam.joining().most();
    }

    public boolean isSound() {
        return bears() && holds() && isCool();
    }

    /** @return over what it bears: 1 is all of it; 0 where it is not known */
    private double over() {
        return moved.map(m -> m.of(seam.joining().bears()).most()).orElse(0.0);
    }

    /** @return whether something is wrong with it that was not, or bears still less of what it did not bear */
    boolean isWorseThan(Joint before) {
        double little = 1e-6;
        return over() > Math.max(1, before.over() + little)
                || !holds() && before.holds()
                || !isCool() && before.isCool();
    }

    /** @return what is wrong with it */
    public List<FitFinding> findings() {
        List<FitFinding> all = new ArrayList<>();
        if (!bears()) {
            Moved m = moved.orElseThrow();
            Bears b = seam.joining().bears();
            boolean nothing = b.equals(Bears.NOTHING);
            all.add(finding(
                    nothing ? Kind.JOINT_STIFF : Kind.JOINT_MOVES,
                    new Figure("offset", m.offset(), Quantity.LENGTH),
                    new Figure("angle", m.angle(), Quantity.ANGLE),
                    new Figure("along", m.along(), Quantity.LENGTH),
                    new Figure("bearsOffset", b.offset(), Quantity.LENGTH),
                    new Figure("bearsAngle", b.angle(), Quantity.ANGLE),
                    new Figure("bearsAlong", b.slack(), Quantity.LENGTH)));
        }
        if (!holds()) {
            all.add(finding(
                    seam.joining().beaded() ? Kind.JOINT_PUSHED_OFF : Kind.JOINT_NO_BEAD,
                    new Figure("force", force(), Quantity.FORCE),
                    new Figure("asked", PULSES * force(), Quantity.FORCE),
                    new Figure("holds", seam.joining().holds(), Quantity.FORCE)));
        }
        if (!isCool()) {
            all.add(finding(
                    Kind.JOINT_HOT,
                    new Figure("is", temperature, Quantity.TEMPERATURE),
                    new Figure("most", seam.joining().most(), Quantity.TEMPERATURE)));
        }
        return all;
    }

    private FitFinding finding(Kind kind, Figure... figures) {
        return new FitFinding(kind, seam.before(), seam.behind(), List.of(figures));
    }
}
