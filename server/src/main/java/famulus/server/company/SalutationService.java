package famulus.server.company;

import famulus.core.record.PlainLine;
import famulus.core.salutation.Formality;
import famulus.core.salutation.SalutationRule;
import famulus.core.salutation.Salutations;
import famulus.server.company.SalutationMapper.LanguageRow;
import famulus.server.company.SalutationMapper.RuleRow;
import famulus.server.platform.Refusal;
import famulus.server.platform.Revisions;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How the house greets people, by language. */
@Service
public class SalutationService {
    private static final String COUNTED = "salutations";
    private static final int MOST = 40;

    private final SalutationMapper mapper;
    private final Revisions revisions;
    private final Supplier<Salutations> kept;

    SalutationService(SalutationMapper mapper, Revisions revisions) {
        this.mapper = mapper;
        this.revisions = revisions;
        this.kept = revisions.keep(COUNTED, () -> salutations(all()));
    }

    /**
     * One rule as it is typed.
     *
     * @param titles with commas between; empty for everybody
     */
    public record TypedRule(Formality formality, String titles, String opening, String address) {}

    /** A language's rules as they are typed. */
    public record TypedRules(String language, Formality usual, List<TypedRule> rules) {}

    /** The rules as they are now. */
    public Salutations salutations() {
        return kept.get();
    }

    /** Every language's rules, in the order of the page. */
    public List<TypedRules> all() {
        Map<String, List<RuleRow>> rules = mapper.rules().stream().collect(Collectors.groupingBy(RuleRow::language));
        return mapper.languages().stream()
                .map(language -> typed(language, rules.getOrDefault(language.language(), List.of())))
                .toList();
    }

    private static TypedRules typed(LanguageRow language, List<RuleRow> rules) {
        return new TypedRules(
                language.language(),
                Formality.valueOf(language.usual()),
                rules.stream()
                        .map(rule -> new TypedRule(
                                Formality.valueOf(rule.formality()), rule.titles(), rule.opening(), rule.address()))
                        .toList());
    }

    /** Rules as typed, ready to greet with; refused, with the line, when one can't work. */
    public Salutations read(TypedRules typed) {
        Map<String, String> wrong = new LinkedHashMap<>();
        if (typed.rules().size() > MOST) {
            wrong.put("rules", "A language has at most " + MOST + " rules.");
        }
        for (int i = 0; i < typed.rules().size(); i++) {
            TypedRule rule = typed.rules().get(i);
            String line = "rules." + i;
            PlainLine.refusal(rule.opening(), 80, true).ifPresent(sentence -> wrong.put(line + ".opening", sentence));
            PlainLine.refusal(rule.titles(), 200, false).ifPresent(sentence -> wrong.put(line + ".titles", sentence));
            PlainLine.refusal(rule.address(), 200, false)
                    .or(() -> rule(rule).refusal())
                    .ifPresent(sentence -> wrong.put(line + ".address", sentence));
        }
        if (!wrong.isEmpty()) {
            throw Refusal.fields(wrong);
        }
        return salutations(List.of(typed));
    }

    /** Takes the place of a language's rules. */
    @Transactional
    public void change(TypedRules typed) {
        read(typed);
        if (mapper.usual(typed.language(), typed.usual().name()) == 0) {
            throw Refusal.missing("This language");
        }
        mapper.clear(typed.language());
        int position = 1;
        for (TypedRule rule : typed.rules()) {
            mapper.insert(new RuleRow(
                    typed.language(),
                    position++,
                    rule.formality().name(),
                    rule.titles().strip(),
                    rule.opening().strip(),
                    rule.address().strip()));
        }
        revisions.changed(COUNTED);
    }

    private static Salutations salutations(List<TypedRules> languages) {
        return new Salutations(languages.stream()
                .collect(Collectors.toMap(
                        TypedRules::language,
                        typed -> new Salutations.Rules(
                                typed.usual(),
                                typed.rules().stream()
                                        .map(SalutationService::rule)
                                        .toList()))));
    }

    private static SalutationRule rule(TypedRule typed) {
        List<String> titles = Arrays.stream(typed.titles().split(","))
                .map(String::strip)
                .filter(title -> !title.isEmpty())
                .toList();
        return new SalutationRule(
                typed.formality(),
                titles,
                typed.opening().strip(),
                typed.address().strip());
    }
}
