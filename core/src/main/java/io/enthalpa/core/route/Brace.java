package io.enthalpa.core.route;

/**
 * What a pipe is held by between its ends.
 *
 * @param along   m from where it begins, along its middle
 * @param carrier that it is bolted to
 * @param rubber  whether it gives: a bobbin, a lined clamp
 */
public record Brace(double along, String carrier, boolean rubber) {}
