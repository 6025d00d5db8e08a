package io.enthalpa.server.answers;

import java.util.List;
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
public record ChangeView(
        String piece,
        String key,
        String part,
        double from,
        double to,
        List<Edit> edits,
        @Nullable JsonNode option,
        double worst_K,
        double loss_kPa,
        double longer_s) {
    static ChangeView cooler(String core, JsonNode option, double worst, double loss, double longer) {
        return new ChangeView(core, "", "", 0, 0, List.of(), option, worst, loss, longer);
    }

    /**
     * @param pointer within the option, "/path/4/bore_mm"
     * @param value   in the unit of the key
     */
    public record Edit(String pointer, double value) {}
}
