package io.enthalpa.formats;

import io.enthalpa.core.build.Field;
import io.enthalpa.core.chargepath.HotNeighbour;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PipeWallSpec;
import io.enthalpa.core.chargepath.PlenumWallSpec;
import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.CompressorMap;
import io.enthalpa.core.engine.InjectionSpec;
import io.enthalpa.core.engine.SpeedLine;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.loss.PipeSpec;
import java.util.List;
import java.util.Optional;

/** Reads the pieces of a path. */
final class PathReader {
    private static final int MOST_PIECES = 40;
    private static final int MOST_BENDS = 40;
    private static final int MOST_LINES = 30;
    private static final int MOST_POINTS = 60;
    /** Dirty filters lose about twice as much (common practice, no source); for files that do not say. */
    private static final double DIRTY_TIMES = 2;
    private static final double TIGHTEST_BEND = 0.7;

    private PathReader() {
    }

    static List<PathElement> path(JsonPlace place) {
        return place.children("path", "piece", MOST_PIECES).stream().map(PathReader::piece).toList();
    }

    static PathElement piece(JsonPlace unnamed) {
        String kind = unnamed.text("kind");
        String name = unnamed.name("name");
        JsonPlace place = unnamed.calledNow(name);
        place.ignore("kind");
        place.ignore("name");
        PathElement piece = switch (kind) {
            case "filter" -> filter(place, name);
            case "blower" -> new PathElement.Blower(name, blower(place, name));
            case "pipe" -> piped(place, name);
            case "reducer" -> new PathElement.Reducer(name, place.number(Field.REDUCER_FROM), place.number(Field.REDUCER_TO), place.number(Field.REDUCER_LENGTH));
            case "joint" -> joint(place, name);
            case "throttle" -> throttle(place, name);
            case "core" -> CoreReader.core(place, name);
            case "injection" -> injection(place, name);
            case "pair" -> pair(place, name);
            case "plenum" -> new PathElement.Plenum(name, place.number(Field.PLENUM_BORE),
                    place.optionalNumber(Field.PLENUM_VOLUME).orElse(Field.PLENUM_VOLUME.unit().toSi(Field.PLENUM_VOLUME.usual())),
                    place.has("wall") ? Optional.of(plenumWall(place.child("wall", name + ", wall"))) : Optional.empty());
            default -> throw JsonPlace.malformed(place.pointer() + "/kind", name + ", kind", "\"" + kind + "\"",
                    "one of filter, blower, pipe, reducer, joint, throttle, core, injection, pair, plenum");
        };
        place.nothingElse();
        return piece;
    }

    private static PathElement.Filter filter(JsonPlace place, String name) {
        double loss = place.number(Field.FILTER_LOSS);
        double dirty = place.optionalNumber(Field.FILTER_DIRTY_LOSS).orElse(DIRTY_TIMES * loss);
        if (dirty < loss) {
            throw EnthalpaFault.of(FaultKind.CONTRADICTION, place.pointer() + "/dirtyLoss_kPa", name + ", loss when due for change",
                    kPa(dirty), "at least the clean loss, " + kPa(loss), "");
        }
        return new PathElement.Filter(name, place.number(Field.FILTER_BORE), loss, place.number(Field.FILTER_FLOW), place.number(Field.FILTER_HEAT),
                dirty, place.optionalNumber(Field.FILTER_SOILING).orElse(0), place.optionalNumber(Field.FILTER_BAY_SHARE).orElse(0));
    }

    private static BlowerSpec blower(JsonPlace place, String name) {
        Optional<CompressorMap> map = place.has("map") ? Optional.of(map(place.child("map", name + ", map"), name)) : Optional.empty();
        return new BlowerSpec(place.oneOf("type", Words.BLOWERS), place.number(Field.BLOWER_EFFICIENCY),
                place.number(Field.BLOWER_MAX_RATIO), place.number(Field.BLOWER_BORE), map);
    }

    private static CompressorMap map(JsonPlace place, String name) {
        String called = place.has("name") ? place.text("name") : "";
        List<SpeedLine> lines = place.children("lines", "map line", MOST_LINES).stream().map(line -> {
            SpeedLine read = new SpeedLine(line.number(Field.MAP_SPEED), line.children("points", "map point", MOST_POINTS).stream().map(p -> {
                SpeedLine.Point point = new SpeedLine.Point(p.number(Field.MAP_FLOW), p.number(Field.MAP_RATIO), p.number(Field.MAP_EFFICIENCY));
                p.nothingElse();
                return point;
            }).toList());
            line.nothingElse();
            return read;
        }).toList();
        double temperature = place.number(Field.MAP_TEMPERATURE);
        double pressure = place.number(Field.MAP_PRESSURE);
        place.nothingElse();
        try {
            return new CompressorMap(called, temperature, pressure, lines);
        } catch (EnthalpaFault fault) {
            throw fault.at(place.pointer() + "/" + fault.field(), name + ", " + fault.label());
        }
    }

    private static PathElement piped(JsonPlace place, String name) {
        PipeSpec spec = pipe(place, name);
        return place.has("wall") ? new PathElement.Pipe(name, spec, wall(place.child("wall", name + ", wall"), spec)) : new PathElement.Pipe(name, spec);
    }

    private static PipeWallSpec wall(JsonPlace place, PipeSpec spec) {
        Optional<HotNeighbour> hot = Optional.empty();
        if (place.has("hot")) {
            JsonPlace beside = place.child("hot", "hot neighbour");
            hot = Optional.of(new HotNeighbour(beside.number(Field.HOT_TEMPERATURE), beside.number(Field.HOT_WIDTH), beside.number(Field.HOT_DISTANCE),
                    beside.number(Field.HOT_ALONG), beside.flag("shielded")));
            beside.nothingElse();
            if (hot.get().along() > spec.developed()) {
                throw EnthalpaFault.of(FaultKind.CONTRADICTION, beside.pointer() + "/along_mm", "hot neighbour, along", mm(hot.get().along()),
                        "at most the pipe's own length, " + mm(spec.developed()), "");
            }
        }
        PipeWallSpec wall = new PipeWallSpec(place.optionalNumber(Field.WALL_THICKNESS).orElse(spec.material().usualWall()), !place.has("outside") || !place.flag("outside"),
                place.optionalNumber(Field.WALL_WRAP).orElse(0), hot);
        place.ignore("outside");
        place.ignore("hot");
        place.nothingElse();
        return wall;
    }

    private static PlenumWallSpec plenumWall(JsonPlace place) {
        PlenumWallSpec wall = new PlenumWallSpec(place.number(Field.PLENUM_MASS), place.number(Field.PLENUM_AREA), place.number(Field.PLENUM_HEAD),
                place.number(Field.PLENUM_TO_HEAD));
        place.nothingElse();
        return wall;
    }

    private static PipeSpec pipe(JsonPlace place, String name) {
        double bore = place.number(Field.PIPE_BORE);
        return new PipeSpec(place.oneOf("material", Words.MATERIALS), bore, place.number(Field.PIPE_LENGTH), bends(place, name, bore));
    }

    static List<PipeSpec.Bend> bends(JsonPlace place, String name, double bore) {
        return place.children("bends", name + ", bend", MOST_BENDS).stream().map(bend -> bend(bend, name, bore)).toList();
    }

    private static PipeSpec.Bend bend(JsonPlace bend, String name, double bore) {
        boolean mitre = bend.has("mitre") && bend.flag("mitre");
        PipeSpec.Bend read = mitre ? PipeSpec.Bend.mitre(bend.number(Field.BEND_ANGLE)) : new PipeSpec.Bend(bend.number(Field.BEND_ANGLE), bend.number(Field.BEND_RADIUS));
        bend.ignore(Field.BEND_RADIUS.key());
        bend.ignore("mitre");
        bend.nothingElse();
        if (mitre && read.angle() > Math.toRadians(120.001)) {
            throw EnthalpaFault.of(FaultKind.CONTRADICTION, bend.pointer() + "/angle_deg", name + ", mitre angle",
                    "%.0f °".formatted(Math.toDegrees(read.angle())), "at most 120 °", "Cut it as two mitres.");
        }
        if (!mitre && read.radius() < TIGHTEST_BEND * bore) {
            throw EnthalpaFault.of(FaultKind.CONTRADICTION, bend.pointer() + "/radius_mm", name + ", bend radius",
                    mm(read.radius()), "at least 0.7 times the bore, " + mm(TIGHTEST_BEND * bore),
                    "Take a wider bend or a smaller pipe; standard stock has 1.5 times the bore.");
        }
        return read;
    }

    private static PathElement.Joint joint(JsonPlace place, String name) {
        PathElement.Joint joint = new PathElement.Joint(name, place.number(Field.JOINT_BORE), place.number(Field.JOINT_HOSE), place.number(Field.JOINT_GAP));
        if (joint.hoseBore() < joint.bore()) {
            throw EnthalpaFault.of(FaultKind.CONTRADICTION, place.pointer() + "/hoseBore_mm", name + ", hose bore", mm(joint.hoseBore()),
                    "at least the pipe's bore, " + mm(joint.bore()), "The hose goes over the pipe: add twice the wall.");
        }
        return joint;
    }

    private static PathElement.Throttle throttle(JsonPlace place, String name) {
        PathElement.Throttle throttle = new PathElement.Throttle(name, place.number(Field.THROTTLE_BORE), place.number(Field.THROTTLE_SHAFT));
        if (throttle.shaft() > 0.5 * throttle.bore()) {
            throw EnthalpaFault.of(FaultKind.CONTRADICTION, place.pointer() + "/shaft_mm", name + ", shaft thickness", mm(throttle.shaft()),
                    "at most half the bore, " + mm(0.5 * throttle.bore()), "");
        }
        return throttle;
    }

    private static PathElement.Injection injection(JsonPlace place, String name) {
        InjectionSpec spec = new InjectionSpec(place.number(Field.INJECTION_ALCOHOL), place.number(Field.INJECTION_FLOW), place.number(Field.INJECTION_RATED),
                place.number(Field.INJECTION_PUMP), place.number(Field.INJECTION_START), place.number(Field.INJECTION_FULL),
                place.number(Field.INJECTION_TANK), place.number(Field.INJECTION_EVAPORATED));
        if (spec.fullBoost() < spec.startBoost()) {
            throw EnthalpaFault.of(FaultKind.CONTRADICTION, place.pointer() + "/fullBoost_kPa", name + ", full at boost", kPa(spec.fullBoost()),
                    "at least where it starts, " + kPa(spec.startBoost()), "");
        }
        return new PathElement.Injection(name, place.number(Field.INJECTION_BORE), spec);
    }

    private static PathElement.Parallel pair(JsonPlace place, String name) {
        List<PathElement.Leg> legs = place.children("legs", name + ", leg", 2).stream().map(leg -> {
            PathElement.Leg read = new PathElement.Leg(leg.name("name"), path(leg));
            leg.nothingElse();
            if (read.path().isEmpty()) {
                throw JsonPlace.malformed(leg.pointer() + "/path", name + ", leg " + read.name(), "no piece", "at least one");
            }
            return read;
        }).toList();
        if (legs.size() != 2) {
            throw JsonPlace.malformed(place.pointer() + "/legs", name + ", legs", String.valueOf(legs.size()), "exactly 2");
        }
        Optional<PathElement.Balance> balance = Optional.empty();
        if (place.has("balance")) {
            JsonPlace tube = place.child("balance", name + ", balance tube");
            balance = Optional.of(new PathElement.Balance(tube.number(Field.BALANCE_BORE), tube.number(Field.BALANCE_LENGTH)));
            tube.nothingElse();
        }
        return new PathElement.Parallel(name, place.optionalNumber(Field.PAIR_SPLIT).orElse(0), legs, place.optionalNumber(Field.PAIR_MERGE).orElse(0),
                place.optionalNumber(Field.PAIR_BORE).orElse(legs.get(0).path().get(legs.get(0).path().size() - 1).bore()), balance);
    }

    private static String mm(double m) {
        return "%.0f mm".formatted(1000 * m);
    }

    private static String kPa(double pa) {
        return "%.1f kPa".formatted(pa / 1000);
    }
}
