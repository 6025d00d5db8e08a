package io.enthalpa.core.waterloop;

import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.exchanger.CoreSize;

/**
 * A low-temperature radiator as chosen.
 *
 * @param size  of the finned block
 * @param basis how it is known
 * @param air   that meets it when it stands in no way of the air
 */
public record RadiatorSpec(CoreSize size, RadiatorBasis basis, FaceAirSpec air) {}
