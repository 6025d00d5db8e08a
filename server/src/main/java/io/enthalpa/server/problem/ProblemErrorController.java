package io.enthalpa.server.problem;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What goes wrong before or behind any controller, as a problem document; asked for by its own address there is nothing. */
@RestController
class ProblemErrorController implements ErrorController {

    @RequestMapping("/error")
    ResponseEntity<ProblemDetail> error(HttpServletRequest request) {
        HttpStatus status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer code
                ? HttpStatus.resolve(code)
                : HttpStatus.NOT_FOUND;
        HttpStatus known = status == null ? HttpStatus.INTERNAL_SERVER_ERROR : status;
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                known,
                known.is4xxClientError()
                        ? "The request cannot be understood, or there is nothing at this address."
                        : "Something went wrong inside Enthalpa; nothing was saved. Details are in the file enthalpa.log in the data folder.");
        return ResponseEntity.status(known).body(problem);
    }
}
