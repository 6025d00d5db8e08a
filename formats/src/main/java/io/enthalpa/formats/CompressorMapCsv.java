package io.enthalpa.formats;

import io.enthalpa.core.engine.CompressorMap;
import io.enthalpa.core.engine.SpeedLine;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.quantity.QuantityText;
import io.enthalpa.core.quantity.Unit;
import io.enthalpa.formats.document.BuildDocument;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import tools.jackson.databind.node.ObjectNode;

/**
 * A compressor map as a CSV table: one row for each measured point, columns {@code speed}, {@code flow}, {@code pressure ratio} and
 * {@code efficiency} in any order, each with its unit in brackets or behind an underscore ({@code flow [lb/min]}, {@code flow_kg_s}). Mass or
 * volume flow. Comment lines may give the inlet state that flow and speed are corrected to:
 * {@code # inlet temperature 25 °C}, {@code # inlet pressure 100 kPa}. Described in docs/build-file.md.
 */
public final class CompressorMapCsv {
    private static final String WHAT = "map file";
    private static final double USUAL_TEMPERATURE = 298.15;
    private static final double USUAL_PRESSURE = 100e3;

    private CompressorMapCsv() {}

    /** A column with its place and unit. */
    private record Column(int index, Quantity quantity, Unit unit, String written) {
        double si(CsvTable.Row row) {
            return QuantityText.read(
                    "%s, line %d, %s".formatted(WHAT, row.line(), written), row.cell(index), quantity, unit);
        }
    }

    /**
     * @param text a whole file
     * @return the map in it
     * @throws EnthalpaFault naming column, line or point when it does not make a map
     */
    public static CompressorMap read(String text) {
        CsvTable table = CsvTable.read(WHAT, text);
        Column speed = column(table, Quantity.ROTATION, "speed", "n");
        Column flow = flow(table);
        Column ratio = column(table, Quantity.NUMBER, "pressure ratio", "ratio", "pr");
        Column efficiency = column(table, Quantity.SHARE, "efficiency", "eta");
        double temperature = inlet(table, "temperature", Quantity.TEMPERATURE, USUAL_TEMPERATURE);
        double pressure = inlet(table, "pressure", Quantity.PRESSURE, USUAL_PRESSURE);
        double density = flow.quantity() == Quantity.VOLUME_FLOW ? HumidAir.DRY.density(pressure, temperature) : 1;
        Map<Double, List<SpeedLine.Point>> lines = new LinkedHashMap<>();
        for (CsvTable.Row row : table.rows()) {
            double eta = efficiency.si(row);
            lines.computeIfAbsent(speed.si(row), n -> new ArrayList<>())
                    .add(new SpeedLine.Point(flow.si(row) * density, ratio.si(row), eta));
        }
        List<SpeedLine> speedLines = lines.entrySet().stream()
                .map(e -> new SpeedLine(
                        e.getKey(),
                        e.getValue().stream()
                                .sorted(Comparator.comparingDouble(SpeedLine.Point::flow))
                                .toList()))
                .toList();
        try {
            return new CompressorMap(temperature, pressure, speedLines);
        } catch (EnthalpaFault fault) {
            throw fault.at("", WHAT + ", " + fault.label());
        }
    }

    /** @return the map in a CSV text as it stands in a build file */
    public static ObjectNode tree(String text) {
        return BuildDocument.tree(read(text));
    }

    private static Column flow(CsvTable table) {
        for (Quantity quantity : new Quantity[] {Quantity.MASS_FLOW, Quantity.VOLUME_FLOW}) {
            for (int i = 0; i < table.heading().size(); i++) {
                String heading = table.heading().get(i);
                if (name(heading).endsWith("flow")
                        && !unit(heading).isEmpty()
                        && quantity.unit(unit(heading)).isPresent()) {
                    return new Column(i, quantity, quantity.unit(unit(heading)).get(), heading);
                }
            }
        }
        return column(table, Quantity.MASS_FLOW, "flow", "mass flow", "corrected flow");
    }

    private static Column column(CsvTable table, Quantity quantity, String... names) {
        for (int i = 0; i < table.heading().size(); i++) {
            String heading = table.heading().get(i);
            if (List.of(names).contains(name(heading))) {
                return new Column(i, quantity, unitOf(heading, quantity), heading);
            }
        }
        throw EnthalpaFault.of(
                FaultKind.MALFORMED,
                "",
                WHAT,
                "no column \"" + names[0] + "\" among " + String.join(", ", table.heading()),
                "columns speed, flow, pressure ratio and efficiency with their units, as in: speed [rpm], flow [kg/s], pressure ratio, efficiency [%]",
                "");
    }

    private static Unit unitOf(String heading, Quantity quantity) {
        String written = unit(heading);
        if (written.isEmpty() && quantity == Quantity.SHARE) {
            return new Unit("", 1, 0, List.of());
        }
        if (written.isEmpty() && quantity != Quantity.NUMBER) {
            throw EnthalpaFault.of(
                    FaultKind.WRONG_UNIT,
                    "",
                    WHAT + ", column " + heading,
                    "no unit",
                    units(quantity),
                    "Write it in brackets: " + name(heading) + " ["
                            + quantity.units().get(0).symbol() + "].");
        }
        return quantity.unit(written)
                .orElseThrow(() -> EnthalpaFault.of(
                        FaultKind.WRONG_UNIT, "", WHAT + ", column " + heading, written, units(quantity), ""));
    }

    private static String units(Quantity quantity) {
        String symbols =
                String.join(", ", quantity.units().stream().map(Unit::symbol).toList());
        return quantity == Quantity.MASS_FLOW
                ? symbols + ", "
                        + String.join(
                                ", ",
                                Quantity.VOLUME_FLOW.units().stream()
                                        .map(Unit::symbol)
                                        .toList())
                : symbols;
    }

    /** The heading without its unit: "Flow [kg/s]" and "flow_kg_s" are both "flow". */
    private static String name(String heading) {
        String plain = heading.toLowerCase(Locale.ROOT);
        int bracket = firstBracket(plain);
        if (bracket > 0) {
            return plain.substring(0, bracket).strip().replace('_', ' ');
        }
        String words = plain.replace('_', ' ').strip();
        for (String known :
                new String[] {"pressure ratio", "mass flow", "corrected flow", "efficiency", "speed", "flow", "ratio"
                }) {
            if (words.startsWith(known)) {
                return known;
            }
        }
        return words.equals("pressureratio") ? "pressure ratio" : words;
    }

    private static String unit(String heading) {
        int bracket = firstBracket(heading);
        if (bracket > 0) {
            return heading.substring(bracket + 1).replaceAll("[\\])]\\s*$", "").strip();
        }
        String rest = heading.toLowerCase(Locale.ROOT).replace('_', ' ').strip();
        String name = name(heading);
        return rest.startsWith(name)
                ? rest.substring(name.length()).strip().replace(' ', '/').replace("pct", "%")
                : "";
    }

    private static int firstBracket(String text) {
        int square = text.indexOf('[');
        int round = text.indexOf('(');
        return square < 0 ? round : round < 0 ? square : Math.min(square, round);
    }

    private static double inlet(CsvTable table, String what, Quantity quantity, double usual) {
        for (String comment : table.comments()) {
            String plain = comment.strip().toLowerCase(Locale.ROOT);
            if (plain.startsWith("inlet " + what)) {
                return QuantityText.read(
                        WHAT + ", inlet " + what,
                        comment.strip().substring(("inlet " + what).length()).replaceFirst("^[\\s:=]+", ""),
                        quantity,
                        quantity.units().get(0));
            }
        }
        return usual;
    }

    /** @return the map as a file that {@link #read} reads back */
    public static String write(CompressorMap map) {
        StringBuilder out = new StringBuilder(
                "# inlet temperature %.2f °C\n# inlet pressure %.3f kPa\nspeed [rpm],flow [kg/s],pressure ratio,efficiency [%%]\n"
                        .formatted(map.referenceTemperature() - 273.15, map.referencePressure() / 1000));
        for (SpeedLine line : map.lines()) {
            for (SpeedLine.Point p : line.points()) {
                out.append("%.0f,%.5f,%.4f,%.2f\n"
                        .formatted(line.speed() * 30 / Math.PI, p.flow(), p.ratio(), 100 * p.efficiency()));
            }
        }
        return out.toString();
    }
}
