package io.enthalpa.core.build;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.uncertainty.Calibration;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * A log that the build was fitted to.
 *
 * @param to the option that was fitted, as it is in the build
 */
public record Fitted(Calibration calibration, BuildOption to) {
    /** @return what of it holds for an option: what goes with a part holds where the part is the same */
    public Calibration of(BuildOption option) {
        boolean itself = option.letter().equals(to.letter());
        boolean core = itself || same(option, PathElement.Core::spec);
        boolean water = itself || same(option, PathElement.Core::loop);
        boolean air = itself || option.airWays().equals(to.airWays()) && same(option, Fitted::face);
        return calibration.only(concerns -> switch (concerns) {
            case BUILD -> true;
            case CORE -> core;
            case WATER -> water;
            case AIR -> air;
            case DAY -> false;
        });
    }

    private boolean same(BuildOption option, Function<PathElement.Core, ?> part) {
        return parts(option, part).equals(parts(to, part));
    }

    private static List<?> parts(BuildOption option, Function<PathElement.Core, ?> part) {
        return Pieces.cores(option.path()).stream().map(part).toList();
    }

    private static Optional<?> face(PathElement.Core core) {
        return core.isCooledByAir()
                ? Optional.of(core.cooling())
                : core.loop().flatMap(l -> l.radiator()).map(r -> r.air());
    }
}
