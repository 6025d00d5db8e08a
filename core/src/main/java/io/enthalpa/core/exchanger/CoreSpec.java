package io.enthalpa.core.exchanger;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import java.util.Locale;

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

    /** @return the same core turned otherwise, quarter by quarter as one turns it in the hands: its elbows turn with it */
    public CoreSpec turnedTo(PortSide side) {
        CoreSpec turned = this;
        while (turned.inletTowards != side) {
            turned = new CoreSpec(
                    turned.construction,
                    turned.size,
                    turned.basis,
                    turned.arrangement,
                    turned.tanks.clockwise(),
                    switch (turned.inletTowards) {
                        case RIGHT -> PortSide.DOWN;
                        case DOWN -> PortSide.LEFT;
                        case LEFT -> PortSide.UP;
                        case UP -> PortSide.RIGHT;
                    });
        }
        return turned;
    }

    /** @throws EnthalpaFault {@link FaultKind#CONTRADICTION} when an elbow turns its port the way it looks anyhow, or back into its tank */
    public CoreSpec checkedElbows() {
        for (CorePorts.Port port : new CorePorts(this).all()) {
            if (port.elbow().isPresent()
                    && Math.abs(port.elbow().get().towards().vector().dotProduct(port.out())) > 0.5) {
                boolean inlet = port.role().equals("inlet");
                throw EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        inlet ? "inletTurn" : "outletTurn",
                        port.role() + " elbow",
                        port.elbow().get().towards().name().toLowerCase(Locale.ROOT),
                        "square to the way the port looks",
                        "Turn it another way, or take the elbow off.");
            }
        }
        return this;
    }

    public CoreSpec withSize(CoreSize other) {
        return new CoreSpec(construction, other, basis, arrangement, tanks, inletTowards);
    }

    public CoreSpec withBasis(CoreBasis other) {
        return new CoreSpec(construction, size, other, arrangement, tanks, inletTowards);
    }
}
