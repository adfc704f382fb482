package famulus.server.messages;

import famulus.server.library.Draft;
import famulus.server.messages.MessageDraftService.MessageBeside;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Reads messages that say the same to many, as each would be read by itself before it leaves. */
@Service
public class ManyMessages {
    private final MessageDraftService drafts;

    ManyMessages(MessageDraftService drafts) {
        this.drafts = drafts;
    }

    /** What messages have in common that are read at once. */
    private record Alike(UUID template, Draft words, Map<String, String> answers, boolean several, String language) {
        Alike(MessageToSend message, String language) {
            this(
                    message.template(),
                    message.words(),
                    message.answers(),
                    message.wishes().several() != null,
                    language);
        }
    }

    /**
     * Reads them.
     *
     * @param messages of one mailing, which go out as one colleague and follow nothing
     * @param languages the language each reader is written to in, by ISO 639; whoever is not among them is left out
     * @return by message; without those whose reader is missing or may not be written to
     */
    public Map<UUID, MessageBeside> read(List<MessageToSend> messages, Map<For, String> languages, Colleague asking) {
        Map<UUID, MessageBeside> all = new HashMap<>();
        messages.stream()
                .filter(message -> languages.containsKey(message.to()))
                .collect(Collectors.groupingBy(
                        message -> new Alike(message, languages.get(message.to())),
                        LinkedHashMap::new,
                        Collectors.toList()))
                .forEach((alike, theirs) -> all.putAll(drafts.besideEach(theirs, Locale.of(alike.language()), asking)));
        return all;
    }
}
