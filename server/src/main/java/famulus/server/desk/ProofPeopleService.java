package famulus.server.desk;

import famulus.core.field.About;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.RecordWalk;
import famulus.server.records.RecordWalk.MainContact;
import famulus.server.records.RecordWalk.Step;
import famulus.server.records.SampleRecords;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Steps through the people a template could go to, in the order of their names. */
@Service
class ProofPeopleService {
    private static final int MOST_FOUND = 12;

    private final RecordWalk walk;

    ProofPeopleService(RecordWalk walk) {
        this.walk = walk;
    }

    /** A person, and for templates about deals the deal. */
    record ProofPerson(String kind, UUID id, @Schema(nullable = true) UUID dealId, String name, String remark) {}

    /** Whom one stepped to, and how many people there are; of none the person is made up. */
    record Stepped(ProofPerson person, int total) {}

    /**
     * Returns the next or previous person; past the last comes the first.
     *
     * @param from a person, or for templates about deals a deal; null for the first
     */
    Stepped step(About about, UUID from, boolean forward) {
        return new Stepped(person(about, from, forward), walk.count(kinds(about), true));
    }

    /** The first of them, as somebody to write to. */
    For first(About about) {
        ProofPerson first = person(about, null, true);
        return new For(
                CrmKind.LEAD.word().equals(first.kind()) ? CrmKind.LEAD : CrmKind.CONTACT, first.id(), first.dealId());
    }

    private ProofPerson person(About about, UUID from, boolean forward) {
        List<CrmKind> kinds = kinds(about);
        Optional<String> here = Optional.ofNullable(from).flatMap(walk::place);
        return walk.next(kinds, here, forward, true)
                .or(() -> walk.next(kinds, Optional.empty(), forward, true))
                .flatMap(step -> people(List.of(step)).stream().findFirst())
                .orElseGet(() -> madeUp(about));
    }

    private static ProofPerson madeUp(About about) {
        For sample = SampleRecords.person(about == About.LEAD ? CrmKind.LEAD : CrmKind.CONTACT, about == About.DEAL);
        return new ProofPerson(sample.kind().word(), sample.id(), sample.deal(), SampleRecords.name(), "made up");
    }

    List<ProofPerson> find(About about, String search) {
        return people(walk.find(kinds(about), search, MOST_FOUND, true));
    }

    /** For templates about deals the line is the deal, and whoever is its main contact is written to. */
    private static List<CrmKind> kinds(About about) {
        return switch (about) {
            case DEAL -> List.of(CrmKind.DEAL);
            case LEAD -> List.of(CrmKind.LEAD);
            case CONTACT -> List.of(CrmKind.CONTACT);
            case PERSON -> List.of(CrmKind.CONTACT, CrmKind.LEAD);
        };
    }

    private List<ProofPerson> people(List<Step> steps) {
        Map<UUID, MainContact> main = walk.mainContacts(steps.stream()
                .filter(step -> step.kind() == CrmKind.DEAL)
                .map(Step::id)
                .toList());
        return steps.stream()
                .map(step -> step.kind() == CrmKind.DEAL
                        ? ofDeal(step, main.get(step.id()))
                        : new ProofPerson(step.kind().word(), step.id(), null, step.name(), step.remark()))
                .filter(Objects::nonNull)
                .toList();
    }

    private static ProofPerson ofDeal(Step deal, MainContact main) {
        return main == null
                ? null
                : new ProofPerson(CrmKind.CONTACT.word(), main.id(), deal.id(), main.name(), deal.name());
    }
}
