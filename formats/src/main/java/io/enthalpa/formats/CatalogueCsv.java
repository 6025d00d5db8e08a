package io.enthalpa.formats;

import de.siegmar.fastcsv.writer.CsvWriter;
import io.enthalpa.core.fault.EnthalpaFault;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * The catalogue as a CSV table: {@code kind, name, note, price, mass_kg}, then one column for each figure by its key in a build file, parts
 * joined by a dot ({@code block.chargeFin.pitch_mm}). A cell that does not belong to a kind stays empty.
 */
public final class CatalogueCsv {
    private static final String WHAT = "catalogue file";
    private static final List<String> FIRST = List.of("kind", "name", "note", "price", "mass_kg");

    private CatalogueCsv() {}

    /**
     * @param text a whole file
     * @return the items in it
     * @throws EnthalpaFault naming line and column when one is refused; then none is taken
     */
    public static List<CatalogueItem> read(String text) {
        CsvTable table = CsvTable.read(WHAT, text);
        for (String needed : List.of("kind", "name")) {
            if (!table.heading().contains(needed)) {
                throw CsvTable.malformed(
                        WHAT,
                        "no column \"" + needed + "\" among " + String.join(", ", table.heading()),
                        "columns " + String.join(", ", FIRST) + " and figures");
            }
        }
        List<CatalogueItem> items = new ArrayList<>();
        for (CsvTable.Row row : table.rows()) {
            try {
                items.add(item(table, row));
            } catch (EnthalpaFault fault) {
                throw fault.at(fault.field(), "%s, line %d: %s".formatted(WHAT, row.line(), fault.label()));
            }
        }
        return items;
    }

    private static CatalogueItem item(CsvTable table, CsvTable.Row row) {
        ObjectNode figures = JsonMapper.shared().createObjectNode();
        String[] first = {"", "", "", "0", "0"};
        for (int i = 0; i < table.heading().size(); i++) {
            String column = table.heading().get(i);
            String cell = row.cell(i);
            int known = FIRST.indexOf(column);
            if (known >= 0) {
                first[known] = cell.isEmpty() ? first[known] : CsvTable.asMeant(cell);
            } else if (!cell.isEmpty()) {
                put(figures, column, cell);
            }
        }
        return new CatalogueItem(
                first[0], first[1], first[2], number("price", first[3]), number("mass_kg", first[4]), figures);
    }

    private static double number(String column, String cell) {
        try {
            return Double.parseDouble(cell.replace(',', '.'));
        } catch (NumberFormatException e) {
            throw CsvTable.malformed(column, "\"" + cell + "\"", "a number");
        }
    }

    /** Keys with a unit, and counts, are numbers; the rest are words. */
    private static void put(ObjectNode node, String column, String cell) {
        int dot = column.indexOf('.');
        if (dot > 0) {
            String part = column.substring(0, dot);
            put(
                    node.get(part) instanceof ObjectNode there ? there : node.putObject(part),
                    column.substring(dot + 1),
                    cell);
        } else if (cell.equals("true") || cell.equals("false")) {
            node.put(column, cell.equals("true"));
        } else if (column.contains("_") || column.equals("outlets")) {
            node.put(column, number(column, cell));
        } else {
            node.put(column, CsvTable.asMeant(cell));
        }
    }

    /** @return a whole file that {@link #read} reads back */
    public static String write(List<CatalogueItem> items) {
        Set<String> columns = new LinkedHashSet<>();
        items.forEach(item -> columns(item.figures(), "", columns));
        StringWriter out = new StringWriter();
        try (CsvWriter csv = CsvWriter.builder().build(out)) {
            List<String> heading = new ArrayList<>(FIRST);
            heading.addAll(columns);
            csv.writeRecord(heading);
            for (CatalogueItem item : items) {
                List<String> cells = new ArrayList<>(List.of(
                        item.kind(),
                        CsvTable.harmless(item.name()),
                        CsvTable.harmless(item.note()),
                        plain(item.price()),
                        plain(item.mass())));
                columns.forEach(column -> cells.add(cell(item.figures(), column)));
                csv.writeRecord(cells);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static void columns(ObjectNode node, String before, Set<String> into) {
        for (Map.Entry<String, JsonNode> e : node.properties()) {
            if (e.getValue() instanceof ObjectNode child) {
                columns(child, before + e.getKey() + ".", into);
            } else if (e.getValue().isValueNode()) {
                into.add(before + e.getKey());
            }
        }
    }

    private static String cell(ObjectNode figures, String column) {
        JsonNode node = figures;
        for (String step : column.split("\\.")) {
            node = node.path(step);
        }
        return node.isMissingNode()
                ? ""
                : node.isNumber() ? plain(node.doubleValue()) : CsvTable.harmless(node.asString(""));
    }

    private static String plain(double value) {
        return new BigDecimal(Double.toString(value)).stripTrailingZeros().toPlainString();
    }
}
