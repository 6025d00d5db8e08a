package io.enthalpa.formats;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.build.Field;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.exchanger.ChargeCard;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.loss.PipeSpec;
import io.enthalpa.core.waterloop.RadiatorSpec;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Map;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Turns a {@link Build} into the tree of a build file; {@link BuildReader} reads it back. */
final class BuildWriter {
    /** Digits kept: twelve hide the rounding of unit conversion and keep far more than anybody measured. */
    private static final MathContext DIGITS = new MathContext(12);
    private final JsonMapper mapper;

    BuildWriter(JsonMapper mapper) {
        this.mapper = mapper;
    }

    ObjectNode write(Build build) {
        ObjectNode root = mapper.createObjectNode();
        root.put("format", BuildFile.FORMAT).put("version", BuildFile.VERSION).put("name", build.name()).put("summary", build.summary());
        ObjectNode engine = root.putObject("engine");
        put(engine, Field.DISPLACEMENT, build.engine().displacement());
        put(engine, Field.CYLINDERS, build.engine().cylinders());
        put(engine, Field.VOLUMETRIC_EFFICIENCY, build.engine().volumetricEfficiency());
        put(engine, Field.MAX_SPEED, build.engine().maxSpeed());
        ObjectNode climate = root.putObject("climate");
        put(climate, Field.AIR_TEMPERATURE, build.climate().temperature());
        put(climate, Field.ALTITUDE, build.climate().altitude());
        put(climate, Field.HUMIDITY, build.climate().humidity());
        build.climate().barometer().ifPresent(p -> put(climate, Field.BAROMETER, p));
        ObjectNode targets = root.putObject("targets");
        put(targets, Field.TARGET, build.targets().intake());
        put(targets, Field.TIMING_PULL, build.targets().timingPull());
        ObjectNode load = root.putObject("fullLoad");
        put(load, Field.FULL_LOAD_SPEED, build.fullLoad().speed());
        put(load, Field.FULL_LOAD_ROAD_SPEED, build.fullLoad().roadSpeed());
        duty(build, root.putObject("duty"));
        ArrayNode options = root.putArray("options");
        build.options().forEach(option -> option(option, options.addObject()));
        return root;
    }

    private static void duty(Build build, ObjectNode node) {
        node.put("name", build.duty().name()).put("boostFollowsBrief", build.duty().followsBoost());
        put(node, Field.DUTY_START_ABOVE, build.duty().startAbove());
        put(node, Field.DUTY_REPEATS, build.duty().repeats());
        put(node, Field.DUTY_WAIT, build.duty().waitTime());
        ArrayNode rows = node.putArray("rows");
        for (DutyPoint point : build.duty().rows()) {
            ObjectNode row = rows.addObject();
            put(row, Field.DUTY_TIME, point.time());
            put(row, Field.DUTY_SPEED, point.speed());
            put(row, Field.DUTY_BOOST, point.boost());
            put(row, Field.DUTY_ROAD_SPEED, point.roadSpeed());
        }
    }

    private static void option(BuildOption option, ObjectNode node) {
        node.put("letter", option.letter()).put("name", option.name());
        put(node, Field.BOOST, option.boost());
        ArrayNode path = node.putArray("path");
        option.path().forEach(element -> piece(element, path.addObject()));
    }

    private static void piece(PathElement element, ObjectNode node) {
        node.put("kind", kind(element)).put("name", element.name());
        if (element instanceof PathElement.Filter filter) {
            put(node, Field.FILTER_BORE, filter.bore());
            put(node, Field.FILTER_LOSS, filter.loss());
            put(node, Field.FILTER_FLOW, filter.flow());
            put(node, Field.FILTER_HEAT, filter.heatGain());
        } else if (element instanceof PathElement.Blower blower) {
            node.put("type", keyOf(BuildReader.BLOWERS, blower.spec().type()));
            put(node, Field.BLOWER_EFFICIENCY, blower.spec().efficiency());
            put(node, Field.BLOWER_MAX_RATIO, blower.spec().maxPressureRatio());
            put(node, Field.BLOWER_BORE, blower.spec().outletBore());
        } else if (element instanceof PathElement.Pipe pipe) {
            pipe(pipe.spec(), node);
        } else if (element instanceof PathElement.Core core) {
            core(core, node);
        } else if (element instanceof PathElement.Plenum plenum) {
            put(node, Field.PLENUM_BORE, plenum.bore());
        }
    }

    /** @return the word for the kind of a piece, as in the file */
    static String kind(PathElement element) {
        return element instanceof PathElement.Filter ? "filter" : element instanceof PathElement.Blower ? "blower"
                : element instanceof PathElement.Pipe ? "pipe" : element instanceof PathElement.Core ? "core" : "plenum";
    }

    private static void pipe(PipeSpec pipe, ObjectNode node) {
        node.put("material", keyOf(BuildReader.MATERIALS, pipe.material()));
        put(node, Field.PIPE_BORE, pipe.bore());
        put(node, Field.PIPE_LENGTH, pipe.length());
        ArrayNode bends = node.putArray("bends");
        for (PipeSpec.Bend bend : pipe.bends()) {
            ObjectNode b = bends.addObject();
            put(b, Field.BEND_ANGLE, bend.angle());
            put(b, Field.BEND_RADIUS, bend.radius());
        }
    }

    private static void core(PathElement.Core core, ObjectNode node) {
        node.put("construction", core.spec().construction()).put("cooledBy", core.cooling() instanceof CoolingSide.Air ? "air" : "water");
        size(core.spec().size(), node, Field.CORE_WIDTH, Field.CORE_HEIGHT, Field.CORE_DEPTH);
        put(node, Field.CORE_PORT, core.spec().portBore());
        card(core.spec().card(), node.putObject("card"));
        if (core.cooling() instanceof CoolingSide.Air air) {
            face(air.face(), node.putObject("air"));
        } else if (core.cooling() instanceof CoolingSide.Water water) {
            loop(water.loop(), node.putObject("water"));
        }
    }

    private static void card(ChargeCard card, ObjectNode node) {
        size(card.size(), node, Field.CARD_WIDTH, Field.CARD_HEIGHT, Field.CARD_DEPTH);
        put(node, Field.CARD_MASS, card.metalMass());
        put(node, Field.CARD_FLOW, card.chargeFlow());
        put(node, Field.CARD_PRESSURE, card.chargePressure());
        put(node, Field.CARD_IN, card.chargeIn());
        put(node, Field.CARD_OUT, card.chargeOut());
        put(node, Field.CARD_LOSS, card.loss());
        if (card.coolant() == ChargeCard.Coolant.AIR) {
            put(node, Field.CARD_AIR_SPEED, card.coolantVelocity());
        } else {
            put(node, Field.CARD_WATER_FLOW, card.coolantFlow());
        }
        put(node, Field.CARD_COOLANT_IN, card.coolantIn());
        put(node, Field.CARD_CHARGE_SHARE, card.chargeShare());
        put(node, Field.CARD_WALL_SHARE, card.wallShare());
    }

    private static void loop(WaterLoopSpec loop, ObjectNode node) {
        put(node, Field.WATER_FLOW, loop.flow());
        put(node, Field.WATER_VOLUME, loop.volume());
        RadiatorSpec radiator = loop.radiator();
        ObjectNode r = node.putObject("radiator");
        size(radiator.size(), r, Field.RADIATOR_WIDTH, Field.RADIATOR_HEIGHT, Field.RADIATOR_DEPTH);
        put(r, Field.RADIATOR_HEAT, radiator.heat());
        put(r, Field.RADIATOR_WATER_FLOW, radiator.waterFlow());
        put(r, Field.RADIATOR_WATER_IN, radiator.waterIn());
        put(r, Field.RADIATOR_AIR_SPEED, radiator.airVelocity());
        put(r, Field.RADIATOR_AIR_IN, radiator.airIn());
        face(radiator.air(), r.putObject("air"));
    }

    private static void face(FaceAirSpec face, ObjectNode node) {
        put(node, Field.AIR_FACE_SHARE, face.speedShare());
        put(node, Field.AIR_STANDSTILL, face.standstillSpeed());
    }

    private static void size(CoreSize size, ObjectNode node, Field width, Field height, Field depth) {
        put(node, width, size.width());
        put(node, height, size.height());
        put(node, depth, size.depth());
    }

    private static void put(ObjectNode node, Field field, double si) {
        BigDecimal rounded = new BigDecimal(field.unit().fromSi(si)).round(DIGITS).stripTrailingZeros();
        node.put(field.key(), rounded.scale() < 0 ? rounded.setScale(0) : rounded);
    }

    private static <T> String keyOf(Map<String, T> map, T value) {
        return map.entrySet().stream().filter(e -> e.getValue().equals(value)).map(Map.Entry::getKey).findFirst().orElseThrow();
    }
}
