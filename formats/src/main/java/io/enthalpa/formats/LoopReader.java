package io.enthalpa.formats;

import io.enthalpa.core.build.Field;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.FinSpec;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.fluid.GlycolWater;
import io.enthalpa.core.loss.FallingCurve;
import io.enthalpa.core.loss.FittingLoss;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.waterloop.ChillerSpec;
import io.enthalpa.core.waterloop.CorePorts;
import io.enthalpa.core.waterloop.IceSpec;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.PumpSpec;
import io.enthalpa.core.waterloop.RadiatorBasis;
import io.enthalpa.core.waterloop.RadiatorSpec;
import io.enthalpa.core.waterloop.RawWaterSpec;
import io.enthalpa.core.waterloop.TankSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads the water side of a core. */
final class LoopReader {
    private static final int MOST_PIECES = 60;
    private static final int MOST_POINTS = 40;

    private LoopReader() {
    }

    static WaterLoopSpec loop(JsonPlace place, String core) {
        List<LoopPiece> pieces = place.has("pieces") ? place.children("pieces", "piece of the loop", MOST_PIECES).stream().map(LoopReader::piece).toList() : List.of();
        Optional<RadiatorSpec> radiator = place.has("radiator") ? Optional.of(radiator(place.child("radiator", ""))) : Optional.empty();
        Optional<TankSpec> tank = place.has("tank") ? Optional.of(tank(place.child("tank", "tank"))) : Optional.empty();
        Optional<ChillerSpec> chiller = place.has("chiller") ? Optional.of(chiller(place.child("chiller", "chiller"))) : Optional.empty();
        Optional<RawWaterSpec> raw = place.has("raw") ? Optional.of(raw(place.child("raw", "raw water"))) : Optional.empty();
        try {
            WaterLoopSpec loop = new WaterLoopSpec(new GlycolWater(place.optionalNumber(Field.WATER_GLYCOL).orElse(0)), place.optionalNumber(Field.WATER_FLOW),
                    place.number(Field.WATER_VOLUME), pieces, radiator, tank, chiller, raw, place.optionalNumber(Field.WATER_SOAK).orElse(0), !place.has("pumpsWhileOff") || place.flag("pumpsWhileOff"));
            place.nothingElse();
            return loop;
        } catch (EnthalpaFault fault) {
            throw fault.field().startsWith("/") ? fault : fault.at(place.pointer() + "/" + fault.field(), core + ", " + fault.label());
        }
    }

    private static LoopPiece piece(JsonPlace unnamed) {
        String kind = unnamed.text("kind");
        String name = unnamed.name("name");
        JsonPlace place = unnamed.calledNow(name);
        place.ignore("kind");
        place.ignore("name");
        double height = place.number(Field.LOOP_HEIGHT);
        LoopPiece piece = switch (kind) {
            case "pump" -> new LoopPiece.Pump(name, pump(place, name), place.number(Field.LOOP_BORE), beside(place), height);
            case "hose" -> new LoopPiece.Hose(name, hose(place, name), beside(place), height);
            case "core" -> new LoopPiece.CoreSide(name, ports(place), height);
            case "radiator" -> new LoopPiece.RadiatorSide(name, height);
            case "tank" -> new LoopPiece.Tank(name, height);
            case "chiller" -> new LoopPiece.ChillerSide(name, place.number(Field.CHILLER_LOSS), place.number(Field.CHILLER_FLOW), height);
            case "source" -> new LoopPiece.Source(name, height);
            case "outfall" -> new LoopPiece.Outfall(name, height);
            default -> fitting(place, kind, name, height);
        };
        place.nothingElse();
        return piece;
    }

    private static LoopPiece fitting(JsonPlace place, String kind, String name, double height) {
        FittingLoss type = Words.FITTINGS.get(kind);
        if (type == null) {
            throw JsonPlace.malformed(place.pointer() + "/kind", name + ", kind", "\"" + kind + "\"",
                    "one of pump, hose, core, radiator, tank, chiller, source, outfall, " + String.join(", ", Words.FITTINGS.keySet()));
        }
        return new LoopPiece.Fitting(name, type, place.number(Field.LOOP_BORE), place.optionalNumber(Field.LOOP_LENGTH).orElse(0), beside(place), height);
    }

    private static int beside(JsonPlace place) {
        return place.has(Field.LOOP_BESIDE.key()) ? place.count(Field.LOOP_BESIDE) : 1;
    }

    private static PipeSpec hose(JsonPlace place, String name) {
        return new PipeSpec(place.has("material") ? place.oneOf("material", Words.MATERIALS) : PipeMaterial.SILICONE, place.number(Field.LOOP_BORE),
                place.number(Field.LOOP_LENGTH), place.has("bends") ? PathReader.bends(place, name, place.number(Field.LOOP_BORE)) : List.of());
    }

    private static CorePorts ports(JsonPlace place) {
        return new CorePorts(place.oneOf("ports", Words.WATER_PORTS), place.oneOf("fedFrom", Words.FEEDS), place.has("boss") && place.flag("boss"));
    }

    private static PumpSpec pump(JsonPlace place, String name) {
        List<FallingCurve.Point> points = new ArrayList<>();
        for (JsonPlace point : place.children("curve", "curve point", MOST_POINTS)) {
            points.add(new FallingCurve.Point(point.number(Field.PUMP_FLOW), point.number(Field.PUMP_PRESSURE)));
            point.nothingElse();
        }
        return new PumpSpec(curve(place.pointer(), points, FallingCurve.Machine.PUMP, name), place.optionalNumber(Field.PUMP_SPEED).orElse(1), place.optionalNumber(Field.PUMP_DRIVEN),
                place.optionalNumber(Field.PUMP_EFFICIENCY).orElse(Field.PUMP_EFFICIENCY.unit().toSi(Field.PUMP_EFFICIENCY.usual())));
    }

    static FallingCurve curve(String pointer, List<FallingCurve.Point> points, FallingCurve.Machine machine, String what) {
        try {
            return new FallingCurve(points, machine, what);
        } catch (EnthalpaFault fault) {
            throw fault.at(pointer + "/curve" + (fault.field().isEmpty() ? "" : "/" + fault.field()), fault.label());
        }
    }

    private static TankSpec tank(JsonPlace place) {
        double mass = place.optionalNumber(Field.ICE_MASS).orElse(0);
        IceSpec ice = mass <= 0 ? IceSpec.NONE : new IceSpec(mass, place.optionalNumber(Field.ICE_PIECE).orElse(IceSpec.NONE.piece()),
                place.has("stirred") ? place.oneOf("stirred", Words.STIRS) : IceSpec.Stir.RETURNED);
        place.ignore("stirred");
        place.ignore(Field.ICE_PIECE.key());
        TankSpec tank = new TankSpec(place.number(Field.TANK_HOLDS), place.has("baffled") && place.flag("baffled"), place.optionalNumber(Field.TANK_START), ice,
                place.has("refilled") && place.flag("refilled"));
        place.nothingElse();
        return tank;
    }

    private static ChillerSpec chiller(JsonPlace place) {
        ChillerSpec chiller = new ChillerSpec(place.number(Field.CHILLER_CAPACITY), place.number(Field.CHILLER_COLDEST), place.number(Field.CHILLER_DROP_OUT),
                place.has("whileWaiting") && place.flag("whileWaiting"));
        place.nothingElse();
        return chiller;
    }

    private static RawWaterSpec raw(JsonPlace place) {
        RawWaterSpec raw = new RawWaterSpec(place.number(Field.RAW_TEMPERATURE), place.optionalNumber(Field.RAW_FOULING).orElse(0));
        place.nothingElse();
        return raw;
    }

    private static RadiatorSpec radiator(JsonPlace place) {
        CoreSize size = new CoreSize(place.number(Field.RADIATOR_WIDTH), place.number(Field.RADIATOR_HEIGHT), place.number(Field.RADIATOR_DEPTH));
        RadiatorSpec radiator = new RadiatorSpec(size, place.has("tubes") ? tubes(place.child("tubes", "radiator")) : card(place, size),
                place.has("air") ? CoreReader.face(place.child("air", "radiator")) : CoreReader.USUAL_FACE);
        place.nothingElse();
        return radiator;
    }

    private static RadiatorBasis card(JsonPlace place, CoreSize size) {
        CoreSize ofCard = new CoreSize(place.optionalNumber(Field.RADIATOR_CARD_WIDTH).orElse(size.width()), place.optionalNumber(Field.RADIATOR_CARD_HEIGHT).orElse(size.height()),
                place.optionalNumber(Field.RADIATOR_CARD_DEPTH).orElse(size.depth()));
        return new RadiatorBasis.Card(ofCard, place.number(Field.RADIATOR_HEAT), place.number(Field.RADIATOR_WATER_FLOW), place.number(Field.RADIATOR_WATER_IN),
                place.number(Field.RADIATOR_AIR_SPEED), place.number(Field.RADIATOR_AIR_IN), place.optionalNumber(Field.RADIATOR_WATER_LOSS),
                place.optionalNumber(Field.RADIATOR_AIR_LOSS));
    }

    private static RadiatorBasis tubes(JsonPlace place) {
        FinSpec fin = CoreReader.fin(place.child("fin", "radiator fin"));
        try {
            fin.checked("fin", "radiator fin");
        } catch (EnthalpaFault fault) {
            throw fault.at(place.pointer() + "/" + fault.field(), fault.label());
        }
        double height = place.number(Field.TUBE_HEIGHT);
        double wall = place.number(Field.TUBE_WALL);
        if (2 * wall >= height) {
            throw EnthalpaFault.of(FaultKind.CONTRADICTION, place.pointer() + "/" + Field.TUBE_WALL.key(), "tube wall", "%.2f mm".formatted(1000 * wall),
                    "less than half the tube's height, %.2f mm".formatted(500 * height), "");
        }
        RadiatorBasis tubes = new RadiatorBasis.Geometry(fin, height, wall, place.has(Field.TUBE_PASSES.key()) ? place.count(Field.TUBE_PASSES) : 1);
        place.nothingElse();
        return tubes;
    }
}
