package io.enthalpa.core.trial;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.Banks;
import io.enthalpa.core.chargepath.LegResult;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathElement.Balance;
import io.enthalpa.core.chargepath.PathElement.Parallel;
import io.enthalpa.core.chargepath.PieceResult;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.fit.FitFinding;
import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.steady.SteadyResult;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Two ways side by side, at full load: what they have of area and lose, and how alike two banks are filled, with a balance tube and without.
 *
 * @param pair where it stands
 */
public record PairsTold(Spot pair, List<FitFinding> says) {
    /** @return of each pair of the option; none where it has no answer */
    public static List<PairsTold> of(Build build, String letter) {
        Trials trials = new Trials(build, letter);
        BuildOption option = build.option(letter);
        Optional<SteadyResult> now = trials.steady(option);
        List<PairsTold> all = new ArrayList<>();
        for (Pieces.Placed<Parallel> pair : Pieces.of(Parallel.class, option.path())) {
            now.map(result -> told(pair, option, result, trials)).ifPresent(all::add);
        }
        return all;
    }

    private static PairsTold told(
            Pieces.Placed<Parallel> pair, BuildOption option, SteadyResult result, Trials trials) {
        int at = pair.spot().index();
        PieceResult piece = result.path().pieces().get(at);
        boolean banks = pair.piece().endsInBanks();
        List<FitFinding> says = new ArrayList<>();
        double one =
                at > 0 ? result.path().stations().get(at).bore() : pair.piece().mergedBore();
        LegResult first = piece.legs().get(0);
        LegResult second = piece.legs().get(1);
        // Two blowers that fill a bank each take the place of nothing, and blowers alone are no pipes.
        if ((at > 0 || !banks)
                && first.narrowest().isPresent()
                && second.narrowest().isPresent()) {
            double share = (square(first.narrowest().getAsDouble())
                            + square(second.narrowest().getAsDouble()))
                    / square(one);
            says.add(new FitFinding(
                    Kind.PAIR_AREA,
                    pair.piece().name(),
                    "",
                    List.of(new Figure("share", share, Quantity.SHARE), new Figure("bore", one, Quantity.LENGTH))));
        }
        says.add(new FitFinding(
                Kind.PAIR_WAYS,
                first.name(),
                second.name(),
                List.of(
                        new Figure("share", first.share(), Quantity.SHARE),
                        new Figure("first", first.loss(), Quantity.PRESSURE),
                        new Figure("second", second.loss(), Quantity.PRESSURE))));
        if (banks) {
            Banks now = Banks.of(piece);
            says.add(filled(now));
            if (pair.piece().balance().isPresent() || !now.alike()) {
                tube(pair, option, trials).ifPresent(says::add);
            }
        }
        return new PairsTold(pair.spot(), says);
    }

    private static double square(double bore) {
        return bore * bore;
    }

    private static FitFinding filled(Banks banks) {
        Kind even = banks.alike() ? Kind.BANKS_ALIKE : Kind.BANKS_EVEN;
        return new FitFinding(
                banks.uneven() ? Kind.BANKS_UNEVEN : even,
                banks.more(),
                banks.less(),
                List.of(
                        new Figure("off", banks.off(), Quantity.SHARE),
                        new Figure("apart", banks.apart(), Quantity.PRESSURE),
                        new Figure("warmer", banks.warmer(), Quantity.TEMPERATURE_DIFFERENCE)));
    }

    /** The other way about: with a tube where there is none, without where there is one. */
    private static Optional<FitFinding> tube(Pieces.Placed<Parallel> pair, BuildOption option, Trials trials) {
        Optional<Balance> has = pair.piece().balance();
        Balance tube = has.orElse(Balance.USUAL);
        Optional<Balance> other = has.isPresent() ? Optional.empty() : Optional.of(tube);
        List<PathElement> path = Pieces.with(pair.spot(), option.path(), p -> ((Parallel) p).withBalance(other));
        return trials.steady(option.withPath(path))
                .map(then -> new FitFinding(
                        has.isPresent() ? Kind.BANKS_TUBE_DOES : Kind.BANKS_TUBE_WOULD,
                        pair.piece().name(),
                        "",
                        List.of(
                                new Figure("bore", tube.bore(), Quantity.LENGTH),
                                new Figure("length", tube.length(), Quantity.LENGTH),
                                new Figure(
                                        "off",
                                        Banks.of(then.path()
                                                        .pieces()
                                                        .get(pair.spot().index()))
                                                .off(),
                                        Quantity.SHARE))));
    }
}
