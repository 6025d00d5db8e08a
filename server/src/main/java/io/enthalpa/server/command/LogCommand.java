package io.enthalpa.server.command;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.telemetry.Averager;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.FaultSearch;
import io.enthalpa.core.telemetry.LogBand;
import io.enthalpa.core.telemetry.LogFit;
import io.enthalpa.core.telemetry.LogSeries;
import io.enthalpa.core.telemetry.MeasuredDuty;
import io.enthalpa.core.telemetry.MeasuredRun;
import io.enthalpa.core.telemetry.RowTaker;
import io.enthalpa.formats.BuildFile;
import io.enthalpa.formats.LogCsv;
import io.enthalpa.formats.LogHead;
import io.enthalpa.formats.LogText;
import io.enthalpa.server.jobs.FaultsView;
import io.enthalpa.server.jobs.LogBandView;
import io.enthalpa.server.jobs.LogFitView;
import io.enthalpa.server.logs.LogBesideView;
import io.enthalpa.server.logs.LogView;
import io.enthalpa.server.problem.StartFault;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code log}: a logger's CSV beside what an option of a build file predicts for the same drive, without a server. */
public final class LogCommand {
    private LogCommand() {}

    /** @param band and {@code fit} and {@code faults}: null where they were not asked for */
    record Logged(
            String option,
            String optionName,
            LogView.Told read,
            LogBesideView beside,
            @Nullable LogBandView band,
            @Nullable LogFitView fit,
            @Nullable FaultsView faults) {}

    public static void log(String[] args) {
        Arguments arguments = new Arguments(
                args,
                Set.of("--build", "--option", "--columns", "--into"),
                Set.of("--table", "--band", "--fit", "--faults"));
        if (arguments.rest().size() != 1 || arguments.value("--build").isEmpty()) {
            throw new StartFault("give one log and its build, as in: enthalpa log drive.csv --build my-build.json");
        }
        Optional<Path> into = arguments.value("--into").map(LogCommand::free);
        Build build = SolveCommand.build(arguments.value("--build").get());
        String file = arguments.rest().get(0);
        String letter =
                arguments.value("--option").orElse(build.options().get(0).letter());
        try {
            Logged logged = logged(
                    file,
                    LogHead.chosen(arguments.value("--columns").orElse("")),
                    build,
                    letter,
                    arguments.has("--band"),
                    arguments.has("--fit") || into.isPresent(),
                    arguments.has("--faults"));
            if (into.isPresent()) {
                keep(build, Objects.requireNonNull(logged.fit()).fitted(), into.get());
            }
            System.out.println(arguments.has("--table") ? LogTable.of(logged) : SolveCommand.json(logged));
        } catch (EnthalpaFault fault) {
            throw new StartFault(file + ": " + fault.sentence());
        }
    }

    private static Path free(String name) {
        try {
            Path file = Path.of(name);
            if (Files.exists(file)) {
                throw new StartFault(name + ": there is such a file already; --into makes a new one.");
            }
            return file;
        } catch (InvalidPathException e) {
            throw new StartFault(name + ": is no name of a file.");
        }
    }

    /** The build with the fit in it, as a file of its own. */
    private static void keep(Build build, JsonNode fitted, Path into) {
        ObjectNode tree = BuildFile.tree(build);
        tree.set("fitted", fitted);
        try {
            Files.writeString(into, BuildFile.write(BuildFile.normal(tree)), StandardOpenOption.CREATE_NEW);
        } catch (IOException e) {
            throw new StartFault(into + ": cannot be written (" + e.getMessage() + ").");
        }
    }

    private static Logged logged(
            String file,
            Map<Channel, LogHead.Column> columns,
            Build build,
            String letter,
            boolean band,
            boolean fitted,
            boolean faults) {
        // Once for its length, which says how long the steps are that it is judged by; once for its rows.
        LogCsv.Summary summary = read(file, columns, channels -> (time, values) -> {});
        LogSeries.Growing[] growing = new LogSeries.Growing[1];
        Averager[] averager = new Averager[1];
        read(file, columns, channels -> {
            growing[0] = new LogSeries.Growing(channels);
            averager[0] = new Averager(Averager.stepFor(summary.seconds()), channels.size(), growing[0]);
            return averager[0];
        });
        averager[0].end();
        LogSeries log = growing[0].series();
        return new Logged(
                letter,
                build.option(letter).name(),
                LogView.Told.of(summary),
                LogBesideView.view(log, build, letter),
                band ? band(log, build, letter) : null,
                fitted ? fit(log, build, letter, nameOf(file)) : null,
                faults ? faults(log, build, letter) : null);
    }

    private static String nameOf(String file) {
        Path name = Path.of(file).getFileName();
        return name == null ? file : name.toString();
    }

    /** What the log drove, and the log as a run of it. */
    private record Driven(MeasuredDuty duty, MeasuredRun run) {
        static Driven of(LogSeries log, Build build, String letter) {
            MeasuredRun run = MeasuredRun.of(log, build, letter);
            return new Driven(MeasuredDuty.of(build, run), run);
        }
    }

    private static LogBandView band(LogSeries log, Build build, String letter) {
        Driven driven = Driven.of(log, build, letter);
        LogBand band = new LogBand(driven.duty, letter, driven.run);
        for (int i = 0; i < band.runs(); i++) {
            band.run(i);
        }
        return LogBandView.of(band.band().orElseThrow());
    }

    private static LogFitView fit(LogSeries log, Build build, String letter, String name) {
        Driven driven = Driven.of(log, build, letter);
        LogFit fit = new LogFit(driven.duty, letter, driven.run, () -> false);
        for (int i = 0; i < fit.runs(); i++) {
            fit.run(i);
        }
        return LogFitView.of(fit.result().orElseThrow(), letter, name);
    }

    private static FaultsView faults(LogSeries log, Build build, String letter) {
        Driven driven = Driven.of(log, build, letter);
        FaultSearch search = new FaultSearch(driven.duty, letter, driven.run);
        for (int i = 0; i < search.parts(); i++) {
            search.run(i);
        }
        return FaultsView.of(search.ranking().orElseThrow());
    }

    private static LogCsv.Summary read(
            String file, Map<Channel, LogHead.Column> columns, Function<List<Channel>, RowTaker> taker) {
        try (var in = Files.newInputStream(Path.of(file))) {
            return LogCsv.read(LogText.reader(in), columns, taker);
        } catch (NoSuchFileException e) {
            throw new StartFault(file + ": there is no such file.");
        } catch (IOException | InvalidPathException e) {
            throw new StartFault(file + ": cannot be read (" + e.getMessage() + ").");
        }
    }
}
