package io.enthalpa.core.source;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * One method of the computation as a reader should know it: what it does, by which formula, where it holds, whose it is
 * and what it leaves out. Stands beside the code that computes it; {@code docs/methods.md} and the "how do you know" of the
 * screen are both written from it.
 *
 * @param id        short and stable, "bend"
 * @param title     what it answers, "Smooth bend"
 * @param says      a short paragraph
 * @param formula   in plain characters; empty when it is a procedure
 * @param ranges    where it was established
 * @param sources   whose it is
 * @param leavesOut what it does not know; empty when nothing worth saying
 */
public record Method(
        String id,
        String title,
        String says,
        String formula,
        List<ValidityRange> ranges,
        List<Citation> sources,
        String leavesOut) {
    public Method {
        ranges = List.copyOf(ranges);
        sources = List.copyOf(sources);
    }

    /** @return a method without formula, range, source or omission yet */
    public static Method of(String id, String title, String says) {
        return new Method(id, title, says, "", List.of(), List.of(), "");
    }

    public Method formula(String text) {
        return new Method(id, title, says, text, ranges, sources, leavesOut);
    }

    public Method range(ValidityRange... more) {
        return new Method(id, title, says, formula, joined(ranges, Arrays.asList(more)), sources, leavesOut);
    }

    public Method source(Citation... more) {
        return new Method(id, title, says, formula, ranges, joined(sources, Arrays.asList(more)), leavesOut);
    }

    public Method leavesOut(String text) {
        return new Method(id, title, says, formula, ranges, sources, text);
    }

    private static <T> List<T> joined(List<T> had, List<T> more) {
        List<T> all = new ArrayList<>(had);
        all.addAll(more);
        return all;
    }
}
