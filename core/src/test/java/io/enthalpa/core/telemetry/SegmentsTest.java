package io.enthalpa.core.telemetry;

import static io.enthalpa.core.telemetry.Channel.BOOST;
import static io.enthalpa.core.telemetry.Channel.ENGINE_SPEED;
import static io.enthalpa.core.telemetry.Channel.INTAKE;
import static io.enthalpa.core.telemetry.Channel.MARKER;
import static io.enthalpa.core.telemetry.Channel.ROAD_SPEED;
import static io.enthalpa.core.telemetry.Logs.RPM;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.telemetry.Segment.Kind;
import io.enthalpa.core.verdict.Targets;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

/** Parts of a drive on series labelled by hand. */
class SegmentsTest {
    private static final Targets TARGETS = new Targets(320, 335);
    private final Logs log = Logs.of(ENGINE_SPEED, BOOST, ROAD_SPEED, INTAKE);

    private List<Segment> found() {
        return Segments.of(log.run(), TARGETS);
    }

    private SegmentsTest off(double seconds) {
        log.then(seconds, 0, 0, 0, 310);
        return this;
    }

    private SegmentsTest idle(double seconds) {
        log.then(seconds, 900 * RPM, -60e3, 0, 312);
        return this;
    }

    private SegmentsTest cruise(double seconds) {
        log.then(seconds, 2200 * RPM, 5e3, 22, 311);
        return this;
    }

    private SegmentsTest pull(double seconds) {
        log.then(seconds, 5000 * RPM, 90e3, 30, 325);
        return this;
    }

    @Test
    void everyPartIsFoundWhereItWasPut() {
        List<Segment> found =
                off(20).idle(30).cruise(60).pull(12).cruise(25).off(40).found();
        assertThat(found)
                .extracting(Segment::kind)
                .containsExactly(Kind.OFF, Kind.IDLE, Kind.CRUISE, Kind.PULL, Kind.CRUISE, Kind.OFF);
        assertThat(found.get(3).from()).isCloseTo(110, within(0.11));
        assertThat(found.get(3).to()).isCloseTo(122, within(0.11));
        assertThat(found.get(0).from()).isZero();
        assertThat(found.get(5).to()).isCloseTo(187, within(0.11));
    }

    @Test
    void aGearChangeDoesNotPartAPull() {
        pull(6).log.then(1.4, 3500 * RPM, -20e3, 30, 325);
        assertThat(pull(6).cruise(10).found()).extracting(Segment::kind).containsExactly(Kind.PULL, Kind.CRUISE);
    }

    @Test
    void shortPullsWithAGearChangeBetweenAreOne() {
        cruise(20).pull(1.5).log.then(1.4, 3500 * RPM, -20e3, 30, 325);
        assertThat(pull(1.5).cruise(20).found())
                .extracting(Segment::kind)
                .containsExactly(Kind.CRUISE, Kind.PULL, Kind.CRUISE);
    }

    @Test
    void aLongerLiftDoes() {
        pull(6).log.then(5, 3500 * RPM, -20e3, 30, 325);
        assertThat(pull(6).found()).extracting(Segment::kind).containsExactly(Kind.PULL, Kind.CRUISE, Kind.PULL);
    }

    @Test
    void aBlipIsNoPullAndAMomentNoPart() {
        assertThat(cruise(20).pull(1.5).cruise(20).idle(2).cruise(10).found())
                .extracting(Segment::kind)
                .containsExactly(Kind.CRUISE);
    }

    @Test
    void figuresOfAPullByHand() {
        cruise(10);
        log.to(10, new double[] {5000 * RPM, 90e3, 30, 310}, new double[] {5000 * RPM, 90e3, 30, 330});
        log.to(20, new double[] {2200 * RPM, 5e3, 22, 330}, new double[] {2200 * RPM, 5e3, 22, 308});
        Segment pull = found().get(1);
        assertThat(pull.kind()).isEqualTo(Kind.PULL);
        assertThat(pull.rate()).as("20 K in 9.9 s, ends rounded off").isCloseTo(2.02, within(0.06));
        assertThat(pull.mean()).isCloseTo(320, within(0.1));
        assertThat(pull.start())
                .as("a second of what was before, one of the pull")
                .isCloseTo(310.9, within(0.4));
        assertThat(pull.highest()).isCloseTo(329, within(0.4));
        assertThat(pull.overTarget()).as("over 320 for the second half").isCloseTo(5, within(0.2));
        assertThat(pull.overTimingLine()).isZero();
        // From 330 at 1.1 K/s to a kelvin over its start.
        assertThat(pull.recovered()).isCloseTo((330 - pull.start() - 1) / 1.1, within(0.3));
    }

    @Test
    void whatDoesNotComeBackBeforeTheNextLoadHasNotRecovered() {
        assertThat(cruise(10).pull(8).found().get(1).recovered()).isNaN();
    }

    @Test
    void lapsRunFromMarkerToMarker() {
        Logs laps = Logs.of(ENGINE_SPEED, BOOST, INTAKE, MARKER)
                .then(10, 4000 * RPM, 60e3, 320, 0)
                .then(30, 4000 * RPM, 60e3, 321, 1)
                .then(32, 4000 * RPM, 60e3, 322, 2)
                .then(5, 4000 * RPM, 60e3, 322, 3);
        List<Segment> found = Segments.of(laps.run(), TARGETS).stream()
                .filter(s -> s.kind() == Kind.LAP)
                .toList();
        assertThat(found).hasSize(2);
        assertThat(found.get(0).seconds()).isCloseTo(30, within(0.11));
        assertThat(found.get(1).seconds()).isCloseTo(32, within(0.11));
    }

    @Test
    void withoutRoadSpeedSlowTurningIsIdling() {
        Logs plain = Logs.of(ENGINE_SPEED, BOOST, INTAKE)
                .then(20, 1400 * RPM, -50e3, 310)
                .then(20, 1600 * RPM, -30e3, 310)
                .then(10, 5000 * RPM, 80e3, 315);
        assertThat(Segments.of(plain.run(), TARGETS))
                .extracting(Segment::kind)
                .containsExactly(Kind.IDLE, Kind.CRUISE, Kind.PULL);
    }

    /** A border goes where it is put, but never past its neighbours; one that is not there moves nothing. */
    @Test
    void aBorderIsMovedByHand() {
        cruise(60).pull(12).cruise(25);
        List<Segment> moved = Segments.of(
                log.run(),
                TARGETS,
                new Marks(List.of(new Marks.Moved(60, 57), new Marks.Moved(30, 10)), OptionalDouble.empty()));
        assertThat(moved).extracting(Segment::kind).containsExactly(Kind.CRUISE, Kind.PULL, Kind.CRUISE);
        assertThat(moved.get(1).from()).isCloseTo(57, within(0.11));
        assertThat(moved.get(1).to()).isCloseTo(72, within(0.11));
        List<Segment> past =
                Segments.of(log.run(), TARGETS, new Marks(List.of(new Marks.Moved(72, 300)), OptionalDouble.empty()));
        assertThat(past).extracting(Segment::kind).containsExactly(Kind.CRUISE, Kind.PULL, Kind.CRUISE);
        assertThat(past.get(2).seconds()).isLessThan(0.5);
        List<Segment> before =
                Segments.of(log.run(), TARGETS, new Marks(List.of(new Marks.Moved(60, -50)), OptionalDouble.empty()));
        assertThat(before).extracting(Segment::kind).containsExactly(Kind.CRUISE, Kind.PULL, Kind.CRUISE);
        assertThat(before.get(0).seconds()).isLessThan(0.5);
    }

    /** Four laps of 60 s at speeds of their own, told by one moment in the second; the way in and out of the pits is none. */
    @Test
    void lapsByOneMomentAtTheStartLine() {
        Logs track = Logs.of(ENGINE_SPEED, BOOST, ROAD_SPEED, INTAKE);
        track.then(40, 2000 * RPM, 0, 8, 310);
        for (int lap = 0; lap < 4; lap++) {
            track.then(20, 5000 * RPM, 80e3, 50 + lap, 320);
            track.then(10, 3000 * RPM, 0, 20, 318);
            track.then(18, 4500 * RPM, 70e3, 38 - lap, 320);
            track.then(12, 3000 * RPM, 0, 15, 318);
        }
        track.then(60, 2000 * RPM, 0, 8, 310);
        List<Segment> laps = laps(track, OptionalDouble.of(100 + 19));
        assertThat(laps).hasSize(3);
        for (int k = 0; k < 3; k++) {
            assertThat(laps.get(k).from()).isCloseTo(59 + 60 * k, within(0.6));
            assertThat(laps.get(k).seconds()).isCloseTo(60, within(0.6));
        }
        assertThat(laps(track, OptionalDouble.empty())).isEmpty();
        assertThat(laps(track, OptionalDouble.of(1)))
                .as("too near the beginning to be known again")
                .isEmpty();
    }

    private static List<Segment> laps(Logs track, OptionalDouble startLine) {
        return Segments.of(track.run(), TARGETS, new Marks(List.of(), startLine)).stream()
                .filter(s -> s.kind() == Kind.LAP)
                .toList();
    }
}
