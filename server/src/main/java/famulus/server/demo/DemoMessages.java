package famulus.server.demo;

import famulus.core.departure.Departure;
import famulus.core.departure.Leaving;
import famulus.core.field.About;
import famulus.server.demo.DemoRecords.Grower;
import famulus.server.demo.DemoRecords.Placement;
import famulus.server.desk.ProofService;
import famulus.server.desk.ProofService.Proof;
import famulus.server.desk.RenderingService;
import famulus.server.library.DraftReader;
import famulus.server.library.Template;
import famulus.server.messages.FrozenMessage.TemplateVersion;
import famulus.server.messages.MessageFreezer;
import famulus.server.messages.WordsAgain;
import famulus.server.outbox.OutboxService;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Writes the messages that the made-up company has sent. */
@Component
@ConditionalOnProperty(name = "famulus.demo", havingValue = "true")
class DemoMessages {
    private final DraftReader reader;
    private final ProofService proofs;
    private final RenderingService renderings;
    private final MessageFreezer freezer;
    private final WordsAgain again;
    private final OutboxService outbox;

    DemoMessages(
            DraftReader reader,
            ProofService proofs,
            RenderingService renderings,
            MessageFreezer freezer,
            WordsAgain again,
            OutboxService outbox) {
        this.reader = reader;
        this.proofs = proofs;
        this.renderings = renderings;
        this.freezer = freezer;
        this.again = again;
        this.outbox = outbox;
    }

    /** One message that may have been written. */
    record Wish(UUID id, Template template, Grower grower, UUID deal, Instant at, UUID mailing) {
        Wish(UUID id, Template template, Grower grower, UUID deal, Instant at) {
            this(id, template, grower, deal, at, null);
        }

        /** What messages that are merged together have in common. */
        private List<UUID> batch() {
            return List.of(template.id(), grower.farm().owner().id());
        }
    }

    /** One of the last nine months, if the template speaks the grower's language. */
    static Optional<Wish> wish(Seeded chance, DemoRecords made, List<Placement> placements, List<Template> templates) {
        Template template = chance.one(templates);
        Placement placement = chance.one(placements);
        Grower grower = template.about() == About.DEAL ? placement.main() : chance.one(made.growers());
        if (template.about() == About.LEAD || !grower.farm().land().language().equals(language(template))) {
            return Optional.empty();
        }
        UUID deal = template.about() == About.DEAL ? placement.id() : null;
        return Optional.of(new Wish(chance.id(), template, grower, deal, made.ago(chance.between(1, 270))));
    }

    /**
     * Keeps as sent what could have left: where nothing stops it and an address is known.
     *
     * @param written told of each that was kept
     */
    void write(List<Wish> wishes, Consumer<Wish> written) {
        Map<List<UUID>, List<Wish>> batches =
                wishes.stream().collect(Collectors.groupingBy(Wish::batch, LinkedHashMap::new, Collectors.toList()));
        for (List<Wish> batch : batches.values()) {
            Template template = batch.getFirst().template();
            Colleague sender = batch.getFirst().grower().farm().owner();
            List<For> to = batch.stream()
                    .map(wish -> new For(CrmKind.CONTACT, wish.grower().id(), wish.deal()))
                    .toList();
            List<Proof> merged = proofs.proofs(reader.source(template), template.about(), to, sender);
            for (int i = 0; i < batch.size(); i++) {
                if (keep(batch.get(i), merged.get(i), sender)) {
                    written.accept(batch.get(i));
                }
            }
        }
    }

    private boolean keep(Wish wish, Proof proof, Colleague sender) {
        boolean could = Departure.stops(Leaving.SEND, proof.notes()).isEmpty()
                && !proof.person().addresses().isEmpty();
        if (could) {
            outbox.keepSentOfMailing(
                    wish.mailing(),
                    freezer.asMerged(
                            wish.id(),
                            new TemplateVersion(wish.template().id(), 1),
                            sender,
                            proof.person(),
                            proof.person().addresses().getFirst(),
                            proof.merged().subject().text(),
                            proof.merged().body(),
                            renderings.around(proof),
                            renderings.mail(proof, proof.merged().subject().text()),
                            wish.at()));
            For to = new For(CrmKind.CONTACT, wish.grower().id(), wish.deal());
            again.keepMerged(wish.id(), wish.template(), to, proof);
        }
        return could;
    }

    /** The language a template is in. */
    static String language(Template template) {
        return template.name().startsWith("Nach") ? "de" : "en";
    }
}
