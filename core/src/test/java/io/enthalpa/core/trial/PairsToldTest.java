package io.enthalpa.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Paths;
import io.enthalpa.core.Rooms;
import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.Banks;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathElement.Balance;
import io.enthalpa.core.chargepath.PathElement.Leg;
import io.enthalpa.core.chargepath.PathElement.Parallel;
import io.enthalpa.core.fit.FitFinding;
import io.enthalpa.core.fit.FitFinding.Kind;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A core of one outlet, behind it two ways of 51 and 45 mm to a bank each, the second longer. */
class PairsToldTest {
    private static Build build(Optional<Balance> balance) {
        return build(0.045, 1.5, 5, balance);
    }

    private static Build build(double bore, double length, int bends, Optional<Balance> balance) {
        Parallel banks = new Parallel(
                "banks",
                0.4,
                List.of(
                        new Leg("left", List.of(Paths.pipe("a", 0.051, 0.6, 2), Paths.plenum())),
                        new Leg("right", List.of(Paths.pipe("b", bore, length, bends), Paths.plenum()))),
                0,
                0.063,
                balance);
        List<PathElement> path = List.of(Paths.filter(), Paths.blower(), Paths.core("core"), banks);
        return Rooms.build(Rooms.room(), new BuildOption("A", "first", 100e3, path, List.of(), List.of()));
    }

    private static List<FitFinding> told(Build build) {
        return PairsTold.of(build, "A").get(0).says();
    }

    private static double off(Build build) {
        return Banks.of(new Answer(build, "A").steady().path().pieces().get(3)).off();
    }

    /** TF-14's arithmetic: (51^2 + 45^2) over the square of the 63 mm that the core ends on. */
    @Test
    void areaWaysAndBanksAreTold() {
        List<FitFinding> says = told(build(Optional.empty()));
        assertThat(says)
                .extracting(FitFinding::kind)
                .containsExactly(Kind.PAIR_AREA, Kind.PAIR_WAYS, Kind.BANKS_EVEN, Kind.BANKS_TUBE_WOULD);
        assertThat(says.get(0).figures().get(0).value()).isCloseTo(4626.0 / 3969, within(1e-9));
        assertThat(says.get(1).figures().get(2).value())
                .isGreaterThan(2 * says.get(1).figures().get(1).value());
        assertThat(says.get(2).of()).isEqualTo("left");
    }

    /** What it says of the tube is what comes of a tube. */
    @Test
    void theTubeIsTriedTheOtherWayAbout() {
        Build bare = build(Optional.empty());
        Build tied = build(Optional.of(Balance.USUAL));
        assertThat(off(bare)).isGreaterThan(5 * off(tied));
        assertThat(told(bare).get(3).figures().get(2).value()).isCloseTo(off(tied), within(1e-9));
        assertThat(told(tied).get(3).kind()).isEqualTo(Kind.BANKS_TUBE_DOES);
        assertThat(told(tied).get(3).figures().get(2).value()).isCloseTo(off(bare), within(1e-9));
    }

    @Test
    void banksOfOneKindAreAlikeAndWantNoTube() {
        List<FitFinding> says = told(build(0.051, 0.6, 2, Optional.empty()));
        assertThat(says).extracting(FitFinding::kind).containsExactly(Kind.PAIR_AREA, Kind.PAIR_WAYS, Kind.BANKS_ALIKE);
        assertThat(says.get(1).figures().get(0).value()).isCloseTo(0.5, within(1e-9));
        assertThat(told(build(0.032, 3, 9, Optional.empty())))
                .extracting(FitFinding::kind)
                .contains(Kind.BANKS_UNEVEN);
    }

    /** Filter and blower in each leg: nothing there has the area of a pipe. */
    @Test
    void blowersAloneAreToldByWhatTheyCarry() {
        Parallel blowers = new Parallel(
                "two blowers",
                0,
                List.of(
                        new Leg("left", List.of(Paths.filter(), Paths.blower())),
                        new Leg("right", List.of(Paths.filter(), Paths.blower()))),
                0.4,
                0.063,
                Optional.empty());
        List<PathElement> path = List.of(blowers, Paths.pipe("hot", 0.063, 0.5, 1), Paths.core("core"), Paths.plenum());
        Build build = Rooms.build(Rooms.room(), new BuildOption("A", "first", 100e3, path, List.of(), List.of()));
        assertThat(told(build)).extracting(FitFinding::kind).containsExactly(Kind.PAIR_WAYS);
    }
}
