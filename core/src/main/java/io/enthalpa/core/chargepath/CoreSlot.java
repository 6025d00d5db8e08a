package io.enthalpa.core.chargepath;

import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.place.Spot;

/**
 * A core where it stands in a path.
 *
 * @param spot    where it stands
 * @param element as the user made it
 * @param cooler  ready to compute with
 */
public record CoreSlot(Spot spot, PathElement.Core element, ChargeCooler cooler) {}
