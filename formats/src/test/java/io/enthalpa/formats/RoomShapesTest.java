package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.ObstacleShape;
import io.enthalpa.core.room.RoomSpec;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A box of 100 x 200 x 300, 1 m back and 2 m to the right, and a ground that has no end. */
class RoomShapesTest {
    private static Obstacle of(String name, Nature nature, ObstacleShape shape) {
        return new Obstacle(name, nature, "body", OptionalDouble.empty(), shape, Optional.empty());
    }

    private static RoomShapes room() {
        RoomSpec room = new RoomSpec(
                "",
                List.of(),
                List.of(
                        of(
                                "frame leg",
                                Nature.STRUCTURE,
                                new ObstacleShape.Box(0.95, 1.05, 1.9, 2.1, -0.15, 0.15, 0, 0, 0)),
                        of("ground", Nature.GROUND, new ObstacleShape.Plane(Vector3D.ZERO, 0, 0, false))));
        return RoomShapes.of(Fit.of(new BuildOption("A", "", 1e5, List.of(), List.of()), room), room);
    }

    /** 84 bytes and 50 a triangle; the volume that they enclose is that of the box. */
    @Test
    void stlEnclosesTheBoxInMillimetres() {
        byte[] stl = room().stl();
        assertThat(stl).hasSize(84 + 12 * 50);
        ByteBuffer in = ByteBuffer.wrap(stl).order(ByteOrder.LITTLE_ENDIAN);
        assertThat(in.getInt(80)).isEqualTo(12);
        double sum = 0;
        for (int i = 0; i < 12; i++) {
            Vector3D[] c = new Vector3D[4];
            for (int k = 0; k < 4; k++) {
                int at = 84 + 50 * i + 12 * k;
                c[k] = new Vector3D(in.getFloat(at), in.getFloat(at + 4), in.getFloat(at + 8));
            }
            sum += c[1].dotProduct(c[2].crossProduct(c[3])) / 6;
            Vector3D out = c[2].subtract(c[1]).crossProduct(c[3].subtract(c[1]));
            assertThat(out.normalize().distance(c[0])).isLessThan(1e-6);
        }
        assertThat(sum).isCloseTo(100.0 * 200 * 300, within(1.0));
    }

    @Test
    void objNamesItsThingsAndCountsFromOne() {
        List<String> lines = room().obj().lines().toList();
        assertThat(lines).contains("o frame_leg", "v 950.0000 1900.0000 -150.0000", "v 1050.0000 2100.0000 150.0000");
        assertThat(lines).filteredOn(l -> l.startsWith("v ")).hasSize(8);
        assertThat(lines)
                .filteredOn(l -> l.startsWith("f "))
                .hasSize(12)
                .allSatisfy(l -> assertThat(l.substring(2).split(" "))
                        .allSatisfy(n -> assertThat(Integer.parseInt(n)).isBetween(1, 8)));
    }

    /** The right of the car is to the left in it, the rear behind: x -2.1 to -1.9, y -0.15 to 0.15, z -1.05 to -0.95. */
    @Test
    void glbStandsUprightAndFacesTheFront() {
        byte[] glb = room().glb();
        ByteBuffer in = ByteBuffer.wrap(glb).order(ByteOrder.LITTLE_ENDIAN);
        assertThat(new String(glb, 0, 4, StandardCharsets.US_ASCII)).isEqualTo("glTF");
        assertThat(in.getInt(4)).isEqualTo(2);
        assertThat(in.getInt(8)).isEqualTo(glb.length);
        int length = in.getInt(12);
        JsonNode root = JsonMapper.shared().readTree(new String(glb, 20, length, StandardCharsets.UTF_8));
        assertThat(root.at("/nodes/0/name").asString()).isEqualTo("frame leg");
        assertThat(root.at("/nodes/0/extras/place").asString()).isEqualTo("/room/obstacles/0");
        assertThat(root.at("/nodes/0/extras/role").asString()).isEqualTo("structure");
        assertThat(root.at("/nodes").size()).isEqualTo(1);
        assertThat(floats(root.at("/accessors/0/min"))).containsExactly(-2.1f, -0.15f, -1.05f);
        assertThat(floats(root.at("/accessors/0/max"))).containsExactly(-1.9f, 0.15f, -0.95f);
        assertThat(root.at("/accessors/1/count").asInt()).isEqualTo(36);
        assertThat(root.at("/buffers/0/byteLength").asInt()).isEqualTo(8 * 12 + 36 * 4);
        assertThat(in.getInt(20 + length)).isEqualTo(8 * 12 + 36 * 4);
    }

    private static float[] floats(JsonNode array) {
        float[] all = new float[array.size()];
        for (int i = 0; i < all.length; i++) {
            all[i] = (float) array.get(i).asDouble();
        }
        return all;
    }
}
