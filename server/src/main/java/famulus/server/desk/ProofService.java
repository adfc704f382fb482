package famulus.server.desk;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.Path;
import famulus.core.message.MergedMessage;
import famulus.core.message.MessageProgram;
import famulus.core.message.MessageSource;
import famulus.core.message.MessageSource.Layout;
import famulus.core.message.body.Content;
import famulus.core.message.body.Inserts;
import famulus.core.proof.Correspondence;
import famulus.core.proof.Note;
import famulus.core.proof.ProofSubject;
import famulus.server.desk.PreparedMessages.PreparedMessage;
import famulus.server.library.KeptTextService;
import famulus.server.lists.TemplateConditions;
import famulus.server.records.CatalogueService;
import famulus.server.records.NeededData;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PeopleContext.Person;
import famulus.server.team.Colleague;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/**
 * Merges and proofreads a message for one person. The proof on screen, the message that is changed before sending and
 * the check at the moment of sending all come from here.
 */
@Service
public class ProofService {
    private final CatalogueService catalogues;
    private final PeopleContext people;
    private final KeptTextService texts;
    private final PreparedMessages prepared;

    ProofService(CatalogueService catalogues, PeopleContext people, KeptTextService texts, PreparedMessages prepared) {
        this.catalogues = catalogues;
        this.people = people;
        this.texts = texts;
        this.prepared = prepared;
    }

    /**
     * What the sender gives for one message.
     *
     * @param chosen values typed for this message only, by path; refused when one does not fit its field
     * @param answers what was put in where the template asks, by hint
     * @param sending whether it is about to be sent, rather than written as a template
     * @param at the moment it is merged for; empty for now
     * @param files the names of what is attached; empty where that is not settled
     * @param before what went to its reader before; empty where nobody asks
     * @param variants the languages its template is written in, if there are several
     */
    public record Given(
            Map<String, String> chosen,
            Map<String, String> answers,
            boolean sending,
            Optional<Instant> at,
            Optional<List<String>> files,
            Optional<Correspondence> before,
            List<Locale> variants) {
        /** Nothing: a template that is being written. */
        public static final Given NOTHING = new Given(Map.of(), Map.of(), false, Optional.empty());

        public Given {
            chosen = chosen == null ? Map.of() : Map.copyOf(chosen);
            answers = answers == null ? Map.of() : Map.copyOf(answers);
            variants = List.copyOf(variants);
        }

        /** Its moment, and nothing else. */
        Given moment() {
            return new Given(Map.of(), Map.of(), sending, at);
        }

        /** What is given for a message of which nothing else is known. */
        public Given(Map<String, String> chosen, Map<String, String> answers, boolean sending, Optional<Instant> at) {
            this(chosen, answers, sending, at, Optional.empty(), Optional.empty(), List.of());
        }

        /** The same of a message to somebody who had these messages, for a moment; empty for the same one. */
        public Given after(Correspondence correspondence, Optional<Instant> moment) {
            return new Given(
                    chosen, answers, sending, moment.or(() -> at), files, Optional.of(correspondence), variants);
        }

        /**
         * The same of a message that has these files, goes to somebody who had these messages, and is of a template in these
         * languages.
         */
        public Given with(List<String> attached, Correspondence correspondence, List<Locale> languages) {
            return new Given(
                    chosen, answers, sending, at, Optional.of(attached), Optional.of(correspondence), languages);
        }
    }

    /**
     * A message merged for a person.
     *
     * @param program the parsed texts
     * @param subject what the proofreader read: the texts as written and as merged
     * @param notes what the proofreader says, in the order of the message
     * @param at the moment it is merged for
     */
    public record Proof(
            Person person,
            FieldCatalogue catalogue,
            MessageProgram program,
            ProofSubject subject,
            List<Note> notes,
            Instant at) {
        /** The texts as written, with the design of a letter or designed message. */
        public MessageSource source() {
            return subject.source();
        }

        /** What the person would read. */
        public MergedMessage merged() {
            return subject.merged();
        }
    }

    /**
     * Merges a message.
     *
     * @param about what its template is about
     * @param sender who it goes out as
     */
    public Proof proof(MessageSource source, About about, For to, Colleague sender, Given given) {
        FieldCatalogue catalogue = catalogues.catalogue();
        PreparedMessage reading = prepared.of(signed(source, sender), about, catalogue, given);
        NeededData needs = NeededData.of(reading.paths()).withAddresses();
        return reading.of(people.person(to, sender, catalogue, about == About.DEAL, needs));
    }

    /** A message merged for a person, that nobody has proofread. */
    public record Merge(MessageSource source, MergedMessage merged) {}

    /** Merges a message, and says nothing of it. */
    public Merge merge(MessageSource source, About about, For to, Colleague sender, Given given) {
        FieldCatalogue catalogue = catalogues.catalogue();
        PreparedMessage reading = prepared.of(signed(source, sender), about, catalogue, given);
        NeededData needs = NeededData.of(reading.paths());
        return reading.merge(people.person(to, sender, catalogue, about == About.DEAL, needs));
    }

    /** A message merged for a person, whose values are gathered once for whatever else is read for them. */
    public final class PersonReading {
        private final PreparedMessage reading;
        private final Person person;
        private final Colleague sender;

        private PersonReading(PreparedMessage reading, Person person, Colleague sender) {
            this.reading = reading;
            this.person = person;
            this.sender = sender;
        }

        /** What the message says to the person; nobody has proofread it. */
        public Merge merge() {
            return reading.merge(person);
        }

        /**
         * Reads another message for the same person.
         *
         * @param made of the first one: it has no fields that the first one lacks
         */
        public Proof proof(MessageSource made) {
            return reading.another(signed(made, sender)).of(person, reading.said(merge().merged()));
        }
    }

    /** A message to be merged for a person, and others made of it to be read for the same one. */
    public PersonReading readingFor(MessageSource source, About about, For to, Colleague sender, Given given) {
        FieldCatalogue catalogue = catalogues.catalogue();
        PreparedMessage reading = prepared.of(signed(source, sender), about, catalogue, given);
        NeededData needs = NeededData.of(reading.paths()).withAddresses();
        return new PersonReading(reading, people.person(to, sender, catalogue, about == About.DEAL, needs), sender);
    }

    /**
     * Merges a message for many, parsed once and with their values gathered at once.
     *
     * @return in the order of the people; those who are missing are left out
     */
    public List<Proof> proofs(MessageSource source, About about, List<For> to, Colleague sender) {
        FieldCatalogue catalogue = catalogues.catalogue();
        PreparedMessage reading = prepared.of(signed(source, sender), about, catalogue, Given.NOTHING);
        return people
                .people(
                        to,
                        sender,
                        catalogue,
                        about == About.DEAL,
                        NeededData.of(reading.paths()).withAddresses())
                .stream()
                .map(reading::amongMany)
                .toList();
    }

    /**
     * Merges a message for nobody in particular: what it says of a person, their organisation or their deal is a default or
     * missing.
     *
     * @param message what it says of itself, by field
     */
    public Proof forNobody(
            MessageSource source,
            About about,
            Colleague sender,
            Locale locale,
            Map<String, String> message,
            Instant at) {
        FieldCatalogue catalogue = catalogues.catalogue();
        Given given = new Given(Map.of(), Map.of(), true, Optional.of(at));
        PreparedMessage reading = prepared.of(signed(source, sender), about, catalogue, given);
        return reading.amongMany(people.nobody(sender, catalogue, locale, message));
    }

    /** The language somebody is written to in, by ISO 639. */
    public String language(For to, Colleague sender) {
        return people.person(to, sender, catalogues.catalogue(), true).locale().getLanguage();
    }

    /** A message signed with the sender's designed signature, where they have one and it asks for it. */
    MessageSource signed(MessageSource source, Colleague sender) {
        return source.layout()
                .map(Layout::design)
                .filter(design -> Inserts.has(design.body(), Content.Signature.class))
                .flatMap(design -> texts.signature(sender)
                        .map(signature -> source.in(design.of(Inserts.signed(design.body(), signature)))))
                .orElse(source);
    }

    /** What a field is called; its path where there is none. */
    public static String label(FieldCatalogue catalogue, Path path, About about) {
        return new TemplateConditions(catalogue, about).label(path);
    }
}
