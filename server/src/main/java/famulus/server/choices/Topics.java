package famulus.server.choices;

import famulus.core.record.PlainLine;
import famulus.server.choices.TopicMapper.NameRow;
import famulus.server.choices.TopicMapper.TopicRow;
import famulus.server.platform.Ids;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What messages to several people are about, so that a reader can want some of them and not others. */
@Service
public class Topics {
    /** More than these nobody chooses from. */
    private static final int MOST = 20;

    private static final int LONGEST_NAME = 60;
    /** The languages that readers’ pages are written in besides English. */
    private static final Set<String> LANGUAGES = Set.of("de", "fr");

    private final TopicMapper mapper;
    private final Ids ids;

    Topics(TopicMapper mapper, Ids ids) {
        this.mapper = mapper;
        this.ids = ids;
    }

    /**
     * A topic.
     *
     * @param names what it is called in other languages, by ISO 639
     */
    public record Topic(UUID id, String name, Map<String, String> names) {
        /** What it is called in a language. */
        public String in(String language) {
            return names.getOrDefault(language, name);
        }
    }

    /** A topic as it is typed; {@code id} is null for a new one. */
    public record TypedTopic(@Schema(nullable = true) UUID id, String name, Map<String, String> names) {}

    /** All of them, in the order in which they are offered. */
    public List<Topic> all() {
        Map<UUID, Map<String, String>> names = mapper.names().stream()
                .collect(Collectors.groupingBy(NameRow::topicId, Collectors.toMap(NameRow::language, NameRow::name)));
        return mapper.all().stream()
                .map((TopicRow row) -> new Topic(row.id(), row.name(), names.getOrDefault(row.id(), Map.of())))
                .toList();
    }

    /** One of them; empty where it was removed. */
    public Optional<Topic> find(UUID id) {
        return all().stream().filter(one -> one.id().equals(id)).findFirst();
    }

    /** One of them; refused where it was removed. */
    public Topic get(UUID id) {
        return find(id).orElseThrow(() -> Refusal.field("topic", "This topic was removed. Choose another one."));
    }

    /**
     * Keeps all topics as they are typed, in their order; those that are left out are removed.
     *
     * @param seen those that there were when they were read; refused where there are others by now
     */
    @Transactional
    public void keep(Set<UUID> seen, List<TypedTopic> typed, Colleague by) {
        by.mustBe("Editors and administrators change topics.", Role.KEEPER, Role.ADMINISTRATOR);
        check(typed);
        Set<UUID> left = new HashSet<>(mapper.all().stream().map(TopicRow::id).toList());
        if (!left.equals(seen)) {
            throw Refusal.changedMeanwhile("Somebody else has changed the topics in the meantime. Open them again.");
        }
        for (int i = 0; i < typed.size(); i++) {
            TypedTopic one = typed.get(i);
            UUID id = one.id() != null && left.remove(one.id()) ? one.id() : ids.next();
            mapper.keep(id, one.name().strip(), i);
            mapper.clearNames(id);
            names(one).forEach((language, name) -> mapper.name(new NameRow(id, language, name)));
        }
        left.forEach(mapper::remove);
    }

    /** The names in other languages that say something. */
    private static Map<String, String> names(TypedTopic typed) {
        Map<String, String> names = new LinkedHashMap<>();
        if (typed.names() != null) {
            typed.names().forEach((language, name) -> {
                if (LANGUAGES.contains(language) && name != null && !name.isBlank()) {
                    names.put(language, name.strip());
                }
            });
        }
        return names;
    }

    private static void check(List<TypedTopic> typed) {
        if (typed.size() > MOST) {
            throw Refusal.because("too-many", "Nobody chooses from more than " + MOST + " topics.");
        }
        Map<String, String> wrong = new LinkedHashMap<>();
        Set<String> taken = new HashSet<>();
        for (int i = 0; i < typed.size(); i++) {
            String at = "topics." + i + ".";
            TypedTopic one = typed.get(i);
            Optional<String> refusal = PlainLine.refusal(one.name(), LONGEST_NAME, true);
            refusal.ifPresent(sentence -> wrong.put(at + "name", sentence));
            if (refusal.isEmpty() && !taken.add(one.name().strip().toLowerCase(Locale.ROOT))) {
                wrong.put(at + "name", "There is a topic of this name already.");
            }
            names(one).forEach((language, name) -> PlainLine.refusal(name, LONGEST_NAME, false)
                    .ifPresent(sentence -> wrong.put(at + language, sentence)));
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
    }
}
