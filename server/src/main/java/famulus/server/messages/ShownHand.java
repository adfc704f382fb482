package famulus.server.messages;

import famulus.core.field.FieldDefinition;
import famulus.core.field.Path;
import famulus.core.merge.Origin;
import famulus.core.message.personal.HandChanges;
import famulus.core.message.personal.HandChanges.Changed;
import famulus.core.message.personal.HandChanges.Kept;
import famulus.core.message.personal.MergedText;
import famulus.core.message.personal.NewValue;
import famulus.core.message.personal.OwnTexts;
import famulus.core.message.personal.StandingValue;
import famulus.core.message.personal.TakenOver;
import famulus.server.desk.ProofService.Proof;
import famulus.server.lists.FoundField;
import famulus.server.messages.MessageDraftService.MessageDraft;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a message of one's own owes to its template and its records, and what to its sender's hand. Places lie in the text of
 * their key, as it is written.
 *
 * @param values words that still say what a field said
 * @param changes words that were changed by hand
 * @param newer values that would say something else by now
 */
record ShownHand(List<HandValue> values, List<HandChange> changes, List<NewerValue> newer) {
    /**
     * A value.
     *
     * @param path which value it is; empty for none
     * @param source whose field it is
     * @param fallback whether the field's own value was missing
     */
    record HandValue(String key, int start, int end, String path, String source, String label, boolean fallback) {}

    /**
     * A change; its end is its start where words were only taken out.
     *
     * @param was what stood there
     */
    record HandChange(String key, int start, int end, String was) {}

    /**
     * A value that its record has another one for.
     *
     * @param is empty where it has none any more
     */
    record NewerValue(String key, int start, int end, String label, String was, String is) {}

    /** The same of a message from nothing, all of whose words are its sender’s: none of them is a change. */
    ShownHand unchanged() {
        return new ShownHand(values, List.of(), newer);
    }

    /**
     * Compares a message with what it was made of.
     *
     * @param begun its texts as they were merged when it was begun
     * @param now those of its template merged now
     */
    static ShownHand of(MessageDraft draft, Map<String, MergedText> begun, Map<String, MergedText> now) {
        List<HandValue> values = new ArrayList<>();
        List<HandChange> changes = new ArrayList<>();
        Map<String, String> own = OwnTexts.of(draft.proof().source());
        Map<String, MergedText> then = TakenOver.in(own, begun, now);
        own.forEach((key, text) -> {
            MergedText merged = then.getOrDefault(key, new MergedText("", List.of()));
            HandChanges hand = HandChanges.of(merged, text);
            hand.values().forEach(kept -> values.add(value(key, kept, draft)));
            for (Changed changed : hand.changed()) {
                changes.add(new HandChange(key, changed.start(), changed.end(), changed.was()));
            }
        });
        return new ShownHand(
                values,
                changes,
                StandingValue.of(own, then, now).stream()
                        .map(one -> newer(one.newer(), one.kept(), draft))
                        .toList());
    }

    private static NewerValue newer(NewValue newer, Kept kept, MessageDraft draft) {
        return new NewerValue(newer.key(), kept.start(), kept.end(), label(kept, draft), newer.was(), newer.is());
    }

    private static HandValue value(String key, Kept kept, MessageDraft draft) {
        Proof proof = draft.proof();
        String source = definition(kept, draft)
                .map(one -> FoundField.source(
                        one, Path.of(kept.value().path()), proof.person().kind()))
                .orElse("date");
        return new HandValue(
                key,
                kept.start(),
                kept.end(),
                kept.value().path(),
                source,
                label(kept, draft),
                kept.value().origin() == Origin.FALLBACK);
    }

    private static Optional<FieldDefinition> definition(Kept kept, MessageDraft draft) {
        String path = kept.value().path();
        return path.isEmpty() ? Optional.empty() : draft.proof().catalogue().resolve(path, draft.about());
    }

    private static String label(Kept kept, MessageDraft draft) {
        return definition(kept, draft)
                .map(FieldDefinition::label)
                .orElse(kept.value().path());
    }
}
