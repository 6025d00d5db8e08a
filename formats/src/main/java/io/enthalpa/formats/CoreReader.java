package io.enthalpa.formats;

import io.enthalpa.core.build.Field;
import io.enthalpa.core.chargepath.CoolingSide;
import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.coolingair.FaceAirSpec;
import io.enthalpa.core.exchanger.Coolant;
import io.enthalpa.core.exchanger.CoreBasis;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.exchanger.Effectiveness;
import io.enthalpa.core.exchanger.EndTankSpec;
import io.enthalpa.core.exchanger.FinSpec;
import io.enthalpa.core.exchanger.FinType;
import io.enthalpa.core.exchanger.FinnedBlock;
import io.enthalpa.core.exchanger.PortSide;
import io.enthalpa.core.exchanger.RatingCard;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import java.util.ArrayList;
import java.util.List;

/** Reads a core with its card or block, its tanks and what cools it. */
final class CoreReader {
    private static final int MOST_POINTS = 60;

    private CoreReader() {
    }

    static PathElement.Core core(JsonPlace place, String name) {
        boolean air = place.oneOf("cooledBy", Words.COOLED_BY);
        CoreSize size = new CoreSize(place.number(Field.CORE_WIDTH), place.number(Field.CORE_HEIGHT), place.number(Field.CORE_DEPTH));
        CoolingSide cooling = air ? new CoolingSide.Air(place.has("air") ? face(place.child("air", name)) : USUAL_FACE)
                : new CoolingSide.Water(LoopReader.loop(place.child("water", name), name));
        CoreSpec spec = new CoreSpec(place.name("construction"), size, basis(place, name, air),
                place.has("arrangement") ? place.oneOf("arrangement", Words.ARRANGEMENTS) : Effectiveness.CROSSFLOW_UNMIXED, tanks(place),
                place.has("inletTowards") ? place.oneOf("inletTowards", Words.SIDES) : PortSide.RIGHT);
        checked(spec, place, name);
        return new PathElement.Core(name, spec, cooling);
    }

    /** Says at once, by its place in the file, what cannot be built. */
    private static void checked(CoreSpec spec, JsonPlace place, String name) {
        try {
            if (spec.basis() instanceof FinnedBlock block) {
                block.layers(spec.size());
            }
            spec.tanks().checkedFor(spec.size());
        } catch (EnthalpaFault fault) {
            String inBlock = fault.field().startsWith("bar") ? "/block/" : "/";
            throw fault.at(place.pointer() + inBlock + fault.field(), name + ", " + fault.label());
        }
    }

    private static CoreBasis basis(JsonPlace place, String name, boolean air) {
        if (place.has("block") && place.has("card")) {
            throw EnthalpaFault.of(FaultKind.CONTRADICTION, place.pointer() + "/block", name, "known by card and by geometry", "one of them",
                    "Take the card out, or the block.");
        }
        return place.has("block") ? block(place.child("block", name), name, air) : card(place.child("card", name), air);
    }

    private static EndTankSpec tanks(JsonPlace place) {
        double port = place.number(Field.CORE_PORT);
        return new EndTankSpec(port, place.optionalNumber(Field.CORE_TANK_DEPTH).orElse(port),
                place.has("portPlace") ? place.oneOf("portPlace", Words.PLACES) : EndTankSpec.PortPlace.MIDDLE,
                place.has("dividedInlet") && place.flag("dividedInlet"), place.optionalNumber(Field.CORE_BLOCKED).orElse(0),
                place.has(Field.CORE_OUTLETS.key()) ? place.count(Field.CORE_OUTLETS) : 1);
    }

    private static FinnedBlock block(JsonPlace place, String name, boolean air) {
        FinSpec charge = fin(place.child("chargeFin", name + ", charge fin"));
        FinSpec cold = fin(place.child("coldFin", name + ", cooling fin"));
        double plate = place.number(Field.BLOCK_PLATE);
        double bar = place.number(Field.BLOCK_BAR);
        try {
            FinnedBlock block = new FinnedBlock(place.oneOf("layers", Words.CONSTRUCTIONS), air ? Coolant.AIR : Coolant.WATER, charge, cold, plate, bar,
                    place.optionalNumber(Field.BLOCK_CONDUCTIVITY).orElse(FinnedBlock.BRAZING_SHEET),
                    place.optionalNumber(Field.BLOCK_CHARGE_FOULING).orElse(0), place.optionalNumber(Field.BLOCK_COLD_FOULING).orElse(0));
            place.nothingElse();
            return block;
        } catch (EnthalpaFault fault) {
            throw fault.field().startsWith("/") ? fault : fault.at(place.pointer() + "/" + fault.field(), name + ", " + fault.label());
        }
    }

    static FinSpec fin(JsonPlace place) {
        FinType type = place.oneOf("type", Words.FINS);
        FinSpec fin = new FinSpec(type, place.number(Field.FIN_GAP), place.number(Field.FIN_PITCH), place.number(Field.FIN_THICKNESS),
                type == FinType.PLAIN ? place.optionalNumber(Field.FIN_INTERVAL).orElse(0) : place.number(Field.FIN_INTERVAL),
                type == FinType.LOUVRED ? place.number(Field.FIN_ANGLE) : place.optionalNumber(Field.FIN_ANGLE).orElse(0));
        place.nothingElse();
        return fin;
    }

    private static RatingCard card(JsonPlace place, boolean air) {
        CoreSize size = new CoreSize(place.number(Field.CARD_WIDTH), place.number(Field.CARD_HEIGHT), place.number(Field.CARD_DEPTH));
        List<RatingCard.Point> points = new ArrayList<>();
        points.add(point(place, air));
        if (place.has("morePoints")) {
            for (JsonPlace more : place.children("morePoints", "card point", MOST_POINTS)) {
                points.add(point(more, air));
                more.nothingElse();
            }
        }
        RatingCard card = new RatingCard(size, place.number(Field.CARD_MASS), air ? Coolant.AIR : Coolant.WATER, points,
                place.number(Field.CARD_CHARGE_SHARE), place.number(Field.CARD_WALL_SHARE), place.optionalNumber(Field.CARD_COOLANT_LOSS));
        place.nothingElse();
        if (card.chargeShare() + card.wallShare() > 0.97) {
            throw EnthalpaFault.of(FaultKind.CONTRADICTION, place.pointer() + "/wallShare_pct", "card: charge and wall share together",
                    "%.0f %%".formatted(100 * (card.chargeShare() + card.wallShare())), "at most 97 %",
                    "The rest is the cooling side, which always has some.");
        }
        return card;
    }

    private static RatingCard.Point point(JsonPlace place, boolean air) {
        return new RatingCard.Point(place.number(Field.CARD_FLOW), place.number(Field.CARD_PRESSURE), place.number(Field.CARD_IN),
                place.number(Field.CARD_OUT), place.number(Field.CARD_LOSS), air ? place.number(Field.CARD_AIR_SPEED) : 0,
                air ? 0 : place.number(Field.CARD_WATER_FLOW), place.number(Field.CARD_COOLANT_IN));
    }

    /** Air by a share of road speed; the usual one where the file leaves it to a way of the air. */
    static FaceAirSpec face(JsonPlace place) {
        FaceAirSpec face = new FaceAirSpec(place.optionalNumber(Field.AIR_FACE_SHARE).orElse(USUAL_FACE.speedShare()),
                place.optionalNumber(Field.AIR_STANDSTILL).orElse(USUAL_FACE.standstillSpeed()));
        place.nothingElse();
        return face;
    }

    static final FaceAirSpec USUAL_FACE = new FaceAirSpec(Field.AIR_FACE_SHARE.unit().toSi(Field.AIR_FACE_SHARE.usual()), Field.AIR_STANDSTILL.usual());
}
