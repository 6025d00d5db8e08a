package io.enthalpa.core.chargepath;

import io.enthalpa.core.engine.BlowerSpec;
import io.enthalpa.core.engine.EngineSpec;
import io.enthalpa.core.exchanger.ChargeCooler;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import java.util.List;

/**
 * The chain from filter to plenum together with the air it stands in and the engine that draws on it.
 * Immutable. The blower stands once, the core at most once, the plenum last.
 */
public final class ChargePath {
    private final Ambient ambient;
    private final EngineSpec engine;
    private final List<PathElement> elements;
    private final int blowerIndex;
    private final int coreIndex;
    private final ChargeCooler cooler;

    /**
     * @throws EnthalpaFault {@link FaultKind#CONTRADICTION} when the pieces do not make a path
     */
    public ChargePath(Ambient ambient, EngineSpec engine, List<PathElement> elements) {
        this.ambient = ambient;
        this.engine = engine;
        this.elements = List.copyOf(elements);
        require(!elements.isEmpty(), "pieces", 0, "at least a blower and a plenum");
        require(count(elements, PathElement.Blower.class) == 1, "blowers", count(elements, PathElement.Blower.class), "exactly 1");
        require(count(elements, PathElement.Core.class) <= 1, "cores", count(elements, PathElement.Core.class), "none or 1");
        require(count(elements, PathElement.Plenum.class) == 1, "plenums", count(elements, PathElement.Plenum.class), "exactly 1");
        require(elements.get(elements.size() - 1) instanceof PathElement.Plenum, "last piece of the path",
                elements.get(elements.size() - 1).name(), "the plenum");
        blowerIndex = indexOf(elements, PathElement.Blower.class);
        coreIndex = indexOf(elements, PathElement.Core.class);
        require(coreIndex < 0 || coreIndex > blowerIndex, "place of the core", "before the blower", "behind the blower");
        cooler = coreIndex < 0 ? null : new ChargeCooler(core().spec());
    }

    private static void require(boolean holds, String what, Object found, String wanted) {
        if (!holds) {
            throw EnthalpaFault.of(FaultKind.CONTRADICTION, "path", what, String.valueOf(found), wanted, "");
        }
    }

    private static long count(List<PathElement> elements, Class<? extends PathElement> kind) {
        return elements.stream().filter(kind::isInstance).count();
    }

    private static int indexOf(List<PathElement> elements, Class<? extends PathElement> kind) {
        for (int i = 0; i < elements.size(); i++) {
            if (kind.isInstance(elements.get(i))) {
                return i;
            }
        }
        return -1;
    }

    public Ambient ambient() {
        return ambient;
    }

    public EngineSpec engine() {
        return engine;
    }

    public List<PathElement> elements() {
        return elements;
    }

    /** @return index of the blower in the elements; also of the station in front of it */
    public int blowerIndex() {
        return blowerIndex;
    }

    public BlowerSpec blower() {
        return ((PathElement.Blower) elements.get(blowerIndex)).spec();
    }

    public boolean hasCore() {
        return coreIndex >= 0;
    }

    /** @return index of the core, -1 without one; also of the station in front of it */
    public int coreIndex() {
        return coreIndex;
    }

    /** @return the core; only where {@link #hasCore} */
    public PathElement.Core core() {
        return (PathElement.Core) elements.get(coreIndex);
    }

    /** @return the core ready to compute with; only where {@link #hasCore} */
    public ChargeCooler cooler() {
        return cooler;
    }
}
