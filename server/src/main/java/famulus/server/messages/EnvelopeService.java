package famulus.server.messages;

import famulus.core.proof.EnvelopeFault;
import famulus.core.record.EmailAddress;
import famulus.core.record.PlainLine;
import famulus.server.donotemail.DoNotEmailService;
import famulus.server.donotemail.DoNotEmailService.Stopped;
import famulus.server.materials.FileService;
import famulus.server.messages.MessageDraftService.MessageDraft;
import famulus.server.messages.MimeWriter.Mailbox;
import famulus.server.messages.Recipient.How;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.Nearby;
import famulus.server.records.PeopleContext.Person;
import famulus.server.records.PersonAddress;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;

/** Reads who a message goes to and when, and says what is wrong with that; the same while it is written and when it is sent. */
@Service
class EnvelopeService {
    private static final int MOST_RECIPIENTS = 20;
    private static final int LONGEST_NAME = 120;
    /** A name before its address: {@code Tom Hall <tom@larkfield.example>}. */
    private static final Pattern NAMED = Pattern.compile("\\s*\"?([^<\"]*?)\"?\\s*<([^<>]*)>\\s*");

    private final PeopleContext people;
    private final DoNotEmailService doNotEmail;
    private final FileService files;
    private final Clock clock;

    EnvelopeService(PeopleContext people, DoNotEmailService doNotEmail, FileService files, Clock clock) {
        this.people = people;
        this.doNotEmail = doNotEmail;
        this.files = files;
        this.clock = clock;
    }

    /**
     * An envelope as it was read.
     *
     * @param to the person it is written to; empty where they have no address
     * @param others who else gets it
     * @param faults what stops it, one for a part of it
     */
    record ReadEnvelope(Optional<Mailbox> to, List<Recipient> others, List<EnvelopeFault> faults) {
        /** What stops it, in sentences for each part. */
        Map<String, String> wrong() {
            Map<String, String> wrong = new LinkedHashMap<>();
            faults.forEach(fault -> wrong.put(fault.part(), fault.sentence()));
            return wrong;
        }
    }

    /** Reads the envelope of a message. */
    ReadEnvelope read(MessageToSend message, MessageDraft draft) {
        SendingWishes wishes = message.wishes();
        EnvelopeReader reading = new EnvelopeReader(draft);
        Optional<Mailbox> to = reading.person(draft.proof().person(), message.address(), wishes.toName());
        reading.contacts(wishes.also());
        reading.typed("cc", How.CC, wishes.cc());
        reading.typed("bcc", How.BCC, wishes.bcc());
        if (reading.others.size() >= MOST_RECIPIENTS) {
            reading.wrong(EnvelopeFault.recipient(
                    wishes.bcc().size() > wishes.cc().size() ? "bcc" : "cc",
                    "A message goes to " + MOST_RECIPIENTS + " people at most",
                    "These are " + (reading.others.size() + 1) + "."));
        }
        Optional.ofNullable(wishes.replyTo())
                .flatMap(EmailAddress::refusal)
                .ifPresent(sentence -> reading.wrong(EnvelopeFault.sender("replyTo", sentence)));
        wishes.planned()
                .flatMap(hour -> hour.refusal(clock.instant()))
                .ifPresent(sentence -> reading.wrong(EnvelopeFault.hour(sentence)));
        boolean lost = files.lost(draft.files()) > 0;
        files.refusal(draft.files())
                .map(sentence -> lost ? EnvelopeFault.fileLost(sentence) : EnvelopeFault.tooBig(sentence))
                .ifPresent(reading::wrong);
        reading.stopped();
        return new ReadEnvelope(to, reading.others, List.copyOf(reading.faults.values()));
    }

    /** Reads one part after the other, and remembers who is named already. */
    private final class EnvelopeReader {
        private final String own;
        private final Set<String> named = new HashSet<>();
        private final Map<String, String> parts = new LinkedHashMap<>();
        private final List<Recipient> others = new ArrayList<>();
        /** By part. */
        private final Map<String, EnvelopeFault> faults = new LinkedHashMap<>();

        private EnvelopeReader(MessageDraft draft) {
            this.own = normal(draft.sender().email());
        }

        private void wrong(EnvelopeFault fault) {
            faults.putIfAbsent(fault.part(), fault);
        }

        private void wrong(String part, String refusal) {
            wrong(EnvelopeFault.recipient(part, refusal));
        }

        private Optional<Mailbox> person(Person person, UUID wanted, String shown) {
            PlainLine.refusal(shown, LONGEST_NAME, false).ifPresent(sentence -> wrong("toName", sentence));
            Optional<PersonAddress> address = person.addresses().stream()
                    .filter(one -> wanted == null || one.id().equals(wanted))
                    .findFirst();
            if (address.isEmpty()) {
                wrong(EnvelopeFault.recipient("address", person.name() + " has no e-mail address", "Add one first."));
                return Optional.empty();
            }
            String to = address.get().address();
            EmailAddress.refusal(to).ifPresent(sentence -> wrong("address", sentence));
            named.add(normal(to));
            parts.put(to, "address");
            return Optional.of(new Mailbox(shown == null ? person.name() : shown, to));
        }

        private void contacts(List<UUID> wanted) {
            List<Nearby> found = people.contacts(wanted);
            if (found.size() < wanted.size()) {
                wrong("also", "One of these contacts is not in our records any more.");
            }
            for (Nearby one : found) {
                if (one.address().isEmpty()) {
                    wrong(EnvelopeFault.recipient("also", one.name() + " has no e-mail address", "Add one first."));
                } else {
                    add("also", How.TO, new Mailbox(one.name(), one.address()), one.id());
                }
            }
        }

        private void typed(String part, How how, List<String> addresses) {
            for (String typed : addresses) {
                Matcher withName = NAMED.matcher(typed);
                Mailbox mailbox = withName.matches()
                        ? new Mailbox(withName.group(1), withName.group(2).strip())
                        : new Mailbox("", typed);
                Optional<String> refusal = EmailAddress.refusal(mailbox.address())
                        .or(() -> PlainLine.refusal(mailbox.name(), LONGEST_NAME, false));
                if (refusal.isPresent()) {
                    wrong(part, refusal.get());
                } else if (how == How.CC && normal(mailbox.address()).equals(own)) {
                    wrong(EnvelopeFault.recipient(
                            part, "This is the sender’s own address", "What was sent stays in the record’s history."));
                } else {
                    add(part, how, mailbox, null);
                }
            }
        }

        private void add(String part, How how, Mailbox mailbox, UUID contact) {
            if (!named.add(normal(mailbox.address()))) {
                wrong(part, mailbox.address() + " gets this message already.");
            } else {
                parts.put(mailbox.address(), part);
                others.add(new Recipient(how, mailbox, contact));
            }
        }

        /** Whoever is on the do-not-email list gets nothing, whatever line they stand in. */
        private void stopped() {
            Map<String, Stopped> stopped = doNotEmail.stopped(parts.keySet());
            stopped.forEach(
                    (address, why) -> wrong(EnvelopeFault.doNotEmail(parts.get(address), why.sentence(address))));
        }
    }

    private static String normal(String address) {
        return address.strip().toLowerCase(Locale.ROOT);
    }
}
