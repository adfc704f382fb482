package famulus.server.desk;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.Path;
import famulus.core.message.MessageSource;
import famulus.core.proof.Correspondence;
import famulus.server.desk.PreparedMessages.PreparedMessage;
import famulus.server.desk.ProofService.Given;
import famulus.server.desk.ProofService.Proof;
import famulus.server.records.CatalogueService;
import famulus.server.records.NeededData;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PeopleContext.Person;
import famulus.server.team.Colleague;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import org.springframework.stereotype.Service;

/**
 * Reads one message for many people, each with all that a message of their own would be read with: parsed once for each
 * language, the values of all gathered at once.
 */
@Service
public class ManyProofs {
    private final CatalogueService catalogues;
    private final PeopleContext people;
    private final PreparedMessages prepared;
    private final ProofService proofs;

    ManyProofs(CatalogueService catalogues, PeopleContext people, PreparedMessages prepared, ProofService proofs) {
        this.catalogues = catalogues;
        this.people = people;
        this.prepared = prepared;
        this.proofs = proofs;
    }

    /**
     * A message in a language.
     *
     * @param source its texts
     * @param given what is given for it, whoever gets it
     */
    public record Wording(MessageSource source, Given given) {}

    /**
     * What the message is.
     *
     * @param usual for whoever no other is in the language of
     * @param others by language of ISO 639
     */
    public record Message(About about, Wording usual, Map<String, Wording> others) {
        Wording of(Person person) {
            return others.getOrDefault(person.locale().getLanguage(), usual);
        }
    }

    /**
     * Somebody it is read for.
     *
     * @param before what went to them before
     * @param at when it leaves; empty for now
     */
    public record Reader(For to, Correspondence before, Optional<Instant> at) {}

    /** What was read for somebody. */
    public record Read(For to, Proof proof) {}

    /**
     * Reads it for each, in their order; whoever is missing is left out.
     *
     * @param sender who it goes out as
     * @param each told of each as soon as it is read
     */
    public void each(Message message, List<Reader> readers, Colleague sender, Consumer<Read> each) {
        FieldCatalogue catalogue = catalogues.catalogue();
        Map<Wording, PreparedMessage> ready = new HashMap<>();
        Set<Path> paths = new HashSet<>();
        for (Wording one : wordings(message)) {
            PreparedMessage reading =
                    prepared.of(proofs.signed(one.source(), sender), message.about(), catalogue, one.given());
            ready.put(one, reading);
            paths.addAll(reading.paths());
        }
        List<Person> found = people.people(
                readers.stream().map(Reader::to).toList(),
                sender,
                catalogue,
                message.about() == About.DEAL,
                NeededData.of(paths).withAddresses());
        int next = 0;
        for (Reader reader : readers) {
            if (next < found.size() && found.get(next).id().equals(reader.to().id())) {
                Person person = found.get(next++);
                PreparedMessage reading = ready.get(message.of(person));
                each.accept(new Read(
                        reader.to(), reading.after(reader.before(), reader.at()).of(person)));
            }
        }
    }

    private static Set<Wording> wordings(Message message) {
        Set<Wording> all = new HashSet<>(message.others().values());
        all.add(message.usual());
        return all;
    }
}
