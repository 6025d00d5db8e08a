package io.enthalpa.core.exchanger;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;

/**
 * The fins of one layer.
 *
 * @param type       kind
 * @param gap        m between the plates: the height of the layer
 * @param pitch      m from fin to fin
 * @param thickness  m of the fin's sheet
 * @param interval   m: length of a strip of an offset fin, pitch of the louvres of a louvred one; ignored for plain fins
 * @param louvreAngle rad, of louvred fins; ignored for others
 */
public record FinSpec(FinType type, double gap, double pitch, double thickness, double interval, double louvreAngle) {
    public static FinSpec plain(double gap, double pitch, double thickness) {
        return new FinSpec(FinType.PLAIN, gap, pitch, thickness, 0, 0);
    }

    public static FinSpec offset(double gap, double pitch, double thickness, double stripLength) {
        return new FinSpec(FinType.OFFSET, gap, pitch, thickness, stripLength, 0);
    }

    public static FinSpec louvred(double gap, double pitch, double thickness, double louvrePitch, double angle) {
        return new FinSpec(FinType.LOUVRED, gap, pitch, thickness, louvrePitch, angle);
    }

    /** @return m, free width of a passage */
    public double passageWidth() {
        return pitch - thickness;
    }

    /** @return m, free height of a passage */
    public double passageHeight() {
        return gap - thickness;
    }

    /** @return m, four times free area over wetted edge; for offset fins with the strips' own edges (Manglik &amp; Bergles 1995) */
    public double hydraulicDiameter() {
        double s = passageWidth();
        double h = passageHeight();
        if (type == FinType.OFFSET) {
            double l = interval;
            return 4 * s * h * l / (2 * (s * l + h * l + thickness * h) + thickness * s);
        }
        return 2 * s * h / (s + h);
    }

    /** @return share of the layer's section that is open */
    public double openShare() {
        return passageWidth() * passageHeight() / (pitch * gap);
    }

    /** @return m2 of wetted surface in a layer for each m2 of its plan */
    public double areaPerPlan() {
        return 4 * openShare() * gap / hydraulicDiameter();
    }

    /** @return share of the wetted surface that is fin, not plate */
    public double finShare() {
        return passageHeight() / (passageWidth() + passageHeight());
    }

    /** @return m3 of fin metal in a layer for each m2 of its plan */
    public double metalPerPlan() {
        return gap * (1 - openShare());
    }

    /**
     * @param field where it stands, "chargeFin"
     * @param name  for the reader
     * @return this
     * @throws EnthalpaFault {@link FaultKind#CONTRADICTION} when it cannot be made
     */
    public FinSpec checked(String field, String name) {
        if (thickness >= 0.6 * pitch || thickness >= 0.6 * gap) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    field + "/thickness",
                    name + " thickness",
                    "%.2f mm".formatted(thickness * 1000),
                    "less than 0.6 times its pitch and its height, below %.2f mm".formatted(600 * Math.min(pitch, gap)),
                    "Sheet of 0.08 to 0.3 mm is usual; check that pitch is from fin to fin.");
        }
        return this;
    }

    /** @return the same fins, another distance apart, m */
    public FinSpec withPitch(double other) {
        return new FinSpec(type, gap, other, thickness, interval, louvreAngle);
    }
}
