package io.enthalpa.core.exchanger;

/** How a core is known: by measured points, or by its geometry. */
public sealed interface CoreBasis permits RatingCard, FinnedBlock {
    Coolant coolant();
}
