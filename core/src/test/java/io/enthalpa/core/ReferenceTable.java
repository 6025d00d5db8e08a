package io.enthalpa.core;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** A published table from the test resources: first line its source, second its columns. */
public final class ReferenceTable {
    private ReferenceTable() {}

    /** @return each row by column name */
    public static List<Row> rows(String name) {
        try (BufferedReader in = new BufferedReader(new InputStreamReader(
                ReferenceTable.class.getResourceAsStream("/reference/" + name), StandardCharsets.UTF_8))) {
            List<String> lines =
                    in.lines().filter(line -> !line.startsWith("#")).toList();
            String[] columns = lines.get(0).split(",");
            return lines.stream()
                    .skip(1)
                    .map(line -> Row.of(columns, line.split(",")))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public record Row(Map<String, String> cells) {
        static Row of(String[] columns, String[] cells) {
            Map<String, String> row = new HashMap<>();
            for (int i = 0; i < columns.length; i++) {
                row.put(columns[i], cells[i]);
            }
            return new Row(row);
        }

        public double get(String column) {
            return Double.parseDouble(cells.get(column));
        }

        public String text(String column) {
            return cells.get(column);
        }

        @Override
        public String toString() {
            return cells.toString();
        }
    }
}
