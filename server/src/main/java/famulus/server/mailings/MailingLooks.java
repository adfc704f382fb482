package famulus.server.mailings;

import famulus.core.audience.Candidate;
import famulus.core.record.PlainLine;
import famulus.server.mailings.MailingLookMapper.LookRow;
import famulus.server.mailings.MailingLookMapper.ToLookAtRow;
import famulus.server.mailings.MailingReadiness.Ready;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/**
 * A colleague’s look at a mailing before it goes: they approve it as it is, or send it back with what they say of its parts, and of what somebody gets. What is
 * changed afterwards, of all that a test covers, was not approved.
 */
@Service
class MailingLooks {
    private static final int MOST_COMMENTS = 20;
    private static final int LONGEST_COMMENT = 500;
    private static final int LONGEST_PART = 40;
    private static final int LONGEST_QUOTE = 200;

    private final MailingLookMapper mapper;
    private final MailingService mailings;
    private final MailingEvents events;
    private final TeamService team;
    private final JsonMapper json;
    private final Clock clock;

    MailingLooks(
            MailingLookMapper mapper,
            MailingService mailings,
            MailingEvents events,
            TeamService team,
            JsonMapper json,
            Clock clock) {
        this.mapper = mapper;
        this.mailings = mailings;
        this.events = events;
        this.team = team;
        this.json = json;
        this.clock = clock;
    }

    /**
     * Something that is said of a place: a part of the page, or the message to somebody, or words in it.
     *
     * @param part such as Who or What
     * @param key whose message it is about, by what they were chosen as; null for a part of the page
     * @param name who that is; found by the server
     * @param quote the words it is about; empty for all of it
     */
    record Comment(
            String part,
            String words,
            @Schema(nullable = true) UUID key,
            @Schema(nullable = true) String name,
            @Schema(nullable = true) String quote) {
        Comment {
            name = name == null ? "" : name;
            quote = quote == null ? "" : quote.strip();
        }

        private Comment named(String other) {
            return new Comment(part, words, key, other, quote);
        }
    }

    /** The newest look; empty where nobody was asked. */
    Optional<LookRow> of(UUID mailing) {
        return mapper.of(mailing);
    }

    /** What was said in it. */
    List<Comment> comments(LookRow look) {
        return List.of(json.readValue(look.comments(), Comment[].class));
    }

    /** Whether exactly this was approved. */
    boolean approved(UUID mailing, String digest) {
        return !digest.isEmpty()
                && mapper.of(mailing)
                        .filter(look -> look.approved() && digest.equals(look.digest()))
                        .isPresent();
    }

    /** Asks a colleague to look at it. */
    @Transactional
    public void ask(UUID id, UUID colleague, Colleague by) {
        mailings.mustBeChangeable(mailings.get(id), by);
        Colleague asked = Optional.ofNullable(colleague)
                .flatMap(team::find)
                .filter(Colleague::active)
                .orElseThrow(() -> Refusal.field("colleague", "Choose a colleague."));
        if (asked.id().equals(by.id())) {
            throw Refusal.field("colleague", "Somebody else is to look at it.");
        }
        mapper.ask(id, asked.id(), by.id(), clock.instant());
        events.changed(id);
    }

    /**
     * Keeps what whoever was asked says.
     *
     * @param seen what they saw
     */
    @Transactional
    public void answer(UUID id, boolean approved, Ready seen, List<Comment> comments, Colleague by) {
        mailings.get(id);
        if (mapper.of(id).filter(look -> look.asked().equals(by.id())).isEmpty()) {
            throw Refusal.forbidden("Nobody has asked you to look at this mailing.");
        }
        Map<UUID, String> names = seen.audience().in().stream()
                .collect(Collectors.toMap(Candidate::key, Candidate::name, (first, other) -> first));
        List<Comment> said = Stream.ofNullable(comments)
                .flatMap(List::stream)
                .filter(Objects::nonNull)
                .map(one -> one.named(names.getOrDefault(one.key(), "")))
                .toList();
        String digest = seen.digest();
        if (!approved && said.isEmpty()) {
            throw Refusal.field("comments", "Say what is to be changed.");
        }
        if (approved && digest.isEmpty()) {
            throw Refusal.because(
                    "no-template", "You can’t see what it says. Ask for its template to be marked ready and shared.");
        }
        if (said.size() > MOST_COMMENTS) {
            throw Refusal.field("comments", "Say it in " + MOST_COMMENTS + " remarks at most.");
        }
        for (Comment one : said) {
            PlainLine.refusal(one.part(), LONGEST_PART, true)
                    .or(() -> PlainLine.refusalOfLines(one.words(), LONGEST_COMMENT, true))
                    .or(() -> PlainLine.refusal(one.quote(), LONGEST_QUOTE, false))
                    .or(() -> one.key() == null || names.containsKey(one.key())
                            ? Optional.empty()
                            : Optional.of("Somebody you say something about does not get this mailing any more."))
                    .ifPresent(sentence -> {
                        throw Refusal.field("comments", sentence);
                    });
        }
        int kept = mapper.answer(
                id, by.id(), approved, approved ? digest : null, json.writeValueAsString(said), clock.instant());
        if (kept == 0) {
            throw Refusal.forbidden("Nobody has asked you to look at this mailing.");
        }
        events.changed(id);
    }

    /** What somebody was asked to look at. */
    List<ToLookAtRow> waiting(Colleague asking) {
        return mapper.waiting(asking.id());
    }
}
