package io.enthalpa.formats;

import static java.util.Map.entry;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.build.Field;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.endurance.Targets;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.exchanger.ChargeCard;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.loss.PipeMaterial;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.waterloop.RadiatorSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;

/** Turns the tree of a build file into a {@link Build}, every value checked against its {@link Field}. */
final class BuildReader {
    static final Map<String, BlowerType> BLOWERS = ordered(entry("roots-type", BlowerType.ROOTS), entry("screw", BlowerType.SCREW),
            entry("centrifugal", BlowerType.CENTRIFUGAL), entry("turbo", BlowerType.TURBO));
    static final Map<String, PipeMaterial> MATERIALS = ordered(entry("aluminium", PipeMaterial.ALUMINIUM),
            entry("steel", PipeMaterial.STEEL), entry("stainless", PipeMaterial.STAINLESS), entry("silicone", PipeMaterial.SILICONE));
    private static final int MOST_OPTIONS = 26;
    private static final int MOST_PIECES = 40;
    private static final int MOST_BENDS = 40;
    private static final int MOST_ROWS = 5000;

    private BuildReader() {
    }

    @SafeVarargs
    private static <T> Map<String, T> ordered(Map.Entry<String, T>... entries) {
        Map<String, T> map = new LinkedHashMap<>();
        for (Map.Entry<String, T> e : entries) {
            map.put(e.getKey(), e.getValue());
        }
        return map;
    }

    static Build read(JsonNode tree) {
        JsonPlace root = new JsonPlace(tree, "", "");
        root.ignore("format");
        root.ignore("version");
        Build build = new Build(root.name("name"), root.text("summary"), engine(root.child("engine", "")),
                climate(root.child("climate", "")), targets(root.child("targets", "")), fullLoad(root.child("fullLoad", "")),
                duty(root.child("duty", "duty")), root.children("options", "option", MOST_OPTIONS).stream().map(BuildReader::option).toList());
        root.nothingElse();
        if (build.options().isEmpty()) {
            throw JsonPlace.malformed("/options", "options", "an empty list", "at least one option");
        }
        return build;
    }

    private static EngineSpec engine(JsonPlace place) {
        EngineSpec engine = new EngineSpec(place.number(Field.DISPLACEMENT), place.count(Field.CYLINDERS),
                place.number(Field.VOLUMETRIC_EFFICIENCY), place.number(Field.MAX_SPEED));
        place.nothingElse();
        return engine;
    }

    private static Build.Climate climate(JsonPlace place) {
        Build.Climate climate = new Build.Climate(place.number(Field.AIR_TEMPERATURE), place.number(Field.ALTITUDE),
                place.number(Field.HUMIDITY), place.optionalNumber(Field.BAROMETER));
        place.nothingElse();
        return climate;
    }

    private static Targets targets(JsonPlace place) {
        Targets targets = new Targets(place.number(Field.TARGET), place.number(Field.TIMING_PULL));
        place.nothingElse();
        return targets;
    }

    private static Build.FullLoad fullLoad(JsonPlace place) {
        Build.FullLoad load = new Build.FullLoad(place.number(Field.FULL_LOAD_SPEED), place.number(Field.FULL_LOAD_ROAD_SPEED));
        place.nothingElse();
        return load;
    }

    private static Duty duty(JsonPlace place) {
        List<DutyPoint> rows = place.children("rows", "duty row", MOST_ROWS).stream().map(BuildReader::row).toList();
        Duty duty = new Duty(place.name("name"), place.flag("boostFollowsBrief"), place.number(Field.DUTY_START_ABOVE),
                place.count(Field.DUTY_REPEATS), place.number(Field.DUTY_WAIT), rows);
        place.nothingElse();
        return duty;
    }

    private static DutyPoint row(JsonPlace place) {
        DutyPoint row = new DutyPoint(place.number(Field.DUTY_TIME), place.number(Field.DUTY_SPEED), place.number(Field.DUTY_BOOST),
                place.number(Field.DUTY_ROAD_SPEED));
        place.nothingElse();
        return row;
    }

    private static BuildOption option(JsonPlace place) {
        String letter = place.text("letter");
        if (!letter.matches("[A-Z]")) {
            throw JsonPlace.malformed(place.pointer() + "/letter", "option letter", "\"" + letter + "\"", "one capital letter A to Z");
        }
        BuildOption option = new BuildOption(letter, place.name("name"), place.number(Field.BOOST),
                place.children("path", "piece", MOST_PIECES).stream().map(BuildReader::piece).toList());
        place.nothingElse();
        return option;
    }

    private static PathElement piece(JsonPlace unnamed) {
        String kind = unnamed.text("kind");
        String name = unnamed.name("name");
        JsonPlace place = unnamed.calledNow(name);
        place.ignore("kind");
        place.ignore("name");
        PathElement piece = switch (kind) {
            case "filter" -> new PathElement.Filter(name, place.number(Field.FILTER_BORE), place.number(Field.FILTER_LOSS),
                    place.number(Field.FILTER_FLOW), place.number(Field.FILTER_HEAT));
            case "blower" -> new PathElement.Blower(name, new BlowerSpec(place.oneOf("type", BLOWERS), place.number(Field.BLOWER_EFFICIENCY),
                    place.number(Field.BLOWER_MAX_RATIO), place.number(Field.BLOWER_BORE)));
            case "pipe" -> new PathElement.Pipe(name, pipe(place, name));
            case "core" -> core(place, name);
            case "plenum" -> new PathElement.Plenum(name, place.number(Field.PLENUM_BORE));
            default -> throw JsonPlace.malformed(place.pointer() + "/kind", name + ", kind", "\"" + kind + "\"",
                    "one of filter, blower, pipe, core, plenum");
        };
        place.nothingElse();
        return piece;
    }

    private static PipeSpec pipe(JsonPlace place, String name) {
        double bore = place.number(Field.PIPE_BORE);
        List<PipeSpec.Bend> bends = place.children("bends", name + ", bend", MOST_BENDS).stream().map(bend -> {
            PipeSpec.Bend read = new PipeSpec.Bend(bend.number(Field.BEND_ANGLE), bend.number(Field.BEND_RADIUS));
            bend.nothingElse();
            if (read.radius() < 0.7 * bore) {
                throw EnthalpaFault.of(FaultKind.CONTRADICTION, bend.pointer() + "/radius_mm", name + ", bend radius",
                        "%.0f mm".formatted(read.radius() * 1000), "at least 0.7 times the bore, %.0f mm".formatted(700 * bore),
                        "Take a wider bend or a smaller pipe; standard stock has 1.5 times the bore.");
            }
            return read;
        }).toList();
        return new PipeSpec(place.oneOf("material", MATERIALS), bore, place.number(Field.PIPE_LENGTH), bends);
    }

    private static PathElement.Core core(JsonPlace place, String name) {
        boolean air = place.oneOf("cooledBy", Map.of("air", true, "water", false));
        CoreSize size = new CoreSize(place.number(Field.CORE_WIDTH), place.number(Field.CORE_HEIGHT), place.number(Field.CORE_DEPTH));
        CoolingSide cooling = air ? new CoolingSide.Air(face(place.child("air", name)))
                : new CoolingSide.Water(loop(place.child("water", name)));
        CoreSpec spec = new CoreSpec(place.name("construction"), size, place.number(Field.CORE_PORT), card(place.child("card", name), air));
        return new PathElement.Core(name, spec, cooling);
    }

    private static ChargeCard card(JsonPlace place, boolean air) {
        CoreSize size = new CoreSize(place.number(Field.CARD_WIDTH), place.number(Field.CARD_HEIGHT), place.number(Field.CARD_DEPTH));
        ChargeCard card = new ChargeCard(size, place.number(Field.CARD_MASS), place.number(Field.CARD_FLOW), place.number(Field.CARD_PRESSURE),
                place.number(Field.CARD_IN), place.number(Field.CARD_OUT), place.number(Field.CARD_LOSS),
                air ? ChargeCard.Coolant.AIR : ChargeCard.Coolant.WATER,
                air ? place.number(Field.CARD_AIR_SPEED) : 0, air ? 0 : place.number(Field.CARD_WATER_FLOW),
                place.number(Field.CARD_COOLANT_IN), place.number(Field.CARD_CHARGE_SHARE), place.number(Field.CARD_WALL_SHARE));
        place.nothingElse();
        if (card.chargeShare() + card.wallShare() > 0.97) {
            throw EnthalpaFault.of(FaultKind.CONTRADICTION, place.pointer() + "/wallShare_pct", "card: charge and wall share together",
                    "%.0f %%".formatted(100 * (card.chargeShare() + card.wallShare())), "at most 97 %",
                    "The rest is the cooling side, which always has some.");
        }
        return card;
    }

    private static FaceAirSpec face(JsonPlace place) {
        FaceAirSpec face = new FaceAirSpec(place.number(Field.AIR_FACE_SHARE), place.number(Field.AIR_STANDSTILL));
        place.nothingElse();
        return face;
    }

    private static WaterLoopSpec loop(JsonPlace place) {
        WaterLoopSpec loop = new WaterLoopSpec(place.number(Field.WATER_FLOW), place.number(Field.WATER_VOLUME),
                radiator(place.child("radiator", "")));
        place.nothingElse();
        return loop;
    }

    private static RadiatorSpec radiator(JsonPlace place) {
        CoreSize size = new CoreSize(place.number(Field.RADIATOR_WIDTH), place.number(Field.RADIATOR_HEIGHT), place.number(Field.RADIATOR_DEPTH));
        RadiatorSpec radiator = new RadiatorSpec(size, place.number(Field.RADIATOR_HEAT), place.number(Field.RADIATOR_WATER_FLOW),
                place.number(Field.RADIATOR_WATER_IN), place.number(Field.RADIATOR_AIR_SPEED), place.number(Field.RADIATOR_AIR_IN),
                face(place.child("air", "radiator")));
        place.nothingElse();
        return radiator;
    }
}
