package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.enthalpa.core.build.Answer;
import io.enthalpa.core.build.Build;
import io.enthalpa.core.endurance.Trace;
import io.enthalpa.core.telemetry.Channel;
import io.enthalpa.core.telemetry.LoggedLoad;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

class TraceFileTest {
    private static final Build BUILD = BuildFile.read("""
            {"format": "enthalpa-build", "version": 3, "name": "Bench", "summary": "",
             "engine": {"displacement_L": 2, "cylinders": 4, "volumetricEfficiency_pct": 92, "maxSpeed_rpm": 7000},
             "climate": {"airTemperature_C": 30, "altitude_m": 0, "humidity_pct": 40},
             "targets": {"intake_C": 50, "timingPull_C": 65}, "fullLoad": {"engineSpeed_rpm": 6000, "roadSpeed_km_h": 120},
             "bay": {"standing_K": 45, "rolling_K": 14, "settles_s": 240},
             "duty": {"name": "d", "boostFollowsBrief": true, "startAbove_K": 5, "repeats": 2, "wait_s": 60, "rows": [
               {"time_s": 0, "engineSpeed_rpm": 2000, "boost_kPa": 0, "roadSpeed_km_h": 0}, {"time_s": 10, "engineSpeed_rpm": 6000, "boost_kPa": 90, "roadSpeed_km_h": 120}]},
             "options": [{"letter": "A", "name": "first", "boost_kPa": 90, "path": [
               {"kind": "filter", "name": "filter", "bore_mm": 76, "loss_kPa": 1.5, "flow_kg_s": 0.15, "heatGain_K": 3},
               {"kind": "blower", "name": "screw, big", "type": "screw", "efficiency_pct": 70, "maxPressureRatio": 3, "outletBore_mm": 63},
               {"kind": "pipe", "name": "pipe", "material": "steel", "bore_mm": 63, "length_mm": 800, "bends": []},
               {"kind": "plenum", "name": "plenum", "bore_mm": 63}]}]}""");

    @Test
    void csvHoldsEveryStepOfTheTrace() {
        Trace trace = new Answer(BUILD, "A").soak();
        CsvTable table = CsvTable.read("trace", TraceFile.csv(trace));
        assertThat(table.heading())
                .contains("time_s", "intake_C", "shown_C", "bay_C", "screw, big out_C", "pipe wall_C", "plenum_kPa");
        assertThat(table.rows()).hasSize(trace.length());
        int intake = table.heading().indexOf("intake_C");
        for (int i : List.of(0, trace.length() / 2, trace.length() - 1)) {
            assertThat(Double.parseDouble(table.rows().get(i).cell(intake)))
                    .isCloseTo(trace.intake()[i] - 273.15, within(6e-4));
        }
        int off = 0;
        while (trace.flow()[off] > 0) {
            off++;
        }
        assertThat(table.rows().get(off).cell(table.heading().indexOf("plenum_kPa")))
                .as("no station while the engine stands")
                .isEmpty();
    }

    @Test
    void csvTellsWhatWaterPumpChillerAndFanDo() {
        Trace trace = new Answer(BuildFile.read(ColdSideFileTest.SAMPLE), "A").soak();
        CsvTable table = CsvTable.read("trace", TraceFile.csv(trace));
        assertThat(table.heading())
                .contains(
                        "loss_kPa",
                        "brick effectiveness_pct",
                        "brick coolant out_C",
                        "brick water_L_min",
                        "brick tank_C",
                        "brick pump",
                        "brick chiller",
                        "brick chiller_W",
                        "brick radiator air_m_s",
                        "front fan");
        int i = trace.length() - 1;
        assertThat(table.heading())
                .as("a core's own columns stand for the stations before and behind it")
                .doesNotHaveDuplicates();
        CsvTable.Row end = table.rows().get(i);
        assertThat(end.cell(table.heading().indexOf("brick pump"))).isEqualTo("1");
        assertThat(Double.parseDouble(end.cell(table.heading().indexOf("brick effectiveness_pct"))))
                .isCloseTo(100 * trace.core().recovered(trace.outside(), i), within(0.006));
        assertThat(Double.parseDouble(end.cell(table.heading().indexOf("brick water_L_min"))))
                .isCloseTo(trace.core().cold().water()[i] * 60e3, within(6e-4))
                .isPositive();
    }

    @Test
    void piecesOfOneNameAreToldApart() {
        ObjectNode tree = BuildFile.tree(BUILD);
        ArrayNode path = (ArrayNode) tree.at("/options/0/path");
        path.insert(3, path.get(2).deepCopy());
        Trace trace = new Answer(BuildFile.read(tree), "A").soak();
        assertThat(CsvTable.read("trace", TraceFile.csv(trace)).heading())
                .doesNotHaveDuplicates()
                .contains("pipe wall_C", "pipe wall_C 2");
        assertThat(BuildFile.parse(TraceFile.json(trace)).get("columns").size())
                .isEqualTo(
                        CsvTable.read("trace", TraceFile.csv(trace)).heading().size());
    }

    @Test
    void jsonHoldsTheSame() {
        Trace trace = new Answer(BUILD, "A").soak();
        JsonNode columns = BuildFile.parse(TraceFile.json(trace)).get("columns");
        assertThat(columns.get("time_s").size()).isEqualTo(trace.length());
        assertThat(columns.get("intake_C").get(trace.length() - 1).doubleValue())
                .isCloseTo(trace.intake()[trace.length() - 1] - 273.15, within(6e-4));
        assertThat(columns.get("plenum_kPa")).anyMatch(JsonNode::isNull);
    }

    @Test
    void exportedTraceReadsBackAsADuty() {
        Trace trace = new Answer(BUILD, "A").soak();
        DutyCsv.Imported duty = DutyCsv.read(
                new java.io.StringReader(TraceFile.csv(trace)),
                java.util.Map.of(),
                new LoggedLoad(java.util.Optional.empty(), 101e3, 90e3, 7000 * Math.PI / 30));
        assertThat(duty.read()).isEqualTo(trace.length());
        assertThat(duty.columns().get(Channel.BOOST).heading()).isEqualTo("boost_kPa");
        assertThat(duty.rows().get(duty.rows().size() - 1).boost()).isCloseTo(90e3, within(2e3));
    }
}
