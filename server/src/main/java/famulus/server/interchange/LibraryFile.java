package famulus.server.interchange;

import famulus.core.field.About;
import famulus.core.message.body.Mode;
import famulus.core.search.Occasion;
import famulus.core.sharing.Right;
import famulus.server.folders.FolderShare;
import famulus.server.library.KeptPlainText;
import famulus.server.library.TemplateKind;
import famulus.server.library.TemplateWishes;
import famulus.server.team.Role;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import tools.jackson.databind.JsonNode;

/**
 * Templates with all that they are made of, as they are taken out of one installation and into another: what
 * {@code library.json} in the file says. Pictures and files lie beside it, under {@code pictures/} and {@code files/}, each named
 * by its identifier. docs/running.md describes it for readers.
 *
 * @param format always {@value #FORMAT}
 * @param version of the format
 * @param company whose it was
 * @param folders those that the templates lie in, each after the one it lies in
 * @param texts templates, passages and signatures; what others are made of comes before them
 */
record LibraryFile(
        String format,
        int version,
        String company,
        Instant exported,
        List<FileFolder> folders,
        List<FileStyle> styles,
        List<FileText> texts,
        List<FileContent> pictures,
        List<FileContent> files,
        List<FileFeed> feeds) {
    /** What a file of this format calls itself. */
    static final String FORMAT = "famulus-library";

    /** The version that is written; no other is read. */
    static final int VERSION = 1;

    LibraryFile {
        folders = folders == null ? List.of() : List.copyOf(folders);
        styles = styles == null ? List.of() : List.copyOf(styles);
        texts = texts == null ? List.of() : List.copyOf(texts);
        pictures = pictures == null ? List.of() : List.copyOf(pictures);
        files = files == null ? List.of() : List.copyOf(files);
        feeds = feeds == null
                ? List.of()
                : feeds.stream().filter(Objects::nonNull).toList();
    }

    /**
     * A feed.
     *
     * @param address where it is read from; empty for one that came as a file
     * @param source what it was when it was read last
     */
    record FileFeed(UUID id, String name, String address, String source) {}

    /**
     * A folder.
     *
     * @param parent the one it lies in; null for one that lies in none of the file
     * @param shares of its own, as far as whoever took it out manages it; none for one that is shared as the folder above is
     */
    record FileFolder(UUID id, UUID parent, String name, List<FileShare> shares) {
        FileFolder {
            shares = shares == null
                    ? List.of()
                    : shares.stream().filter(Objects::nonNull).toList();
        }
    }

    /**
     * With whom a folder is shared.
     *
     * @param role null but for a role
     * @param name of a team, or the address of a colleague; null for neither
     */
    record FileShare(FolderShare.With with, Role role, String name, Right may) {}

    /** A style, with its headers and footers. */
    record FileStyle(UUID id, JsonNode look) {
        FileStyle {
            look = look == null || look.isNull() ? null : look;
        }
    }

    /**
     * A template, passage or signature.
     *
     * @param design what it is made of; null for a plain one
     * @param style null for the default
     * @param ready whether it was marked ready
     * @param folder the folder of the file it lies in; null for none of them
     * @param language which language it is a variant in; null where it has no variants
     * @param variantOf the template whose variant it is; null for that itself
     */
    record FileText(
            UUID id,
            TemplateKind kind,
            String name,
            String purpose,
            About about,
            String subject,
            String previewText,
            String body,
            Mode mode,
            JsonNode design,
            UUID style,
            String header,
            String footer,
            List<UUID> files,
            TemplateWishes wishes,
            KeptPlainText plainText,
            boolean ready,
            UUID folder,
            List<String> tags,
            Occasion occasion,
            String language,
            UUID variantOf) {
        FileText {
            design = design == null || design.isNull() ? null : design;
            files = files == null ? List.of() : List.copyOf(files);
            tags = tags == null ? List.of() : List.copyOf(tags);
            occasion = occasion == null ? Occasion.ANY : occasion;
        }
    }

    /** A picture or file, whose bytes lie beside. */
    record FileContent(UUID id, String name, String description, String category, String mediaType) {}
}
