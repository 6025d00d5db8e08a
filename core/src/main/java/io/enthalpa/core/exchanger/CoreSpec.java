package io.enthalpa.core.exchanger;

/**
 * A charge cooler as chosen.
 *
 * @param construction as the maker calls it, "bar-and-plate"
 * @param size         of the finned block
 * @param basis        how it is known: rating card or geometry
 * @param arrangement  how charge and coolant meet
 * @param tanks        at both ends
 * @param inletTowards how the core is turned: which way the tank with the inlet looks
 */
public record CoreSpec(
        String construction,
        CoreSize size,
        CoreBasis basis,
        Effectiveness arrangement,
        EndTankSpec tanks,
        PortSide inletTowards) {
    /** @return whether it is turned on end: the charge runs up or down */
    public boolean isOnEnd() {
        return inletTowards == PortSide.UP || inletTowards == PortSide.DOWN;
    }

    /** @return the finned block as it stands in the car: what runs along the charge is its height when it is turned on end */
    public CoreSize standing() {
        return isOnEnd() ? size.onEnd() : size;
    }

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
