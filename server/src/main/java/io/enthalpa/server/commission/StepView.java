package io.enthalpa.server.commission;

import io.enthalpa.core.commission.Step;
import io.enthalpa.formats.Sentences;
import java.util.List;
import java.util.Map;

/** {@code kind} names its sentence in the field catalogue, {@code values} what it is filled with, {@code says} is the sentence in metric units. */
record StepView(Step.Part part, Step.Kind kind, String of, String to, Map<String, Double> values, String says) {
    static StepView of(Step s) {
        return new StepView(s.kind().part(), s.kind(), s.of(), s.to(), Sentences.told(s.figures()), Sentences.of(s));
    }

    static List<StepView> of(List<Step> steps) {
        return steps.stream().map(StepView::of).toList();
    }
}
