package famulus.server.desk;

import famulus.core.field.About;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merged;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.Band;
import famulus.core.message.body.Block;
import famulus.core.message.body.Content;
import famulus.core.message.body.Design;
import famulus.core.message.body.RecordPortrait;
import famulus.core.message.render.Paper;
import famulus.core.message.render.PlainAround;
import famulus.core.message.render.Renderer;
import famulus.core.message.render.Rendering;
import famulus.core.message.render.ToRender;
import famulus.core.message.render.ToRender.DealLines;
import famulus.core.message.render.ToRender.ProofMarks;
import famulus.core.proof.CheckLevels;
import famulus.core.proof.Heavy;
import famulus.core.proof.LostPictures;
import famulus.core.proof.Note;
import famulus.core.proof.QueryCode;
import famulus.server.desk.ProofService.Proof;
import famulus.server.library.CheckSettings;
import famulus.server.materials.PictureService;
import famulus.server.platform.PublicAddress;
import famulus.server.records.DealService;
import famulus.server.records.RecordPictureService;
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
    private final RecordPictureService portraits;
    private final PublicAddress address;
    private final CheckSettings checks;

    RenderingService(
            DealService deals,
            PictureService pictures,
            RecordPictureService portraits,
            PublicAddress address,
            CheckSettings checks) {
        this.checks = checks;
        this.portraits = portraits;
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
        return Stream.concat(lost.stream(), checks.levels().of(heavy(rendering)).stream())
                .toList();
    }

    private List<Note> heavy(Rendering rendering) {
        return Heavy.notes(
                rendering.html().getBytes(StandardCharsets.UTF_8).length, pictures.weight(rendering.pictures()));
    }

    /**
     * What is to be said of the weight of a message, where that stops one: only then is it made for it.
     *
     * @param levels how grave each check is taken
     */
    public List<Note> stoppingWeight(Proof proof, CheckLevels levels) {
        return levels.stops(QueryCode.HEAVY)
                ? levels.of(mail(proof, proof.merged().subject().text())
                        .map(this::heavy)
                        .orElse(List.of()))
                : List.of();
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

    /**
     * For paper, as HTML and CSS for paged media, with its pictures in it.
     *
     * @param marked whether missing values are shown in their places
     */
    public Optional<String> onPaper(Proof proof, Paper paper, boolean marked) {
        ProofMarks marks =
                marked ? new ProofMarks(path -> proof.subject().label().apply(path) + "?") : null;
        String subject = proof.merged().subject().text();
        return proof.source()
                .layout()
                .map(layout -> toRender(proof, layout, proof.merged().body(), subject, this::embedded, marks))
                .map(message -> Renderer.onPaper(message.withoutPage(), paper));
    }

    /** A picture within the page itself (RFC 2397); nothing for one that was deleted. */
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

    /** What a house style says around plain words: those of a plain message, or of a text that is kept by hand. */
    public PlainAround around(Proof proof) {
        return proof.source()
                .around()
                .map(around -> PlainAround.of(toRender(
                        proof,
                        around,
                        proof.merged().around(),
                        proof.merged().subject().text(),
                        picture -> "",
                        null)))
                .orElse(PlainAround.NONE);
    }

    private Rendering rendered(
            Proof proof, Layout layout, String subject, Function<String, String> pictures, ProofMarks marks) {
        Rendering rendering =
                Renderer.render(toRender(proof, layout, proof.merged().body(), subject, pictures, marks));
        return proof.source()
                .own()
                .map(own -> rendering.saying(
                        around(proof).whole(proof.merged().plainText().text())))
                .orElse(rendering);
    }

    /** Asked for only where a card takes one. */
    private Map<RecordPortrait, String> portraits(Proof proof, Layout layout) {
        Design design = layout.design();
        boolean wanted = Stream.of(design.above(), design.body().bands(), design.below())
                .flatMap(List::stream)
                .flatMap(RenderingService::blocks)
                .anyMatch(block -> block.content() instanceof Content.Card card
                        && RecordPortrait.of(card.picture()).isPresent());
        return wanted ? portraits.around(proof.person()) : Map.of();
    }

    /** The blocks of a band, and those that stand in their places. */
    private static Stream<Block> blocks(Band band) {
        return band.blocks()
                .flatMap(block -> Stream.concat(
                        Stream.of(block), block.content().inside().stream().flatMap(RenderingService::blocks)));
    }

    private ToRender toRender(
            Proof proof,
            Layout layout,
            Merged merged,
            String subject,
            Function<String, String> pictures,
            ProofMarks marks) {
        var person = proof.person();
        return new ToRender(
                layout.design(),
                layout.text(),
                merged,
                new MergeSettings(person.locale(), person.zone(), proof.at(), person.workingDays(), Map.of(), Map.of()),
                subject,
                proof.merged().previewText().text(),
                person.deal().map(deals::items).orElse(DealLines.NONE),
                pictures,
                portraits(proof, layout),
                address.pages().map(pages -> pages.webCopy(PublicAddress.PROOF)).orElse(""),
                marks);
    }
}
