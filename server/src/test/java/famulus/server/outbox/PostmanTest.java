package famulus.server.outbox;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.outbox.FakeMailServer.Step;
import famulus.server.outbox.Postman.Answer;
import famulus.server.outbox.Postman.Outcome;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.boot.mail.autoconfigure.MailProperties;

/** What a mail server says or does at every step, and what is made of it. Limits of time are short here. */
class PostmanTest {
    private static final Duration SHORT = Duration.ofMillis(250);
    private static final Duration LONG = Duration.ofSeconds(20);

    private FakeMailServer server;
    private Postman postman;

    @BeforeEach
    void open() throws IOException {
        server = new FakeMailServer();
        postman = postman(LONG, LONG);
    }

    @AfterEach
    void close() {
        postman.close();
        server.close();
    }

    private Postman postman(Duration each, Duration end) {
        return new Postman(
                new MailProperties(), Optional.of(server), new MailLimits(LONG, each, each, each, each, end));
    }

    private Answer hand() {
        return hand("Subject: Hives\r\n\r\nDear Ines\r\n".getBytes(StandardCharsets.UTF_8));
    }

    private Answer hand(byte[] source) {
        return postman.hand(source, "signe@brindlewing.example", List.of("ines@larkfield.example"));
    }

    @Test
    void takesTheAnswerToTheFinalDot() {
        server.answer(Step.DOT, "250 2.0.0 taken as 4711");

        assertThat(hand()).isEqualTo(new Answer(Outcome.TAKEN, "250 2.0.0 taken as 4711"));
        assertThat(server.taken().remove()).isEqualTo("Subject: Hives\r\n\r\nDear Ines\r\n");
    }

    private Answer handToThree() {
        return postman.hand(
                "Subject: Hives\r\n\r\nDear all\r\n".getBytes(StandardCharsets.UTF_8),
                "signe@brindlewing.example",
                List.of("ines@larkfield.example", "tom@larkfield.example", "ada@pell.example"));
    }

    /** Nobody has it twice once the address is put right, and nobody has it who the sender does not know of. */
    @Test
    void aMessageToSeveralGoesToAllOfThemOrToNone() {
        assertThat(handToThree().outcome()).isEqualTo(Outcome.TAKEN);
        assertThat(server.taken()).hasSize(1);

        server.refuse("tom@larkfield.example", "550 no such mailbox");
        assertThat(handToThree()).isEqualTo(new Answer(Outcome.NEVER, "tom@larkfield.example: 550 no such mailbox"));
        server.refuse("ines@larkfield.example", "450 later, please");
        assertThat(handToThree()).isEqualTo(new Answer(Outcome.NEVER, "tom@larkfield.example: 550 no such mailbox"));
        server.refuse("tom@larkfield.example", "250 fine");
        assertThat(handToThree()).isEqualTo(new Answer(Outcome.NOT_NOW, "ines@larkfield.example: 450 later, please"));
        assertThat(server.taken()).hasSize(1);
        assertThat(hand().outcome()).isEqualTo(Outcome.NOT_NOW);
    }

    @Test
    void anyCodeThatSaysDoneIsDone() {
        server.answer(Step.DOT, "252 taken, in a way");

        assertThat(hand().outcome()).isEqualTo(Outcome.TAKEN);
    }

    @Test
    void aServerThatClosesAtOnceIsAskedAgain() {
        server.hangUp(Step.GREETING);

        assertThat(hand()).isEqualTo(new Answer(Outcome.NO_SERVER, "The mail server can’t be reached."));
    }

    @ParameterizedTest
    @CsvSource({"554 no mail from here today", "421 too busy"})
    void aGreetingThatTurnsAwaySaysNothingOfTheMessage(String greeting) {
        server.answer(Step.GREETING, greeting);

        assertThat(hand()).isEqualTo(new Answer(Outcome.NO_SERVER, "The mail server is not ready: " + greeting));
    }

    @ParameterizedTest
    @EnumSource(names = {"MAIL", "RECIPIENT", "DATA", "DOT"})
    void whatIsRefusedForNowWaitsWithAllWords(Step step) {
        server.answer(step, "451-4.3.0 not now\r\n451 4.3.0 come back later");

        assertThat(hand()).isEqualTo(new Answer(Outcome.NOT_NOW, "451-4.3.0 not now 451 4.3.0 come back later"));
    }

    @ParameterizedTest
    @EnumSource(names = {"MAIL", "RECIPIENT", "DATA", "DOT"})
    void whatIsRefusedForGoodEnds(Step step) {
        server.answer(step, "550 5.7.1 never");

        assertThat(hand()).isEqualTo(new Answer(Outcome.NEVER, "550 5.7.1 never"));
    }

    @ParameterizedTest
    @EnumSource(names = {"MAIL", "RECIPIENT", "DOT"})
    void whatFollowsARefusalChangesNothing(Step step) {
        server.answer(step, "550 5.7.1 never");
        server.reset(Step.RESET);

        assertThat(hand()).isEqualTo(new Answer(Outcome.NEVER, "550 5.7.1 never"));
    }

    @ParameterizedTest
    @EnumSource(names = {"MAIL", "RECIPIENT", "DATA"})
    void aLineLostBeforeTheFinalDotWaits(Step step) {
        server.reset(step);
        assertThat(hand().outcome()).as("broken").isEqualTo(Outcome.NOT_NOW);

        server.hangUp(step);
        assertThat(hand().outcome()).as("ended").isEqualTo(Outcome.NOT_NOW);
    }

    /** Larger than what lies on the way between the two, so that the dot can't have left when the line breaks. */
    @Test
    void aLineLostWithinTheDataWaits() {
        byte[] large = ("Subject: Hives\r\n\r\n" + "0123456789\r\n".repeat(2_000_000)).getBytes(StandardCharsets.UTF_8);
        server.reset(Step.IN_THE_DATA);
        assertThat(hand(large).outcome()).as("broken").isEqualTo(Outcome.NOT_NOW);

        server.hangUp(Step.IN_THE_DATA);
        assertThat(hand(large).outcome()).as("ended").isEqualTo(Outcome.NOT_NOW);
    }

    @Test
    void aLineLostAfterTheFinalDotIsNotSure() {
        server.reset(Step.DOT);
        assertThat(hand().outcome()).as("broken").isEqualTo(Outcome.NOT_SURE);

        server.hangUp(Step.DOT);
        assertThat(hand().outcome()).as("ended").isEqualTo(Outcome.NOT_SURE);
    }

    @ParameterizedTest
    @CsvSource({"what?", "k", "354 go on", "99", "250-and more is never said"})
    void anAnswerThatIsNoneIsNotSure(String words) {
        server.answer(Step.DOT, words);
        postman = postman(LONG, SHORT);

        assertThat(hand().outcome()).isEqualTo(Outcome.NOT_SURE);
    }

    @Test
    void silenceAfterTheFinalDotIsNotSure() {
        server.sayNothing(Step.DOT);
        postman = postman(LONG, SHORT);

        assertThat(hand().outcome()).isEqualTo(Outcome.NOT_SURE);
    }

    @ParameterizedTest
    @EnumSource(names = {"GREETING", "MAIL", "RECIPIENT", "DATA"})
    void silenceBeforeItWaits(Step step) {
        server.sayNothing(step);
        postman = postman(SHORT, LONG);

        assertThat(hand().outcome()).isEqualTo(step == Step.GREETING ? Outcome.NO_SERVER : Outcome.NOT_NOW);
    }

    @ParameterizedTest
    @EnumSource(names = {"GREETING", "MAIL", "RECIPIENT", "DATA", "DOT"})
    void aSlowAnswerIsAnAnswer(Step step) throws Exception {
        server.takeTime(step);
        CompletableFuture<Answer> answer = CompletableFuture.supplyAsync(this::hand);
        server.awaitSlowStep();
        assertThat(answer).isNotDone();

        server.goOn();

        assertThat(answer.get().outcome()).isEqualTo(Outcome.TAKEN);
        assertThat(server.taken()).hasSize(1);
    }

    @Test
    void eachStepHasItsOwnTime() {
        assertThat(MailLimits.STANDARD.answerTo("")).isEqualTo(Duration.ofMinutes(5));
        assertThat(MailLimits.STANDARD.answerTo("MAIL FROM:<a@b.example>")).isEqualTo(Duration.ofMinutes(5));
        assertThat(MailLimits.STANDARD.answerTo("DATA")).isEqualTo(Duration.ofMinutes(2));
        assertThat(MailLimits.STANDARD.answerTo(".")).isEqualTo(Duration.ofMinutes(10));
    }

    @ParameterizedTest
    @CsvSource({"RESET", "HANG_UP", "SILENCE"})
    void whatHappensAtTheEndChangesNothing(String how) {
        switch (how) {
            case "RESET" -> server.reset(Step.QUIT);
            case "HANG_UP" -> server.hangUp(Step.QUIT);
            default -> server.sayNothing(Step.QUIT);
        }

        assertThat(hand().outcome()).isEqualTo(Outcome.TAKEN);
        postman.close();
        assertThat(server.taken()).hasSize(1);
    }

    @Test
    void aConnectionIsKeptForTheNextMessage() {
        hand();
        hand();
        hand();

        assertThat(server.taken()).hasSize(3);
        assertThat(server.connections()).isEqualTo(1);
    }

    @ParameterizedTest
    @CsvSource({"421 too many over one line", "hang up", "reset"})
    void aKeptConnectionThatIsWornIsExchangedWithoutATry(String how) {
        hand();
        switch (how) {
            case "hang up" -> server.hangUp(Step.MAIL);
            case "reset" -> server.reset(Step.MAIL);
            default -> server.answer(Step.MAIL, how);
        }
        Answer again = hand();

        assertThat(server.connections()).as("asked over a new one").isEqualTo(2);
        assertThat(again.outcome())
                .as("the server still says no")
                .isEqualTo(how.startsWith("421") ? Outcome.NO_SERVER : Outcome.NOT_NOW);
        server.behave();
        assertThat(hand().outcome()).isEqualTo(Outcome.TAKEN);
    }

    @ParameterizedTest
    @CsvSource({"421 closing down, NO_SERVER", "452 no room, NO_SERVER", "450 later, NOT_NOW", "451 greylisted, NOT_NOW"
    })
    void whatIsSaidOfTheServerIsToldFromWhatIsSaidOfTheMessage(String words, Outcome outcome) {
        for (Step step : List.of(Step.MAIL, Step.DOT)) {
            server.behave();
            server.answer(step, words);
            assertThat(hand().outcome()).as("%s", step).isEqualTo(outcome);
        }
    }

    @Test
    void withoutAServerItWaits() {
        Postman nowhere = new Postman(new MailProperties(), Optional.empty(), MailLimits.STANDARD);

        assertThat(nowhere.hand(new byte[0], "a@b.example", List.of("c@d.example")))
                .isEqualTo(new Answer(Outcome.NO_SERVER, "No mail server has been set up yet."));
        nowhere.close();
    }

    @Test
    void aServerNobodyListensAtWaits() {
        server.close();

        assertThat(hand()).isEqualTo(new Answer(Outcome.NO_SERVER, "The mail server can’t be reached."));
    }
}
