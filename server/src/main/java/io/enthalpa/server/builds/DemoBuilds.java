package io.enthalpa.server.builds;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** Puts the invented demo builds into an empty store when the server was started as a demo. */
@Component
class DemoBuilds implements ApplicationRunner {
    private static final List<String> NAMES = List.of("juniper", "pass-van", "saltline", "pilot-launch");
    private final BuildService builds;
    private final ApplicationEventPublisher told;
    private final boolean demo;

    DemoBuilds(BuildService builds, ApplicationEventPublisher told, @Value("${enthalpa.demo:false}") boolean demo) {
        this.builds = builds;
        this.told = told;
        this.demo = demo;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (demo && builds.isEmpty()) {
            builds.createAll(NAMES.stream().map(DemoBuilds::text).toList(), "demo build");
            told.publishEvent(new DemoMade());
        }
    }

    /** @return a build file shipped with the program */
    static String text(String name) {
        try (InputStream in = DemoBuilds.class.getResourceAsStream("/demo/" + name + ".json")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
