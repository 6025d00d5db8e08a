package io.enthalpa.core.fit;

import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.mount.Held;
import io.enthalpa.core.mount.Mounting;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.room.Mount;
import java.util.ArrayList;
import java.util.List;

/** What is found of how a body is held. */
final class MountFindings {
    /** Rubber keeps away what comes at more than that times its own frequency. */
    private static final double ISOLATES = Math.sqrt(2);

    private final String body;
    private final List<FitFinding> found = new ArrayList<>();

    private MountFindings(String body) {
        this.body = body;
    }

    static List<FitFinding> of(Body body, Mounting mounting, double firing) {
        MountFindings findings = new MountFindings(body.name());
        mounting.held().forEach(findings::point);
        findings.whole(body, mounting, firing);
        return findings.found;
    }

    private void say(Kind kind, String of, String to, Figure... figures) {
        found.add(new FitFinding(kind, of, to, List.of(figures)));
    }

    private void point(Held held) {
        String name = FitFinding.named(held.mount().name(), body);
        if (held.reach() < 0) {
            say(Kind.MOUNT_INSIDE, name, body, new Figure("depth", -held.reach(), Quantity.LENGTH));
        }
        if (held.isOutOfReach()) {
            say(
                    Kind.MOUNT_REACH,
                    name,
                    body,
                    new Figure("reach", held.reach(), Quantity.LENGTH),
                    new Figure("most", Held.LUG, Quantity.LENGTH));
        }
        if (held.used() > 1) {
            say(
                    Kind.MOUNT_STRAP,
                    name,
                    "",
                    new Figure("stress", held.stress(), Quantity.STRESS),
                    new Figure("most", held.stress() / held.used(), Quantity.STRESS),
                    new Figure("length", held.reach(), Quantity.LENGTH));
        }
        if (held.isOverloaded()) {
            say(
                    Kind.MOUNT_BOBBIN,
                    name,
                    "",
                    new Figure("load", held.standing(), Quantity.FORCE),
                    new Figure("most", ((Mount.Bobbin) held.mount().hold()).load(), Quantity.FORCE));
        }
    }

    private void whole(Body own, Mounting m, double firing) {
        if (m.free() > 0) {
            say(Kind.MOUNT_SWINGS, body, "", Figure.plain("points", m.held().size()));
        }
        m.twice().ifPresent(c -> say(Kind.MOUNT_TWICE, body, c.one() + " and " + c.other()));
        if (m.elsewhere()) {
            say(Kind.MOUNT_ELSEWHERE, body, own.stand().carrier());
        }
        if (m.soft() && m.free() == 0 && m.frequency() * ISOLATES > firing) {
            say(
                    Kind.MOUNT_SHAKEN,
                    body,
                    "",
                    new Figure("own", m.frequency(), Quantity.FREQUENCY),
                    new Figure("idle", firing, Quantity.FREQUENCY),
                    new Figure("most", firing / ISOLATES, Quantity.FREQUENCY));
        }
        if (m.growth() > m.play()) {
            say(
                    Kind.MOUNT_GROWS,
                    body,
                    "",
                    new Figure("growth", m.growth(), Quantity.LENGTH),
                    new Figure("play", m.play(), Quantity.LENGTH));
        }
        m.shared().ifPresent(c -> say(Kind.MOUNT_SHARED, FitFinding.named(c.one(), body), c.other()));
    }
}
