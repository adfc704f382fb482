package famulus.core.proof;

import famulus.core.message.MessagePart;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.Block;
import famulus.core.message.body.BodyText.Slot;
import famulus.core.message.body.Content;
import famulus.core.message.body.Keys;
import famulus.core.message.body.SlotPieces;
import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * {@code link-nowhere}: a button without an address, or a link whose address can't lead anywhere: none, {@code #}, a bare
 * scheme, a placeholder, one with a space in it, or of a kind that mail programs don't open.
 */
final class LinkCheck implements Check {
    private static final Set<String> SCHEMES = Set.of("http", "https", "mailto", "tel");
    private static final Pattern PLACEHOLDER = Pattern.compile(
            "(^|[/.@])(example\\.(com|net|org)|your-?(domain|company|site|website|link)\\b[^/]*|domain\\.com|test\\.com)([/:?#]|$)");
    private static final Pattern BARE = Pattern.compile("[a-z][a-z0-9+.-]*:(//)?", Pattern.CASE_INSENSITIVE);
    private static final Pattern HOST = Pattern.compile("[\\p{Alnum}-]+(\\.[\\p{Alnum}-]+)+([/?#:].*)?");

    @Override
    public List<Note> read(ProofSubject subject) {
        return subject.source().layout().map(layout -> read(subject, layout)).orElse(List.of());
    }

    private static List<Note> read(ProofSubject subject, Layout layout) {
        SlotPieces pieces = new SlotPieces(layout.text(), subject.merged().body());
        List<Note> notes = new ArrayList<>();
        layout.design().body().blocks().forEach(block -> missing(block, layout, notes));
        for (Slot slot : layout.text().slots()) {
            if (!slot.key().endsWith("/link")
                    || layout.text().ofHouseStyle(slot.start())
                    || (subject.sending() && pieces.of(slot.key()).isEmpty())) {
                continue;
            }
            String written = layout.text().source().substring(slot.start(), slot.end());
            boolean fields = written.indexOf('{') >= 0;
            // Whether an address with fields in it leads somewhere can be told only where all of them are filled.
            if (fields && (!pieces.complete(slot.key()) || pieces.of(slot.key()).isEmpty())) {
                continue;
            }
            String address = (fields ? pieces.text(slot.key()) : written).strip();
            wrong(address)
                    .ifPresent(why -> notes.add(new Note(
                            "link-nowhere",
                            Note.Level.STOP,
                            what(slot, layout) + " leads nowhere",
                            why,
                            MessagePart.BODY,
                            new Span(slot.start(), slot.end()),
                            List.of(),
                            HOST.matcher(written.strip()).matches()
                                    ? Optional.of(new Problem.Fix(
                                            "Put https:// before it", new Span(slot.start(), slot.start()), "https://"))
                                    : Optional.empty(),
                            slot.owner())));
        }
        return notes;
    }

    /** Buttons, stills and social links are nothing without an address. */
    private static void missing(Block block, Layout layout, List<Note> notes) {
        switch (block.content()) {
            case Content.Button button -> {
                if (button.link().isBlank()) {
                    notes.add(nowhere(block, layout, "The button", Keys.label(block.id())));
                }
            }
            case Content.VideoStill still -> {
                if (still.address().isBlank()) {
                    notes.add(nowhere(block, layout, "The video still", Keys.description(block.id())));
                }
            }
            case Content.SocialLinks links -> {
                for (int i = 0; i < links.links().size(); i++) {
                    if (links.links().get(i).address().isBlank()) {
                        notes.add(nowhere(block, layout, "A social link", Keys.fact(block.id(), i)));
                    }
                }
            }
            default -> {}
        }
    }

    private static Note nowhere(Block block, Layout layout, String what, String near) {
        return Note.ofBlock(
                "link-nowhere",
                Note.Level.STOP,
                what + " leads nowhere",
                "Give it an address.",
                BlockPlaces.near(layout, block.id(), near),
                block.id());
    }

    private static String what(Slot slot, Layout layout) {
        return layout.design()
                .body()
                .block(slot.owner())
                .map(block -> switch (block.content()) {
                    case Content.Button button -> "The button";
                    case Content.Picture picture -> "The picture";
                    case Content.VideoStill still -> "The video still";
                    case Content.SocialLinks links -> "A social link";
                    default -> "A link";
                })
                .orElse("A link");
    }

    private static Optional<String> wrong(String address) {
        String lower = address.toLowerCase(Locale.ROOT);
        if (address.isEmpty()) {
            return Optional.of("Nothing is left of its address for this person.");
        }
        if (address.startsWith("#")) {
            return Optional.of("A mark within the page does not work in mail. Give it a whole address.");
        }
        if (BARE.matcher(address).matches()) {
            return Optional.of("Only the beginning of an address is there.");
        }
        if (address.chars().anyMatch(Character::isWhitespace)) {
            return Optional.of("There is a space in its address.");
        }
        if (PLACEHOLDER.matcher(lower).find()) {
            return Optional.of("Its address still stands for another one: " + address + ".");
        }
        int colon = address.indexOf(':');
        boolean scheme = colon > 0 && address.substring(0, colon).chars().allMatch(Character::isLetter);
        if (!scheme) {
            return Optional.of("Its address has no beginning such as https://.");
        }
        return SCHEMES.contains(lower.substring(0, colon))
                ? Optional.empty()
                : Optional.of(
                        "Mail programs don’t open addresses that begin with " + address.substring(0, colon) + ":.");
    }
}
