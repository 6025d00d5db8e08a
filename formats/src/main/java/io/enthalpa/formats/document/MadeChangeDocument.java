package io.enthalpa.formats.document;

import io.enthalpa.core.build.MadeChange;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

@Part(value = "change", says = "a change made to the car, and what came of it")
record MadeChangeDocument(
        String what,
        @Blank String on,

        @Figure(label = "parts for the change", min = 0, max = 1000000, usual = 0, help = "in your currency") @Nullable
        Double cost,

        @Figure(label = "hours for the change", min = 0, max = 10000, usual = 1, help = "of work") @Nullable
        Double hours,

        @Figure(
                label = "predicted gain",
                min = -200,
                max = 200,
                usual = 0,
                help = "colder under load, as predicted before it was made")
        @Nullable
        Double predicted_K,

        @Blank String before,
        @Blank String after,

        @Figure(
                label = "measured gain",
                min = -200,
                max = 200,
                usual = 0,
                help = "colder under load, weather and boost taken out")
        @Nullable
        Double gain_K,

        @Figure(label = "measured gain, give or take", min = 0, max = 200, usual = 1, help = "one standard deviation")
        @Nullable
        Double within_K,

        @Nullable String id) {
    MadeChange core() {
        return new MadeChange(
                what,
                on,
                optional(cost),
                optional(hours),
                optional(predicted_K),
                before,
                after,
                optional(gain_K),
                optional(within_K));
    }

    static MadeChangeDocument of(MadeChange c) {
        return new MadeChangeDocument(
                c.what(),
                c.on(),
                orNull(c.cost()),
                orNull(c.hours()),
                orNull(c.predicted()),
                c.before(),
                c.after(),
                orNull(c.gain()),
                orNull(c.within()),
                null);
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static @Nullable Double orNull(OptionalDouble value) {
        return value.isEmpty() ? null : Double.valueOf(value.getAsDouble());
    }
}
