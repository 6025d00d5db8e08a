package io.enthalpa.core.sizing;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.verdict.RunFigures;
import io.enthalpa.core.verdict.Verdict;

/**
 * A method tried on the build's duty.
 *
 * @param method  which
 * @param option  sized by default, ready to be taken
 * @param meets   false when no size within reason keeps the target; the option is then the size beyond which more hardly helps
 * @param trace   over the duty
 * @param verdict of it
 * @param figures of it
 * @param loss    Pa from filter to plenum at full load
 * @param bill    of the cooling
 */
public record Proposal(
        CoolingMethod method,
        BuildOption option,
        boolean meets,
        Trace trace,
        Verdict verdict,
        RunFigures figures,
        double loss,
        Bill bill) {}
