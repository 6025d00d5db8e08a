package io.enthalpa.core.chargepath;

import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;

/** What takes the heat from a core. */
public sealed interface CoolingSide {
    /** Outside air through the core's face. */
    record Air(FaceAirSpec face) implements CoolingSide {}

    /** A water loop with a radiator. */
    record Water(WaterLoopSpec loop) implements CoolingSide {}
}
