package io.enthalpa.core.sizing;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.fit.BodyMass;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.List;

/**
 * What the cooling of an option weighs and costs, roughly: cores, radiators, water, ice, tanks, pumps, chiller, injection; pipes of the charge
 * are left out, since every method needs them.
 *
 * @param mass  kg, filled
 * @param price in the currency of the catalogue
 */
public record Bill(double mass, double price) {
    public static final Method METHOD = Method.of(
                    "bill",
                    "Mass and price of a method",
                    "Counted by the piece and the litre with the prices of the built-in catalogue, which are invented and plausible: for comparing methods, not for an offer.")
            .formula(
                    "air core 70 + 24/L of block; water core 90 + 70/L; radiator 50 + 16/L; pump 110; tank 40 + 3/L; chiller 480; injection 360; hoses 60")
            .source(Citation.commonPractice("proportions of what shops pay"))
            .leavesOut("Pipes, ducts, brackets and hours.");
    private static final double LITRES = 1e3;
    private static final double CHILLER_MASS = 6;
    private static final double INJECTION_MASS = 4;
    private static final double HOSES_MASS = 1.5;
    private static final double MIX_DENSITY = 900;

    static final Bill NOTHING = new Bill(0, 0);

    public static Bill of(BuildOption option) {
        return of(option.path());
    }

    private static Bill of(List<PathElement> path) {
        Bill bill = NOTHING;
        for (PathElement piece : path) {
            if (piece instanceof PathElement.Core core) {
                bill = bill.and(core(core));
            } else if (piece instanceof PathElement.Injection injection) {
                bill = bill.and(new Bill(INJECTION_MASS + injection.spec().tank() * MIX_DENSITY, 360));
            } else if (piece instanceof PathElement.Parallel pair) {
                for (PathElement.Leg leg : pair.legs()) {
                    bill = bill.and(of(leg.path()));
                }
            }
        }
        return bill;
    }

    private static Bill core(PathElement.Core core) {
        double litres = core.spec().size().volume() * LITRES;
        double metal = new ChargeCooler(core.spec()).heatCapacity() / ChargeCooler.ALUMINIUM_HEAT_CAPACITY;
        if (core.isCooledByAir()) {
            return new Bill(metal, 70 + 24 * litres);
        }
        return new Bill(metal, 90 + 70 * litres).and(core.loop().map(Bill::loop).orElse(NOTHING));
    }

    private static Bill loop(WaterLoopSpec loop) {
        int pumps = Math.max(
                1,
                loop.pieces().stream()
                        .mapToInt(p -> p instanceof LoopPiece.Pump pump ? pump.beside() : 0)
                        .sum());
        Bill bill = new Bill(
                pumps * BodyMass.PUMP + HOSES_MASS + (loop.isOpen() ? 0 : loop.volume() * 1000), pumps * 110 + 60);
        if (loop.radiator().isPresent()) {
            CoreSize size = loop.radiator().get().size();
            bill = bill.and(new Bill(size.volume() * BodyMass.RADIATOR_DENSITY, 50 + 16 * size.volume() * LITRES));
        }
        if (loop.tank().isPresent()) {
            IceSpec ice = loop.tank().get().ice();
            double litres = loop.tank().get().capacity() * LITRES;
            bill = bill.and(
                    new Bill(ice.mass() + BodyMass.emptyTank(loop.tank().get().capacity()), 40 + 3 * litres));
        }
        return loop.chiller().isPresent() ? bill.and(new Bill(CHILLER_MASS, 480)) : bill;
    }

    Bill and(Bill other) {
        return new Bill(mass + other.mass, price + other.price);
    }
}
