package io.enthalpa.core.exchanger;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;

/**
 * A core known by its geometry: layers of fins for the charge and for the coolant in turn, parted by plates (or tube walls).
 * The coolant has one layer more than the charge, so that every charge layer is cooled from both sides.
 *
 * @param construction   bar-and-plate or tube-and-fin
 * @param coolant        what takes the heat
 * @param charge         fins of a charge layer
 * @param cold           fins of a coolant layer
 * @param plate          m, thickness of a parting plate or tube wall
 * @param bar            m, width of the bars that close a layer at its sides
 * @param conductivity   W/(m K) of the metal
 * @param chargeFouling  m2 K/W on the charge side
 * @param coldFouling    m2 K/W on the coolant side
 */
public record FinnedBlock(
        Construction construction,
        Coolant coolant,
        FinSpec charge,
        FinSpec cold,
        double plate,
        double bar,
        double conductivity,
        double chargeFouling,
        double coldFouling)
        implements CoreBasis {
    /** Thermal conductivity of the usual brazing sheet, W/(m K); Incropera &amp; DeWitt table A.1 gives 168 to 190, from memory. */
    public static final double BRAZING_SHEET = 180;
    /** kg/m3, aluminium. */
    public static final double ALUMINIUM_DENSITY = 2700;

    /** How the layers are closed. */
    public enum Construction {
        BAR_AND_PLATE,
        TUBE_AND_FIN
    }

    /** @return m, from one charge layer to the next */
    public double step() {
        return charge.gap() + 2 * plate + cold.gap();
    }

    /**
     * @return charge layers that fit a height
     * @throws EnthalpaFault {@link FaultKind#CONTRADICTION} when none does, or the bars leave no passage
     */
    public int layers(CoreSize size) {
        int layers = (int) Math.floor((size.height() - cold.gap() - 2 * plate) / step() + 1e-9);
        if (layers < 1) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "height",
                    "core height",
                    mm(size.height()),
                    "at least one charge layer between two coolant layers, " + mm(step() + cold.gap() + 2 * plate),
                    "Make the core higher or the layers thinner.");
        }
        double narrow = Math.min(size.depth(), size.width()) - 2 * bar;
        if (narrow < 3 * Math.max(charge.pitch(), cold.pitch())) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "bar",
                    "bar width",
                    mm(bar),
                    "narrow enough to leave three fins, at most "
                            + mm((Math.min(size.depth(), size.width()) - 3 * Math.max(charge.pitch(), cold.pitch()))
                                    / 2),
                    "Make the bars narrower or the core deeper.");
        }
        return layers;
    }

    /** @param growth m2 K/W @return the same block with so much more on its cold side */
    FinnedBlock fouledBy(double growth) {
        return growth == 0
                ? this
                : new FinnedBlock(
                        construction,
                        coolant,
                        charge,
                        cold,
                        plate,
                        bar,
                        conductivity,
                        chargeFouling,
                        coldFouling + growth);
    }

    private static String mm(double m) {
        return "%.1f mm".formatted(m * 1000);
    }

    /** Refuses fins that cannot be made. */
    public FinnedBlock {
        charge.checked("chargeFin", "charge fin");
        cold.checked("coldFin", "cooling fin");
    }

    public FinnedBlock withCharge(FinSpec other) {
        return new FinnedBlock(
                construction, coolant, other, cold, plate, bar, conductivity, chargeFouling, coldFouling);
    }

    public FinnedBlock withCold(FinSpec other) {
        return new FinnedBlock(
                construction, coolant, charge, other, plate, bar, conductivity, chargeFouling, coldFouling);
    }
}
