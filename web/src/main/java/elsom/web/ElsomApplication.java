package elsom.web;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts Elsom. */
@SpringBootApplication
public class ElsomApplication {
    public static void main(String[] arguments) {
        SpringApplication.run(ElsomApplication.class, arguments);
    }
}
