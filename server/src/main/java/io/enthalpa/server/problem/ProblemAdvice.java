package io.enthalpa.server.problem;

import io.enthalpa.core.fault.EnthalpaFault;
import java.io.IOException;
import java.net.URI;
import java.util.concurrent.CancellationException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Turns what goes wrong into RFC 9457 problem documents. */
@RestControllerAdvice
class ProblemAdvice {
    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

    @ExceptionHandler
    ProblemDetail refused(EnthalpaFault fault) {
        ProblemDetail problem = problem(HttpStatus.UNPROCESSABLE_CONTENT, "fault", "Refused", fault.sentence());
        problem.setProperty("fault", FaultView.of(fault));
        return problem;
    }

    @ExceptionHandler
    ProblemDetail stale(StaleRevisionException stale) {
        ProblemDetail problem = problem(HttpStatus.CONFLICT, "stale", "Changed in the meantime", stale.getMessage());
        problem.setProperty("theirs", stale.theirs());
        problem.setProperty("yours", stale.yours());
        return problem;
    }

    @ExceptionHandler
    ProblemDetail missing(NotThereException missing) {
        return problem(HttpStatus.NOT_FOUND, "not-there", "Not there", missing.getMessage());
    }

    @ExceptionHandler
    ProblemDetail unreadable(HttpMessageNotReadableException unreadable) {
        return problem(
                HttpStatus.BAD_REQUEST, "unreadable", "Not readable", "The request is not the JSON it should be.");
    }

    @ExceptionHandler
    ProblemDetail mistyped(TypeMismatchException mistyped) {
        return problem(
                HttpStatus.BAD_REQUEST,
                "unreadable",
                "Not readable",
                "\"" + mistyped.getValue() + "\" is not what belongs in this address.");
    }

    @ExceptionHandler
    ProblemDetail missing(NoResourceFoundException missing) {
        return problem(HttpStatus.NOT_FOUND, "not-there", "Not there", "There is nothing at this address.");
    }

    @ExceptionHandler
    ProblemDetail store(StoreFault fault) {
        return switch (fault.kind()) {
            case DAMAGED -> problem(HttpStatus.UNPROCESSABLE_CONTENT, "damaged", "Damaged", fault.getMessage());
            case FULL -> problem(HttpStatus.INSUFFICIENT_STORAGE, "disk", "Disk full", fault.getMessage());
            case READ_ONLY, GONE, FAILING ->
                problem(HttpStatus.SERVICE_UNAVAILABLE, "disk", "Cannot be saved", fault.getMessage());
        };
    }

    @ExceptionHandler
    ProblemDetail busy(BusyException busy) {
        return problem(HttpStatus.SERVICE_UNAVAILABLE, "busy", "Busy", busy.getMessage());
    }

    /** Whoever asked has asked for something newer, or is gone: nobody reads this. */
    @ExceptionHandler
    ProblemDetail superseded(CancellationException superseded) {
        return problem(
                HttpStatus.CONFLICT,
                "superseded",
                "Superseded",
                "A newer question of the same page took the place of this one.");
    }

    /** The reader went away in the middle; there is nobody to tell. */
    @ExceptionHandler
    void gone(AsyncRequestNotUsableException gone) {
        LOG.debug("a reader went away: {}", gone.getMessage());
    }

    @ExceptionHandler
    @Nullable
    ProblemDetail other(Exception failure) {
        if (failure instanceof ErrorResponse known) {
            return known.getBody();
        }
        if (failure instanceof IOException && failure.getClass().getSimpleName().contains("Abort")) {
            LOG.debug("a reader went away: {}", failure.getMessage());
            return null;
        }
        LOG.error("request failed", failure);
        return problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "failure",
                "Failed",
                "Something went wrong inside Enthalpa; nothing was saved. Details are in the file enthalpa.log in the data folder.");
    }

    private static ProblemDetail problem(HttpStatus status, String type, String title, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setType(URI.create("urn:enthalpa:" + type));
        problem.setTitle(title);
        return problem;
    }
}
