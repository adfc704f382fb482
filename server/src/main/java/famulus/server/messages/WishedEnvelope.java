package famulus.server.messages;

import famulus.core.calendar.SendingHours;
import famulus.server.library.Template;
import famulus.server.library.TemplateWishes;
import famulus.server.records.CatalogueService;
import famulus.server.records.NeededData;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PeopleContext.Person;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Turns what a template wishes for the envelope of its messages into the envelope of one. */
@Component
class WishedEnvelope {
    private final MessageDraftService drafts;
    private final SenderRights senders;
    private final PeopleContext people;
    private final CatalogueService catalogue;
    private final TeamService team;
    private final Clock clock;

    WishedEnvelope(
            MessageDraftService drafts,
            SenderRights senders,
            PeopleContext people,
            CatalogueService catalogue,
            TeamService team,
            Clock clock) {
        this.drafts = drafts;
        this.senders = senders;
        this.people = people;
        this.catalogue = catalogue;
        this.team = team;
        this.clock = clock;
    }

    /**
     * An envelope as a template wishes it.
     *
     * @param sender who it goes out as; null for whoever asks
     */
    record Wished(SendingWishes wishes, UUID sender) {}

    /**
     * What a template wishes for a message to somebody; empty where it wishes nothing. Copies to the sender themself are left
     * out, and so is an owner in whose name whoever asks may not write.
     *
     * @param sender who it goes out as, where that is settled; null for what the template wishes
     */
    Optional<Wished> of(UUID template, For to, UUID sender, Colleague asking) {
        Optional<TemplateWishes> wished = drafts.template(template, to, asking)
                .map(Template::wishes)
                .filter(wishes -> !wishes.equals(TemplateWishes.NONE));
        return wished.map(wishes -> {
            Colleague from = sender == null && wishes.fromOwner() ? owner(to, asking) : asking;
            UUID goesAs = sender == null && !from.id().equals(asking.id()) ? from.id() : sender;
            return new Wished(
                    new SendingWishes(
                            List.of(),
                            without(from.email(), wishes.cc()),
                            wishes.bcc(),
                            wishes.replyTo(),
                            null,
                            hour(wishes.hour(), to, asking),
                            null,
                            null),
                    goesAs);
        });
    }

    private static List<String> without(String own, List<String> copies) {
        return copies.stream().filter(one -> !one.equalsIgnoreCase(own)).toList();
    }

    private Colleague owner(For to, Colleague asking) {
        Set<UUID> owners = people.owners(to);
        return senders.all(to, asking).stream()
                .filter(one -> owners.contains(one.id()))
                .findFirst()
                .orElse(asking);
    }

    private SendingWishes.Hour hour(SendingHours.Kind kind, For to, Colleague asking) {
        if (kind == null) {
            return null;
        }
        Person person = people.person(to, asking, catalogue.catalogue(), false, NeededData.of(Set.of()));
        SendingHours hours = new SendingHours(team.house().zone(), person.zone(), person.workingDays());
        return SendingWishes.Hour.of(hours.hour(kind, clock.instant()));
    }
}
