/** What holds and carries heat over time: cores, their water, pipe walls, the bay, the air at each face. */
package io.enthalpa.core.plant;
