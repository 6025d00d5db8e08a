package io.enthalpa.core.trial;

import io.enthalpa.core.chargepath.PathElement;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.core.fit.FitFinding;
import io.enthalpa.core.fit.FitFinding.Kind;
import io.enthalpa.core.quantity.Figure;
import io.enthalpa.core.quantity.Quantity;
import io.enthalpa.core.router.Router;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is said where a pipe has no way, and of what was tried to open one. */
final class ToldWays {
    private ToldWays() {}

    /** @return why there is none */
    static FitFinding none(String pipe, Optional<Router.Narrow> narrow, int dropped) {
        Kind kind = narrow.map(n -> switch (n.where()) {
                    case START -> Kind.WAY_START_BLOCKED;
                    case END -> Kind.WAY_END_BLOCKED;
                    case BETWEEN -> Kind.WAY_NARROW;
                    case ACROSS -> Kind.WAY_ACROSS;
                })
                .orElse(dropped > 0 ? Kind.WAY_DROPPED : Kind.WAY_NONE);
        double missing = narrow.map(Router.Narrow::missing).orElse(0.0);
        return new FitFinding(
                kind,
                pipe,
                narrow.map(Router.Narrow::keepout).orElse(""),
                List.of(new Figure("missing", missing, Quantity.LENGTH)));
    }

    static EnthalpaFault noRoom() {
        return EnthalpaFault.of(
                FaultKind.CONTRADICTION,
                "/room",
                "The room",
                "not measured",
                "measured",
                "Put in a datum and what must be missed.");
    }

    /** @return what came of it */
    static FitFinding tried(PathElement.Pipe pipe, PipeWays.Tried tried) {
        List<Figure> figures = new ArrayList<>(List.of(Figure.plain("opens", tried.opens() ? 1 : 0)));
        Kind kind = switch (tried.opening()) {
            case TIGHT_BENDS -> Kind.WAY_TIGHT_BENDS;
            case CLOCKED -> tried.opens() ? Kind.WAY_CLOCKED : Kind.WAY_NOT_CLOCKED;
            case PORT_TURNED -> tried.opens() ? Kind.WAY_PORT_TURNED : Kind.WAY_NO_PORT_TURNED;
            case TURNED_OVER -> Kind.WAY_TURNED_OVER;
            case OVAL -> Kind.WAY_OVAL;
            case SMALLER -> Kind.WAY_SMALLER;
            case TWO_TUBES -> Kind.WAY_TWO_TUBES;
            case WIRED -> Kind.WAY_WIRED;
            case MOULDED -> Kind.WAY_MOULDED;
            case MOVED -> Kind.WAY_MOVED;
        };
        boolean tight = tried.way()
                .filter(way -> way.laid().line().bends().stream()
                        .anyMatch(b -> b.radius() < way.laid().usualRadius()))
                .isPresent();
        figures.add(Figure.plain("tight", tight ? 1 : 0));
        tried.figure()
                .ifPresent(f -> figures.add(
                        switch (tried.opening()) {
                            case CLOCKED -> new Figure("clocked", f, Quantity.ANGLE);
                            case PORT_TURNED -> Figure.plain("turn", f);
                            case MOVED -> Figure.plain("obstacle", f);
                            default -> new Figure("size", f, Quantity.LENGTH);
                        }));
        // Tube is called by its outside, hose by its bore.
        figures.add(Figure.plain("bore", pipe.spec().material().isTube() ? 0 : 1));
        return new FitFinding(kind, pipe.name(), tried.of(), figures);
    }
}
