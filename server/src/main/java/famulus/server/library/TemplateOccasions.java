package famulus.server.library;

import famulus.core.search.Occasion;
import famulus.server.library.OccasionMapper.Named;
import famulus.server.platform.CldrNames;
import famulus.server.platform.Refusal;
import famulus.server.records.PipelineService;
import famulus.server.team.Colleague;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** When templates are meant to be used. Whoever may change a template says it; it is no word of the template. */
@Service
public class TemplateOccasions {
    private static final String MONTH = "MONTH";
    private static final String STAGE = "STAGE";
    private static final String COUNTRY = "COUNTRY";
    private static final int MONTHS = 12;

    private final OccasionMapper mapper;
    private final TemplateService templates;
    private final TemplateRights rights;
    private final TemplateEvents events;
    private final PipelineService pipeline;

    TemplateOccasions(
            OccasionMapper mapper,
            TemplateService templates,
            TemplateRights rights,
            TemplateEvents events,
            PipelineService pipeline) {
        this.mapper = mapper;
        this.templates = templates;
        this.rights = rights;
        this.events = events;
        this.pipeline = pipeline;
    }

    /** Something that can be named, and what it is called. */
    public record OccasionChoice(String code, String label) {}

    /** What can be named: the stages in use, and every country. */
    record OccasionChoices(List<OccasionChoice> stages, List<OccasionChoice> countries) {}

    OccasionChoices choices() {
        return new OccasionChoices(
                pipeline.all().stages().stream()
                        .filter(stage -> !stage.retired())
                        .map(stage -> new OccasionChoice(stage.code(), stage.label()))
                        .toList(),
                CldrNames.countries().entrySet().stream()
                        .map(one -> new OccasionChoice(one.getKey(), one.getValue()))
                        .toList());
    }

    /** When a template is meant to be used. */
    Occasion of(UUID id, Colleague asking) {
        return of(templates.get(id, asking).id());
    }

    /** The same of one that may be seen. */
    Occasion of(UUID id) {
        return occasion(mapper.of(id));
    }

    /** That of all templates that name anything. */
    Map<UUID, Occasion> all() {
        return mapper.all().stream()
                .collect(Collectors.groupingBy(
                        Named::templateId,
                        Collectors.collectingAndThen(Collectors.toList(), TemplateOccasions::occasion)));
    }

    /** Says when a template is meant to be used; refused where something is named that is not there. */
    @Transactional
    public void set(UUID id, Occasion occasion, Colleague by) {
        Template template = templates.get(id, by);
        rights.mustBeChangeable(template, by);
        OccasionChoices known = choices();
        if (!occasion.months().stream().allMatch(month -> month >= 1 && month <= MONTHS)) {
            throw Refusal.field("months", "A month is a number from 1 to 12.");
        }
        // A stage that was retired since may stay.
        Set<String> before = of(id).stages();
        mustBeKnown("stages", occasion.stages(), known.stages(), before, "There is no such stage.");
        mustBeKnown("countries", occasion.countries(), known.countries(), Set.of(), "There is no such country.");
        put(id, occasion);
        events.changed(id);
    }

    /** The same of what comes from elsewhere: what is not known here is left out. */
    void bring(UUID id, Occasion occasion) {
        if (occasion.any()) {
            mapper.clear(id);
            return;
        }
        put(id, known(occasion));
    }

    /** What of an occasion that comes from elsewhere is known here, retired stages too. */
    Occasion known(Occasion occasion) {
        return new Occasion(
                occasion.months().stream()
                        .filter(month -> month >= 1 && month <= MONTHS)
                        .collect(Collectors.toSet()),
                pipeline.all().stages().stream()
                        .map(PipelineService.Stage::code)
                        .filter(occasion.stages()::contains)
                        .collect(Collectors.toSet()),
                CldrNames.countries().keySet().stream()
                        .filter(occasion.countries()::contains)
                        .collect(Collectors.toSet()));
    }

    private void put(UUID id, Occasion occasion) {
        mapper.clear(id);
        occasion.months().forEach(month -> mapper.insert(id, MONTH, String.valueOf(month)));
        occasion.stages().forEach(stage -> mapper.insert(id, STAGE, stage));
        occasion.countries().forEach(country -> mapper.insert(id, COUNTRY, country));
    }

    private static void mustBeKnown(
            String field, Collection<String> named, List<OccasionChoice> known, Set<String> before, String sentence) {
        Set<String> codes = known.stream().map(OccasionChoice::code).collect(Collectors.toSet());
        if (!named.stream().allMatch(one -> codes.contains(one) || before.contains(one))) {
            throw Refusal.field(field, sentence);
        }
    }

    private static Occasion occasion(List<Named> named) {
        return new Occasion(
                codes(named, MONTH).stream().map(Integer::valueOf).collect(Collectors.toSet()),
                codes(named, STAGE),
                codes(named, COUNTRY));
    }

    private static Set<String> codes(List<Named> named, String what) {
        return named.stream()
                .filter(one -> one.what().equals(what))
                .map(Named::code)
                .collect(Collectors.toSet());
    }

    /** Says in a few words what an occasion names, such as {@code May and June, “quoted”}. */
    Function<Occasion, String> words() {
        Map<String, String> stages = pipeline.all().stages().stream()
                .collect(Collectors.toMap(PipelineService.Stage::code, PipelineService.Stage::label));
        Map<String, String> countries = CldrNames.countries();
        return occasion -> Stream.of(
                        joined(occasion.months(), month -> Month.of(month)
                                .getDisplayName(TextStyle.FULL, Locale.ENGLISH)),
                        joined(occasion.stages(), stage -> "“" + stages.getOrDefault(stage, stage) + "”"),
                        joined(occasion.countries(), country -> countries.getOrDefault(country, country)))
                .filter(one -> !one.isEmpty())
                .collect(Collectors.joining(", "));
    }

    private static <T> String joined(Set<T> some, Function<T, String> word) {
        List<String> words = some.stream().sorted().map(word).toList();
        return words.size() < 2
                ? String.join("", words)
                : String.join(", ", words.subList(0, words.size() - 1)) + " and " + words.getLast();
    }
}
