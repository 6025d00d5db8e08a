/** The free space at a place of the room, as the largest core that passes there. */
package io.enthalpa.core.envelope;
