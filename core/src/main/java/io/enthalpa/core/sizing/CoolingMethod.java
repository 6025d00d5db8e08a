package io.enthalpa.core.sizing;

import java.util.Arrays;

/** Ways of cooling a charge that are compared on the same duty. */
public enum CoolingMethod {
    /** No cooler at all, to see what it is worth. */
    NONE("no cooler"),
    /** A core in the outside air. */
    AIR("air to air"),
    /** A water core with a low-temperature radiator. */
    WATER_RADIATOR("water and radiator"),
    /** A water core with an ice tank. */
    ICE("ice tank"),
    /** A water core with a tank chilled by the air conditioning. */
    CHILLER("chilled water"),
    /** A water core with sea, lake or mains water that passes once. */
    RAW_WATER("raw water"),
    /** Water and alcohol sprayed in, no core. */
    INJECTION("injection alone"),
    /** The option as it is, with injection on top. */
    INJECTION_ON_TOP("injection on top");

    private final String title;

    CoolingMethod(String title) {
        this.title = title;
    }

    /** @return what an option that is cooled so is called before it has a name of its own */
    public String title() {
        return title;
    }

    /** @return whether a name is one that a method gives */
    static boolean gives(String name) {
        return Arrays.stream(values()).anyMatch(method -> method.title.equals(name));
    }
}
