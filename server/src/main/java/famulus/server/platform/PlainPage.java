package famulus.server.platform;

import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** The page that stands in for one that can't be shown: a sentence, and a way on. It needs nothing that might be broken. */
final class PlainPage {
    private static final String PAGE =
            """
            <!DOCTYPE html>
            <html lang="en">
            <head>
            <meta charset="UTF-8">
            <meta name="viewport" content="width=device-width, initial-scale=1">
            <title>%1$s</title>
            <style>
            body { margin: 0; padding: 12vh 20px; background: #f8f6f1; color: #1d2530;
              font: 17px/1.5 Georgia, serif; }
            main { max-width: 32em; margin: 0 auto; }
            a { color: inherit; }
            </style>
            </head>
            <body>
            <main>
            <h1>%1$s</h1>
            <p>%2$s</p>
            <p><a href="/">Go to the first page</a></p>
            </main>
            </body>
            </html>
            """;

    private PlainPage() {}

    /** The page for an answer of this status. */
    static String of(HttpStatus status) {
        return switch (status) {
            case NOT_FOUND ->
                PAGE.formatted(
                        "Nothing here", "There is nothing at this address. The link may be old, or was cut off.");
            case INSUFFICIENT_STORAGE -> PAGE.formatted("No room", DiskSpace.FULL);
            default ->
                status.is5xxServerError()
                        ? PAGE.formatted(
                                "Something went wrong",
                                "Something went wrong on our side. Nothing was changed. Try again in a moment.")
                        : PAGE.formatted("This address can’t be read", "The link may have been damaged on its way.");
        };
    }

    /** The same as an answer. */
    static ResponseEntity<Object> answer(HttpStatus status) {
        return ResponseEntity.status(status)
                .contentType(new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8))
                .body(of(status));
    }
}
