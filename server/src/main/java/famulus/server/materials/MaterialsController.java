package famulus.server.materials;

import famulus.core.message.body.HouseStyleJson;
import famulus.server.materials.FileService.FileContent;
import famulus.server.materials.FileService.KeptFile;
import famulus.server.materials.HouseStyleService.KeptStyle;
import famulus.server.materials.HouseStyleService.StyledTemplate;
import famulus.server.materials.PictureService.Picture;
import famulus.server.materials.PictureService.PictureContent;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** House styles, pictures and files. */
@RestController
@RequestMapping("/api/materials")
class MaterialsController {
    private final HouseStyleService styles;
    private final PictureService pictures;
    private final FileService files;

    MaterialsController(HouseStyleService styles, PictureService pictures, FileService files) {
        this.styles = styles;
        this.files = files;
        this.pictures = pictures;
    }

    /**
     * A house style.
     *
     * @param look JSON, see docs/house-style.schema.json
     * @param mayChange whether whoever asks may change it
     * @param named who may besides editors and administrators
     */
    record ShownStyle(
            UUID id,
            String name,
            boolean usual,
            int version,
            String look,
            List<String> headers,
            List<String> footers,
            boolean mayChange,
            List<UUID> named,
            UUID folder) {}

    record NamedColleagues(List<UUID> named) {}

    record ChangedStyle(int version, String look) {}

    record NewStyle(String look, @Schema(nullable = true) UUID folder) {}

    record OtherFolder(UUID folder) {}

    record PictureWords(String name, String description, String category) {}

    @GetMapping("/house-styles")
    List<ShownStyle> styles(Colleague asking) {
        return styles.seen(asking).stream().map(one -> shown(one, asking)).toList();
    }

    @PostMapping("/house-styles")
    ShownStyle add(Colleague asking, @RequestBody NewStyle style) {
        return shown(styles.add(style.look(), style.folder(), asking), asking);
    }

    @PutMapping("/house-styles/{id}")
    ShownStyle change(Colleague asking, @PathVariable UUID id, @RequestBody ChangedStyle changed) {
        return shown(styles.change(id, changed.version(), changed.look(), asking), asking);
    }

    @PostMapping("/house-styles/{id}/usual")
    void makeUsual(Colleague asking, @PathVariable UUID id) {
        styles.makeUsual(id, asking);
    }

    @PutMapping("/house-styles/{id}/folder")
    void moveStyle(Colleague asking, @PathVariable UUID id, @RequestBody OtherFolder wanted) {
        styles.move(id, wanted.folder(), asking);
    }

    @PutMapping("/house-styles/{id}/named")
    void name(Colleague asking, @PathVariable UUID id, @RequestBody NamedColleagues named) {
        styles.name(id, named.named(), asking);
    }

    @GetMapping("/house-styles/{id}/using")
    List<StyledTemplate> using(Colleague asking, @PathVariable UUID id) {
        return styles.using(id, asking);
    }

    @GetMapping("/pictures")
    List<Picture> pictures(Colleague asking) {
        return pictures.seen(asking);
    }

    /** The picture itself. A picture is never changed, so that a browser may keep it. */
    @GetMapping("/pictures/{id}")
    ResponseEntity<byte[]> picture(Colleague asking, @PathVariable String id) {
        PictureContent content = pictures.content(id, asking).orElseThrow(() -> Refusal.missing("This picture"));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(content.mediaType()))
                .cacheControl(CacheControl.maxAge(java.time.Duration.ofDays(30)).cachePrivate())
                .body(content.content());
    }

    @PostMapping(path = "/pictures", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    Picture addPicture(
            Colleague asking,
            @RequestParam String name,
            @RequestParam(required = false) UUID folder,
            @RequestBody(required = false) byte[] file) {
        return pictures.add(name, file == null ? new byte[0] : file, folder, asking);
    }

    @PutMapping("/pictures/{id}")
    void describe(Colleague asking, @PathVariable UUID id, @RequestBody PictureWords words) {
        pictures.describe(id, words.name(), words.description(), words.category(), asking);
    }

    @PutMapping("/pictures/{id}/folder")
    void movePicture(Colleague asking, @PathVariable UUID id, @RequestBody OtherFolder wanted) {
        pictures.move(id, wanted.folder(), asking);
    }

    @DeleteMapping("/pictures/{id}")
    void delete(Colleague asking, @PathVariable UUID id) {
        pictures.delete(id, asking);
    }

    @GetMapping("/files")
    List<KeptFile> files(Colleague asking) {
        return files.seen(asking);
    }

    /** The file itself, to be saved rather than shown. */
    @GetMapping("/files/{id}")
    ResponseEntity<byte[]> file(Colleague asking, @PathVariable UUID id) {
        FileContent content = files.content(id, asking).orElseThrow(() -> Refusal.missing("This file"));
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .header(
                        "Content-Disposition",
                        ContentDisposition.attachment()
                                .filename(content.name(), StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(content.content());
    }

    @PostMapping(path = "/files", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    KeptFile addFile(
            Colleague asking,
            @RequestParam String name,
            @RequestParam(required = false) UUID folder,
            @RequestBody(required = false) byte[] file) {
        return files.add(name, file == null ? new byte[0] : file, folder, asking);
    }

    /** A file that belongs to one message, or to a document of a deal, and is not in Materials. */
    @PostMapping(path = "/files/apart", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    KeptFile addFileApart(Colleague asking, @RequestParam String name, @RequestBody(required = false) byte[] file) {
        return files.addApart(name, file == null ? new byte[0] : file, asking);
    }

    @PutMapping("/files/{id}/folder")
    void moveFile(Colleague asking, @PathVariable UUID id, @RequestBody OtherFolder wanted) {
        files.move(id, wanted.folder(), asking);
    }

    @DeleteMapping("/files/{id}")
    void deleteFile(Colleague asking, @PathVariable UUID id) {
        files.delete(id, asking);
    }

    private ShownStyle shown(KeptStyle kept, Colleague asking) {
        return new ShownStyle(
                kept.id(),
                kept.style().name(),
                kept.usual(),
                kept.version(),
                HouseStyleJson.write(kept.style()),
                kept.style().headers().stream().map(one -> one.name()).toList(),
                kept.style().footers().stream().map(one -> one.name()).toList(),
                styles.mayChange(kept.id(), asking),
                styles.named(kept.id()),
                kept.folder());
    }
}
