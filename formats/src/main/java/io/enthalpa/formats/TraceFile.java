package io.enthalpa.formats;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.plant.CoreTrace;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.IntToDoubleFunction;
import java.util.function.IntUnaryOperator;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.json.JsonMapper;

/** A run with every step and every column, as CSV or JSON, units in the names. Where the engine stands, stations have no value. */
public final class TraceFile {
    private static final double KELVIN = 273.15;

    private TraceFile() {}

    private static final double[] POWERS = {1, 10, 100, 1e3, 1e4, 1e5, 1e6};

    /** One column: its name with its unit, its value in that unit, whether it has one at a step, and digits after the point. */
    private record Column(String name, IntToDoubleFunction value, int digits, IntUnaryOperator there) {
        String text(int i) {
            return there.applyAsInt(i) == 0 ? "" : fixed(value.applyAsDouble(i), digits);
        }

        /** A run of eight hours has millions of cells: figures are put together from a whole number. */
        private static String fixed(double value, int digits) {
            double scaled = value * POWERS[digits];
            if (!(Math.abs(scaled) < 1e15)) {
                return new BigDecimal(value)
                        .setScale(digits, RoundingMode.HALF_EVEN)
                        .toPlainString();
            }
            long whole = Math.round(Math.abs(scaled));
            String text = Long.toString(whole);
            if (digits > 0) {
                text = "0".repeat(Math.max(0, digits + 1 - text.length())) + text;
                text = text.substring(0, text.length() - digits) + "." + text.substring(text.length() - digits);
            }
            return value < 0 && whole != 0 ? "-" + text : text;
        }
    }

    private static List<Column> columns(Trace trace) {
        Trace.Columns c = trace.columns();
        List<Column> columns = new ArrayList<>();
        IntUnaryOperator always = i -> 1;
        IntUnaryOperator running = i -> c.flow()[i] > 0 ? 1 : 0;
        columns.add(new Column("time_s", i -> c.time()[i], 3, always));
        columns.add(new Column("running", running::applyAsInt, 0, always));
        columns.add(new Column("engineSpeed_rpm", i -> c.speed()[i] * 30 / Math.PI, 1, always));
        columns.add(new Column("roadSpeed_km_h", i -> c.roadSpeed()[i] * 3.6, 2, always));
        columns.add(new Column("askedBoost_kPa", i -> c.asked()[i] / 1000, 3, always));
        columns.add(new Column("boost_kPa", i -> c.boost()[i] / 1000, 3, always));
        columns.add(new Column("blowerFallsShort", i -> c.limited()[i] ? 1 : 0, 0, always));
        columns.add(new Column("flow_kg_s", i -> c.flow()[i], 5, always));
        columns.add(new Column("loss_kPa", i -> c.loss()[i] / 1000, 3, running));
        columns.add(new Column("intake_C", i -> c.intake()[i] - KELVIN, 3, always));
        columns.add(new Column("shown_C", i -> c.shown()[i] - KELVIN, 3, always));
        columns.add(new Column("bay_C", i -> c.bay()[i] - KELVIN, 3, always));
        columns.add(new Column("sprayed_L", i -> c.sprayed()[i] * 1000, 4, always));
        for (CoreTrace core : trace.cores()) {
            columns.addAll(core(core, trace, always, running));
        }
        for (Trace.LayerAir layer : trace.layers()) {
            String name = layer.way() + " " + layer.name();
            columns.add(new Column(name + " air in_C", i -> layer.in()[i] - KELVIN, 3, always));
            columns.add(new Column(name + " air out_C", i -> layer.out()[i] - KELVIN, 3, always));
        }
        for (Trace.Fan fan : trace.fans()) {
            columns.add(new Column(fan.way() + " fan", i -> fan.on()[i] ? 1 : 0, 0, always));
        }
        for (Trace.Station station : trace.stations()) {
            String name = station.name() + "_C";
            if (columns.stream().noneMatch(column -> column.name().equals(name))) {
                columns.add(new Column(name, i -> station.temperature()[i] - KELVIN, 3, running));
            }
            columns.add(new Column(station.name() + "_kPa", i -> station.pressure()[i] / 1000, 3, running));
        }
        for (Trace.Wall wall : trace.walls()) {
            columns.add(new Column(wall.name() + " wall_C", i -> wall.temperature()[i] - KELVIN, 3, always));
        }
        return toldApart(columns);
    }

    /** Pieces may share a name: the second of a name gets its number. */
    private static List<Column> toldApart(List<Column> columns) {
        Map<String, Integer> seen = new HashMap<>();
        return columns.stream()
                .map(column -> {
                    int count = seen.merge(column.name(), 1, Integer::sum);
                    return count == 1
                            ? column
                            : new Column(column.name() + " " + count, column.value(), column.digits(), column.there());
                })
                .toList();
    }

    private static List<Column> core(CoreTrace core, Trace trace, IntUnaryOperator always, IntUnaryOperator running) {
        CoreTrace.Cold cold = core.cold();
        List<Column> columns = new ArrayList<>();
        BiConsumer<String, IntToDoubleFunction> kelvin = (name, value) ->
                columns.add(new Column(core.name() + " " + name, i -> value.applyAsDouble(i) - KELVIN, 3, always));
        columns.add(new Column(core.name() + " in_C", i -> core.in()[i] - KELVIN, 3, running));
        kelvin.accept("out_C", i -> core.out()[i]);
        columns.add(new Column(
                core.name() + " effectiveness_pct",
                i -> 100 * core.recovered(trace.outside(), i),
                2,
                i -> Double.isNaN(core.recovered(trace.outside(), i)) ? 0 : 1));
        columns.add(new Column(
                core.name() + " effectiveness against coolant_pct",
                i -> 100 * core.effectiveness(i),
                2,
                i -> Double.isNaN(core.effectiveness(i)) ? 0 : 1));
        kelvin.accept("coolant_C", i -> cold.in()[i]);
        kelvin.accept("coolant out_C", i -> cold.out()[i]);
        columns.add(new Column(core.name() + " condensate_g_s", i -> core.condensate()[i] * 1000, 4, always));
        columns.add(new Column(
                core.name() + (cold.byWater() ? " radiator air_m_s" : " air_m_s"), i -> cold.air()[i], 3, always));
        if (!cold.byWater() || cold.leads()) {
            kelvin.accept(cold.byWater() ? "radiator air in_C" : "air in_C", i -> cold.airIn()[i]);
        }
        columns.add(new Column(core.name() + " to air_W", i -> cold.rejected()[i], 1, always));
        if (cold.byWater()) {
            columns.add(new Column(core.name() + " water_L_min", i -> cold.water()[i] * 60e3, 3, always));
        }
        if (cold.leads()) {
            columns.add(new Column(
                    core.name() + " radiator effectiveness_pct",
                    i -> 100 * cold.radiator()[i],
                    2,
                    i -> Double.isNaN(cold.radiator()[i]) ? 0 : 1));
            kelvin.accept("tank_C", i -> cold.tank()[i]);
            columns.add(new Column(core.name() + " ice_kg", i -> cold.ice()[i], 3, always));
            columns.add(new Column(core.name() + " pump", i -> cold.pump()[i] ? 1 : 0, 0, always));
            columns.add(new Column(core.name() + " chiller", i -> cold.chills()[i] ? 1 : 0, 0, always));
            columns.add(new Column(core.name() + " chiller_W", i -> cold.chilled()[i], 1, always));
        }
        return columns;
    }

    /** @return comma-separated, one line a step, a heading first */
    public static String csv(Trace trace) {
        List<Column> columns = columns(trace);
        StringWriter out = new StringWriter();
        try (CsvWriter writer =
                CsvWriter.builder().lineDelimiter(LineDelimiter.LF).build(out)) {
            writer.writeRecord(
                    columns.stream().map(Column::name).map(CsvTable::harmless).toList());
            for (int i = 0; i < trace.length(); i++) {
                int step = i;
                writer.writeRecord(
                        columns.stream().map(column -> column.text(step)).toList());
            }
        } catch (IOException inMemory) {
            throw new UncheckedIOException(inMemory);
        }
        return out.toString();
    }

    /** @return {@code {"format": "enthalpa-trace", "version": 1, "columns": {"time_s": [...], ...}}}, null where a column has no value */
    public static String json(Trace trace) {
        StringWriter out = new StringWriter();
        // Straight to text: as a tree, the millions of figures of a long run would take seconds.
        try (JsonGenerator json = JsonMapper.shared().createGenerator(out)) {
            json.writeStartObject()
                    .writeStringProperty("format", "enthalpa-trace")
                    .writeNumberProperty("version", 1)
                    .writeName("columns")
                    .writeStartObject();
            for (Column column : columns(trace)) {
                json.writeName(column.name()).writeStartArray();
                for (int i = 0; i < trace.length(); i++) {
                    String text = column.text(i);
                    if (text.isEmpty()) {
                        json.writeNull();
                    } else {
                        json.writeNumber(text);
                    }
                }
                json.writeEndArray();
            }
            json.writeEndObject().writeEndObject();
        }
        return out.toString();
    }
}
