package io.enthalpa.server.builds;

import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** Puts the invented demo builds into an empty store when the server was started as a demo. */
@Component
class DemoBuilds implements ApplicationRunner {
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
            builds.createAll(DemoFiles.all(), "demo build");
            told.publishEvent(new DemoMade());
        }
    }
}
