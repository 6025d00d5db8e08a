package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.G_KWH;
import static io.enthalpa.formats.document.Suffix.KW;
import static io.enthalpa.formats.document.Suffix.L;
import static io.enthalpa.formats.document.Suffix.PCT;
import static io.enthalpa.formats.document.Suffix.RPM;

import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.engine.FuelDemand;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

@Part(value = "engine", says = "shared by all options")
record Engine(
        @Figure(label = "displacement", min = 0.05, max = 60, usual = 2.0, help = "the engine's data plate")
        double displacement_L,

        @Figure(label = "cylinders", min = 1, max = 24, usual = 4, help = "count them")
        int cylinders,

        @Figure(
                label = "volumetric efficiency",
                min = 30,
                max = 130,
                usual = 92,
                help = "two valves 80-88 %, four valves 88-98 %; common practice, no source")
        double volumetricEfficiency_pct,

        @Figure(label = "limiter", min = 300, max = 20000, usual = 6500, help = "where the limiter cuts in")
        double maxSpeed_rpm,

        @Figure(
                label = "power",
                min = 1,
                max = 5000,
                usual = 150,
                help = "at the crank, present or hoped for: a second opinion on the air it needs")
        @Nullable
        Double power_kW,

        @Figure(
                label = "fuel for the power",
                min = 150,
                max = 700,
                usual = USUAL_FUEL_G_KWH,
                help = "boosted petrol 300-360, boosted diesel 210-240 g/kWh; common practice, no source")
        @Nullable
        Double fuelRate_g_kWh,

        @Figure(
                label = "air for the fuel",
                min = 4,
                max = 80,
                usual = USUAL_AIR,
                help = "by mass: boosted petrol 11.5-12.5, diesel 18-25, methanol 4.5-5.5; common practice, no source")
        @Nullable
        Double airFuelRatio) {
    static final double USUAL_FUEL_G_KWH = 320;
    static final double USUAL_AIR = 12;

    EngineSpec core() {
        return new EngineSpec(
                L.si(displacement_L), cylinders, PCT.si(volumetricEfficiency_pct), RPM.si(maxSpeed_rpm), fuel());
    }

    /** Where the power is given, fuel and air take the usual figures unless they are given too. */
    private Optional<FuelDemand> fuel() {
        return power_kW == null
                ? Optional.empty()
                : Optional.of(new FuelDemand(
                        KW.si(power_kW.doubleValue()),
                        G_KWH.si(fuelRate_g_kWh == null ? USUAL_FUEL_G_KWH : fuelRate_g_kWh),
                        airFuelRatio == null ? USUAL_AIR : airFuelRatio));
    }

    static Engine of(EngineSpec e) {
        FuelDemand f = e.fuel().orElse(null);
        return new Engine(
                L.of(e.displacement()),
                e.cylinders(),
                PCT.of(e.volumetricEfficiency()),
                RPM.of(e.maxSpeed()),
                f == null ? null : KW.of(f.power()),
                f == null ? null : G_KWH.of(f.fuelRate()),
                f == null ? null : f.airFuelRatio());
    }
}
