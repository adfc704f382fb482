package famulus.server.interchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import famulus.server.interchange.MailboxFile.Mailbox;
import famulus.server.interchange.MailboxFile.MailboxMessage;
import famulus.server.interchange.MessageFile.ReadMessage;
import famulus.server.platform.Refusal;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Arrays;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The messages of a mailbox file are found where they begin and end, however it is written. */
class MailboxFileTest {
    private static final String TWO =
            """
            From signe@brindlewing.example Mon May  4 09:00:00 2026
            From: Signe <signe@brindlewing.example>
            To: "Ines Okafor-Brandt" <ines@larkfield.example>, kit@larkfield.example
            Subject: =?UTF-8?Q?Gr=C3=BC=C3=9Fe?= from the
             orchard
            Date: Mon, 4 May 2026 10:00:00 +0100

            Dear Ines,
            From now on we come on Fridays.

            >From the orchard, Signe

            From dov@brindlewing.example Tue May  5 09:00:00 2026
            From: Dov <dov@brindlewing.example>
            To: tobias@larkfield.example
            Subject: The stall
            Date: Tue, 5 May 2026 10:00:00 +0100

            Hello Tobias
            """;

    private static Mailbox read(byte[] file) throws IOException {
        return MailboxFile.read(new ByteArrayInputStream(file));
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static ReadMessage message(byte[] file, MailboxMessage one) {
        return MessageFile.read(Arrays.copyOfRange(file, (int) one.start(), (int) one.end()));
    }

    @Test
    void itsMessagesAreFoundTheNewestFirstAndCanBeReadEach() throws Exception {
        for (String text : new String[] {TWO, TWO.replace("\n", "\r\n")}) {
            byte[] file = bytes(text);
            Mailbox mailbox = read(file);

            assertThat(mailbox.found()).isEqualTo(2);
            assertThat(mailbox.messages())
                    .extracting(MailboxMessage::subject, MailboxMessage::to)
                    .containsExactly(
                            tuple("The stall", "tobias@larkfield.example"),
                            tuple("Grüße from the orchard", "Ines Okafor-Brandt, kit@larkfield.example"));
            assertThat(mailbox.messages().getLast().sent()).isEqualTo(Instant.parse("2026-05-04T09:00:00Z"));
            ReadMessage older = message(file, mailbox.messages().getLast());
            assertThat(older.subject()).isEqualTo("Grüße from the orchard");
            assertThat(older.text()).contains("From now on we come on Fridays.").doesNotContain("Tobias");
            assertThat(message(file, mailbox.messages().getFirst()).text()).contains("Hello Tobias");
        }
    }

    @Test
    void ofVeryManyTheNewestAreTold() throws Exception {
        StringBuilder many = new StringBuilder();
        for (int i = 0; i < 1_500; i++) {
            many.append("From x\nSubject: n")
                    .append(i)
                    .append("\nDate: ")
                    .append(1 + i % 28)
                    .append(" Jan ")
                    .append(2000 + i / 28)
                    .append(" 10:00:00 +0000\n\nwords\n\n");
        }
        Mailbox mailbox = read(bytes(many.toString()));
        assertThat(mailbox.found()).isEqualTo(1_500);
        assertThat(mailbox.messages()).hasSize(1_000);
        assertThat(mailbox.messages().getFirst().subject()).isEqualTo("n1499");
    }

    @Test
    void whatIsNoMailboxIsRefusedWithoutReadingAllOfIt() {
        for (byte[] file : new byte[][] {new byte[0], bytes("Subject: a message\n\nwords"), noise(100_000)}) {
            assertThatThrownBy(() -> read(file)).isInstanceOfSatisfying(Refusal.class, refusal -> assertThat(
                            refusal.fields().get("file"))
                    .contains("no mailbox file"));
        }
        InputStream endless = new InputStream() {
            @Override
            public int read() {
                return 'x';
            }
        };
        assertThatThrownBy(() -> MailboxFile.read(endless)).isInstanceOf(Refusal.class);
    }

    @Test
    void aMailboxThatIsTooLargeIsRefusedAndNotReadInPart() {
        assertThatThrownBy(() -> MailboxFile.read(new ByteArrayInputStream(bytes(TWO)), 500))
                .isInstanceOfSatisfying(
                        Refusal.class,
                        refusal -> assertThat(refusal.fields().get("file")).contains("larger than"));
    }

    @Test
    void damagedMessagesAreFoundAllTheSame() throws Exception {
        byte[] file = bytes(
                "From x\nSubject: =?nonsense?Q?=ZZ?=\nDate: the other day\nTo: <<,;\n\n\nFrom y\n\nFrom z\n: \n\n");
        Mailbox mailbox = read(file);
        assertThat(mailbox.messages()).isNotEmpty().allSatisfy(one -> {
            assertThat(one.sent()).isNull();
            assertThat(one.end()).isGreaterThanOrEqualTo(one.start());
        });
    }

    private static byte[] noise(int length) {
        byte[] noise = new byte[length];
        new Random(4).nextBytes(noise);
        return noise;
    }
}
