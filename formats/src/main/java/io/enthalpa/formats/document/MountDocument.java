package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.N;
import static io.enthalpa.formats.document.Suffix.N_MM;

import io.enthalpa.core.room.Carrier;
import io.enthalpa.core.room.Mount;
import org.jspecify.annotations.Nullable;

/** A point at which a body is held: the place of its bolt, and what is between that and the body. */
sealed interface MountDocument extends Named, PlaceInRoom
        permits MountDocument.StrapMount, MountDocument.BobbinMount, MountDocument.TabMount {
    @Nullable
    String carrier();

    @Figure(
            label = "bolt",
            min = 3,
            max = 24,
            usual = 6,
            help = "its diameter; M6 for brackets of coolers, common practice, no source",
            part = "stand/mount")
    double bolt_mm();

    @Nullable
    Boolean existing();

    Mount.Hold hold();

    default Mount core() {
        return new Mount(
                name(),
                carrier() == null ? Carrier.BODY.name() : carrier(),
                vector(),
                MM.si(bolt_mm()),
                Boolean.TRUE.equals(existing()),
                hold());
    }

    @Part(value = "stand/mount", says = "a flat strap from a bolt to the body", named = true)
    record StrapMount(
            @Kind("strap") String kind,
            String name,
            @Nullable String carrier,
            double back_mm,
            double right_mm,
            double up_mm,
            double bolt_mm,
            @Nullable Boolean existing,

            @Figure(label = "strap wide", min = 5, max = 200, usual = 25, help = "of the strap's flat")
            double width_mm,

            @Figure(
                    label = "strap thick",
                    min = 0.5,
                    max = 20,
                    usual = 5,
                    help = "5 mm strap, or 12 to 14 gauge (2.7 to 1.9 mm) with one bend; common practice, no source")
            double thickness_mm,

            Mount.Metal metal,
            @Nullable Boolean standing,
            @Nullable String id)
            implements MountDocument {
        @Override
        public Mount.Hold hold() {
            return new Mount.Strap(MM.si(width_mm), MM.si(thickness_mm), metal, Boolean.TRUE.equals(standing));
        }
    }

    @Part(value = "stand/mount", says = "a rubber bobbin between bolt and body", named = true)
    record BobbinMount(
            @Kind("bobbin") String kind,
            String name,
            @Nullable String carrier,
            double back_mm,
            double right_mm,
            double up_mm,
            double bolt_mm,
            @Nullable Boolean existing,
            Mount.Axis axis,

            @Figure(
                    label = "stiffness along its axis",
                    min = 0.5,
                    max = 5000,
                    usual = 60,
                    help = "on the maker's sheet; a bobbin of 20 mm about 60 to 120 N/mm, value from memory")
            double axial_N_mm,

            @Figure(
                    label = "stiffness across it",
                    min = 0.2,
                    max = 5000,
                    usual = 12,
                    help = "on the maker's sheet; a fifth to an eighth of that along its axis, value from memory")
            double shear_N_mm,

            @Figure(
                    label = "weight it is made for",
                    min = 1,
                    max = 20000,
                    usual = 100,
                    help = "on the maker's sheet, standing; empty where nobody knows")
            @Nullable
            Double load_N,

            @Nullable String id)
            implements MountDocument {
        @Override
        public Mount.Hold hold() {
            return new Mount.Bobbin(
                    axis, N_MM.si(axial_N_mm), N_MM.si(shear_N_mm), N.si(load_N).orElse(0));
        }
    }

    @Part(value = "stand/mount", says = "a lug of the body itself under a bolt", named = true)
    record TabMount(
            @Kind("lug") String kind,
            String name,
            @Nullable String carrier,
            double back_mm,
            double right_mm,
            double up_mm,
            double bolt_mm,
            @Nullable Boolean existing,
            @Nullable Boolean slotted,
            @Nullable String id)
            implements MountDocument {
        @Override
        public Mount.Hold hold() {
            return new Mount.Tab(Boolean.TRUE.equals(slotted));
        }
    }

    static MountDocument of(Mount m) {
        String carrier = m.carrier().equals(Carrier.BODY.name()) ? null : m.carrier();
        double back = MM.of(m.bolt().getX());
        double right = MM.of(m.bolt().getY());
        double up = MM.of(m.bolt().getZ());
        double bolt = MM.of(m.thread());
        Boolean existing = m.existing() ? Boolean.TRUE : null;
        if (m.hold() instanceof Mount.Strap s) {
            return new StrapMount(
                    "strap",
                    m.name(),
                    carrier,
                    back,
                    right,
                    up,
                    bolt,
                    existing,
                    MM.of(s.width()),
                    MM.of(s.thickness()),
                    s.metal(),
                    s.standing() ? Boolean.TRUE : null,
                    null);
        }
        if (m.hold() instanceof Mount.Bobbin b) {
            return new BobbinMount(
                    "bobbin",
                    m.name(),
                    carrier,
                    back,
                    right,
                    up,
                    bolt,
                    existing,
                    b.axis(),
                    N_MM.of(b.axial()),
                    N_MM.of(b.shear()),
                    b.load() == 0 ? null : Double.valueOf(N.of(b.load())),
                    null);
        }
        Boolean slotted = ((Mount.Tab) m.hold()).slotted() ? Boolean.TRUE : null;
        return new TabMount("lug", m.name(), carrier, back, right, up, bolt, existing, slotted, null);
    }
}
