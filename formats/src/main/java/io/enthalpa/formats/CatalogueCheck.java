package io.enthalpa.formats;

import io.enthalpa.formats.document.BuildDocument;
import tools.jackson.databind.node.ObjectNode;

/** Reads a catalogue item's figures as the piece they would become, filled up with what only a build knows. */
final class CatalogueCheck {
    private CatalogueCheck() {}

    static void check(String kind, String name, ObjectNode figures) {
        ObjectNode piece = figures.deepCopy();
        switch (kind) {
            case "core" -> core(piece);
            case "pipe" -> {
                piece.put("length_mm", 1000);
                piece.putArray("bends");
            }
            case "bend" -> bend(piece, figures);
            case "filter" -> piece.put("heatGain_K", 0);
            default -> {
                // joints and reducers stand for themselves
            }
        }
        piece.put("kind", kind.equals("bend") ? "pipe" : kind).put("name", name);
        BuildDocument.checkPiece(piece, name);
    }

    private static void core(ObjectNode piece) {
        if (piece.path("cooledBy").asString("").equals("water")) {
            ObjectNode water = piece.putObject("water").put("flow_L_min", 20).put("volume_L", 6);
            water.putObject("radiator")
                    .put("width_mm", 400)
                    .put("height_mm", 250)
                    .put("depth_mm", 32)
                    .put("heat_kW", 12)
                    .put("waterFlow_L_min", 20)
                    .put("waterIn_C", 60)
                    .put("airSpeed_m_s", 5)
                    .put("airIn_C", 25)
                    .putObject("air")
                    .put("faceShare_pct", 22)
                    .put("standstill_m_s", 0.5);
        } else {
            piece.putObject("air").put("faceShare_pct", 22).put("standstill_m_s", 0.5);
        }
    }

    private static void bend(ObjectNode piece, ObjectNode figures) {
        piece.remove("angle_deg");
        piece.remove("radius_mm");
        piece.put("length_mm", 0);
        ObjectNode bend = piece.putArray("bends").addObject();
        for (String key : new String[] {"angle_deg", "radius_mm"}) {
            if (figures.has(key)) {
                bend.set(key, figures.get(key));
            }
        }
    }
}
