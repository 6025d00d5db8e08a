package io.enthalpa.server.answers;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.trial.WaterChanges;
import io.enthalpa.core.trial.WaterChanges.WaterChange;
import io.enthalpa.formats.document.OptionEdits;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A change to a water loop with what it does at full load.
 *
 * @param what       kind
 * @param of         names of what it changes
 * @param from_mm    bore, depth or edge now; null where no size changes
 * @param to_mm      with it
 * @param share_pct  of all losses that it takes now; null when it is not about a loss
 * @param flow_L_min with it
 * @param flowRatio  over the flow now
 * @param intake_K   change of the intake temperature
 * @param water_K    change of the water at the core
 * @param edits      what to write into the option
 */
record WaterChangeView(
        WaterChanges.Help what,
        List<String> of,
        @Nullable Double from_mm,
        @Nullable Double to_mm,
        @Nullable Double share_pct,
        double flow_L_min,
        double flowRatio,
        double intake_K,
        double water_K,
        List<EditView> edits) {
    private static final int MOST_SHOWN = 6;

    /** @param place pointer of the core within the option @return those that help, best first */
    static List<WaterChangeView> of(Build build, String letter, String place) {
        BuildOption now = build.option(letter);
        return WaterChanges.of(build, letter, Places.spot("water-cooled core", place))
                .orElseThrow(() -> Places.noSuch("water-cooled core", place))
                .stream()
                .map(change -> of(change, OptionEdits.between(now, change.option())))
                .filter(view -> view != null)
                .limit(MOST_SHOWN)
                .toList();
    }

    private static @Nullable WaterChangeView of(WaterChange c, OptionEdits edits) {
        return edits.areAllowed()
                ? new WaterChangeView(
                        c.what(),
                        c.of(),
                        millimetres(c.from()),
                        millimetres(c.to()),
                        c.share().isPresent() ? 100 * c.share().getAsDouble() : null,
                        c.flow() * 60e3,
                        c.times(),
                        c.intake(),
                        c.water(),
                        EditView.of(edits))
                : null;
    }

    private static @Nullable Double millimetres(double size) {
        return Double.isNaN(size) ? null : Double.valueOf(Math.rint(size * 1e6) / 1e3);
    }
}
