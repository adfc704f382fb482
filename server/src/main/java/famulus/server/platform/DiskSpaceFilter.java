package famulus.server.platform;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/** Refuses whatever would change something while there is no room on the disk, before any of it is done. */
@Component
class DiskSpaceFilter extends OncePerRequestFilter {
    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    private final DiskSpace disk;
    private final JsonMapper json;

    DiskSpaceFilter(DiskSpace disk, JsonMapper json) {
        this.disk = disk;
        this.json = json;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return READING.contains(request.getMethod());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (disk.hasRoom()) {
            chain.doFilter(request, response);
            return;
        }
        response.setStatus(HttpStatus.INSUFFICIENT_STORAGE.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        response.getOutputStream()
                .write(json.writeValueAsBytes(
                        ErrorAnswers.problem(HttpStatus.INSUFFICIENT_STORAGE, "disk", DiskSpace.FULL)));
    }
}
