/** The room a job must fit into, as measured: what stands in it, what carries it, and the gap asked of each. */
package io.enthalpa.core.room;
