package io.enthalpa.server.answers;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import org.jspecify.annotations.Nullable;

/** What screen and command line both ask: the same call gives both the same numbers. */
public final class Answers {
    private Answers() {}

    /** @return the option's charge line at full load */
    public static SteadyView steady(Build build, String letter) {
        return SteadyView.of(new Answer(build, letter));
    }

    /** @return the option in the build's room; null where that was not measured */
    public static @Nullable FitView fit(Build build, String letter) {
        return FitView.of(build, letter);
    }

    /** @return the option through the build's duty */
    public static SoakView soak(Build build, String letter) {
        return SoakView.of(new Answer(build, letter));
    }
}
