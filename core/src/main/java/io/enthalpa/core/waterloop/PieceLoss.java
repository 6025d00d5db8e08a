package io.enthalpa.core.waterloop;

/**
 * What a piece of a loop does at the operating point.
 *
 * @param piece    the piece
 * @param loss     Pa it costs, its steps of bore included; of a pump what it adds, below 0
 * @param share    of all losses, 0 to 1; 0 for a pump
 * @param velocity m/s at its bore; 0 for a chamber
 * @param reynolds on its bore, or between the core's fins; 0 where it says nothing
 */
public record PieceLoss(LoopPiece piece, double loss, double share, double velocity, double reynolds) {
    /** Below this the flow of a liquid in a round pipe is laminar (Avila et al. 2011: onset near 2040). */
    public static final double LAMINAR = 2300;

    public boolean isLaminar() {
        return reynolds > 0 && reynolds < LAMINAR;
    }
}
