package famulus.server.desk;

import famulus.core.calendar.SendingHours;
import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.Path;
import famulus.core.field.Root;
import famulus.core.merge.Analyser;
import famulus.core.merge.MergeSettings;
import famulus.core.merge.Merger;
import famulus.core.message.MergedMessage;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageProgram;
import famulus.core.message.MessageSource;
import famulus.core.proof.CheckLevels;
import famulus.core.proof.Circumstances;
import famulus.core.proof.Circumstances.Arrival;
import famulus.core.proof.Correspondence;
import famulus.core.proof.KnownNames;
import famulus.core.proof.LongestSubject;
import famulus.core.proof.ProofSubject;
import famulus.core.proof.Proofreader;
import famulus.core.proof.SaidNames;
import famulus.core.proof.SaidValue;
import famulus.core.syntax.Problem;
import famulus.server.desk.ProofService.Given;
import famulus.server.desk.ProofService.Merge;
import famulus.server.desk.ProofService.Proof;
import famulus.server.library.CheckSettings;
import famulus.server.lists.LongestValues;
import famulus.server.records.HouseFactService;
import famulus.server.records.NameLookup;
import famulus.server.records.NameLookup.Saying;
import famulus.server.records.PeopleContext.Person;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Parses a message once, and merges and proofreads it for whoever is named. */
@Component
class PreparedMessages {
    private final TeamService team;
    private final NameLookup names;
    private final CheckSettings checks;
    private final HouseFactService facts;
    private final TypedValues typed;
    private final LongestValues longest;
    private final Clock clock;
    private final Proofreader proofreader = Proofreader.standard();

    PreparedMessages(
            TeamService team,
            NameLookup names,
            CheckSettings checks,
            HouseFactService facts,
            TypedValues typed,
            LongestValues longest,
            Clock clock) {
        this.team = team;
        this.names = names;
        this.checks = checks;
        this.facts = facts;
        this.typed = typed;
        this.longest = longest;
        this.clock = clock;
    }

    /** Prepares a message that is signed already. */
    PreparedMessage of(MessageSource source, About about, FieldCatalogue catalogue, Given given) {
        return new PreparedMessage(source, about, catalogue, given);
    }

    /** A message merged for a person; the names it says have not been looked up yet. */
    record Begun(PreparedMessage message, Person person, ProofSubject subject, Instant at) {
        private Proof knowing(Colleague sender, KnownNames names) {
            Optional<LongestSubject> longest = message.longestSubject(person, at, sender);
            return message.of(
                    person, subject.around(subject.around().knowing(names).reaching(longest)), at);
        }

        private Proof knowingNobody() {
            return message.of(person, subject, at);
        }
    }

    /** Proofreads messages that were merged, one after another; whose names they say is asked once for all of them. */
    Stream<Proof> proofs(List<Begun> all) {
        Map<UUID, Optional<Colleague>> senders = new HashMap<>();
        // Whoever they were to go out as may have left.
        all.forEach(one -> senders.computeIfAbsent(one.person().sender(), team::find));
        List<Begun> sent = all.stream()
                .filter(one -> senders.get(one.person().sender()).isPresent())
                .toList();
        Iterator<KnownNames> known = names.all(sent.stream()
                        .map(one -> new Saying(
                                SaidNames.of(one.subject()),
                                one.person(),
                                senders.get(one.person().sender()).orElseThrow()))
                        .toList())
                .iterator();
        return all.stream().map(one -> senders.get(one.person().sender())
                .map(sender -> one.knowing(sender, known.next()))
                .orElseGet(one::knowingNobody));
    }

    /** A message, parsed and looked through once, to be read by anybody. */
    final class PreparedMessage {
        private final MessageSource source;
        private final About about;
        private final FieldCatalogue catalogue;
        private final Given given;
        private final MessageProgram program;
        private final CheckLevels levels;
        /** Where our company is. */
        private final ZoneId ours;

        private Map<MessagePart, List<Problem>> problems;

        private PreparedMessage(MessageSource source, About about, FieldCatalogue catalogue, Given given) {
            this.source = source;
            this.about = about;
            this.catalogue = catalogue;
            this.given = given;
            this.program = source.parse();
            this.levels = checks.levels();
            this.ours = team.house().zone();
        }

        private PreparedMessage(PreparedMessage other, Given given) {
            this.source = other.source;
            this.about = other.about;
            this.catalogue = other.catalogue;
            this.given = given;
            this.program = other.program;
            this.problems = other.problems();
            this.levels = other.levels;
            this.ours = other.ours;
        }

        /** The same to somebody who had these messages before, leaving at a moment; nothing is parsed anew. */
        PreparedMessage after(Correspondence before, Optional<Instant> moment) {
            return new PreparedMessage(this, given.after(before, moment));
        }

        /** Which fields it has. */
        List<Path> paths() {
            return program.paths();
        }

        /** Another text, to be read with the same. */
        PreparedMessage another(MessageSource made) {
            return new PreparedMessage(made, about, catalogue, given);
        }

        /** Found once, though many may be read. */
        private Map<MessagePart, List<Problem>> problems() {
            if (problems == null) {
                problems = program.problems(new Analyser(catalogue, about));
            }
            return problems;
        }

        /** What it says to a person; nobody has proofread it. */
        Merge merge(Person person) {
            return new Merge(source, merged(person, given.at().orElseGet(clock::instant)));
        }

        private MergedMessage merged(Person person, Instant at) {
            return program.merge(new Merger(settings(person, at)), person.context());
        }

        private MergeSettings settings(Person person, Instant at) {
            return new MergeSettings(
                    person.locale(),
                    person.zone(),
                    at,
                    person.workingDays(),
                    typed.values(given.chosen(), about, catalogue),
                    TypedValues.answers(given.answers()));
        }

        /** How long its subject gets for somebody else; a message has one reader. */
        private Optional<LongestSubject> longestSubject(Person person, Instant at, Colleague sender) {
            List<Path> paths = given.sending() ? List.of() : program.subject().paths();
            return paths.isEmpty()
                    ? Optional.empty()
                    : LongestSubject.of(
                            program.subject(),
                            settings(person, at),
                            person.context(),
                            longest.of(about, paths, sender));
        }

        /** Reads it for one person, whose name is told from others. */
        Proof of(Person person) {
            return of(person, List.of());
        }

        /**
         * The same of a message whose fields have become words.
         *
         * @param said what they said
         */
        Proof of(Person person, List<SaidValue> said) {
            return proofs(List.of(begun(person, said))).findFirst().orElseThrow();
        }

        /**
         * Merges it for a person, to be proofread with others.
         *
         * @param said what fields said that have become words
         */
        Begun begun(Person person, List<SaidValue> said) {
            Instant at = given.at().orElseGet(clock::instant);
            return new Begun(this, person, subject(person, at, said), at);
        }

        /** Reads it for one of many: whose names it says is asked of none of them. */
        Proof amongMany(Person person) {
            Instant at = given.at().orElseGet(clock::instant);
            return of(person, subject(person, at, List.of()), at);
        }

        private Proof of(Person person, ProofSubject subject, Instant at) {
            return new Proof(person, catalogue, program, subject, levels.of(proofreader.read(subject)), at);
        }

        /** What its fields say in a merged text. */
        List<SaidValue> said(MergedMessage merged) {
            boolean ours = program.paths().stream().anyMatch(path -> path.root().equals(Root.OUR.word()));
            return SaidValue.of(
                    merged,
                    path -> ProofService.label(catalogue, path, about),
                    ours ? facts.outOfDate(LocalDate.now(clock)) : Map.of());
        }

        /** When a message reaches its reader; a test, or a template that is being written, reaches nobody. */
        private Arrival arrival(Person person, Instant at) {
            return new Arrival(at, new SendingHours(ours, person.zone(), person.workingDays()));
        }

        private ProofSubject subject(Person person, Instant at, List<SaidValue> said) {
            MergedMessage merged = merged(person, at);
            return new ProofSubject(
                    source,
                    problems(),
                    merged,
                    person.name(),
                    path -> ProofService.label(catalogue, path, about),
                    given.sending(),
                    new Circumstances(
                            LocalDate.ofInstant(at, person.zone()),
                            person.locale(),
                            given.files(),
                            Stream.of(person.name(), person.company())
                                    .filter(name -> !name.isBlank())
                                    .toList(),
                            Stream.concat(said(merged).stream(), said.stream())
                                    .distinct()
                                    .toList(),
                            Optional.empty(),
                            given.before(),
                            given.before().map(any -> arrival(person, at)),
                            given.variants(),
                            Optional.empty()));
        }
    }
}
