package io.enthalpa.core.chargepath;

import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;

/** What takes the heat from a core. */
public sealed interface CoolingSide {
    /** Outside air through the core's face. */
    record Air(FaceAirSpec face) implements CoolingSide {}

    /** A water loop of its own. */
    record Water(WaterLoopSpec loop) implements CoolingSide {}

    /**
     * The water loop of another core of the path.
     *
     * @param core  name of the core whose loop it is
     * @param place how the water comes to it
     */
    record Shared(String core, OnLoop place) implements CoolingSide {}

    /** Where a core stands on another's loop. */
    enum OnLoop {
        /** Beside the core before it: they part the water. */
        BESIDE,
        /** Behind all before it: it gets the whole of the water, warmed by them. */
        BEHIND
    }
}
