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
        return inletTowards.isUpright();
    }

    /** @return the end of its tank that an inlet stands at where nothing else is said */
    public PortSide usualEnd() {
        return isOnEnd() ? PortSide.LEFT : PortSide.UP;
    }

    /** @return the end of its tank that the inlet stands at or, of two passes, whose half of it is the inlet's */
    public PortSide inletEnd() {
        return tanks.inlet().towards().orElse(usualEnd());
    }

    /** @return the same of the outlet: of two passes the other half */
    public PortSide outletEnd() {
        PortSide usual = inletEnd().opposite();
        return arrangement.isTwoPass() ? usual : tanks.outlet().towards().orElse(usual);
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

    /** @return the same core turned otherwise, quarter by quarter as one turns it in the hands: its ports and elbows turn with it */
    public CoreSpec turnedTo(PortSide side) {
        CoreSpec turned = this;
        while (turned.inletTowards != side) {
            EndTankSpec said = turned.tanks.withSeats(turned.said(true), turned.said(false));
            turned = new CoreSpec(
                    turned.construction,
                    turned.size,
                    turned.basis,
                    turned.arrangement,
                    said.clockwise(),
                    turned.inletTowards.clockwise());
        }
        return turned;
    }

    /** What stands at the usual end of its tank does not after a quarter: said, it turns with the core. Where no end counts none is said. */
    private PortSeat said(boolean inlet) {
        boolean two = arrangement.isTwoPass();
        PortSeat seat = inlet ? tanks.inlet() : tanks.outlet();
        boolean counts = inlet
                ? two || seat.place() != EndTankSpec.PortPlace.MIDDLE
                : !two && tanks.outlets() == 1 && seat.place() != EndTankSpec.PortPlace.MIDDLE;
        return counts ? seat.at(inlet ? inletEnd() : outletEnd()) : PortSeat.usual(seat.place());
    }

    /** @throws EnthalpaFault {@link FaultKind#CONTRADICTION} when a port is said to stand towards an end that its tank does not have */
    public CoreSpec checkedSeats() {
        checkSeat("portTowards", "inlet port's end", tanks.inlet());
        checkSeat("outletTowards", "outlet port's end", tanks.outlet());
        return this;
    }

    private void checkSeat(String field, String label, PortSeat seat) {
        if (seat.towards().filter(side -> side.isUpright() == isOnEnd()).isPresent()) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    field,
                    label,
                    seat.towards().get().name().toLowerCase(Locale.ROOT),
                    isOnEnd() ? "left or right, for the core stands on end" : "up or down, for the core lies level",
                    "Say one of the two, or leave it out.");
        }
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

    public CoreSpec withTanks(EndTankSpec other) {
        return new CoreSpec(construction, size, basis, arrangement, other, inletTowards);
    }

    public CoreSpec withBasis(CoreBasis other) {
        return new CoreSpec(construction, size, other, arrangement, tanks, inletTowards);
    }
}
