package io.enthalpa.core.coolingair;

import io.enthalpa.core.exchanger.CoreSize;

/**
 * One exchanger of a stack, front first.
 *
 * @param name   as the user calls it; of a core or radiator the name of the core it belongs to
 * @param kind   what it is
 * @param across m, of its middle from the middle of the opening, to the right
 * @param up     m, of its middle
 * @param gap    m of free air before it
 * @param other  what it does, for a condenser, engine radiator or oil cooler; null for a core or its radiator, which the build knows
 */
public record Layer(String name, Kind kind, double across, double up, double gap, OtherExchanger other) {

    /** What a layer is. */
    public enum Kind {
        CORE,
        RADIATOR,
        CONDENSER,
        ENGINE_RADIATOR,
        OIL_COOLER
    }

    /** @return the same place, taken by something of another kind */
    public Layer withKind(Kind other) {
        return new Layer(name, other, across, up, gap, this.other);
    }

    public boolean isOther() {
        return kind != Kind.CORE && kind != Kind.RADIATOR;
    }

    /** @param outside K @return W that it has to give; 0 for a core or radiator of the build, which is told */
    double asked(double outside, Working car) {
        return isOther() ? other.asked(kind, outside, car) : 0;
    }

    Rectangle outline(CoreSize size) {
        return Rectangle.centred(size.width(), size.height(), across, up);
    }
}
