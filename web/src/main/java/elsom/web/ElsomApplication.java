package elsom.web;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.scheduling.annotation.EnableScheduling;

/** Starts Elsom. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableScheduling
public class ElsomApplication {
    public static void main(String[] arguments) {
        SpringApplication.run(ElsomApplication.class, arguments);
    }
}
