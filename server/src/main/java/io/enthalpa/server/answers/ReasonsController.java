package io.enthalpa.server.answers;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.explain.Methods;
import io.enthalpa.core.explain.Reason;
import io.enthalpa.core.explain.Reasons;
import io.enthalpa.core.explain.RunReasons;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.formats.document.Pointers;
import io.enthalpa.server.problem.Asked;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** "How do you know?": the methods, and for each number of an answer the one that gave it with what went in. */
@RestController
class ReasonsController {

    record MethodView(
            String id,
            String title,
            String says,
            List<String> formula,
            List<String> ranges,
            List<String> sources,
            String leavesOut) {
        static MethodView of(Method m) {
            return new MethodView(
                    m.id(),
                    m.title(),
                    m.says(),
                    m.formula().isEmpty() ? List.of() : List.of(m.formula().split("; ")),
                    m.ranges().stream().map(Methods::range).toList(),
                    m.sources().stream().map(Citation::line).toList(),
                    m.leavesOut());
        }
    }

    record ChapterView(String title, List<MethodView> methods) {}

    /** A number by name, in the SI unit of its quantity. */
    record FigureView(String name, double si, Quantity quantity) {
        static FigureView of(Figure f) {
            return new FigureView(f.name(), f.value(), f.quantity());
        }
    }

    /** @param subject pointer of a piece within the option, or "/engine", "/climate", "/bay", "/path" for the whole, "/duty" for the run */
    record ReasonView(String subject, FigureView result, String method, List<FigureView> numbers) {
        static ReasonView of(Reason r) {
            return new ReasonView(
                    Pointers.of(r.subject()),
                    FigureView.of(r.result()),
                    r.method().id(),
                    r.numbers().stream().map(FigureView::of).toList());
        }
    }

    /** @param option the letter to open */
    record ReasonsRequest(JsonNode document, String option) {}

    record ReasonsAnswer(List<ReasonView> reasons) {}

    @GetMapping("/api/methods")
    List<ChapterView> methods() {
        return Methods.chapters().stream()
                .map(c -> new ChapterView(
                        c.title(), c.methods().stream().map(MethodView::of).toList()))
                .toList();
    }

    @PostMapping("/api/preview/reasons")
    ReasonsAnswer reasons(@RequestBody ReasonsRequest request) {
        Build build = BuildFile.read(Asked.document(request.document()));
        Answer answer = new Answer(build, Asked.text(request.option(), "option"));
        return new ReasonsAnswer(Stream.concat(
                        Reasons.of(build, answer.system().path(), answer.steady()).stream(),
                        RunReasons.of(answer).stream())
                .map(ReasonView::of)
                .toList());
    }
}
