package io.enthalpa.server.home;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.server.answers.Answers;
import io.enthalpa.server.answers.PathView;
import io.enthalpa.server.answers.SoakView;
import io.enthalpa.server.answers.SteadyView;
import io.enthalpa.server.builds.BuildService;
import io.enthalpa.server.builds.BuildState;
import io.enthalpa.server.problem.FaultView;
import io.enthalpa.server.work.Work;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What the list of builds shows of each: the charge line in small and what every option says. Computed once for a version of a build and
 * kept with it; computed anew when the build, or this program, is another.
 */
@RestController
@RequestMapping("/api/home")
class HomeController {
    private final BuildService builds;
    private final VerdictStore store;
    private final Work work;
    private final JsonMapper json;
    private final String madeBy;

    HomeController(BuildService builds, VerdictStore store, Work work, JsonMapper json) {
        this.builds = builds;
        this.store = store;
        this.work = work;
        this.json = json;
        this.madeBy = ProgramStamp.now();
    }

    /** What an option says, or why it says nothing. */
    record OptionVerdict(
            String letter,
            String name,
            SoakView.@Nullable VerdictView verdict,
            @Nullable FaultView fault) {}

    /** The last option's charge line, as much of it as is drawn small; {@code path} as in the build file. */
    record SmallLine(List<PathView.StationView> stations, List<PathView.PieceView> pieces, JsonNode path) {}

    /** @param revision the version it was computed for */
    record HomeVerdict(
            long id,
            int revision,
            int repeats,
            List<OptionVerdict> options,
            @Nullable SmallLine line) {}

    /** Those that are known; the others are asked for one by one. */
    @GetMapping
    List<HomeVerdict> known() {
        return store.all(madeBy).stream()
                .map(card -> json.readValue(card, HomeVerdict.class))
                .toList();
    }

    /** Computes what is not known yet of a build's newest version. 422 when it cannot be read. */
    @PostMapping("/{id}")
    HomeVerdict verdict(@PathVariable long id) {
        BuildState state = builds.get(id);
        String card = store.one(id, state.revision(), madeBy).orElseGet(() -> {
            HomeVerdict verdict = work.now(null, "home", () -> computed(state));
            String made = json.writeValueAsString(verdict);
            if (made.length() <= VerdictStore.LARGEST) {
                store.keep(id, state.revision(), madeBy, made);
            }
            return made;
        });
        return json.readValue(card, HomeVerdict.class);
    }

    private static HomeVerdict computed(BuildState state) {
        Build build = BuildFile.read(state.document());
        List<OptionVerdict> options = new ArrayList<>();
        SmallLine line = null;
        for (BuildOption option : build.options()) {
            try {
                SteadyView steady = Answers.steady(build, option.letter());
                line = new SmallLine(
                        steady.stations(),
                        steady.pieces(),
                        state.document().path("options").path(options.size()).path("path"));
                options.add(new OptionVerdict(
                        option.letter(),
                        option.name(),
                        Answers.soak(build, option.letter()).verdict(),
                        null));
            } catch (EnthalpaFault fault) {
                options.add(new OptionVerdict(option.letter(), option.name(), null, FaultView.of(fault)));
            }
        }
        return new HomeVerdict(state.id(), state.revision(), build.duty().repeats(), options, line);
    }
}
