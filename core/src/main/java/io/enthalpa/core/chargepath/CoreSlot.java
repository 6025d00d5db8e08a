package io.enthalpa.core.chargepath;

import io.enthalpa.core.exchanger.ChargeCooler;

/**
 * A core where it stands in a path.
 *
 * @param pointer where in the option's document, "/path/3" or "/path/3/legs/0/path/1"
 * @param element as the user made it
 * @param cooler  ready to compute with
 */
public record CoreSlot(String pointer, PathElement.Core element, ChargeCooler cooler) {}
