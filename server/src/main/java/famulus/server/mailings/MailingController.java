package famulus.server.mailings;

import famulus.core.audience.Audience;
import famulus.core.departure.MailingStop;
import famulus.server.lists.ChosenRecords.ListSelection;
import famulus.server.mailings.MailingLines.Lines;
import famulus.server.mailings.MailingLines.Narrowed;
import famulus.server.mailings.MailingMapper.LineRow;
import famulus.server.mailings.MailingReadiness.Ready;
import famulus.server.mailings.MailingReading.PreviewRow;
import famulus.server.mailings.MailingReading.RowNote;
import famulus.server.mailings.MailingWords.Wording;
import famulus.server.messages.ShownCandidate;
import famulus.server.messages.ShownLeftOut;
import famulus.server.platform.ProgressLines;
import famulus.server.records.CrmKind;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Mailings as they are written and looked through. */
@RestController
@RequestMapping("/api/mailings")
class MailingController {
    private final MailingService mailings;
    private final MailingLines lines;
    private final MailingReadiness readiness;
    private final MailingTimes times;
    private final MailingWords words;
    private final MailingReading reading;
    private final MailingPersonMapper people;
    private final MailingRules rules;
    private final TeamService team;
    private final JsonMapper json;

    MailingController(
            MailingService mailings,
            MailingLines lines,
            MailingReadiness readiness,
            MailingTimes times,
            MailingWords words,
            MailingReading reading,
            MailingPersonMapper people,
            MailingRules rules,
            TeamService team,
            JsonMapper json) {
        this.mailings = mailings;
        this.lines = lines;
        this.readiness = readiness;
        this.times = times;
        this.words = words;
        this.reading = reading;
        this.people = people;
        this.rules = rules;
        this.team = team;
        this.json = json;
    }

    /**
     * A mailing in a list; moments are null where there are none.
     *
     * @param maker who made it, by first name
     * @param tags parted by commas
     */
    record MailingLine(
            UUID id,
            String name,
            MailingState state,
            String maker,
            Instant changedAt,
            @Schema(nullable = true) Instant startedAt,
            @Schema(nullable = true) Instant endedAt,
            @Schema(nullable = true) UUID topic,
            String said,
            String tags,
            MailingCounts counts) {
        static MailingLine of(LineRow row) {
            return new MailingLine(
                    row.id(),
                    row.name(),
                    row.state(),
                    row.maker(),
                    row.changedAt(),
                    row.startedAt(),
                    row.endedAt(),
                    row.topicId(),
                    row.said(),
                    row.tags(),
                    new MailingCounts(
                            row.planned(),
                            row.leaving(),
                            row.waiting(),
                            row.sent(),
                            row.held(),
                            row.notSure(),
                            row.refused(),
                            row.leftOut(),
                            row.opened(),
                            row.clicked(),
                            row.replied(),
                            row.unsubscribed()));
        }
    }

    record MailingWindow(List<MailingLine> lines, boolean more) {}

    /** A window of the list, the newest change first. */
    @GetMapping
    MailingWindow lines(
            Colleague asking,
            @RequestParam(defaultValue = "") String search,
            @RequestParam(required = false) MailingState state,
            @RequestParam(required = false) UUID topic,
            @RequestParam(required = false) UUID sender,
            @RequestParam(defaultValue = "") String tag,
            @RequestParam(defaultValue = "0") int days,
            @RequestParam(defaultValue = "") String figure,
            @RequestParam(defaultValue = "0") int least,
            @RequestParam(required = false) UUID after) {
        Lines window = lines.lines(new Narrowed(search, state, topic, sender, tag, days, figure, least), after);
        return new MailingWindow(window.lines().stream().map(MailingLine::of).toList(), window.more());
    }

    /** A mailing on its way; {@code mayChange} is whether whoever asks may pause, move or stop something of it. */
    record MailingUnderWay(MailingLine line, boolean mayChange) {}

    /** Those that are on their way, or have somebody who wants to be looked at. */
    @GetMapping("/under-way")
    List<MailingUnderWay> underWay(Colleague asking) {
        return lines.underWay().stream()
                .map(row -> new MailingUnderWay(MailingLine.of(row), mailings.mayChange(row, asking)))
                .toList();
    }

    /** The colleagues in whose name one may send mailings. */
    @GetMapping("/senders")
    List<Colleague> senders(Colleague asking) {
        return readiness.senders(asking);
    }

    /** A mailing to be begun; {@code choice} is null for nobody yet. */
    record NewMailing(String name, @Schema(nullable = true) ListSelection choice) {}

    record MadeMailing(UUID id) {}

    @PostMapping
    MadeMailing add(Colleague asking, @RequestBody NewMailing wanted) {
        return new MadeMailing(mailings.add(wanted.name(), wanted.choice(), asking));
    }

    @PostMapping("/{id}/copy")
    MadeMailing copy(Colleague asking, @PathVariable UUID id) {
        return new MadeMailing(mailings.copy(id, asking));
    }

    /**
     * A language in which a mailing says something.
     *
     * @param language by ISO 639; empty for the words that everybody gets for whom there are no others
     * @param purpose what they are for, as their template says; may be empty
     */
    record ShownWording(String language, UUID template, String name, String purpose, List<String> blanks) {}

    /** Something that keeps all of it from leaving. */
    record ShownStop(String code, String title, String remedy) {
        static ShownStop of(MailingStop stop) {
            return new ShownStop(stop.code(), stop.title(), stop.remedy());
        }
    }

    /**
     * A mailing on its page; moments are null where there are none.
     *
     * @param maker who made it, by first name; as {@code starter}, which is empty while nobody has started it
     * @param starterId who started it; null while nobody has
     * @param said why it rests, was paused or has ended
     * @param mayChange whether whoever asks may change it
     * @param most to so many people it may go
     */
    record ShownMailing(
            UUID id,
            String name,
            MailingState state,
            MailingPlan plan,
            int version,
            String maker,
            String starter,
            Instant changedAt,
            @Schema(nullable = true) Instant startedAt,
            @Schema(nullable = true) Instant endedAt,
            @Schema(nullable = true) Instant testedAt,
            @Schema(nullable = true) Instant restsUntil,
            String said,
            boolean mayChange,
            int most,
            MailingCounts counts) {}

    @GetMapping("/{id}")
    ShownMailing mailing(Colleague asking, @PathVariable UUID id) {
        Mailing one = mailings.get(id);
        return new ShownMailing(
                one.id(),
                one.name(),
                one.state(),
                one.plan(),
                one.version(),
                first(one.madeBy()),
                one.startedBy() == null ? "" : first(one.startedBy()),
                one.changedAt(),
                one.startedAt(),
                one.endedAt(),
                one.testedAt(),
                one.restsUntil(),
                one.said(),
                mailings.mayChange(one, asking),
                rules.get().most(),
                one.counts());
    }

    private String first(UUID colleague) {
        return team.find(colleague).map(Colleague::firstName).orElse("");
    }

    record ChangedMailing(int version, String name, MailingPlan plan) {}

    record MailingVersion(int version) {}

    @PutMapping("/{id}")
    MailingVersion change(Colleague asking, @PathVariable UUID id, @RequestBody ChangedMailing changed) {
        return new MailingVersion(mailings.change(id, changed.version(), changed.name(), changed.plan(), asking));
    }

    @DeleteMapping("/{id}")
    void delete(Colleague asking, @PathVariable UUID id) {
        mailings.delete(id, asking);
    }

    /**
     * A mailing as a whole, as whoever asks could start it.
     *
     * @param stops what keeps all of it from leaving
     * @param wrong what is wrong with a part of its page, in sentences, by part
     * @param tested whether exactly this was sent as a test
     * @param wordings what it says, in which languages
     */
    record MailingReady(
            List<ShownCandidate> in,
            List<ShownLeftOut> out,
            List<ShownStop> stops,
            Map<String, String> wrong,
            boolean tested,
            List<ShownWording> wordings) {}

    private List<ShownWording> wordings(Ready ready) {
        List<ShownWording> shown = new ArrayList<>();
        ready.words().ifPresent(said -> {
            shown.add(shown("", said.usual()));
            said.others().forEach((language, one) -> shown.add(shown(language, one)));
        });
        return shown;
    }

    private ShownWording shown(String language, Wording one) {
        return new ShownWording(
                language, one.template(), one.words().name(), one.words().purpose(), words.blanks(one));
    }

    /** Who gets a mailing, and what keeps it from leaving. */
    @GetMapping("/{id}/ready")
    MailingReady ready(Colleague asking, @PathVariable UUID id) {
        Ready ready = readiness.of(id, asking);
        return new MailingReady(
                ready.audience().in().stream().map(ShownCandidate::of).toList(),
                ready.audience().out().stream().map(ShownLeftOut::of).toList(),
                ready.stops().stream().map(ShownStop::of).toList(),
                ready.wrong(),
                ready.tested(),
                wordings(ready));
    }

    /**
     * What somebody gets.
     *
     * @param organisation where they work; empty for nowhere
     * @param sender who it goes out as, by first name
     * @param opening what it begins with
     * @param fallbacks the fields that say something else than a value
     * @param language they are written to in, by ISO 639
     * @param own whether it is in words of their own
     * @param held who holds it back, by first name; empty for nobody
     * @param heldWhy why; may be empty
     * @param at when it leaves, as things are; null where that is not known
     * @param moved whether somebody chose that by hand for them
     */
    record ShownPreview(
            UUID key,
            CrmKind kind,
            UUID person,
            @Schema(nullable = true) UUID deal,
            String name,
            String organisation,
            String sender,
            String address,
            String subject,
            String opening,
            List<String> fallbacks,
            String language,
            boolean own,
            List<RowNote> notes,
            String held,
            String heldWhy,
            @Schema(nullable = true) Instant at,
            boolean moved) {}

    /** A line of the answer: what somebody gets, or at the end what there is to be said of the whole. */
    record PreviewLine(@Schema(nullable = true) ShownPreview row, @Schema(nullable = true) List<String> whole) {}

    /** What everybody gets who has not got it; a line for each as soon as it is read. */
    @PostMapping("/{id}/previews")
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = ProgressLines.TYPE, schema = @Schema(implementation = PreviewLine.class)))
    void previews(Colleague asking, @PathVariable UUID id, HttpServletResponse response) {
        Ready ready = readiness.of(id, asking);
        ProgressLines written = new ProgressLines(response, json);
        WholeNotes whole = new WholeNotes();
        if (ready.words().isPresent()) {
            Map<UUID, MailingPerson> known = people.known(id);
            Audience audience = MailingPeople.left(ready.audience(), known);
            Map<UUID, Instant> due = times.of(ready.mailing().plan(), audience.in(), known);
            reading.each(ready.mailing(), audience, ready.said(), known, due, asking, row -> {
                whole.read(row);
                written.line(new PreviewLine(shown(row, known.get(row.key()), due.get(row.key())), null));
            });
        }
        written.line(new PreviewLine(null, whole.sentences()));
    }

    private ShownPreview shown(PreviewRow row, MailingPerson known, Instant at) {
        Optional<MailingPerson> held = Optional.ofNullable(known).filter(one -> one.heldBy() != null);
        return new ShownPreview(
                row.key(),
                row.kind(),
                row.person(),
                row.deal(),
                row.name(),
                row.organisation(),
                row.sender(),
                row.address(),
                row.subject(),
                row.opening(),
                row.fallbacks(),
                row.language(),
                row.own(),
                row.notes(),
                held.map(one -> first(one.heldBy())).orElse(""),
                held.map(MailingPerson::why).orElse(""),
                at,
                known != null && known.moved());
    }

    /** What the company wants of all mailings. */
    @GetMapping("/rules")
    SendingRules rules(Colleague asking) {
        return rules.get();
    }

    @PutMapping("/rules")
    void change(Colleague asking, @RequestBody SendingRules wanted) {
        rules.change(wanted, asking);
    }
}
