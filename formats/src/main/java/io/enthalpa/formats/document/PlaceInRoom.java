package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.MM;

import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** A place by the tape, from the datum; shared by all that stands in a room. */
interface PlaceInRoom {
    double FAR_MM = 10000;

    @Figure(
            label = "back",
            min = -FAR_MM,
            max = FAR_MM,
            usual = 0,
            help = "rearward from the datum; less than 0 before it",
            part = "room/place")
    double back_mm();

    @Figure(
            label = "right",
            min = -FAR_MM,
            max = FAR_MM,
            usual = 0,
            help = "to the right of the datum as one sits; less than 0 to the left",
            part = "room/place")
    double right_mm();

    @Figure(
            label = "up",
            min = -FAR_MM,
            max = FAR_MM,
            usual = 0,
            help = "above the datum; less than 0 below it",
            part = "room/place")
    double up_mm();

    default Vector3D vector() {
        return new Vector3D(MM.si(back_mm()), MM.si(right_mm()), MM.si(up_mm()));
    }
}
