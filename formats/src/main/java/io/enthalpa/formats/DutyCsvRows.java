package io.enthalpa.formats;

import de.siegmar.fastcsv.reader.CsvRecord;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPlan;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.duty.DutyThinner;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.quantity.QuantityText;
import io.enthalpa.core.quantity.Unit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** One pass over the rows. */
final class DutyCsvRows {
    /** Rows of a duty that a screen and a build file carry with ease. */
    private static final int MOST_KEPT = 3000;

    private static final double GAP_TIMES = 20;
    private static final double LEAST_GAP = 2;
    private static final int SETTLED = 10;
    private static final int MOST_TOLD = 20;

    private final Map<LogColumn, DutyCsv.Column> columns;
    private final DutyCsv.Car car;
    private final DutyCsv.Column load;
    private final LogColumn loadRole;
    private final DutyThinner thinner = new DutyThinner(MOST_KEPT);
    private final List<DutyCsv.Gap> gaps = new ArrayList<>();
    private final Map<LogColumn, Double> held = new EnumMap<>(LogColumn.class);
    private long read;
    private long repeated;
    private long steps;
    private double first = Double.NaN;
    private double last;

    DutyCsvRows(Map<LogColumn, DutyCsv.Column> given, List<String> headings, DutyCsv.Car car) {
        this.columns = new EnumMap<>(given);
        this.car = car;
        this.columns.values().forEach(c -> {
            if (c.index() < 0 || c.index() >= headings.size()) {
                throw CsvTable.malformed(
                        DutyCsv.WHAT, "no column " + (c.index() + 1), "one of the " + headings.size() + " it has");
            }
        });
        this.columns.replaceAll((role, c) -> new DutyCsv.Column(c.index(), headings.get(c.index()), c.unit()));
        need(LogColumn.TIME, headings, "Choose the column that holds the time.");
        loadRole = columns.containsKey(LogColumn.BOOST)
                ? LogColumn.BOOST
                : columns.containsKey(LogColumn.MANIFOLD) ? LogColumn.MANIFOLD : LogColumn.THROTTLE;
        load = columns.get(loadRole);
        if (load == null) {
            throw missing(
                    "boost", headings, "Choose a column of boost, of absolute manifold pressure, or of throttle.");
        }
        if (!columns.containsKey(LogColumn.ENGINE_SPEED)) {
            if (car.gearing().isEmpty()) {
                throw missing(
                        "engine speed",
                        headings,
                        "Choose its column, or give the gearing in the Brief so that it follows from road speed.");
            }
            need(LogColumn.ROAD_SPEED, headings, "Without engine speed the road speed is needed.");
        }
    }

    private void need(LogColumn role, List<String> headings, String remedy) {
        if (!columns.containsKey(role)) {
            throw missing(role.words(), headings, remedy);
        }
    }

    private static EnthalpaFault missing(String what, List<String> headings, String remedy) {
        return EnthalpaFault.of(
                FaultKind.MALFORMED,
                "",
                DutyCsv.WHAT,
                "no column for " + what + " among " + String.join(", ", headings),
                "one of them",
                remedy);
    }

    void row(CsvRecord line) {
        long at = line.getStartingLineNumber();
        double time = time(line, at);
        boolean known = true;
        for (LogColumn role : columns.keySet()) {
            known &= role == LogColumn.TIME || cell(role, line, at);
        }
        read++;
        if (!known) {
            return;
        }
        if (Double.isNaN(first)) {
            first = time;
        } else if (time < last) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "",
                    place(columns.get(LogColumn.TIME), at),
                    seconds(time),
                    "at least that of the row above, " + seconds(last),
                    "Time runs backwards there: cut the file in two, or mend the row.");
        } else if (time == last) {
            repeated++;
            return;
        } else {
            gap(at, time);
        }
        last = time;
        if (time - first > Duty.LONGEST) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "",
                    "%s, line %d, length".formatted(DutyCsv.WHAT, at),
                    "more than 10 h",
                    "at most 10 h",
                    "Cut the file.");
        }
        thinner.accept(new DutyPoint(time - first, speed(at), boost(), held.getOrDefault(LogColumn.ROAD_SPEED, 0.0)));
    }

    private static String place(DutyCsv.Column column, long at) {
        return "%s, line %d, %s".formatted(DutyCsv.WHAT, at, column.heading());
    }

    private void gap(long at, double time) {
        double typical = (last - first) / Math.max(steps, 1);
        if (steps > SETTLED && time - last > Math.max(GAP_TIMES * typical, LEAST_GAP) && gaps.size() < MOST_TOLD) {
            gaps.add(new DutyCsv.Gap(at, last - first, time - last));
        }
        steps++;
    }

    private double time(CsvRecord line, long at) {
        DutyCsv.Column column = columns.get(LogColumn.TIME);
        String cell = text(line, column);
        if (cell.isEmpty()) {
            throw EnthalpaFault.of(FaultKind.MALFORMED, "", place(column, at), "empty", "a time in every row", "");
        }
        return cell.indexOf(':') > 0 ? clock(cell, column, at) : number(cell, LogColumn.TIME, column, at);
    }

    private static double clock(String cell, DutyCsv.Column column, long at) {
        double seconds = 0;
        for (String part : cell.split(":")) {
            try {
                seconds = 60 * seconds + Double.parseDouble(part.replace(',', '.'));
            } catch (NumberFormatException e) {
                throw EnthalpaFault.of(FaultKind.NOT_A_NUMBER, "", place(column, at), cell, "12.5 s or 0:12.5", "");
            }
        }
        return seconds;
    }

    /** An empty cell keeps what the column last said; slow channels of a logger have many. */
    private boolean cell(LogColumn role, CsvRecord line, long at) {
        DutyCsv.Column column = columns.get(role);
        String cell = text(line, column);
        if (!cell.isEmpty()) {
            double value = number(cell, role, column, at);
            if (role == LogColumn.ROAD_SPEED) {
                value = Math.max(value, 0);
            }
            check(role, value, column, at);
            held.put(role, value);
        }
        return held.containsKey(role);
    }

    private void check(LogColumn role, double value, DutyCsv.Column column, long at) {
        switch (role) {
            case ENGINE_SPEED ->
                within(
                        column,
                        at,
                        value,
                        0,
                        1.15 * car.limiter(),
                        30 / Math.PI,
                        "rpm",
                        "Its unit may be another, or the limiter in the Brief is too low.");
            case ROAD_SPEED -> within(column, at, value, 0, 600 / 3.6, 3.6, "km/h", "Its unit may be another.");
            case BOOST ->
                within(
                        column,
                        at,
                        value,
                        -101e3,
                        500e3,
                        1e-3,
                        "kPa",
                        "Its unit may be another, or it is absolute pressure.");
            case MANIFOLD ->
                within(
                        column,
                        at,
                        value,
                        2e3,
                        600e3,
                        1e-3,
                        "kPa",
                        "Its unit may be another, or it is boost above outside air.");
            case THROTTLE -> within(column, at, value, -0.1, 1.2, 100, "%", "Its unit may be another.");
            default -> {
                // time is checked against the row above
            }
        }
    }

    private static void within(
            DutyCsv.Column column,
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
                    place(column, at),
                    "%.1f %s".formatted(value * shown, unit),
                    "%.0f and %.0f %s".formatted(min * shown, max * shown, unit),
                    remedy);
        }
    }

    private double speed(long at) {
        if (columns.containsKey(LogColumn.ENGINE_SPEED)) {
            return Math.min(held.get(LogColumn.ENGINE_SPEED), car.limiter());
        }
        double speed = car.gearing().orElseThrow().engineSpeed(held.get(LogColumn.ROAD_SPEED));
        if (speed > 1.15 * car.limiter()) {
            throw EnthalpaFault.of(
                    FaultKind.OUT_OF_RANGE,
                    "",
                    "%s, line %d, engine speed by the gearing".formatted(DutyCsv.WHAT, at),
                    "%.0f rpm".formatted(speed * 30 / Math.PI),
                    "0 and the limiter, %.0f rpm".formatted(car.limiter() * 30 / Math.PI),
                    "The gearing or the unit of road speed is not right.");
        }
        return Math.min(speed, car.limiter());
    }

    private double boost() {
        double value = held.get(loadRole);
        return switch (loadRole) {
            case MANIFOLD -> Math.max(value - car.outside(), -90e3);
            case THROTTLE -> DutyPlan.SHUT + Math.max(0, Math.min(value, 1)) * (car.boost() - DutyPlan.SHUT);
            default -> Math.max(value, -90e3);
        };
    }

    private static double number(String cell, LogColumn role, DutyCsv.Column column, long at) {
        Unit unit = column.unit() == null ? role.usualUnit() : column.unit();
        try {
            return unit.toSi(Double.parseDouble(cell));
        } catch (NumberFormatException e) {
            return QuantityText.read(place(column, at), cell, role.quantity(), unit);
        }
    }

    private static String text(CsvRecord line, DutyCsv.Column column) {
        return column.index() < line.getFieldCount()
                ? line.getField(column.index()).strip()
                : "";
    }

    private static String seconds(double t) {
        return "%.2f s".formatted(t);
    }

    DutyCsv.Imported end() {
        List<DutyPoint> rows = thinner.rows();
        if (rows.size() < 2) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION,
                    "",
                    DutyCsv.WHAT + ", rows with time and load",
                    String.valueOf(rows.size()),
                    "2 or more",
                    read > 1
                            ? "Every row has the same time, or one of the columns is empty."
                            : "A duty needs at least a start and an end.");
        }
        return new DutyCsv.Imported(rows, read, repeated, List.copyOf(gaps), thinner.tolerance(), columns);
    }
}
