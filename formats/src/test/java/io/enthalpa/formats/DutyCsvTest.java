package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.duty.DutyPoint;
import io.enthalpa.core.duty.Gearing;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.LoggedLoad;
import java.io.IOException;
import java.io.Reader;
import java.io.StringReader;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Logs of any make: columns found by name and unit, everything that cannot be named by line and column. */
class DutyCsvTest {
    private static final double RPM = Math.PI / 30;
    private static final Gearing GEARS =
            new Gearing(1.95, 3.9, List.of(3.4, 2.1, 1.4, 1.0, 0.8), 6200 * RPM, 850 * RPM);
    private static final LoggedLoad CAR = new LoggedLoad(Optional.empty(), 95e3, 80e3, 7000 * RPM);
    private static final LoggedLoad GEARED = new LoggedLoad(Optional.of(GEARS), 95e3, 80e3, 7000 * RPM);

    private static DutyCsv.Imported read(String text) {
        return read(text, CAR);
    }

    private static DutyCsv.Imported read(String text, LoggedLoad car) {
        return DutyCsv.read(new StringReader(text), Map.of(), car);
    }

    private static void refuses(String text, String... words) {
        assertThatThrownBy(() -> read(text))
                .isInstanceOfSatisfying(
                        EnthalpaFault.class,
                        fault -> assertThat(fault.sentence()).contains(words));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            Time [s]        | TIME         | s
            Elapsed Time    | TIME         | s
            time_ms         | TIME         |
            GPS Speed (mph) | ROAD_SPEED   | mph
            speed_km_h      | ROAD_SPEED   | km/h
            Engine RPM      | ENGINE_SPEED | rpm
            engineSpeed_rpm | ENGINE_SPEED | rpm
            Boost (psi)     | BOOST        | psi
            boost_kPa       | BOOST        | kPa
            MAP [kPa]       | MANIFOLD     | kPa
            Throttle %      | THROTTLE     | %
            TPS             | THROTTLE     | %
            """)
    void columnsAreKnownByNameAndUnit(String heading, Channel role, String unit) {
        Map<Channel, LogHead.Column> guessed =
                LogHead.of("run;" + heading + "\n1;2\n").guess(Channel.OF_DUTY).columns();
        assertThat(guessed).containsKey(role);
        if (unit != null) {
            assertThat(guessed.get(role).unit().symbol()).isEqualTo(unit);
        }
    }

    @Test
    void logBecomesRowsFromZero() {
        DutyCsv.Imported log = read("""
                # run 4, dry
                Time [s];RPM;Boost (psi);Speed [mph];IAT
                100,0;3000;0,0;10;40
                101,0;3100;14,5;12;41
                102,0;3200;14,5;14;43
                """);
        assertThat(log.rows().get(0)).isEqualTo(new DutyPoint(0, 3000 * RPM, 0, 10 * 0.44704));
        DutyPoint end = log.rows().get(log.rows().size() - 1);
        assertThat(end.time()).isEqualTo(2);
        assertThat(end.boost()).isCloseTo(14.5 * 6894.757, within(1.0));
        assertThat(log.read()).isEqualTo(3);
    }

    @Test
    void clockTimesAndTabsAreRead() {
        assertThat(read("time\trpm\tboost [kPa]\n0:59:58.5\t3000\t10\n1:00:00\t3500\t80\n")
                        .rows())
                .extracting(DutyPoint::time)
                .containsExactly(0.0, 1.5);
    }

    @Test
    void absolutePressureAndThrottleBecomeBoost() {
        assertThat(read("t,rpm,MAP [kPa]\n0,3000,95\n5,4000,175\n").rows())
                .extracting(DutyPoint::boost)
                .containsExactly(0.0, 80e3);
        assertThat(read("t,rpm,throttle [%]\n0,900,0\n5,4000,100\n").rows())
                .extracting(DutyPoint::boost)
                .containsExactly(-60e3, 80e3);
    }

    @Test
    void columnsMayBeChosen() {
        Map<Channel, LogHead.Column> chosen = Map.of(
                Channel.TIME,
                new LogHead.Column(0, "x", Quantity.TIME.requireUnit("min")),
                Channel.ENGINE_SPEED,
                new LogHead.Column(2, "ch 7", null),
                Channel.BOOST,
                new LogHead.Column(1, "ch 3", Quantity.PRESSURE.requireUnit("bar")));
        DutyCsv.Imported log = DutyCsv.read(new StringReader("x,ch 3,ch 7\n0,0,2000\n2,0.9,6000\n"), chosen, CAR);
        assertThat(log.rows().get(1)).isEqualTo(new DutyPoint(120, 6000 * RPM, 90e3, 0));
        assertThatThrownBy(() -> DutyCsv.read(new StringReader("x\n0\n1\n"), chosen, CAR))
                .hasMessageContaining("no column 3");
    }

    @Test
    void engineSpeedFollowsFromRoadSpeedByTheGearing() {
        DutyCsv.Imported log = read("t,speed [km/h],boost [kPa]\n0,50,0\n10,120,80\n", GEARED);
        assertThat(log.rows().get(1).speed()).isCloseTo(GEARS.engineSpeed(120 / 3.6), within(1e-9));
        refuses(
                "t,speed [km/h],boost [kPa]\n0,50,0\n10,120,80\n",
                "no column for engine speed",
                "give the gearing in the Brief");
    }

    @Test
    void whatCannotBeIsNamedByLineAndColumn() {
        refuses(
                "t [s],rpm,boost\n0,3000,0\n1,3000,0\n0.5,3000,0\n",
                "line 4, t [s] is 0.50 s",
                "1.00 s",
                "Time runs backwards");
        refuses("t,rpm,boost\n0,3000,0\n1,fast,0\n", "line 3, rpm", "\"fast\" is not a number");
        refuses("t,rpm,boost\n0,3000,0\n,3000,0\n", "line 3, t", "empty");
        refuses("t,rpm,boost\n0,3000,0\n1,300000,0\n", "line 3, rpm is 300000.0 rpm", "limiter in the Brief");
        refuses("t,rpm,boost\n0,3000,0\n1,3000,9000\n", "line 3, boost is 9000.0 kPa", "absolute");
        refuses("t,rpm,MAP [kPa]\n0,3000,100\n1,3000,1\n", "line 3, MAP [kPa] is 1.0 kPa");
        refuses("t,rpm,boost\n0,3000,0\n", "rows with time and load is 1", "2 or more");
        refuses("t,rpm,boost\n5,3000,0\n5,3000,0\n", "same time");
        refuses("t,rpm,boost\n0:xx,3000,0\n1,3000,0\n", "line 2, t", "0:xx");
        refuses("rpm,boost\n3000,0\n", "no column for time among rpm, boost");
        refuses("t,rpm\n0,3000\n", "no column for boost", "throttle");
        refuses("", "empty");
        refuses("t,rpm,boost\n0,3000,0\n40000,3000,0\n", "line 3, length is more than 10 h");
    }

    @Test
    void gapsAreToldWithTheirLineAndEmptyCellsKeepTheLastValue() {
        StringBuilder text = new StringBuilder("t,rpm,boost,speed\n");
        for (int i = 0; i < 50; i++) {
            text.append("%.1f,%d,%s,30\n".formatted(i < 30 ? i * 0.1 : 60 + i * 0.1, 3000, i % 4 == 0 ? "50" : ""));
        }
        DutyCsv.Imported log = read(text.toString());
        assertThat(log.gaps()).hasSize(1);
        assertThat(log.gaps().get(0).line()).isEqualTo(32);
        assertThat(log.gaps().get(0).seconds()).isCloseTo(60.1, within(1e-6));
        assertThat(log.rows()).allSatisfy(r -> assertThat(r.boost()).isEqualTo(50e3));
    }

    @Test
    void repeatedTimesAreCountedAndLeftOut() {
        DutyCsv.Imported log = read("t,rpm,boost\n0,3000,0\n0,3000,0\n1,3000,9\n1,3000,9\n2,3000,0\n");
        assertThat(log.repeated()).isEqualTo(2);
    }

    /** Ten hours at 50 Hz come as a stream that never stands in memory as a whole, and leave a duty that a screen can carry. */
    @Test
    void tenHoursAtFiftyHertzStayBounded() {
        DutyCsv.Imported log = DutyCsv.read(new LongLog(1_800_000), Map.of(), CAR);
        assertThat(log.read()).isEqualTo(1_800_000);
        assertThat(log.rows().size()).isBetween(100, 3001);
        assertThat(log.rows().get(log.rows().size() - 1).time()).isCloseTo(36_000, within(0.05));
        double asked = log.rows().stream().mapToDouble(DutyPoint::boost).max().orElse(0);
        assertThat(asked).isCloseTo(80e3, within(2 * log.tolerance() * 1e3));
    }

    /** Makes its rows as they are read. */
    private static final class LongLog extends Reader {
        private final int rows;
        private int row = -1;
        private String line = "";
        private int at;

        LongLog(int rows) {
            this.rows = rows;
        }

        @Override
        public int read(char[] into, int from, int length) throws IOException {
            if (at == line.length()) {
                if (row == rows) {
                    return -1;
                }
                line = row < 0 ? "time [s],rpm,boost [kPa],speed [km/h]\n" : rowText(row);
                row++;
                at = 0;
            }
            int n = Math.min(length, line.length() - at);
            line.getChars(at, at + n, into, from);
            at += n;
            return n;
        }

        private static String rowText(int i) {
            int lap = i % 4500;
            return (i / 50) + "." + (i % 50 < 5 ? "0" : "") + 2 * (i % 50) + "," + (3000 + lap % 3000) + ","
                    + (lap < 2500 ? 80 : -20) + "," + (60 + lap / 50) + "\n";
        }

        @Override
        public void close() {
            // nothing is open
        }
    }
}
