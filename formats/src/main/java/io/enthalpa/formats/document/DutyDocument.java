package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.KM_H;
import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.RPM;

import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyLibrary;
import io.enthalpa.core.duty.DutyPiece;
import io.enthalpa.core.duty.DutyPlan;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.duty.Gearing;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** The job all options run. */
@Part(value = "duty", says = "the job, as rows or as pieces")
public record DutyDocument(
        String name,
        boolean boostFollowsBrief,

        @Figure(
                label = "start above outside air",
                min = 0,
                max = 120,
                usual = 10,
                help = "core and water after the drive to the start; 5-25 K is usual; common practice, no source")
        double startAbove_K,

        @Figure(label = "runs", min = 1, max = 200, usual = 1, help = "how often the table is run")
        int repeats,

        @Figure(label = "wait between runs", min = 0, max = 36000, usual = 0, help = "engine off, car standing")
        double wait_s,

        @Called(value = "duty piece", alone = true, most = DutyPieceDocument.MOST) @Nullable
        List<DutyPieceDocument> pieces,

        @Called(value = "duty row", alone = true, most = DutyPlan.MOST_ROWS) @Nullable
        List<DutyRow> rows) {

    Duty core(Place at, Optional<Gearing> gearing) {
        if ((rows == null) == (pieces == null)) {
            throw Place.malformed(
                    at.pointer() + "/rows",
                    "duty",
                    rows == null ? "neither rows nor pieces" : "rows and pieces",
                    "one of them");
        }
        List<DutyPiece> plan = pieces == null ? List.of() : DutyPieceDocument.core(pieces, at, 0);
        List<DutyPoint> points = rows == null
                ? DutyPlan.rows(plan, gearing)
                : rows.stream().map(DutyRow::core).toList();
        return new Duty(name, boostFollowsBrief, startAbove_K, repeats, wait_s, points, plan);
    }

    static DutyDocument of(Duty d) {
        boolean planned = !d.pieces().isEmpty();
        return new DutyDocument(
                d.name(),
                d.followsBoost(),
                d.startAbove(),
                d.repeats(),
                d.waitTime(),
                planned ? DutyPieceDocument.of(d.pieces()) : null,
                planned ? null : d.rows().stream().map(DutyRow::of).toList());
    }

    /** @return a duty of the library as it stands in a build file */
    public static ObjectNode tree(DutyLibrary.Entry e) {
        return Binding.MAPPER.valueToTree(new DutyDocument(
                e.name(), true, e.startAbove(), e.repeats(), e.between(), DutyPieceDocument.of(e.pieces()), null));
    }

    /** @return rows as they stand in a build file */
    public static ArrayNode tree(List<DutyPoint> rows) {
        return Binding.MAPPER.valueToTree(rows.stream().map(DutyRow::of).toList());
    }

    @Part(value = "duty/rows", says = "a moment; straight between rows, time rising from 0")
    record DutyRow(
            @Figure(label = "time", min = 0, max = 36000, usual = 0, help = "from the start")
            double time_s,

            @Figure(label = "engine speed", min = 0, max = 20000, usual = 3000, help = "0 is engine off")
            double engineSpeed_rpm,

            @Figure(
                    label = "boost",
                    min = -90,
                    max = 500,
                    usual = 100,
                    help = "above outside air; below zero is throttled")
            double boost_kPa,

            @Figure(label = "road speed", min = 0, max = 600, usual = 60, help = "0 is standing")
            double roadSpeed_km_h,

            @Nullable String id) {
        DutyPoint core() {
            return new DutyPoint(time_s, RPM.si(engineSpeed_rpm), KPA.si(boost_kPa), KM_H.si(roadSpeed_km_h));
        }

        static DutyRow of(DutyPoint p) {
            return new DutyRow(p.time(), RPM.of(p.speed()), KPA.of(p.boost()), KM_H.of(p.roadSpeed()), null);
        }
    }
}
