package famulus.server.library;

import famulus.core.record.SearchText;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import java.text.Collator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Words that templates are kept together by, whatever folders they lie in. Whoever may change a template may tag it. */
@Service
public class TemplateTags {
    private static final int MOST = 12;
    private static final int LONGEST = 40;
    /** Parts tags where several are typed. */
    private static final String BETWEEN = ",";

    private final TemplateMapper mapper;
    private final TemplateService templates;
    private final TemplateRights rights;
    private final TemplateKeeping keeping;
    private final TemplateEvents events;

    TemplateTags(
            TemplateMapper mapper,
            TemplateService templates,
            TemplateRights rights,
            TemplateKeeping keeping,
            TemplateEvents events) {
        this.mapper = mapper;
        this.templates = templates;
        this.rights = rights;
        this.keeping = keeping;
        this.events = events;
    }

    /** What two ways of writing one tag have in common. */
    static String key(String tag) {
        return String.join(" ", SearchText.words(List.of(tag)));
    }

    /** The tags of what somebody may see, and what it is for. */
    Sorts sorts(Colleague asking) {
        return new Sorts(
                sorted(mapper.purposes(asking)),
                sorted(mapper.tags(asking)),
                mapper.languages(asking).stream().map(WrittenIn::of).toList());
    }

    private static List<String> sorted(List<String> words) {
        return words.stream().sorted(Collator.getInstance(Locale.ENGLISH)).toList();
    }

    /** A language that some templates are written in besides another. */
    public record WrittenIn(String code, String name) {
        private static WrittenIn of(String code) {
            return new WrittenIn(code, Locale.of(code).getDisplayLanguage(Locale.ENGLISH));
        }
    }

    /** What templates can be told apart by. */
    public record Sorts(List<String> purposes, List<String> tags, List<WrittenIn> languages) {}

    /**
     * Adds tags to templates and removes others; of all of them or of none.
     *
     * @return the tags they had before, by template, so that it can be undone
     */
    @Transactional
    public Map<UUID, List<String>> tag(List<UUID> tagged, List<String> add, List<String> remove, Colleague by) {
        List<String> sound = add.stream().map(TemplateTags::sound).toList();
        List<String> gone = remove.stream().map(TemplateTags::key).toList();
        Map<UUID, List<String>> before = new LinkedHashMap<>();
        for (UUID id : tagged) {
            Template template = templates.get(id, by);
            rights.mustBeChangeable(template, by);
            List<String> had = mapper.tagsOf(id);
            before.put(id, had);
            Map<String, String> now = new LinkedHashMap<>();
            had.forEach(one -> now.put(key(one), one));
            gone.forEach(now::remove);
            sound.forEach(one -> now.putIfAbsent(key(one), one));
            if (now.size() > MOST) {
                throw Refusal.field("tag", "“" + template.name() + "” would have more than " + MOST + " tags.");
            }
            mapper.clearTags(id);
            now.forEach((key, tag) -> mapper.insertTag(id, tag, key));
            keeping.found(template);
            events.changed(id);
        }
        return before;
    }

    private static String sound(String typed) {
        String tag = typed.replaceAll("\\s+", " ").strip();
        if (key(tag).isEmpty()) {
            throw Refusal.field("tag", "Type a word.");
        }
        if (tag.length() > LONGEST) {
            throw Refusal.field("tag", "A tag has " + LONGEST + " letters at most.");
        }
        if (tag.contains(BETWEEN)) {
            throw Refusal.field("tag", "A tag has no comma in it.");
        }
        return tag;
    }
}
