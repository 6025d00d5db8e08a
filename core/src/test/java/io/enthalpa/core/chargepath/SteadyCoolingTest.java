package io.enthalpa.core.chargepath;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.SteadyCooling.ColdStream;
import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.exchanger.HeatTransfer;
import io.enthalpa.core.fluid.HumidAir;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A core held at one point: 0.15 kg/s of dry charge, cp 1010.5 between 400 K and what it comes to. */
class SteadyCoolingTest {
    private static final double CP = 1010.5;
    private final ChargeCooler cooler = new ChargeCooler(Systems.standard().core());

    /** What the charge gives is the core's conductance over its own and the stream's resistance to the sink, G 100 K / (1 + G R). */
    @ParameterizedTest
    @CsvSource({"0, 1.0, 1007", "0.003, 0.5, 2000", "0.01, 0.5, 2000"})
    void heatIsConductanceOverBothResistances(double resistance, double flow, double rate) {
        SteadyCooling core = new SteadyCooling(cooler, new ColdStream(flow, rate, 300, resistance));
        double out = core.outletTemperature(HumidAir.DRY, 0.15, 400);
        double g = core.transfer(HumidAir.DRY, 0.15, 400, out).conductancePerKelvin();
        assertThat(0.15 * CP * (400 - out)).isCloseTo(g * 100 / (1 + g * resistance), withinPercentage(0.2));
        assertThat(core.outletTemperature(HumidAir.DRY, 0.15, 400))
                .as("asked again from where it came to")
                .isCloseTo(out, within(1e-6));
    }

    /** The first guess, 0.7 of the way, is far off; two looks do not bring it to 1e-7. */
    @Test
    void searchCutShortSaysByHowMuchItStillMoved() {
        ColdStream stream = new ColdStream(0.5, 2000, 300, 0.003);
        SteadyCooling whole = new SteadyCooling(cooler, stream);
        double out = whole.outletTemperature(HumidAir.DRY, 0.15, 400);
        assertThat(whole.unsettled()).isZero();
        SteadyCooling once = new SteadyCooling(cooler, stream, 1);
        double after = once.outletTemperature(HumidAir.DRY, 0.15, 400);
        assertThat(once.unsettled()).as("from 330 K").isCloseTo(Math.abs(after - 330), within(1e-9));
        assertThat(after).isCloseTo(out, within(1.0)).isNotCloseTo(out, within(1e-5));
        for (int i = 0; i < 5; i++) {
            once.outletTemperature(HumidAir.DRY, 0.15, 400);
        }
        assertThat(once.unsettled()).as("it goes on from where it came to").isZero();
    }

    /** From 400 to 330 K 10 610 W: the stream of 2000 W/K comes in at 300 + 0.003 x 10 610 = 331.83 K and stands at 334.48 in the mean; the charge at 365 K. */
    @Test
    void filmsAreTakenAtTheMeanOfEachStream() {
        SteadyCooling core = new SteadyCooling(cooler, new ColdStream(0.5, 2000, 300, 0.003));
        double rate = 0.15 * CP;
        HeatTransfer expected = cooler.transfer(0.15, rate, 365, 0.5, 2000, 334.48);
        assertThat(core.transfer(HumidAir.DRY, 0.15, 400, 330).conductancePerKelvin())
                .isCloseTo(expected.conductancePerKelvin(), withinPercentage(0.05));
        ColdStream stream = new ColdStream(0.5, 2000, 300, 0.003);
        assertThat(stream.inletAt(10_610)).isCloseTo(331.83, within(1e-9));
        assertThat(stream.carrying(5000).inletAt(10_610)).as("15 K more").isCloseTo(346.83, within(1e-9));
        assertThat(stream.carrying(0)).isSameAs(stream);
        ColdStream air = new ColdStream(1, 1007, 300, 0);
        assertThat(air.carrying(5000)).as("air brings itself").isSameAs(air);
    }
}
