package io.enthalpa.formats;

import static org.assertj.core.api.Assertions.assertThat;

import io.enthalpa.core.build.BuildOption;
import io.enthalpa.core.fit.Bodies;
import io.enthalpa.core.fit.Pipework;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A pipe of 300 to the rear, a bend of a right angle upwards and 200 up, written by hand: bends of 90 middle line take 90 of each. Pressed to 50 it is 50 + pi/2 (60.3 - 50) = 66.18 wide. */
class PipesCsvTest {
    private static final String RUN = """
            [{"of": "test pipe", "from": {"back_mm": 0, "right_mm": 10, "up_mm": 0}, "corners": [{"back_mm": 300, "right_mm": 10, "up_mm": 0, "radius_mm": 90}],
              "to": {"back_mm": 300, "right_mm": 10, "up_mm": 200},
              "fittings": [{"kind": "temperature sensor", "at_mm": 120, "clocked_deg": 90}],
              "ovals": [{"at_mm": 60, "length_mm": 30, "height_mm": 50, "clocked_deg": -45, "pressed": true}]}]
            """;

    @Test
    void pointsAndTurnsStandSideBySide() {
        ObjectNode tree = (ObjectNode) BuildFile.parse(ColdSideFileTest.SAMPLE);
        ObjectNode option = (ObjectNode) tree.at("/options/0");
        String name = "test pipe";
        ArrayNode path = (ArrayNode) option.get("path");
        path.insert(path.size() - 1, BuildFile.parse("""
                        {"kind": "pipe", "name": "test pipe", "material": "steel", "outside_mm": 60.3, "length_mm": 500, "bends": []}
                        """));
        option.set("runs", BuildFile.parse(RUN));
        BuildOption read = BuildFile.read(tree).options().get(0);
        Pipework pipes = Pipework.of(read, Bodies.of(read));
        assertThat(PipesCsv.of(pipes.laid()).lines())
                .containsExactly(
                        "pipe,outside_mm,point,back_mm,right_mm,up_mm,straight_mm,turned_deg,bent_deg,radius_mm,along_mm,clocked_deg,hole_mm,flat_for_mm,height_mm,wide_mm",
                        name + ",60.30,begins,0.00,10.00,0.00,,,,,,,,,,",
                        name + ",60.30,corner 1,300.00,10.00,0.00,210.00,0.00,90.00,90.00,,,,,,",
                        name + ",60.30,ends,300.00,10.00,200.00,110.00,,,,,,,,,",
                        name + ",60.30,temperature sensor,120.00,10.00,0.00,,,,,120.00,90.00,12.00,,,",
                        name + ",60.30,made flat,60.00,10.00,0.00,,,,,60.00,-45.00,,30.00,50.00,66.18");
    }
}
