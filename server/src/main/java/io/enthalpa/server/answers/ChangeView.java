package io.enthalpa.server.answers;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.trial.Change;
import io.enthalpa.core.trial.ChangesWorthTrying;
import io.enthalpa.core.trial.What;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.formats.document.DocumentField;
import io.enthalpa.formats.document.OptionEdits;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * A change to an option that was computed through the duty before it is offered.
 *
 * @param piece       name of the piece it changes, "cold pipe"
 * @param key         key of the number it changes, "bore_mm"; the field catalogue says what that is
 * @param part        part of the build file that the key stands in, "pipe"
 * @param from        value now, in the unit of the key
 * @param to          value tried
 * @param edits       what to write into the option, by pointers within it
 * @param option      the whole option where it is more than numbers: a core put in; key and part are empty then
 * @param worst_K     change of the worst intake temperature over the duty
 * @param loss_kPa    change of the path's loss at full load
 * @param longer_s    how much longer the target is kept before it is passed for the first time
 */
record ChangeView(
        String piece,
        String key,
        String part,
        double from,
        double to,
        List<EditView> edits,
        @Nullable JsonNode option,
        double worst_K,
        double loss_kPa,
        double longer_s) {
    private static final int MOST_SHOWN = 5;

    /** @return those worth trying, the best first */
    static List<ChangeView> of(Build build, String letter) {
        BuildOption now = build.option(letter);
        return ChangesWorthTrying.of(build, letter).stream()
                .map(change -> of(now, change))
                .filter(Objects::nonNull)
                .limit(MOST_SHOWN)
                .toList();
    }

    /** @return nothing for what a file could not say */
    private static @Nullable ChangeView of(BuildOption now, Change c) {
        double kPa = c.loss() / 1000;
        if (c.what() == What.COOLER) {
            return new ChangeView(
                    c.of(), "", "", 0, 0, List.of(), BuildFile.tree(c.option()), c.worst(), kPa, c.longer());
        }
        OptionEdits edits = OptionEdits.between(now, c.option());
        Optional<OptionEdits.Edit> main = edits.main();
        if (!edits.areAllowed() || main.isEmpty()) {
            return null;
        }
        DocumentField field = main.get().field().orElseThrow();
        return new ChangeView(
                c.of(),
                field.key(),
                field.part(),
                main.get().before().orElseThrow().doubleValue(),
                main.get().value().doubleValue(),
                EditView.of(edits),
                null,
                c.worst(),
                kPa,
                c.longer());
    }
}
