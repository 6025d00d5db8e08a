package io.enthalpa.core.router;

import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Where a pipe begins or ends.
 *
 * @param at  m
 * @param out unit vector in which it leaves, seen from what it is on; empty where it may leave as it likes
 */
public record Port(Vector3D at, Optional<Vector3D> out) {}
