package io.enthalpa.core.sizing;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PathElement.Core;
import io.enthalpa.core.chargepath.PathElement.Injection;
import io.enthalpa.core.chargepath.PathElement.Parallel;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.coolingair.AirWaySpec;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.coolingair.Layer;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.fit.Pipework;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import io.enthalpa.core.steady.SteadyResult;
import io.enthalpa.core.verdict.Verdict;
import io.enthalpa.core.waterloop.WaterLoopSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Takes an option's pipes and blower, puts another method of cooling in, and finds the smallest size that keeps the target over the duty. */
public final class MethodSizing {
    public static final Method METHOD = Method.of(
                    "method-sizing",
                    "A method sized by default",
                    "The option's own pipes and blower with generic parts of usual proportions in place of its cooling. The size is halved between too small and enough, through the "
                            + "whole duty each time, until the worst intake stays a kelvin under the target. Where no size within reason does, the one is taken beyond which more "
                            + "gains less than two kelvin.")
            .source(Citation.commonPractice("proportions of cores, radiators, tanks and flows"))
            .leavesOut("Whether it fits: the envelope is yours to check. Core, radiator and water flow grow together.");
    private static final double MARGIN = 1;
    private static final double HARDLY = 2;
    private static final double COARSER = 6;
    private static final int HALVINGS = 6;
    private static final double SMALLEST = 0.25;
    private static final double LARGEST = 5;
    private static final FaceAirSpec USUAL_AIR = new FaceAirSpec(0.25, 0.5);
    private final Build build;
    private final BuildOption from;
    private final double flow;
    private final FaceAirSpec air;
    private final boolean inPlace;

    /** @throws EnthalpaFault when the option itself has no answer to size by */
    public MethodSizing(Build build, String letter) {
        this(build, letter, false);
    }

    /**
     * @return for another cooling of this very option: what stands in a way of the air goes on standing there, injection on top stays, and
     *     the option keeps a name of its own
     * @throws EnthalpaFault as above
     */
    public static MethodSizing inPlace(Build build, String letter) {
        return new MethodSizing(build, letter, true);
    }

    private MethodSizing(Build build, String letter, boolean inPlace) {
        this.build = build;
        this.from = build.option(letter);
        this.inPlace = inPlace;
        SteadyResult steady = new Answer(build, letter).steady();
        this.flow = steady.path().flow();
        this.air = Pieces.cores(from.path()).stream()
                .map(MethodSizing::airOf)
                .filter(a -> a != null)
                .findFirst()
                .orElse(USUAL_AIR);
    }

    private static FaceAirSpec airOf(Core core) {
        return core.cooling() instanceof CoolingSide.Air a
                ? a.face()
                : core.loop().flatMap(WaterLoopSpec::radiator).map(r -> r.air()).orElse(null);
    }

    /** @throws EnthalpaFault when the method has no answer here, or injection is asked for on top where it is, or of no core */
    public BuildOption option(CoolingMethod method) {
        if (method == CoolingMethod.INJECTION_ON_TOP && !applies(method)) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "cooled",
                    "cooled",
                    method.title(),
                    "put on top of a core that has none yet",
                    "Take \"" + CoolingMethod.INJECTION.title() + "\", or change the one that is there on Pipes.");
        }
        return propose(method).option();
    }

    /** @throws EnthalpaFault when the method has no answer here */
    public Proposal propose(CoolingMethod method) {
        double load =
                flow / GenericParts.FLOW / Math.max(Pieces.cores(from.path()).size(), 1);
        return switch (method) {
            case NONE -> told(method, option(method.title(), List.copyOf(without(from.path()))));
            case AIR ->
                sized(
                        method,
                        SMALLEST,
                        LARGEST,
                        s -> cooled(method.title(), (name, bore) -> GenericParts.airCore(name, s * load, bore, air)));
            case WATER_RADIATOR ->
                sized(
                        method,
                        SMALLEST,
                        LARGEST,
                        s -> cooled(
                                method.title(),
                                (name, bore) -> GenericParts.waterCore(
                                        name, s * load, bore, GenericParts.withRadiator(s * load, air))));
            case ICE ->
                sized(
                        method,
                        1,
                        120,
                        kg -> cooled(
                                method.title(),
                                (name, bore) -> GenericParts.waterCore(
                                        name,
                                        1.3 * load,
                                        bore,
                                        GenericParts.withIce(
                                                load, kg, build.duty().waitTime() >= 600))));
            case CHILLER ->
                sized(
                        method,
                        5e-3 * Math.max(load, 1),
                        80e-3 * Math.max(load, 1),
                        volume -> cooled(
                                method.title(),
                                (name, bore) -> GenericParts.waterCore(
                                        name, 1.3 * load, bore, GenericParts.withChiller(load, volume))));
            case RAW_WATER ->
                sized(
                        method,
                        SMALLEST,
                        LARGEST,
                        s -> cooled(
                                method.title(),
                                (name, bore) -> GenericParts.waterCore(
                                        name,
                                        s * load,
                                        bore,
                                        GenericParts.raw(load, build.fullLoad().speed()))));
            case INJECTION ->
                sized(
                        method,
                        0.02e-3 / 60 * load,
                        2.5e-3 / 60 * load,
                        q -> option(method.title(), sprayed(without(from.path()), q)));
            case INJECTION_ON_TOP ->
                sized(
                        method,
                        0.02e-3 / 60 * load,
                        2.5e-3 / 60 * load,
                        q -> from.named(from.name() + ", " + method.title()).withPath(sprayed(from.path(), q)));
        };
    }

    /** @return whether the method says anything new for this option */
    public boolean applies(CoolingMethod method) {
        if (method == CoolingMethod.RAW_WATER) {
            return Pieces.cores(from.path()).stream()
                    .anyMatch(core -> core.loop().filter(WaterLoopSpec::isOpen).isPresent());
        }
        return method != CoolingMethod.INJECTION_ON_TOP
                || !Pieces.cores(from.path()).isEmpty() && from.path().stream().noneMatch(Injection.class::isInstance);
    }

    private Proposal sized(CoolingMethod method, double smallest, double largest, DoubleFunction<BuildOption> make) {
        double wanted = build.targets().intake() - MARGIN;
        double most = worst(make.apply(largest));
        boolean meets = most <= wanted;
        double enough = meets ? wanted : most + HARDLY;
        double low = Math.log(smallest);
        double high = Math.log(largest);
        if (worst(make.apply(smallest)) <= enough) {
            high = low;
        }
        for (int i = 0; i < HALVINGS && high > low; i++) {
            double middle = (low + high) / 2;
            boolean holds = worst(make.apply(Math.exp(middle))) <= enough;
            high = holds ? middle : high;
            low = holds ? low : middle;
        }
        return told(method, make.apply(Math.exp(high)));
    }

    private double worst(BuildOption option) {
        try {
            Answer answer = answer(option);
            return Verdict.of(answer.system(), answer.soak(COARSER), build.targets())
                    .worst();
        } catch (EnthalpaFault doesNotPass) {
            return Double.POSITIVE_INFINITY;
        }
    }

    /** Another core has its ports elsewhere: pipes that are laid come out longer or shorter. */
    private Answer answer(BuildOption option) {
        return new Answer(build.withOptions(List.of(Pipework.applied(option))), option.letter());
    }

    private Proposal told(CoolingMethod method, BuildOption option) {
        Answer answer = answer(option);
        Trace trace = answer.soak();
        Verdict verdict = answer.verdict(trace);
        return new Proposal(
                method,
                option,
                verdict.outcome() == Verdict.Outcome.HOLDS,
                trace,
                verdict,
                answer.figures(trace),
                answer.steady().path().totalLoss(),
                Bill.of(option));
    }

    /** Makes a core of a name for pipes of a bore. */
    private interface CoreMaker {
        Core make(String name, double bore);
    }

    private BuildOption cooled(String name, CoreMaker maker) {
        List<PathElement> path =
                Pieces.cores(from.path()).isEmpty() ? inserted(from.path(), maker) : replaced(from.path(), maker);
        boolean onTop = inPlace && !Pieces.cores(from.path()).isEmpty();
        return option(
                name,
                path.stream()
                        .filter(piece -> onTop || !(piece instanceof Injection))
                        .toList());
    }

    /**
     * In a comparison the ways of the air keep only what belongs to no core, and the new cooling takes a share of road speed, so that all
     * methods are asked alike. In place the core's air side, or its radiator, stands where that of the old one stood.
     */
    private BuildOption option(String name, List<PathElement> path) {
        List<AirWaySpec> ways = new ArrayList<>();
        for (AirWaySpec way : from.airWays()) {
            List<Layer> layers = way.layers().stream()
                    .flatMap(layer -> layer.isOther() ? Stream.of(layer) : instead(layer, path).stream())
                    .toList();
            if (!layers.isEmpty()) {
                ways.add(way.withLayers(layers));
            }
        }
        return from.named(named(name)).withPath(path).withWays(ways);
    }

    private Optional<Layer> instead(Layer layer, List<PathElement> path) {
        if (!inPlace) {
            return Optional.empty();
        }
        return Pieces.cores(path).stream()
                .filter(core -> core.name().equals(layer.name()) && airOf(core) != null)
                .findFirst()
                .map(core -> layer.withKind(core.isCooledByAir() ? Layer.Kind.CORE : Layer.Kind.RADIATOR));
    }

    /** A name that a method gave goes with the method; the user's own stays. */
    private String named(String name) {
        return inPlace && !from.name().isBlank() && !CoolingMethod.gives(from.name()) ? from.name() : name;
    }

    private static List<PathElement> replaced(List<PathElement> path, CoreMaker maker) {
        return mapped(path, core -> List.of(maker.make(core.name(), core.bore())));
    }

    private static List<PathElement> without(List<PathElement> path) {
        return mapped(path, core -> List.of()).stream()
                .filter(piece -> !(piece instanceof Injection))
                .toList();
    }

    private static List<PathElement> mapped(List<PathElement> path, Function<Core, List<PathElement>> of) {
        return path.stream()
                .flatMap(piece -> piece instanceof Core core
                        ? of.apply(core).stream()
                        : piece instanceof Parallel pair
                                ? Stream.of(pair.withLegs(pair.legs().stream()
                                        .map(leg -> new PathElement.Leg(leg.name(), mapped(leg.path(), of)))
                                        .toList()))
                                : Stream.of(piece))
                .collect(Collectors.toList());
    }

    /** Behind the blower, or behind the pair that holds both. */
    private static List<PathElement> inserted(List<PathElement> path, CoreMaker maker) {
        List<PathElement> longer = new ArrayList<>(path);
        for (int i = 0; i < path.size(); i++) {
            boolean blower = path.get(i) instanceof PathElement.Blower
                    || path.get(i) instanceof Parallel pair
                            && pair.legs().get(0).path().stream().anyMatch(PathElement.Blower.class::isInstance);
            if (blower) {
                int at = i + 1 < path.size() && path.get(i + 1) instanceof PathElement.Pipe ? i + 2 : i + 1;
                longer.add(at, maker.make("core", path.get(at - 1).bore()));
                return longer;
            }
        }
        return longer;
    }

    private List<PathElement> sprayed(List<PathElement> path, double nozzles) {
        List<PathElement> longer = new ArrayList<>(path);
        int last = path.size() - 1;
        double bore = path.get(last) instanceof PathElement.Plenum plenum
                ? plenum.bore()
                : path.get(Math.max(last - 1, 0)).bore();
        longer.add(last, GenericParts.injection("injection", bore, nozzles, from.boost()));
        return longer;
    }
}
