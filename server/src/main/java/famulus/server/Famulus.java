package famulus.server;

import famulus.server.platform.FamulusProperties;
import famulus.server.platform.Launch;
import org.apache.ibatis.annotations.Mapper;
import org.mybatis.spring.annotation.MapperScan;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.EnableConfigurationProperties;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The application. {@code famulus demo} starts it with made-up data, {@code famulus run} for real use. */
@SpringBootApplication
@EnableConfigurationProperties(FamulusProperties.class)
@EnableScheduling
@MapperScan(basePackages = "famulus.server", annotationClass = Mapper.class)
public class Famulus {
    /** Starts the application; see {@link Launch} for the arguments. */
    public static void main(String[] arguments) {
        Launch.start(Famulus.class, arguments);
    }
}
