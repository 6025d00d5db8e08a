package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.L;
import static io.enthalpa.formats.document.Suffix.RPM;

import io.enthalpa.core.engine.BlowerType;
import io.enthalpa.core.sizing.CoolingMethod;
import io.enthalpa.core.sizing.NewJob;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** What a new build is asked for. */
@Part(value = "job", says = "what a new build is made from")
public record NewJobDocument(
        @Like(Engine.class) double displacement_L,
        @Like(Engine.class) double maxSpeed_rpm,
        BlowerType blower,

        @Figure(label = "blowers", min = 1, max = 2, usual = 1, help = "two side by side draw their own air")
        int blowers,

        @Like(BuildOptionDocument.class) double boost_kPa,
        CoolingMethod cooled,
        String duty) {

    /** @throws io.enthalpa.core.fault.EnthalpaFault by field, value and what is allowed */
    public static NewJob read(JsonNode tree) {
        Check.check(tree, new Place("", "", Shape.of(NewJobDocument.class)));
        NewJobDocument job = Binding.MAPPER.treeToValue(tree, NewJobDocument.class);
        return new NewJob(
                L.si(job.displacement_L),
                RPM.si(job.maxSpeed_rpm),
                job.blower,
                job.blowers,
                KPA.si(job.boost_kPa),
                job.cooled,
                job.duty);
    }

    public static ObjectNode tree(NewJob job) {
        return Binding.MAPPER.valueToTree(new NewJobDocument(
                L.of(job.displacement()),
                RPM.of(job.limiter()),
                job.blower(),
                job.blowers(),
                KPA.of(job.boost()),
                job.cooling(),
                job.duty()));
    }
}
