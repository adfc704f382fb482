package famulus.server.messages;

import famulus.server.platform.Refusal;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.For;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import famulus.server.team.TeamService;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * In whose name somebody may write: their own; as an assistant, that of any rep or editor; that of whoever owns the record, where
 * they allow it; and in a mailing, that of whoever allows that.
 */
@Component
public class SenderRights {
    private final TeamService team;
    private final PeopleContext people;

    SenderRights(TeamService team, PeopleContext people) {
        this.team = team;
        this.people = people;
    }

    /**
     * Who a message goes out as; refused where whoever asks may not write in their name.
     *
     * @param senderId null for whoever asks
     */
    public Colleague of(For to, UUID senderId, Colleague asking) {
        return of(to, senderId, false, asking);
    }

    /**
     * The same.
     *
     * @param mailing whether it is one of a mailing
     */
    public Colleague of(For to, UUID senderId, boolean mailing, Colleague asking) {
        if (senderId == null || senderId.equals(asking.id())) {
            return asking;
        }
        Colleague sender = team.find(senderId).orElseThrow(() -> Refusal.field("sender", "This colleague is missing."));
        if (!sender.active()) {
            throw Refusal.field("sender", sender.name() + " has left the team.");
        }
        if (asking.is(Role.ASSISTANT)) {
            if (!sender.is(Role.AGENT, Role.KEEPER)) {
                throw Refusal.field("sender", "Messages go out as a rep or an editor.");
            }
            return sender;
        }
        if (mailing && team.sentMailingsByColleagues(senderId)) {
            return sender;
        }
        if (!people.owners(to).contains(senderId)) {
            throw Refusal.forbidden(
                    mailing
                            ? sender.name() + " does not let colleagues send mailings in their name."
                            : "Only an assistant, or a colleague of a record’s owner, writes for somebody else.");
        }
        if (!team.writtenForByColleagues(senderId)) {
            throw Refusal.forbidden(sender.name() + " does not let colleagues write in their name.");
        }
        return sender;
    }

    /** Whether somebody may send mailings in a colleague’s name, to whomever or at least to what this colleague owns. */
    public boolean ofMailings(Colleague sender, Colleague asking) {
        return asking.is(Role.ASSISTANT)
                ? sender.is(Role.AGENT, Role.KEEPER)
                : team.sentMailingsByColleagues(sender.id()) || team.writtenForByColleagues(sender.id());
    }

    /** The colleagues in whose name somebody may send mailings. */
    public List<Colleague> ofMailings(Colleague asking) {
        return team.all().stream()
                .filter(Colleague::active)
                .filter(one -> !one.id().equals(asking.id()))
                .filter(one -> ofMailings(one, asking))
                .toList();
    }

    /** Everybody in whose name somebody may write, themselves first. */
    List<Colleague> all(For to, Colleague asking) {
        Set<UUID> owners = people.owners(to);
        List<Colleague> others = team.all().stream()
                .filter(Colleague::active)
                .filter(one -> !one.id().equals(asking.id()))
                .filter(one -> asking.is(Role.ASSISTANT)
                        ? one.is(Role.AGENT, Role.KEEPER)
                        : owners.contains(one.id()) && team.writtenForByColleagues(one.id()))
                .toList();
        return Stream.concat(Stream.of(asking), others.stream()).toList();
    }
}
