package io.enthalpa.server.answers;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.build.SharedLoops;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.place.Spot;
import io.enthalpa.core.sizing.CoolingMethod;
import io.enthalpa.core.sizing.MethodSizing;
import io.enthalpa.core.sizing.UsualLoop;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.server.problem.Asked;
import io.enthalpa.server.work.Work;
import java.util.Arrays;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Generic parts put into an option of a document that need not be saved: another cooling, the pieces of a loop. Stateless. */
@RestController
@RequestMapping("/api/preview")
class SizingController {
    private final Work work;

    SizingController(Work work) {
        this.work = work;
    }

    /** @param cooled the title of a method, "water and radiator" */
    record CooledRequest(JsonNode document, String option, String cooled) {}

    /** The option as it stands in a build file. */
    record OptionView(JsonNode option) {}

    /** The option cooled another way, sized by default until it keeps the target over the duty; 422 when it cannot be. */
    @PostMapping("/cooled")
    OptionView cooled(
            @RequestHeader(name = Work.PAGE, required = false) @Nullable String page,
            @RequestBody CooledRequest request) {
        CoolingMethod method = method(Asked.text(request.cooled(), "cooled"));
        Build build = BuildFile.read(Asked.document(request.document()));
        return work.now(
                page,
                "cooled",
                () -> new OptionView(BuildFile.tree(MethodSizing.inPlace(build, Asked.text(request.option(), "option"))
                        .option(method))));
    }

    private static CoolingMethod method(String title) {
        return Arrays.stream(CoolingMethod.values())
                .filter(m -> m.title().equals(title))
                .findFirst()
                .orElseThrow(() -> EnthalpaFault.of(
                        FaultKind.MALFORMED,
                        "/cooled",
                        "cooled",
                        "\"" + title + "\"",
                        "one of "
                                + Arrays.stream(CoolingMethod.values())
                                        .map(CoolingMethod::title)
                                        .collect(Collectors.joining(", ")),
                        ""));
    }

    /**
     * @param place  pointer of a core within the option
     * @param with   name of the core whose loop it joins; empty for a loop of its own again
     * @param stands "beside" or "behind"; beside where left out
     */
    record SharedRequest(
            JsonNode document,
            String option,
            String place,
            @Nullable String with,
            @Nullable String stands) {}

    /** The option with a core put on another core's water loop, or given one of its own like that. */
    @PostMapping("/shared-loop")
    OptionView sharedLoop(@RequestBody SharedRequest request) {
        BuildOption option =
                BuildFile.read(Asked.document(request.document())).option(Asked.text(request.option(), "option"));
        String place = Asked.text(request.place(), "place");
        Spot spot = Places.spot("core", place);
        Pieces.Placed<PathElement.Core> core = Pieces.of(PathElement.Core.class, option.path()).stream()
                .filter(c -> c.spot().equals(spot))
                .findFirst()
                .orElseThrow(() -> Places.noSuch("core", place));
        return new OptionView(BuildFile.tree(
                request.with() == null
                        ? SharedLoops.own(option, core)
                        : SharedLoops.join(option, core, request.with(), stands(request.stands()))));
    }

    private static CoolingSide.OnLoop stands(@Nullable String word) {
        if (word == null || word.equals("beside")) {
            return CoolingSide.OnLoop.BESIDE;
        }
        if (word.equals("behind")) {
            return CoolingSide.OnLoop.BEHIND;
        }
        throw EnthalpaFault.of(FaultKind.MALFORMED, "/stands", "stands", "\"" + word + "\"", "beside or behind", "");
    }

    /** @param place pointer of a water-cooled core within the option */
    record DrawnRequest(JsonNode document, String option, String place) {}

    /** The option with the usual pieces in that core's loop, whose flow then follows from its pump. */
    @PostMapping("/drawn-loop")
    OptionView drawnLoop(@RequestBody DrawnRequest request) {
        Build build = BuildFile.read(Asked.document(request.document()));
        BuildOption option = build.option(Asked.text(request.option(), "option"));
        String place = Asked.text(request.place(), "place");
        Spot spot = Places.spot("core", place);
        Pieces.Placed<PathElement.Core> core = Pieces.of(PathElement.Core.class, option.path()).stream()
                .filter(c -> c.spot().equals(spot) && c.piece().loop().isPresent())
                .findFirst()
                .orElseThrow(() -> Places.noSuch("water-cooled core", place));
        return new OptionView(BuildFile.tree(option.withLoop(
                core, loop -> UsualLoop.drawn(loop, build.fullLoad().speed()))));
    }
}
