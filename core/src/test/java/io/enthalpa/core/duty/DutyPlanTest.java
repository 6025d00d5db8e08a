package io.enthalpa.core.duty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.fault.EnthalpaFault;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

class DutyPlanTest {
    private static final double RPM = Math.PI / 30;
    private static final Gearing GEARS =
            new Gearing(1.95, 3.9, List.of(3.4, 2.1, 1.4, 1.0, 0.8), 6200 * RPM, 850 * RPM);
    private static final OptionalDouble BY_GEAR = OptionalDouble.empty();

    private static List<DutyPoint> rows(DutyPiece... pieces) {
        return DutyPlan.rows(List.of(pieces), Optional.of(GEARS));
    }

    private static double end(List<DutyPoint> rows) {
        return rows.get(rows.size() - 1).time();
    }

    @Test
    void engineSpeedIsWheelTurnsTimesGears() {
        assertThat(GEARS.engineSpeed(30, 3)).isCloseTo(30 / 1.95 * 2 * Math.PI * 3.9, within(1e-9));
        assertThat(GEARS.engineSpeed(0)).as("standing it idles").isEqualTo(850 * RPM);
        assertThat(GEARS.gearAt(5)).isZero();
        assertThat(GEARS.gearAt(100))
                .as("above what top gear allows it stays in top")
                .isEqualTo(4);
        for (int gear = 0; gear < 5; gear++) {
            assertThat(GEARS.engineSpeed(GEARS.changesAt(gear), gear)).isCloseTo(6200 * RPM, within(1e-9));
        }
    }

    @Test
    void gearingThatCannotBeIsRefused() {
        assertThatThrownBy(() -> new Gearing(1.95, 3.9, List.of(1.0, 1.4), 600, 90))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("gear 2");
        assertThatThrownBy(() -> new Gearing(1.95, 3.9, List.of(), 600, 90)).hasMessageContaining("1 or more");
        assertThatThrownBy(() -> new Gearing(1.95, 3.9, List.of(1.0), 80, 90)).hasMessageContaining("above idle");
    }

    @Test
    void holdIsHeldAndReachedWithinASecond() {
        List<DutyPoint> rows = rows(
                new DutyPiece.Hold(60, 20, OptionalDouble.of(300), 50e3),
                new DutyPiece.Hold(30, 25, OptionalDouble.of(350), 80e3));
        assertThat(rows.get(0)).isEqualTo(new DutyPoint(0, 300, 50e3, 20));
        assertThat(rows.get(2)).isEqualTo(new DutyPoint(61, 350, 80e3, 25));
        assertThat(end(rows)).isEqualTo(90);
    }

    @Test
    void pullGoesUpThroughTheGearsAndLosesBoostForEachChange() {
        List<DutyPoint> rows = rows(new DutyPiece.Hold(5, 10, BY_GEAR, 0), new DutyPiece.Pull(20, 55, BY_GEAR, 100e3));
        assertThat(end(rows)).isCloseTo(25, within(1e-9));
        assertThat(rows).extracting(DutyPoint::roadSpeed).isSorted();
        int changes = GEARS.gearAt(55) - GEARS.gearAt(10);
        assertThat(rows.stream().filter(r -> r.time() > 6 && r.boost() == 0).count())
                .isEqualTo(changes)
                .isPositive();
        assertThat(rows).allSatisfy(r -> assertThat(r.speed()).isLessThanOrEqualTo(6200 * RPM * 1.001));
    }

    @Test
    void brakingIsWithTheThrottleShutAndAWaitIsOffOrIdling() {
        List<DutyPoint> rows = rows(
                new DutyPiece.Hold(5, 50, BY_GEAR, 60e3),
                new DutyPiece.Brake(4, 15),
                new DutyPiece.Wait(60, false),
                new DutyPiece.Wait(30, true));
        assertThat(rows.stream()
                        .filter(r -> r.time() == 9)
                        .findFirst()
                        .orElseThrow()
                        .boost())
                .isEqualTo(DutyPlan.SHUT);
        assertThat(rows.stream().filter(r -> r.time() == 69).findFirst().orElseThrow())
                .isEqualTo(new DutyPoint(69, 0, 0, 0));
        assertThat(rows.get(rows.size() - 1)).isEqualTo(new DutyPoint(99, 850 * RPM, DutyPlan.SHUT, 0));
    }

    @Test
    void climbTakesLengthOverSpeed() {
        assertThat(end(rows(new DutyPiece.Climb(9000, 12.5, BY_GEAR, 80e3)))).isCloseTo(720, within(1e-9));
    }

    @Test
    void repeatsRunWhatStandsInside() {
        DutyPiece lap =
                new DutyPiece.Repeat(3, List.of(new DutyPiece.Pull(6, 40, BY_GEAR, 90e3), new DutyPiece.Brake(2, 15)));
        assertThat(end(rows(new DutyPiece.Repeat(2, List.of(lap, new DutyPiece.Wait(10, true))))))
                .isCloseTo(2 * (3 * 8 + 10), within(1e-9));
    }

    @Test
    void pieceWithoutEngineSpeedNeedsGearing() {
        List<DutyPiece> pieces = List.of(
                new DutyPiece.Wait(5, true),
                new DutyPiece.Repeat(2, List.of(new DutyPiece.Pull(5, 30, BY_GEAR, 80e3))));
        assertThatThrownBy(() -> DutyPlan.rows(pieces, Optional.empty()))
                .isInstanceOfSatisfying(EnthalpaFault.class, fault -> {
                    assertThat(fault.field()).isEqualTo("pieces/1/pieces/0/engineSpeed");
                    assertThat(fault.label()).isEqualTo("duty piece 2, piece 1, engine speed");
                    assertThat(fault.sentence()).contains("Give the gearing in the Brief");
                });
    }

    @Test
    void tooManyRowsAreRefused() {
        DutyPiece often = new DutyPiece.Repeat(
                500,
                List.of(new DutyPiece.Repeat(
                        500, List.of(new DutyPiece.Pull(6, 40, BY_GEAR, 90e3), new DutyPiece.Brake(2, 15)))));
        assertThatThrownBy(() -> rows(often)).hasMessageContaining("5000 rows");
    }

    static Stream<DutyLibrary.Entry> entries() {
        return Stream.of(Optional.of(GEARS), Optional.<Gearing>empty())
                .flatMap(g -> new DutyLibrary(6500 * RPM, 90e3, g).entries().stream());
    }

    @ParameterizedTest
    @MethodSource("entries")
    void everyDutyOfTheLibraryRuns(DutyLibrary.Entry entry) {
        for (Optional<Gearing> gearing : List.of(Optional.of(GEARS), Optional.<Gearing>empty())) {
            if (gearing.isEmpty() && entry.pieces().toString().contains("OptionalDouble.empty")) {
                continue;
            }
            Duty duty = entry.duty(gearing);
            assertThat(duty.length()).isBetween(100.0, Duty.LONGEST);
            assertThat(duty.rows()).allSatisfy(r -> assertThat(r.speed()).isLessThanOrEqualTo(6500 * RPM));
            assertThat(duty.highestBoost()).isBetween(20e3, 90e3);
        }
    }

    /** Ten hours at 50 Hz: what is kept is bounded, and straight lines between it pass every row within the tolerance it tells. */
    @ParameterizedTest
    @ValueSource(ints = {200, 3000})
    void thinningIsBoundedAndTrue(int most) {
        Random random = new Random(7);
        DutyThinner thinner = new DutyThinner(most);
        List<DutyPoint> all = new ArrayList<>();
        for (int i = 0; i < 60_000; i++) {
            double lap = i % 4500 / 4500.0;
            DutyPoint p = new DutyPoint(
                    i * 0.02,
                    300 + 200 * Math.abs(Math.sin(9 * lap)) + random.nextGaussian(),
                    80e3 * Math.max(Math.sin(12 * lap), -0.5),
                    20 + 15 * Math.sin(5 * lap));
            all.add(p);
            thinner.accept(p);
        }
        List<DutyPoint> rows = thinner.rows();
        assertThat(rows.size()).isBetween(10, most + 1);
        assertThat(rows.get(rows.size() - 1)).isEqualTo(all.get(all.size() - 1));
        Duty.Cursor cursor = new Duty("log", false, 0, 1, 0, rows).cursor();
        for (DutyPoint p : all) {
            cursor.moveTo(p.time());
            assertThat(cursor.boost()).isCloseTo(p.boost(), within(2 * thinner.tolerance() * 1e3));
            assertThat(cursor.roadSpeed()).isCloseTo(p.roadSpeed(), within(2 * thinner.tolerance() * 0.5 / 3.6));
        }
    }

    @Test
    void straightLogNeedsTwoRows() {
        DutyThinner thinner = new DutyThinner(100);
        for (int i = 0; i <= 5000; i++) {
            thinner.accept(new DutyPoint(i * 0.1, 100 + i * 0.05, 1e3 + i, 10));
        }
        assertThat(thinner.rows()).hasSize(2);
        assertThat(thinner.tolerance()).isEqualTo(1);
    }
}
