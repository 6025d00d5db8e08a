package io.enthalpa.core.fit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.chargepath.PipeWallSpec;
import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.route.Brace;
import io.enthalpa.core.route.Fitting;
import io.enthalpa.core.route.Oval;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.Run.Corner;
import io.enthalpa.core.router.Keepout;
import io.enthalpa.core.router.Ribbon;
import io.enthalpa.core.space.Facets;
import io.enthalpa.core.space.Solid;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/**
 * The hot pipe of 60.2 outside and 57 bore, laid as in {@link FittingsTest}: 509.7 straight to the front, then a bend. Made 40 high its flats are
 * 40.438 wide, and (60.2 - 40) / 2 / tan 15 = 37.694 lead over to the round at either end.
 */
class OvalsTest {
    private static final double RIGHT = Math.PI / 2;
    private static final double REACH = 0.1 + 2 * 0.037694;

    private static Oval oval(double along, double clock) {
        return new Oval(along, 0.1, 0.04, clock, false);
    }

    private static Run hot(Oval... ovals) {
        return new Run(
                        "hot pipe",
                        Optional.of(new Vector3D(0.6, -0.8, 0)),
                        List.of(new Corner(new Vector3D(0, -0.8, 0), OptionalDouble.empty())),
                        Optional.empty())
                .withOvals(List.of(ovals));
    }

    private static Fit fit(Run run, Obstacle... obstacles) {
        return Fit.of(Rooms.core(Systems.standard(), 0, 0, 0).withRuns(List.of(run)), Rooms.room(obstacles));
    }

    /** Of a wall 100 to the right of the pipe's middle, from so far along the pipe to so far. */
    private static double gap(Run run, double from, double to) {
        return gap(run, from, to, 0.1);
    }

    private static double gap(Run run, double from, double to, double off) {
        Obstacle wall = Rooms.box("wall", 0.6 - to, 0.6 - from, -0.8 + off, -0.79 + off, -0.1, 0.1);
        return fit(run, wall).gaps().stream()
                .filter(g -> g.obstacle().isPresent() && g.body() == 1)
                .findFirst()
                .orElseThrow()
                .still();
    }

    /** 20 where a flat looks to the wall; 20 and half of 40.438 where its round does; with the flats 30 degrees off from up 20.219 cos 30 + 20. */
    @Test
    void itKeepsItsGapsByWhatItIsThere() {
        assertThat(gap(hot(oval(0.25, RIGHT)), 0.24, 0.26)).isCloseTo(0.08, within(1e-8));
        assertThat(gap(hot(oval(0.25, 0)), 0.24, 0.26)).isCloseTo(0.1 - 0.020219 - 0.02, within(1e-6));
        assertThat(gap(hot(oval(0.25, Math.toRadians(30))), 0.24, 0.26))
                .isCloseTo(0.1 - 0.020219 * Math.cos(Math.toRadians(30)) - 0.02, within(1e-6));
    }

    /**
     * Where the flat has leant half way to the round it is (20 + 30.1) / 2 from the middle, 10 nearer the round 2.68 more; a corner of a wall there at
     * 40 is cos 15 of what is left from it.
     */
    @Test
    void theFlatsLeanOutToTheRound() {
        double half = 0.2 - 0.037694 / 2;
        double lean = Math.toRadians(15);
        assertThat(gap(hot(oval(0.25, RIGHT)), half - 0.01, half + 0.01, 0.04))
                .isCloseTo((0.04 - 0.02505 - 0.01 * Math.tan(lean)) * Math.cos(lean), within(1e-6));
        assertThat(gap(hot(oval(0.25, RIGHT)), 0.05, 0.1)).isCloseTo(0.0699, within(1e-8));
        assertThat(gap(hot(oval(0.25, RIGHT)), 0.35, 0.4)).isCloseTo(0.0699, within(1e-8));
    }

    /** Two on one straight, each its own. */
    @Test
    void twoOvalsStandOnOneStraight() {
        Run run = hot(oval(0.35, RIGHT), oval(0.12, 0));
        assertThat(gap(run, 0.34, 0.36)).isCloseTo(0.08, within(1e-8));
        assertThat(gap(run, 0.11, 0.13)).isCloseTo(0.1 - 0.040219, within(1e-6));
        assertThat(fit(run).unbuildable()).isEmpty();
    }

    @Test
    void pressedItIsLessWide() {
        Oval pressed = new Oval(0.25, 0.1, 0.04, 0, true);
        assertThat(gap(hot(pressed), 0.24, 0.26)).isCloseTo(0.1 - 0.031730 / 2 - 0.02, within(1e-6));
    }

    /** Wrapped by 5 it is as much thicker all round, and no longer. */
    @Test
    void itsWrapGoesRoundIt() {
        BuildOption option = Rooms.core(Systems.standard(), 0, 0, 0).withRuns(List.of(hot(oval(0.25, RIGHT))));
        Pieces.Placed<PathElement.Pipe> pipe =
                Pieces.of(PathElement.Pipe.class, option.path()).get(0);
        BuildOption wrapped = option.with(
                pipe, p -> p.withWall(new PipeWallSpec(p.wall().thickness(), true, 0.005, Optional.empty())));
        Obstacle wall = Rooms.box("wall", 0.34, 0.36, -0.7, -0.69, -0.1, 0.1);
        assertThat(Fit.of(wrapped, Rooms.room(wall)).gaps().stream()
                        .filter(g -> g.obstacle().isPresent() && g.body() == 1)
                        .findFirst()
                        .orElseThrow()
                        .still())
                .isCloseTo(0.075, within(1e-8));
    }

    /**
     * Along the pipe a wall 100 off all of it leaves 69.9 of the round, 80 of the flat and half way between, where the flats lean, 74.95; a bare body
     * asks for 8.
     */
    @Test
    void whatItHasToSpareAlongItIsThatOfTheOvalThere() {
        Obstacle wall = Rooms.box("wall", -0.2, 0.8, -0.7, -0.69, -0.5, 0.5);
        Laid laid = fit(hot(oval(0.25, RIGHT))).pipes().laid().get(0);
        List<Keepout> wallOnly = List.of(Keepout.together("wall", wall.solid(), 0.008));
        List<Ribbon.Spot> spots = laid.ribbon(wallOnly);
        assertThat(spare(spots, 0.08)).isCloseTo(0.0619, within(1e-6));
        assertThat(spare(spots, 0.25)).isCloseTo(0.072, within(1e-6));
        double half = 0.2 - 0.037694 / 2;
        assertThat(spare(spots, half)).isCloseTo(0.06695, within(1.4e-3));
        Laid across = fit(hot(oval(0.25, 0))).pipes().laid().get(0);
        assertThat(spare(across.ribbon(wallOnly), 0.25)).isCloseTo(0.092 - 0.040219, within(1e-6));
        // Half way over it is half of 40.438 less wide: 10.11 and 25.05 of 100; 5 along the pipe are 1.4 of that.
        assertThat(spare(across.ribbon(wallOnly), half)).isCloseTo(0.092 - 0.03516, within(1.4e-3));
        // A post that stands 10 in the tube beside the oval's round is told by how deep it stands.
        Obstacle post = Rooms.box("post", 0.34, 0.36, -0.79, -0.6, -0.5, 0.5);
        assertThat(spare(across.ribbon(List.of(Keepout.together("post", post.solid(), 0.008))), 0.25))
                .isCloseTo(0.01 - 0.008 - 0.040219, within(1e-6));
    }

    private static double spare(List<Ribbon.Spot> spots, double along) {
        return spots.stream()
                .min(Comparator.comparingDouble(s -> Math.abs(s.along() - along)))
                .orElseThrow()
                .spare();
    }

    /** As a body of files: no wider than it is and closed all round. */
    @Test
    void itIsDrawnAsItIs() {
        Laid laid = fit(hot(oval(0.25, 0))).pipes().laid().get(0);
        Solid drawn = laid.drawn();
        assertThat(drawn.parts()).hasSizeGreaterThan(6);
        assertThat(Facets.of(drawn)).allSatisfy(f -> assertThat(f.triangles()).isNotEmpty());
        assertThat(Facets.of(drawn).stream()
                        .flatMap(f -> f.points().stream())
                        .filter(p -> p.getX() > 0.3 - 1e-6 && p.getX() < 0.4 + 1e-6)
                        .mapToDouble(Vector3D::getZ)
                        .max())
                .hasValueCloseTo(0.02, within(1e-9));
    }

    /** Its straight is as long as it was, and as the air sees it it is made flat. */
    @Test
    void thePieceOfTheLineIsFlatThere() {
        Laid laid = fit(hot(oval(0.25, 0))).pipes().laid().get(0);
        assertThat(laid.piece().spec().ovals()).containsExactly(Ovals.section(oval(0.25, 0), laid.pipe()));
        assertThat(laid.piece().spec().length()).isCloseTo(0.5097 + 0.3627, within(1e-9));
    }

    /** From 300 to the bend at 509.7, of which what leads over to the round takes 37.694: flat for 172.0, its middle at 386.0. On the bend it is none. */
    @Test
    void itIsAsLongAsItsStraightLeavesIt() {
        Laid laid = fit(hot()).pipes().laid().get(0);
        Oval over = Ovals.over(laid, 0.3, 0.55, 0.04).orElseThrow();
        assertThat(over.length()).isCloseTo(0.5097 - 0.037694 - 0.3, within(1e-4));
        assertThat(over.along()).isCloseTo((0.5097 - 0.037694 + 0.3) / 2, within(1e-4));
        assertThat(Ovals.over(laid, 0.02, 0.3, 0.04).orElseThrow().length()).isCloseTo(0.3 - 0.037694, within(1e-4));
        // Behind the bend the straight goes from 651.54 on, and the joint takes 50 of its end at 1014.24.
        Oval last = Ovals.over(laid, 0.6, 1.01, 0.04).orElseThrow();
        assertThat(last.along() - last.length() / 2).isCloseTo(0.65154 + 0.037694, within(1e-4));
        assertThat(last.along() + last.length() / 2).isCloseTo(1.01424 - 0.05 - 0.037694, within(1e-4));
        assertThat(Ovals.over(laid, 0.5, 0.65, 0.04)).isEmpty();
    }

    private static Buildable.Fault fault(Run run) {
        Laid laid = fit(run).pipes().laid().get(0);
        List<Buildable.Fault> all = Buildable.of(laid, run);
        assertThat(all).hasSize(1);
        return all.get(0);
    }

    /** Its middle may come as near to the bend at 509.7 as half of what it takes, 87.694. */
    @Test
    void onABendItIsMovedToTheStraight() {
        Buildable.Fault fault = fault(hot(oval(0.5, 0)));
        assertThat(fault.says().kind()).isEqualTo(Kind.FITTING_IN_BEND);
        assertThat(fault.says().figures().get(1).value()).isCloseTo(REACH, within(1e-6));
        assertThat(fault.mended().orElseThrow().ovals().get(0).along()).isCloseTo(0.5097 - REACH / 2, within(1e-6));
        assertThat(gap(hot(oval(0.5, 0)), 0.45, 0.5)).isCloseTo(0.0699, within(1e-8));
    }

    /** 500 long there is room for it on no straight: it is as long as its own leaves it, 509.7 less both leads. */
    @Test
    void tooLongForAnyStraightItIsShortened() {
        Oval mended = fault(hot(new Oval(0.25, 0.5, 0.04, RIGHT, true)))
                .mended()
                .orElseThrow()
                .ovals()
                .get(0);
        assertThat(mended.length()).isCloseTo(0.5097 - 2 * 0.037694, within(1e-4));
        assertThat(mended.clock()).isEqualTo(RIGHT);
        assertThat(mended.pressed()).isTrue();
        assertThat(Buildable.of(fit(hot(mended)).pipes().laid().get(0), hot(mended)))
                .isEmpty();
    }

    @Test
    void noFlatterThanHalfTheTubeAndFlatterThanIt() {
        Buildable.Fault flat = fault(hot(new Oval(0.25, 0.1, 0.029, 0, false)));
        assertThat(flat.says().kind()).isEqualTo(Kind.OVAL_FLAT);
        assertThat(flat.mended().orElseThrow().ovals().get(0).height()).isCloseTo(0.0301, within(1e-12));
        Buildable.Fault round = fault(hot(new Oval(0.25, 0.1, 0.0602, 0, false)));
        assertThat(round.says().kind()).isEqualTo(Kind.OVAL_ROUND);
        assertThat(round.mended()).isEmpty();
    }

    @Test
    void whatSitsThereIsTold() {
        Buildable.Fault brace = fault(hot(oval(0.25, 0)).withBraces(List.of(new Brace(0.3, "body", true))));
        assertThat(brace.says().kind()).isEqualTo(Kind.FITTING_MEETS);
        assertThat(brace.says().to()).isEqualTo("brace");
        // Up to the band of 10 to either side of the brace.
        assertThat(brace.mended().orElseThrow().ovals().get(0).along()).isCloseTo(0.29 - REACH / 2, within(1e-6));
        Fitting boss = new Fitting(Fitting.Kind.BOSS, 0.3, 0, Fitting.Size.USUAL);
        Buildable.Fault fitting = fault(hot(oval(0.25, 0)).withFittings(List.of(boss)));
        assertThat(fitting.says().to()).isEqualTo("oval");
        // Just behind it, half of its 24 farther.
        assertThat(fitting.mended().orElseThrow().fittings().get(0).along())
                .isCloseTo(0.25 + REACH / 2 + 0.012, within(1e-6));
        Buildable.Fault second = fault(hot(oval(0.25, 0), new Oval(0.3, 0.05, 0.04, 0, false)));
        assertThat(second.says().kind()).isEqualTo(Kind.FITTING_MEETS);
        assertThat(second.mended().orElseThrow().ovals().get(1).along()).isCloseTo(0.25 + REACH - 0.025, within(1e-6));
    }
}
