package io.enthalpa.formats;

import de.siegmar.fastcsv.reader.CsvRecord;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.duty.DutyThinner;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.LoggedLoad;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** One pass over the rows. */
final class DutyCsvRows {

    private final Map<Channel, LogHead.Column> columns;
    private final LoggedLoad car;
    private final Channel load;
    private final LogClock clock;
    private final DutyThinner thinner = new DutyThinner(DutyThinner.MOST_KEPT);
    private final Map<Channel, Double> held = new EnumMap<>(Channel.class);
    private long read;

    DutyCsvRows(Map<Channel, LogHead.Column> given, List<String> headings, LoggedLoad car) {
        this.columns = LogLines.named(new EnumMap<>(given), headings);
        this.car = car;
        need(Channel.TIME, headings, "Choose the column that holds the time.");
        clock = new LogClock(columns.get(Channel.TIME));
        load = LoggedLoad.loadChannel(columns.keySet())
                .orElseThrow(() -> LogLines.missing(
                        "boost", headings, "Choose a column of boost, of absolute manifold pressure, or of throttle."));
        if (!columns.containsKey(Channel.ENGINE_SPEED)) {
            if (car.gearing().isEmpty()) {
                throw LogLines.missing(
                        "engine speed",
                        headings,
                        "Choose its column, or give the gearing in the Brief so that it follows from road speed.");
            }
            need(Channel.ROAD_SPEED, headings, "Without engine speed the road speed is needed.");
        }
    }

    private void need(Channel role, List<String> headings, String remedy) {
        if (!columns.containsKey(role)) {
            throw LogLines.missing(role.words(), headings, remedy);
        }
    }

    void row(CsvRecord line) {
        long at = line.getStartingLineNumber();
        double time = LogLines.time(line, columns.get(Channel.TIME));
        boolean known = true;
        for (Channel role : columns.keySet()) {
            known &= role == Channel.TIME || cell(role, line, at);
        }
        read++;
        if (!known) {
            return;
        }
        if (clock.isNew(time, at)) {
            thinner.accept(point(at, clock.seconds()));
        }
    }

    /** An empty cell keeps what the column last said; slow channels of a logger have many. */
    private boolean cell(Channel role, CsvRecord line, long at) {
        LogHead.Column column = columns.get(role);
        String cell = LogLines.cell(line, column);
        if (!cell.isEmpty()) {
            double value = LogLines.number(cell, role, column, at);
            if (role == Channel.ROAD_SPEED) {
                value = Math.max(value, 0);
            }
            check(role, value, column, at);
            held.put(role, value);
        }
        return held.containsKey(role);
    }

    private void check(Channel role, double value, LogHead.Column column, long at) {
        switch (role) {
            case ENGINE_SPEED ->
                within(
                        column,
                        at,
                        value,
                        0,
                        LoggedLoad.OVER_LIMITER * car.limiter(),
                        30 / Math.PI,
                        "rpm",
                        "Its unit may be another, or the limiter in the Brief is too low.");
            case ROAD_SPEED -> within(column, at, role, value, 3.6, "km/h", "Its unit may be another.");
            case BOOST ->
                within(column, at, role, value, 1e-3, "kPa", "Its unit may be another, or it is absolute pressure.");
            case MANIFOLD ->
                within(
                        column,
                        at,
                        role,
                        value,
                        1e-3,
                        "kPa",
                        "Its unit may be another, or it is boost above outside air.");
            case THROTTLE -> within(column, at, role, value, 100, "%", "Its unit may be another.");
            default -> {
                // time is checked against the row above
            }
        }
    }

    private static void within(
            LogHead.Column column, long at, Channel channel, double value, double shown, String unit, String remedy) {
        within(column, at, value, channel.low(), channel.high(), shown, unit, remedy);
    }

    private static void within(
            LogHead.Column column,
            long at,
            double value,
            double min,
            double max,
            double shown,
            String unit,
            String remedy) {
        if (!(value >= min && value <= max)) {
            throw EnthalpaFault.of(
                    FaultKind.OUT_OF_RANGE,
                    "",
                    LogLines.place(column, at),
                    "%.1f %s".formatted(value * shown, unit),
                    "%.0f and %.0f %s".formatted(min * shown, max * shown, unit),
                    remedy);
        }
    }

    private DutyPoint point(long at, double time) {
        double speed = car.speed(columns.keySet(), held::get);
        if (!columns.containsKey(Channel.ENGINE_SPEED) && speed > LoggedLoad.OVER_LIMITER * car.limiter()) {
            throw EnthalpaFault.of(
                    FaultKind.OUT_OF_RANGE,
                    "",
                    "%s, line %d, engine speed by the gearing".formatted(LogHead.WHAT, at),
                    "%.0f rpm".formatted(speed * 30 / Math.PI),
                    "0 and the limiter, %.0f rpm".formatted(car.limiter() * 30 / Math.PI),
                    "The gearing or the unit of road speed is not right.");
        }
        return car.point(time, columns.keySet(), load, held::get);
    }

    DutyCsv.Imported end() {
        List<DutyPoint> rows = thinner.rows();
        if (rows.size() < 2) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "",
                    LogHead.WHAT + ", rows with time and load",
                    String.valueOf(rows.size()),
                    "2 or more",
                    read > 1
                            ? "Every row has the same time, or one of the columns is empty."
                            : "A duty needs at least a start and an end.");
        }
        return new DutyCsv.Imported(rows, read, clock.repeated(), clock.gaps(), thinner.tolerance(), columns);
    }
}
