package famulus.server.mailings;

import famulus.core.audience.Audience;
import famulus.core.audience.Candidate;
import famulus.core.calendar.PlannedHour;
import famulus.core.calendar.SendingPlan;
import famulus.core.departure.Departure;
import famulus.core.departure.MailingStop;
import famulus.core.departure.WholeMailing;
import famulus.server.company.HolidayService;
import famulus.server.library.TemplateService;
import famulus.server.library.TemplateVersionService.Reason;
import famulus.server.mailings.MailingController.ShownWording;
import famulus.server.mailings.MailingPlan.From;
import famulus.server.mailings.MailingRules.Rules;
import famulus.server.mailings.MailingWords.Wordings;
import famulus.server.messages.AudienceService;
import famulus.server.messages.DraftsForMany;
import famulus.server.messages.TemplateFit;
import famulus.server.outbox.OutboxService;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.CrmRecord;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.RecordService;
import famulus.server.team.Colleague;
import famulus.server.team.House;
import famulus.server.team.Role;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/** Says what keeps a mailing from leaving, plans when each of its messages does, and starts it. */
@Service
class MailingStart {
    private final MailingService mailings;
    private final MailingPeople people;
    private final MailingWords words;
    private final MailingReading reading;
    private final MailingMessages messages;
    private final MailingMapper mapper;
    private final MailingPersonMapper persons;
    private final MailingRules rules;
    private final MailingLooks looks;
    private final MailingEvents events;
    private final MailingSender sender;
    private final DraftsForMany many;
    private final RecordService records;
    private final HolidayService holidays;
    private final TemplateService templates;
    private final OutboxService outbox;
    private final TeamService team;
    private final TransactionTemplate transactions;
    private final JsonMapper json;
    private final Clock clock;

    MailingStart(
            MailingService mailings,
            MailingPeople people,
            MailingWords words,
            MailingReading reading,
            MailingMessages messages,
            MailingMapper mapper,
            MailingPersonMapper persons,
            MailingRules rules,
            MailingLooks looks,
            MailingEvents events,
            MailingSender sender,
            DraftsForMany many,
            RecordService records,
            HolidayService holidays,
            TemplateService templates,
            OutboxService outbox,
            TeamService team,
            TransactionTemplate transactions,
            JsonMapper json,
            Clock clock) {
        this.mailings = mailings;
        this.people = people;
        this.words = words;
        this.reading = reading;
        this.messages = messages;
        this.mapper = mapper;
        this.persons = persons;
        this.rules = rules;
        this.looks = looks;
        this.events = events;
        this.sender = sender;
        this.many = many;
        this.records = records;
        this.holidays = holidays;
        this.templates = templates;
        this.outbox = outbox;
        this.team = team;
        this.transactions = transactions;
        this.json = json;
        this.clock = clock;
    }

    /**
     * A mailing as a whole, as whoever asks could start it.
     *
     * @param audience who gets it; nobody where that can’t be told, which {@code wrong} says
     * @param words what it says; empty where there is no template, or none that may be used
     * @param digest of what a test of it covers; empty likewise
     * @param stops what keeps all of it from leaving
     * @param wrong what is wrong with a part of its page, in sentences, by part
     */
    record Ready(
            Mailing mailing,
            Audience audience,
            Optional<Wordings> words,
            String digest,
            List<MailingStop> stops,
            Map<String, String> wrong) {
        boolean tested() {
            return !digest.isEmpty() && digest.equals(mailing.tested());
        }
    }

    /** How a mailing stands. */
    Ready ready(UUID id, Colleague asking) {
        Mailing mailing = mailings.get(id);
        MailingPlan plan = mailing.plan();
        Map<String, String> wrong = new HashMap<>();
        Audience audience =
                asked(wrong, "who", () -> people.audience(plan, asking)).orElse(new Audience(List.of(), List.of()));
        Optional<Colleague> from = asked(wrong, "sender", () -> from(plan, asking));
        Optional<Wordings> said = asked(wrong, "template", () -> words.now(plan.what(), asking, from.orElse(asking)))
                .flatMap(Function.identity());
        said.ifPresent(one -> asked(wrong, "template", () -> fitting(one, plan)));
        asked(wrong, "hour", () -> hour(plan));
        String digest = said.map(one -> words.digest(one, plan.what())).orElse("");
        Rules most = rules.get();
        House house = team.house();
        boolean several = AudienceService.toSeveral(plan.who().kind());
        List<MailingStop> stops = Departure.stops(new WholeMailing(
                audience.in().size(),
                most.most(),
                plan.what().template() != null,
                said.isPresent() && !wrong.containsKey("template"),
                several,
                !house.street().isBlank() && !house.town().isBlank(),
                many.choosable(plan.who().kind()),
                from.isPresent(),
                !wrong.containsKey("hour"),
                !digest.isEmpty() && digest.equals(mailing.tested()),
                !most.look() || looks.approved(id, digest)));
        return new Ready(mailing, audience, said, digest, stops, wrong);
    }

    /** What it says, in which languages; the words that most get first, without a language. */
    List<ShownWording> wordings(Ready ready) {
        List<ShownWording> shown = new ArrayList<>();
        ready.words().ifPresent(said -> {
            shown.add(MailingController.shown("", said.usual(), words.blanks(said.usual())));
            said.others()
                    .forEach((language, one) -> shown.add(MailingController.shown(language, one, words.blanks(one))));
        });
        return shown;
    }

    private static <T> Optional<T> asked(Map<String, String> wrong, String part, Supplier<T> what) {
        try {
            return Optional.ofNullable(what.get());
        } catch (Refusal refusal) {
            wrong.putIfAbsent(part, refusal.getMessage());
            return Optional.empty();
        }
    }

    private Colleague from(MailingPlan plan, Colleague asking) {
        UUID chosen = plan.what().sender();
        if (plan.what().from() == From.OWNER || chosen == null || chosen.equals(asking.id())) {
            return asking;
        }
        Colleague other = team.find(chosen)
                .filter(Colleague::active)
                .orElseThrow(() -> Refusal.field("sender", "This colleague has left the team."));
        boolean allowed =
                asking.is(Role.ASSISTANT) ? other.is(Role.AGENT, Role.KEEPER) : team.writtenForByColleagues(other.id());
        if (!allowed) {
            throw Refusal.field("sender", other.name() + " does not let colleagues write in their name.");
        }
        return other;
    }

    private static Boolean fitting(Wordings said, MailingPlan plan) {
        CrmKind kind = plan.who().kind();
        boolean deal = kind == CrmKind.DEAL;
        TemplateFit.mustFit(said.usual().words().about(), deal ? CrmKind.CONTACT : kind, deal);
        return true;
    }

    private Boolean hour(MailingPlan plan) {
        if (plan.when().hour() != null) {
            PlannedHour hour = plan.when().hour().planned();
            hour.refusal(clock.instant()).ifPresent(sentence -> {
                throw Refusal.field("hour", sentence);
            });
        }
        return true;
    }

    /** When the message to each leaves, by what they were chosen as. */
    Map<UUID, Instant> times(MailingPlan plan, List<Candidate> in) {
        Rules limits = rules.get();
        Instant now = clock.instant();
        Instant start = Optional.ofNullable(plan.when().hour())
                .map(hour -> hour.planned().moment())
                .filter(hour -> hour.isAfter(now))
                .orElse(now);
        List<SendingPlan.Reader> readers = readers(plan, in);
        List<Instant> gone = persons.left(start.minus(Duration.ofHours(24)));
        List<Instant> times = new SendingPlan(
                        start,
                        Duration.ofMinutes(plan.when().overMinutes()),
                        plan.when().theirHours(),
                        limits.perHour(),
                        limits.perDay())
                .times(readers, gone);
        Map<UUID, Instant> byKey = new HashMap<>();
        for (int i = 0; i < in.size(); i++) {
            byKey.put(in.get(i).key(), times.get(i));
        }
        return byKey;
    }

    /** By whose clock each lives; asked only where that matters. */
    private List<SendingPlan.Reader> readers(MailingPlan plan, List<Candidate> in) {
        House house = team.house();
        Map<UUID, CrmRecord> found = plan.when().theirHours()
                ? records.all(
                        plan.who().kind() == CrmKind.DEAL
                                ? CrmKind.CONTACT
                                : plan.who().kind(),
                        in.stream().map(one -> one.person().orElseThrow()).collect(Collectors.toSet()))
                : Map.of();
        return in.stream()
                .map(one -> reader(found.get(one.person().orElseThrow()), house))
                .toList();
    }

    private SendingPlan.Reader reader(CrmRecord person, House house) {
        String zone = person == null ? "" : person.text("time_zone");
        String country = person == null ? "" : person.text("country");
        return new SendingPlan.Reader(
                zone.isEmpty() ? house.zone() : ZoneId.of(zone),
                holidays.of(country.isEmpty() ? house.country() : country));
    }

    /**
     * Starts a mailing, or has it go on with what has been changed while it waited. Everything is looked at once more; whoever can’t
     * get it as it is is held back, and the others go.
     *
     * @param version what it was when whoever starts it looked at it
     * @param expected to how many they said it is to go; refused where these are others by now
     */
    void start(UUID id, int version, int expected, Colleague by) {
        Mailing before = mailings.mustBeChangeable(mailings.get(id), by);
        if (!before.open()) {
            throw Refusal.because("started", "This mailing is under way already.");
        }
        if (before.version() != version) {
            throw changed();
        }
        Ready ready = ready(id, by);
        ready.stops().stream().findFirst().ifPresent(stop -> {
            String why = ready.wrong().values().stream().findFirst().orElse(stop.remedy());
            throw Refusal.because(stop.code(), stop.title() + ". " + why);
        });
        Wordings said = ready.words().orElseThrow();
        Map<UUID, MailingPerson> known = known(id);
        Audience audience = left(ready.audience(), known);
        Map<UUID, Optional<String>> stopped = new HashMap<>();
        Map<UUID, Instant> times = times(before.plan(), audience.in());
        reading.each(before, audience, said, known, times, by, row -> stopped.put(row.key(), row.stopped()));
        long going = audience.in().stream()
                .filter(one -> stopped.getOrDefault(one.key(), Optional.of("")).isEmpty())
                .filter(one -> !heldBack(known.get(one.key())))
                .count();
        if (going != expected) {
            throw Refusal.changedMeanwhile(
                    "It would go to " + going + " people now, not " + expected + ". Look at them again.");
        }
        if (going == 0) {
            throw Refusal.because("nobody", "Nobody is left whom it could go to. Put right what holds them back.");
        }
        transactions.executeWithoutResult(status -> {
            said.all().forEach(one -> templates.keepVersion(one.template(), one.version(), Reason.USED));
            int started =
                    mapper.start(id, version, json.writeValueAsString(said), ready.digest(), by.id(), clock.instant());
            if (started == 0) {
                throw changed();
            }
            plan(before, ready.audience(), known, stopped, times);
            mapper.recount(id);
        });
        events.changed(id);
        sender.look();
    }

    private static Refusal changed() {
        return Refusal.changedMeanwhile("Somebody else has changed or started this mailing in the meantime.");
    }

    private Map<UUID, MailingPerson> known(UUID id) {
        return persons.all(id).stream().collect(Collectors.toMap(MailingPerson::chosenId, Function.identity()));
    }

    private static boolean heldBack(MailingPerson person) {
        return person != null && person.heldBy() != null;
    }

    /** Those whom it has not gone to. */
    static Audience left(Audience audience, Map<UUID, MailingPerson> known) {
        return new Audience(
                audience.in().stream()
                        .filter(one -> known.get(one.key()) == null
                                || !known.get(one.key()).state().gone())
                        .toList(),
                audience.out());
    }

    private void plan(
            Mailing mailing,
            Audience audience,
            Map<UUID, MailingPerson> known,
            Map<UUID, Optional<String>> stopped,
            Map<UUID, Instant> times) {
        CrmKind kind = mailing.plan().who().kind();
        Set<UUID> asked = new HashSet<>();
        for (Candidate one : audience.in()) {
            asked.add(one.key());
            MailingPerson before = anew(known.get(one.key()));
            if (before != null && before.state().gone()) {
                continue;
            }
            Optional<String> stop = stopped.getOrDefault(one.key(), Optional.of("They are missing."));
            boolean held = heldBack(before) || stop.isPresent();
            persons.keep(row(
                    mailing.id(),
                    one,
                    AudienceService.to(one, kind),
                    before,
                    held ? PersonState.HELD : PersonState.PLANNED,
                    held ? stop.orElse(before == null ? "" : before.why()) : "",
                    times.get(one.key())));
        }
        for (Audience.LeftOut out : audience.out()) {
            asked.add(out.candidate().key());
            MailingPerson before = known.get(out.candidate().key());
            if (out.candidate().person().isEmpty()
                    || before != null && before.state().gone()) {
                continue;
            }
            String why = out.reasons().stream().map(reason -> reason.sentence()).collect(Collectors.joining(" "));
            persons.keep(row(
                    mailing.id(),
                    out.candidate(),
                    AudienceService.to(out.candidate(), kind),
                    before,
                    PersonState.LEFT_OUT,
                    why,
                    null));
        }
        // Whoever was chosen once and is not any more stays in its list, and gets nothing.
        List<MailingPerson> others = new ArrayList<>(known.values());
        others.removeIf(one -> asked.contains(one.chosenId()) || one.state().gone());
        others.forEach(
                one -> persons.become(mailing.id(), one.chosenId(), PersonState.LEFT_OUT, "Not chosen any more."));
    }

    /** Somebody as they are, without a message that was made and has not left: it may say what was changed since. */
    private MailingPerson anew(MailingPerson person) {
        if (person == null || person.messageId() == null || person.state().gone()) {
            return person;
        }
        outbox.dropOfMailing(person.messageId());
        return person.anew();
    }

    private static MailingPerson row(
            UUID mailing, Candidate one, For to, MailingPerson before, PersonState state, String why, Instant due) {
        return MailingPerson.planned(mailing, one, to).after(before, state, why, due);
    }
}
