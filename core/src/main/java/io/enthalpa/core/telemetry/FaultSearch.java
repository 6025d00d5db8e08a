package io.enthalpa.core.telemetry;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.endurance.Sensor;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Which single fault explains a log best: each is put into the model as large as fits it, and ranked by how much nearer the model comes. Parts may be run on any thread. */
public final class FaultSearch {
    public static final Method METHOD = Method.of(
                    "fault-search",
                    "Which fault explains a log",
                    "Each fault that the option can have is put into the model, alone, in the size that brings it nearest to all channels; every temperature channel may also be off by a constant of 1 K. How much nearer it comes, less what so large a "
                            + "fault is unlikely, ranks them. A soaked sensor is taken for one that shows 10 K too much where no air passes, a tenth of that under load. What a fault would do to each channel, beside what that channel did, speaks for it or against it.")
            .formula(
                    "chi2(x) = sum w (measured - predicted(x) - b)^2 + b^2 + x^2; odds ~ exp(-chi2/2), nothing wrong counted three times")
            .source(
                    Citation.fromMemory(
                            "Tarantola", 2005, "Inverse Problem Theory, comparing hypotheses by their misfit"),
                    Citation.commonPractice("how large faults are that people look for"))
            .leavesOut("Two faults at once; faults that no log of temperatures shows.");
    /** A first trial size, in usual faults. */
    private static final double TRIAL = 0.5;

    private static final double LARGEST = 3.5;
    private static final int ROUNDS = 2;
    /** How much likelier nothing is wrong than any one fault, before the log is looked at. */
    private static final double NOTHING = 3;

    /** K under load from which a channel speaks. */
    private static final double SPEAKS = 0.7;

    /** From where a suspect is worth naming beside a likelier one. */
    public static final double WORTH_NAMING = 0.03;

    private final Build build;
    private final String letter;
    private final double coarser;
    private final Sensor sensor;
    private final FitData data;
    private final List<Suspect> suspects;
    private final Map<Channel, double[]> healthy;
    private final double[] soaked;
    private final Found[] found;

    /**
     * @param channel  that speaks
     * @param off      measured less predicted of the healthy car, mean under load, K
     * @param would    what the fault adds to predicted, K
     * @param speaksFor or against
     */
    public record Evidence(Channel channel, double off, double would, boolean speaksFor) {}

    /**
     * @param size     in usual faults
     * @param explains share of the misfit that goes with it, 0 to 1
     * @param gain     in chi2, what its size is unlikely taken off
     * @param evidence by channel
     */
    public record Found(Suspect suspect, double size, double explains, double gain, List<Evidence> evidence) {
        /** @return what it moves, relative or K */
        public double by() {
            return suspect.by(size);
        }
    }

    /**
     * @param found the likeliest first
     * @param odds  of each, with those of nothing being wrong last
     */
    public record Ranking(List<Found> found, double[] odds) {
        public double nothing() {
            return odds[odds.length - 1];
        }

        /** @return those that are worth naming; none where nothing being wrong is the likeliest */
        public List<Found> named() {
            List<Found> named = new ArrayList<>();
            for (int i = 0; i < found.size(); i++) {
                if (odds[i] >= WORTH_NAMING && odds[0] > nothing()) {
                    named.add(found.get(i));
                }
            }
            return named;
        }
    }

    /**
     * @param driven the build as the log drove it
     * @throws EnthalpaFault when the log cannot carry it
     */
    public FaultSearch(MeasuredDuty driven, String letter, MeasuredRun run) {
        this.build = driven.build();
        this.letter = letter;
        this.coarser = driven.coarser();
        Answer answer = new Answer(build, letter);
        this.sensor = build.targets().sensor();
        this.suspects = Suspect.of(answer);
        Trace trace = answer.soak(coarser);
        this.data =
                FitData.of(run, Beside.predicted(trace, new double[0], sensor).keySet());
        this.healthy = Beside.predicted(trace, data.moments(), sensor);
        this.soaked = new SoakedSensor(trace, 1).at(data.moments());
        this.found = new Found[suspects.size()];
    }

    public int parts() {
        return suspects.size();
    }

    /** Tries one of the suspects. */
    public void run(int part) {
        Suspect suspect = suspects.get(part);
        double none = chi2(healthy);
        double size = 0;
        double tried = TRIAL;
        Map<Channel, double[]> at = healthy;
        for (int round = 0; round <= ROUNDS; round++) {
            Map<Channel, double[]> there = predicted(suspect, tried);
            double next = nearest(size, at, tried, there);
            size = tried;
            at = there;
            tried = next;
            if (Math.abs(next - size) < 0.02) {
                break;
            }
        }
        double left = chi2(at) + size * size;
        double best = Math.min(left, none);
        Map<Channel, double[]> then = left < none ? at : healthy;
        found[part] = new Found(
                suspect,
                left < none ? size : 0,
                Math.max(0, 1 - chi2(then) / Math.max(none, 1e-9)),
                none - best,
                evidence(then));
    }

    private Map<Channel, double[]> predicted(Suspect suspect, double size) {
        if (suspect == Suspect.SENSOR) {
            Map<Channel, double[]> shown = new EnumMap<>(healthy);
            double[] judged = healthy.get(data.judged()).clone();
            for (int k = 0; k < judged.length; k++) {
                judged[k] += suspect.by(size) * soaked[k];
            }
            shown.put(data.judged(), judged);
            return shown;
        }
        return Beside.predicted(new Answer(build, letter, suspect.at(size)).soak(coarser), data.moments(), sensor);
    }

    /** Where the misfit is least on the straight line through two sizes. */
    private double nearest(double one, Map<Channel, double[]> at, double other, Map<Channel, double[]> there) {
        double along = 0;
        double square = 0;
        for (int c = 0; c < data.channels().size(); c++) {
            double[] p = there.get(data.channels().get(c));
            double[] before = at.get(data.channels().get(c));
            double error = FitData.error(data.channels().get(c), p);
            double w = 1;
            double r = 0;
            double d = 0;
            double rd = 0;
            double dd = 0;
            for (int k = 0; k < p.length; k++) {
                double off = (data.measured()[c][k] - p[k]) / error;
                double slope = (p[k] - before[k]) / (other - one) / error;
                if (!Double.isNaN(off) && !Double.isNaN(slope)) {
                    double weight = data.weight()[k];
                    w += weight;
                    r += weight * off;
                    d += weight * slope;
                    rd += weight * off * slope;
                    dd += weight * slope * slope;
                }
            }
            // What a constant offset of the channel could do is no evidence.
            along += rd - r * d / w;
            square += dd - d * d / w;
        }
        return Math.max(0, Math.min(LARGEST, other + (along - other) / (square + 1)));
    }

    private double chi2(Map<Channel, double[]> predicted) {
        double sum = 0;
        for (int c = 0; c < data.channels().size(); c++) {
            double[] p = predicted.get(data.channels().get(c));
            double error = FitData.error(data.channels().get(c), p);
            double w = 1;
            double r = 0;
            double rr = 0;
            for (int k = 0; k < p.length; k++) {
                double off = (data.measured()[c][k] - p[k]) / error;
                if (!Double.isNaN(off)) {
                    w += data.weight()[k];
                    r += data.weight()[k] * off;
                    rr += data.weight()[k] * off * off;
                }
            }
            sum += rr - r * r / w;
        }
        return sum;
    }

    private List<Evidence> evidence(Map<Channel, double[]> then) {
        List<Evidence> all = new ArrayList<>();
        for (int c = 0; c < data.channels().size(); c++) {
            Channel channel = data.channels().get(c);
            if (!channel.isTemperature()) {
                continue;
            }
            double off = 0;
            double would = 0;
            int n = 0;
            for (int k = 0; k < data.moments().length; k++) {
                double measured = data.measured()[c][k];
                if (data.loaded()[k] && !Double.isNaN(measured)) {
                    off += measured - healthy.get(channel)[k];
                    would += then.get(channel)[k] - healthy.get(channel)[k];
                    n++;
                }
            }
            if (n > 0 && Math.max(Math.abs(off), Math.abs(would)) > SPEAKS * n) {
                boolean speaksFor = Math.abs(off - would) < 0.6 * Math.max(Math.abs(off), Math.abs(would));
                all.add(new Evidence(channel, off / n, would / n, speaksFor));
            }
        }
        return all;
    }

    /** @return all suspects once each has been tried; empty before */
    public Optional<Ranking> ranking() {
        if (Arrays.stream(found).anyMatch(f -> f == null)) {
            return Optional.empty();
        }
        List<Found> ranked = Arrays.stream(found)
                .sorted(Comparator.comparingDouble(Found::gain).reversed())
                .toList();
        double[] odds = new double[ranked.size() + 1];
        double most = Math.max(0, ranked.get(0).gain());
        double sum = 0;
        for (int i = 0; i < odds.length; i++) {
            odds[i] = i < ranked.size() ? Math.exp((ranked.get(i).gain() - most) / 2) : NOTHING * Math.exp(-most / 2);
            sum += odds[i];
        }
        for (int i = 0; i < odds.length; i++) {
            odds[i] /= sum;
        }
        return Optional.of(new Ranking(ranked, odds));
    }
}
