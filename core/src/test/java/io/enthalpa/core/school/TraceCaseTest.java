package io.enthalpa.core.school;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.core.Benches;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.school.TraceCase.Grade;
import io.enthalpa.core.school.TraceCase.Level;
import io.enthalpa.core.school.TraceCase.Worth;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.Suspect;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class TraceCaseTest {
    private static final List<Build> CARS = List.of(Benches.build(Systems.standard()), Benches.build(Systems.water()));

    @Test
    void theSeedMakesTheSameCaseAgain() {
        TraceCase once = TraceCase.of(CARS, Level.FAIR, 11);
        TraceCase again = TraceCase.of(CARS, Level.FAIR, 11);
        assertThat(again.hidden()).isEqualTo(once.hidden());
        assertThat(again.log().of(Channel.INTAKE)).containsExactly(once.log().of(Channel.INTAKE));
        assertThat(again.log().time()).containsExactly(once.log().time());
    }

    @Test
    void theHarderTheFewerSensors() {
        assertThat(TraceCase.of(CARS, Level.HARD, 3).log().channels())
                .containsExactlyInAnyOrder(
                        Channel.ENGINE_SPEED, Channel.ROAD_SPEED, Channel.BOOST, Channel.OUTSIDE, Channel.INTAKE);
        assertThat(TraceCase.of(CARS, Level.FAIR, 3).log().channels())
                .contains(Channel.BEFORE_CORE, Channel.AFTER_CORE);
        assertThat(TraceCase.of(CARS, Level.FAIR, 3).healthy()).isEmpty();
        assertThat(TraceCase.of(CARS, Level.EASY, 3).healthy()).isPresent();
    }

    /** Fifty seeds hide all that can be hidden, none that the car cannot have, and now and then nothing. */
    @Test
    void everyFaultComesAndSometimesNone() {
        Set<Suspect> seen = EnumSet.noneOf(Suspect.class);
        int healthy = 0;
        for (long seed = 1; seed <= 50; seed++) {
            TraceCase one = TraceCase.of(CARS.subList(1, 2), Level.HARD, seed);
            one.hidden().ifPresent(hidden -> {
                seen.add(hidden);
                assertThat(one.offered()).contains(hidden);
                assertThat(one.size()).isBetween(0.5, 0.9);
            });
            healthy += one.hidden().isEmpty() ? 1 : 0;
        }
        assertThat(seen)
                .containsExactlyInAnyOrder(
                        Suspect.WATER,
                        Suspect.AIR,
                        Suspect.CORE,
                        Suspect.BLOWER,
                        Suspect.RADIATOR,
                        Suspect.WARM_AIR,
                        Suspect.SENSOR);
        assertThat(healthy).isBetween(1, 15);
    }

    /** Where there is a sensor everywhere and the fault is large, the log itself tells it in at least nine of ten. */
    @Test
    void anEasyCaseCanBeTold() {
        int told = 0;
        for (long seed = 1; seed <= 20; seed++) {
            TraceCase one = TraceCase.of(CARS, Level.EASY, seed);
            Grade grade = one.grade(one.hidden(), one.hidden());
            assertThat(grade.cause()).isEqualTo(Worth.RIGHT);
            assertThat(grade.test()).isTrue();
            Optional<Suspect> first =
                    grade.ranking().named().stream().findFirst().map(f -> f.suspect());
            told += first.equals(one.hidden()) ? 1 : 0;
        }
        assertThat(told).isGreaterThanOrEqualTo(18);
    }

    /** One that the log cannot tell from it counts half; one that it can is wrong. */
    @Test
    void gradesFollowWhatTheLogCanTell() {
        Map<Worth, Integer> worth = new EnumMap<>(Worth.class);
        for (long seed = 1; seed <= 6; seed++) {
            TraceCase one = TraceCase.of(CARS, Level.HARD, seed);
            for (Suspect named : one.offered()) {
                if (Optional.of(named).equals(one.hidden())) {
                    continue;
                }
                Grade grade = one.grade(Optional.of(named), one.hidden());
                int at = grade.ranking().found().stream()
                        .map(f -> f.suspect())
                        .toList()
                        .indexOf(named);
                assertThat(grade.cause()).isEqualTo(grade.ranking().odds()[at] >= 0.25 ? Worth.AS_GOOD : Worth.WRONG);
                worth.merge(grade.cause(), 1, Integer::sum);
            }
        }
        assertThat(worth).containsKeys(Worth.AS_GOOD, Worth.WRONG).doesNotContainKey(Worth.RIGHT);
    }
}
