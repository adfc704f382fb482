package famulus.server.desk;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.Path;
import famulus.core.message.MessageSource;
import famulus.core.proof.Correspondence;
import famulus.server.desk.PreparedMessages.Begun;
import famulus.server.desk.PreparedMessages.PreparedMessage;
import famulus.server.desk.ProofService.Given;
import famulus.server.desk.ProofService.Merge;
import famulus.server.desk.ProofService.Proof;
import famulus.server.records.CatalogueService;
import famulus.server.records.NeededData;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PeopleContext.Person;
import famulus.server.team.Colleague;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
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
        private Wording of(Person person) {
            return in(person.locale().getLanguage());
        }

        /** What it says in a language of ISO 639. */
        public Wording in(String language) {
            return others.getOrDefault(language, usual);
        }
    }

    /** A message as it reads with its sender’s signature. */
    public Message signed(Message message, Colleague sender) {
        Map<String, Wording> others = new HashMap<>();
        message.others().forEach((language, one) -> others.put(language, signed(one, sender)));
        return new Message(message.about(), signed(message.usual(), sender), others);
    }

    private Wording signed(Wording one, Colleague sender) {
        return new Wording(proofs.signed(one.source(), sender), one.given());
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
        Map<Reader, Begun> begun = new LinkedHashMap<>();
        gathered(readers, sender, catalogue, message.about(), paths).forEach((reader, person) -> {
            PreparedMessage reading = ready.get(message.of(person)).after(reader.before(), reader.at());
            begun.put(reader, reading.begun(person, List.of()));
        });
        Iterator<Reader> to = begun.keySet().iterator();
        prepared.proofs(List.copyOf(begun.values()))
                .forEach(proof -> each.accept(new Read(to.next().to(), proof)));
    }

    /** A message that was read, and what another one says to the same person. */
    public record ProofBeside(Proof proof, Merge other) {}

    /**
     * Reads a message for each, in their order, and merges another for the same people; whoever is missing is left out.
     *
     * @param other what it is compared with; nothing is given for it but the moment
     * @param given what is given for it, whoever gets it
     * @param sender who it goes out as
     */
    public Map<For, ProofBeside> beside(
            MessageSource source,
            MessageSource other,
            About about,
            List<Reader> readers,
            Colleague sender,
            Given given) {
        FieldCatalogue catalogue = catalogues.catalogue();
        PreparedMessage reading = prepared.of(proofs.signed(source, sender), about, catalogue, given);
        PreparedMessage beside = prepared.of(proofs.signed(other, sender), about, catalogue, given.moment());
        Set<Path> paths = new HashSet<>(reading.paths());
        paths.addAll(beside.paths());
        Map<Reader, Merge> others = new LinkedHashMap<>();
        List<Begun> begun = new ArrayList<>();
        gathered(readers, sender, catalogue, about, paths).forEach((reader, person) -> {
            Merge said = beside.merge(person);
            others.put(reader, said);
            begun.add(reading.after(reader.before(), reader.at()).begun(person, beside.said(said.merged())));
        });
        Iterator<Map.Entry<Reader, Merge>> said = others.entrySet().iterator();
        Map<For, ProofBeside> all = new HashMap<>();
        prepared.proofs(begun).forEach(proof -> {
            Map.Entry<Reader, Merge> next = said.next();
            all.put(next.getKey().to(), new ProofBeside(proof, next.getValue()));
        });
        return all;
    }

    /** The readers who were found, in their order, with what a message asks of them. */
    private Map<Reader, Person> gathered(
            List<Reader> readers, Colleague sender, FieldCatalogue catalogue, About about, Set<Path> paths) {
        List<For> to = readers.stream().map(Reader::to).toList();
        List<Person> all = people.people(
                to, sender, catalogue, about == About.DEAL, NeededData.of(paths).withAddresses());
        Map<For, Person> found = found(to, all);
        Map<Reader, Person> gathered = new LinkedHashMap<>();
        readers.stream()
                .filter(reader -> found.containsKey(reader.to()))
                .forEach(reader -> gathered.put(reader, found.get(reader.to())));
        return gathered;
    }

    /** The language each is written to in, by ISO 639; whoever is missing is left out. */
    public Map<For, String> languages(List<For> to, Colleague sender) {
        Map<For, String> languages = new HashMap<>();
        found(to, people.people(to, sender, catalogues.catalogue(), true, NeededData.of(List.of())))
                .forEach((one, person) -> languages.put(one, person.locale().getLanguage()));
        return languages;
    }

    /** Who was found of those who were asked for: in their order, without those who are missing. */
    private static Map<For, Person> found(List<For> to, List<Person> people) {
        Map<For, Person> found = new LinkedHashMap<>();
        int next = 0;
        for (For one : to) {
            if (next < people.size() && people.get(next).id().equals(one.id())) {
                found.put(one, people.get(next++));
            }
        }
        return found;
    }

    private static Set<Wording> wordings(Message message) {
        Set<Wording> all = new HashSet<>(message.others().values());
        all.add(message.usual());
        return all;
    }
}
