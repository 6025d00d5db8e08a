package io.enthalpa.core.build;

import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.CoolingSide.OnLoop;
import io.enthalpa.core.chargepath.PathElement.Core;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.chargepath.Pieces.Placed;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.List;

/** Puts a core on another's water loop, and gives it one of its own again. */
public final class SharedLoops {
    private SharedLoops() {}

    /**
     * The core hangs on the other's loop from now on. Those that hung on its own go with it; what stood for it in a way of the air is
     * taken out. A core that air cooled becomes one like the other's: the water of a loop needs water passages.
     *
     * @param lead name of a core with a loop of its own
     * @throws EnthalpaFault {@link FaultKind#CONTRADICTION} when no other core of that name has one
     */
    public static BuildOption join(BuildOption option, Placed<Core> core, String lead, OnLoop place) {
        Core leader = Pieces.cores(option.path()).stream()
                .filter(c -> c.name().equals(lead)
                        && c.loop().isPresent()
                        && !c.name().equals(core.piece().name()))
                .findFirst()
                .orElseThrow(() -> EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        "with",
                        "on the loop of",
                        "\"" + lead + "\"",
                        "the name of another core that has a water loop of its own",
                        "Choose another."));
        BuildOption joined = option.with(
                core, c -> (c.isCooledByAir() ? like(leader, c) : c).withCooling(new CoolingSide.Shared(lead, place)));
        for (Placed<Core> other : Pieces.of(Core.class, option.path())) {
            if (other.piece().cooling() instanceof CoolingSide.Shared shared
                    && shared.core().equals(core.piece().name())) {
                joined = joined.with(other, c -> c.withCooling(new CoolingSide.Shared(lead, shared.place())));
            }
        }
        return joined.withWays(without(core.piece().name(), joined.airWays()));
    }

    private static Core like(Core leader, Core core) {
        CoreSpec spec = leader.spec();
        return core.withSpec(new CoreSpec(
                spec.construction(),
                spec.size(),
                spec.basis(),
                spec.arrangement(),
                core.spec().tanks(),
                core.spec().inletTowards()));
    }

    private static List<AirWaySpec> without(String core, List<AirWaySpec> ways) {
        return ways.stream()
                .map(way -> way.withLayers(way.layers().stream()
                        .filter(layer -> layer.isOther() || !layer.name().equals(core))
                        .toList()))
                .filter(way -> !way.layers().isEmpty())
                .toList();
    }

    /** @return with a loop for the core alone, as the one it hung on is */
    public static BuildOption own(BuildOption option, Placed<Core> core) {
        WaterLoopSpec loop = Pieces.loopOf(core.piece(), option.path())
                .orElseThrow(() -> EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        "with",
                        core.piece().name(),
                        "without water",
                        "on a water loop",
                        "Cool it by water first."));
        return option.with(core, c -> c.withCooling(new CoolingSide.Water(loop)));
    }
}
