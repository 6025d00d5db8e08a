package io.enthalpa.formats.document;

import static io.enthalpa.formats.document.Suffix.KM_H;
import static io.enthalpa.formats.document.Suffix.KPA;
import static io.enthalpa.formats.document.Suffix.RPM;

import io.enthalpa.core.duty.DutyPiece;
import io.enthalpa.formats.document.DutyPieceDocument.DrivenPiece;

/** The piece of a build file that a piece of a duty is. */
final class DutyPieces implements DutyPiece.Cases<DutyPieceDocument> {
    @Override
    public DutyPieceDocument hold(DutyPiece.Hold p) {
        return new DrivenPiece(
                "hold", p.seconds(), KM_H.of(p.roadSpeed()), RPM.of(p.engineSpeed()), KPA.of(p.boost()), null);
    }

    @Override
    public DutyPieceDocument ramp(DutyPiece.Ramp p) {
        return new DrivenPiece(
                "ramp", p.seconds(), KM_H.of(p.roadSpeed()), RPM.of(p.engineSpeed()), KPA.of(p.boost()), null);
    }

    @Override
    public DutyPieceDocument pull(DutyPiece.Pull p) {
        return new DrivenPiece(
                "pull", p.seconds(), KM_H.of(p.roadSpeed()), RPM.of(p.engineSpeed()), KPA.of(p.boost()), null);
    }

    @Override
    public DutyPieceDocument brake(DutyPiece.Brake p) {
        return new DutyPieceDocument.BrakePiece("brake", p.seconds(), KM_H.of(p.roadSpeed()), null);
    }

    @Override
    public DutyPieceDocument climb(DutyPiece.Climb p) {
        return new DutyPieceDocument.ClimbPiece(
                "climb", p.length(), KM_H.of(p.roadSpeed()), RPM.of(p.engineSpeed()), KPA.of(p.boost()), null);
    }

    @Override
    public DutyPieceDocument wait(DutyPiece.Wait p) {
        return new DutyPieceDocument.WaitPiece("wait", p.seconds(), p.idling(), null);
    }

    @Override
    public DutyPieceDocument repeat(DutyPiece.Repeat p) {
        return new DutyPieceDocument.RepeatPiece("repeat", p.times(), DutyPieceDocument.of(p.pieces()), null);
    }
}
