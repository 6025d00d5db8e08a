package io.enthalpa.e2e;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.chargepath.Station;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.formats.BuildFile;
import java.util.List;
import java.util.Locale;

/** What the core itself answers for a build file, written as the screen writes it. */
final class Expected {
    private final Answer answer;

    private Expected(Answer answer) {
        this.answer = answer;
    }

    static Expected of(String file, String option) {
        return new Expected(new Answer(BuildFile.read(file), option));
    }

    private List<Station> stations() {
        return answer.steady().path().stations();
    }

    double celsius(int station) {
        return stations().get(station).temperature() - 273.15;
    }

    /** As the charge line writes it in metric: "48.9°". */
    String figure(int station) {
        return decimal(celsius(station)) + "°";
    }

    String fahrenheit(int station) {
        return decimal(celsius(station) * 1.8 + 32) + "°";
    }

    String pressure(int station) {
        return decimal(stations().get(station).totalPressure() / 1000) + " kPa";
    }

    double worst() {
        Trace trace = answer.soak();
        return answer.verdict(trace).worst() - 273.15;
    }

    double loss(int piece) {
        return answer.steady().path().pieces().get(piece).loss() / 1000;
    }

    static String decimal(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }

    /** A change with the screen's sign. */
    static String change(double value) {
        String rounded = decimal(value);
        return (value > 0 ? "+" : "") + rounded.replace('-', '−');
    }
}
