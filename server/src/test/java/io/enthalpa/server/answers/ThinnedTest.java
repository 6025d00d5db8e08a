package io.enthalpa.server.answers;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
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

    @Test
    void noPeakIsLostBetweenTheStepsThatAreKept() {
        JsonNode whole = steps();
        double[] intake = numbers(column(whole, "intake_C"));
        double[] time = numbers(column(whole, "time_s"));
        JsonNode told = preview(launch, "A").json().at("/answers/0/soak/trace");
        double[] kept = numbers(told.get("time_s"));
        double[] shown = numbers(told.get("intake_C"));
        assertThat(intake.length).as("a run too long to be told whole").isGreaterThan(5000);
        assertThat(kept.length).isBetween(300, 1400);
        for (int i = 0; i < intake.length; i++) {
            double t = time[i];
            double highest = highest(kept, shown, t - 100, t + 100);
            assertThat(intake[i]).as("at %.1f s", t).isLessThanOrEqualTo(highest + 1e-3);
        }
    }

    private static double highest(double[] time, double[] value, double from, double to) {
        double highest = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < time.length; i++) {
            highest = time[i] >= from && time[i] <= to ? Math.max(highest, value[i]) : highest;
        }
        return highest;
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
