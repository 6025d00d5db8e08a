package io.enthalpa.server.store;

import java.nio.file.Path;
import java.time.Clock;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** One database in the data folder, open as long as the program runs. */
@Configuration(proxyBeanMethods = false)
class StoreConfiguration {

    @Bean(destroyMethod = "close")
    Database database(@Value("${enthalpa.data}") String folder, Clock clock, ObjectProvider<StoreFiles.Disk> disk) {
        return StoreOpening.open(
                Path.of(folder).toAbsolutePath(), disk.getIfAvailable(() -> StoreFiles.Disk.REAL), clock);
    }
}
