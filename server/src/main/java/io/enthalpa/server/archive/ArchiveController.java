package io.enthalpa.server.archive;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import io.enthalpa.server.builds.BuildArchive;
import io.enthalpa.server.catalogue.CatalogueStock;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedInputStream;
import java.io.BufferedReader;
import java.io.EOFException;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Everything out and in: a ZIP file with {@code archive.json}, a file of JSON lines for each build with its history, and the catalogue as
 * CSV. Read twice, everything is there once. 422 names file and line of what cannot be read.
 */
@RestController
@RequestMapping("/api/archive")
class ArchiveController {
    private static final String FORMAT = "enthalpa-archive";
    private static final String MANIFEST = "archive.json";
    private static final String CATALOGUE = "catalogue.csv";
    /** Bytes of a file inside at most, so that a made-up archive cannot fill the memory. */
    private static final long LARGEST = 4_000_000_000L;

    private static final int LARGEST_CATALOGUE = 8_000_000;
    private final BuildArchive builds;
    private final CatalogueStock catalogue;
    private final Clock clock;

    ArchiveController(BuildArchive builds, CatalogueStock catalogue, Clock clock) {
        this.builds = builds;
        this.catalogue = catalogue;
        this.clock = clock;
    }

    /** How much of a file was new. */
    record ArchiveAnswer(int builds, int revisions, int items) {}

    @GetMapping(produces = "application/zip")
    void write(HttpServletResponse response) throws IOException {
        response.setContentType("application/zip");
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename("enthalpa-all-" + LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC) + ".zip")
                        .build()
                        .toString());
        try (ZipOutputStream zip = new ZipOutputStream(response.getOutputStream())) {
            PrintWriter out = new PrintWriter(new OutputStreamWriter(zip, StandardCharsets.UTF_8));
            zip.putNextEntry(new ZipEntry(MANIFEST));
            out.println(JsonMapper.shared()
                    .createObjectNode()
                    .put("format", FORMAT)
                    .put("version", 1)
                    .put("madeAt", clock.instant().toString())
                    .toPrettyString());
            out.flush();
            for (long build : builds.builds()) {
                zip.putNextEntry(new ZipEntry("builds/%06d.jsonl".formatted(build)));
                builds.write(build, out);
                out.flush();
            }
            zip.putNextEntry(new ZipEntry(CATALOGUE));
            out.print(catalogue.csv());
            out.flush();
        }
    }

    /** The body is the archive itself. */
    @PostMapping(consumes = "application/zip")
    ArchiveAnswer read(HttpServletRequest body) throws IOException {
        int made = 0;
        int revisions = 0;
        int items = 0;
        try (ZipInputStream zip = new ZipInputStream(new BufferedInputStream(body.getInputStream()))) {
            ZipEntry first = zip.getNextEntry();
            if (first == null || !first.getName().equals(MANIFEST)) {
                throw none();
            }
            JsonNode manifest = JsonMapper.shared().readTree(zip.readNBytes(100_000));
            if (!manifest.path("format").asString("").equals(FORMAT)
                    || manifest.path("version").asInt(0) > 1) {
                throw none();
            }
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (entry.getName().startsWith("builds/") && !entry.isDirectory()) {
                    BuildArchive.Taken taken = builds.read(
                            new BufferedReader(new InputStreamReader(new Bounded(zip), StandardCharsets.UTF_8)),
                            "archive, " + entry.getName());
                    made += taken.made() ? 1 : 0;
                    revisions += taken.added();
                } else if (entry.getName().equals(CATALOGUE)) {
                    items = catalogue.take(new String(zip.readNBytes(LARGEST_CATALOGUE), StandardCharsets.UTF_8));
                }
            }
        } catch (ZipException | EOFException | JacksonException | IllegalArgumentException e) {
            throw none();
        }
        return new ArchiveAnswer(made, revisions, items);
    }

    private static EnthalpaFault none() {
        return EnthalpaFault.of(
                FaultKind.MALFORMED, "", "archive", "not readable", "a file saved by \"Export all\"", "");
    }

    /** Ends where one file inside would become too large; closing it leaves the archive open. */
    private static final class Bounded extends FilterInputStream {
        private long left = LARGEST;

        Bounded(InputStream in) {
            super(in);
        }

        @Override
        public int read() throws IOException {
            return --left < 0 ? -1 : super.read();
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            int read = left <= 0 ? -1 : super.read(into, from, (int) Math.min(length, left));
            left -= Math.max(0, read);
            return read;
        }

        @Override
        public void close() {
            // The next file inside is read from the same stream.
        }
    }
}
