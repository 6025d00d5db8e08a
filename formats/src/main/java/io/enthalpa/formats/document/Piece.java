package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.C;
import static io.enthalpa.formats.document.Suffix.CM2;
import static io.enthalpa.formats.document.Suffix.DEG;
import static io.enthalpa.formats.document.Suffix.KG;
import static io.enthalpa.formats.document.Suffix.KG_S;
import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.L;
import static io.enthalpa.formats.document.Suffix.L_MIN;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.PCT;
import static io.enthalpa.formats.document.Suffix.W_K;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.PlenumWallSpec;
import io.enthalpa.core.engine.InjectionSpec;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A piece of a charge path, told apart by its {@code kind}. */
sealed interface Piece extends Named
        permits Piece.FilterPiece,
                BlowerPiece,
                PipePiece,
                Piece.ReducerPiece,
                Piece.JointPiece,
                Piece.ThrottlePiece,
                CorePiece,
                Piece.InjectionPiece,
                Piece.PairPiece,
                Piece.PlenumPiece {
    int MOST = 40;

    String kind();

    /** @return what the piece is to the computation */
    PathElement core(Place at);

    static List<PathElement> path(List<Piece> pieces, Place owner) {
        List<PathElement> path = new ArrayList<>();
        for (int i = 0; i < pieces.size(); i++) {
            path.add(pieces.get(i).core(owner.to("path", i, pieces.get(i))));
        }
        return path;
    }

    static List<Piece> of(List<PathElement> path) {
        return path.stream().map(Piece::of).toList();
    }

    static Piece of(PathElement element) {
        return element.to(new Pieces());
    }

    @Part(value = "filter", says = "filter and intake in front of the blower", named = true)
    record FilterPiece(
            @Kind("filter") String kind,
            String name,

            @Figure(label = "filter outlet bore", min = 10, max = 400, usual = 76, help = "inside")
            double bore_mm,

            @Figure(
                    label = "filter loss",
                    min = 0,
                    max = 30,
                    usual = 1.5,
                    help = "clean panel filter with box 1-2.5 kPa at full flow; common practice, no source")
            double loss_kPa,

            @Figure(
                    label = "flow at that loss",
                    min = 0.005,
                    max = 10,
                    usual = 0.15,
                    help = "the flow the loss was read at")
            double flow_kg_s,

            @Figure(
                    label = "intake warm-up",
                    min = 0,
                    max = 60,
                    usual = 3,
                    help = "cold snorkel 1-4 K, open filter in the bay 10-25 K; common practice, no source")
            double heatGain_K,

            @Figure(
                    label = "loss when due for change",
                    min = 0,
                    max = 40,
                    usual = 3,
                    help = "about twice the clean loss; common practice, no source")
            @Nullable
            Double dirtyLoss_kPa,

            @Figure(label = "how dirty", min = 0, max = 100, usual = 0, help = "0 is clean, 100 due for change")
            @Nullable
            Double soiling_pct,

            @Figure(
                    label = "drawn from the bay",
                    min = 0,
                    max = 100,
                    usual = 0,
                    help =
                            "of its air, on top of the warm-up: sealed box 0-10, open filter in the bay 60-100 %; common practice, no source")
            @Nullable
            Double bayShare_pct,

            @Nullable String id)
            implements Piece {
        /** Dirty filters lose about twice as much (common practice, no source); for files that do not say. */
        private static final double DIRTY_TIMES = 2;

        @Override
        public PathElement core(Place at) {
            double loss = KPA.si(loss_kPa);
            double dirty = KPA.si(dirtyLoss_kPa).orElse(DIRTY_TIMES * loss);
            if (dirty < loss) {
                throw at.contradiction(
                        "dirtyLoss_kPa",
                        "loss when due for change",
                        kPa(dirty),
                        "at least the clean loss, " + kPa(loss),
                        "");
            }
            return new PathElement.Filter(
                    name,
                    MM.si(bore_mm),
                    loss,
                    KG_S.si(flow_kg_s),
                    heatGain_K,
                    dirty,
                    PCT.si(soiling_pct).orElse(0),
                    PCT.si(bayShare_pct).orElse(0));
        }

        static FilterPiece of(PathElement.Filter f) {
            return new FilterPiece(
                    "filter",
                    f.name(),
                    MM.of(f.bore()),
                    KPA.of(f.loss()),
                    KG_S.of(f.flow()),
                    f.heatGain(),
                    KPA.of(f.dirtyLoss()),
                    PCT.of(f.soiling()),
                    f.bayShare() > 0 ? PCT.of(f.bayShare()) : null,
                    null);
        }
    }

    @Part(value = "reducer", says = "a cone or a step from one bore to another", named = true)
    record ReducerPiece(
            @Kind("reducer") String kind,
            String name,

            @Figure(label = "bore in", min = 10, max = 400, usual = 63, help = "inside")
            double inletBore_mm,

            @Figure(label = "bore out", min = 10, max = 400, usual = 76, help = "inside")
            double bore_mm,

            @Figure(
                    label = "cone length",
                    min = 0,
                    max = 1000,
                    usual = 75,
                    help = "0 is a step; 20° of included angle or less costs least when it opens")
            double length_mm,

            @Nullable String id)
            implements Piece {
        @Override
        public PathElement core(Place at) {
            return new PathElement.Reducer(name, MM.si(inletBore_mm), MM.si(bore_mm), MM.si(length_mm));
        }

        static ReducerPiece of(PathElement.Reducer r) {
            return new ReducerPiece(
                    "reducer", r.name(), MM.of(r.inletBore()), MM.of(r.bore()), MM.of(r.length()), null);
        }
    }

    @Part(value = "joint", says = "two pipe ends in a hose", named = true)
    record JointPiece(
            @Kind("joint") String kind,
            String name,

            @Figure(label = "pipe bore", min = 10, max = 400, usual = 63, help = "inside, of the pipe ends")
            double bore_mm,

            @Figure(
                    label = "hose bore",
                    min = 10,
                    max = 420,
                    usual = 67,
                    help = "inside the hose, or its hump: pipe bore and twice the wall")
            double hoseBore_mm,

            @Figure(
                    label = "gap between pipe ends",
                    min = 0,
                    max = 400,
                    usual = 8,
                    help = "5-15 mm is usual; common practice, no source")
            double gap_mm,

            @Nullable String id)
            implements Piece {
        @Override
        public PathElement core(Place at) {
            if (hoseBore_mm < bore_mm) {
                throw at.contradiction(
                        "hoseBore_mm",
                        "hose bore",
                        mm(MM.si(hoseBore_mm)),
                        "at least the pipe's bore, " + mm(MM.si(bore_mm)),
                        "The hose goes over the pipe: add twice the wall.");
            }
            return new PathElement.Joint(name, MM.si(bore_mm), MM.si(hoseBore_mm), MM.si(gap_mm));
        }

        static JointPiece of(PathElement.Joint j) {
            return new JointPiece("joint", j.name(), MM.of(j.bore()), MM.of(j.hoseBore()), MM.of(j.gap()), null);
        }
    }

    @Part(value = "throttle", says = "a butterfly; in front of the blower it is drawn through", named = true)
    record ThrottlePiece(
            @Kind("throttle") String kind,
            String name,

            @Figure(label = "throttle bore", min = 10, max = 200, usual = 60, help = "inside")
            double bore_mm,

            @Figure(
                    label = "shaft thickness",
                    min = 1,
                    max = 40,
                    usual = 9,
                    help = "of shaft and plate across the bore; 8-10 mm is usual; common practice, no source")
            double shaft_mm,

            @Nullable String id)
            implements Piece {
        @Override
        public PathElement core(Place at) {
            if (shaft_mm > 0.5 * bore_mm) {
                throw at.contradiction(
                        "shaft_mm",
                        "shaft thickness",
                        mm(MM.si(shaft_mm)),
                        "at most half the bore, " + mm(0.5 * MM.si(bore_mm)),
                        "");
            }
            return new PathElement.Throttle(name, MM.si(bore_mm), MM.si(shaft_mm));
        }

        static ThrottlePiece of(PathElement.Throttle t) {
            return new ThrottlePiece("throttle", t.name(), MM.of(t.bore()), MM.of(t.shaft()), null);
        }
    }

    @Part(value = "injection", says = "water and methanol sprayed into the charge", named = true)
    record InjectionPiece(
            @Kind("injection") String kind,
            String name,

            @Figure(label = "pipe bore", min = 10, max = 400, usual = 63, help = "inside, where the nozzle stands")
            double bore_mm,

            @Figure(
                    label = "methanol in the mix",
                    min = 0,
                    max = 100,
                    usual = 50,
                    help = "by volume; half and half is usual; common practice, no source")
            double alcohol_pct,

            @Figure(
                    label = "nozzle flow",
                    min = 0.01,
                    max = 20,
                    usual = 0.4,
                    help = "all nozzles together, at the pressure they are rated for")
            double nozzleFlow_L_min,

            @Figure(
                    label = "rated at",
                    min = 50,
                    max = 3000,
                    usual = 700,
                    help = "pressure difference that the nozzle's flow is given at")
            double ratedPressure_kPa,

            @Figure(
                    label = "pump pressure",
                    min = 100,
                    max = 3000,
                    usual = 1000,
                    help = "at the nozzle, above outside air")
            double pumpPressure_kPa,

            @Figure(label = "starts at boost", min = 0, max = 500, usual = 40, help = "controller setting")
            double startBoost_kPa,

            @Figure(
                    label = "full at boost",
                    min = 0,
                    max = 500,
                    usual = 90,
                    help = "controller setting; straight between start and full")
            double fullBoost_kPa,

            @Figure(label = "tank", min = 0.1, max = 400, usual = 5, help = "usable content")
            double tank_L,

            @Figure(
                    label = "evaporates before the plenum",
                    min = 0,
                    max = 100,
                    usual = 50,
                    help =
                            "40-70 % with fine nozzles 300 mm or more ahead; the rest in the cylinder; common practice, no source")
            double evaporated_pct,

            @Nullable String id)
            implements Piece {
        @Override
        public PathElement core(Place at) {
            InjectionSpec spec = new InjectionSpec(
                    PCT.si(alcohol_pct),
                    L_MIN.si(nozzleFlow_L_min),
                    KPA.si(ratedPressure_kPa),
                    KPA.si(pumpPressure_kPa),
                    KPA.si(startBoost_kPa),
                    KPA.si(fullBoost_kPa),
                    L.si(tank_L),
                    PCT.si(evaporated_pct));
            if (spec.fullBoost() < spec.startBoost()) {
                throw at.contradiction(
                        "fullBoost_kPa",
                        "full at boost",
                        kPa(spec.fullBoost()),
                        "at least where it starts, " + kPa(spec.startBoost()),
                        "");
            }
            return new PathElement.Injection(name, MM.si(bore_mm), spec);
        }

        static InjectionPiece of(PathElement.Injection i) {
            InjectionSpec s = i.spec();
            return new InjectionPiece(
                    "injection",
                    i.name(),
                    MM.of(i.bore()),
                    PCT.of(s.alcoholShare()),
                    L_MIN.of(s.nozzleFlow()),
                    KPA.of(s.ratedPressure()),
                    KPA.of(s.pumpPressure()),
                    KPA.of(s.startBoost()),
                    KPA.of(s.fullBoost()),
                    L.of(s.tank()),
                    PCT.of(s.evaporated()),
                    null);
        }
    }

    @Part(value = "pair", says = "two legs side by side", named = true)
    record PairPiece(
            @Kind("pair") String kind,
            String name,

            @Figure(
                    label = "angle at the split",
                    min = 0,
                    max = 90,
                    usual = 30,
                    help = "between a leg and the common pipe; 90 is a straight tee")
            @Nullable
            Double splitAngle_deg,

            @Figure(
                    label = "angle at the merge",
                    min = 0,
                    max = 90,
                    usual = 20,
                    help = "between a leg and the common pipe; collectors have 10-20°")
            @Nullable
            Double mergeAngle_deg,

            @Figure(label = "bore behind the merge", min = 10, max = 400, usual = 76, help = "inside") @Nullable
            Double mergedBore_mm,

            @Called(value = "leg", most = 2) List<Leg> legs,
            @Called("balance tube") @Nullable Balance balance,
            @Nullable String id)
            implements Piece {
        @Override
        public PathElement core(Place at) {
            if (legs.size() != 2) {
                throw at.malformed("legs", String.valueOf(legs.size()), "exactly 2");
            }
            List<PathElement.Leg> both = new ArrayList<>();
            for (int i = 0; i < 2; i++) {
                Leg leg = legs.get(i);
                Place there = at.to("legs", i, leg);
                if (leg.path().isEmpty()) {
                    throw Place.malformed(
                            there.pointer() + "/path", at.words() + ", leg " + leg.name(), "no piece", "at least one");
                }
                both.add(new PathElement.Leg(leg.name(), path(leg.path(), there)));
            }
            List<PathElement> first = both.get(0).path();
            return new PathElement.Parallel(
                    name,
                    DEG.si(splitAngle_deg).orElse(0),
                    both,
                    DEG.si(mergeAngle_deg).orElse(0),
                    MM.si(mergedBore_mm).orElse(first.get(first.size() - 1).bore()),
                    Optional.ofNullable(balance)
                            .map(b -> new PathElement.Balance(MM.si(b.bore_mm), MM.si(b.length_mm))));
        }

        static PairPiece of(PathElement.Parallel p) {
            return new PairPiece(
                    "pair",
                    p.name(),
                    DEG.of(p.splitAngle()),
                    DEG.of(p.mergeAngle()),
                    MM.of(p.mergedBore()),
                    p.legs().stream()
                            .map(leg -> new Leg(leg.name(), Piece.of(leg.path()), null))
                            .toList(),
                    p.balance()
                            .map(b -> new Balance(MM.of(b.bore()), MM.of(b.length())))
                            .orElse(null),
                    null);
        }
    }

    @Part(value = "pair/leg", says = "one of the two")
    record Leg(
            String name,

            @Called(value = "piece", alone = true, most = MOST)
            List<Piece> path,

            @Nullable String id) {}

    @Part(value = "pair/balance", says = "a tube from plenum to plenum")
    record Balance(
            @Figure(label = "balance tube bore", min = 5, max = 200, usual = 38, help = "inside")
            double bore_mm,

            @Figure(label = "balance tube length", min = 10, max = 3000, usual = 400, help = "from plenum to plenum")
            double length_mm) {}

    @Part(value = "plenum", says = "where the path ends", named = true)
    record PlenumPiece(
            @Kind("plenum") String kind,
            String name,

            @Figure(
                    label = "plenum inlet bore",
                    min = 10,
                    max = 400,
                    usual = 63,
                    help = "throttle body or plenum neck, inside")
            double bore_mm,

            @Figure(
                    label = "plenum volume",
                    min = 0.05,
                    max = 100,
                    usual = USUAL_L,
                    help = "plenum and runners up to the valves; counts for filling only")
            @Nullable
            Double volume_L,

            @Called("wall") @Nullable PlenumWall wall,
            @Nullable String id)
            implements Piece {
        static final double USUAL_L = 3;

        @Override
        public PathElement core(Place at) {
            return new PathElement.Plenum(
                    name,
                    MM.si(bore_mm),
                    L.si(volume_L).orElse(L.si(USUAL_L)),
                    Optional.ofNullable(wall).map(PlenumWall::core));
        }

        static PlenumPiece of(PathElement.Plenum p) {
            return new PlenumPiece(
                    "plenum",
                    p.name(),
                    MM.of(p.bore()),
                    L.of(p.volume()),
                    p.wall().map(PlenumWall::of).orElse(null),
                    null);
        }
    }

    @Part(value = "plenum/wall", says = "its metal, which the charge warms and cools")
    record PlenumWall(
            @Figure(
                    label = "metal of the plenum",
                    min = 0.2,
                    max = 200,
                    usual = 4,
                    help = "with its runners; aluminium")
            double mass_kg,

            @Figure(label = "inside area", min = 50, max = 100000, usual = 1500, help = "of plenum and runners")
            double area_cm2,

            @Figure(
                    label = "engine at its flange",
                    min = 40,
                    max = 160,
                    usual = 92,
                    help = "about the coolant's temperature")
            double head_C,

            @Figure(
                    label = "through the gasket",
                    min = 0,
                    max = 300,
                    usual = 12,
                    help = "plain gasket 8-25 W/K, thick plastic spacer 1-3; common practice, no source")
            double toHead_W_K) {
        PlenumWallSpec core() {
            return new PlenumWallSpec(KG.si(mass_kg), CM2.si(area_cm2), C.si(head_C), W_K.si(toHead_W_K));
        }

        static PlenumWall of(PlenumWallSpec w) {
            return new PlenumWall(KG.of(w.mass()), CM2.of(w.area()), C.of(w.head()), W_K.of(w.toHead()));
        }
    }

    static String mm(double m) {
        return "%.0f mm".formatted(1000 * m);
    }

    static String kPa(double pa) {
        return "%.1f kPa".formatted(pa / 1000);
    }
}
