package io.enthalpa.core.fit;

import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/**
 * Where a pipe may begin or end.
 *
 * @param heading unit vector out of it
 * @param port    empty on another pipe
 * @param body    number of the one whose port it is; -1 on another pipe
 * @param fork    where two legs share it
 */
record PipeEnd(Vector3D at, Vector3D heading, Optional<OpenPort> port, int body, Optional<Fork> fork) {
    /** On the end of a pipe, m straight on. */
    PipeEnd on(double lead) {
        return new PipeEnd(at.add(lead, heading), heading, port, body, fork);
    }

    /** @return whether it is the only one of its role */
    boolean isAlone(String role) {
        return port.filter(p -> !p.role().equals(role)).isEmpty();
    }
}
