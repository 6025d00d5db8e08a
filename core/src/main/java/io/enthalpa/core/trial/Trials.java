package io.enthalpa.core.trial;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fit.AirSeen;
import io.enthalpa.core.fit.Pipework;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.core.verdict.Verdict;
import java.util.List;
import java.util.Optional;

/**
 * Other options of one build beside the one that stands there. Runs take longer steps than an answer does, the one that stands there as
 * well: each step relaxes exactly, so that the difference hardly moves, and the answer is there while it is wanted.
 */
final class Trials {
    private static final double STEPS_WANTED = 2_000;
    private static final double MOST_COARSE = 20;

    private final Build build;
    private final String letter;
    private final BuildOption option;
    private Optional<Numbers> now;

    Trials(Build build, String letter) {
        this.build = build;
        this.letter = letter;
        this.option = build.option(letter);
    }

    /**
     * @param worst intake under load over the duty, K
     * @param loss  Pa at full load
     * @param keeps s until the target is passed; the whole duty when it never is
     */
    record Numbers(double worst, double loss, double keeps) {
        Change to(Candidate made, Numbers then) {
            return new Change(
                    made.what(), made.of(), made.option(), then.worst - worst, then.loss - loss, then.keeps - keeps);
        }
    }

    /** @return of the option as it stands; empty when it has no answer */
    Optional<Numbers> now() {
        if (now == null) {
            now = numbers(option);
        }
        return now;
    }

    /** @return what each does, those without an answer left out, in the same order */
    List<Change> of(List<Candidate> candidates) {
        return now().map(start -> candidates.parallelStream()
                        .flatMap(c -> numbers(c.option()).map(then -> start.to(c, then)).stream())
                        .toList())
                .orElse(List.of());
    }

    /** @return at full load; empty when there is no answer */
    Optional<SteadyResult> steady(BuildOption option) {
        try {
            return Optional.of(answer(option).steady());
        } catch (EnthalpaFault noAnswer) {
            return Optional.empty();
        }
    }

    /** @return why an option has no answer at full load, or over the duty where it has none there */
    Optional<EnthalpaFault> refusal(BuildOption option) {
        try {
            Answer answer = answer(option);
            answer.steady();
            answer.soak(coarser(answer));
            return Optional.empty();
        } catch (EnthalpaFault noAnswer) {
            return Optional.of(noAnswer);
        }
    }

    /** @return the same in a room in which something stands elsewhere; what it starts from is as it was */
    Trials in(RoomSpec other) {
        Trials there = new Trials(build.withRoom(other), letter);
        there.now = now();
        return there;
    }

    /** Another core, or something moved, leaves the cooling air another way in and out, and its pipes other lengths. */
    private Answer answer(BuildOption option) {
        BuildOption laid = Pipework.applied(option);
        BuildOption seen = build.room().map(room -> AirSeen.of(laid, room)).orElse(laid);
        return new Answer(build.withOptions(List.of(seen)), letter);
    }

    private Optional<Numbers> numbers(BuildOption option) {
        try {
            Answer answer = answer(option);
            Verdict verdict = answer.verdict(answer.soak(coarser(answer)));
            double keeps =
                    Double.isNaN(verdict.firstOverTarget()) ? answer.duty().length() : verdict.firstOverTarget();
            double loss = answer.steady().path().totalLoss();
            return Double.isFinite(verdict.worst())
                    ? Optional.of(new Numbers(verdict.worst(), loss, keeps))
                    : Optional.empty();
        } catch (EnthalpaFault noAnswer) {
            return Optional.empty();
        }
    }

    private static double coarser(Answer answer) {
        double steps = answer.duty().repeats() * answer.duty().runLength() / EnduranceRun.stepFor(answer.duty());
        return Math.max(1, Math.min(MOST_COARSE, steps / STEPS_WANTED));
    }
}
