package jollytide.server;

import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;

/** The application: API, persistence, accounts, and the web build it serves. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class JollyTide {
    public static void main(String[] args) {
        SpringApplication.run(JollyTide.class, args);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
