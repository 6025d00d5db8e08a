package io.enthalpa.server.logs;

import io.enthalpa.core.quantity.Unit;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.LogFinding;
import io.enthalpa.formats.LogCsv;
import io.enthalpa.formats.LogHead;
import io.enthalpa.formats.Sentences;
import io.enthalpa.server.logs.LogStore.Kept;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What the screen is told of logs. */
public final class LogView {
    private LogView() {}

    /** A log in the list of its build. */
    record LogCardView(
            long id, String uid, String name, Instant addedAt, double length_s, long rows, Told told, MarksView marks) {
        static LogCardView of(Kept kept, Told told, MarksView marks) {
            return new LogCardView(
                    kept.id(),
                    kept.uid().toString(),
                    kept.name(),
                    kept.addedAt(),
                    kept.seconds(),
                    kept.rows(),
                    told,
                    marks);
        }
    }

    /**
     * What was found on reading it.
     *
     * @param read     rows in the file
     * @param repeated rows of the same time as the row above, left out
     */
    public record Told(
            List<LogChannelView> channels, long read, long repeated, List<LogGapView> gaps, List<LeftOutView> leftOut) {
        public static Told of(LogCsv.Summary read) {
            List<LogChannelView> channels = new ArrayList<>();
            read.columns()
                    .forEach((channel, column) -> channels.add(
                            new LogChannelView(channel, channel.words(), column.heading(), symbol(channel, column))));
            List<LeftOutView> leftOut = new ArrayList<>();
            read.leftOut()
                    .forEach((channel, out) ->
                            leftOut.add(new LeftOutView(channel.words(), out.cells(), out.line(), out.text())));
            return new Told(
                    channels,
                    read.read(),
                    read.repeated(),
                    read.gaps().stream()
                            .map(g -> new LogGapView(g.line(), g.from(), g.seconds()))
                            .toList(),
                    leftOut);
        }
    }

    private static String symbol(Channel channel, LogHead.Column column) {
        return (column.unit() == null ? channel.usualUnit() : column.unit()).symbol();
    }

    /** @param unit that the file's numbers were read in */
    public record LogChannelView(Channel channel, String words, String heading, String unit) {}

    public record LogGapView(long line, double from_s, double seconds) {}

    /** Cells of a channel that were no measurement: how many, the line of the first and what stood there. */
    public record LeftOutView(String words, long cells, long line, String text) {}

    /**
     * What a column can be taken for; {@code column} from 0 and {@code unit}, null where none fits.
     *
     * @param driving whether the model is driven by it
     */
    record LogChoiceView(
            Channel channel,
            String words,
            List<String> units,
            @Nullable Integer column,
            @Nullable String unit,
            boolean driving) {}

    /** @param remembered whether the columns are those that a file with these headings was read by the last time */
    record LogStartView(
            List<String> headings,
            List<LogChoiceView> choices,
            List<LogFindingView> notes,
            List<List<String>> sample,
            boolean remembered) {
        private static final int SAMPLE = 3;

        static LogStartView of(
                LogHead head, Map<Channel, LogHead.Column> columns, List<LogFinding> notes, boolean remembered) {
            List<LogChoiceView> choices = new ArrayList<>();
            for (Channel channel : Channel.values()) {
                LogHead.Column column = columns.get(channel);
                choices.add(new LogChoiceView(
                        channel,
                        channel.words(),
                        channel.quantity().units().stream().map(Unit::symbol).toList(),
                        column == null ? null : column.index(),
                        column == null ? null : symbol(channel, column),
                        Channel.OF_DUTY.contains(channel)));
            }
            return new LogStartView(
                    head.headings(),
                    choices,
                    notes.stream().map(LogFindingView::of).toList(),
                    head.sample().stream().limit(SAMPLE).toList(),
                    remembered);
        }
    }

    /** {@code kind} names its sentence in the field catalogue, {@code values} what it is filled with, {@code says} is the sentence in metric units. */
    public record LogFindingView(
            LogFinding.About about,
            LogFinding.Kind kind,
            String of,
            String to,
            Map<String, Double> values,
            String says) {
        public static LogFindingView of(LogFinding f) {
            return new LogFindingView(
                    f.kind().about(), f.kind(), f.of(), f.to(), Sentences.told(f.figures()), Sentences.of(f));
        }
    }
}
