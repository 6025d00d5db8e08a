package io.enthalpa.server.backup;

import io.enthalpa.server.backup.Backups.Kept;
import io.enthalpa.server.problem.NotThereException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Backups: those kept by themselves, one to save now, and putting one back. 422 when a file is no backup or damaged; then nothing is changed. */
@RestController
@RequestMapping("/api/backups")
class BackupController {
    private final Backups backups;
    private final Clock clock;

    BackupController(Backups backups, Clock clock) {
        this.backups = backups;
        this.clock = clock;
    }

    /** @param setAside where what was there before is now */
    record RestoreAnswer(String setAside) {}

    @GetMapping
    List<Kept> all() {
        return backups.all();
    }

    /** Of this moment, to save. */
    @GetMapping(value = "/now", produces = "application/zip")
    void now(HttpServletResponse response) throws IOException {
        Path scratch = backups.scratch();
        try {
            backups.keep(scratch);
            send(scratch, "enthalpa-" + LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC) + ".zip", response);
        } finally {
            Backups.forget(scratch);
        }
    }

    /** One of those kept by themselves, to save. */
    @GetMapping(value = "/{name}", produces = "application/zip")
    void one(@PathVariable String name, HttpServletResponse response) throws IOException {
        Path file = backups.file(name);
        if (file == null) {
            throw new NotThereException("There is no backup " + name + ".");
        }
        send(file, name, response);
    }

    private static void send(Path file, String name, HttpServletResponse response) throws IOException {
        response.setContentType("application/zip");
        response.setContentLengthLong(Files.size(file));
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment().filename(name).build().toString());
        Files.copy(file, response.getOutputStream());
    }

    /** The body is the backup itself. What is there now is set aside, never removed. */
    @PostMapping(value = "/restore", consumes = "application/zip")
    RestoreAnswer restore(HttpServletRequest body) throws IOException {
        return new RestoreAnswer(
                backups.restore(body.getInputStream(), "The file").toString());
    }
}
