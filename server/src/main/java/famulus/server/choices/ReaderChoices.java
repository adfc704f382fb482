package famulus.server.choices;

import famulus.core.audience.ReaderChoice;
import famulus.core.audience.ReaderChoice.Pace;
import famulus.server.choices.ReaderChoiceMapper.ChoiceRow;
import famulus.server.choices.ReaderChoiceMapper.RefusedRow;
import famulus.server.choices.Topics.Topic;
import famulus.server.platform.Ids;
import famulus.server.records.PersonSummaries;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Keeps what readers have chosen of messages that go to several at once, and how it was before. */
@Service
public class ReaderChoices {
    private static final TypeReference<List<Before>> LIST = new TypeReference<>() {};

    private final ReaderChoiceMapper mapper;
    private final Topics topics;
    private final PersonSummaries summaries;
    private final Ids ids;
    private final Clock clock;
    private final JsonMapper json;

    ReaderChoices(
            ReaderChoiceMapper mapper,
            Topics topics,
            PersonSummaries summaries,
            Ids ids,
            Clock clock,
            JsonMapper json) {
        this.mapper = mapper;
        this.topics = topics;
        this.summaries = summaries;
        this.ids = ids;
        this.clock = clock;
        this.json = json;
    }

    /** What somebody had chosen before a change. */
    private record Before(UUID person, boolean nothing, Set<UUID> refused, Pace pace) {
        ReaderChoice choice() {
            return new ReaderChoice(nothing, refused, pace);
        }
    }

    /** What people have chosen; who has chosen nothing is left out. */
    public Map<UUID, ReaderChoice> of(Collection<UUID> people) {
        if (people.isEmpty()) {
            return Map.of();
        }
        Map<UUID, Set<UUID>> refused = mapper.refused(people).stream()
                .collect(Collectors.groupingBy(
                        RefusedRow::personId, Collectors.mapping(RefusedRow::topicId, Collectors.toSet())));
        Map<UUID, ReaderChoice> all = new HashMap<>();
        for (ChoiceRow row : mapper.choices(people)) {
            all.put(
                    row.personId(),
                    new ReaderChoice(row.nothing(), refused.getOrDefault(row.personId(), Set.of()), row.pace()));
        }
        return all;
    }

    /** What one person has chosen. */
    public ReaderChoice of(UUID person) {
        return of(List.of(person)).getOrDefault(person, ReaderChoice.NONE);
    }

    /** What a person has chosen, in a sentence for colleagues; empty where they get everything. */
    public Optional<String> said(UUID person) {
        ReaderChoice choice = of(person);
        if (choice.nothing()) {
            return Optional.of("Unsubscribed from messages to several people. A personal message may still be sent.");
        }
        List<String> parts = new ArrayList<>();
        String refused = topics.all().stream()
                .filter(one -> choice.refused().contains(one.id()))
                .map(one -> "“" + one.name() + "”")
                .collect(Collectors.joining(", "));
        if (!refused.isEmpty()) {
            parts.add("Wants nothing about " + refused + ".");
        }
        if (choice.pace() != Pace.ANY) {
            parts.add("Wants " + choice.pace().words() + " at most of messages to several people.");
        }
        return parts.isEmpty() ? Optional.empty() : Optional.of(String.join(" ", parts));
    }

    /**
     * Keeps what some people want from now on.
     *
     * @param choosing what becomes of the choice of each
     * @param message by whose page it was chosen
     * @return by which it can be undone; empty where nothing has changed
     */
    @Transactional
    public Optional<UUID> choose(Collection<UUID> people, UnaryOperator<ReaderChoice> choosing, UUID message) {
        List<UUID> each = people.stream().sorted().distinct().toList();
        // Of two who choose at once each knows what the other has chosen.
        each.forEach(summaries::hold);
        Map<UUID, ReaderChoice> now = of(each);
        List<Before> before = each.stream()
                .map(person -> before(person, now.getOrDefault(person, ReaderChoice.NONE)))
                .filter(one -> !one.choice().equals(known(choosing.apply(one.choice()))))
                .toList();
        if (before.isEmpty()) {
            return Optional.empty();
        }
        before.forEach(one -> keep(one.person(), known(choosing.apply(one.choice()))));
        UUID change = ids.next();
        mapper.change(change, message, clock.instant(), json.writeValueAsString(before));
        return Optional.of(change);
    }

    /** Nobody refuses a topic that was removed. */
    private ReaderChoice known(ReaderChoice choice) {
        Set<UUID> there = topics.all().stream().map(Topic::id).collect(Collectors.toSet());
        return new ReaderChoice(
                choice.nothing(),
                choice.refused().stream().filter(there::contains).collect(Collectors.toSet()),
                choice.pace());
    }

    private static Before before(UUID person, ReaderChoice choice) {
        return new Before(person, choice.nothing(), choice.refused(), choice.pace());
    }

    private void keep(UUID person, ReaderChoice choice) {
        mapper.keep(new ChoiceRow(person, choice.nothing(), choice.pace()), clock.instant());
        mapper.clearRefused(person);
        choice.refused().forEach(topic -> mapper.refuse(new RefusedRow(person, topic)));
        summaries.unsubscribed(person, choice.nothing());
    }

    /**
     * Puts things back as they were before a change; once.
     *
     * @param message by whose page it was made
     * @return whose choices were put back
     */
    @Transactional
    public Set<UUID> undo(UUID change, UUID message) {
        Optional<String> kept = mapper.before(change, message);
        kept.ifPresent(any -> mapper.forget(change));
        List<Before> before = kept.map(one -> json.readValue(one, LIST)).orElse(List.of());
        before.forEach(one -> summaries.hold(one.person()));
        before.forEach(one -> keep(one.person(), known(one.choice())));
        return before.stream().map(Before::person).collect(Collectors.toSet());
    }

    /** Puts in place that somebody wants nothing; for the demo's data. */
    public void keepNothing(UUID person) {
        keep(person, new ReaderChoice(true, Set.of(), Pace.ANY));
    }
}
