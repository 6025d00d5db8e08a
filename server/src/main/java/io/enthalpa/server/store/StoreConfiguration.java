package io.enthalpa.server.store;

import com.zaxxer.hikari.HikariDataSource;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** One H2 database file in the data folder. */
@Configuration(proxyBeanMethods = false)
class StoreConfiguration {

    @Bean(destroyMethod = "close")
    DataSource dataSource(@Value("${enthalpa.data}") String folder) {
        DatabaseFile file = new DatabaseFile(folder);
        file.check();
        HikariDataSource pool = new HikariDataSource();
        pool.setJdbcUrl(file.url());
        pool.setUsername(DatabaseFile.USER);
        pool.setMaximumPoolSize(4);
        return pool;
    }

    @Bean
    FlywayMigrationStrategy migration(@Value("${enthalpa.data}") String folder) {
        return flyway -> new DatabaseFile(folder).migrate(flyway);
    }
}
