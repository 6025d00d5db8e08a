package io.enthalpa.e2e.faults;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Texts and trees that nobody in their right mind sends. */
final class OddBodies {
    private static final JsonMapper JSON = JsonMapper.shared();

    private OddBodies() {}

    static <T> T any(Random random, List<T> list) {
        return list.get(random.nextInt(list.size()));
    }

    static String text(Random random) {
        return any(
                random,
                List.of(
                        "",
                        " ",
                        "x",
                        "\u0000",
                        "=1+1",
                        "<script>",
                        "x".repeat(10_000),
                        "speed,flow,pressure ratio,efficiency\n90000,0.1,2,70\n",
                        "\uD800",
                        "a\nb,c\n1,2",
                        "kind,name\njoint,x\n",
                        "9".repeat(400),
                        "speed,flow,pressure ratio,efficiency\nNaN,NaN,NaN,NaN\n",
                        "\"",
                        "kind;name;price\njoint;x;NaN\n"));
    }

    static String broken(String text, Random random) {
        return switch (random.nextInt(4)) {
            case 0 -> text.substring(0, random.nextInt(text.length()));
            case 1 -> text;
            case 2 ->
                new StringBuilder(text)
                        .insert(
                                random.nextInt(text.length()),
                                any(random, List.of("{", "\"", ",", "\u0000", "9".repeat(500), "null")))
                        .toString();
            default ->
                text.replaceFirst(
                        "\\d+",
                        any(random, List.of("1e999", "-0", "NaN", "9".repeat(400), "0.0000000000000000000001")));
        };
    }

    /** Takes out, empties, turns or doubles one thing anywhere in a tree. */
    static void change(JsonNode root, Random random) {
        JsonNode node = root;
        for (int depth = random.nextInt(9); depth > 0 && node.size() > 0; depth--) {
            List<JsonNode> children = new ArrayList<>();
            node.forEach(children::add);
            JsonNode child = any(random, children);
            if (!child.isContainer()) {
                break;
            }
            node = child;
        }
        if (node instanceof ObjectNode object && !object.isEmpty()) {
            String key = any(random, List.copyOf(object.propertyNames()));
            switch (random.nextInt(4)) {
                case 0 -> object.remove(key);
                case 1 -> object.set(random.nextBoolean() ? key : "unheardOf", value(random));
                default -> object.set(key, value(random));
            }
        } else if (node instanceof ArrayNode array && !array.isEmpty()) {
            int at = random.nextInt(array.size());
            switch (random.nextInt(4)) {
                case 0 -> array.remove(at);
                case 1 -> array.insert(at, array.get(at).deepCopy());
                case 2 -> array.set(at, value(random));
                default -> array.removeAll();
            }
        }
    }

    static JsonNode value(Random random) {
        return switch (random.nextInt(14)) {
            case 0 -> JSON.getNodeFactory().nullNode();
            case 1 -> JSON.createObjectNode();
            case 2 -> JSON.createArrayNode();
            case 3 -> JSON.getNodeFactory().stringNode(text(random));
            case 4 -> JSON.getNodeFactory().numberNode(-1);
            case 5 -> JSON.getNodeFactory().numberNode(0);
            case 6 -> JSON.getNodeFactory().numberNode(1e308);
            case 7 -> JSON.getNodeFactory().numberNode(Double.MIN_VALUE);
            case 8 -> JSON.getNodeFactory().numberNode(new java.math.BigInteger("9".repeat(400)));
            case 9 -> JSON.getNodeFactory().booleanNode(random.nextBoolean());
            case 10 -> JSON.getNodeFactory().numberNode(random.nextInt(1000));
            case 11 -> JSON.getNodeFactory().numberNode(random.nextDouble() * 100);
            case 12 -> JSON.createArrayNode().addNull().add(1).add("x");
            default -> JSON.getNodeFactory().stringNode("NaN");
        };
    }

    static void log(Odd odd, Random random) {
        StringBuilder query = new StringBuilder("?");
        for (String key : List.of(
                "columns",
                "outside_kPa",
                "boost_kPa",
                "limiter_rpm",
                "ratios",
                "tyre_mm",
                "finalDrive",
                "changeUp_rpm",
                "idle_rpm")) {
            if (random.nextInt(8) > 0) {
                String value = random.nextInt(4) > 0
                        ? switch (key) {
                            case "columns" -> any(random, List.of("", "TIME:0:s,BOOST:1:kPa,ENGINE_SPEED:2:rpm"));
                            case "ratios" -> "3.4,2,1.35,1";
                            case "outside_kPa" -> "100";
                            case "boost_kPa" -> "90";
                            case "tyre_mm" -> "2000";
                            case "finalDrive" -> "3.9";
                            default -> "6000";
                        }
                        : any(
                                random,
                                List.of(
                                        "NaN",
                                        "Infinity",
                                        "-1",
                                        "1e309",
                                        "x",
                                        "",
                                        "0",
                                        "TIME:99:s",
                                        "TIME:-1:s",
                                        "TIME:0:parsec",
                                        "1,,2",
                                        "NaN,1"));
                query.append(key)
                        .append('=')
                        .append(URLEncoder.encode(value, StandardCharsets.UTF_8))
                        .append('&');
            }
        }
        odd.path = "/api/duties/log" + query;
        odd.headers.set(1, "text/csv");
        StringBuilder csv = new StringBuilder(any(
                random,
                List.of(
                        "Time [s],Boost [kPa],RPM,Note\n",
                        "t;p;n\n",
                        "",
                        "Time,Time,Boost\n",
                        "a,".repeat(16_000) + "\n",
                        "\uFEFFTime\tBoost\tRPM\n")));
        int rows = random.nextInt(60);
        for (int i = 0; i < rows; i++) {
            csv.append(
                            random.nextInt(20) == 0
                                    ? any(random, List.of("NaN", "", "x", "1e400", "-", "\""))
                                    : String.valueOf(i))
                    .append(',')
                    .append(
                            random.nextInt(20) == 0
                                    ? any(random, List.of("NaN", "", "Infinity", "9".repeat(400)))
                                    : String.valueOf(random.nextInt(90)))
                    .append(',')
                    .append(1000 + 100 * i)
                    .append(',')
                    .append(any(random, List.of("ok", "NaN", "bad cell", "")))
                    .append('\n');
        }
        odd.body = csv.toString();
    }
}
