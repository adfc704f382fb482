package famulus.server.desk;

import famulus.core.field.About;
import famulus.core.merge.MergeSettings;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.render.Renderer;
import famulus.core.message.render.Rendering;
import famulus.core.message.render.ToRender;
import famulus.core.message.render.ToRender.DealLines;
import famulus.core.message.render.ToRender.ProofMarks;
import famulus.core.proof.Heavy;
import famulus.core.proof.LostPictures;
import famulus.core.proof.Note;
import famulus.server.desk.ProofService.Proof;
import famulus.server.materials.PictureService;
import famulus.server.platform.PublicAddress;
import famulus.server.records.DealService;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Turns proofs of letters and designed messages into what is seen and what leaves. */
@Service
public class RenderingService {
    private final DealService deals;
    private final PictureService pictures;
    private final PublicAddress address;

    RenderingService(DealService deals, PictureService pictures, PublicAddress address) {
        this.address = address;
        this.deals = deals;
        this.pictures = pictures;
    }

    /** What is to be said of the weight of a message, and of missing pictures. */
    List<Note> notes(Proof proof, Rendering rendering) {
        List<Note> lost = proof.source()
                .layout()
                .map(layout -> LostPictures.notes(layout, pictures.lost(rendering.pictures())))
                .orElse(List.of());
        List<Note> heavy = Heavy.notes(
                rendering.html().getBytes(StandardCharsets.UTF_8).length, pictures.weight(rendering.pictures()));
        return Stream.concat(lost.stream(), heavy.stream()).toList();
    }

    /** As it is seen on the desk: what came from where is marked, and pictures come from the library. */
    Optional<Rendering> shown(Proof proof, About about) {
        ProofMarks marks = new ProofMarks(path -> ProofService.label(proof.catalogue(), path, about) + "?");
        return rendered(proof, proof.merged().subject().text(), picture -> "/api/materials/pictures/" + picture, marks);
    }

    /**
     * As it leaves: pictures are parts of the message, by content identifier (RFC 2392).
     *
     * @param subject as it leaves, which its sender may have changed
     */
    public Optional<Rendering> mail(Proof proof, String subject) {
        return rendered(proof, subject, picture -> "cid:" + picture + "@famulus", null);
    }

    /** As a page that stands by itself, whatever becomes of the library. */
    public Optional<Rendering> page(Proof proof) {
        return rendered(proof, proof.merged().subject().text(), this::embedded, null);
    }

    /** A picture within the page itself (RFC 2397); nothing for one that is not there any more. */
    private String embedded(String picture) {
        return pictures.content(picture)
                .map(content -> "data:" + content.mediaType() + ";base64,"
                        + Base64.getEncoder().encodeToString(content.content()))
                .orElse("data:,");
    }

    private Optional<Rendering> rendered(
            Proof proof, String subject, Function<String, String> pictures, ProofMarks marks) {
        return proof.source().layout().map(layout -> rendered(proof, layout, subject, pictures, marks));
    }

    private Rendering rendered(
            Proof proof, Layout layout, String subject, Function<String, String> pictures, ProofMarks marks) {
        var person = proof.person();
        return Renderer.render(new ToRender(
                layout.design(),
                layout.text(),
                proof.merged().body(),
                new MergeSettings(person.locale(), person.zone(), proof.at(), person.workingDays(), Map.of(), Map.of()),
                subject,
                proof.merged().previewText().text(),
                person.deal().map(deals::items).orElse(DealLines.NONE),
                pictures,
                address.pages().map(pages -> pages.webCopy(PublicAddress.PROOF)).orElse(""),
                marks));
    }
}
