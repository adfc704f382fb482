package famulus.server.records;

import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The pictures of records and colleagues. */
@RestController
class RecordPictureController {
    private final RecordPictureService pictures;

    RecordPictureController(RecordPictureService pictures) {
        this.pictures = pictures;
    }

    /** The picture of a record or colleague, by identifier; null for none. */
    record PictureOf(@Schema(nullable = true) UUID picture) {}

    @PostMapping(path = "/api/records/{kind}/{id}/picture", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    PictureOf put(
            Colleague asking,
            @PathVariable CrmKind kind,
            @PathVariable UUID id,
            @RequestBody(required = false) byte[] file) {
        return new PictureOf(pictures.put(kind, id, file == null ? new byte[0] : file, asking));
    }

    @DeleteMapping("/api/records/{kind}/{id}/picture")
    void remove(Colleague asking, @PathVariable CrmKind kind, @PathVariable UUID id) {
        pictures.remove(kind, id);
    }

    @GetMapping("/api/team/{id}/picture")
    PictureOf of(Colleague asking, @PathVariable UUID id) {
        return new PictureOf(pictures.of(id).orElse(null));
    }

    @PostMapping(path = "/api/team/{id}/picture", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    PictureOf put(Colleague asking, @PathVariable UUID id, @RequestBody(required = false) byte[] file) {
        return new PictureOf(pictures.put(id, file == null ? new byte[0] : file, asking));
    }

    @DeleteMapping("/api/team/{id}/picture")
    void remove(Colleague asking, @PathVariable UUID id) {
        pictures.remove(id, asking);
    }
}
