package io.enthalpa.server.builds;

/** The demo builds were put into an empty store just now: what belongs to them may follow. */
public record DemoMade() {}
