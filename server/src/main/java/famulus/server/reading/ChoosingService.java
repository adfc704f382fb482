package famulus.server.reading;

import famulus.core.audience.ReaderChoice;
import famulus.core.audience.ReaderChoice.Pace;
import famulus.server.choices.ReaderChoices;
import famulus.server.choices.Topics;
import famulus.server.choices.Topics.Topic;
import famulus.server.reading.ChoicesPage.Settled;
import famulus.server.reading.ChoicesPage.Shown;
import famulus.server.reading.ReadingMapper.PageRow;
import famulus.server.reading.ReadingService.ReadingEvent;
import famulus.server.records.CrmKind;
import famulus.server.records.RecordService;
import famulus.server.team.TeamService;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What readers choose by the link of a message, for themselves or for all who read at its address. */
@Service
class ChoosingService {
    private final ReaderChoices choices;
    private final Topics topics;
    private final ReadingService readings;
    private final RecordService records;
    private final TeamService team;

    ChoosingService(
            ReaderChoices choices, Topics topics, ReadingService readings, RecordService records, TeamService team) {
        this.choices = choices;
        this.topics = topics;
        this.readings = readings;
        this.records = records;
        this.team = team;
    }

    /** What is chosen. */
    enum What {
        /** None of these messages; what a mail program settles in one click (RFC 8058). */
        NOTHING,
        /** None about the topic of the message. */
        TOPIC,
        /** Some topics, and how often. */
        CHOICES,
        /** All of them again. */
        AGAIN,
        /** As it was before. */
        UNDO
    }

    /**
     * A choice as it was sent.
     *
     * @param one whether it is for the person of the message alone; else for all who read at its address
     * @param wanted the topics that were left ticked; of anything but choices none
     * @param change the change that is undone; null for anything else
     */
    record Chosen(What what, boolean one, Set<UUID> wanted, Pace pace, UUID change, String program) {}

    /** The page as it is now. */
    String page(PageRow page) {
        return page(page, Settled.NOTHING);
    }

    private String page(PageRow page, Settled settled) {
        if (gone(page)) {
            return ChoicesPage.gone(team.house().language(), team.house().name());
        }
        return ChoicesPage.of(new Shown(
                readings.language(page),
                team.house().name(),
                choices.of(page.personId()),
                topics.all(),
                Optional.ofNullable(page.topicId()).flatMap(topics::find),
                sharing(page).size(),
                settled));
    }

    /** Whether nothing is known any more of whoever the message went to. */
    private boolean gone(PageRow page) {
        return records.all(CrmKind.of(page.personKind()), List.of(page.personId()))
                .isEmpty();
    }

    /** All who read at the address a message went to. */
    private Set<UUID> sharing(PageRow page) {
        Set<UUID> sharing = new HashSet<>(records.peopleAt(page.toAddress()));
        sharing.add(page.personId());
        return sharing;
    }

    /** Keeps a choice, and answers with the page. What was chosen already changes nothing and can be undone no second time. */
    @Transactional
    public String settle(PageRow page, Chosen chosen) {
        if (gone(page)) {
            return page(page);
        }
        if (chosen.what() == What.UNDO) {
            return undo(page, chosen);
        }
        Set<UUID> people = chosen.one() ? Set.of(page.personId()) : sharing(page);
        ReaderChoice before = choices.of(page.personId());
        Optional<UUID> change = choices.choose(people, each -> choice(page, chosen, each), page.messageId());
        change.ifPresent(
                any -> readings.chose(page, event(before, choices.of(page.personId())), people, chosen.program()));
        return page(page, new Settled(true, false, change.orElse(null)));
    }

    private String undo(PageRow page, Chosen chosen) {
        ReaderChoice before = choices.of(page.personId());
        Set<UUID> people = chosen.change() == null ? Set.of() : choices.undo(chosen.change(), page.messageId());
        if (!people.isEmpty()) {
            readings.chose(page, event(before, choices.of(page.personId())), people, chosen.program());
        }
        return page(page, new Settled(false, !people.isEmpty(), null));
    }

    private ReaderChoice choice(PageRow page, Chosen chosen, ReaderChoice before) {
        return switch (chosen.what()) {
            case NOTHING -> new ReaderChoice(true, before.refused(), before.pace());
            case AGAIN -> new ReaderChoice(false, before.refused(), before.pace());
            case TOPIC -> new ReaderChoice(before.nothing(), with(before.refused(), page.topicId()), before.pace());
            case CHOICES ->
                new ReaderChoice(
                        false,
                        topics.all().stream()
                                .map(Topic::id)
                                .filter(topic -> !chosen.wanted().contains(topic))
                                .collect(Collectors.toSet()),
                        chosen.pace());
            case UNDO -> before;
        };
    }

    private static Set<UUID> with(Set<UUID> some, UUID one) {
        Set<UUID> more = new HashSet<>(some);
        if (one != null) {
            more.add(one);
        }
        return more;
    }

    private static ReadingEvent event(ReaderChoice before, ReaderChoice now) {
        if (before.nothing() == now.nothing()) {
            return ReadingEvent.CHOSE;
        }
        return now.nothing() ? ReadingEvent.UNSUBSCRIBED : ReadingEvent.CAME_BACK;
    }
}
