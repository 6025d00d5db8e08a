package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.PCT;

import io.enthalpa.core.uncertainty.Calibration;
import io.enthalpa.core.uncertainty.UncertainInput;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

@Part(value = "fitted", says = "what a log taught of the build; every answer stands on it until it is taken out")
record FittedDocument(
        String option,
        String log,
        @Blank String on,

        @Called(value = "fitted unknown", alone = true, most = 20)
        List<FittedKnown> knowns,

        @Called(value = "pair that goes together", alone = true, most = 200) @Nullable
        List<FittedTogether> together) {
    @Part(value = "fitted/known", says = "one of what is seldom known exactly")
    record FittedKnown(
            UncertainInput unknown,

            @Figure(
                    label = "off by",
                    min = -95,
                    max = 500,
                    usual = 0,
                    help = "from what the build says, as fitted to the log")
            double by_pct,

            @Figure(
                    label = "give or take",
                    min = 0,
                    max = 100,
                    usual = 5,
                    help = "one standard deviation that the log left")
            double within_pct,

            @Nullable String id) {}

    @Part(value = "fitted/together", says = "two that the log cannot tell apart entirely")
    record FittedTogether(
            UncertainInput one,
            UncertainInput other,

            @Figure(
                    label = "goes together",
                    min = -1,
                    max = 1,
                    usual = 0,
                    help = "correlation: 1 entirely, -1 one up as the other goes down")
            double alike,

            @Nullable String id) {}

    Calibration core(Place at, Set<String> letters) {
        if (!letters.contains(option)) {
            throw at.contradiction(
                    "option",
                    "option that was fitted",
                    option,
                    "one of " + String.join(", ", letters),
                    "Take the fit out, or give the option that was fitted.");
        }
        Set<UncertainInput> seen = new HashSet<>();
        for (FittedKnown k : knowns) {
            if (!seen.add(k.unknown)) {
                throw at.contradiction("knowns", "fitted unknown", Words.of(k.unknown), "given once", "");
            }
            if (k.unknown.isKelvin()) {
                throw at.contradiction(
                        "knowns", "fitted unknown", Words.of(k.unknown), "what does not change with the day", "");
            }
        }
        return new Calibration(
                option,
                log,
                on,
                knowns.stream()
                        .map(k -> new Calibration.Known(k.unknown, PCT.si(k.by_pct), PCT.si(k.within_pct)))
                        .toList(),
                together == null
                        ? List.of()
                        : together.stream()
                                .map(t -> new Calibration.Together(t.one, t.other, t.alike))
                                .toList());
    }

    static FittedDocument of(Calibration c) {
        return new FittedDocument(
                c.letter(),
                c.log(),
                c.on(),
                c.knowns().stream()
                        .map(k -> new FittedKnown(k.unknown(), PCT.of(k.by()), PCT.of(k.within()), null))
                        .toList(),
                c.together().isEmpty()
                        ? null
                        : c.together().stream()
                                .map(t -> new FittedTogether(t.one(), t.other(), t.correlation(), null))
                                .toList());
    }
}
