package io.enthalpa.core.coolingair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import io.enthalpa.core.Cases;
import io.enthalpa.core.Ways;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.FaceAir;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fluid.HumidAir;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class AirWayTest {
    private static final double OUTSIDE = 300;
    private static final double SEA_LEVEL = 101325;
    private static final Working HARD = new Working(0.012, 1);
    /** More than any exchanger can give, so that its hot side comes to the most it may. */
    private static final OptionalDouble MUCH = OptionalDouble.of(1e9);

    private static final CoreSize FACE = new CoreSize(0.5, 0.3, 0.06);

    static LongStream seeds() {
        return Cases.seeds();
    }

    /** A core whose loss is 60 Pa at 2 m/s and grows as the square. */
    private static AirWay way(AirWaySpec spec) {
        List<AirWay.Member> members = spec.layers().stream()
                .map(l -> l.isOther() ? null : new AirWay.Member(FACE, v -> 15 * v * v))
                .toList();
        return new AirWay(spec, members, OUTSIDE, SEA_LEVEL, HumidAir.DRY);
    }

    private static AirWaySpec plain() {
        Ways w = new Ways();
        w.seal = 1;
        w.layers = List.of(new Layer("core", Layer.Kind.CORE, 0, 0, 0.05, null));
        return w.spec();
    }

    /**
     * Worked by hand: opening 0.10 m2, stack 0.15 m2, exit 0.08 m2, all losses as the square of flow, road wind alone.
     * (c_in - c_out) q + rise = Q^2 (K_in rho/2/A_in^2 + 15/A^2 + rho/2/A_out^2).
     */
    @Test
    void flowIsWhatTheHandWorkedBalanceSays() {
        double rho = HumidAir.DRY.density(SEA_LEVEL, OUTSIDE);
        double v = 20;
        double in = 0.1;
        double k = 0.5 + Math.pow(1 - in / 0.15, 2);
        double perSquare = k * rho / 2 / (in * in) + 15 / (0.15 * 0.15) + rho / 2 / (0.08 * 0.08);
        double drive = (0.9 + 0.1) * rho * v * v / 2 + rho * 9.80665 * 0.3 * 40 / 340;
        Ways w = new Ways();
        w.seal = 1;
        w.opening = new OpeningSpec(0.5, 0.2, 0.9, 1, false, List.of());
        w.exitArea = 0.08;
        w.exitPressure = -0.1;
        w.layers = plain().layers();
        AirFlow flow = way(w.spec()).flow(v);
        assertThat(flow.total()).isCloseTo(Math.sqrt(drive / perSquare), withinPercentage(0.01));
        assertThat(flow.bypass()).isZero();
        assertThat(flow.layers()[0]).isCloseTo(flow.total(), withinPercentage(0.01));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void whatDrivesTheAirIsUsedUpAndWhatComesInGoesThrough(long seed) {
        Cases c = Cases.of(seed);
        Ways w = Ways.random(c);
        double speed = c.between(0.0, 60.0);
        AirFlow flow = way(w.spec()).flow(speed);
        assertThat(flow.inLoss() + flow.stackLoss() + flow.outLoss())
                .isCloseTo(flow.wind() + flow.fan() + flow.buoyancy(), within(1e-3 * (1 + flow.wind())));
        double through = flow.bypass();
        for (double lane : flow.lanes()) {
            assertThat(lane).isPositive();
            through += lane;
        }
        assertThat(through).isCloseTo(flow.total(), withinPercentage(0.01));
        assertThat(way(w.spec()).flow(speed + 5).total()).as("faster, more air").isGreaterThan(flow.total());
        w.seal = Math.min(1, w.seal + 0.1);
        assertThat(way(w.spec()).flow(speed).layers()[0])
                .as("better sealed, more through the stack")
                .isGreaterThanOrEqualTo(flow.layers()[0]);
    }

    @Test
    void standingWithoutAFanTheAirStillCreeps() {
        double face = way(plain()).faceSpeed(way(plain()).flow(0), 0);
        assertThat(face).as("neither zero nor a breeze, m/s").isBetween(0.05, 0.8);
    }

    @Test
    void fanHelpsAndBackwardsItHarms() {
        Ways w = new Ways();
        w.layers = plain().layers();
        double none = way(w.spec()).flow(8).layers()[0];
        w.fan = Optional.of(Ways.fan(false));
        double with = way(w.spec()).flow(8).layers()[0];
        w.fan = Optional.of(Ways.fan(true));
        AirFlow against = way(w.spec()).flow(8);
        assertThat(with).isGreaterThan(1.2 * none);
        assertThat(against.against()).isTrue();
        assertThat(against.layers()[0]).isLessThan(0.3 * none).isPositive();
        AirFlow fast = way(w.spec()).flow(50);
        assertThat(fast.against()).as("the wind of 180 km/h wins").isFalse();
        w.fan = Optional.of(new FanSpec(Ways.fan(false).curve(), false, 10, true));
        assertThat(way(w.spec()).flow(12).fan()).as("off, it is in the way").isNegative();
    }

    /** An exit that the wind presses on harder than the opening: nothing is blown through, warm air still rises. */
    @Test
    void windOnTheExitLeavesOnlyWarmAirRising() {
        Ways w = new Ways();
        w.layers = plain().layers();
        w.exitPressure = 1;
        w.opening = new OpeningSpec(0.6, 0.25, 0.3, 1, false, List.of());
        AirFlow flow = way(w.spec()).flow(30);
        assertThat(flow.against()).isTrue();
        assertThat(flow.wind()).isNegative();
        assertThat(flow.fan()).isZero();
        assertThat(flow.layers()[0])
                .isPositive()
                .isLessThan(0.2 * way(plain()).flow(30).layers()[0]);
    }

    /** TF-34, common practice, no source: what stands before the opening is a wall. */
    @Test
    void wallsBeforeTheOpeningTakeItsArea() {
        OpeningSpec.Wall plate = new OpeningSpec.Wall("plate", 0.4, 0.1, 0, 0);
        OpeningSpec one = new OpeningSpec(0.5, 0.2, 0.9, 0.8, false, List.of(plate));
        assertThat(one.free()).isCloseTo(0.6, within(1e-9));
        assertThat(one.area()).isCloseTo(0.6 * 0.8 * 0.1, within(1e-9));
        OpeningSpec twice = new OpeningSpec(0.5, 0.2, 0.9, 0.8, false, List.of(plate, plate));
        assertThat(twice.free()).as("two walls in one place count once").isCloseTo(0.6, within(1e-9));
        OpeningSpec outside =
                new OpeningSpec(0.5, 0.2, 0.9, 0.8, false, List.of(new OpeningSpec.Wall("bar", 0.4, 0.1, 0, 0.3)));
        assertThat(outside.free()).isCloseTo(1, within(1e-9));
        Ways w = new Ways();
        w.layers = plain().layers();
        w.exitArea = 0.3;
        double open = way(w.spec()).flow(20).total();
        w.opening = new OpeningSpec(0.6, 0.25, 0.9, 1, false, List.of(new OpeningSpec.Wall("plate", 0.55, 0.2, 0, 0)));
        assertThat(way(w.spec()).flow(20).total()).as("three quarters walled").isLessThan(0.9 * open);
    }

    @Test
    void ductGivesBackSomeOfTheStep() {
        Ways w = new Ways();
        w.opening = new OpeningSpec(0.3, 0.15, 0.9, 1, true, List.of());
        w.layers = plain().layers();
        double step = way(w.spec()).flow(20).layers()[0];
        w.ducted = true;
        assertThat(way(w.spec()).flow(20).layers()[0]).isGreaterThan(1.05 * step);
    }

    @Test
    void facesThatCoverEachOtherInPartMakeLanes() {
        Ways w = new Ways();
        w.seal = 1;
        w.layers = List.of(Ways.condenser(0), new Layer("core", Layer.Kind.CORE, 0.1, 0, 0.02, null));
        AirFlow flow = way(w.spec()).flow(20);
        assertThat(flow.lanes()).as("condenser alone, core alone, both").hasSize(3);
        AirWay way = way(w.spec());
        AirWay.Warmth warmth = way.warmth(flow, new double[] {0, 5000}, 20, HARD);
        assertThat(warmth.air()[1])
                .as("the core gets partly warmed air")
                .isGreaterThan(OUTSIDE + 0.5)
                .isLessThan(warmth.out()[0]);
        double rate = HumidAir.DRY.density(SEA_LEVEL, OUTSIDE) * HumidAir.DRY.heatCapacity(OUTSIDE);
        double carried = rate * java.util.Arrays.stream(flow.lanes()).sum() * (warmth.behind() - warmth.front());
        assertThat(carried)
                .as("what the layers gave, the air carries")
                .isCloseTo(warmth.heat()[0] + 5000, withinPercentage(0.01));
    }

    /** Kays & London (1984), from memory: two exchangers in one stream with equally hot far sides move C dT (1 - (1 - e1)(1 - e2)), whichever comes first. */
    @ParameterizedTest
    @MethodSource("seeds")
    void equallyHotExchangersMoveTheSameTogetherInEitherOrder(long seed) {
        Cases c = Cases.of(seed);
        CoreSize size = new CoreSize(0.5, 0.3, c.between(0.015, 0.05));
        double hot = c.between(320.0, 370.0);
        Layer one = new Layer(
                "one",
                Layer.Kind.CONDENSER,
                0,
                0,
                0.02,
                new OtherExchanger(
                        size, size, c.between(3e3, 12e3), 331.15, 4, 308.15, OptionalDouble.of(60), hot, MUCH));
        Layer two = new Layer(
                "two",
                Layer.Kind.OIL_COOLER,
                0,
                0,
                0.02,
                new OtherExchanger(
                        size, size, c.between(3e3, 12e3), 331.15, 4, 308.15, OptionalDouble.of(60), hot, MUCH));
        double speed = c.between(5.0, 40.0);
        Ways w = new Ways();
        w.layers = List.of(one, two);
        double[] first = heats(w.spec(), speed);
        w.layers = List.of(two, one);
        double[] second = heats(w.spec(), speed);
        assertThat(second[0] + second[1]).isCloseTo(first[0] + first[1], withinPercentage(0.1));
        assertThat(second[1]).as("who stands behind gets less").isLessThan(first[0]);
    }

    private static double[] heats(AirWaySpec spec, double speed) {
        AirWay way = way(spec);
        return way.warmth(way.flow(speed), new double[2], speed, HARD).heat();
    }

    @Test
    void warmAirComesRoundAgainOnlyWhenSlow() {
        Ways w = new Ways();
        w.layers = plain().layers();
        AirWay way = way(w.spec());
        double[] heat = {200};
        assertThat(way.warmth(way.flow(0), heat, 0, Working.STANDING).front()).isGreaterThan(OUTSIDE + 0.3);
        assertThat(way.warmth(way.flow(20), heat, 20, Working.STANDING).front()).isCloseTo(OUTSIDE, within(0.05));
        AirFlow standing = way.flow(0);
        AirWay.Warmth warmth = way.warmth(standing, heat, 0, Working.STANDING);
        assertThat(warmth.front() - OUTSIDE).isCloseTo(0.15 * (warmth.behind() - OUTSIDE), within(0.02));
    }

    @Test
    void condenserRejectsItsCardsHeatAndNothingIntoHotterAir() {
        OtherExchanger condenser = Ways.condenser(0).other();
        double air =
                condenser.speed() * condenser.size().face() * HumidAir.DRY.density(SEA_LEVEL, condenser.airOnCard());
        double perKelvin = OtherExchanger.perKelvin(
                condenser.exchanger(), air, air * HumidAir.DRY.heatCapacity(condenser.airOnCard()));
        assertThat(perKelvin * (condenser.hotOnCard() - condenser.airOnCard()))
                .isCloseTo(condenser.heat(), withinPercentage(0.5));
        Ways w = new Ways();
        w.layers = List.of(new Layer("core", Layer.Kind.CORE, 0, 0, 0.02, null), Ways.condenser(0.02));
        AirWay way = way(w.spec());
        assertThat(way.warmth(way.flow(10), new double[] {60e3, 0}, 10, HARD).heat()[1])
                .isZero();
    }

    /**
     * Worked by hand. Its card: 8 kW at 58 °C in 35 °C, so 347.8 W/K at that air. Outside 35 °C it has its 8 kW; at 25 °C 0.15 + 0.85 / 2 of them, 4.6 kW; at 5 °C
     * 1.2 kW: least when it is coldest. At 45 °C 0.15 + 0.85 (30 / 20) = 1.425 of them.
     */
    @ParameterizedTest
    @CsvSource({"308.15, 8000", "298.15, 4600", "288.15, 1200", "278.15, 1200", "318.15, 11400"})
    void condenserFollowsTheWeather(double outside, double heat) {
        Layer condenser = Ways.condenser(0);
        assertThat(condenser.asked(outside, HARD)).isCloseTo(heat, within(1e-6));
        assertThat(condenser.asked(outside, Working.STANDING)).isZero();
    }

    /** By hand: 0.012 kg/s of fuel give 6.9 MJ/kg to the coolant, 82.8 kW, and 0.9 to the oil, 10.8 kW; told loads go with the share of full load. */
    @Test
    void engineRadiatorAndOilCoolerFollowTheEngine() {
        OtherExchanger own = Ways.engineRadiator(0).other();
        assertThat(own.asked(Layer.Kind.ENGINE_RADIATOR, 250, HARD)).isCloseTo(82.8e3, within(1e-6));
        assertThat(own.asked(Layer.Kind.OIL_COOLER, 310, HARD)).isCloseTo(10.8e3, within(1e-6));
        OtherExchanger told = new OtherExchanger(
                own.size(),
                own.card(),
                45e3,
                368.15,
                5,
                308.15,
                OptionalDouble.of(95),
                369.15,
                OptionalDouble.of(40e3));
        assertThat(told.asked(Layer.Kind.ENGINE_RADIATOR, 310, new Working(0.009, 0.6)))
                .isCloseTo(24e3, within(1e-6));
    }

    /** By hand: hot side = air + heat over what it moves for each kelvin; at the most it may, heat = that times what is left of the span. */
    @Test
    void hotSideFollowsFromLoadAndAir() {
        Ways w = new Ways();
        w.layers = List.of(Ways.condenser(0.02), Ways.engineRadiator(0.02));
        AirWay way = way(w.spec());
        AirFlow flow = way.flow(20);
        AirWay.Warmth mild = way.warmth(flow, new double[2], 20, new Working(0.0016, 0.1));
        double condenser = 8e3 * (0.15 + 0.85 * (300 - 288.15) / 20);
        assertThat(mild.heat()[0]).isCloseTo(condenser, withinPercentage(1e-6));
        assertThat(mild.hot()[0]).isCloseTo(mild.air()[0] + condenser / flow.perKelvin()[0], within(1e-6));
        assertThat(mild.heat()[1]).isCloseTo(11.04e3, withinPercentage(1e-6));
        assertThat(mild.air()[1]).as("warmed by the condenser").isGreaterThan(mild.air()[0] + 1);
        AirWay.Warmth hard = way.warmth(flow, new double[2], 20, new Working(0.032, 1));
        assertThat(hard.hot()[1]).isCloseTo(369.15, within(1e-6));
        assertThat(hard.heat()[1])
                .isCloseTo(flow.perKelvin()[1] * (369.15 - hard.air()[1]), withinPercentage(1e-6))
                .isLessThan(hard.asked()[1]);
        assertThat(hard.asked()[1]).isCloseTo(220.8e3, withinPercentage(1e-6));
    }

    /**
     * By hand, at 3000 m and 0 °C (70.1 kPa, 0.894 kg/m3) against the card's 35 °C at sea level (1.1455 kg/m3): density 0.7805 of it, viscosity 17.2 over 18.9 uPa s;
     * loss 95 (0.7805)^0.7 (0.910)^0.3 = 77.6 Pa. Where a card is silent 150 Pa a metre at 1 m/s and 300 K at sea level: 0.034 m at 5 m/s 78.6 Pa there.
     */
    @Test
    void thinAirLosesLess() {
        FaceAir high = new FaceAir(0.894, 273.15);
        assertThat(Ways.engineRadiator(0).other().airLoss(5, high)).isCloseTo(77.6, within(0.4));
        OtherExchanger silent = new OtherExchanger(
                new CoreSize(0.6, 0.38, 0.034), 45e3, 368.15, 5, 308.15, OptionalDouble.empty(), 369.15);
        assertThat(silent.airLoss(5, FaceAir.atSeaLevel(300))).isCloseTo(78.6, within(0.2));
    }

    /** Fan laws (Eck, 1973, from memory): the same volume, the pressure with the density; 0.9 kg/m3 for the 1.2 of its curve, three quarters of 200 Pa. */
    @Test
    void fanPressesLessInThinAir() {
        assertThat(Ways.fan(false).rise(0, true, 0.9)).isCloseTo(150, within(1e-9));
        assertThat(Ways.fan(false).rise(0.4, true, 0.9))
                .isCloseTo(0.75 * Ways.fan(false).rise(0.4, true, 1.2), within(1e-9));
        assertThat(Ways.fan(false).rise(0.4, true, 1.2)).as("200 (1 - 0.5^2)").isCloseTo(150, within(1.0));
        assertThat(Ways.fan(false).rise(0.8, false, 0.9)).isCloseTo(-0.25 * 150, within(1e-9));
        assertThat(Ways.fan(true).rise(0.8, true, 0.6)).isCloseTo(-100 - 25, within(1e-9));
    }

    @Test
    void exchangerWiderThanTheCarIsRefusedByName() {
        Ways w = new Ways();
        w.spaceWidth = 0.45;
        w.layers = plain().layers();
        assertThatThrownBy(() -> way(w.spec()))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("core, width is 500 mm")
                .hasMessageContaining("450 mm")
                .satisfies(e -> assertThat(((EnthalpaFault) e).field()).isEqualTo("layers/0"));
    }

    /** A card of twice the width: at the same face speed half the air meets half the block, which moves half the heat and costs the same pressure. */
    @Test
    void cardOfAnotherSizeIsScaledToTheBlock() {
        CoreSize wide = new CoreSize(0.6, 0.38, 0.034);
        CoreSize narrow = new CoreSize(0.3, 0.38, 0.034);
        OptionalDouble loss = OptionalDouble.of(95);
        OtherExchanger whole = new OtherExchanger(wide, 45e3, 368.15, 5, 308.15, loss, 369.15);
        OtherExchanger half =
                new OtherExchanger(narrow, wide, 45e3, 368.15, 5, 308.15, loss, 369.15, OptionalDouble.empty());
        double rate = 1.2 * 1006;
        double all = OtherExchanger.perKelvin(whole.exchanger(), 1.2, rate);
        assertThat(OtherExchanger.perKelvin(half.exchanger(), 0.6, rate / 2)).isCloseTo(all / 2, withinPercentage(0.1));
        assertThat(half.airLoss(5, FaceAir.atSeaLevel(308.15))).isCloseTo(95, withinPercentage(1e-9));
        OtherExchanger deep = new OtherExchanger(
                new CoreSize(0.6, 0.38, 0.051), wide, 45e3, 368.15, 5, 308.15, loss, 369.15, OptionalDouble.empty());
        assertThat(deep.airLoss(5, FaceAir.atSeaLevel(308.15)))
                .as("half as deep again")
                .isCloseTo(142.5, withinPercentage(1e-9));
    }
}
