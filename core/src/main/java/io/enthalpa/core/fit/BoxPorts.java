package io.enthalpa.core.fit;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.chargepath.Pieces;
import io.enthalpa.core.exchanger.EndTankSpec;
import io.enthalpa.core.room.Scroll;
import io.enthalpa.core.room.Stand.Size;
import io.enthalpa.core.source.Citation;
import io.enthalpa.core.source.Method;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.hipparchus.geometry.euclidean.threed.Vector3D;

/** Where air goes in and out of what is no more than a box to the room. */
public final class BoxPorts {
    public static final Method METHOD = Method.of(
                    "box-ports",
                    "Ports of throttle, plenum, filter and blower",
                    "As it stands before it is turned, air goes in at the middle of its front and out at the middle of its rear: turned, tipped and leaned it "
                            + "is stood so that this is true. A pipe comes on 40 mm off the box, on a stub that is taken as there and is no obstacle itself. A plenum "
                            + "that two legs end on has two inlets side by side, a quarter of its width from its middle, where there is room for both, otherwise one that they share; a housing that is clocked has its outlet where that is.")
            .source(Citation.commonPractice("a stub as long as a hose and its clamp want"))
            .leavesOut("Inlets of a plenum at its end or on its lid: type where the pipe ends there.");

    private BoxPorts() {}

    /** @return about its middle, before it is turned */
    static List<OpenPort> of(List<PathElement> path, PathElement piece, Size size, Optional<Scroll> scroll) {
        List<OpenPort> ports = new ArrayList<>();
        if (!(piece instanceof PathElement.Filter)) {
            double aside = size.wide() / 4;
            boolean two = piece instanceof PathElement.Plenum
                    && fedBy(path, piece)
                            .filter(pair -> 2 * aside >= widest(pair) + Fork.BETWEEN)
                            .isPresent();
            if (two) {
                ports.add(front("first inlet", size, -aside));
                ports.add(front("second inlet", size, aside));
            } else {
                ports.add(front("inlet", size, 0));
            }
        }
        if (scroll.isPresent()) {
            ports.add(ScrollBody.port(size, scroll.get(), piece.bore()));
        } else if (!(piece instanceof PathElement.Plenum)) {
            Vector3D rear = new Vector3D(size.deep() / 2, 0, 0);
            ports.add(OpenPort.of("outlet", List.of(rear, rear.add(EndTankSpec.USUAL_STUB, Vector3D.PLUS_I))));
        }
        return ports;
    }

    private static OpenPort front(String role, Size size, double aside) {
        Vector3D front = new Vector3D(-size.deep() / 2, aside, 0);
        return OpenPort.of(role, List.of(front, front.add(EndTankSpec.USUAL_STUB, Vector3D.MINUS_I)));
    }

    /** The pair whose legs end on it with no more than joints and cones between. */
    private static Optional<PathElement.Parallel> fedBy(List<PathElement> path, PathElement plenum) {
        return Pieces.all(path).stream()
                .filter(p -> p.piece() == plenum)
                .findFirst()
                .flatMap(p -> new Neighbours(path, p.spot())
                        .before().stream()
                                .map(Pieces.Placed::piece)
                                .filter(e -> !(e instanceof PathElement.Joint)
                                        && !(e instanceof PathElement.Reducer)
                                        && !(e instanceof PathElement.Injection))
                                .findFirst())
                .filter(PathElement.Parallel.class::isInstance)
                .map(PathElement.Parallel.class::cast);
    }

    /** m, of its legs' last pieces outside. */
    private static double widest(PathElement.Parallel pair) {
        return pair.legs().stream()
                .map(leg -> leg.path().get(leg.path().size() - 1))
                .mapToDouble(last -> last instanceof PathElement.Pipe pipe ? pipe.outside() : last.bore())
                .max()
                .orElse(0);
    }
}
