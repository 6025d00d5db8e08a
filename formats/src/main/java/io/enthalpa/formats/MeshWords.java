package io.enthalpa.formats;

import io.enthalpa.core.space.Mesh;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** What is said of a surface of triangles. */
public final class MeshWords {
    private MeshWords() {}

    /** @param skin whether what is inside it shall be free */
    public static String of(Mesh mesh, boolean skin) {
        Mesh.Flaws flaws = mesh.flaws();
        List<String> said = new ArrayList<>();
        said.add(String.format(Locale.ROOT, "%,d", mesh.size()).replace(',', ' ')
                + (mesh.size() == 1 ? " triangle" : " triangles"));
        if (flaws.open() > 0) {
            said.add(edges(flaws.open()) + " open");
        }
        if (flaws.crowded() > 0) {
            said.add(edges(flaws.crowded()) + " with more than two triangles");
        }
        if (flaws.turned() > 0) {
            said.add(edges(flaws.turned()) + " where one side faces the wrong way");
        }
        String counted = String.join(", ", said);
        if (!flaws.closed()) {
            return counted + ": gaps to it are true, but nothing counts as inside it.";
        }
        return counted + (skin ? ": closed, and taken as a skin, free inside." : ": closed, and full inside.");
    }

    private static String edges(int count) {
        return count == 1 ? "1 edge" : count + " edges";
    }
}
