package famulus.bench;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** A Spring Boot web application that does nothing: what the demo's start is measured against. */
@SpringBootApplication
public class EmptyApplication {
    /** Starts it and says when it is ready. */
    public static void main(String[] arguments) {
        SpringApplication.run(EmptyApplication.class, arguments);
        System.out.println("ready");
    }
}
