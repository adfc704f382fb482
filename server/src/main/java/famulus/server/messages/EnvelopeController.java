package famulus.server.messages;

import famulus.core.calendar.PlannedHour;
import famulus.core.calendar.SendingHours;
import famulus.core.proof.StopCode;
import famulus.server.materials.FileService;
import famulus.server.materials.FileService.KeptFile;
import famulus.server.messages.EnvelopeService.ReadEnvelope;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.platform.Refusal;
import famulus.server.records.CatalogueService;
import famulus.server.records.CrmKind;
import famulus.server.records.NeededData;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PeopleContext.Nearby;
import famulus.server.records.PeopleContext.Person;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The envelope of a message while it is written: who may be put on it, what is wrong with it, and good hours to send. */
@RestController
class EnvelopeController {
    private final MessageDraftService drafts;
    private final EnvelopeService envelopes;
    private final SenderRights senders;
    private final PeopleContext people;
    private final CatalogueService catalogue;
    private final FileService files;
    private final TeamService team;
    private final Clock clock;

    EnvelopeController(
            MessageDraftService drafts,
            EnvelopeService envelopes,
            SenderRights senders,
            PeopleContext people,
            CatalogueService catalogue,
            FileService files,
            TeamService team,
            Clock clock) {
        this.drafts = drafts;
        this.envelopes = envelopes;
        this.senders = senders;
        this.people = people;
        this.catalogue = catalogue;
        this.files = files;
        this.team = team;
        this.clock = clock;
    }

    /** Somebody a message can go out as. */
    record SenderChoice(UUID id, String name, String email) {}

    /**
     * An hour, on both clocks.
     *
     * @param ours as our company's clock says it, such as {@code Tuesday 5 May, 08:00}
     * @param theirs as the clock of whoever is written to says it
     * @param remarks what speaks against it, in sentences
     */
    record ShownHour(SendingWishes.Hour hour, Instant moment, String ours, String theirs, List<String> remarks) {}

    /**
     * An envelope as it is now.
     *
     * @param also contacts who get the message too
     * @param nearby who else is there at the deal and organisation
     * @param senders everybody it could go out as, whoever asks first
     * @param replyTo where answers go
     * @param files what is attached, without those that are gone
     * @param size of all that is attached, in bytes
     * @param hour when it leaves; null for at once
     * @param wrong what stops it, in sentences for each part: address, toName, also, cc, bcc, replyTo, hour, files
     * @param stops the same as notes, with what to do about each
     */
    record ShownEnvelope(
            List<Nearby> also,
            List<Nearby> nearby,
            List<SenderChoice> senders,
            String replyTo,
            List<KeptFile> files,
            long size,
            @Schema(nullable = true) ShownHour hour,
            Map<String, String> wrong,
            List<EnvelopeStop> stops) {}

    /** Something about an envelope that stops its message, and which part of it that is. */
    record EnvelopeStop(String code, String part, String title, String remedy) {}

    @PostMapping("/api/messages/envelope")
    ShownEnvelope envelope(Colleague asking, @RequestBody MessageToSend message) {
        MessageDraft draft = drafts.read(message.complete(), asking);
        Person person = draft.proof().person();
        ReadEnvelope read = envelopes.read(message, draft);
        List<KeptFile> attached = files.some(draft.files());
        Set<UUID> also = Set.copyOf(message.wishes().also());
        return new ShownEnvelope(
                people.contacts(message.wishes().also()),
                people.nearby(person).stream()
                        .filter(one -> !also.contains(one.id()))
                        .toList(),
                senders.all(message.to(), asking).stream()
                        .map(one -> new SenderChoice(one.id(), one.name(), one.email()))
                        .toList(),
                Optional.ofNullable(message.wishes().replyTo())
                        .or(() -> team.answersGoTo(draft.sender().id()))
                        .orElse(draft.sender().email()),
                attached,
                attached.stream().mapToLong(KeptFile::size).sum(),
                message.wishes()
                        .planned()
                        .map(hour -> shown(hour, hours(person)))
                        .orElse(null),
                read.wrong(),
                // A missing file is among what stops the message itself.
                read.faults().stream()
                        .filter(fault -> !fault.code().equals(StopCode.FILE_LOST.code()))
                        .map(fault -> new EnvelopeStop(fault.code(), fault.part(), fault.title(), fault.remedy()))
                        .toList());
    }

    /** Of whom and about when it is asked; {@code hour} is null for none yet, or for {@code moment} on our clock. */
    record HoursRequest(
            CrmKind kind,
            UUID person,
            @Schema(nullable = true) SendingWishes.Hour hour,
            @Schema(nullable = true) Instant moment) {}

    /** An hour that is offered, and why. */
    record OfferedHour(SendingHours.Kind kind, ShownHour hour) {}

    /**
     * Good hours to write to somebody.
     *
     * @param ours the zone of our company's clock, as {@code theirs} of theirs
     * @param oursName what it is called, as {@code theirsName}
     * @param hour the hour that was asked about, a moment on our clock; null for none
     * @param refusal why that can't be; empty where it can
     */
    record ShownHours(
            String ours,
            String oursName,
            String theirs,
            String theirsName,
            List<OfferedHour> offered,
            @Schema(nullable = true) ShownHour hour,
            String refusal) {}

    @PostMapping("/api/messages/hours")
    ShownHours hours(Colleague asking, @RequestBody HoursRequest request) {
        if (request.kind() == null || request.person() == null) {
            throw Refusal.because("no-person", "Choose the person to write to.");
        }
        SendingHours hours = hours(people.person(
                new For(request.kind(), request.person(), null),
                asking,
                catalogue.catalogue(),
                false,
                NeededData.of(Set.of())));
        Optional<PlannedHour> asked = Optional.ofNullable(request.hour())
                .map(SendingWishes.Hour::planned)
                .or(() -> Optional.ofNullable(request.moment()).map(moment -> PlannedHour.at(moment, hours.ours())));
        return new ShownHours(
                hours.ours().getId(),
                PlannedHour.place(hours.ours()),
                hours.theirs().getId(),
                PlannedHour.place(hours.theirs()),
                hours.offered(clock.instant()).stream()
                        .map(one -> new OfferedHour(one.kind(), shown(one.hour(), hours)))
                        .toList(),
                asked.map(hour -> shown(hour, hours)).orElse(null),
                asked.flatMap(hour -> hour.refusal(clock.instant())).orElse(""));
    }

    private SendingHours hours(Person person) {
        ZoneId ours = team.house().zone();
        return new SendingHours(ours, person.zone(), person.workingDays());
    }

    private static ShownHour shown(PlannedHour hour, SendingHours hours) {
        return new ShownHour(
                SendingWishes.Hour.of(hour),
                hour.moment(),
                hour.in(hours.ours()).words(),
                hour.in(hours.theirs()).words(),
                hours.remarks(hour));
    }
}
