package io.enthalpa.core.duty;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.place.Subject;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.List;

/**
 * What turns road speed into engine speed.
 *
 * @param tyre      m, rolling circumference of a driven wheel
 * @param finalDrive turns of the gearbox for one of the wheel
 * @param ratios    of the gears, first to top, falling
 * @param changeUp  rad/s of the crankshaft at which the driver changes up
 * @param idle      rad/s of the crankshaft standing
 */
public record Gearing(double tyre, double finalDrive, List<Double> ratios, double changeUp, double idle) {
    public static final Method METHOD = Method.of(
                    "gearing",
                    "Engine speed from road speed",
                    "Wheel turns times final drive times gear. The gear is the lowest that stays below the speed at which the driver changes up; below idle the clutch slips.")
            .formula("n = v / circumference * final drive * gear")
            .source(Citation.commonPractice("no slip at the wheels"))
            .leavesOut("Wheel spin, converter slip, the driver's own choice of gear.");
    /** Of an engine whose gearing is not known, rad/s: 850 rpm (common practice, no source). */
    public static final double USUAL_IDLE = 850 * Math.PI / 30;

    public Gearing {
        ratios = List.copyOf(ratios);
        for (int i = 1; i < ratios.size(); i++) {
            if (ratios.get(i) >= ratios.get(i - 1)) {
                throw EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        Subject.Whole.GEARING,
                        "ratios/" + i,
                        "gear " + (i + 1),
                        ratios.get(i).toString(),
                        "shorter than the gear below it, " + ratios.get(i - 1),
                        "Give the gears from first to top.");
            }
        }
        if (ratios.isEmpty()) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION, Subject.Whole.GEARING, "ratios", "number of gears", "0", "1 or more", "");
        }
        if (changeUp <= idle) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    Subject.Whole.GEARING,
                    "changeUp",
                    "change up at",
                    "%.0f rpm".formatted(changeUp * 30 / Math.PI),
                    "above idle, %.0f rpm".formatted(idle * 30 / Math.PI),
                    "");
        }
    }

    /** @return from 0, the lowest gear that stays below {@link #changeUp}; the top gear when none does */
    public int gearAt(double roadSpeed) {
        for (int gear = 0; gear < ratios.size(); gear++) {
            if (turning(roadSpeed, gear) <= changeUp * (1 + 1e-9)) {
                return gear;
            }
        }
        return ratios.size() - 1;
    }

    /** @return rad/s of the crankshaft, at least idle */
    public double engineSpeed(double roadSpeed, int gear) {
        return Math.max(turning(roadSpeed, gear), idle);
    }

    /** @return rad/s in the gear of {@link #gearAt} */
    public double engineSpeed(double roadSpeed) {
        return engineSpeed(roadSpeed, gearAt(roadSpeed));
    }

    /** @return m/s at which a gear reaches {@link #changeUp} */
    public double changesAt(int gear) {
        return changeUp * tyre / (2 * Math.PI * finalDrive * ratios.get(gear));
    }

    private double turning(double roadSpeed, int gear) {
        return roadSpeed / tyre * 2 * Math.PI * finalDrive * ratios.get(gear);
    }
}
