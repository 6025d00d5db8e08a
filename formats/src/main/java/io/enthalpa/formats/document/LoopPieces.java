package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.L_MIN;
import static io.enthalpa.formats.document.Suffix.MM;
import static io.enthalpa.formats.document.Suffix.PCT;
import static io.enthalpa.formats.document.Suffix.RPM;

import io.enthalpa.core.waterloop.HoseMake;
import io.enthalpa.core.waterloop.LoopPiece;
import io.enthalpa.core.waterloop.PumpSpec;
import io.enthalpa.formats.document.LoopPieceDocument.ChillerPiece;
import io.enthalpa.formats.document.LoopPieceDocument.CoreSidePiece;
import io.enthalpa.formats.document.LoopPieceDocument.CurvePoint;
import io.enthalpa.formats.document.LoopPieceDocument.FittingPiece;
import io.enthalpa.formats.document.LoopPieceDocument.HosePiece;
import io.enthalpa.formats.document.LoopPieceDocument.PlainPiece;
import io.enthalpa.formats.document.LoopPieceDocument.PumpPiece;

/** The piece of a build file that a piece of a loop is. */
final class LoopPieces implements LoopPiece.Cases<LoopPieceDocument> {
    @Override
    public LoopPieceDocument pump(LoopPiece.Pump p) {
        PumpSpec s = p.spec();
        return new PumpPiece(
                "pump",
                p.name(),
                MM.of(p.height()),
                MM.of(p.bore()),
                p.beside(),
                PCT.of(s.speedShare()),
                RPM.of(s.drivenAt()),
                PCT.of(s.efficiency()),
                s.curve().points().stream()
                        .map(c -> new CurvePoint(L_MIN.of(c.flow()), KPA.of(c.rise()), null))
                        .toList(),
                null);
    }

    @Override
    public LoopPieceDocument hose(LoopPiece.Hose h) {
        return new HosePiece(
                "hose",
                h.name(),
                MM.of(h.height()),
                MM.of(h.bore()),
                h.beside(),
                h.spec().material(),
                MM.of(h.spec().length()),
                PipePiece.Bend.of(h.spec()),
                h.wrap() > 0 ? MM.of(h.wrap()) : null,
                h.make() == HoseMake.PLAIN ? null : h.make(),
                MM.of(h.least()),
                null);
    }

    @Override
    public LoopPieceDocument fitting(LoopPiece.Fitting f) {
        return new FittingPiece(
                f.type(), f.name(), MM.of(f.height()), MM.of(f.bore()), f.beside(), MM.of(f.length()), null);
    }

    @Override
    public LoopPieceDocument coreSide(LoopPiece.CoreSide c) {
        return new CoreSidePiece(
                "core",
                c.name(),
                MM.of(c.height()),
                c.ports().layout(),
                c.ports().feed(),
                c.ports().boss(),
                null);
    }

    @Override
    public LoopPieceDocument radiatorSide(LoopPiece.RadiatorSide r) {
        return plain("radiator", r);
    }

    @Override
    public LoopPieceDocument tank(LoopPiece.Tank t) {
        return plain("tank", t);
    }

    @Override
    public LoopPieceDocument chillerSide(LoopPiece.ChillerSide c) {
        return new ChillerPiece("chiller", c.name(), MM.of(c.height()), KPA.of(c.loss()), L_MIN.of(c.flow()), null);
    }

    @Override
    public LoopPieceDocument source(LoopPiece.Source s) {
        return plain("source", s);
    }

    @Override
    public LoopPieceDocument outfall(LoopPiece.Outfall o) {
        return plain("outfall", o);
    }

    private static LoopPieceDocument plain(String kind, LoopPiece piece) {
        return new PlainPiece(kind, piece.name(), MM.of(piece.height()), null);
    }
}
