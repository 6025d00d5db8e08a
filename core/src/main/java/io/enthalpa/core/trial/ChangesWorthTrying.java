package io.enthalpa.core.trial;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.sizing.CoolingMethod;
import io.enthalpa.core.sizing.MethodSizing;
import io.enthalpa.core.sizing.Proposal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Tries single changes to an option, each through the whole duty, and keeps those that help. */
public final class ChangesWorthTrying {
    private static final int MOST_SIZES = 2;

    private ChangesWorthTrying() {}

    /** @return the best first; none when the option itself has no answer */
    public static List<Change> of(Build build, String letter) {
        BuildOption option = build.option(letter);
        Trials trials = new Trials(build, letter);
        if (trials.now().isEmpty()) {
            return List.of();
        }
        List<Change> found = new ArrayList<>(trials.of(Candidates.of(option)));
        found.removeIf(change -> !change.helps());
        if (Pieces.cores(option.path()).isEmpty()) {
            cooler(build, letter, trials.now().get()).ifPresent(found::add);
        }
        found.sort(Comparator.comparingDouble(Change::rank));
        return varied(found);
    }

    /** Three sizes of one core would hide whatever else helps. */
    private static List<Change> varied(List<Change> ranked) {
        List<Change> kept = new ArrayList<>();
        for (Change change : ranked) {
            long sizes = kept.stream()
                    .filter(k ->
                            k.what() == What.CORE_SIZE && change.what() == What.CORE_SIZE && k.of().equals(change.of()))
                    .count();
            if (sizes < MOST_SIZES) {
                kept.add(change);
            }
        }
        return kept;
    }

    /** Where nothing cools the charge, the first thing to try is a core: air to air, as large as the target wants. */
    private static Optional<Change> cooler(Build build, String letter, Trials.Numbers now) {
        try {
            Proposal proposal = new MethodSizing(build, letter).propose(CoolingMethod.AIR);
            double keeps = Double.isNaN(proposal.verdict().firstOverTarget())
                    ? build.duty().length()
                    : proposal.verdict().firstOverTarget();
            String core = Pieces.cores(proposal.option().path()).get(0).name();
            return Optional.of(now.to(
                    new Candidate(What.COOLER, core, proposal.option()),
                    new Trials.Numbers(proposal.verdict().worst(), proposal.loss(), keeps)));
        } catch (EnthalpaFault noAnswer) {
            return Optional.empty();
        }
    }
}
