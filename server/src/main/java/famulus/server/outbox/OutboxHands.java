package famulus.server.outbox;

import famulus.core.calendar.PlannedHour;
import famulus.server.messages.LeavingCheck;
import famulus.server.messages.SendingWishes;
import famulus.server.outbox.OutboxMapper.Holder;
import famulus.server.platform.Events;
import famulus.server.platform.Refusal;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a person may do with a message on its way; only who wrote it, who it goes out as, or an administrator may. */
@Service
public class OutboxHands {
    private final OutboxMapper mapper;
    private final OutboxWorker worker;
    private final Events events;
    private final Clock clock;
    private final MessageEnds ends;
    private final LeavingCheck leaving;
    private final MessageGroups groups;

    OutboxHands(
            OutboxMapper mapper,
            OutboxWorker worker,
            Events events,
            Clock clock,
            MessageEnds ends,
            LeavingCheck leaving,
            MessageGroups groups) {
        this.groups = groups;
        this.leaving = leaving;
        this.ends = ends;
        this.mapper = mapper;
        this.worker = worker;
        this.events = events;
        this.clock = clock;
    }

    /** Has everything that waits tried at once, as when a mail server is back. */
    @Transactional
    public void tryAllNow() {
        mapper.waiting().forEach(this::hurry);
    }

    /** Has one message tried at once; that is no try of those it has. Refused when it does not wait. */
    @Transactional
    void tryNow(UUID id, Colleague asking) {
        Holder message = held(id, asking);
        if (!hurry(id)) {
            throw Refusal.because("not-waiting", whyNot(message.state()));
        }
    }

    private boolean hurry(UUID id) {
        if (mapper.hurry(id, clock.instant()) == 0) {
            return false;
        }
        worker.due(id, clock.instant());
        events.tell("outbox", id.toString());
        return true;
    }

    private static String whyNot(MessageState state) {
        return switch (state) {
            case WAITING -> "This message is being picked up just now. Look again in a moment.";
            case HELD -> "This message is held. Open it, or send it as it is.";
            case SENDING -> "This message is being sent at this moment.";
            case SENT -> "This message has been sent already.";
            case NOT_SURE -> "We are not sure whether this message went. “Send again” sends it once more.";
            case REFUSED -> "The mail server rejected this message for good. Write a new one.";
            case CANCELLED -> "This message was cancelled.";
        };
    }

    /** Sends a message once more that may have gone; the person may have it twice then, under one identifier. */
    @Transactional
    void sendAgain(UUID id, Colleague asking) {
        held(id, asking);
        if (mapper.again(id, clock.instant()) == 0) {
            throw Refusal.because("not-waiting", "Only a message we are not sure about can be sent again.");
        }
        groups.became(id, MessageState.WAITING, "");
        worker.due(id, clock.instant());
        told(id);
    }

    /** Settles that a message that may have gone has arrived. */
    @Transactional
    void arrived(UUID id, Colleague asking) {
        held(id, asking);
        if (mapper.arrived(id) == 0) {
            throw Refusal.because("not-waiting", "There is no doubt about this message any more.");
        }
        groups.became(id, MessageState.SENT, "");
        ends.left(id);
        told(id);
    }

    /** Takes a message back that has not gone. Its row stays as cancelled. */
    @Transactional
    void cancel(UUID id, Colleague asking) {
        held(id, asking);
        if (mapper.cancel(id, MessageState.WAITING) == 1 || mapper.cancel(id, MessageState.HELD) == 1) {
            ends.takenBack(id);
        } else if (mapper.cancel(id, MessageState.REFUSED) == 1) {
            ends.left(id);
        } else {
            throw Refusal.because("gone", "This message can’t be cancelled any more.");
        }
        groups.became(id, MessageState.CANCELLED, "");
        worker.drop(id);
        told(id);
    }

    /**
     * Takes a message back that has not been begun to be sent, to be written on.
     *
     * @return its draft; empty for a message that had none
     */
    @Transactional
    Optional<UUID> takeBack(UUID id, Colleague asking) {
        mustStandAlone(held(id, asking));
        if (mapper.takeBack(id) == 0) {
            throw Refusal.because("gone", "This message has left already. It can’t be taken back any more.");
        }
        worker.drop(id);
        Optional<UUID> draft = ends.takenBack(id);
        told(id);
        return draft;
    }

    /** Lets a message go as it is that was held; whoever may not be written to still gets nothing. */
    @Transactional
    void asItIs(UUID id, Colleague asking) {
        mustStandAlone(held(id, asking));
        if (mapper.asItIs(id, clock.instant()) == 0) {
            throw Refusal.because("not-held", "This message is not held any more.");
        }
        worker.due(id, clock.instant());
        told(id);
    }

    /**
     * Has a message leave at another hour; refused where there is no such hour, or its words would say something else then.
     */
    @Transactional
    void move(UUID id, SendingWishes.Hour wanted, Colleague asking) {
        Holder message = held(id, asking);
        mustStandAlone(message);
        PlannedHour hour = (wanted == null ? new SendingWishes.Hour(null, null, null) : wanted).planned();
        hour.refusal(clock.instant()).ifPresent(sentence -> {
            throw Refusal.field("hour", sentence);
        });
        leaving.changedAt(id, hour.moment(), message.writtenBy()).ifPresent(said -> {
            throw Refusal.field(
                    "hour", "At that hour its words would not be right: " + said + " Open it to put them right.");
        });
        if (mapper.move(id, hour.moment()) == 0) {
            throw Refusal.because("gone", "This message has left already, or is leaving just now.");
        }
        worker.due(id, hour.moment());
        told(id);
    }

    private static void mustStandAlone(Holder message) {
        if (message.mailingId() != null) {
            throw Refusal.because("of-a-mailing", "This message is one of a mailing. Open the mailing to change it.");
        }
    }

    private Holder held(UUID id, Colleague asking) {
        Holder message = mapper.holder(id)
                .filter(one -> !one.test()
                        || one.writtenBy().equals(asking.id())
                        || asking.is(Role.KEEPER, Role.ADMINISTRATOR))
                .orElseThrow(() -> Refusal.missing("This message"));
        if (!mayHandle(message.writtenBy(), message.senderId(), asking)) {
            throw Refusal.forbidden(
                    "Only the person who wrote this message, its sender or an administrator can do that.");
        }
        return message;
    }

    /** Whether somebody may try, send again, settle or cancel a message. */
    static boolean mayHandle(UUID writtenBy, UUID sender, Colleague who) {
        return writtenBy.equals(who.id()) || sender.equals(who.id()) || who.is(Role.ADMINISTRATOR);
    }

    private void told(UUID id) {
        events.tell("outbox", id.toString());
        mapper.tried(id).ifPresent(one -> events.tell("record", one.personId().toString()));
    }
}
