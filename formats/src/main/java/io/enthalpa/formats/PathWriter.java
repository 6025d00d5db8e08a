package io.enthalpa.formats;

import static io.enthalpa.formats.BuildWriter.put;

import io.enthalpa.core.build.Field;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PipeWallSpec;
import io.enthalpa.core.engine.CompressorMap;
import io.enthalpa.core.engine.InjectionSpec;
import io.enthalpa.core.engine.SpeedLine;
import io.enthalpa.core.loss.PipeSpec;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes the pieces of a path as {@link PathReader} reads them. */
final class PathWriter {
    private PathWriter() {
    }

    static void path(List<PathElement> path, ArrayNode list) {
        path.forEach(element -> piece(element, list.addObject()));
    }

    private static void piece(PathElement element, ObjectNode node) {
        node.put("kind", kind(element)).put("name", element.name());
        if (element instanceof PathElement.Filter filter) {
            filter(filter, node);
        } else if (element instanceof PathElement.Blower blower) {
            node.put("type", Words.of(Words.BLOWERS, blower.spec().type()));
            put(node, Field.BLOWER_EFFICIENCY, blower.spec().efficiency());
            put(node, Field.BLOWER_MAX_RATIO, blower.spec().maxPressureRatio());
            put(node, Field.BLOWER_BORE, blower.spec().outletBore());
            blower.spec().map().ifPresent(map -> map(map, node.putObject("map")));
        } else if (element instanceof PathElement.Pipe pipe) {
            pipe(pipe.spec(), node);
            wall(pipe, node);
        } else if (element instanceof PathElement.Reducer reducer) {
            put(node, Field.REDUCER_FROM, reducer.inletBore());
            put(node, Field.REDUCER_TO, reducer.bore());
            put(node, Field.REDUCER_LENGTH, reducer.length());
        } else if (element instanceof PathElement.Joint joint) {
            put(node, Field.JOINT_BORE, joint.bore());
            put(node, Field.JOINT_HOSE, joint.hoseBore());
            put(node, Field.JOINT_GAP, joint.gap());
        } else if (element instanceof PathElement.Throttle throttle) {
            put(node, Field.THROTTLE_BORE, throttle.bore());
            put(node, Field.THROTTLE_SHAFT, throttle.shaft());
        } else if (element instanceof PathElement.Core core) {
            CoreWriter.core(core, node);
        } else if (element instanceof PathElement.Injection injection) {
            injection(injection, node);
        } else if (element instanceof PathElement.Parallel pair) {
            pair(pair, node);
        } else if (element instanceof PathElement.Plenum plenum) {
            put(node, Field.PLENUM_BORE, plenum.bore());
            put(node, Field.PLENUM_VOLUME, plenum.volume());
            plenum.wall().ifPresent(wall -> {
                ObjectNode w = node.putObject("wall");
                put(w, Field.PLENUM_MASS, wall.mass());
                put(w, Field.PLENUM_AREA, wall.area());
                put(w, Field.PLENUM_HEAD, wall.head());
                put(w, Field.PLENUM_TO_HEAD, wall.toHead());
            });
        }
    }

    /** @return the word for the kind of a piece, as in the file */
    static String kind(PathElement element) {
        return element instanceof PathElement.Parallel ? "pair" : element.getClass().getSimpleName().toLowerCase(Locale.ROOT);
    }

    private static void filter(PathElement.Filter filter, ObjectNode node) {
        put(node, Field.FILTER_BORE, filter.bore());
        put(node, Field.FILTER_LOSS, filter.loss());
        put(node, Field.FILTER_FLOW, filter.flow());
        put(node, Field.FILTER_HEAT, filter.heatGain());
        put(node, Field.FILTER_DIRTY_LOSS, filter.dirtyLoss());
        put(node, Field.FILTER_SOILING, filter.soiling());
        if (filter.bayShare() > 0) {
            put(node, Field.FILTER_BAY_SHARE, filter.bayShare());
        }
    }

    static void map(CompressorMap map, ObjectNode node) {
        if (!map.name().isEmpty()) {
            node.put("name", map.name());
        }
        put(node, Field.MAP_TEMPERATURE, map.referenceTemperature());
        put(node, Field.MAP_PRESSURE, map.referencePressure());
        ArrayNode lines = node.putArray("lines");
        for (SpeedLine line : map.lines()) {
            ObjectNode l = lines.addObject();
            put(l, Field.MAP_SPEED, line.speed());
            ArrayNode points = l.putArray("points");
            for (SpeedLine.Point point : line.points()) {
                ObjectNode p = points.addObject();
                put(p, Field.MAP_FLOW, point.flow());
                put(p, Field.MAP_RATIO, point.ratio());
                put(p, Field.MAP_EFFICIENCY, point.efficiency());
            }
        }
    }

    private static void pipe(PipeSpec pipe, ObjectNode node) {
        node.put("material", Words.of(Words.MATERIALS, pipe.material()));
        put(node, Field.PIPE_BORE, pipe.bore());
        put(node, Field.PIPE_LENGTH, pipe.length());
        bends(pipe, node);
    }

    /** Only what differs from stock in the bay. */
    private static void wall(PathElement.Pipe pipe, ObjectNode node) {
        PipeWallSpec wall = pipe.wall();
        if (wall.equals(PipeWallSpec.usual(pipe.spec().material()))) {
            return;
        }
        ObjectNode w = node.putObject("wall");
        put(w, Field.WALL_THICKNESS, wall.thickness());
        if (!wall.inBay()) {
            w.put("outside", true);
        }
        if (wall.wrap() > 0) {
            put(w, Field.WALL_WRAP, wall.wrap());
        }
        wall.neighbour().ifPresent(hot -> {
            ObjectNode h = w.putObject("hot");
            put(h, Field.HOT_TEMPERATURE, hot.temperature());
            put(h, Field.HOT_WIDTH, hot.width());
            put(h, Field.HOT_DISTANCE, hot.distance());
            put(h, Field.HOT_ALONG, hot.along());
            h.put("shielded", hot.shielded());
        });
    }

    static void bends(PipeSpec pipe, ObjectNode node) {
        ArrayNode bends = node.putArray("bends");
        for (PipeSpec.Bend bend : pipe.bends()) {
            ObjectNode b = bends.addObject();
            put(b, Field.BEND_ANGLE, bend.angle());
            if (bend.isMitre()) {
                b.put("mitre", true);
            } else {
                put(b, Field.BEND_RADIUS, bend.radius());
            }
        }
    }

    private static void injection(PathElement.Injection injection, ObjectNode node) {
        InjectionSpec spec = injection.spec();
        put(node, Field.INJECTION_BORE, injection.bore());
        put(node, Field.INJECTION_ALCOHOL, spec.alcoholShare());
        put(node, Field.INJECTION_FLOW, spec.nozzleFlow());
        put(node, Field.INJECTION_RATED, spec.ratedPressure());
        put(node, Field.INJECTION_PUMP, spec.pumpPressure());
        put(node, Field.INJECTION_START, spec.startBoost());
        put(node, Field.INJECTION_FULL, spec.fullBoost());
        put(node, Field.INJECTION_TANK, spec.tank());
        put(node, Field.INJECTION_EVAPORATED, spec.evaporated());
    }

    private static void pair(PathElement.Parallel pair, ObjectNode node) {
        put(node, Field.PAIR_SPLIT, pair.splitAngle());
        put(node, Field.PAIR_MERGE, pair.mergeAngle());
        put(node, Field.PAIR_BORE, pair.mergedBore());
        ArrayNode legs = node.putArray("legs");
        for (PathElement.Leg leg : pair.legs()) {
            ObjectNode l = legs.addObject().put("name", leg.name());
            path(leg.path(), l.putArray("path"));
        }
        pair.balance().ifPresent(tube -> {
            ObjectNode t = node.putObject("balance");
            put(t, Field.BALANCE_BORE, tube.bore());
            put(t, Field.BALANCE_LENGTH, tube.length());
        });
    }
}
