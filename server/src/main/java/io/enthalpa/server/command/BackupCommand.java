package io.enthalpa.server.command;

import io.enthalpa.server.problem.StartFault;
import io.enthalpa.server.problem.StoreFault;
import io.enthalpa.server.store.BackupFile;
import io.enthalpa.server.store.DataFolder;
import java.io.IOException;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import tools.jackson.databind.json.JsonMapper;

/** {@code backup} and {@code restore}: of a data folder, whether or not a server has it open; a running one is asked to do it. */
public final class BackupCommand {
    private BackupCommand() {}

    public static void backup(String[] args) {
        Arguments arguments = new Arguments(args, Set.of("--data"), Set.of());
        Path data = folder(arguments, "backup");
        Path zip = file(arguments, "backup", "my-builds.zip").toAbsolutePath();
        if (Files.isDirectory(zip) || !Files.isDirectory(zip.getParent())) {
            throw new StartFault(zip + " cannot be written: "
                    + (Files.isDirectory(zip) ? "it is a folder" : "there is no folder " + zip.getParent())
                    + ". Give a file.");
        }
        if (!Files.exists(data.resolve("enthalpa.mv.db"))) {
            throw new StartFault("there are no builds in " + data + ".");
        }
        OptionalInt running = DataFolder.running(data);
        try {
            if (running.isPresent()) {
                Path beside = zip.resolveSibling("." + zip.getFileName() + ".part");
                HttpResponse<Path> answer = client().send(
                                request(running.getAsInt(), "/api/backups/now")
                                        .GET()
                                        .build(),
                                HttpResponse.BodyHandlers.ofFile(beside));
                if (answer.statusCode() != 200) {
                    String why = Files.readString(beside);
                    Files.delete(beside);
                    throw refused(why);
                }
                DataFolder.moveDurably(beside, zip);
            } else {
                try (DataFolder folder = DataFolder.take(data)) {
                    BackupFile.keep(folder, folder.file(), zip, Clock.systemUTC());
                }
            }
        } catch (IOException | InterruptedException e) {
            throw new StartFault("the backup could not be made (" + e.getMessage() + ").", e);
        } catch (StoreFault fault) {
            throw new StartFault(fault.getMessage(), fault);
        }
        System.out.println("The builds in " + data + " are backed up in " + zip + ".");
    }

    public static void restore(String[] args) {
        Arguments arguments = new Arguments(args, Set.of("--data"), Set.of());
        Path data = folder(arguments, "restore");
        Path zip = file(arguments, "restore", "my-builds.zip");
        if (!Files.isRegularFile(zip)) {
            throw new StartFault(zip + ": there is no such file.");
        }
        OptionalInt running = DataFolder.running(data);
        Optional<String> aside;
        try {
            if (running.isPresent()) {
                HttpClient client = client();
                client.send(
                        request(running.getAsInt(), "/api/fields").GET().build(),
                        HttpResponse.BodyHandlers.discarding());
                String token = ((CookieManager) client.cookieHandler().orElseThrow())
                        .getCookieStore().getCookies().stream()
                                .filter(c -> c.getName().equals("XSRF-TOKEN"))
                                .findFirst()
                                .orElseThrow(() -> new IOException("the running Enthalpa gives no token"))
                                .getValue();
                HttpResponse<String> answer = client.send(
                        request(running.getAsInt(), "/api/backups/restore")
                                .header("Content-Type", "application/zip")
                                .header("X-XSRF-TOKEN", token)
                                .POST(HttpRequest.BodyPublishers.ofFile(zip))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
                if (answer.statusCode() != 200) {
                    throw refused(answer.body());
                }
                aside = Optional.of(JsonMapper.shared()
                        .readTree(answer.body())
                        .path("setAside")
                        .asString(""));
            } else {
                try (DataFolder folder = DataFolder.take(data);
                        InputStream in = Files.newInputStream(zip)) {
                    aside = Optional.ofNullable(BackupFile.restore(folder, in, zip.toString(), Clock.systemUTC()))
                            .map(Path::toString);
                }
            }
        } catch (IOException | InterruptedException e) {
            throw new StartFault("the backup could not be put back (" + e.getMessage() + "); nothing was changed.", e);
        } catch (StoreFault fault) {
            throw new StartFault(fault.getMessage(), fault);
        }
        System.out.println("The builds of " + zip + " are in " + data + "."
                + aside.map(path -> " What was there before is kept as " + path + ".")
                        .orElse(""));
    }

    private static Path folder(Arguments arguments, String command) {
        return arguments
                .value("--data")
                .map(Path::of)
                .map(Path::toAbsolutePath)
                .orElseThrow(() -> new StartFault(command + " wants the folder that keeps your builds: enthalpa "
                        + command + " FILE --data DIR"));
    }

    private static Path file(Arguments arguments, String command, String example) {
        if (arguments.rest().size() != 1) {
            throw new StartFault("give one file, as in: enthalpa " + command + " " + example + " --data DIR");
        }
        return Path.of(arguments.rest().get(0));
    }

    private static StartFault refused(String problem) {
        return new StartFault(
                JsonMapper.shared().readTree(problem).path("detail").asString("the running Enthalpa refused."));
    }

    private static HttpClient client() {
        return HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    }

    private static HttpRequest.Builder request(int port, String path) {
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path));
    }
}
