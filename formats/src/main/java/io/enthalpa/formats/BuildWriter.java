package io.enthalpa.formats;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.build.Field;
import java.math.BigDecimal;
import java.math.MathContext;
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
        build.engine().fuel().ifPresent(fuel -> {
            put(engine, Field.POWER, fuel.power());
            put(engine, Field.FUEL_USE, fuel.fuelRate());
            put(engine, Field.AIR_FUEL_RATIO, fuel.airFuelRatio());
        });
        ObjectNode climate = root.putObject("climate");
        put(climate, Field.AIR_TEMPERATURE, build.climate().temperature());
        put(climate, Field.ALTITUDE, build.climate().altitude());
        put(climate, Field.HUMIDITY, build.climate().humidity());
        build.climate().barometer().ifPresent(p -> put(climate, Field.BAROMETER, p));
        ObjectNode targets = root.putObject("targets");
        put(targets, Field.TARGET, build.targets().intake());
        put(targets, Field.TIMING_PULL, build.targets().timingPull());
        put(targets, Field.SENSOR_LAG, build.targets().sensor().lag());
        ObjectNode load = root.putObject("fullLoad");
        put(load, Field.FULL_LOAD_SPEED, build.fullLoad().speed());
        put(load, Field.FULL_LOAD_ROAD_SPEED, build.fullLoad().roadSpeed());
        build.gearing().ifPresent(gearing -> DutyWriter.gearing(gearing, root.putObject("gearing")));
        build.bay().ifPresent(bay -> {
            ObjectNode node = root.putObject("bay");
            put(node, Field.BAY_STANDING, bay.standing());
            put(node, Field.BAY_ROLLING, bay.rolling());
            put(node, Field.BAY_SETTLES, bay.settles());
        });
        DutyWriter.duty(build.duty(), root.putObject("duty"));
        ArrayNode options = root.putArray("options");
        build.options().forEach(option -> option(option, options.addObject()));
        return root;
    }

    static void option(BuildOption option, ObjectNode node) {
        node.put("letter", option.letter()).put("name", option.name());
        put(node, Field.BOOST, option.boost());
        PathWriter.path(option.path(), node.putArray("path"));
        if (!option.airWays().isEmpty()) {
            ArrayNode ways = node.putArray("airWays");
            option.airWays().forEach(way -> AirWayWriter.way(way, ways.addObject()));
        }
    }

    static void put(ObjectNode node, Field field, double si) {
        BigDecimal rounded = new BigDecimal(field.unit().fromSi(si)).round(DIGITS).stripTrailingZeros();
        node.put(field.key(), rounded.scale() < 0 ? rounded.setScale(0) : rounded);
    }
}
