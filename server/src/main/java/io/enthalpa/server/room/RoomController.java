package io.enthalpa.server.room;

import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.Preset;
import io.enthalpa.formats.MeshFile;
import io.enthalpa.formats.TapeListPdf;
import io.enthalpa.formats.document.BuildDocument;
import io.enthalpa.server.problem.NotThereException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

/** Places that are measured by the tape, and the obstacles that their measures make. Stateless. */
@RestController
@RequestMapping("/api/room/presets")
class RoomController {
    record MeasureView(String key, String label, String how, double usual_mm) {}

    record PresetView(String key, String title, String datum, List<MeasureView> measures) {}

    record PresetsAnswer(List<PresetView> presets) {}

    @GetMapping
    PresetsAnswer presets() {
        return new PresetsAnswer(Preset.all().stream()
                .map(p -> new PresetView(
                        p.key(),
                        p.title(),
                        p.datum(),
                        p.measures().stream()
                                .map(m -> new MeasureView(m.key(), m.label(), m.how(), mm(m.usual())))
                                .toList()))
                .toList());
    }

    /** @return of m, to a thousandth */
    private static double mm(double m) {
        return Math.round(m * 1e6) / 1e3;
    }

    /** @param measured mm by key; what is left out is as usual */
    record TapeRequest(@Nullable Map<String, Double> measured) {}

    /** What to measure, to print. @param unit of the blanks, mm or in */
    @GetMapping(value = "/{key}/tape-list", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> tapeList(@PathVariable String key, @RequestParam(defaultValue = "mm") String unit) {
        Preset preset = preset(key);
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename("tape list " + preset.title() + ".pdf")
                                .build()
                                .toString())
                .body(TapeListPdf.of(preset, MeshFile.unit(unit)));
    }

    private static Preset preset(String key) {
        return Preset.all().stream()
                .filter(p -> p.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new NotThereException("a place called " + key));
    }

    /** @param crankshaft the engine that stands there rolls about it; missing where none does */
    record ObstaclesAnswer(
            List<JsonNode> obstacles, @Nullable PlaceView crankshaft) {}

    record PlaceView(double back_mm, double right_mm, double up_mm) {}

    @PostMapping("/{key}")
    ObstaclesAnswer obstacles(@PathVariable String key, @RequestBody TapeRequest request) {
        Preset preset = preset(key);
        Map<String, Double> measured = new HashMap<>();
        if (request.measured() != null) {
            request.measured().forEach((name, mm) -> {
                if (mm != null) {
                    measured.put(name, mm / 1000);
                }
            });
        }
        List<Obstacle> found = preset.obstacles(measured);
        return new ObstaclesAnswer(
                found.stream().map(o -> (JsonNode) BuildDocument.tree(o)).toList(),
                Preset.crankshaft(found)
                        .map(p -> new PlaceView(mm(p.getX()), mm(p.getY()), mm(p.getZ())))
                        .orElse(null));
    }
}
