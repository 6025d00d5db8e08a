package io.enthalpa.formats;

import de.siegmar.fastcsv.reader.CommentStrategy;
import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import io.enthalpa.core.duty.Duty;
import io.enthalpa.core.duty.DutyPlan;
import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.duty.DutyThinner;
import io.enthalpa.core.duty.Gearing;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.quantity.QuantityText;
import io.enthalpa.core.quantity.Unit;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.Reader;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Any CSV of time and load as the rows of a duty: columns of any name, order and unit, comma, semicolon or tab, lines with # as comments.
 * Read as a stream; what is kept is bounded whatever the length (ten hours at 50 Hz are 1.8 million rows).
 */
public final class DutyCsv {
    private static final String WHAT = "log file";
    /** Rows of a duty that a screen and a build file carry with ease. */
    private static final int MOST_KEPT = 3000;

    private static final int HEAD = 1 << 16;
    private static final double GAP_TIMES = 20;
    private static final double LEAST_GAP = 2;
    private static final int SETTLED = 10;
    private static final int MOST_TOLD = 20;

    private DutyCsv() {}

    /** @param unit of its numbers; for time null where they are clock times, 0:12:34.5 */
    public record Column(int index, String heading, Unit unit) {}

    /**
     * What the log does not say.
     *
     * @param outside Pa absolute
     * @param boost   Pa that a full throttle is taken for
     * @param limiter rad/s
     */
    public record Car(Optional<Gearing> gearing, double outside, double boost, double limiter) {}

    /** A hole in the log, bridged straight. */
    public record Gap(long line, double from, double seconds) {}

    /**
     * @param rows      of a duty, from 0 s
     * @param read      rows in the file
     * @param repeated  rows of the same time as the row above, left out
     * @param gaps      the first twenty
     * @param tolerance how many times wider than usual the thinning had to be
     * @param columns   what was read from where
     */
    public record Imported(
            List<DutyPoint> rows,
            long read,
            long repeated,
            List<Gap> gaps,
            double tolerance,
            Map<LogColumn, Column> columns) {}

    /** @return headings of a file and what each role takes by them; of roles nothing fits, nothing */
    public static Map<LogColumn, Column> guess(List<String> headings) {
        Map<LogColumn, Column> guessed = new EnumMap<>(LogColumn.class);
        boolean[] taken = new boolean[headings.size()];
        for (int fit = LogColumn.BEST; fit > 0; fit--) {
            for (LogColumn role : LogColumn.values()) {
                for (int i = 0; i < headings.size(); i++) {
                    if (!taken[i] && !guessed.containsKey(role) && role.fits(headings.get(i)) == fit) {
                        taken[i] = true;
                        guessed.put(
                                role,
                                new Column(
                                        i,
                                        headings.get(i),
                                        role.unit(headings.get(i)).orElse(role.usualUnit())));
                    }
                }
            }
        }
        return guessed;
    }

    /** @param start the first lines of a file @return its headings */
    public static List<String> headings(String start) {
        try {
            BufferedReader reader = new BufferedReader(new java.io.StringReader(start));
            try (CsvReader<CsvRecord> csv = open(reader)) {
                for (CsvRecord line : csv) {
                    if (!line.isComment() && !isBlank(line)) {
                        return line.getFields().stream().map(String::strip).toList();
                    }
                }
            }
        } catch (IOException | CsvParseException e) {
            throw CsvTable.malformed(WHAT, "not readable as CSV", "rows of cells with a heading");
        }
        throw CsvTable.malformed(WHAT, "empty", "a heading and rows");
    }

    /**
     * @param chosen columns as the user set them; empty to take them by their headings
     * @throws EnthalpaFault naming line and column of what cannot be
     */
    public static Imported read(Reader text, Map<LogColumn, Column> chosen, Car car) {
        try (CsvReader<CsvRecord> csv = open(new BufferedReader(text, HEAD))) {
            Walk walk = null;
            for (CsvRecord line : csv) {
                if (line.isComment() || isBlank(line)) {
                    continue;
                }
                if (walk == null) {
                    List<String> headings =
                            line.getFields().stream().map(String::strip).toList();
                    walk = new Walk(chosen.isEmpty() ? guess(headings) : chosen, headings, car);
                } else {
                    walk.row(line);
                }
            }
            if (walk == null) {
                throw CsvTable.malformed(WHAT, "empty", "a heading and rows");
            }
            return walk.end();
        } catch (IOException | CsvParseException e) {
            throw CsvTable.malformed(WHAT, "not readable as CSV", "rows of cells with a heading");
        }
    }

    private static boolean isBlank(CsvRecord line) {
        return line.getField(0).isBlank() && line.getFields().stream().allMatch(String::isBlank);
    }

    private static CsvReader<CsvRecord> open(BufferedReader reader) throws IOException {
        reader.mark(HEAD);
        char[] start = new char[HEAD / 2];
        int n = Math.max(reader.read(start), 0);
        reader.reset();
        String first = new String(start, 0, n)
                .lines()
                .filter(l -> !l.isBlank() && !l.strip().startsWith("#"))
                .findFirst()
                .orElse("");
        if (n > 0 && start[0] == '\uFEFF') {
            reader.read();
        }
        return CsvReader.builder()
                .fieldSeparator(CsvTable.separator(first))
                .commentStrategy(CommentStrategy.READ)
                .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
                .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
                .ofCsvRecord(reader);
    }

    /** One pass over the rows. */
    private static final class Walk {
        private final Map<LogColumn, Column> columns;
        private final Car car;
        private final Column load;
        private final LogColumn loadRole;
        private final DutyThinner thinner = new DutyThinner(MOST_KEPT);
        private final List<Gap> gaps = new ArrayList<>();
        private final Map<LogColumn, Double> held = new EnumMap<>(LogColumn.class);
        private long read;
        private long repeated;
        private long steps;
        private double first = Double.NaN;
        private double last;

        Walk(Map<LogColumn, Column> given, List<String> headings, Car car) {
            this.columns = new EnumMap<>(given);
            this.car = car;
            this.columns.values().forEach(c -> {
                if (c.index() < 0 || c.index() >= headings.size()) {
                    throw CsvTable.malformed(
                            WHAT, "no column " + (c.index() + 1), "one of the " + headings.size() + " it has");
                }
            });
            this.columns.replaceAll((role, c) -> new Column(c.index(), headings.get(c.index()), c.unit()));
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
                    WHAT,
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
                        "%s, line %d, length".formatted(WHAT, at),
                        "more than 10 h",
                        "at most 10 h",
                        "Cut the file.");
            }
            thinner.accept(
                    new DutyPoint(time - first, speed(at), boost(), held.getOrDefault(LogColumn.ROAD_SPEED, 0.0)));
        }

        private static String place(Column column, long at) {
            return "%s, line %d, %s".formatted(WHAT, at, column.heading());
        }

        private void gap(long at, double time) {
            double typical = (last - first) / Math.max(steps, 1);
            if (steps > SETTLED && time - last > Math.max(GAP_TIMES * typical, LEAST_GAP) && gaps.size() < MOST_TOLD) {
                gaps.add(new Gap(at, last - first, time - last));
            }
            steps++;
        }

        private double time(CsvRecord line, long at) {
            Column column = columns.get(LogColumn.TIME);
            String cell = text(line, column);
            if (cell.isEmpty()) {
                throw EnthalpaFault.of(FaultKind.MALFORMED, "", place(column, at), "empty", "a time in every row", "");
            }
            return cell.indexOf(':') > 0 ? clock(cell, column, at) : number(cell, LogColumn.TIME, column, at);
        }

        private static double clock(String cell, Column column, long at) {
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
            Column column = columns.get(role);
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

        private void check(LogColumn role, double value, Column column, long at) {
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
                Column column,
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
                        "%s, line %d, engine speed by the gearing".formatted(WHAT, at),
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

        private static double number(String cell, LogColumn role, Column column, long at) {
            Unit unit = column.unit() == null ? role.usualUnit() : column.unit();
            try {
                return unit.toSi(Double.parseDouble(cell));
            } catch (NumberFormatException e) {
                return QuantityText.read(place(column, at), cell, role.quantity(), unit);
            }
        }

        private static String text(CsvRecord line, Column column) {
            return column.index() < line.getFieldCount()
                    ? line.getField(column.index()).strip()
                    : "";
        }

        private static String seconds(double t) {
            return "%.2f s".formatted(t);
        }

        Imported end() {
            List<DutyPoint> rows = thinner.rows();
            if (rows.size() < 2) {
                throw EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        "",
                        WHAT + ", rows with time and load",
                        String.valueOf(rows.size()),
                        "2 or more",
                        read > 1
                                ? "Every row has the same time, or one of the columns is empty."
                                : "A duty needs at least a start and an end.");
            }
            return new Imported(rows, read, repeated, List.copyOf(gaps), thinner.tolerance(), columns);
        }
    }
}
