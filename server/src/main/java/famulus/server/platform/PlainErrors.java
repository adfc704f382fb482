package famulus.server.platform;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.core.StandardHost;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** What is answered where no controller could: in our words, never in those of what we are built on. */
@Configuration
class PlainErrors {
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> plainErrorPages() {
        return factory -> factory.addContextCustomizers(
                context -> ((StandardHost) context.getParent()).setErrorReportValveClass(Valve.class.getName()));
    }

    /** For requests that are turned away before they are anybody's, such as an address that is no text. */
    public static final class Valve extends ErrorReportValve {
        @Override
        protected void report(Request request, Response response, Throwable failure) {
            HttpStatus status = HttpStatus.resolve(response.getStatus());
            if (status == null
                    || !status.isError()
                    || response.getContentWritten() > 0
                    || !response.setErrorReported()) {
                return;
            }
            try {
                response.setContentType("text/html");
                response.setCharacterEncoding("UTF-8");
                response.getReporter().write(PlainPage.of(status));
                response.finishResponse();
            } catch (IOException | IllegalStateException gone) {
                // There is nobody to answer any more.
            }
        }
    }

    /** For what failed after all controllers; somebody who just goes to its address finds nothing. */
    @Controller
    static class AtLast implements ErrorController {
        @RequestMapping("/error")
        ResponseEntity<Object> error(HttpServletRequest request) {
            Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
            HttpStatus status = code instanceof Integer known ? HttpStatus.resolve(known) : HttpStatus.NOT_FOUND;
            Object from = request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI);
            return ErrorAnswers.answer(
                    String.valueOf(from), status == null ? HttpStatus.INTERNAL_SERVER_ERROR : status);
        }
    }
}
