package io.enthalpa.core.duty;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.fault.EnthalpaFault;
import java.util.List;
import org.junit.jupiter.api.Test;

class DutyTest {
    private static final List<DutyPoint> ROWS = List.of(
            new DutyPoint(0, 100, -20e3, 0), new DutyPoint(10, 300, 80e3, 20), new DutyPoint(30, 500, 100e3, 40));

    @Test
    void straightBetweenRows() {
        Duty.Cursor cursor = new Duty("pull", true, 0, 1, 0, ROWS).cursor();
        assertThat(cursor.moveTo(5)).isTrue();
        assertThat(cursor.speed()).isEqualTo(200);
        assertThat(cursor.boost()).isEqualTo(30e3);
        cursor.moveTo(20);
        assertThat(cursor.roadSpeed()).isEqualTo(30);
        cursor.moveTo(30);
        assertThat(cursor.boost()).isEqualTo(100e3);
    }

    @Test
    void waitsBetweenRuns() {
        Duty duty = new Duty("day", true, 0, 3, 60, ROWS);
        assertThat(duty.length()).isEqualTo(3 * 30 + 2 * 60);
        Duty.Cursor cursor = duty.cursor();
        assertThat(cursor.moveTo(45)).isFalse();
        assertThat(cursor.speed()).isZero();
        assertThat(cursor.moveTo(95)).isTrue();
        assertThat(cursor.speed()).isEqualTo(200);
        assertThat(cursor.moveTo(210)).isTrue();
        assertThat(cursor.speed()).isEqualTo(500);
    }

    @Test
    void boostFollowsTheBriefButVacuumDoesNot() {
        Duty scaled = new Duty("pull", true, 0, 1, 0, ROWS).scaledTo(50e3);
        assertThat(scaled.rows()).extracting(DutyPoint::boost).containsExactly(-20e3, 40e3, 50e3);
        Duty fixed = new Duty("pull", false, 0, 1, 0, ROWS);
        assertThat(fixed.scaledTo(50e3)).isEqualTo(fixed);
        assertThat(scaled.highestBoost()).isCloseTo(50e3, within(1e-9));
    }

    @Test
    void refusesTimeThatRunsBackwards() {
        assertThatThrownBy(() -> new Duty("x", true, 0, 1, 0, List.of(ROWS.get(0), ROWS.get(2), ROWS.get(1))))
                .isInstanceOfSatisfying(
                        EnthalpaFault.class, f -> assertThat(f.field()).isEqualTo("rows/2/time"));
        assertThatThrownBy(() -> new Duty("x", true, 0, 1, 0, ROWS.subList(0, 1)))
                .hasMessageContaining("2 or more");
        assertThatThrownBy(() -> new Duty("x", true, 0, 1, 0, ROWS.subList(1, 3)))
                .hasMessageContaining("0 s");
        assertThatThrownBy(() -> new Duty("x", true, 0, 200, 3600, ROWS)).hasMessageContaining("at most 10 h");
    }
}
