package io.enthalpa.core.notes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Systems;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.OperatingPoint;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.place.Spot;
import java.util.List;
import org.junit.jupiter.api.Test;

class NoteTest {
    private static final OperatingPoint POINT = Systems.point(4000, 120, 25);

    private static List<Note> notes(Systems s, OperatingPoint point) {
        return Notes.about(s.system(), s.system().steady(point));
    }

    private static Note find(List<Note> notes, Note.Kind kind) {
        return notes.stream().filter(n -> n.kind() == kind).findFirst().orElseThrow();
    }

    @Test
    void healthySystemHasOnlyItsStepAndItsCloseBends() {
        assertThat(notes(Systems.standard(), POINT))
                .extracting(Note::kind)
                .containsOnly(Note.Kind.AREA_STEPS_UP, Note.Kind.BENDS_CLOSE);
        assertThat(notes(Systems.standard().evenBore(0.055), POINT))
                .extracting(Note::kind)
                .doesNotContain(Note.Kind.AREA_STEPS_UP);
    }

    @Test
    void closeBendsAreNamedInBores() {
        Note close = find(notes(Systems.standard(), POINT), Note.Kind.BENDS_CLOSE);
        assertThat(close.subject()).as("the cold pipe, 0.9 m with three bends").isEqualTo(Spot.of(4));
        assertThat(close.value()).isCloseTo(0.9 / 4 / 0.057, within(1e-9));
    }

    @Test
    void areaStepCarriesItsSizeAndPlace() {
        Note step = find(notes(Systems.standard(), POINT), Note.Kind.AREA_STEPS_UP);
        assertThat(step.subject()).as("the hot pipe, behind the 51 mm outlet").isEqualTo(Spot.of(2));
        assertThat(step.value()).isCloseTo(Math.pow(57.0 / 51.0, 2) - 1, within(1e-9));
        assertThat(step.limit()).isEqualTo(0.15);
    }

    @Test
    void fastAirIsNamedByPiece() {
        Systems s = Systems.standard();
        s.bore = 0.034;
        Note fast = find(notes(s, Systems.point(6000, 140, 30)), Note.Kind.MACH_COSTLY);
        assertThat(fast.value()).isBetween(0.3, 0.4);
        s.bore = 0.028;
        assertThat(find(notes(s, Systems.point(6000, 140, 30)), Note.Kind.MACH_BEYOND_FORMULAS)
                        .value())
                .isGreaterThan(0.4);
    }

    @Test
    void efficiencyOutsideItsTypesSpan() {
        Systems s = Systems.standard();
        s.type = BlowerType.ROOTS;
        assertThat(find(notes(s, POINT), Note.Kind.EFFICIENCY_UNUSUAL).limit()).isEqualTo(0.60);
        s.efficiency = 0.4;
        assertThat(find(notes(s, POINT), Note.Kind.EFFICIENCY_UNUSUAL).limit()).isEqualTo(0.50);
        s.efficiency = 0.55;
        assertThat(notes(s, POINT)).extracting(Note::kind).doesNotContain(Note.Kind.EFFICIENCY_UNUSUAL);
    }

    @Test
    void blowerLimitGivesReachedAndAsked() {
        Systems s = Systems.standard();
        s.maxRatio = 1.7;
        Note limited = find(notes(s, POINT), Note.Kind.BLOWER_LIMITED);
        assertThat(limited.limit()).isCloseTo(120e3, within(1.0));
        assertThat(limited.value()).isLessThan(limited.limit());
    }

    @Test
    void coreFarFromItsCardIsNamed() {
        Systems s = Systems.standard();
        s.size = new CoreSize(1.2, 0.25, 0.064);
        s.cooling = new CoolingSide.Air(new FaceAirSpec(0.02, 0.1));
        List<Note> notes = notes(s, POINT);
        assertThat(find(notes, Note.Kind.SIZE_BEYOND_CARD).value()).isCloseTo(2.4, within(1e-9));
        assertThat(find(notes, Note.Kind.COLD_FLOW_UNDER_CARD).value()).isLessThan(0.3);
        s.portBore = 0.045;
        s.size = new CoreSize(0.5, 0.05, 0.064);
        assertThat(find(notes(s, POINT), Note.Kind.CHARGE_FLOW_OVER_CARD).value())
                .isGreaterThan(1.8);
    }
}
