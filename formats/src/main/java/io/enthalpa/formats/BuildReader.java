package io.enthalpa.formats;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.build.Field;
import io.enthalpa.core.chargepath.BaySpec;
import io.enthalpa.core.duty.Gearing;
import io.enthalpa.core.endurance.Sensor;
import io.enthalpa.core.endurance.Targets;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.engine.FuelDemand;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import java.util.Optional;
import java.util.OptionalDouble;
import tools.jackson.databind.JsonNode;

/** Turns the tree of a build file into a {@link Build}, every value checked against its {@link Field}. */
final class BuildReader {
    private static final int MOST_OPTIONS = 26;

    private BuildReader() {
    }

    static Build read(JsonNode tree) {
        JsonPlace root = new JsonPlace(tree, "", "");
        root.ignore("format");
        root.ignore("version");
        Optional<Gearing> gearing = root.has("gearing") ? Optional.of(DutyReader.gearing(root.child("gearing", ""))) : Optional.empty();
        root.ignore("gearing");
        root.ignore("bay");
        Build build = new Build(root.name("name"), root.text("summary"), engine(root.child("engine", "")),
                climate(root.child("climate", "")), targets(root.child("targets", "")), fullLoad(root.child("fullLoad", "")),
                DutyReader.duty(root.child("duty", "duty"), gearing), gearing, bay(root), root.children("options", "option", MOST_OPTIONS).stream().map(BuildReader::option).toList());
        root.nothingElse();
        if (build.options().isEmpty()) {
            throw JsonPlace.malformed("/options", "options", "an empty list", "at least one option");
        }
        return build;
    }

    private static EngineSpec engine(JsonPlace place) {
        EngineSpec engine = new EngineSpec(place.number(Field.DISPLACEMENT), place.count(Field.CYLINDERS),
                place.number(Field.VOLUMETRIC_EFFICIENCY), place.number(Field.MAX_SPEED), fuel(place));
        place.nothingElse();
        return engine;
    }

    /** Where the power is given, fuel and air take the usual figures unless they are given too. */
    private static Optional<FuelDemand> fuel(JsonPlace place) {
        OptionalDouble rate = place.optionalNumber(Field.FUEL_USE);
        OptionalDouble air = place.optionalNumber(Field.AIR_FUEL_RATIO);
        OptionalDouble power = place.optionalNumber(Field.POWER);
        return power.isEmpty() ? Optional.empty() : Optional.of(new FuelDemand(power.getAsDouble(),
                rate.orElse(Field.FUEL_USE.unit().toSi(Field.FUEL_USE.usual())), air.orElse(Field.AIR_FUEL_RATIO.usual())));
    }

    private static Build.Climate climate(JsonPlace place) {
        Build.Climate climate = new Build.Climate(place.number(Field.AIR_TEMPERATURE), place.number(Field.ALTITUDE),
                place.number(Field.HUMIDITY), place.optionalNumber(Field.BAROMETER));
        place.nothingElse();
        return climate;
    }

    private static Targets targets(JsonPlace place) {
        Targets targets = new Targets(place.number(Field.TARGET), place.number(Field.TIMING_PULL),
                place.optionalNumber(Field.SENSOR_LAG).stream().mapToObj(Sensor::new).findFirst().orElse(Sensor.USUAL));
        place.nothingElse();
        return targets;
    }

    private static Build.FullLoad fullLoad(JsonPlace place) {
        Build.FullLoad load = new Build.FullLoad(place.number(Field.FULL_LOAD_SPEED), place.number(Field.FULL_LOAD_ROAD_SPEED));
        place.nothingElse();
        return load;
    }

    private static Optional<BaySpec> bay(JsonPlace root) {
        if (!root.has("bay")) {
            return Optional.empty();
        }
        JsonPlace place = root.child("bay", "");
        BaySpec bay = new BaySpec(place.number(Field.BAY_STANDING), place.number(Field.BAY_ROLLING), place.number(Field.BAY_SETTLES));
        place.nothingElse();
        if (bay.rolling() > bay.standing()) {
            throw EnthalpaFault.of(FaultKind.CONTRADICTION, "/bay/rolling_K", "bay over outside at 60 km/h", "%.1f K".formatted(bay.rolling()),
                    "at most what it is standing, %.1f K".formatted(bay.standing()), "Rolling air takes heat away.");
        }
        return Optional.of(bay);
    }

    private static BuildOption option(JsonPlace place) {
        String letter = place.text("letter");
        if (!letter.matches("[A-Z]")) {
            throw JsonPlace.malformed(place.pointer() + "/letter", "option letter", "\"" + letter + "\"", "one capital letter A to Z");
        }
        BuildOption option = new BuildOption(letter, place.name("name"), place.number(Field.BOOST),
                PathReader.path(place), AirWayReader.ways(place));
        place.nothingElse();
        return option;
    }
}
