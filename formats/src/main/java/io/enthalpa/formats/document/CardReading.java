package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.C;
import static io.enthalpa.formats.document.Suffix.KG_S;
import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.L_MIN;

import io.enthalpa.core.exchanger.Coolant;
import io.enthalpa.core.exchanger.RatingCard;
import org.jspecify.annotations.Nullable;

/** What a maker's card tells of one point. */
interface CardReading {
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

    @Figure(label = "card: face air", min = 0.2, max = 40, usual = 8, help = "maker's card, of a core cooled by air")
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
