package famulus.server.platform;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * The scripts, styles and fonts that the interface is built into. Each has its content in its name, so a browser keeps
 * it for a year without asking again (RFC 8246); the page that names them is asked for each time.
 */
@Configuration
class BuiltFiles implements WebMvcConfigurer {
    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)).immutable())
                .resourceChain(true);
    }
}
