package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.DEG;

import org.jspecify.annotations.Nullable;

/** How something is turned about its middle: leaned, then tipped, then turned. */
interface TurnedInRoom {
    @Figure(label = "turned", min = -180, max = 180, usual = 0, help = "clockwise seen from above", part = "room/place")
    @Nullable
    Double turned_deg();

    @Figure(label = "tipped", min = -180, max = 180, usual = 0, help = "its top rearwards", part = "room/place")
    @Nullable
    Double tipped_deg();

    @Figure(label = "leaned", min = -180, max = 180, usual = 0, help = "its top to the right", part = "room/place")
    @Nullable
    Double leaned_deg();

    default double turned() {
        return DEG.si(turned_deg()).orElse(0);
    }

    default double tipped() {
        return DEG.si(tipped_deg()).orElse(0);
    }

    default double leaned() {
        return DEG.si(leaned_deg()).orElse(0);
    }

    /** @return as a file says it: nothing where it is not turned */
    static @Nullable Double degrees(double rad) {
        return rad == 0 ? null : Double.valueOf(DEG.of(rad));
    }
}
