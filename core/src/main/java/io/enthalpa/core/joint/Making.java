package io.enthalpa.core.joint;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.route.Coupling;
import io.enthalpa.core.router.Taste;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;

/**
 * What an option's pipes and joints take to make.
 *
 * @param welds  round seams
 * @param joints that come apart
 * @param mass   kg of pipes and joints
 * @param hours  to cut, weld, bead and fit
 * @param price  in the currency of the catalogue
 */
public record Making(int welds, int joints, double mass, double hours, double price) {
    public static final Method METHOD = Method.of(
                    "making-pipes",
                    "What pipes and joints take to make",
                    "Each bend is welded in at both its ends; each joint has its own seams, parts and time. Tube is bought by the metre, a bend as half a metre of it up to 45 degrees, "
                            + "three quarters up to 90 and one and a half beyond. Prices are invented and plausible, as those of the built-in catalogue: for comparing, not for an offer.")
            .formula(
                    "63.5 mm: alloy 30, steel 16, stainless 42, silicone 60 a metre, others by their size; a seam 0.4 h in alloy, 0.3 in steel, 0.55 in stainless, purged; a cut 0.1 h")
            .source(Citation.commonPractice("hours of a shop with a saw, a bead roller and TIG"))
            .leavesOut("Brackets, braces, bosses and scrap.");
    /** h. */
    private static final double CUT = 0.1;

    static Making of(BuildOption option) {
        int welds = 0;
        int joints = 0;
        double mass = 0;
        double hours = 0;
        double price = 0;
        for (Pieces.Placed<PathElement.Pipe> placed : Pieces.of(PathElement.Pipe.class, option.path())) {
            PathElement.Pipe pipe = placed.piece();
            PipeSpec spec = pipe.spec();
            int seams = spec.material().isTube() ? 2 * spec.bends().size() : 0;
            welds += seams;
            hours += seams * seam(spec.material()) + (seams + 1) * CUT;
            mass += pipe.wall().section(spec.bore())
                    * spec.developed()
                    * spec.material().density();
            double metres = spec.length()
                    + spec.bends().stream()
                            .mapToDouble(b -> Taste.stock(b.angle()))
                            .sum();
            price += metres * metre(spec.material()) * pipe.size() / Coupling.USUAL;
        }
        for (Seam seam : Seam.of(option)) {
            Coupling kind = seam.joining().coupling();
            double size = seam.pipe().size();
            welds += kind.welds();
            joints += kind.isJoint() ? 1 : 0;
            mass += kind.mass(size);
            hours += kind.hours() + kind.welds() * seam(seam.pipe().spec().material());
            price += kind.price(size);
        }
        return new Making(welds, joints, mass, hours, price);
    }

    private static double seam(PipeMaterial material) {
        return switch (material) {
            case ALUMINIUM -> 0.4;
            case STEEL -> 0.3;
            case STAINLESS -> 0.55;
            case SILICONE -> 0;
        };
    }

    private static double metre(PipeMaterial material) {
        return switch (material) {
            case ALUMINIUM -> 30;
            case STEEL -> 16;
            case STAINLESS -> 42;
            case SILICONE -> 60;
        };
    }
}
