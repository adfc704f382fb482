package famulus.server.messages;

import famulus.core.field.Path;
import famulus.core.merge.Piece;
import famulus.core.message.MessagePart;
import famulus.core.message.render.Rendering;
import famulus.server.desk.ProofService;
import famulus.server.desk.ProofService.Proof;
import famulus.server.desk.RenderingService;
import famulus.server.library.Draft;
import famulus.server.library.DraftReader;
import famulus.server.platform.PublicAddress;
import famulus.server.platform.PublicAddress.Pages;
import famulus.server.platform.Refusal;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Makes of a message a page with nothing personal in it: where a value would stand, the default of its field does. */
@Service
public class PageForAnybody {
    private static final int MOST_SAID = 5;

    private final WordsAgain again;
    private final DraftReader reader;
    private final ProofService proofs;
    private final RenderingService renderings;
    private final TeamService team;
    private final PublicAddress address;

    PageForAnybody(
            WordsAgain again,
            DraftReader reader,
            ProofService proofs,
            RenderingService renderings,
            TeamService team,
            PublicAddress address) {
        this.again = again;
        this.reader = reader;
        this.proofs = proofs;
        this.renderings = renderings;
        this.team = team;
        this.address = address;
    }

    /**
     * What a page says.
     *
     * @param html a whole document; empty for a plain message
     * @param text the words of a plain message
     */
    public record Page(String html, String subject, String text) {}

    /**
     * A page; refused where the message needs a value that only its person has.
     *
     * @param message whose making is kept
     * @param to who it went to: the page is in their language
     * @param at when it was sent
     * @param key opens the page
     */
    public Page of(UUID message, Colleague sender, For to, Instant at, String key) {
        Pages pages = reached();
        Draft words = again.words(message);
        Proof proof = proofs.forNobody(
                reader.source(words),
                words.about(),
                sender,
                Locale.of(proofs.language(to, sender), team.house().country()),
                PublicAddress.facts(pages, key, key),
                at);
        mustSayNothingPersonal(proof, words);
        Optional<Rendering> page = renderings.page(proof);
        return new Page(
                page.map(Rendering::html).orElse(""),
                proof.merged().subject().text(),
                renderings.around(proof).whole(proof.merged().body().text()));
    }

    /** Our pages; refused where nobody outside can reach them. */
    public Pages reached() {
        return address.pages()
                .orElseThrow(() -> Refusal.because(
                        "no-public-address",
                        "Nobody outside can reach our pages: our company has no public address. An administrator enters"
                                + " it in Company settings."));
    }

    private static void mustSayNothingPersonal(Proof proof, Draft words) {
        String missing = Stream.of(MessagePart.SUBJECT, MessagePart.BODY, MessagePart.AROUND)
                .flatMap(part -> proof.merged().merged(part).pieces().stream())
                .filter(piece -> switch (piece.origin()) {
                    case GAP, ASKED, BROKEN -> true;
                    case WRITTEN, RECORD, FALLBACK, BLANK, CHOSEN, ANSWERED, BRANCH, CHOICE_END, CHOICE_PASSED -> false;
                })
                .map(piece -> called(piece, proof, words))
                .distinct()
                .limit(MOST_SAID)
                .collect(Collectors.joining(", "));
        if (!missing.isEmpty()) {
            throw Refusal.because(
                    "personal",
                    "This message can’t be shown to anybody: it needs values that only its person has, and that have no"
                            + " default (" + missing + ").");
        }
    }

    private static String called(Piece piece, Proof proof, Draft words) {
        return piece.path()
                .map((Path path) -> ProofService.label(proof.catalogue(), path, words.about()))
                .orElse(piece.text());
    }
}
