package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.LogFinding;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Any CSV of a logger: what parts it, where it begins, what its columns are, and what is wrong with it. */
class LogCsvTest {
    private static final double KELVIN = 273.15;

    /** A log read whole: its channels and rows, SI. */
    private record Read(LogCsv.Summary summary, List<Double> time, List<double[]> rows) {
        double value(Channel channel, int row) {
            return rows.get(row)[summary.channels().indexOf(channel)];
        }
    }

    private static Read read(String text) {
        return read(text, "");
    }

    private static Read read(String text, String columns) {
        List<Double> time = new ArrayList<>();
        List<double[]> rows = new ArrayList<>();
        LogCsv.Summary summary =
                LogCsv.read(new StringReader(text), LogHead.chosen(columns), channels -> (at, values) -> {
                    time.add(at);
                    rows.add(values.clone());
                });
        return new Read(summary, time, rows);
    }

    private static void refuses(String text, String... words) {
        assertThatThrownBy(() -> read(text))
                .isInstanceOfSatisfying(
                        EnthalpaFault.class,
                        fault -> assertThat(fault.sentence()).contains(words));
    }

    private static LogHead.Guess guess(String start) {
        return LogHead.of(start).guess(EnumSet.allOf(Channel.class));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "time [s],IAT [C],boost [bar]\n0,40.5,0.8\n1.5,41,0.9\n",
                "time [s];IAT [C];boost [bar]\n0;40,5;0,8\n1,5;41;0,9\n",
                "time [s]\tIAT [C]\tboost [bar]\n0\t40,5\t0,8\n1,5\t41\t0,9\n",
                "time [s]|IAT [C]|boost [bar]\n0|40.5|0.8\n1.5|41|0.9\n",
                "\uFEFFtime [s],IAT [C],boost [bar]\r\n0,40.5,0.8\r\n1.5,41,0.9\r\n",
                "# dry, 4th run\nLogger 7;v2.1\nCar;none\n\ntime;IAT;boost\ns;°C;bar\n0;40,5;0,8\n1,5;41;0,9\n",
                "time [s],note,IAT [C],boost [bar],\n0,out lap,40.5,0.8,\n1.5,,41,0.9,\n",
                "Time,Intake Temperature,Boost Pressure\n(s),(°C),(bar)\n0:00.0,40.5,0.8\n0:01.5,41,0.9\n",
                "time,iat (degF),boost (psi)\n2026-05-01 10:00:00,104.9,11.603\n2026-05-01 10:00:01.5,105.8,13.0534\n"
            })
    void theSameDriveHoweverItIsWritten(String text) {
        Read log = read(text);
        assertThat(log.time().get(0)).isZero();
        assertThat(log.time().get(1)).isCloseTo(1.5, within(1e-9));
        assertThat(log.value(Channel.INTAKE, 0)).isCloseTo(40.5 + KELVIN, within(1e-9));
        assertThat(log.value(Channel.INTAKE, 1)).isCloseTo(41 + KELVIN, within(1e-9));
        assertThat(log.value(Channel.BOOST, 0)).isCloseTo(80e3, within(1.0));
        assertThat(log.summary().read()).isEqualTo(2);
        assertThat(log.summary().seconds()).isCloseTo(1.5, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            IAT                          | INTAKE
            Intake Air Temp. [°C]        | INTAKE
            plenum temp                  | INTAKE
            Turbo out (°C)               | BEFORE_CORE
            charge_before_core_C         | BEFORE_CORE
            Intake temp before core      | BEFORE_CORE
            core out [F]                 | AFTER_CORE
            Ambient temp                 | OUTSIDE
            OAT                          | OUTSIDE
            Charge water in              | WATER_TO_CORE
            core water out               | WATER_FROM_CORE
            Ice tank temp                | WATER_TANK
            radiator out                 | WATER_FROM_RADIATOR
            loop flow [L/min]            | WATER_FLOW
            Ign. timing                  | TIMING
            core out [kPa]               |
            Boost pressure before core [kPa] | PRESSURE_BEFORE
            Ignition advance [deg]       | TIMING
            Lambda 1                     | LAMBDA
            Gear                         | GEAR
            Lap marker                   | MARKER
            coolant temp                 |
            engine speed                 | ENGINE_SPEED
            pressure before core [kPa]   | PRESSURE_BEFORE
            """)
    void headingsAreKnownByTheirUsualNames(String heading, Channel channel) {
        Map<Channel, LogHead.Column> columns =
                guess("t;" + heading + "\n1;50\n2;51\n").columns();
        assertThat(columns.keySet().stream().filter(c -> c != Channel.TIME))
                .as(heading)
                .isEqualTo(channel == null ? List.of() : List.of(channel));
    }

    @Test
    void kelvinUnderAHeadingInCelsiusIsReadAsKelvinAndSaid() {
        LogHead.Guess guess = guess("t [s],IAT [°C],core in [°C]\n0,313.5,180\n1,314.5,190\n");
        assertThat(guess.columns().get(Channel.INTAKE).unit().symbol()).isEqualTo("K");
        assertThat(guess.columns().get(Channel.BEFORE_CORE).unit().symbol()).isEqualTo("°C");
        assertThat(guess.notes()).singleElement().satisfies(n -> {
            assertThat(n.kind()).isEqualTo(LogFinding.Kind.LOG_KELVIN);
            assertThat(Sentences.of(n)).startsWith("IAT [°C]: by its numbers this is kelvin");
        });
    }

    @Test
    void ofTwoColumnsOfOneNameTheFirstIsReadAndSaid() {
        LogHead.Guess guess = guess("t,IAT,IAT,IAT\n0,40,90,91\n1,41,91,92\n");
        assertThat(guess.columns().get(Channel.INTAKE).index()).isEqualTo(1);
        assertThat(guess.notes()).extracting(LogFinding::kind).containsExactly(LogFinding.Kind.LOG_TWO_OF_NAME);
    }

    @Test
    void chosenColumnsAreWrittenAndReadAlike() {
        String chosen = "TIME:2:min,BOOST:0:psi,INTAKE:1:°F";
        assertThat(LogHead.written(LogHead.chosen(chosen))).isEqualTo(chosen);
        Read log = read("0,32,1\n0,50,2\n", chosen);
        assertThat(log.time()).as("minutes, without a heading").containsExactly(0.0, 60.0);
        assertThat(log.value(Channel.INTAKE, 1)).isCloseTo(10 + KELVIN, within(1e-9));
        assertThatThrownBy(() -> LogHead.chosen("TIME:x:s")).hasMessageContaining("TIME:x:s");
    }

    @Test
    void whatIsNoLogIsNamed() {
        refuses("", "empty");
        refuses("\n\n", "empty");
        refuses("PK\u0003\u0004\u0000\u0000", "no text");
        refuses("a,b,c\n1,2,3\n4,5,6\n", "no column for time among a, b, c", "Choose the column");
        refuses("t,note\n1,2\n2,3\n", "no column for anything measured");
        refuses("t,IAT\n5,40\n", "rows with a time is 1", "start and an end");
        refuses("t,IAT\n5,40\n5,41\n", "Every row has the same time");
        refuses("t,IAT\n0,40\n2,41\n1,42\n", "line 4, t is 1.00 s", "2.00 s", "runs backwards");
        refuses("t,IAT\n0,40\n,41\n", "line 3, t", "empty");
        refuses("t,IAT\n0,40\n36001,41\n", "line 3, length is more than 10 h", "Cut the file");
        refuses("t,IAT,boost\n0,0,40,5,0,8\n1,5,41,0,0,9\n", "line 2: 6 cells under 3 headings", "semicolons or tabs");
    }

    @Test
    void aMillionColumnsAreRefused() {
        refuses("t" + ",x".repeat(9_999) + "\n0" + ",1".repeat(9_999) + "\n", "10000 columns", "at most 2000");
        refuses("t" + ",x".repeat(999_999) + "\n0\n", "log file");
    }

    @Test
    void cellsThatAreNoMeasurementAreLeftOutAndCounted() {
        Read log = read("t,IAT,boost\n0,40,50\n1,---,51\n2,ERR,52\n3,4000,53\n4,,54\n5,41,55\n");
        assertThat(log.value(Channel.INTAKE, 1)).isNaN();
        assertThat(log.value(Channel.INTAKE, 4)).isNaN();
        assertThat(log.value(Channel.INTAKE, 5)).isCloseTo(41 + KELVIN, within(1e-9));
        assertThat(log.summary().leftOut()).containsExactly(Map.entry(Channel.INTAKE, new LogCsv.LeftOut(3, 3, "---")));
    }

    @Test
    void gapsAndRepeatedRowsAreTold() {
        StringBuilder text = new StringBuilder("t,IAT\n");
        for (int i = 0; i < 40; i++) {
            text.append(0.1 * i + (i >= 20 ? 30 : 0)).append(",40\n");
            text.append(i == 5 ? "0.5,99\n" : "");
        }
        Read log = read(text.toString());
        assertThat(log.summary().repeated()).isEqualTo(1);
        assertThat(log.summary().gaps()).singleElement().satisfies(g -> {
            assertThat(g.line()).isEqualTo(23);
            assertThat(g.from()).isCloseTo(1.9, within(1e-9));
            assertThat(g.seconds()).isCloseTo(30.1, within(1e-9));
        });
    }

    /** A kilohertz: ten rows are one, whose values are their means. */
    @Test
    void fasterThanAHundredHertzRowsAreTakenTogether() {
        StringBuilder text = new StringBuilder("t,IAT\n");
        for (int i = 0; i < 1000; i++) {
            text.append("%d.%03d,%d\n".formatted(i / 1000, i % 1000, 40 + i % 10));
        }
        Read log = read(text.toString());
        assertThat(log.summary().read()).isEqualTo(1000);
        assertThat(log.summary().kept()).isEqualTo(100);
        assertThat(log.value(Channel.INTAKE, 50)).isCloseTo(44.5 + KELVIN, within(1e-9));
        assertThat(log.time().get(50)).isCloseTo(0.5045, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(strings = {"UTF-8", "windows-1252", "UTF-16", "ISO-8859-1"})
    void aFileIsReadHoweverItsLettersAreWritten(String charset) throws IOException {
        byte[] bytes = "time [s],outside [°C]\n0,20\n1,21\n".getBytes(Charset.forName(charset));
        assertThat(LogHead.of(LogText.start(bytes)).headings()).containsExactly("time [s]", "outside [°C]");
        List<double[]> rows = new ArrayList<>();
        LogCsv.read(
                LogText.reader(new ByteArrayInputStream(bytes)),
                Map.of(),
                channels -> (at, values) -> rows.add(values.clone()));
        assertThat(rows.get(1)[0]).isCloseTo(21 + KELVIN, within(1e-9));
    }

    /** A letter of two bytes cut by the end of what is looked at is no other encoding. */
    @Test
    void aLetterCutInTwoIsStillUtf8() {
        byte[] whole = "time [s],outside [°C]\n".getBytes(StandardCharsets.UTF_8);
        byte[] cut = Arrays.copyOf(whole, 19);
        assertThat(whole[18]).as("the first byte of the degree sign").isEqualTo((byte) 0xC2);
        assertThat(LogText.start(cut)).startsWith("time [s],outside [");
    }

    /** A year of a weather station, not made for this program (see the README beside it); it has an hour between rows. */
    @Test
    void aFileOfOthersIsReadAsItIs() throws IOException {
        String text;
        try (InputStream file = getClass().getResourceAsStream("/open/weather-normals.csv")) {
            text = new String(file.readAllBytes(), StandardCharsets.UTF_8);
        }
        LogHead.Guess guessed = guess(text.substring(0, 2000));
        assertThat(guessed.columns().keySet())
                .as("a temperature of nobody knows what is not taken for one")
                .containsExactly(Channel.TIME);
        // A year is no drive: refused by the line where ten hours are over, not by its size.
        assertThatThrownBy(() -> read(text, "TIME:0:s,OUTSIDE:2:°C"))
                .hasMessageContaining("line 13, length is more than 10 h; it must be at most 10 h");
        String morning = text.lines().limit(12).collect(Collectors.joining("\n"));
        Read read = read(morning, "TIME:0:s,OUTSIDE:2:°C");
        assertThat(read.time()).hasSize(11).startsWith(0.0, 3600.0).endsWith(36_000.0);
        assertThat(read.rows().stream().mapToDouble(r -> Math.rint((r[0] - KELVIN) * 1e6) / 1e6))
                .containsExactly(4.0, 3.9, 3.8, 3.8, 3.7, 3.7, 3.7, 3.7, 4.0, 4.5, 5.2);
        // Boost from air pressure in mbar, as a gauge would log it.
        assertThat(read(morning, "TIME:0:s,MANIFOLD:1:mbar").rows().get(0)[0]).isCloseTo(101_660, within(1e-6));
    }
}
