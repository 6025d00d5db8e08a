package io.enthalpa.core.trial;

import io.enthalpa.core.build.BuildOption;

/**
 * An option with one change in it, not tried yet.
 *
 * @param what sort of change
 * @param of   name of what differs
 */
record Candidate(What what, String of, BuildOption option) {}
