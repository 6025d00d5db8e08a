package io.enthalpa.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.Rooms;
import io.enthalpa.core.Systems;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.router.Router;
import io.enthalpa.core.router.Taste;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;

/** The core of {@link Rooms} at the datum, its inlet 347 to the left; the hot pipe comes from 700 behind and 500 left of it. */
class PipeWaysTest {
    private static final Obstacle POST = Rooms.box("post", 0.25, 0.35, -0.6, -0.35, -0.3, 0.3);

    private static BuildOption option() {
        Run hot = new Run("hot pipe", Optional.of(new Vector3D(0.7, -0.5, 0)), List.of(), Optional.empty());
        return Rooms.core(Systems.standard(), 0, 0, 0).withRuns(List.of(hot));
    }

    private static PipeWays ways(Obstacle... obstacles) {
        return new PipeWays(
                Rooms.build(Rooms.room(obstacles), option()), "A", "hot pipe", Taste.LEAST_LOSS, () -> false);
    }

    private static Obstacle movable(Obstacle o) {
        return new Obstacle(
                o.name(), o.nature(), o.carrier(), o.gap(), o.shape(), Optional.of(new Obstacle.Moving(1, 0, "")));
    }

    /** Round the post; tube of 57 inside and 1.6 mm of wall weighs pi 58.6 1.6 2.7 = 795 g a metre, and holds 2.552 L. */
    @Test
    void eachWayIsLaidCheckedAndPriced() {
        PipeWays.Found found = ways(POST).find();
        assertThat(found.dropped()).isZero();
        assertThat(found.ways()).hasSizeGreaterThanOrEqualTo(2);
        for (PipeWays.Way way : found.ways()) {
            Fit fit = Fit.of(way.option(), Rooms.room(POST));
            assertThat(fit.pipes().laid()).singleElement().satisfies(l -> {
                assertThat(l.behind().orElseThrow().off()).isLessThan(0.002);
                assertThat(way.mass()).isCloseTo(0.7953 * l.line().length(), within(1e-3));
                assertThat(way.volume()).isCloseTo(2.5518e-3 * l.line().length(), within(1e-6));
            });
            assertThat(fit.fits()).isTrue();
            assertThat(way.tight().orElseThrow().missing()).isLessThan(0);
            assertThat(way.beside()).isNotEmpty();
            assertThat(way.change()).isPresent();
        }
    }

    /** The straight way, and with it the shorter pipe, is there again without the post: its loss is less. */
    @Test
    void whatAWayCostsIsWhatThePipeCosts() {
        PipeWays.Way round = ways(POST).find().ways().get(0);
        PipeWays.Way free = ways().find().ways().get(0);
        assertThat(free.laid().line().length()).isLessThan(round.laid().line().length() - 0.02);
        assertThat(free.change().orElseThrow().loss())
                .isLessThan(round.change().orElseThrow().loss() - 10);
    }

    /** A box all round the inlet but for its mouth stands too near; with a lid on it that can be taken off there is a way. */
    @Test
    void whereThereIsNoneItIsTriedWhatOpensOne() {
        Obstacle lid = movable(Rooms.box("lid", -0.2, 0.2, -0.9, -0.5, -0.4, 0.4));
        Obstacle back = Rooms.box("back", 0.2, 0.6, -0.9, -0.33, -0.8, 0.8);
        Obstacle front = Rooms.box("front", -0.6, -0.2, -0.9, -0.33, -0.8, 0.8);
        Obstacle over = Rooms.box("over", -0.2, 0.2, -0.9, -0.33, 0.4, 0.8);
        Obstacle under = Rooms.box("under", -0.2, 0.2, -0.9, -0.33, -0.8, -0.4);
        PipeWays ways = ways(lid, back, front, over, under);
        PipeWays.Found found = ways.find();
        assertThat(found.ways()).isEmpty();
        PipeWays.Tried moved = ways.attempt(ways.tries() - 1);
        assertThat(moved.opening()).isEqualTo(PipeWays.Opening.MOVED);
        assertThat(moved.obstacle()).hasValue(0);
        assertThat(moved.opens()).isTrue();
        assertThat(ways.says(moved).to()).isEqualTo("lid");
        PipeWays.Tried smaller = ways.attempt(1);
        assertThat(smaller.opening()).isEqualTo(PipeWays.Opening.SMALLER);
        assertThat(smaller.size().orElseThrow()).isCloseTo(0.057, within(1e-9));
        assertThat(smaller.opens()).isFalse();
        assertThat(ways.says(found.narrow()).kind()).isIn(Kind.WAY_NARROW, Kind.WAY_ACROSS);
    }

    /** A gate between two posts, 60 wide: the tube and its gaps want 76.2, one of 38 and its gaps 54. */
    @Test
    void aSmallerPipeOpensAGate() {
        double half = 0.03;
        Obstacle[] gate = {
            Rooms.box("left post", 0.3, 0.35, -3, -0.5 - half, -3, 3),
            Rooms.box("right post", 0.3, 0.35, -0.5 + half, 3, -3, 3)
        };
        PipeWays ways = ways(gate);
        PipeWays.Found found = ways.find();
        assertThat(found.ways()).isEmpty();
        Router.Narrow narrow = found.narrow().orElseThrow();
        assertThat(narrow.missing()).isCloseTo((0.0602 + 0.016) / 2 - half, within(2e-4));
        PipeWays.Tried last = ways.attempt(3);
        assertThat(last.size().orElseThrow()).isCloseTo(0.045, within(1e-9));
        assertThat(last.opens()).isFalse();
        Build other = Rooms.build(Rooms.room(gate), option().withPath(small()));
        assertThat(new PipeWays(other, "A", "hot pipe", Taste.LEAST_LOSS, () -> false)
                        .find()
                        .ways())
                .isNotEmpty();
    }

    private static List<PathElement> small() {
        return option().path().stream()
                .map(e -> e instanceof PathElement.Pipe p
                        ? p.withSpec(p.spec().asTube(0.038, p.wall().thickness()))
                        : e)
                .toList();
    }

    @Test
    void whatCannotBeAskedIsRefused() {
        RoomSpec room = Rooms.room(POST);
        assertThatThrownBy(() ->
                        new PipeWays(Rooms.build(room, option()), "A", "cold pipe", Taste.LEAST_LOSS, () -> false))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("the end of cold pipe is not known");
        assertThatThrownBy(
                        () -> new PipeWays(Rooms.build(room, option()), "A", "no pipe", Taste.LEAST_LOSS, () -> false))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("no pipe");
        BuildOption open = option().withRuns(List.of());
        assertThatThrownBy(() -> new PipeWays(Rooms.build(room, open), "A", "hot pipe", Taste.LEAST_LOSS, () -> false))
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining("the beginning of hot pipe is not known");
    }
}
