package io.enthalpa.formats.document;

import io.enthalpa.core.room.Nature;
import io.enthalpa.core.room.ObstacleShape;
import org.jspecify.annotations.Nullable;

@Part(
        value = "room/obstacle",
        says = "a surface of triangles from a file, its middle at a place, then turned about that",
        named = true)
record MeshObstacle(
        @Kind("mesh") String kind,
        String name,
        Nature nature,
        @Nullable String carrier,
        @Nullable Double gap_mm,
        @Called("moving it") @Nullable Moving move,
        double back_mm,
        double right_mm,
        double up_mm,
        @Nullable Double turned_deg,
        @Nullable Double tipped_deg,
        @Nullable Double leaned_deg,
        @Nullable Boolean skin,
        @Packed String triangles,
        @Nullable String id)
        implements ObstacleDocument, PlaceInRoom, TurnedInRoom {
    @Override
    public ObstacleShape shape(Place at) {
        try {
            return new ObstacleShape.Surface(
                    MeshText.read(triangles), vector(), turned(), tipped(), leaned(), Boolean.TRUE.equals(skin));
        } catch (IllegalArgumentException e) {
            throw at.malformed("triangles", "not readable as triangles", "the text that a file was taken in as");
        }
    }
}
