package famulus.server.library;

import famulus.core.field.Path;
import famulus.core.field.Root;
import famulus.core.merge.MergeParser;
import famulus.server.library.TemplateMapper.IndexedTemplate;
import famulus.server.materials.PictureService;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Keeps a template with its words apart, what it is found by and what it names. */
@Component
class TemplateKeeping {
    private final TemplateMapper mapper;
    private final TemplateIndex index;
    private final PictureService pictures;

    TemplateKeeping(TemplateMapper mapper, TemplateIndex index, PictureService pictures) {
        this.pictures = pictures;
        this.mapper = mapper;
        this.index = index;
    }

    /** What a template can name. */
    enum What {
        /** A field, as {@code kind.name}. */
        FIELD,
        /** A passage, picture or feed in its design. */
        PART,
        /** A file that goes along. */
        FILE
    }

    void insert(Template template) {
        mapper.insert(template);
        mapper.insertWords(template);
        index(template, Optional.empty());
    }

    /**
     * Keeps a change; returns whether the template was still at its version.
     *
     * @param ready what it says to others, who go on using that; empty for one that was never ready
     */
    boolean update(Template template, Optional<Template> ready, UUID by) {
        if (mapper.update(template, by) == 0) {
            return false;
        }
        mapper.updateWords(template);
        index(template, ready);
        return true;
    }

    private void index(Template template, Optional<Template> ready) {
        found(template);
        named(template, ready);
        pictures.shown(Mentioned.in(template.design()), template.folder());
    }

    /** Has others use a template as it stands, from now on. */
    void ready(Template template, Instant at) {
        mapper.keepVersion(template.id(), template.version(), TemplateVersionService.Reason.READY.name(), at);
        mapper.reason(template.id(), template.version(), TemplateVersionService.Reason.READY.name());
        mapper.ready(template.id(), template.version());
        named(template, Optional.empty());
    }

    /** Keeps what a template names as it stands, and as others use it: neither may lose something of it. */
    private void named(Template template, Optional<Template> ready) {
        Map<String, Set<String>> all = new HashMap<>();
        Stream.concat(Stream.of(template), ready.stream())
                .forEach(one -> names(one).forEach((what, names) -> all.computeIfAbsent(what, any -> new TreeSet<>())
                        .addAll(names)));
        mapper.clearNames(template.id());
        all.forEach((what, names) -> names.forEach(name -> mapper.insertName(template.id(), what, name)));
    }

    /** Keeps what a template is found by. */
    void found(Template template) {
        index.keep(new IndexedTemplate(
                template.id(),
                template.kind(),
                template.name(),
                template.purpose(),
                template.subject(),
                template.previewText(),
                template.body() + "\n" + plainText(template),
                template.folder(),
                template.ownerId(),
                String.join(" ", mapper.tagsOf(template.id()))));
    }

    private static String plainText(Template template) {
        return template.plainText() == null ? "" : template.plainText().words();
    }

    private static Map<String, Set<String>> names(Template template) {
        Set<String> fields = new TreeSet<>();
        Stream.of(template.subject(), template.previewText(), template.body(), plainText(template))
                .flatMap(part -> MergeParser.parse(part).paths().stream())
                .forEach(path -> field(path).ifPresent(fields::add));
        Set<String> parts = new TreeSet<>();
        Mentioned.in(template.design()).forEach(part -> parts.add(part.toString()));
        Set<String> files = new TreeSet<>();
        template.files().forEach(file -> files.add(file.toString()));
        return Map.of(What.FIELD.name(), fields, What.PART.name(), parts, What.FILE.name(), files);
    }

    /** The field that a path ends at, by the kind of record it is of; empty for a path that leads nowhere. */
    private static Optional<String> field(Path path) {
        List<String> words = path.words();
        if (words.size() < 2) {
            return Optional.empty();
        }
        Optional<String> kind = words.size() > 2
                ? Optional.of(words.get(words.size() - 2))
                : Root.of(path).map(root -> root.kind().word());
        return kind.map(word -> word + "." + words.getLast());
    }
}
