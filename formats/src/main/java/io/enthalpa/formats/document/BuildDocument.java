package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.C;
import static io.enthalpa.formats.document.Suffix.KM_H;
import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.PCT;
import static io.enthalpa.formats.document.Suffix.RPM;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.build.Fitted;
import io.enthalpa.core.build.Proofs;
import io.enthalpa.core.chargepath.BaySpec;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.duty.Gearing;
import io.enthalpa.core.endurance.Sensor;
import io.enthalpa.core.engine.CompressorMap;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fit.AirSeen;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.uncertainty.Calibration;
import io.enthalpa.core.verdict.Targets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * A whole build file. The records of this package are its one description: keys with their units, labels, ranges, defaults, help. What
 * reads, writes, checks and documents it is made from them.
 */
@Part(value = "build", says = "one build with its duty and options")
public record BuildDocument(
        @Kind("enthalpa-build") String format,

        @Figure(label = "version", min = 1, max = 1000, usual = 7, help = "of the file's form")
        int version,

        String name,
        @Blank String summary,
        @Called("") Engine engine,
        @Called("") Climate climate,
        @Called("") TargetsDocument targets,
        @Called("") FullLoad fullLoad,
        @Called("") @Nullable GearingDocument gearing,
        @Called("") @Nullable Bay bay,
        @Called("room") @Nullable RoomDocument room,
        @Called("duty") DutyDocument duty,
        @Called(value = "option", most = 26) List<BuildOptionDocument> options,
        @Called("fit") @Nullable FittedDocument fitted,

        @Called(value = "leak test", alone = true, most = 60) @Nullable
        List<LeakTestDocument> leakTests,

        @Called(value = "change that was made", alone = true, most = 200) @Nullable
        List<MadeChangeDocument> changes) {

    /**
     * @param tree of a build file whose format and version were looked at
     * @return the build in it
     * @throws io.enthalpa.core.fault.EnthalpaFault by place, value and what is allowed
     */
    public static Build read(JsonNode tree) {
        Check.check(tree, Place.ROOT);
        try {
            return Binding.MAPPER.treeToValue(tree, BuildDocument.class).core();
        } catch (EnthalpaFault fault) {
            throw Pointers.placed(fault);
        }
    }

    private Build core() {
        Optional<Gearing> gears = Optional.ofNullable(gearing).map(GearingDocument::core);
        List<BuildOption> all = new ArrayList<>();
        Set<String> carriers = room == null ? Set.of(RoomDocument.BODY) : room.carrierNames();
        for (int i = 0; i < options.size(); i++) {
            all.add(options.get(i).core(Place.ROOT.to("options", i, options.get(i)), carriers));
        }
        Optional<RoomSpec> measured = Optional.ofNullable(room).map(r -> r.core(Place.ROOT.to("room")));
        measured.ifPresent(r -> all.replaceAll(option -> AirSeen.of(option, r)));
        if (all.isEmpty()) {
            throw Place.malformed("/options", "options", "an empty list", "at least one option");
        }
        return new Build(
                name,
                summary,
                engine.core(),
                climate.core(),
                targets.core(),
                fullLoad.core(),
                duty.core(Place.ROOT.to("duty"), gears),
                gears,
                Optional.ofNullable(bay).map(b -> b.core(Place.ROOT.to("bay"))),
                measured,
                all,
                Optional.ofNullable(fitted).map(f -> fitted(f, all)),
                new Proofs(
                        leakTests == null
                                ? List.of()
                                : leakTests.stream().map(LeakTestDocument::core).toList(),
                        changes == null
                                ? List.of()
                                : changes.stream().map(MadeChangeDocument::core).toList()));
    }

    private static Fitted fitted(FittedDocument fitted, List<BuildOption> options) {
        Calibration calibration = fitted.core(
                Place.ROOT.to("fitted"),
                options.stream().map(BuildOption::letter).collect(Collectors.toCollection(TreeSet::new)));
        return new Fitted(
                calibration,
                options.stream()
                        .filter(o -> o.letter().equals(calibration.letter()))
                        .findFirst()
                        .orElseThrow());
    }

    /** @return the build as a tree */
    public static ObjectNode tree(Build b, String format, int version) {
        return Binding.MAPPER.valueToTree(new BuildDocument(
                format,
                version,
                b.name(),
                b.summary(),
                Engine.of(b.engine()),
                Climate.of(b.climate()),
                TargetsDocument.of(b.targets()),
                new FullLoad(RPM.of(b.fullLoad().speed()), KM_H.of(b.fullLoad().roadSpeed())),
                b.gearing().map(GearingDocument::of).orElse(null),
                b.bay().map(Bay::of).orElse(null),
                b.room().map(RoomDocument::of).orElse(null),
                DutyDocument.of(b.duty()),
                b.options().stream().map(BuildOptionDocument::of).toList(),
                b.fitted().map(f -> FittedDocument.of(f.calibration())).orElse(null),
                rows(b.proofs().leakTests(), LeakTestDocument::of),
                rows(b.proofs().changes(), MadeChangeDocument::of)));
    }

    private static <T, U> @Nullable List<U> rows(List<T> all, Function<T, U> row) {
        return all.isEmpty() ? null : all.stream().map(row).toList();
    }

    /** @return what a log taught, as it stands in a file */
    public static ObjectNode tree(Calibration calibration) {
        return Binding.MAPPER.valueToTree(FittedDocument.of(calibration));
    }

    /** @return how the file's text is read and written */
    public static JsonMapper mapper() {
        return Binding.MAPPER;
    }

    /**
     * @param piece a piece of a path, as in a file
     * @param name  what a reader calls it
     * @throws io.enthalpa.core.fault.EnthalpaFault when it is not one
     */
    public static void checkPiece(ObjectNode piece, String name) {
        Place at = new Place(
                "", name, Shape.kinds(Piece.class).get(piece.path("kind").asString("")));
        Check.check(piece, at);
        Binding.MAPPER.treeToValue(piece, Piece.class).core(at);
    }

    /** @return a compressor map as it stands in a file */
    public static ObjectNode tree(CompressorMap map) {
        return Binding.MAPPER.valueToTree(BlowerPiece.BlowerMap.of(map));
    }

    /** @return an obstacle as it stands in a file */
    public static ObjectNode tree(Obstacle obstacle) {
        return Binding.MAPPER.valueToTree(ObstacleDocument.of(obstacle));
    }

    /** @return whether this may be the identity of a row */
    public static boolean isIdentity(JsonNode id) {
        return Check.isIdentity(id);
    }

    /** @return an option as it stands in a file */
    public static ObjectNode tree(BuildOption option) {
        return Binding.MAPPER.valueToTree(BuildOptionDocument.of(option));
    }

    /** @return the word of a file for what is chosen from a list */
    public static String word(Enum<?> value) {
        return Words.of(value);
    }

    /** @return the word for the kind of a piece, as in the file */
    public static String kind(PathElement element) {
        return Piece.of(element).kind();
    }

    @Part(value = "climate", says = "the air outside")
    record Climate(
            @Figure(
                    label = "outside air",
                    min = -40,
                    max = 55,
                    usual = 25,
                    help = "the hottest day the job must be done on")
            double airTemperature_C,

            @Figure(
                    label = "altitude",
                    min = -400,
                    max = 5000,
                    usual = 0,
                    help = "above sea level; sets the air pressure by ISO 2533")
            double altitude_m,

            @Figure(label = "humidity", min = 0, max = 100, usual = 40, help = "relative, from the weather report")
            double humidity_pct,

            @Figure(
                    label = "barometer",
                    min = 40,
                    max = 110,
                    usual = 101.3,
                    help = "absolute, as measured where you stand; overrides the altitude")
            @Nullable
            Double barometer_kPa) {
        Build.Climate core() {
            return new Build.Climate(C.si(airTemperature_C), altitude_m, PCT.si(humidity_pct), KPA.si(barometer_kPa));
        }

        static Climate of(Build.Climate c) {
            return new Climate(C.of(c.temperature()), c.altitude(), PCT.of(c.humidity()), KPA.of(c.barometer()));
        }
    }

    @Part(value = "targets", says = "what the intake temperature is judged by")
    record TargetsDocument(
            @Figure(
                    label = "intake target",
                    min = 0,
                    max = 150,
                    usual = 50,
                    help = "there is a best band, not a minimum: 35 to 55 °C suits most; common practice, no source")
            double intake_C,

            @Figure(
                    label = "timing line",
                    min = 10,
                    max = 200,
                    usual = 65,
                    help = "where your ECU starts to pull timing")
            double timingPull_C,

            @Figure(
                    label = "sensor's lag",
                    min = 0,
                    max = 120,
                    usual = 5,
                    help =
                            "time constant in air of 10 m/s: open tip 2-5 s, closed tip 10-20 s; common practice, no source")
            @Nullable
            Double sensorLag_s) {
        Targets core() {
            return new Targets(
                    C.si(intake_C), C.si(timingPull_C), sensorLag_s == null ? Sensor.USUAL : new Sensor(sensorLag_s));
        }

        static TargetsDocument of(Targets t) {
            return new TargetsDocument(
                    C.of(t.intake()), C.of(t.timingPull()), t.sensor().lag());
        }
    }

    @Part(value = "fullLoad", says = "where the charge line is drawn")
    record FullLoad(
            @Figure(
                    label = "engine speed at full load",
                    min = 300,
                    max = 20000,
                    usual = 5000,
                    help = "where the charge line is drawn; usually peak power")
            double engineSpeed_rpm,

            @Figure(
                    label = "road speed at full load",
                    min = 0,
                    max = 600,
                    usual = 100,
                    help = "decides the cooling air")
            double roadSpeed_km_h) {
        Build.FullLoad core() {
            return new Build.FullLoad(RPM.si(engineSpeed_rpm), KM_H.si(roadSpeed_km_h));
        }
    }

    @Part(value = "gearing", says = "from road speed to engine speed")
    record GearingDocument(
            @Figure(
                    label = "tyre, once round",
                    min = 500,
                    max = 6000,
                    usual = 1950,
                    help = "rolling circumference: chalk mark to chalk mark on the ground")
            double tyre_mm,

            @Figure(
                    label = "final drive",
                    min = 0.5,
                    max = 20,
                    usual = 3.9,
                    help = "the axle's plate; with a transfer box its ratio too")
            double finalDrive,

            @Figure(label = "gear", min = 0.2, max = 20, usual = 1, help = "first to top")
            @Called(value = "gear", alone = true, most = 12)
            List<Double> ratios,

            @Figure(label = "changes up at", min = 500, max = 20000, usual = 6200, help = "a little under the limiter")
            double changeUp_rpm,

            @Figure(label = "idle", min = 100, max = 3000, usual = 850, help = "engine warm")
            double idle_rpm) {
        Gearing core() {
            return new Gearing(MM.si(tyre_mm), finalDrive, ratios, RPM.si(changeUp_rpm), RPM.si(idle_rpm));
        }

        static GearingDocument of(Gearing g) {
            return new GearingDocument(
                    MM.of(g.tyre()), g.finalDrive(), g.ratios(), RPM.of(g.changeUp()), RPM.of(g.idle()));
        }
    }

    @Part(value = "bay", says = "the engine bay; without it no pipe wall is counted")
    record Bay(
            @Figure(
                    label = "bay over outside, standing",
                    min = 5,
                    max = 110,
                    usual = 45,
                    help = "engine warm, idling until it settles: 30-60 K; common practice, no source")
            double standing_K,

            @Figure(
                    label = "bay over outside at 60 km/h",
                    min = 0.5,
                    max = 100,
                    usual = 14,
                    help = "8-20 K; common practice, no source")
            double rolling_K,

            @Figure(
                    label = "bay settles in",
                    min = 10,
                    max = 3600,
                    usual = 240,
                    help = "time constant, standing: 3-6 min; common practice, no source")
            double settles_s) {
        BaySpec core(Place at) {
            if (rolling_K > standing_K) {
                throw at.contradiction(
                        "rolling_K",
                        "bay over outside at 60 km/h",
                        "%.1f K".formatted(rolling_K),
                        "at most what it is standing, %.1f K".formatted(standing_K),
                        "Rolling air takes heat away.");
            }
            return new BaySpec(standing_K, rolling_K, settles_s);
        }

        static Bay of(BaySpec b) {
            return new Bay(b.standing(), b.rolling(), b.settles());
        }
    }
}
