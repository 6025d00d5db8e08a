package io.enthalpa.core.chargepath;

import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.exchanger.CoreSpec;
import io.enthalpa.core.loss.PipeSpec;

/** One piece of the air's way from filter to plenum. */
public sealed interface PathElement {
    /** @return as the user calls it */
    String name();

    /** @return m, the bore at its outlet, where its station is */
    double bore();

    /**
     * Filter with its intake. Loss grows as flow squared over density.
     *
     * @param loss     Pa at the flow it was read at, in air of 1.2 kg/m3
     * @param flow     kg/s at which the loss was read
     * @param heatGain K that the air takes up in the bay before the blower
     */
    record Filter(String name, double bore, double loss, double flow, double heatGain) implements PathElement {
        static final double REFERENCE_DENSITY = 1.2;
    }

    /** The blower; exactly one in a path. */
    record Blower(String name, BlowerSpec spec) implements PathElement {
        @Override
        public double bore() {
            return spec.outletBore();
        }
    }

    record Pipe(String name, PipeSpec spec) implements PathElement {
        @Override
        public double bore() {
            return spec.bore();
        }
    }

    /** The charge cooler; at most one in a path. */
    record Core(String name, CoreSpec spec, CoolingSide cooling) implements PathElement {
        @Override
        public double bore() {
            return spec.portBore();
        }
    }

    /**
     * Plenum: the jet from the last pipe is lost (one velocity head, Borda), what is left is the manifold state.
     *
     * @param bore m of its inlet
     */
    record Plenum(String name, double bore) implements PathElement {
    }
}
