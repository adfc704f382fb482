package famulus.server.interchange;

import famulus.server.interchange.LibraryFormats.Format;
import famulus.server.interchange.LibraryReport.LibraryDone;
import famulus.server.interchange.LibraryReport.Wanted;
import famulus.server.library.Template;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Templates out as one file, and in again. */
@RestController
@RequestMapping("/api/library")
class LibraryController {
    private static final int LONGEST_LINE = 4 << 20;

    private final LibraryExport exports;
    private final LibraryFormats formats;
    private final LibraryImport imports;
    private final JsonMapper json;

    LibraryController(LibraryExport exports, LibraryFormats formats, LibraryImport imports, JsonMapper json) {
        this.formats = formats;
        this.exports = exports;
        this.imports = imports;
        this.json = json;
    }

    /** Some templates, those of a folder, or all that whoever asks sees, as a zip file; for Famulus where no other format is said. */
    @GetMapping("/export")
    @Hidden
    void export(
            Colleague asking,
            @RequestParam(defaultValue = "") List<UUID> template,
            @RequestParam(required = false) UUID folder,
            @RequestParam(required = false) Format as,
            HttpServletResponse response)
            throws IOException {
        // What is refused is refused before an answer has begun.
        if (as != null) {
            List<Template> wanted = formats.wanted(template, folder, asking);
            begin(response, "templates as " + as.name().toLowerCase(Locale.ROOT) + ".zip");
            formats.write(wanted, as, response.getOutputStream());
            return;
        }
        LibraryFile library = exports.library(template, folder, asking);
        begin(response, "templates.zip");
        exports.write(library, response.getOutputStream());
    }

    private static void begin(HttpServletResponse response, String name) {
        response.setContentType("application/zip");
        response.setHeader(
                "Content-Disposition",
                ContentDisposition.attachment().filename(name).build().toString());
    }

    /** Says what an import of a file would do; nothing of it is kept. */
    @PostMapping(path = "/look", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    LibraryReport look(Colleague asking, HttpServletRequest request) throws IOException {
        byte[] file = request.getInputStream().readNBytes(PackedFile.LARGEST + 1);
        return imports.look(read(file), asking);
    }

    /** Imports a file, all that can be taken or nothing. Before it comes a line that says how, as JSON. */
    @PostMapping(path = "/import", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    LibraryDone run(Colleague asking, HttpServletRequest request) throws IOException {
        byte[] all = request.getInputStream().readNBytes(PackedFile.LARGEST + LONGEST_LINE + 1);
        int end = 0;
        while (end < all.length && end < LONGEST_LINE && all[end] != '\n') {
            end++;
        }
        Wanted wanted;
        try {
            wanted = json.readValue(all, 0, end, Wanted.class);
        } catch (JacksonException unreadable) {
            throw Refusal.because("unreadable", "What is to be done with this file can’t be read.");
        }
        return imports.run(read(Arrays.copyOfRange(all, Math.min(end + 1, all.length), all.length)), wanted, asking);
    }

    private LibraryZip read(byte[] file) {
        if (file.length > PackedFile.LARGEST) {
            throw Refusal.field("file", "This file is larger than 64 MB. Export fewer templates at a time.");
        }
        return LibraryZip.read(new ByteArrayInputStream(file), json);
    }
}
