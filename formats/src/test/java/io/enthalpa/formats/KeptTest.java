package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;

/**
 * What builds of all kinds answered, to six digits: a change that moves any of it shows, and is taken over ({@code ./enthalpa kept --accept}) with its
 * reason in the same commit. No figure here was measured; that a figure is right is for the other tests.
 */
class KeptTest {
    static List<String> names() throws IOException {
        return List.copyOf(Kept.builds().keySet());
    }

    @ParameterizedTest
    @MethodSource("names")
    void saysWhatItSaid(String name) throws IOException {
        Map<String, Double> said = Kept.said();
        said.keySet().removeIf(what -> !what.startsWith(name + " "));
        Map<String, Double> now = Kept.answers(name, Kept.builds().get(name));
        assertThat(now.keySet()).containsExactlyElementsOf(said.keySet());
        now.forEach((what, value) -> assertThat(value)
                .as(what)
                .isCloseTo(said.get(what), within(Math.max(6e-6 * Math.abs(said.get(what)), 2e-6))));
    }

    /** Nothing is kept of a build that is gone. With {@code -Dkept=show} what has moved is printed, with {@code -Dkept=accept} that is what is said from now on. */
    @Test
    void everyAnswerKeptIsOneOfTheseBuilds() throws IOException {
        String how = System.getProperty("kept", "");
        if (!how.isEmpty()) {
            moved("accept".equals(how));
        }
        List<String> names = names();
        assertThat(Kept.said().keySet()).allMatch(what -> names.stream().anyMatch(name -> what.startsWith(name + " ")));
        assertThat(names).allMatch(name -> said(name));
    }

    private static boolean said(String name) {
        try {
            return Kept.said().keySet().stream().anyMatch(what -> what.startsWith(name + " "));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void moved(boolean accept) throws IOException {
        Map<String, Double> said = Kept.said();
        Map<String, Double> now = new LinkedHashMap<>();
        for (Map.Entry<String, JsonNode> build : Kept.builds().entrySet()) {
            now.putAll(Kept.answers(build.getKey(), build.getValue()));
        }
        TreeSet<String> all = new TreeSet<>(said.keySet());
        all.addAll(now.keySet());
        List<String> moved = new ArrayList<>();
        for (String what : all) {
            String was = said.containsKey(what) ? Kept.text(said.get(what)) : "-";
            String is = now.containsKey(what) ? Kept.text(now.get(what)) : "-";
            if (!was.equals(is)) {
                moved.add("%-70s %12s %12s %s".formatted(what, was, is, by(said.get(what), now.get(what))));
            }
        }
        moved.forEach(System.out::println);
        System.out.printf("%d of %d figures moved%n", moved.size(), all.size());
        if (accept) {
            Kept.keep(now);
        }
    }

    private static String by(Double was, Double is) {
        return was == null || is == null ? "" : "%+.3g".formatted(is - was);
    }
}
