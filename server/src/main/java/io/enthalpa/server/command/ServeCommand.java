package io.enthalpa.server.command;

import io.enthalpa.server.EnthalpaApplication;
import io.enthalpa.server.problem.StartFault;
import io.enthalpa.server.store.Database;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.boot.web.server.PortInUseException;
import org.springframework.context.ConfigurableApplicationContext;

/** {@code serve} and {@code demo}: checks everything that can be checked first, then starts the server on loopback. */
public final class ServeCommand {
    static final int USUAL_PORT = 8420;

    private ServeCommand() {}

    public static void serve(String[] args) {
        Arguments arguments = new Arguments(args, Set.of("--data", "--port"), Set.of());
        noMore(arguments);
        Path data = directory(arguments
                .value("--data")
                .orElseThrow(() ->
                        new StartFault("serve wants the folder that keeps your builds: enthalpa serve --data DIR")));
        int port = arguments.port().orElse(USUAL_PORT);
        if (port != 0 && !isFree(port)) {
            throw portTaken(port);
        }
        start(data, port, false);
    }

    public static void demo(String[] args) {
        Arguments arguments = new Arguments(args, Set.of("--data", "--port"), Set.of());
        noMore(arguments);
        Path data = arguments.value("--data").map(ServeCommand::directory).orElseGet(ServeCommand::throwAway);
        int port = arguments.port().orElseGet(() -> isFree(USUAL_PORT) ? USUAL_PORT : 0);
        if (port != 0 && !isFree(port)) {
            throw portTaken(port);
        }
        start(data, port, true);
    }

    private static void noMore(Arguments arguments) {
        if (!arguments.rest().isEmpty()) {
            throw new StartFault("\"" + arguments.rest().get(0) + "\" is not understood here. See enthalpa help.");
        }
    }

    private static StartFault portTaken(int port) {
        return new StartFault("port " + port
                + " is taken by another program. Stop that one, or choose another port: --port " + (port + 1));
    }

    private static boolean isFree(int port) {
        try (ServerSocket probe = new ServerSocket()) {
            probe.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
            return true;
        } catch (IOException taken) {
            return false;
        }
    }

    /** @return the folder, made if need be, tried by writing to it */
    private static Path directory(String text) {
        try {
            Path data = Path.of(text).toAbsolutePath();
            if (Files.exists(data) && !Files.isDirectory(data)) {
                throw new StartFault(data + " is a file; --data wants a folder.");
            }
            Files.createDirectories(data);
            Path probe = Files.createTempFile(data, "write-test", null);
            Files.delete(probe);
            return data;
        } catch (FileSystemException e) {
            throw new StartFault(
                    "cannot write to the data folder " + text + ". Choose a folder that you may write to: --data DIR");
        } catch (InvalidPathException | IOException e) {
            throw new StartFault(
                    "cannot use the data folder " + text + " (" + e.getMessage() + "). Choose another: --data DIR");
        }
    }

    private static Path throwAway() {
        try {
            Path data = Files.createTempDirectory("enthalpa-demo");
            // After the store is closed, not beside it.
            SpringApplication.getShutdownHandlers().add(() -> delete(data));
            return data;
        } catch (IOException e) {
            throw new StartFault(
                    "cannot make a temporary folder (" + e.getMessage() + "). Name one: enthalpa demo --data DIR");
        }
    }

    private static void delete(Path folder) {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(file);
            }
        } catch (IOException | UncheckedIOException e) {
            System.err.println("enthalpa: could not remove " + folder);
        }
    }

    private static void start(Path data, int port, boolean demo) {
        try {
            ConfigurableApplicationContext context = new SpringApplicationBuilder(EnthalpaApplication.class)
                    .run("--server.port=" + port, "--enthalpa.data=" + data, "--enthalpa.demo=" + demo);
            String at = context.getEnvironment().getProperty("local.server.port");
            context.getBean(Database.class).folder().runsAt(Integer.parseInt(at));
            System.out.println("Enthalpa is ready: http://127.0.0.1:" + at + "/");
            System.out.println("Builds are kept in " + data + (demo ? " (demo)" : "") + ". Stop with Ctrl+C.");
        } catch (RuntimeException e) {
            throw plain(e, port);
        }
    }

    /** @return the plain refusal inside whatever the framework wrapped around it */
    private static RuntimeException plain(RuntimeException failure, int port) {
        for (Throwable t = failure; t != null; t = t.getCause()) {
            if (t instanceof StartFault fault) {
                return fault;
            }
            if (t instanceof PortInUseException) {
                return portTaken(port);
            }
        }
        return failure;
    }
}
