package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.C;
import static io.enthalpa.formats.document.Suffix.DEG;
import static io.enthalpa.formats.document.Suffix.KG_S;
import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.L_MIN;
import static io.enthalpa.formats.document.Suffix.M2K_KW;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.PA;
import static io.enthalpa.formats.document.Suffix.PCT;

import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.exchanger.Coolant;
import io.enthalpa.core.exchanger.CoreBasis;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.exchanger.EndTankSpec;
import io.enthalpa.core.exchanger.EndTankSpec.PortPlace;
import io.enthalpa.core.exchanger.FinSpec;
import io.enthalpa.core.exchanger.FinType;
import io.enthalpa.core.exchanger.FinnedBlock;
import io.enthalpa.core.exchanger.PortSide;
import io.enthalpa.core.exchanger.RatingCard;
import io.enthalpa.core.fault.EnthalpaFault;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

@Part(value = "core", says = "a charge cooler, known by its card or by its geometry", named = true)
record CorePiece(
        @Kind("core") String kind,
        String name,
        String construction,
        Coolant cooledBy,

        @Figure(
                label = "core width",
                min = 30,
                max = 2500,
                usual = 500,
                help = "finned block along the charge, tanks not counted")
        double width_mm,

        @Figure(label = "core height", min = 30, max = 1500, usual = 250, help = "finned block")
        double height_mm,

        @Figure(label = "core depth", min = 10, max = 400, usual = 64, help = "finned block")
        double depth_mm,

        @Nullable Effectiveness arrangement,
        @Nullable PortSide inletTowards,

        @Figure(label = "core port bore", min = 10, max = 400, usual = 63, help = "inside")
        double portBore_mm,

        @Figure(
                label = "end tank depth",
                min = 10,
                max = 400,
                usual = 63,
                help = "from the block's face to the back of the tank; the port's bore is usual")
        @Nullable
        Double tankDepth_mm,

        @Nullable PortPlace portPlace,
        @Nullable Boolean dividedInlet,

        @Figure(
                label = "passages blocked",
                min = 0,
                max = 90,
                usual = 0,
                help = "by a boss, weld or dirt; share of the passages that get no air")
        @Nullable
        Double blocked_pct,

        @Figure(label = "outlets", min = 1, max = 2, usual = 1, help = "two for two banks") @Nullable
        Integer outlets,

        @Nullable Card card,
        @Nullable Block block,
        @Nullable FaceAir air,
        @Nullable WaterLoop water,
        @Nullable String id)
        implements Piece {
    @Override
    public PathElement core(Place at) {
        CoreSize size = new CoreSize(MM.si(width_mm), MM.si(height_mm), MM.si(depth_mm));
        EndTankSpec tanks = new EndTankSpec(
                MM.si(portBore_mm),
                MM.si(tankDepth_mm == null ? portBore_mm : tankDepth_mm),
                portPlace == null ? PortPlace.MIDDLE : portPlace,
                Boolean.TRUE.equals(dividedInlet),
                PCT.si(blocked_pct).orElse(0),
                outlets == null ? 1 : outlets);
        CoolingSide cooling = cooling(at);
        CoreSpec spec = new CoreSpec(
                construction,
                size,
                basis(at),
                arrangement == null ? Effectiveness.CROSSFLOW_UNMIXED : arrangement,
                tanks,
                inletTowards == null ? PortSide.RIGHT : inletTowards);
        checked(spec, at);
        return new PathElement.Core(name, spec, cooling);
    }

    private CoolingSide cooling(Place at) {
        if (cooledBy == Coolant.AIR) {
            at.none("nothing, for the core is cooled by air", "water", water);
            return new CoolingSide.Air(FaceAir.orUsual(air));
        }
        at.none("nothing, for the core is cooled by water", "air", air);
        if (water == null) {
            throw at.malformed("water", "missing", "it to be there");
        }
        return new CoolingSide.Water(water.core(at.to("water")));
    }

    private CoreBasis basis(Place at) {
        if (block != null && card != null) {
            throw at.contradiction(
                            "block",
                            "",
                            "known by card and by geometry",
                            "one of them",
                            "Take the card out, or the block.")
                    .at(at.pointer() + "/block", at.words());
        }
        if (block != null) {
            return block.core(at, cooledBy);
        }
        if (card == null) {
            throw at.malformed("card", "missing", "it to be there");
        }
        return card.core(at.to("card"), cooledBy);
    }

    /** Says at once, by its place in the file, what cannot be built. */
    private static void checked(CoreSpec spec, Place at) {
        try {
            if (spec.basis() instanceof FinnedBlock block) {
                block.layers(spec.size());
            }
            spec.tanks().checkedFor(spec.size());
        } catch (EnthalpaFault fault) {
            throw at.inside(fault, fault.field().startsWith("bar") ? "/block" : "");
        }
    }

    static CorePiece of(PathElement.Core core) {
        CoreSpec s = core.spec();
        EndTankSpec t = s.tanks();
        return new CorePiece(
                "core",
                core.name(),
                s.construction(),
                core.cooling() instanceof CoolingSide.Air ? Coolant.AIR : Coolant.WATER,
                MM.of(s.size().width()),
                MM.of(s.size().height()),
                MM.of(s.size().depth()),
                s.arrangement(),
                s.inletTowards(),
                MM.of(t.portBore()),
                MM.of(t.depth()),
                t.place(),
                t.divided(),
                PCT.of(t.blocked()),
                t.outlets(),
                s.basis() instanceof RatingCard card ? Card.of(card) : null,
                s.basis() instanceof FinnedBlock block ? Block.of(block) : null,
                core.cooling() instanceof CoolingSide.Air air ? FaceAir.of(air.face()) : null,
                core.cooling() instanceof CoolingSide.Water water ? WaterLoop.of(water.loop()) : null,
                null);
    }

    /** What a maker's card tells of one point. */
    interface Measured {
        @Figure(label = "card: charge flow", min = 0.005, max = 10, usual = 0.2, help = "maker's card")
        double chargeFlow_kg_s();

        @Figure(label = "card: charge pressure", min = 80, max = 700, usual = 200, help = "absolute, at the inlet")
        double chargePressure_kPa();

        @Figure(label = "card: charge in", min = 20, max = 300, usual = 140, help = "maker's card")
        double chargeIn_C();

        @Figure(label = "card: charge out", min = -20, max = 250, usual = 45, help = "maker's card")
        double chargeOut_C();

        @Figure(label = "card: loss", min = 0.05, max = 100, usual = 3.5, help = "maker's card, port to port")
        double loss_kPa();

        @Figure(
                label = "card: face air",
                min = 0.2,
                max = 40,
                usual = 8,
                help = "maker's card, of a core cooled by air")
        @Nullable
        Double airSpeed_m_s();

        @Figure(
                label = "card: water flow",
                min = 0.5,
                max = 1000,
                usual = 20,
                help = "maker's card, of a core cooled by water")
        @Nullable
        Double waterFlow_L_min();

        @Figure(label = "card: coolant in", min = -20, max = 90, usual = 25, help = "air or water, maker's card")
        double coolantIn_C();

        default RatingCard.Point point(Place at, Coolant coolant) {
            boolean air = coolant == Coolant.AIR;
            if (air) {
                at.none("nothing, for the core is cooled by air", "waterFlow_L_min", waterFlow_L_min());
            } else {
                at.none("nothing, for the core is cooled by water", "airSpeed_m_s", airSpeed_m_s());
            }
            return new RatingCard.Point(
                    KG_S.si(chargeFlow_kg_s()),
                    KPA.si(chargePressure_kPa()),
                    C.si(chargeIn_C()),
                    C.si(chargeOut_C()),
                    KPA.si(loss_kPa()),
                    air ? at.need("airSpeed_m_s", airSpeed_m_s()) : 0,
                    air ? 0 : L_MIN.si(at.need("waterFlow_L_min", waterFlow_L_min())),
                    C.si(coolantIn_C()));
        }
    }

    @Part(value = "core/card", says = "one more point of a card")
    record CardPoint(
            double chargeFlow_kg_s,
            double chargePressure_kPa,
            double chargeIn_C,
            double chargeOut_C,
            double loss_kPa,
            @Nullable Double airSpeed_m_s,
            @Nullable Double waterFlow_L_min,
            double coolantIn_C,
            @Nullable String id)
            implements Measured {
        static CardPoint of(RatingCard.Point p, Coolant by) {
            return new CardPoint(
                    KG_S.of(p.chargeFlow()),
                    KPA.of(p.chargePressure()),
                    C.of(p.chargeIn()),
                    C.of(p.chargeOut()),
                    KPA.of(p.loss()),
                    by == Coolant.AIR ? Double.valueOf(p.coolantVelocity()) : null,
                    by == Coolant.AIR ? null : Double.valueOf(L_MIN.of(p.coolantFlow())),
                    C.of(p.coolantIn()),
                    null);
        }
    }

    @Part(value = "core/card", says = "what its maker measured")
    record Card(
            @Figure(label = "card: core width", min = 30, max = 2500, usual = 500, help = "size that was measured")
            double width_mm,

            @Figure(label = "card: core height", min = 30, max = 1500, usual = 250, help = "size that was measured")
            double height_mm,

            @Figure(label = "card: core depth", min = 10, max = 400, usual = 64, help = "size that was measured")
            double depth_mm,

            @Figure(label = "card: core mass", min = 0.1, max = 300, usual = 6, help = "dry, with tanks")
            double mass_kg,

            double chargeFlow_kg_s,
            double chargePressure_kPa,
            double chargeIn_C,
            double chargeOut_C,
            double loss_kPa,
            @Nullable Double airSpeed_m_s,
            @Nullable Double waterFlow_L_min,
            double coolantIn_C,

            @Figure(
                    label = "card: charge side share",
                    min = 5,
                    max = 90,
                    usual = 35,
                    help =
                            "of the whole resistance; air-cooled about 35, water-cooled about 75 %; common practice, no source")
            double chargeShare_pct,

            @Figure(
                    label = "card: wall share",
                    min = 0.1,
                    max = 50,
                    usual = 3,
                    help = "wall and fouling; a clean brazed core 1-4 %; common practice, no source")
            double wallShare_pct,

            @Figure(
                    label = "card: coolant loss",
                    min = 1,
                    max = 200000,
                    usual = 8000,
                    help = "of water or air at the card's flow; where it is silent 8 kPa of water, 150 Pa of air "
                            + "for each metre of depth at 1 m/s; common practice, no source")
            @Nullable
            Double coolantLoss_Pa,

            @Called(value = "card point", alone = true, most = 60) @Nullable
            List<CardPoint> morePoints)
            implements Measured {
        RatingCard core(Place at, Coolant coolant) {
            List<RatingCard.Point> points = new ArrayList<>();
            points.add(point(at, coolant));
            for (int i = 0; morePoints != null && i < morePoints.size(); i++) {
                points.add(morePoints.get(i).point(at.to("morePoints", i, morePoints.get(i)), coolant));
            }
            RatingCard card = new RatingCard(
                    new CoreSize(MM.si(width_mm), MM.si(height_mm), MM.si(depth_mm)),
                    mass_kg,
                    coolant,
                    points,
                    PCT.si(chargeShare_pct),
                    PCT.si(wallShare_pct),
                    PA.si(coolantLoss_Pa));
            double together = card.chargeShare() + card.wallShare();
            if (together > 0.97) {
                String label = "card: charge and wall share together";
                throw at.contradiction(
                        "wallShare_pct",
                        label,
                        "%.0f %%".formatted(100 * together),
                        "at most 97 %",
                        "The rest is the cooling side, which always has some.");
            }
            return card;
        }

        static Card of(RatingCard c) {
            CardPoint p = CardPoint.of(c.points().get(0), c.coolant());
            return new Card(
                    MM.of(c.size().width()),
                    MM.of(c.size().height()),
                    MM.of(c.size().depth()),
                    c.metalMass(),
                    p.chargeFlow_kg_s,
                    p.chargePressure_kPa,
                    p.chargeIn_C,
                    p.chargeOut_C,
                    p.loss_kPa,
                    p.airSpeed_m_s,
                    p.waterFlow_L_min,
                    p.coolantIn_C,
                    PCT.of(c.chargeShare()),
                    PCT.of(c.wallShare()),
                    PA.of(c.coolantLoss()),
                    c.points().size() == 1
                            ? null
                            : c.points().stream()
                                    .skip(1)
                                    .map(more -> CardPoint.of(more, c.coolant()))
                                    .toList());
        }
    }

    @Part(value = "core/block", says = "its geometry")
    record Block(
            FinnedBlock.Construction layers,

            @Figure(
                    label = "plate or tube wall",
                    min = 0.1,
                    max = 5,
                    usual = 0.5,
                    help = "bar-and-plate 0.4-0.6 mm, tubes 0.3-0.5 mm; common practice, no source")
            double plate_mm,

            @Figure(
                    label = "bar width",
                    min = 0.2,
                    max = 30,
                    usual = 5,
                    help = "closing bars 4-8 mm; nose of a tube about 1 mm; common practice, no source")
            double bar_mm,

            @Figure(
                    label = "metal's conductivity",
                    min = 10,
                    max = 400,
                    usual = FinnedBlock.BRAZING_SHEET,
                    help = "brazing sheet 170-190; copper 380; stainless 16; Incropera & DeWitt, from memory")
            @Nullable
            Double conductivity_W_mK,

            @Figure(
                    label = "fouling, charge side",
                    min = 0,
                    max = 5,
                    usual = 0.05,
                    help = "clean 0; oil film behind a blower 0.1-0.3; common practice, no source")
            @Nullable
            Double chargeFouling_m2K_kW,

            @Figure(
                    label = "fouling, cooling side",
                    min = 0,
                    max = 5,
                    usual = 0,
                    help = "clean 0; flies and dust 0.2-0.5; sea water 0.1-0.2; common practice, no source")
            @Nullable
            Double coldFouling_m2K_kW,

            @Called("charge fin") Fin chargeFin,
            @Called("cooling fin") Fin coldFin) {
        FinnedBlock core(Place owner, Coolant coolant) {
            Place at = owner.to("block");
            FinSpec charge = chargeFin.core(at.to("chargeFin"));
            FinSpec cold = coldFin.core(at.to("coldFin"));
            try {
                return new FinnedBlock(
                        layers,
                        coolant,
                        charge,
                        cold,
                        MM.si(plate_mm),
                        MM.si(bar_mm),
                        conductivity_W_mK == null ? FinnedBlock.BRAZING_SHEET : conductivity_W_mK,
                        M2K_KW.si(chargeFouling_m2K_kW).orElse(0),
                        M2K_KW.si(coldFouling_m2K_kW).orElse(0));
            } catch (EnthalpaFault fault) {
                throw at.inside(fault, "");
            }
        }

        static Block of(FinnedBlock b) {
            return new Block(
                    b.construction(),
                    MM.of(b.plate()),
                    MM.of(b.bar()),
                    b.conductivity(),
                    M2K_KW.of(b.chargeFouling()),
                    M2K_KW.of(b.coldFouling()),
                    Fin.of(b.charge()),
                    Fin.of(b.cold()));
        }
    }

    @Part(value = "core/block/fin", says = "a fin")
    record Fin(
            FinType type,

            @Figure(
                    label = "fin height",
                    min = 0.5,
                    max = 40,
                    usual = 6,
                    help = "between the plates: height of the layer")
            double gap_mm,

            @Figure(
                    label = "fin pitch",
                    min = 0.3,
                    max = 30,
                    usual = 2,
                    help = "from fin to fin: 25.4 over fins per inch")
            double pitch_mm,

            @Figure(
                    label = "fin thickness",
                    min = 0.03,
                    max = 3,
                    usual = 0.15,
                    help = "0.08-0.3 mm is usual; common practice, no source")
            double thickness_mm,

            @Figure(
                    label = "strip length or louvre pitch",
                    min = 0.5,
                    max = 50,
                    usual = 3,
                    help = "offset strips 2-6 mm, louvres 0.9-1.7 mm; common practice, no source; none of a plain fin")
            @Nullable
            Double interval_mm,

            @Figure(
                    label = "louvre angle",
                    min = 8,
                    max = 40,
                    usual = 27,
                    help = "20-30° is usual; common practice, no source; of a louvred fin")
            @Nullable
            Double louvreAngle_deg) {
        FinSpec core(Place at) {
            double interval =
                    type == FinType.PLAIN ? MM.si(interval_mm).orElse(0) : MM.si(at.need("interval_mm", interval_mm));
            double angle = type == FinType.LOUVRED
                    ? DEG.si(at.need("louvreAngle_deg", louvreAngle_deg))
                    : DEG.si(louvreAngle_deg).orElse(0);
            return new FinSpec(type, MM.si(gap_mm), MM.si(pitch_mm), MM.si(thickness_mm), interval, angle);
        }

        static Fin of(FinSpec f) {
            return new Fin(
                    f.type(),
                    MM.of(f.gap()),
                    MM.of(f.pitch()),
                    MM.of(f.thickness()),
                    f.type() == FinType.PLAIN ? null : Double.valueOf(MM.of(f.interval())),
                    f.type() == FinType.LOUVRED ? Double.valueOf(DEG.of(f.louvreAngle())) : null);
        }
    }

    @Part(value = "core/air", says = "air by a share of road speed, for what stands in no way of the air")
    record FaceAir(
            @Figure(
                    label = "face air share",
                    min = 0.5,
                    max = 100,
                    usual = USUAL_SHARE_PCT,
                    help =
                            "speed at the face over road speed: open front 15-35 %, sealed duct 30-50 %; common practice, no source")
            @Nullable
            Double faceShare_pct,

            @Figure(
                    label = "face air standing",
                    min = 0.05,
                    max = 30,
                    usual = USUAL_STANDSTILL_M_S,
                    help = "what fan or warm air still moves; no fan about 0.3 m/s; common practice, no source")
            @Nullable
            Double standstill_m_s) {
        static final double USUAL_SHARE_PCT = 22;
        static final double USUAL_STANDSTILL_M_S = 0.5;

        static FaceAirSpec orUsual(@Nullable FaceAir air) {
            return new FaceAirSpec(
                    PCT.si(air == null || air.faceShare_pct == null ? USUAL_SHARE_PCT : air.faceShare_pct),
                    air == null || air.standstill_m_s == null ? USUAL_STANDSTILL_M_S : air.standstill_m_s);
        }

        static FaceAir of(FaceAirSpec a) {
            return new FaceAir(PCT.of(a.speedShare()), a.standstillSpeed());
        }
    }
}
