package io.enthalpa.formats.document;

import io.enthalpa.core.chargepath.PathElement;

/** The piece of a build file that an element of a path is. */
final class Pieces implements PathElement.Cases<Piece> {
    @Override
    public Piece filter(PathElement.Filter filter) {
        return FilterPiece.of(filter);
    }

    @Override
    public Piece blower(PathElement.Blower blower) {
        return BlowerPiece.of(blower);
    }

    @Override
    public Piece pipe(PathElement.Pipe pipe) {
        return PipePiece.of(pipe);
    }

    @Override
    public Piece reducer(PathElement.Reducer reducer) {
        return Piece.ReducerPiece.of(reducer);
    }

    @Override
    public Piece joint(PathElement.Joint joint) {
        return Piece.JointPiece.of(joint);
    }

    @Override
    public Piece throttle(PathElement.Throttle throttle) {
        return Piece.ThrottlePiece.of(throttle);
    }

    @Override
    public Piece core(PathElement.Core core) {
        return CorePiece.of(core);
    }

    @Override
    public Piece injection(PathElement.Injection injection) {
        return InjectionPiece.of(injection);
    }

    @Override
    public Piece parallel(PathElement.Parallel pair) {
        return PairPiece.of(pair);
    }

    @Override
    public Piece plenum(PathElement.Plenum plenum) {
        return PlenumPiece.of(plenum);
    }
}
