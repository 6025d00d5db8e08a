package io.enthalpa.core.trial;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fit.Bodies;
import io.enthalpa.core.fit.Laid;
import io.enthalpa.core.fit.Ovals;
import io.enthalpa.core.fit.Passable;
import io.enthalpa.core.fit.Pipework;
import io.enthalpa.core.route.Oval;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.router.Keepout;
import io.enthalpa.core.router.Ribbon;
import io.enthalpa.core.space.Gap;
import io.enthalpa.core.space.Solid;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A tube that is made flat, with the area it has, where a way that a thinner one would take is too tight for it. */
final class MadeFlat {
    /** Heights that are tried, of the tube, the roundest first; common practice, no source. */
    static final List<Double> HEIGHTS = List.of(0.85, 0.7, 0.6, Ovals.FLATTEST);
    /** m that the round tube keeps clear of a tight place to either side. */
    private static final double MORE = 10e-3;
    /** rad between two ways that a flat is turned. */
    private static final double TURN = Math.toRadians(5);
    /** m: what is farther off is not in the way. */
    private static final double FAR = 0.1;

    private MadeFlat() {}

    /** @return m, to a millimetre, no less than the flattest that is made */
    static List<Double> heights(Passable asked) {
        double outside = asked.pipe().outside();
        return HEIGHTS.stream()
                .map(share -> Math.ceil(share * outside * 1e3) / 1e3)
                .toList();
    }

    /**
     * @param with   the option with the pipe laid round, on the way of a thinner one
     * @param run    as it is laid there
     * @param height m
     * @return the same made flat where it is short; empty where no turn of the flats keeps its gaps. Where it cannot be flat the fit says so.
     */
    static Optional<Run> of(BuildOption with, Run run, Passable asked, double height) {
        return Pipework.of(with, Bodies.of(with))
                .laid(run.name())
                .flatMap(laid -> ovals(laid, asked.keepouts(), height))
                .map(run::withOvals);
    }

    private static Optional<List<Oval>> ovals(Laid laid, List<Keepout> keepouts, double height) {
        List<Oval> all = new ArrayList<>();
        List<Ribbon.Spot> ribbon = laid.ribbon(keepouts);
        int first = -1;
        for (int i = 0; i <= ribbon.size(); i++) {
            boolean isShort = i < ribbon.size() && ribbon.get(i).spare() < 0;
            if (isShort && first < 0) {
                first = i;
            } else if (!isShort && first >= 0) {
                double from = ribbon.get(Math.max(0, first - 1)).along() - MORE;
                double to = ribbon.get(Math.min(i, ribbon.size() - 1)).along() + MORE;
                Optional<Oval> turned = Ovals.over(laid, from, to, height).flatMap(o -> turned(laid, o, keepouts));
                if (turned.isEmpty()) {
                    return Optional.empty();
                }
                all.add(turned.get());
                first = -1;
            }
        }
        return Optional.of(all);
    }

    /** The turn that leaves most. */
    private static Optional<Oval> turned(Laid laid, Oval tight, List<Keepout> keepouts) {
        Optional<Oval> best = Optional.empty();
        double most = 0;
        for (double clock = 0; clock < Math.PI - TURN / 2; clock += TURN) {
            Oval other = new Oval(tight.along(), tight.length(), tight.height(), clock, false);
            double spare = spare(Ovals.alone(laid, other), keepouts);
            if (spare > most) {
                most = spare;
                best = Optional.of(other);
            }
        }
        return best;
    }

    private static double spare(Solid oval, List<Keepout> keepouts) {
        double least = FAR;
        for (Keepout k : keepouts) {
            double within = least;
            least = Math.min(least, k.spare(oval, within).map(Gap::value).orElse(within));
        }
        return least;
    }
}
