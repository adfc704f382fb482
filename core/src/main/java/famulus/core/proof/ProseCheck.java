package famulus.core.proof;

import java.util.List;

/** The rules about what a message says: its words are gathered once, and read by each. */
final class ProseCheck implements Check {
    private final List<ProseRule> rules;

    ProseCheck(List<ProseRule> rules) {
        this.rules = List.copyOf(rules);
    }

    @Override
    public List<Note> read(ProofSubject subject) {
        List<ProseText> texts = subject.texts();
        if (texts.isEmpty()) {
            return List.of();
        }
        return rules.stream()
                .flatMap(rule -> rule.read(texts, subject.around()).stream())
                .toList();
    }
}
