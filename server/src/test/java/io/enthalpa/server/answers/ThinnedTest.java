package io.enthalpa.server.answers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.endurance.EnergyAudit;
import io.enthalpa.core.endurance.Trace;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What a screen is told of a run, against the run saved with every step. */
class ThinnedTest extends AnswersOnDemo {
    private static double[] numbers(JsonNode column) {
        double[] all = new double[column.size()];
        Arrays.setAll(all, i -> column.get(i).doubleValue());
        return all;
    }

    private static JsonNode steps() {
        return server.post("/api/preview/trace/json", asking(launch, "A").toString())
                .json();
    }

    /** Ten thousand steps of a tenth of a second, each spike one step long. */
    private static Trace spiky() {
        double[] tenths = new double[10_000];
        Arrays.fill(tenths, 0.1);
        Trace.Columns columns = Trace.Columns.of(tenths);
        for (int i = 0; i < tenths.length; i++) {
            columns.time()[i] = 0.1 * (i + 1);
            columns.boost()[i] = 80e3;
            columns.flow()[i] = 0.2;
            columns.intake()[i] = 320;
        }
        return new Trace(
                columns, 300, List.of(), List.of(), List.of(), List.of(), List.of(), new EnergyAudit(0, 0, 0, 0));
    }

    @Test
    void noPeakIsLostHoweverShort() {
        Trace trace = spiky();
        trace.intake()[1234] = 350;
        trace.intake()[1236] = 349;
        trace.intake()[5003] = 310;
        trace.boost()[7001] = 10e3;
        trace.boost()[7777] = 120e3;
        trace.intake()[7002] = 360;
        int[] kept = Thinned.of(trace);
        assertThat(kept.length).isBetween(300, 1300);
        assertThat(kept).contains(0, 1234, 5003, 7001, 7002, 7777, 9999).isSorted();
    }

    @Test
    void bothSidesOfAStopAreKept() {
        Trace trace = spiky();
        for (int i = 4000; i < 6000; i++) {
            trace.flow()[i] = 0;
            trace.intake()[i] = 400;
        }
        assertThat(Thinned.of(trace)).contains(3999, 4000, 5999, 6000);
    }

    private static JsonNode column(JsonNode file, String name) {
        return file.at("/columns/" + name);
    }

    @Test
    void aStretchIsToldStepByStep() {
        JsonNode whole = steps();
        double[] time = numbers(column(whole, "time_s"));
        double[] intake = numbers(column(whole, "intake_C"));
        var request = asking(launch, "A").put("from_s", time[1000] + 0.5).put("to_s", time[1100] - 0.5);
        JsonNode told = server.post("/api/preview/stretch", request.toString()).json();
        double[] kept = numbers(told.get("time_s"));
        assertThat(kept).hasSize(101);
        assertThat(kept[0]).isCloseTo(time[1000], within(0.01));
        assertThat(numbers(told.get("intake_C"))[50]).isCloseTo(intake[1050], within(2e-3));
    }

    @Test
    void aStretchThatIsNoneIsRefused() {
        var request = asking(launch, "A").put("from_s", 20).put("to_s", 10);
        var reply = server.post("/api/preview/stretch", request.toString());
        assertThat(reply.status()).isEqualTo(422);
        assertThat(reply.json().at("/fault/sentence").asString()).contains("20.00 to 10.00 s");
    }
}
