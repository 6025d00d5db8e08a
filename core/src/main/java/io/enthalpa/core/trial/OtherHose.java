package io.enthalpa.core.trial;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.fit.Laid;
import io.enthalpa.core.fit.Passable;
import io.enthalpa.core.waterloop.HoseMake;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * An option with a hose of another make, where that bends tighter.
 *
 * @param by what is changed
 */
record OtherHose(Opening by, BuildOption option) {
    /** @return none for a pipe */
    static List<OtherHose> of(BuildOption option, Passable asked) {
        return asked.hose().stream()
                .flatMap(hose -> Stream.of(HoseMake.WIRED, HoseMake.MOULDED)
                        .filter(make -> hose.hose().made(make).leastRadius()
                                < hose.hose().leastRadius())
                        .map(make -> new OtherHose(by(make), made(option, asked, hose, make))))
                .toList();
    }

    private static Opening by(HoseMake make) {
        return make == HoseMake.WIRED ? Opening.WIRED : Opening.MOULDED;
    }

    private static BuildOption made(BuildOption option, Passable asked, Laid.Hose hose, HoseMake make) {
        return Pieces.of(PathElement.Core.class, option.path()).stream()
                .filter(core -> core.spot().equals(asked.spot()))
                .findFirst()
                .map(core -> option.withLoop(core, loop -> made(loop, hose, make)))
                .orElseThrow();
    }

    private static WaterLoopSpec made(WaterLoopSpec loop, Laid.Hose hose, HoseMake make) {
        List<LoopPiece> pieces = new ArrayList<>(loop.pieces());
        pieces.set(hose.piece(), hose.hose().made(make));
        return loop.withPieces(pieces);
    }
}
