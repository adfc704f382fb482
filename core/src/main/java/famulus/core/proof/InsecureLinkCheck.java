package famulus.core.proof;

import famulus.core.message.MessagePart;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.BodyText.Slot;
import famulus.core.message.body.SlotPieces;
import famulus.core.message.render.Address;
import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;

/** {@code insecure-link}: an address by http, and link text that shows another address than the one it leads to. */
final class InsecureLinkCheck implements Check {
    private static final String CODE = "insecure-link";
    private static final String OWN_PAGE = "{message.";
    private static final String PLAIN = "http://";
    private static final String SAFE = "https://";
    private static final Pattern ADDRESS = Pattern.compile("(?i)(?<![\\p{L}\\p{N}])http://[^\\s<>\"]+");
    /** A text that is read as an address: nothing but a host, perhaps with what follows it. */
    private static final Pattern SHOWN =
            Pattern.compile("(?i)\\s*(?:https?://)?((?:[\\p{L}\\p{N}-]+\\.)+\\p{L}{2,})(?:[/?#:][^\\s]*)?\\s*");

    @Override
    public List<Note> read(ProofSubject subject) {
        List<Note> notes = new ArrayList<>();
        for (MessagePart part : MessagePart.values()) {
            Optional<Layout> layout = subject.source().layout(part);
            if (layout.isPresent()) {
                SlotPieces pieces =
                        new SlotPieces(layout.get().text(), subject.merged().merged(part));
                layout.get().text().slots().forEach(slot -> slot(slot, part, layout.get(), pieces, notes));
            } else {
                MergedPlaces merged =
                        new MergedPlaces(subject.merged().merged(part).pieces(), piece -> true);
                Matcher plain = ADDRESS.matcher(merged.text());
                while (plain.find()) {
                    notes.add(insecure(
                            plain.group(),
                            part,
                            merged.span(plain.start(), plain.end()),
                            merged.literal(plain.start(), plain.end())
                                    ? Optional.of(merged.span(plain.start(), plain.start() + PLAIN.length()))
                                    : Optional.empty(),
                            ""));
                }
            }
        }
        return notes;
    }

    private static void slot(Slot slot, MessagePart part, Layout layout, SlotPieces pieces, List<Note> notes) {
        String written = layout.text().source().substring(slot.start(), slot.end());
        if (slot.key().endsWith("/source")) {
            html(slot, part, written, notes);
            return;
        }
        // Where our own pages are is not for whoever writes to say.
        boolean ownPage = written.strip().startsWith(OWN_PAGE);
        if (!slot.key().endsWith("/link") || ownPage || pieces.of(slot.key()).isEmpty()) {
            return;
        }
        String address = Address.merged(pieces.of(slot.key())).strip();
        Span whole = new Span(slot.start(), slot.end());
        if (address.toLowerCase(Locale.ROOT).startsWith(PLAIN)) {
            boolean literal = written.toLowerCase(Locale.ROOT).startsWith(PLAIN);
            notes.add(insecure(
                    address,
                    part,
                    whole,
                    literal ? Optional.of(new Span(slot.start(), slot.start() + PLAIN.length())) : Optional.empty(),
                    slot.owner()));
            return;
        }
        String shown = pieces.text(slot.key().substring(0, slot.key().length() - "/link".length()));
        other(shown, address).ifPresent(host -> notes.add(elsewhere(host, address, part, whole, slot.owner())));
    }

    private static void html(Slot slot, MessagePart part, String written, List<Note> notes) {
        Jsoup.parse(written).select("a[href]").forEach(link -> {
            String address = link.attr("href").strip();
            int at = written.indexOf(address);
            Span place = at < 0 || address.isEmpty()
                    ? new Span(slot.start(), slot.end())
                    : new Span(slot.start() + at, slot.start() + at + address.length());
            if (address.toLowerCase(Locale.ROOT).startsWith(PLAIN)) {
                Optional<Span> fix = at < 0
                        ? Optional.empty()
                        : Optional.of(new Span(place.start(), place.start() + PLAIN.length()));
                notes.add(insecure(address, part, place, fix, slot.owner()));
            } else {
                other(link.text(), address)
                        .ifPresent(host -> notes.add(elsewhere(host, address, part, place, slot.owner())));
            }
        });
    }

    /** The host that a link's text shows, where it leads to another one. */
    private static Optional<String> other(String shown, String address) {
        Matcher host = SHOWN.matcher(shown);
        if (!host.matches() || !address.toLowerCase(Locale.ROOT).startsWith("http")) {
            return Optional.empty();
        }
        String leads;
        try {
            leads = URI.create(address).getHost();
        } catch (IllegalArgumentException broken) {
            return Optional.empty();
        }
        return leads == null || bare(leads).equals(bare(host.group(1))) ? Optional.empty() : Optional.of(host.group(1));
    }

    private static String bare(String host) {
        String lower = host.toLowerCase(Locale.ROOT);
        return lower.startsWith("www.") ? lower.substring(4) : lower;
    }

    private static Note insecure(String address, MessagePart part, Span span, Optional<Span> fix, String block) {
        return new Note(
                        CODE,
                        Note.Level.QUERY,
                        "“" + address + "” is not encrypted",
                        "Browsers warn of such pages. Use https, where the page has it.",
                        part,
                        span,
                        List.of(),
                        fix.map(place -> new Problem.Fix("Use https", place, SAFE)))
                .inBlock(block);
    }

    private static Note elsewhere(String shown, String address, MessagePart part, Span span, String block) {
        return new Note(
                        CODE,
                        Note.Level.QUERY,
                        "The link shows “" + shown + "” and leads to “" + address + "”",
                        "Readers and mail filters take this for a trick. Show where it leads, or words.",
                        part,
                        span,
                        List.of())
                .inBlock(block);
    }
}
