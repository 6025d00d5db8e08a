package io.enthalpa.server.answers;

import java.util.List;

/**
 * A change to an option that was computed through the duty before it is offered.
 *
 * @param piece       name of the piece it changes, "cold pipe"
 * @param key         key of the number it changes, "bore_mm"; the field catalogue says what that is
 * @param part        part of the build file that the key stands in, "pipe"
 * @param from        value now, in the unit of the key
 * @param to          value tried
 * @param edits       what to write into the option, by pointers within it
 * @param worst_K     change of the worst intake temperature over the duty
 * @param loss_kPa    change of the path's loss at full load
 * @param longer_s    how much longer the target is kept before it is passed for the first time
 */
public record ChangeView(String piece, String key, String part, double from, double to, List<Edit> edits, double worst_K, double loss_kPa, double longer_s) {

    /**
     * @param pointer within the option, "/path/4/bore_mm"
     * @param value   in the unit of the key
     */
    public record Edit(String pointer, double value) {
    }
}
