package famulus.server.messages;

import famulus.core.message.render.PlainTwin;
import famulus.core.message.render.Rendering;
import famulus.server.materials.FileService;
import famulus.server.materials.FileService.FileContent;
import famulus.server.materials.PictureService;
import famulus.server.materials.PictureService.PictureContent;
import famulus.server.messages.MessageContent.AttachedFile;
import famulus.server.messages.MessageContent.InlinePicture;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.platform.Refusal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Puts together what a message says: its texts, and the pictures and files that belong to them. */
@Component
class MessageContents {
    private final PictureService pictures;
    private final FileService files;

    MessageContents(PictureService pictures, FileService files) {
        this.pictures = pictures;
        this.files = files;
    }

    /**
     * What is rendered, or the plain words, with the files of the template; refused when a picture or file is missing.
     *
     * @param rendering empty for a plain message
     * @param body the words of a plain message
     */
    MessageContent of(MessageDraft draft, Optional<Rendering> rendering, String body) {
        MessageContent said = of(rendering, body);
        MessageContent content = draft.twin() && rendering.isEmpty() ? said.saying(body, twin(draft, body)) : said;
        List<AttachedFile> attached = new ArrayList<>(content.files());
        for (UUID id : draft.files()) {
            FileContent file = files.content(id)
                    .orElseThrow(() -> Refusal.because(
                            "file-lost", "An attached file is missing from Materials. Remove it from the message."));
            attached.add(new AttachedFile(file.name(), file.mediaType(), file.content()));
        }
        return content.attaching(attached);
    }

    private static String twin(MessageDraft draft, String body) {
        return PlainTwin.of(
                body,
                draft.proof().merged().subject().text(),
                draft.proof().person().locale());
    }

    /** The same without the template's files. */
    MessageContent of(Optional<Rendering> rendering, String body) {
        return rendering.map(this::of).orElseGet(() -> MessageContent.plain(body));
    }

    private MessageContent of(Rendering rendering) {
        List<InlinePicture> inline = new ArrayList<>();
        for (String id : rendering.pictures()) {
            PictureContent picture = pictures.content(id)
                    .orElseThrow(() -> Refusal.because(
                            "picture-lost", "A picture of this message is missing. Choose another one."));
            String ending = picture.mediaType().substring(picture.mediaType().indexOf('/') + 1);
            inline.add(new InlinePicture(
                    id + "@famulus",
                    "picture-" + (inline.size() + 1) + "." + ending,
                    picture.mediaType(),
                    picture.content()));
        }
        List<AttachedFile> calendars = rendering.calendars().stream()
                .map(file -> new AttachedFile(
                        file.name(),
                        "text/calendar; charset=UTF-8; method=PUBLISH",
                        file.content().getBytes(StandardCharsets.UTF_8)))
                .toList();
        return new MessageContent(rendering.text(), rendering.html(), inline, calendars);
    }
}
