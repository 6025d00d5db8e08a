/**
 * Shapes in a room and how far they are from one another: vectors, poses, convex parts, meshes, gaps, movement. Axes: x rearward, y to the
 * right as one sits, z up; all lengths in m.
 */
package io.enthalpa.core.space;
