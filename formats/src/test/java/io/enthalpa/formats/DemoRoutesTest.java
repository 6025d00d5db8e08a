package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.fit.GapRow;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.route.Run;
import io.enthalpa.core.route.RunName;
import io.enthalpa.core.router.Taste;
import io.enthalpa.core.trial.Opening;
import io.enthalpa.core.trial.PipeWays;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The demo's pipes: laid through its rooms so that they fit; where one does not pass, two do. */
class DemoRoutesTest {
    private static Build demo(String name) throws IOException {
        Path file = Path.of("../server/src/main/resources/demo").resolve(name + ".json");
        return BuildFile.read(BuildFile.normal(BuildFile.parse(Files.readString(file))));
    }

    @ParameterizedTest
    @CsvSource({
        "juniper, B, ''",
        "juniper, C, ''",
        "pass-van, B, cold pipe",
        "pass-van, C, ''",
        "saltline, B, ''",
        "saltline, C, ''",
        "pilot-launch, A, ''"
    })
    void areLaidSoThatAllFits(String name, String letter, String typed) throws IOException {
        Build build = demo(name);
        BuildOption option = build.option(letter);
        RoomSpec room = build.room().orElseThrow();
        Fit fit = Fit.of(
                option, room, room.obstacles().stream().map(Obstacle::solid).toList());
        assertThat(fit.pipes().unlaid()).isEmpty();
        assertThat(fit.gaps().stream().filter(GapRow::isShort)).isEmpty();
        List<String> pipes = Pieces.of(PathElement.Pipe.class, option.path()).stream()
                .map(p -> p.piece().name())
                .filter(p -> !p.equals(typed))
                .toList();
        assertThat(option.runs()).extracting(Run::of).containsAll(pipes).doesNotContain(typed);
    }

    /** Below the bonnet's frame 64 are free over the radiator: of 51 with its gaps too little; the two of 38 go the same way and are as long as each other. */
    @Test
    void whereOneDoesNotPassTwoGoSideBySide() throws IOException {
        Build build = demo("pass-van");
        PipeWays ways = new PipeWays(build, "A", RunName.ofPipe("cold pipe"), Taste.LEAST_LOSS, () -> false);
        assertThat(ways.find().ways()).isEmpty();
        // Tried last before what can be moved.
        int movable = (int) build.room().orElseThrow().obstacles().stream()
                .filter(o -> o.moving().isPresent())
                .count();
        PipeWays.Tried tried = ways.attempt(ways.tries() - movable - 1);
        assertThat(tried.opening()).isEqualTo(Opening.TWO_TUBES);
        PipeWays.Way two = tried.way().orElseThrow();
        double first = two.laid().line().length();
        double second = two.second().orElseThrow().line().length();
        assertThat(Math.max(first, second) / Math.min(first, second)).isBetween(1.0, 1.25);
    }

    /** No place that is tried gives the hose past the tyre; shifted to where least of the gaps is missing, nothing is. */
    @Test
    void whatIsShiftedUntilNothingIsMissingIsAWay() throws IOException {
        Build juniper = demo("juniper");
        BuildOption option = juniper.option("B");
        List<Run> runs = option.runs().stream()
                .filter(r -> !List.of("tank to pump", "radiator to tank").contains(r.of()))
                .map(r ->
                        r.of().equals("core to radiator") ? r.withEnd(Optional.of(new Vector3D(0.29, -0.69, 0.06))) : r)
                .toList();
        Build build = juniper.withOptions(List.of(option.withRuns(runs)));
        RunName hose = new RunName("core to radiator", Optional.of("core"));
        PipeWays.Found found = new PipeWays(build, "B", hose, Taste.LEAST_LOSS, () -> false).find();
        assertThat(found.ways()).isNotEmpty();
        assertThat(found.dropped()).isZero();
    }
}
