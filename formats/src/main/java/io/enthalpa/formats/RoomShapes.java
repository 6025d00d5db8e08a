package io.enthalpa.formats;

import io.enthalpa.core.fit.Body;
import io.enthalpa.core.fit.Fit;
import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.Obstacle;
import io.enthalpa.core.room.RoomSpec;
import io.enthalpa.core.room.Stand;
import io.enthalpa.core.space.Facets;
import io.enthalpa.core.space.Solid;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.hipparchus.geometry.euclidean.threed.Vector3D;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * A room and the bodies in it as shapes for other programs: STL (binary) and OBJ in millimetres along the room's axes, GLB in metres, its y up
 * and its z to the front, as that format wants it. Planes have no end and are left out. GLB is written here: a list of numbers behind a page of
 * JSON; libraries for it bring a second JSON library along.
 */
public final class RoomShapes {
    private static final int GLB_MAGIC = 0x46546C67;
    private static final int GLB_JSON = 0x4E4F534A;
    private static final int GLB_BIN = 0x004E4942;
    private static final int FLOATS = 5126;
    private static final int INTEGERS = 5125;
    private static final int VERTICES = 34962;
    private static final int INDICES = 34963;

    /** @param place of it in the answer, "/stands/0", "/room/obstacles/3" @param role "body", "structure" or "obstacle" */
    private record Thing(String name, String place, String role, List<Facets> parts) {}

    private final List<Thing> things = new ArrayList<>();

    private RoomShapes() {}

    public static RoomShapes of(Fit fit, RoomSpec room) {
        RoomShapes shapes = new RoomShapes();
        for (int k = 0; k < fit.solids().size(); k++) {
            Obstacle o = room.obstacles().get(k);
            if (fit.solids().get(k).half().isEmpty()) {
                String role = o.nature() == Nature.STRUCTURE ? "structure" : "obstacle";
                shapes.add(o.name(), "/room/obstacles/" + k, role, fit.solids().get(k));
            }
        }
        for (Body body : fit.bodies()) {
            shapes.add(body.name(), place(body), "body", body.solid());
        }
        return shapes;
    }

    /** @return where it stands in its option, "/stands/0" */
    public static String place(Body body) {
        return (body.stand().what() == Stand.What.PIPE ? "/runs/" : "/stands/") + body.index();
    }

    private void add(String name, String place, String role, Solid solid) {
        things.add(new Thing(name, place, role, Facets.of(solid)));
    }

    private static Vector3D normal(Facets facets, int[] t) {
        Vector3D a = facets.points().get(t[0]);
        Vector3D n = facets.points()
                .get(t[1])
                .subtract(a)
                .crossProduct(facets.points().get(t[2]).subtract(a));
        return n.getNorm() == 0 ? Vector3D.ZERO : n.normalize();
    }

    /** @return binary, mm */
    public byte[] stl() {
        List<Facets> all = things.stream().flatMap(t -> t.parts.stream()).toList();
        int count = all.stream().mapToInt(f -> f.triangles().size()).sum();
        ByteBuffer out = ByteBuffer.allocate(84 + 50 * count).order(ByteOrder.LITTLE_ENDIAN);
        out.put("room and bodies, mm".getBytes(StandardCharsets.US_ASCII));
        out.position(80);
        out.putInt(count);
        for (Facets facets : all) {
            for (int[] t : facets.triangles()) {
                put(out, normal(facets, t), 1);
                for (int corner : t) {
                    put(out, facets.points().get(corner), 1000);
                }
                out.putShort((short) 0);
            }
        }
        return out.array();
    }

    private static void put(ByteBuffer out, Vector3D v, double scale) {
        out.putFloat((float) (scale * v.getX()));
        out.putFloat((float) (scale * v.getY()));
        out.putFloat((float) (scale * v.getZ()));
    }

    /** @return mm, a group for each thing */
    public String obj() {
        StringBuilder out = new StringBuilder("# millimetres: x rearward, y to the right as one sits, z up\n");
        int before = 1;
        for (Thing thing : things) {
            out.append("o ").append(thing.name.strip().replaceAll("\\s+", "_")).append('\n');
            for (Facets facets : thing.parts) {
                for (Vector3D p : facets.points()) {
                    out.append(String.format(
                                    Locale.ROOT,
                                    "v %.4f %.4f %.4f\n",
                                    1000 * p.getX(),
                                    1000 * p.getY(),
                                    1000 * p.getZ())
                            .replace("-0.0000", "0.0000"));
                }
                for (int[] t : facets.triangles()) {
                    out.append("f ")
                            .append(before + t[0])
                            .append(' ')
                            .append(before + t[1])
                            .append(' ')
                            .append(before + t[2])
                            .append('\n');
                }
                before += facets.points().size();
            }
        }
        return out.toString();
    }

    /** @return metres, y up, front to z; a node for each thing, its place and role as extras */
    public byte[] glb() {
        return new Glb().write();
    }

    private final class Glb {
        private final ByteArrayOutputStream binary = new ByteArrayOutputStream();
        private final ObjectNode root = JsonMapper.shared().createObjectNode();
        private final ArrayNode views = root.putArray("bufferViews");
        private final ArrayNode accessors = root.putArray("accessors");
        private final ArrayNode meshes = root.putArray("meshes");
        private final ArrayNode nodes = root.putArray("nodes");

        byte[] write() {
            root.putObject("asset").put("version", "2.0");
            root.put("scene", 0);
            ArrayNode shown = root.putArray("scenes").addObject().putArray("nodes");
            for (Thing thing : things) {
                shown.add(nodes.size());
                node(thing);
            }
            root.putArray("buffers").addObject().put("byteLength", binary.size());
            return packed();
        }

        private void node(Thing thing) {
            ObjectNode node = nodes.addObject();
            node.put("name", thing.name);
            ObjectNode extras = node.putObject("extras");
            extras.put("place", thing.place);
            extras.put("role", thing.role);
            ArrayNode primitives = JsonMapper.shared().createArrayNode();
            for (Facets facets : thing.parts) {
                if (!facets.triangles().isEmpty()) {
                    ObjectNode primitive = primitives.addObject();
                    primitive.putObject("attributes").put("POSITION", positions(facets));
                    primitive.put("indices", indices(facets));
                }
            }
            if (!primitives.isEmpty()) {
                node.put("mesh", meshes.size());
                meshes.addObject().set("primitives", primitives);
            }
        }

        private int positions(Facets facets) {
            ByteBuffer data = ByteBuffer.allocate(12 * facets.points().size()).order(ByteOrder.LITTLE_ENDIAN);
            double[] low = {Double.MAX_VALUE, Double.MAX_VALUE, Double.MAX_VALUE};
            double[] high = {-Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
            for (Vector3D p : facets.points()) {
                float[] there = {(float) -p.getY(), (float) p.getZ(), (float) -p.getX()};
                for (int i = 0; i < 3; i++) {
                    data.putFloat(there[i]);
                    low[i] = Math.min(low[i], there[i]);
                    high[i] = Math.max(high[i], there[i]);
                }
            }
            ObjectNode accessor =
                    accessor(data.array(), VERTICES, FLOATS, facets.points().size(), "VEC3");
            ArrayNode min = accessor.putArray("min");
            ArrayNode max = accessor.putArray("max");
            for (int i = 0; i < 3; i++) {
                min.add((float) low[i]);
                max.add((float) high[i]);
            }
            return accessors.size() - 1;
        }

        private int indices(Facets facets) {
            ByteBuffer data =
                    ByteBuffer.allocate(12 * facets.triangles().size()).order(ByteOrder.LITTLE_ENDIAN);
            facets.triangles().forEach(t -> {
                for (int corner : t) {
                    data.putInt(corner);
                }
            });
            accessor(data.array(), INDICES, INTEGERS, 3 * facets.triangles().size(), "SCALAR");
            return accessors.size() - 1;
        }

        private ObjectNode accessor(byte[] data, int target, int component, int count, String type) {
            ObjectNode view = views.addObject();
            view.put("buffer", 0);
            view.put("byteOffset", binary.size());
            view.put("byteLength", data.length);
            view.put("target", target);
            binary.writeBytes(data);
            ObjectNode accessor = accessors.addObject();
            accessor.put("bufferView", views.size() - 1);
            accessor.put("componentType", component);
            accessor.put("count", count);
            accessor.put("type", type);
            return accessor;
        }

        /** Header, then two chunks, each filled up to four bytes. */
        private byte[] packed() {
            byte[] json = root.toString().getBytes(StandardCharsets.UTF_8);
            int jsonLength = (json.length + 3) / 4 * 4;
            int binLength = (binary.size() + 3) / 4 * 4;
            ByteBuffer out = ByteBuffer.allocate(28 + jsonLength + binLength).order(ByteOrder.LITTLE_ENDIAN);
            out.putInt(GLB_MAGIC).putInt(2).putInt(out.capacity());
            out.putInt(jsonLength).putInt(GLB_JSON).put(json);
            while (out.position() < 20 + jsonLength) {
                out.put((byte) ' ');
            }
            out.putInt(binLength).putInt(GLB_BIN).put(binary.toByteArray());
            return out.array();
        }
    }
}
