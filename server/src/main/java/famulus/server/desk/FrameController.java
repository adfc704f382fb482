package famulus.server.desk;

import famulus.server.team.Colleague;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * The empty page that a message is shown in. Its policy is its own: styles of the message count, scripts, forms and
 * anything from elsewhere do not.
 */
@RestController
class FrameController {
    private static final String POLICY = "default-src 'none'; style-src 'unsafe-inline'; img-src 'self' data:;"
            + " base-uri 'none'; form-action 'none'; frame-ancestors 'self'";

    @GetMapping("/api/desk/frame")
    ResponseEntity<String> frame(Colleague asking) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("text/html;charset=UTF-8"))
                .cacheControl(CacheControl.noStore())
                .header("Content-Security-Policy", POLICY)
                .header("X-Frame-Options", "SAMEORIGIN")
                .body("<!DOCTYPE html><html lang=\"en\"><head><title>Message</title></head><body></body></html>");
    }
}
