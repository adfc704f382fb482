package famulus.core.salutation;

import com.ibm.icu.text.ListFormatter;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;

/** A house's rules, by language in the two letters of ISO 639. Immutable to its users; safe to share. */
public final class Salutations {
    private final Map<String, Rules> languages;
    private final Map<String, List<SalutationRule.Read>> read;
    private final Map<Locale, Merger> mergers = new ConcurrentHashMap<>();

    /** Salutations by the rules of each language. */
    public Salutations(Map<String, Rules> languages) {
        this.languages = Map.copyOf(languages);
        this.read = this.languages.entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, language -> language.getValue().rules().stream()
                        .map(SalutationRule.Read::new)
                        .toList()));
    }

    /**
     * The rules of one language.
     *
     * @param usual how people are addressed for whom nothing else is set
     * @param rules in the order of preference
     */
    public record Rules(Formality usual, List<SalutationRule> rules) {
        public Rules {
            rules = List.copyOf(rules);
        }
    }

    private record Greeting(String opening, String name) {
        private String whole() {
            return (opening + " " + name).strip();
        }
    }

    /**
     * The opening address, without a mark behind it.
     *
     * @param people whom it greets, at least one; the first comes first
     * @return the address; empty when the language has no rule that fits
     */
    public Optional<String> of(Locale locale, List<Greeted> people) {
        Rules rules = languages.get(locale.getLanguage());
        if (rules == null || people.isEmpty()) {
            return Optional.empty();
        }
        List<Greeting> greetings = new ArrayList<>();
        Formality together = together(rules, people);
        for (Greeted person : people) {
            Formality wanted = people.size() > 1 ? together : person.formality().orElse(rules.usual());
            greeting(person, wanted, locale)
                    .filter(greeting -> people.size() == 1 || !greeting.name().isEmpty())
                    .ifPresent(greetings::add);
        }
        return greetings.isEmpty()
                ? greeting(new Greeted("", "", "", Optional.empty()), together, locale)
                        .map(Greeting::whole)
                : Optional.of(joined(greetings, locale));
    }

    /** Several people are greeted familiarly only when all of them are. */
    private static Formality together(Rules rules, List<Greeted> people) {
        return people.stream().allMatch(one -> one.formality().orElse(rules.usual()) == Formality.FAMILIAR)
                ? Formality.FAMILIAR
                : Formality.FORMAL;
    }

    private Optional<Greeting> greeting(Greeted person, Formality wanted, Locale locale) {
        Merger merger = mergers.computeIfAbsent(
                locale, any -> new Merger(new MergeSettings(locale, ZoneOffset.UTC, Instant.EPOCH)));
        for (SalutationRule.Read rule : read.get(locale.getLanguage())) {
            Optional<String> name = SalutationRule.name(rule, person, wanted, merger);
            if (name.isPresent()) {
                return Optional.of(new Greeting(rule.rule().opening(), name.get()));
            }
        }
        return Optional.empty();
    }

    /** One opening is said once, before a list of names; different ones are said one after another. */
    private static String joined(List<Greeting> greetings, Locale locale) {
        if (greetings.size() == 1) {
            return greetings.getFirst().whole();
        }
        String opening = greetings.getFirst().opening();
        if (greetings.stream().allMatch(one -> one.opening().equals(opening))) {
            List<String> names = greetings.stream().map(Greeting::name).toList();
            return (opening + " " + ListFormatter.getInstance(locale).format(names)).strip();
        }
        StringBuilder joined = new StringBuilder(greetings.getFirst().whole());
        for (Greeting next : greetings.subList(1, greetings.size())) {
            String whole = next.whole();
            joined.append(", ")
                    .append(whole.substring(0, 1).toLowerCase(locale))
                    .append(whole.substring(1));
        }
        return joined.toString();
    }
}
