package io.enthalpa.core.commission;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.commission.Step.Kind;
import io.enthalpa.core.joint.Joint;
import io.enthalpa.core.joint.Joints;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.route.Coupling;
import io.enthalpa.core.route.JointsSpec.End;
import java.util.ArrayList;
import java.util.List;

/** What pushes at each joint of an option and what holds it, and which clamps are tightened again after the first heat. */
public final class JointSheet {
    private JointSheet() {}

    /** @return in the order of the path */
    public static List<Step> of(Build build, String letter) {
        List<Step> steps = new ArrayList<>();
        List<Step> again = new ArrayList<>();
        for (Joint j : Joints.of(build, letter).all()) {
            Coupling made = j.seam().joining().coupling();
            String before = j.seam().before();
            String behind = j.seam().behind();
            if (j.force() > 0
                    && j.seam().end() == End.START
                    && j.seam().other() instanceof PathElement.Blower
                    && made.isHose()) {
                steps.add(0, Step.of(Kind.JOINT_OUTLET, before, behind).with("force", j.force(), Quantity.FORCE));
            }
            steps.add(line(j, made, before, behind));
            if (made.isHose()) {
                again.add(Step.of(Kind.JOINT_RETIGHTEN, before, behind)
                        .with("hot", j.temperature(), Quantity.TEMPERATURE));
            }
        }
        steps.addAll(again);
        return steps;
    }

    private static Step line(Joint j, Coupling made, String before, String behind) {
        if (!made.isJoint()) {
            return Step.of(Kind.JOINT_WELDED, before, behind).with("force", j.force(), Quantity.FORCE);
        }
        if (!made.isHose()) {
            return Step.of(Kind.JOINT_LOCKED, before, behind).with("force", j.force(), Quantity.FORCE);
        }
        return Step.of(j.holds() ? Kind.JOINT_HELD : Kind.JOINT_SHORT, before, behind)
                .with("size", j.seam().pipe().size(), Quantity.LENGTH)
                .with("force", j.force(), Quantity.FORCE)
                .with("asked", Joint.PULSES * j.force(), Quantity.FORCE)
                .with("holds", j.seam().joining().holds(), Quantity.FORCE);
    }
}
