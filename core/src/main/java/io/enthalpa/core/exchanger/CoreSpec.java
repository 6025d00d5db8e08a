package io.enthalpa.core.exchanger;

/**
 * A charge cooler as chosen.
 *
 * @param construction as the maker calls it, "bar-and-plate"
 * @param size         of the finned block
 * @param basis        how it is known: rating card or geometry
 * @param arrangement  how charge and coolant meet
 * @param tanks        at both ends
 * @param inletTowards how the core is turned; changes nothing but the drawing and where water and air bubbles go
 */
public record CoreSpec(
        String construction,
        CoreSize size,
        CoreBasis basis,
        Effectiveness arrangement,
        EndTankSpec tanks,
        PortSide inletTowards) {
    /** @return m */
    public double portBore() {
        return tanks.portBore();
    }

    public Coolant coolant() {
        return basis.coolant();
    }

    public CoreSpec withSize(CoreSize other) {
        return new CoreSpec(construction, other, basis, arrangement, tanks, inletTowards);
    }

    public CoreSpec withBasis(CoreBasis other) {
        return new CoreSpec(construction, size, other, arrangement, tanks, inletTowards);
    }
}
