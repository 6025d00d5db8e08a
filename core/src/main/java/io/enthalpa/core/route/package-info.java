/** Pipes laid in the room: their middle lines, what they are made of, and the ways they can take. */
package io.enthalpa.core.route;
