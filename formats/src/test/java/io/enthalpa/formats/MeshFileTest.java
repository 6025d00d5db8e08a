package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.build.Build;
import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.room.ObstacleShape;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ObjectNode;

/** STL as the 3D Systems specification of 1989 lays it out (from memory), OBJ's v and f; everything else told by its place in the file. */
class MeshFileTest {
    /** A corner of 10, 20 and 30 along x, y and z. */
    private static final double[][][] CORNER = {
        {{0, 0, 0}, {0, 20, 0}, {10, 0, 0}},
        {{0, 0, 0}, {10, 0, 0}, {0, 0, 30}},
        {{0, 0, 0}, {0, 0, 30}, {0, 20, 0}},
        {{10, 0, 0}, {0, 20, 0}, {0, 0, 30}},
    };

    private static MeshFile read(byte[] bytes, String unit) throws IOException {
        return MeshFile.read(new ByteArrayInputStream(bytes), MeshFile.unit(unit));
    }

    private static MeshFile read(String text, String unit) throws IOException {
        return read(text.getBytes(StandardCharsets.US_ASCII), unit);
    }

    private static byte[] binary(double[][][] triangles, long counted) {
        ByteBuffer b = ByteBuffer.allocate(84 + 50 * triangles.length).order(ByteOrder.LITTLE_ENDIAN);
        b.position(80);
        b.putInt((int) counted);
        for (double[][] t : triangles) {
            b.position(b.position() + 12);
            for (double[] p : t) {
                for (double x : p) {
                    b.putFloat((float) x);
                }
            }
            b.putShort((short) 0);
        }
        return b.array();
    }

    private static String text(double[][][] triangles) {
        StringBuilder out = new StringBuilder("solid corner\n");
        for (double[][] t : triangles) {
            out.append("facet normal 0 0 0\n outer loop\n");
            for (double[] p : t) {
                out.append("  vertex %s %s %s%n".formatted(p[0], p[1], p[2]));
            }
            out.append(" endloop\nendfacet\n");
        }
        return out.append("endsolid corner\n").toString();
    }

    private static void isTheCorner(MeshFile file, double factor) {
        assertThat(file.mesh().size()).isEqualTo(4);
        assertThat(file.mesh().points()).hasSize(12);
        assertThat(file.mesh().flaws().closed()).isTrue();
        assertThat(file.middle().distance(new Vector3D(5 * factor, 10 * factor, 15 * factor)))
                .isLessThan(1e-5);
        assertThat(file.mesh().points()[0]).isCloseTo(-5 * factor, within(1e-5));
        assertThat(file.dropped()).isZero();
    }

    @Test
    void readsBinaryAndTextInTheUnitGiven() throws IOException {
        isTheCorner(read(binary(CORNER, 4), "mm"), 1e-3);
        isTheCorner(read(text(CORNER), "in"), 0.0254);
    }

    /** Some programs begin a binary file's head with the word that begins a text. */
    @Test
    void takesABinaryFileThatCallsItselfSolid() throws IOException {
        byte[] bytes = binary(CORNER, 4);
        System.arraycopy("solid of something".getBytes(StandardCharsets.US_ASCII), 0, bytes, 0, 18);
        isTheCorner(read(bytes, "cm"), 1e-2);
    }

    @Test
    void readsFacesOfManyCornersAndCountedFromTheEnd() throws IOException {
        MeshFile file = read("""
                # a plate
                v 0 0 0
                v 10 0 0 1 0 0
                v 10 20 0
                v 0 20 0
                vn 0 0 1
                f 1/1/1 2//1 3 -1
                """, "mm");
        assertThat(file.mesh().size()).isEqualTo(2);
        assertThat(file.mesh().triangles()).containsExactly(0, 1, 2, 0, 2, 3);
        assertThat(file.mesh().flaws().open()).isEqualTo(4);
        assertThat(file.middle().distance(new Vector3D(0.005, 0.01, 0))).isLessThan(1e-9);
    }

    @Test
    void leavesOutWhatHasNoAreaAndSaysHowMuch() throws IOException {
        double[][][] more = {CORNER[0], {{1, 1, 1}, {1, 1, 1.001}, {2, 2, 2}}};
        MeshFile file = read(binary(more, 2), "mm");
        assertThat(file.mesh().size()).isEqualTo(1);
        assertThat(file.dropped()).isEqualTo(1);
    }

    private static void refused(byte[] bytes, String unit, String... says) {
        assertThatThrownBy(() -> read(bytes, unit))
                .isInstanceOf(EnthalpaFault.class)
                .satisfies(e -> {
                    for (String part : says) {
                        assertThat(e.getMessage() + " " + ((EnthalpaFault) e).remedy())
                                .contains(part);
                    }
                });
    }

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }

    @Test
    void refusesWhatCannotBeByItsPlace() {
        refused(binary(CORNER, 4), "", "unit of the file: none", "one of mm, cm, m, in, ft");
        refused(binary(CORNER, 4), "furlong", "\"furlong\"");
        refused(binary(CORNER, 5_000_000), "mm", "triangles of the file is 5 000 000", "1 and 200 000");
        refused(binary(CORNER, 5), "mm", "ends after 4 of 5 triangles");
        double[][][] holed = {CORNER[0], {{0, 0, 0}, {Double.NaN, 0, 0}, {1, 1, 1}}};
        refused(binary(holed, 2), "mm", "triangle 2: a place that is no number");
        refused(ascii(text(CORNER).replace("30.0", "nan?")), "mm", "line 13: \"nan?\" is no number");
        refused(ascii("v 0 0 0\nv 0 0 1\nf 1 2 3\n"), "mm", "line 3: corner 3 of 2");
        refused(ascii("v 0 0 0\nv 0 0 1\nf 1 2\n"), "mm", "line 3: a face of 2 corners");
        refused(ascii("hello"), "mm", "no triangle in it");
        refused(new byte[0], "mm", "it is empty");
        refused(new byte[] {1, 2, 3}, "mm", "neither text nor");
        refused(binary(CORNER, 4), "m", "longest side of what is in the file is 30.00 m", "really in m?");
        double[][][] lost = {{{0, 0, 0}, {0, 1e9, 0}, {0, 0, 1}}};
        refused(binary(lost, 1), "mm", "a place 1000000 m from the origin", "really in mm?");
    }

    private static ObjectNode withMesh() throws IOException {
        ObjectNode tree = (ObjectNode)
                BuildFile.parse(Files.readString(Path.of("../server/src/main/resources/demo/juniper.json")));
        ObjectNode row = tree.withObject("room").withArray("obstacles").insertObject(0);
        MeshFile file = read(binary(CORNER, 4), "cm");
        io.enthalpa.core.room.Obstacle scan = new io.enthalpa.core.room.Obstacle(
                "scan",
                io.enthalpa.core.room.Nature.BODY,
                "body",
                java.util.OptionalDouble.empty(),
                new ObstacleShape.Surface(file.mesh(), file.middle(), 0.5, 0, 0, false),
                java.util.Optional.empty());
        row.setAll(io.enthalpa.formats.document.BuildDocument.tree(scan));
        return tree;
    }

    @Test
    void goesWithTheBuildAndComesBackToAHundredthOfAMillimetre() throws IOException {
        ObjectNode tree = withMesh();
        Build build = BuildFile.read(tree);
        ObstacleShape.Surface surface = (ObstacleShape.Surface)
                build.room().orElseThrow().obstacles().get(0).shape();
        double[] points = surface.mesh().points();
        assertThat(points[3]).isCloseTo(-0.05, within(1e-5));
        assertThat(points[4]).isCloseTo(0.1, within(1e-5));
        assertThat(surface.mesh().triangles()).containsExactly(0, 1, 2, 0, 2, 3, 0, 3, 1, 2, 1, 3);
        assertThat(BuildFile.tree(build).at("/room/obstacles/0/triangles"))
                .isEqualTo(tree.at("/room/obstacles/0/triangles"));
    }

    @Test
    void aTextThatIsNoTrianglesIsRefusedByItsObstacle() throws IOException {
        ObjectNode tree = withMesh();
        String whole = tree.at("/room/obstacles/0/triangles").stringValue();
        for (String text : new String[] {"AAAA", "not base 64!", whole.substring(0, whole.length() / 8 * 4)}) {
            ((ObjectNode) tree.at("/room/obstacles/0")).put("triangles", text);
            assertThatThrownBy(() -> BuildFile.read(tree))
                    .isInstanceOf(EnthalpaFault.class)
                    .hasMessageContaining("scan, triangles: not readable as triangles");
        }
    }

    @Test
    void saysWhatASurfaceIs() throws IOException {
        assertThat(MeshWords.of(read(binary(CORNER, 4), "mm").mesh(), false))
                .isEqualTo("4 triangles: closed, and full inside.");
        assertThat(MeshWords.of(read(text(new double[][][] {CORNER[0]}), "mm").mesh(), false))
                .isEqualTo("1 triangle, 3 edges open: gaps to it are true, but nothing counts as inside it.");
    }
}
