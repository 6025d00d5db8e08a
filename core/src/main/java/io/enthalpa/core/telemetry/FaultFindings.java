package io.enthalpa.core.telemetry;

import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.telemetry.FaultSearch.Evidence;
import io.enthalpa.core.telemetry.FaultSearch.Found;
import io.enthalpa.core.telemetry.LogFinding.Kind;
import java.util.ArrayList;
import java.util.List;

/** A ranking of faults in sentences: what it would be, what speaks for it and against it, and the test that tells. */
public final class FaultFindings {
    private FaultFindings() {}

    /** @return of each that is worth naming its sentence, its evidence and its test; one sentence where nothing is */
    public static List<List<LogFinding>> of(FaultSearch.Ranking ranking) {
        List<List<LogFinding>> all = new ArrayList<>();
        List<Found> named = ranking.named();
        for (int i = 0; i < named.size(); i++) {
            all.add(one(named.get(i), ranking.odds()[i]));
        }
        if (all.isEmpty()) {
            all.add(List.of(LogFinding.of(Kind.SUSPECT_NOTHING)));
        }
        return all;
    }

    /** @return what it would be, what speaks for and against it, and the test that tells */
    public static List<LogFinding> one(Found found, double odds) {
        List<LogFinding> lines = new ArrayList<>();
        LogFinding first = LogFinding.of(suspect(found.suspect())).with("odds", odds, Quantity.SHARE);
        lines.add(
                found.suspect().isKelvin()
                        ? first.kelvin("by", found.by())
                        : first.with("by", -found.by(), Quantity.SHARE));
        for (Evidence e : found.evidence()) {
            lines.add(LogFinding.of(e.speaksFor() ? Kind.EVIDENCE_FOR : Kind.EVIDENCE_AGAINST, e.channel())
                    .kelvin("off", Math.abs(e.off()))
                    .with("warm", e.off() > 0 ? 1 : 0, Quantity.NUMBER)
                    .kelvin("would", Math.abs(e.would()))
                    .with("make", e.would() > 0 ? 1 : 0, Quantity.NUMBER));
        }
        lines.add(LogFinding.of(test(found.suspect())));
        return lines;
    }

    /** @return what names it */
    public static Kind suspect(Suspect suspect) {
        return switch (suspect) {
            case WATER -> Kind.SUSPECT_WATER;
            case AIR -> Kind.SUSPECT_AIR;
            case CORE -> Kind.SUSPECT_CORE;
            case BLOWER -> Kind.SUSPECT_BLOWER;
            case RADIATOR -> Kind.SUSPECT_RADIATOR;
            case CHILLER -> Kind.SUSPECT_CHILLER;
            case ICE -> Kind.SUSPECT_ICE;
            case WARM_AIR -> Kind.SUSPECT_WARM_AIR;
            case SENSOR -> Kind.SUSPECT_SENSOR;
        };
    }

    /** @return the first thing to look at */
    public static Kind test(Suspect suspect) {
        return switch (suspect) {
            case WATER -> Kind.TEST_WATER;
            case AIR -> Kind.TEST_AIR;
            case CORE -> Kind.TEST_CORE;
            case BLOWER -> Kind.TEST_BLOWER;
            case RADIATOR -> Kind.TEST_RADIATOR;
            case CHILLER -> Kind.TEST_CHILLER;
            case ICE -> Kind.TEST_ICE;
            case WARM_AIR -> Kind.TEST_WARM_AIR;
            case SENSOR -> Kind.TEST_SENSOR;
        };
    }
}
