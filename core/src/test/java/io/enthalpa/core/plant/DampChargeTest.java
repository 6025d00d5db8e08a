package io.enthalpa.core.plant;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Loops;
import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.endurance.EnduranceRun;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.exchanger.Condensate;
import io.enthalpa.core.exchanger.Conductances;
import io.enthalpa.core.exchanger.DampCharge;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.WaterVapour;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.RawWaterSpec;
import io.enthalpa.core.waterloop.TankSpec;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Water that comes out of the charge on cold metal, and the heat it brings there. */
class DampChargeTest {
    private static final OperatingPoint POINT = Systems.point(4000, 120, 15);
    private static final HumidAir HUMID = HumidAir.at(303.15, 101325, 0.8);
    private static final double FLOW = 0.15;
    private static final double PRESSURE = 2e5;
    private static final Conductances FILMS = new Conductances(300, 5000, 1500);

    private static Duty hold(double seconds) {
        return Systems.hold(POINT, 0, seconds);
    }

    private static double last(double[] values) {
        return values[values.length - 1];
    }

    private static Condensate held(double coldIn) {
        return Condensate.of(HUMID, FLOW, PRESSURE, 380, coldIn, 1200, FILMS);
    }

    /** TF-10, common practice, no source: boosted humid air drips in a core fed with chilled water; in warm water it does not. */
    @Test
    void chilledCoreInHumidAirDrips() {
        Condensate chilled = held(278);
        assertThat(chilled.dewPoint())
                .as("boost lifts it above the weather's 26 °C")
                .isGreaterThan(310);
        assertThat(chilled.metal()).isLessThan(chilled.dewPoint());
        assertThat(chilled.flow())
                .as("grams in a second, never more than the air brings")
                .isBetween(5e-4, FLOW * HUMID.waterMassFraction());
        assertThat(chilled.latentHeat()).isCloseTo(chilled.flow() * 2.45e6, withinPercentage(3));
        assertThat(chilled.warmer()).as("its latent heat warms the metal").isBetween(0.5, 15.0);
        assertThat(held(325).flow()).isZero();
        assertThat(held(325).warmer()).isZero();
        assertThat(held(274).flow()).isGreaterThan(chilled.flow());
    }

    /**
     * Closed form: metal held at one temperature takes {@code 1 - exp(-NTU)} of what the vapour is above saturation there, as it takes of the
     * charge's own excess temperature (Chilton &amp; Colburn 1934 with a Lewis number of one).
     */
    @Test
    void metalOfOneTemperatureTakesVapourAsItTakesHeat() {
        double cold = 285;
        Conductances one = new Conductances(200, 1e9, 1e9);
        Condensate c = Condensate.of(HUMID, FLOW, PRESSURE, 380, cold, 1e9, one);
        double ntu = 200 / (FLOW * HUMID.heatCapacity((380 + cold) / 2));
        double held = WaterVapour.saturationPressure(cold) / PRESSURE / HUMID.waterMoleFraction();
        assertThat(c.flow())
                .isCloseTo(FLOW * HUMID.waterMassFraction() * (1 - held) * -Math.expm1(-ntu), withinPercentage(0.5));
    }

    @ParameterizedTest
    @EnumSource(Effectiveness.class)
    void cellsTakeAsMuchWaterAsTheSteadyStrips(Effectiveness arrangement) {
        double hotRate = FLOW * HUMID.heatCapacity(329);
        Condensate steady = held(278);
        MetalField wet = settled(arrangement, hotRate, DampCharge.of(HUMID, FLOW, PRESSURE), 0.2);
        MetalField dry = settled(arrangement, hotRate, DampCharge.DRY, 0.2);
        boolean against = arrangement == Effectiveness.COUNTERFLOW || arrangement == Effectiveness.U_FLOW_CROSS_COUNTER;
        assertThat(wet.condensed() / steady.flow())
                .as("the strips pass the coolant once: against the charge its cold end is colder")
                .isBetween(against ? 1.0 : 0.96, against ? 1.07 : 1.04);
        assertThat(wet.hotOut() - dry.hotOut()).isCloseTo(steady.warmer(), within(0.01 * (380 - dry.hotOut())));
        assertThat(dry.condensed()).isZero();
        assertThat(wet.heatOut() / 0.2)
                .as("the coolant takes both")
                .isCloseTo(hotRate * (380 - wet.hotOut()) + wet.latent() / 0.2, withinPercentage(0.01));
        assertThat(wet.latent() / 0.2).isCloseTo(wet.condensed() * 2.45e6, withinPercentage(3));
        assertThat(wet.coldest()).isBetween(278.0, steady.dewPoint());
    }

    private static MetalField settled(Effectiveness arrangement, double hotRate, DampCharge damp, double step) {
        MetalField field = MetalField.of(arrangement, 4000, 290);
        for (int i = 0; i < 2000; i++) {
            field.step(step, hotRate, 380, FILMS.hotToMetal(), 1200, 278, FILMS.metalToCold(), damp);
        }
        return field;
    }

    @ParameterizedTest
    @EnumSource(Effectiveness.class)
    void anyStepIsStable(Effectiveness arrangement) {
        double hotRate = FLOW * HUMID.heatCapacity(329);
        DampCharge damp = DampCharge.of(HUMID, FLOW, PRESSURE);
        assertThat(settled(arrangement, hotRate, damp, 1e4).hotOut())
                .isCloseTo(settled(arrangement, hotRate, damp, 0.2).hotOut(), within(0.02));
    }

    private static Systems sea(double humidity) {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.raw = Optional.of(new RawWaterSpec(281.15, 0));
        Systems s = l.systems();
        s.humidity = humidity;
        s.ambientT = 305;
        return s;
    }

    @Test
    void runOfADrippingCoreEndsWhereTheSteadySolverSays() {
        ChargeSystem system = sea(0.9).system();
        SteadyResult steady = system.steady(POINT);
        Trace trace = EnduranceRun.run(system, hold(400), 0.2);
        CoreResult core = steady.core();
        double fall = core.in() - core.out();
        assertThat(core.condensate().latentHeat()).as("worth counting").isGreaterThan(0.08 * core.heat());
        assertThat(last(trace.core().out())).isCloseTo(core.out(), within(0.01 * fall));
        assertThat(last(trace.core().condensate())).isCloseTo(core.condensate().flow(), withinPercentage(6));
        assertThat(trace.audit().error()).isLessThan(0.005);
        assertThat(trace.audit().latent())
                .isBetween(0.05 * trace.audit().taken(), 0.5 * trace.audit().taken());
        double dryOut = sea(0.02).system().steady(POINT).core().out();
        assertThat(core.out()).as("the latent heat costs a few kelvin").isBetween(dryOut + 0.5, dryOut + 12);
    }

    @Test
    void halvingTheStepChangesNothingWhereItDrips() {
        ChargeSystem system = sea(0.9).system();
        Trace coarse = EnduranceRun.run(system, hold(60), 0.2);
        Trace fine = EnduranceRun.run(system, hold(60), 0.1);
        for (int i = 9; i < coarse.length(); i++) {
            assertThat(fine.intake()[2 * i + 1]).isCloseTo(coarse.intake()[i], within(0.1));
        }
    }

    @Test
    void iceMeltsSoonerOnADampDay() {
        assertThat(melted(0.9)).isGreaterThan(1.05 * melted(0.02));
    }

    /** kg in a minute. */
    private static double melted(double humidity) {
        Loops l = new Loops();
        l.radiator = Optional.empty();
        l.volume = 12e-3;
        l.tank = Optional.of(
                new TankSpec(40e-3, false, OptionalDouble.empty(), new IceSpec(8, 0.02, IceSpec.Stir.SPRAYED), false));
        Systems s = l.systems();
        s.humidity = humidity;
        s.ambientT = 305;
        return 8 - last(EnduranceRun.run(s.system(), hold(60), 0.2).core().ice());
    }
}
