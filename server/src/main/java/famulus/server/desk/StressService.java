package famulus.server.desk;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.merge.Merger;
import famulus.core.message.MessagePart;
import famulus.core.message.MessageProgram;
import famulus.core.message.MessageSource;
import famulus.core.proof.StressProofs;
import famulus.core.syntax.Span;
import famulus.server.desk.Chip.Role;
import famulus.server.lists.PeopleService;
import famulus.server.records.CatalogueService;
import famulus.server.records.CrmKind;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.IntConsumer;
import org.springframework.stereotype.Service;

/** Chooses the few people that together show all that a draft can do, from everybody it could go to. */
@Service
public class StressService {
    private final PeopleService people;
    private final CatalogueService catalogues;
    private final Clock clock;

    StressService(PeopleService people, CatalogueService catalogues, Clock clock) {
        this.people = people;
        this.catalogues = catalogues;
        this.clock = clock;
    }

    /**
     * Somebody to prove with.
     *
     * @param why what their message shows that none before it does, in sentences
     */
    public record StressProof(
            CrmKind kind,
            UUID id,
            @Schema(nullable = true) UUID dealId,
            String name,
            String remark,
            List<String> why) {}

    /**
     * The choice.
     *
     * @param things how many things the draft does for anybody
     * @param leastPossible so few people may be enough, and no fewer
     * @param read how many people were looked at
     */
    public record StressChoice(List<StressProof> proofs, int things, int leastPossible, int read) {}

    private record Somebody(CrmKind kind, UUID id, UUID dealId, String name, String remark) {}

    /** How many people a draft is tried with. */
    int total(About about) {
        return people.total(about);
    }

    /** So many are enough to show most of what a draft can do, and are read at once. */
    private static final int FIRST = 400;

    /** Chooses from some of very many people, quickly; empty where they are few. */
    public Optional<StressChoice> chooseFirst(MessageSource source, About about, Colleague sender) {
        return people.many(about) ? Optional.of(choose(source, about, sender, FIRST, read -> {})) : Optional.empty();
    }

    /**
     * Merges a draft for everybody, and chooses.
     *
     * @param progress told how many have been read, now and then
     */
    public StressChoice choose(MessageSource source, About about, Colleague sender, IntConsumer progress) {
        return choose(source, about, sender, 0, progress);
    }

    private StressChoice choose(MessageSource source, About about, Colleague sender, int some, IntConsumer progress) {
        MessageProgram program = source.parse();
        StressProofs<Somebody> proofs = new StressProofs<>();
        Instant now = clock.instant();
        people.each(
                about,
                sender,
                program.paths(),
                some,
                person -> {
                    UUID deal = about == About.DEAL ? person.deal().orElse(null) : null;
                    Somebody somebody = new Somebody(person.kind(), person.id(), deal, person.name(), person.company());
                    proofs.read(somebody, program.merge(new Merger(person.settings(now)), person.context()));
                },
                progress);
        StressProofs.Selection<Somebody> choice = proofs.choose();
        FieldCatalogue catalogue = catalogues.catalogue();
        Map<MessagePart, Map<Span, Chip>> chips = new EnumMap<>(MessagePart.class);
        for (MessagePart part : MessagePart.values()) {
            Map<Span, Chip> byPlace = new HashMap<>();
            Chips.of(program.program(part), Set.of(), catalogue, about, CrmKind.CONTACT)
                    .forEach(chip -> byPlace.put(new Span(chip.start(), chip.end()), chip));
            chips.put(part, byPlace);
        }
        return new StressChoice(
                choice.chosen().stream().map(one -> shown(one, chips)).toList(),
                choice.features(),
                choice.leastPossible(),
                choice.read());
    }

    private static StressProof shown(StressProofs.Chosen<Somebody> chosen, Map<MessagePart, Map<Span, Chip>> chips) {
        Somebody person = chosen.person();
        List<String> why = chosen.shows().stream()
                .map(feature -> sentence(feature, chips.get(feature.part())))
                .distinct()
                .toList();
        return new StressProof(person.kind(), person.id(), person.dealId(), person.name(), person.remark(), why);
    }

    private static String sentence(StressProofs.Feature feature, Map<Span, Chip> chips) {
        Chip chip = chips.get(feature.span());
        String label = chip.label();
        return switch (feature.what()) {
            case FILLED -> label + " is filled";
            case FALLBACK -> label + " is missing: " + fallback(chip, feature.turn()) + " is used";
            case BLANK -> label + " is missing: left blank";
            case GAP -> label + " is missing, without a fallback";
            case LONGEST -> "longest " + label.toLowerCase(java.util.Locale.ROOT);
            case BRANCH ->
                chip.role() == Role.WHEN
                        ? "when " + label
                        : label.isEmpty() ? "otherwise, not when " + opening(chip, chips) : "otherwise when " + label;
            case NO_BRANCH -> "not when " + opening(chip, chips);
        };
    }

    private static String fallback(Chip chip, int turn) {
        String[] fallbacks = chip.fallback().split(" ⁄ ");
        return turn >= 1 && turn <= fallbacks.length ? "“" + fallbacks[turn - 1] + "”" : "a fallback";
    }

    /** The condition that the choice of a mark begins with. */
    private static String opening(Chip mark, Map<Span, Chip> chips) {
        return chips.values().stream()
                .filter(chip -> chip.role() == Role.WHEN && chip.choice() == mark.choice())
                .map(Chip::label)
                .findFirst()
                .orElse("");
    }
}
