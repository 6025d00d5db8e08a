package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.room.AskedGap;
import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.ObstacleShape;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.space.Frustum;
import io.enthalpa.core.space.Gaps;
import io.enthalpa.core.space.Solid;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** What fabricators accept, common practice, no source: not checks of a figure, but of what is asked and told. */
class TradeGapsTest {
    private static double asked(Nature nature) {
        ObstacleShape any = new ObstacleShape.Box(0, 1, 0, 1, 0, 1, 0, 0, 0);
        return AskedGap.from(Rooms.of("any", nature, any), Carrier.BODY.name()).still();
    }

    /** TF-15: 5 to 10 mm to a fixed bar with edge trim; 6 all round where mounts are stiff; 75 to 90 free behind a core; never touching a line. */
    @Test
    void gapsAskedAreThoseAccepted() {
        assertThat(asked(Nature.TRIMMED_EDGE)).isBetween(0.005, 0.010);
        assertThat(asked(Nature.BODY)).isBetween(0.005, 0.010);
        assertThat(AskedGap.between(Carrier.BODY.name(), Carrier.BODY.name()).still())
                .isEqualTo(0.006);
        assertThat(AirBehind.WANTED).isBetween(0.075, 0.090);
        assertThat(asked(Nature.LINE)).isGreaterThanOrEqualTo(0.010);
    }

    private static Obstacle bar(String name, double bottom, double top) {
        return Rooms.of(name, Nature.TRIMMED_EDGE, new ObstacleShape.Box(-0.1, 0.1, -0.5, 0.5, bottom, top, 0, 0, 0));
    }

    private static double missing(double diameter, double up) {
        Solid pipe =
                Solid.of("pipe", Frustum.cylinder(new Vector3D(-0.3, 0, up), new Vector3D(0.3, 0, up), diameter / 2));
        double above = Gaps.between(pipe, bar("upper", 0.035, 0.1).solid(), 0.1)
                .orElseThrow()
                .value();
        double below = Gaps.between(pipe, bar("lower", -0.1, -0.035).solid(), 0.1)
                .orElseThrow()
                .value();
        return -(above + below);
    }

    /** TF-16: a pipe of 76 does not pass between bars 70 apart, 6 short however it lies; one of 57 does, and two of 57 beside one another as well. */
    @Test
    void pipeOf76IsSixShortOfSeventy() {
        assertThat(missing(0.076, 0)).isCloseTo(0.006, within(1e-5));
        assertThat(missing(0.076, 0.002)).isCloseTo(0.006, within(1e-5));
        assertThat(missing(0.057, 0)).isCloseTo(-0.013, within(1e-5));
        // 6.5 to either bar: what is asked of an edge with trim.
        assertThat(0.013 / 2).isGreaterThan(asked(Nature.TRIMMED_EDGE));
    }

    /** TF-15: a core that touches is told to stand in it, and one with 6.5 to spare of a trimmed bar fits. */
    @Test
    void coreBesideABarIsJudgedSo() {
        BuildOption core = Rooms.core(Systems.standard(), 0, 0, 0);
        RoomSpec near = Rooms.room(bar("bar", 0.1315, 0.2));
        RoomSpec inside = Rooms.room(bar("bar", 0.119, 0.2));
        assertThat(FitFinding.of(Fit.of(core, near), 20).get(0).kind()).isEqualTo(FitFinding.Kind.FIT_FITS);
        assertThat(FitFinding.of(Fit.of(core, inside), 20).get(0).kind()).isEqualTo(FitFinding.Kind.FIT_INSIDE);
    }

    /** TF-34: a number plate before the opening is a wall, and less air comes for it. */
    @Test
    void plateBeforeTheOpeningIsAWall() {
        Obstacle plate = Rooms.box("plate", -0.05, -0.048, -0.26, 0.26, -0.06, 0.05);
        assertThat(AirSeenTest.free(plate)).isCloseTo(0.5, within(0.1));
        assertThat(AirSeenTest.free()).isEqualTo(1);
    }
}
