package io.enthalpa.server.answers;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.place.Spot;
import io.enthalpa.formats.document.Pointers;

/** Pieces that a request speaks of by their pointers. */
final class Places {
    private Places() {}

    /** @param what that should stand there */
    static Spot spot(String what, String place) {
        return Pointers.spot(place).orElseThrow(() -> noSuch(what, place));
    }

    /** @return the refusal of a place at which nothing of that kind stands */
    static EnthalpaFault noSuch(String what, String place) {
        String told = place.length() > 60 ? place.substring(0, 60) + "..." : place;
        return EnthalpaFault.of(
                FaultKind.MALFORMED,
                "/place",
                "place",
                "\"" + told + "\"",
                "the pointer of a " + what + " within the option, as in /path/3",
                "");
    }
}
