package io.enthalpa.core.fault;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.enthalpa.core.Systems;
import io.enthalpa.core.Ways;
import io.enthalpa.core.coolingair.AirWay;
import io.enthalpa.core.engine.InjectionCooling;
import io.enthalpa.core.engine.InjectionSpec;
import io.enthalpa.core.exchanger.CoreSize;
import io.enthalpa.core.fluid.HumidAir;
import io.enthalpa.core.fluid.WaterVapour;
import io.enthalpa.core.notes.Note;
import io.enthalpa.core.notes.Notes;
import io.enthalpa.core.steady.ChargeSystem;
import io.enthalpa.core.steady.SteadyResult;
import java.util.List;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;

/** A search that comes to no end refuses or marks its answer; it never answers with what it had by then. */
class BudgetTest {
    private static void refused(ThrowingCallable search, String what) {
        assertThatThrownBy(search)
                .isInstanceOf(EnthalpaFault.class)
                .hasMessageContaining(what)
                .satisfies(e -> assertThat(((EnthalpaFault) e).kind()).isEqualTo(FaultKind.NO_SOLUTION));
    }

    @Test
    void searchesThatCannotEndRefuse() {
        refused(() -> HumidAir.DRY.temperatureAtEnthalpy(Double.NaN, 300), "temperature of the air at an enthalpy");
        refused(() -> HumidAir.DRY.isentropicTemperature(300, Double.NaN), "behind a change of pressure");
        refused(() -> WaterVapour.saturationTemperature(Double.NaN), "saturated vapour");
        InjectionSpec spray = new InjectionSpec(0, 1e-6, 1e6, 1e6, -1, 0, 1, 1);
        refused(
                () -> InjectionCooling.of(spray, HumidAir.DRY, 0.1, 350, Double.NaN, 0, 300),
                "temperature behind the spray");
        AirWay way = new AirWay(
                new Ways().spec(),
                List.of(new AirWay.Member(new CoreSize(0.5, 0.3, 0.06), v -> 15 * v * v)),
                300,
                101325,
                HumidAir.DRY);
        refused(() -> way.flow(Double.NaN), "air through the way \"front\"");
    }

    @Test
    void answerThatDidNotSettleSaysSo() {
        ChargeSystem system = Systems.standard().system();
        SteadyResult settled = system.steady(Systems.point(4000, 100, 20));
        assertThat(settled.unsettled()).isZero();
        assertThat(settled.path().residual()).isLessThan(1e-8);
        SteadyResult other = new SteadyResult(
                settled.path(), settled.cores(), settled.prices(), settled.loops(), settled.ways(), 0.4);
        assertThat(Notes.about(system, other)).anySatisfy(note -> {
            assertThat(note.kind()).isEqualTo(Note.Kind.NOT_SETTLED);
            assertThat(note.value()).isEqualTo(0.4);
        });
        assertThat(Notes.about(system, settled))
                .noneMatch(note -> note.kind() == Note.Kind.NOT_SETTLED || note.kind() == Note.Kind.NOT_AGREED);
    }
}
