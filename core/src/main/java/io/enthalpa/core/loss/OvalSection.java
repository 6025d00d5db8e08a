package io.enthalpa.core.loss;

import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.source.ValidityRange;

/**
 * A stretch of a pipe that is flat: two flats with half a round at either side, led over to the round at both ends.
 *
 * @param height m inside, from flat to flat
 * @param flat   m, how wide each flat is
 * @param length m that is flat all along
 * @param taper  m that leads over to the round, at either end
 */
public record OvalSection(double height, double flat, double length, double taper) {
    public static final Method METHOD = Method.of(
                    "oval",
                    "Oval stretch of a pipe",
                    "Two flats between two half rounds. Made with the area of the tube, the flats are pi/4 (D^2 - h^2) / h wide; pressed from the tube, whose girth "
                            + "stays as it is, pi (D - h) / 2, which takes area. It rubs as a round pipe of four areas over its girth does; where area is lost it closes and opens as a cone of the same areas.")
            .formula(
                    "d = 4 A / P, K = (A0/A)^2 (f L / d + K closing + K opening) on the velocity head of the tube, in place of f L / D")
            .range(new ValidityRange("height over bore", 0.45, 1, ""))
            .source(
                    Citation.fromMemory(
                            "White", 2011, "Fluid Mechanics, hydraulic diameter of ducts that are not round"),
                    DiameterChange.CRANE)
            .leavesOut(
                    "What the corners of an oval slow down besides: its friction is known to 10 % so; the change from round to flat itself where no area is lost; that the flats belly out under pressure.");

    /** @param bore m of the tube @param height m inside @return with the area of the tube */
    public static OvalSection ofEqualArea(double bore, double height, double length, double taper) {
        return new OvalSection(height, Math.PI / 4 * (bore * bore - height * height) / height, length, taper);
    }

    /** @param bore m of the tube @param height m inside @return with the girth of the tube */
    public static OvalSection pressed(double bore, double height, double length, double taper) {
        return new OvalSection(height, Math.PI / 2 * (bore - height), length, taper);
    }

    /** @return m2 */
    public double area() {
        return Math.PI / 4 * height * height + height * flat;
    }

    /** @return m, four areas over the girth */
    public double hydraulicDiameter() {
        return 4 * area() / (Math.PI * height + 2 * flat);
    }

    /** @return m along the pipe, from round to round */
    double reach() {
        return length + 2 * taper;
    }

    /** @return what it adds to the loss of the round pipe it is in, on the velocity head of that */
    public double added(double bore, double friction) {
        double round = Math.PI / 4 * bore * bore;
        double heads = round * round / (area() * area());
        double same = Math.sqrt(4 * area() / Math.PI);
        double angle = DiameterChange.includedAngle(bore, same, taper);
        boolean closes = same < bore * (1 - 1e-9);
        double ends = closes
                ? DiameterChange.coefficient(bore, same, angle) + DiameterChange.coefficient(same, bore, angle)
                : 0;
        return heads * (friction * reach() / hydraulicDiameter() + ends) - friction * reach() / bore;
    }

    /** m3 that it holds less than the round pipe; as much of a taper as of half its length. */
    double lost(double bore) {
        return (Math.PI / 4 * bore * bore - area()) * (length + taper);
    }
}
