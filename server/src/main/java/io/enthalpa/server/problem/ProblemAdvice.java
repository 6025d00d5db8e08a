package io.enthalpa.server.problem;

import io.enthalpa.core.fault.EnthalpaFault;
import java.net.URI;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
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
        return problem(HttpStatus.BAD_REQUEST, "unreadable", "Not readable", "The request is not the JSON it should be.");
    }

    @ExceptionHandler
    ProblemDetail mistyped(TypeMismatchException mistyped) {
        return problem(HttpStatus.BAD_REQUEST, "unreadable", "Not readable", "\"" + mistyped.getValue() + "\" is not what belongs in this address.");
    }

    @ExceptionHandler
    ProblemDetail missing(NoResourceFoundException missing) {
        return problem(HttpStatus.NOT_FOUND, "not-there", "Not there", "There is nothing at this address.");
    }

    @ExceptionHandler
    ProblemDetail other(Exception failure) {
        if (failure instanceof ErrorResponse known) {
            return known.getBody();
        }
        LOG.error("request failed", failure);
        return problem(HttpStatus.INTERNAL_SERVER_ERROR, "failure", "Failed",
                "Something went wrong inside Enthalpa; nothing was saved. The server's log has the details.");
    }

    private static ProblemDetail problem(HttpStatus status, String type, String title, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setType(URI.create("urn:enthalpa:" + type));
        problem.setTitle(title);
        return problem;
    }
}
