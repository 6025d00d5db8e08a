package io.enthalpa.server.answers;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.trial.CoreSteps;
import io.enthalpa.core.trial.MoreCore;
import io.enthalpa.formats.document.DocumentField;
import io.enthalpa.formats.document.OptionEdits;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One small change to a core.
 *
 * @param step        which
 * @param key         of the number it changes, "height_mm"
 * @param part        of the build file that the key stands in
 * @param from        value now, in the unit of the key
 * @param to          value tried
 * @param edits       what to write into the option
 * @param worst_K     change of the worst intake temperature over the duty
 * @param intake_K    change of the intake temperature at full load
 * @param loss_kPa    change of the path's loss at full load
 * @param mass_kg     change of the core's mass
 * @param coldLoss_Pa change of what the coolant loses in the block; null for a core by its card
 */
record CoreStepView(
        MoreCore.Step step,
        String key,
        String part,
        double from,
        double to,
        List<EditView> edits,
        double worst_K,
        double intake_K,
        double loss_kPa,
        double mass_kg,
        @Nullable Double coldLoss_Pa) {
    /** @param place pointer of the core within the option @return the steps that have an answer, in a fixed order */
    static List<CoreStepView> of(Build build, String letter, String place) {
        BuildOption now = build.option(letter);
        return CoreSteps.of(build, letter, Places.spot("core", place))
                .orElseThrow(() -> Places.noSuch("core", place))
                .stream()
                .map(step -> of(step, OptionEdits.between(now, step.change().option())))
                .filter(view -> view != null)
                .toList();
    }

    private static @Nullable CoreStepView of(CoreSteps.CoreStep s, OptionEdits edits) {
        if (!edits.areAllowed() || edits.main().isEmpty()) {
            return null;
        }
        OptionEdits.Edit main = edits.main().get();
        DocumentField field = main.field().orElseThrow();
        return new CoreStepView(
                s.step(),
                field.key(),
                field.part(),
                main.before().orElseThrow().doubleValue(),
                main.value().doubleValue(),
                EditView.of(edits),
                s.change().worst(),
                s.intake(),
                s.change().loss() / 1000,
                s.mass(),
                s.coldLoss().isPresent() ? s.coldLoss().getAsDouble() : null);
    }
}
