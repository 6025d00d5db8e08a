package io.enthalpa.server.work;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Pages that ask; each says its name in the header X-Page. */
@RestController
@RequestMapping("/api/preview/pages")
class WorkController {
    private final Work work;

    WorkController(Work work) {
        this.work = work;
    }

    /** The page is left: what it asked is dropped in the middle. */
    @DeleteMapping("/{page}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void left(@PathVariable String page) {
        work.leave(page);
    }
}
