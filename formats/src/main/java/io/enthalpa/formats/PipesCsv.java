package io.enthalpa.formats;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import io.enthalpa.core.fit.Laid;
import io.enthalpa.core.fit.Ovals;
import io.enthalpa.core.route.Fitting;
import io.enthalpa.core.route.Oval;
import io.enthalpa.core.route.TurnList;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Laid pipes as a table, units in the names: where each begins, its corners and where it ends, and beside each the straight up to its bend, how far the bend is turned
 * from the plane of the one before, clockwise in the way of the flow, and by how much it is bent. Behind them what is in its wall: how far
 * along the middle, which way it looks, clockwise from straight up, and its hole; and where it is made flat: the middle of that, which way the flats look,
 * for how long, how high and how wide it is outside.
 */
public final class PipesCsv {
    private static final String[] HEAD = {
        "pipe",
        "outside_mm",
        "point",
        "back_mm",
        "right_mm",
        "up_mm",
        "straight_mm",
        "turned_deg",
        "bent_deg",
        "radius_mm",
        "along_mm",
        "clocked_deg",
        "hole_mm",
        "flat_for_mm",
        "height_mm",
        "wide_mm"
    };
    /** Of a point of its middle line that nothing is put in at. */
    private static final List<String> NOTHING = List.of("", "", "", "", "", "");

    private static final List<String> NO_TURN = List.of("", "", "", "");

    private PipesCsv() {}

    public static String of(List<Laid> pipes) {
        StringWriter out = new StringWriter();
        try (CsvWriter writer =
                CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(out)) {
            writer.writeRecord(HEAD);
            for (Laid l : pipes) {
                TurnList turns = l.turns();
                row(writer, l, "begins", l.spec().from(), "", "", "", "");
                for (int i = 0; i < turns.steps().size(); i++) {
                    TurnList.Step s = turns.steps().get(i);
                    row(
                            writer,
                            l,
                            "corner " + (i + 1),
                            l.spec().corners().get(i).at(),
                            mm(s.length()),
                            deg(s.turn()),
                            deg(s.angle()),
                            mm(s.radius()));
                }
                row(writer, l, "ends", l.spec().to(), mm(turns.last()), "", "", "");
                for (Fitting f : l.fittings()) {
                    List<String> hole = List.of(mm(f.along()), deg(f.clock()), mm(f.hole()), "", "", "");
                    row(writer, l, f.kind().words(), l.line().at(f.along()), NO_TURN, hole);
                }
                for (Oval o : l.ovals()) {
                    List<String> flat = List.of(
                            mm(o.along()),
                            deg(o.clock()),
                            "",
                            mm(o.length()),
                            mm(o.height()),
                            mm(Ovals.width(o, l.pipe())));
                    row(writer, l, "made flat", l.line().at(o.along()), NO_TURN, flat);
                }
            }
        } catch (IOException inMemory) {
            throw new UncheckedIOException(inMemory);
        }
        return out.toString();
    }

    private static void row(CsvWriter writer, Laid l, String point, Vector3D at, String... turn) {
        row(writer, l, point, at, List.of(turn), NOTHING);
    }

    private static void row(
            CsvWriter writer, Laid l, String point, Vector3D at, List<String> turn, List<String> there) {
        List<String> all = new ArrayList<>(
                List.of(l.pipe().name(), mm(l.pipe().outside()), point, mm(at.getX()), mm(at.getY()), mm(at.getZ())));
        all.addAll(turn);
        all.addAll(there);
        writer.writeRecord(all);
    }

    private static String mm(double m) {
        return String.format(Locale.ROOT, "%.2f", m * 1e3).replace("-0.00", "0.00");
    }

    private static String deg(double rad) {
        return String.format(Locale.ROOT, "%.2f", Math.toDegrees(rad)).replace("-0.00", "0.00");
    }
}
