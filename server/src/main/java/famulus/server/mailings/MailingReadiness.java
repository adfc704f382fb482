package famulus.server.mailings;

import famulus.core.audience.Audience;
import famulus.core.calendar.PlannedHour;
import famulus.core.departure.Departure;
import famulus.core.departure.MailingStop;
import famulus.core.departure.WholeMailing;
import famulus.server.mailings.MailingPlan.From;
import famulus.server.mailings.MailingWords.Wordings;
import famulus.server.messages.AudienceService;
import famulus.server.messages.DraftsForMany;
import famulus.server.messages.SenderRights;
import famulus.server.messages.TemplateFit;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.team.Colleague;
import famulus.server.team.House;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;

/** Says what a mailing is as it stands, and what keeps it from leaving. */
@Service
class MailingReadiness {
    private final MailingService mailings;
    private final MailingPeople people;
    private final MailingWords words;
    private final MailingRules rules;
    private final MailingLooks looks;
    private final DraftsForMany many;
    private final SenderRights senders;
    private final TeamService team;
    private final Clock clock;

    MailingReadiness(
            MailingService mailings,
            MailingPeople people,
            MailingWords words,
            MailingRules rules,
            MailingLooks looks,
            DraftsForMany many,
            SenderRights senders,
            TeamService team,
            Clock clock) {
        this.mailings = mailings;
        this.people = people;
        this.words = words;
        this.rules = rules;
        this.looks = looks;
        this.many = many;
        this.senders = senders;
        this.team = team;
        this.clock = clock;
    }

    /**
     * A mailing as a whole, as whoever asks could start it.
     *
     * @param audience who gets it; nobody where that can’t be told, which {@code wrong} says
     * @param words what it says; empty where there is no template, or none that may be used
     * @param digest of what a test of it covers; empty likewise
     * @param tested whether exactly this was sent as a test
     * @param stops what keeps all of it from leaving
     * @param wrong what is wrong with a part of its page, in sentences, by part
     */
    record Ready(
            Mailing mailing,
            Audience audience,
            Optional<Wordings> words,
            String digest,
            boolean tested,
            List<MailingStop> stops,
            Map<String, String> wrong) {
        /** What it says; refused where it says nothing, or nothing that may be used. */
        Wordings said() {
            return words.orElseThrow(() -> Refusal.because(
                    "no-template", wrong.getOrDefault("template", "Choose what the mailing says first.")));
        }

        /** Refuses what can’t leave, with what is wrong at its place. */
        void mustBe() {
            stops.stream().findFirst().ifPresent(stop -> {
                String why = Optional.ofNullable(wrong.get(part(stop))).orElse(stop.remedy());
                throw Refusal.because(stop.code(), stop.title() + ". " + why);
            });
        }

        private static String part(MailingStop stop) {
            return switch (stop) {
                case NO_TEMPLATE, NOT_READY, UNTESTED, UNSEEN -> "template";
                case NOBODY, TOO_MANY -> "who";
                case NO_ADDRESS, NO_UNSUBSCRIBE -> "company";
                case SENDER -> "sender";
                case HOUR -> "hour";
            };
        }
    }

    /** How a mailing stands. */
    Ready of(UUID id, Colleague asking) {
        Mailing mailing = mailings.get(id);
        MailingPlan plan = mailing.plan();
        Map<String, String> wrong = new LinkedHashMap<>();
        Audience audience =
                asked(wrong, "who", () -> people.audience(plan, asking)).orElse(new Audience(List.of(), List.of()));
        Optional<Colleague> from = asked(wrong, "sender", () -> from(plan, asking));
        Optional<Wordings> said = asked(wrong, "template", () -> words.now(plan.what(), asking, from.orElse(asking))
                .orElse(null));
        said.ifPresent(one -> asked(wrong, "template", () -> fitting(one, plan)));
        asked(wrong, "hour", () -> hour(plan));
        String digest = said.map(one -> words.digest(one, plan.what())).orElse("");
        boolean tested = !digest.isEmpty() && digest.equals(mailing.tested());
        SendingRules most = rules.get();
        House house = team.house();
        List<MailingStop> stops = Departure.stops(new WholeMailing(
                audience.in().size(),
                most.most(),
                plan.what().template() != null,
                said.isPresent() && !wrong.containsKey("template"),
                AudienceService.toSeveral(plan.who().kind()),
                !house.street().isBlank() && !house.town().isBlank(),
                many.choosable(plan.who().kind()),
                from.isPresent(),
                !wrong.containsKey("hour"),
                tested,
                !most.look() || looks.approved(id, digest)));
        return new Ready(mailing, audience, said, digest, tested, stops, wrong);
    }

    private static <T> Optional<T> asked(Map<String, String> wrong, String part, Supplier<T> what) {
        try {
            return Optional.ofNullable(what.get());
        } catch (Refusal refusal) {
            wrong.putIfAbsent(part, refusal.getMessage());
            return Optional.empty();
        }
    }

    /** The colleagues in whose name somebody may send mailings. */
    List<Colleague> senders(Colleague asking) {
        return senders.ofMailings(asking);
    }

    private Colleague from(MailingPlan plan, Colleague asking) {
        UUID chosen = plan.what().sender();
        if (plan.what().from() == From.OWNER || chosen == null || chosen.equals(asking.id())) {
            return asking;
        }
        Colleague other = team.find(chosen)
                .filter(Colleague::active)
                .orElseThrow(() -> Refusal.field("sender", "This colleague has left the team."));
        if (!senders.ofMailings(other, asking)) {
            throw Refusal.field("sender", other.name() + " does not let colleagues send mailings in their name.");
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
}
