package io.enthalpa.core.verdict;

import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.plant.CooledCore;
import io.enthalpa.core.plant.CoreTrace;
import io.enthalpa.core.steady.ChargeSystem;

/**
 * When water would have to be hotter or colder than it can be: what a run tells from then on is for water that stays liquid.
 *
 * @param boilsFrom   s from when water behind a core is over its boiling point; NaN when never
 * @param hottest     K at most, of that loop
 * @param boiling     K, its boiling point under its cap
 * @param freezesFrom s from when water is under its freezing point; NaN when never
 * @param coldest     K at least, of that loop
 * @param freezing    K
 */
public record WaterBounds(
        double boilsFrom, double hottest, double boiling, double freezesFrom, double coldest, double freezing) {
    public static final WaterBounds NONE =
            new WaterBounds(Double.NaN, Double.NaN, Double.NaN, Double.NaN, Double.NaN, Double.NaN);
    /** K that rounding may come below. */
    private static final double NEGLIGIBLE = 1e-3;

    /** Of all loops, the one that boils first and the one that freezes first. */
    public static WaterBounds of(ChargeSystem system, Trace trace) {
        WaterBounds all = NONE;
        for (int k = 0; k < system.cores().size(); k++) {
            CooledCore core = system.cores().get(k);
            if (core.hasLoop()) {
                all = all.first(of(core, trace.cores().get(k), trace));
            }
        }
        return all;
    }

    private static WaterBounds of(CooledCore core, CoreTrace cored, Trace trace) {
        double boiling = core.loop().boiling();
        boolean open = core.loop().spec().isOpen();
        double freezing = open ? 0 : core.loop().spec().coolant().freezing();
        double boilsFrom = Double.NaN;
        double freezesFrom = Double.NaN;
        double hottest = 0;
        double coldest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < trace.length(); i++) {
            double hot = cored.cold().out()[i];
            double cold = Math.min(cored.cold().tank()[i], cored.cold().in()[i]);
            boilsFrom = hot > boiling && Double.isNaN(boilsFrom) ? trace.time()[i] : boilsFrom;
            freezesFrom = cold < freezing - NEGLIGIBLE && Double.isNaN(freezesFrom) ? trace.time()[i] : freezesFrom;
            hottest = Math.max(hottest, hot);
            coldest = Math.min(coldest, cold);
        }
        return new WaterBounds(boilsFrom, hottest, boiling, freezesFrom, coldest, freezing);
    }

    private WaterBounds first(WaterBounds other) {
        boolean boils = boilsFrom <= other.boilsFrom || Double.isNaN(other.boilsFrom);
        boolean freezes = freezesFrom <= other.freezesFrom || Double.isNaN(other.freezesFrom);
        WaterBounds hot = boils ? this : other;
        WaterBounds cold = freezes ? this : other;
        return new WaterBounds(hot.boilsFrom, hot.hottest, hot.boiling, cold.freezesFrom, cold.coldest, cold.freezing);
    }
}
