package famulus.server.interchange;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.intake.LetterFromWords;
import famulus.core.intake.OldEnds;
import famulus.core.merge.WordsWriter;
import famulus.core.message.body.BodyJson;
import famulus.core.message.body.Mode;
import famulus.server.interchange.FoundInMessage.MessageWords;
import famulus.server.library.Draft;
import famulus.server.messages.WordsAgain;
import famulus.server.messages.WordsAgain.ToldWords;
import famulus.server.outbox.OutboxService;
import famulus.server.outbox.OutgoingMessage;
import famulus.server.platform.Refusal;
import famulus.server.records.CrmKind;
import famulus.server.records.PeopleContext;
import famulus.server.records.PeopleContext.For;
import famulus.server.records.PeopleContext.Person;
import famulus.server.team.Colleague;
import famulus.server.team.TeamService;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Finds what is to be read, wherever it comes from. */
@Component
class MessagesToRead {
    private static final int LONGEST = 200_000;

    private final WordsAgain again;
    private final OutboxService outbox;
    private final PeopleContext people;
    private final TeamService team;
    private final Clock clock;

    MessagesToRead(WordsAgain again, OutboxService outbox, PeopleContext people, TeamService team, Clock clock) {
        this.again = again;
        this.outbox = outbox;
        this.people = people;
        this.team = team;
        this.clock = clock;
    }

    /** A message of ours as it was sent, or words from elsewhere as a letter; refused where it can’t be read. */
    MessageToRead of(MessageWords wanted, FieldCatalogue catalogue, Colleague asking) {
        if (wanted.message() != null) {
            OutgoingMessage message = outbox.get(wanted.message(), asking);
            ToldWords told = again.told(message.id());
            Colleague sender =
                    Optional.ofNullable(told.sender()).flatMap(team::find).orElse(asking);
            return new MessageToRead(
                    told.words(),
                    Optional.of(people.person(told.to(), sender, catalogue, true)),
                    day(message.sentAt()),
                    new OldEnds("", "", ""));
        }
        if (wanted.text() == null || wanted.text().isBlank()) {
            throw Refusal.field("text", "Paste the message.");
        }
        if (wanted.text().length() > LONGEST) {
            throw Refusal.field("text", "This is longer than a message can be.");
        }
        boolean known = wanted.kind() != null && wanted.person() != null;
        Optional<Person> person = known
                ? Optional.of(
                        people.person(new For(wanted.kind(), wanted.person(), wanted.deal()), asking, catalogue, true))
                : Optional.empty();
        OldEnds ends = OldEnds.of(wanted.text());
        About about = !known
                ? About.PERSON
                : wanted.kind() == CrmKind.LEAD ? About.LEAD : wanted.deal() == null ? About.CONTACT : About.DEAL;
        return new MessageToRead(letter(wanted, ends, about), person, day(wanted.sent()), ends);
    }

    private LocalDate day(Instant sent) {
        return LocalDate.ofInstant(
                sent == null ? clock.instant() : sent, team.house().zone());
    }

    private static Draft letter(MessageWords wanted, OldEnds ends, About about) {
        String subject = wanted.subject() == null
                ? ""
                : wanted.subject().replaceAll("\\s+", " ").strip();
        return new Draft(
                "",
                "",
                about,
                new WordsWriter().words(subject),
                "",
                "",
                Mode.LETTER,
                BodyJson.write(LetterFromWords.of(ends, wanted.withoutSignature(), wanted.withoutThread())),
                null,
                "",
                "",
                List.of(),
                null);
    }
}
