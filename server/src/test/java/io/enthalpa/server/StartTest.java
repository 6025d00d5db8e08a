package io.enthalpa.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.PrintStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What can go wrong at the start: one plain sentence, status 2, nothing harmed. */
class StartTest {
    @TempDir
    Path data;

    private final PrintStream realOut = System.out;
    private final PrintStream realErr = System.err;
    private final ByteArrayOutputStream out = new ByteArrayOutputStream();
    private final ByteArrayOutputStream err = new ByteArrayOutputStream();

    @BeforeEach
    void listen() {
        System.setOut(new PrintStream(out, true, StandardCharsets.UTF_8));
        System.setErr(new PrintStream(err, true, StandardCharsets.UTF_8));
    }

    @AfterEach
    void letGo() {
        System.setOut(realOut);
        System.setErr(realErr);
    }

    private String refused(String... args) {
        err.reset();
        assertThat(Enthalpa.run(args)).isEqualTo(2);
        String sentence = err.toString(StandardCharsets.UTF_8);
        assertThat(sentence).startsWith("enthalpa: ").hasLineCount(1).doesNotContain("Exception");
        return sentence;
    }

    private String printed(String... args) {
        out.reset();
        assertThat(Enthalpa.run(args)).isZero();
        return out.toString(StandardCharsets.UTF_8);
    }

    @Test
    void portInUse() throws Exception {
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            assertThat(refused("serve", "--data", data.toString(), "--port", String.valueOf(taken.getLocalPort())))
                    .contains("port " + taken.getLocalPort() + " is taken")
                    .contains("--port");
        }
    }

    @Test
    void dataFolderThatCannotBeOne() throws Exception {
        Path file = Files.writeString(data.resolve("notes.txt"), "mine");
        assertThat(refused("serve", "--data", file.toString())).contains("is a file");
        assertThat(refused("serve", "--data", file.resolve("below").toString())).contains("data folder");
        assertThat(refused("serve", "--data", "/proc/enthalpa"))
                .contains("/proc/enthalpa")
                .contains("--data DIR");
        assertThat(refused("serve")).contains("--data DIR");
        assertThat(Files.readString(file)).isEqualTo("mine");
    }

    @Test
    void databaseOfAnotherProgramIsLeftAlone() throws Exception {
        String url = "jdbc:h2:file:" + data.resolve("enthalpa");
        try (Connection connection = DriverManager.getConnection(url, "enthalpa", "");
                Statement statement = connection.createStatement()) {
            statement.execute("create table invoices (id int)");
        }
        assertThat(refused("serve", "--data", data.toString(), "--port", "0"))
                .contains("belongs to another program")
                .contains("--data DIR");
        try (Connection connection = DriverManager.getConnection(url, "enthalpa", "");
                Statement statement = connection.createStatement()) {
            assertThat(statement.executeQuery(
                            "select count(*) from information_schema.tables where table_schema = 'PUBLIC'"))
                    .satisfies(rows -> {
                        rows.next();
                        assertThat(rows.getInt(1)).isEqualTo(1);
                    });
        }
    }

    @Test
    void databaseWithAnotherOwnerIsLeftAlone() throws SQLException {
        try (Connection connection =
                        DriverManager.getConnection("jdbc:h2:file:" + data.resolve("enthalpa"), "someone", "secret");
                Statement statement = connection.createStatement()) {
            statement.execute("create table invoices (id int)");
        }
        assertThat(refused("serve", "--data", data.toString(), "--port", "0")).contains("belongs to another program");
    }

    @Test
    void fileThatIsNoDatabaseIsLeftAsItIs() throws Exception {
        Path file = Files.writeString(data.resolve("enthalpa.mv.db"), "not a database at all".repeat(1000));
        assertThat(refused("serve", "--data", data.toString(), "--port", "0"))
                .contains("is damaged, it cannot be opened; it was left as it is")
                .contains("backup");
        assertThat(Files.readString(file)).startsWith("not a database at all");
    }

    @Test
    void buildsOfALaterReleaseAreLeftAsTheyAre() throws Exception {
        new RunningServer(data, false).close();
        // As a later release would leave it, with a seal of its own.
        Files.delete(data.resolve("enthalpa.seal"));
        try (Connection connection =
                        DriverManager.getConnection("jdbc:h2:file:" + data.resolve("enthalpa"), "enthalpa", "");
                Statement statement = connection.createStatement()) {
            statement.execute("""
                    insert into "enthalpa_history" select "installed_rank" + 100, '99', 'later', "type", 'V99__later.sql', "checksum", "installed_by",
                    "installed_on", "execution_time", "success" from "enthalpa_history" where "version" = '1'""");
        }
        assertThat(refused("serve", "--data", data.toString(), "--port", "0")).contains("later Enthalpa");
    }

    @Test
    void wordsThatAreNotUnderstood() {
        assertThat(refused("fly")).contains("\"fly\" is not a command");
        assertThat(refused("serve", "--data")).contains("--data wants a value");
        assertThat(refused("serve", "--data", data.toString(), "--port", "90000"))
                .contains("--port is 90000");
        assertThat(refused("serve", "--colour", "red")).contains("--colour is not known");
        assertThat(refused("demo", "now")).contains("\"now\" is not understood");
        assertThat(refused("solve")).contains("give one build file");
    }

    private Path demo(String name) throws Exception {
        Path file = data.resolve(name + ".json");
        Files.write(
                file,
                StartTest.class.getResourceAsStream("/demo/" + name + ".json").readAllBytes());
        return file;
    }

    /** The trace as CSV holds the numbers that the screen's verdict is made of. */
    @Test
    void soakPrintsEveryStepAsCsvAndJson() throws Exception {
        Path file = demo("juniper");
        String csv = printed("soak", file.toString(), "--option", "B", "--csv");
        String[] lines = csv.strip().split("\n");
        int intake = java.util.List.of(lines[0].split(",")).indexOf("intake_C");
        int running = java.util.List.of(lines[0].split(",")).indexOf("running");
        double worst = java.util.Arrays.stream(lines)
                .skip(1)
                .map(l -> l.split(","))
                .filter(c -> c[running].equals("1"))
                .mapToDouble(c -> Double.parseDouble(c[intake]))
                .max()
                .orElseThrow();
        JsonNode shown = JsonMapper.shared()
                .readTree(printed("soak", file.toString(), "--option", "B"))
                .get(0);
        assertThat(worst)
                .isCloseTo(shown.at("/verdict/worst_C").doubleValue(), org.assertj.core.api.Assertions.within(0.001));
        JsonNode traces = JsonMapper.shared().readTree(printed("soak", file.toString(), "--option", "B", "--traces"));
        assertThat(traces.at("/columns/time_s").size()).isEqualTo(lines.length - 1);
    }

    @Test
    void badBuildFiles() throws Exception {
        String text = Files.readString(demo("juniper"));
        Path file = data.resolve("bad.json");
        Files.writeString(file, text.substring(0, 700));
        assertThat(refused("solve", file.toString()))
                .contains("bad.json: build file: line")
                .contains("ends in the middle");
        Files.writeString(file, text.replaceFirst("\"version\": \\d", "\"version\": 9"));
        assertThat(refused("soak", file.toString())).contains("version 9").contains("later Enthalpa");
        Files.writeString(file, text.replace("\"boost_kPa\": 90,\n", "\"boost_kPa\": 9000,\n"));
        assertThat(refused("solve", file.toString())).contains("boost is 9000 kPa; it must lie between 0 and 500 kPa");
        Files.write(file, new byte[] {(byte) 0xff, 0, 1, 2});
        assertThat(refused("solve", file.toString())).contains("not a text file");
        assertThat(refused("solve", data.resolve("none.json").toString())).contains("no such file");
        assertThat(refused("solve", demo("juniper").toString(), "--option", "Q"))
                .contains("option is Q")
                .contains("A, B, C");
    }

    @Test
    void commandLinePrintsTheServersNumbers() throws Exception {
        Path file = demo("pass-van");
        assertThat(Enthalpa.run("solve", file.toString())).isZero();
        JsonNode solved = JsonMapper.shared().readTree(out.toString(StandardCharsets.UTF_8));
        out.reset();
        assertThat(Enthalpa.run("soak", file.toString(), "--option", "B")).isZero();
        JsonNode soaked = JsonMapper.shared().readTree(out.toString(StandardCharsets.UTF_8));
        out.reset();
        assertThat(Enthalpa.run("soak", file.toString(), "--table")).isZero();
        String table = out.toString(StandardCharsets.UTF_8);
        assertThat(table).contains("worst °C").contains("stock core").contains("The ECU pulls timing after");
        assertThat(soaked.findValuesAsString("says"))
                .hasSizeGreaterThan(5)
                .allSatisfy(says -> assertThat(table).contains("\n  " + says));
        out.reset();
        assertThat(Enthalpa.run("solve", file.toString(), "--table")).isZero();
        assertThat(out.toString(StandardCharsets.UTF_8))
                .contains("Option C: calculated, with duct")
                .contains("core out");
        try (RunningServer server = new RunningServer(data.resolve("store"), false)) {
            JsonNode answers = server.post("/api/preview", "{\"document\":" + Files.readString(file) + "}")
                    .json()
                    .get("answers");
            assertThat(solved).hasSize(3);
            for (int i = 0; i < 3; i++) {
                assertThat(solved.get(i)).isEqualTo(answers.get(i).get("steady"));
            }
            assertThat(soaked.get(0)).isEqualTo(answers.get(1).get("soak"));
        }
    }
}
