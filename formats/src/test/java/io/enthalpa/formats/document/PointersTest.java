package io.enthalpa.formats.document;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.place.Subject;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class PointersTest {
    private static final Spot IN_LEG = Spot.of(3).leg(1).at(2);

    static Stream<Arguments> places() {
        return Stream.of(
                Arguments.of(Subject.Whole.TARGETS, "timingPull", "/targets/timingPull_C"),
                Arguments.of(Subject.Whole.GEARING, "ratios/2", "/gearing/ratios/2"),
                Arguments.of(Subject.Whole.DUTY, "rows/2/time", "/duty/rows/2/time_s"),
                Arguments.of(
                        Subject.Whole.DUTY, "pieces/1/pieces/0/engineSpeed", "/duty/pieces/1/pieces/0/engineSpeed_rpm"),
                Arguments.of(Subject.Whole.OPTION, "boost", "/boost_kPa"),
                Arguments.of(Subject.Whole.PATH, "", "/path"),
                Arguments.of(Spot.of(3), "height", "/path/3/height_mm"),
                Arguments.of(IN_LEG, "block/chargeFin/thickness", "/path/3/legs/1/path/2/block/chargeFin/thickness_mm"),
                Arguments.of(new Subject.Loop(IN_LEG), "tank/ice", "/path/3/legs/1/path/2/water/tank/ice_kg"),
                Arguments.of(new Subject.Loop(Spot.of(3)), "radiator/height", "/path/3/water/radiator/height_mm"),
                Arguments.of(new Subject.LoopPiece(Spot.of(3), 6), "bore", "/path/3/water/pieces/6/bore_mm"),
                Arguments.of(new Subject.Way(1), "layers/0", "/airWays/1/layers/0"),
                Arguments.of(new Subject.Layer(0, 2), "name", "/airWays/0/layers/2/name"));
    }

    /** Core speaks of its own records; the file's keys, units and all, are found here. */
    @ParameterizedTest
    @MethodSource("places")
    void refusalOfCoreIsFoundInTheFile(Subject subject, String field, String pointer) {
        assertThat(Pointers.field(EnthalpaFault.of(FaultKind.CONTRADICTION, subject, field, "", "", "", "")))
                .isEqualTo(pointer);
    }

    @ParameterizedTest
    @CsvSource({"/path/0", "/path/12", "/path/3/legs/1/path/2"})
    void pointerOfAPieceIsReadAsItIsWritten(String pointer) {
        assertThat(Pointers.spot(pointer).map(Pointers::of)).contains(pointer);
    }

    @Test
    void otherPointersSpeakOfNoPiece() {
        assertThat(Stream.of("", "/path", "/path/x", "/path/3/water", "/path/99999", "/path/3/legs/0")
                        .map(Pointers::spot))
                .allMatch(java.util.Optional::isEmpty);
    }
}
