package famulus.server.messages;

import static org.assertj.core.api.Assertions.assertThat;

import famulus.server.messages.MessageContent.AttachedFile;
import famulus.server.messages.MessageContent.InlinePicture;
import famulus.server.messages.MimeWriter.Headers;
import famulus.server.messages.MimeWriter.Mailbox;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class MimeWriterTest {
    private static final Instant AT = Instant.parse("2026-05-04T09:00:00Z");
    private static final Mailbox SIGNE = new Mailbox("Signe", "signe@x.example");
    private static final Mailbox INES = new Mailbox("Ines", "ines@x.example");

    private static byte[] write(Mailbox from, Mailbox to, String subject, MessageContent content, Headers headers) {
        return MimeWriter.write("<1@x.example>", new MimeWriter.Parties(from, to), subject, content, headers, AT);
    }

    @Test
    void aLineBreakNeverMakesASecondHeader() {
        SourceText read = SourceText.of(write(
                new Mailbox("Signe\r\nBcc: a@b.example", "signe@x.example"),
                new Mailbox("Inés \"Q\"", "ines@müller.example"),
                "Hives\r\nX-Evil: yes",
                MessageContent.plain("Text"),
                new Headers(
                        Optional.of("answers@x.example"),
                        Optional.of("https://x.example/\r\nBcc: a@b.example"),
                        List.of("<0@x>\r\nX-Evil: yes"))));

        assertThat(read.headers()).extracting(SourceText.HeaderLine::name).doesNotContain("Bcc", "X-Evil");
        assertThat(read.to()).contains("xn--mller-kva.example", "Inés");
    }

    /** A mail program would decode it into something else than was written. */
    @Test
    void whatLooksLikeAnEncodedWordIsReadAsItWasWritten() {
        String tricky = "=?UTF-8?B?SGFja2Vk?= and =?x " + "hives ".repeat(20).strip();
        byte[] bytes = write(
                new Mailbox("=?UTF-8?Q?Signe?=", "signe@x.example"),
                new Mailbox("Ines =?", "ines@x.example"),
                tricky,
                MessageContent.plain("Text"),
                Headers.NONE);

        SourceText read = SourceText.of(bytes);
        assertThat(read.subject()).isEqualTo(tricky);
        assertThat(read.from()).isEqualTo("=?UTF-8?Q?Signe?= <signe@x.example>");
        assertThat(read.to()).isEqualTo("Ines =? <ines@x.example>");
        assertThat(new String(bytes, StandardCharsets.US_ASCII).lines().takeWhile(line -> !line.isEmpty()))
                .allSatisfy(line -> assertThat(line.length()).isLessThanOrEqualTo(78));
    }

    /** Tests and the message itself must be the same bytes, so nothing of a message may be left to chance. */
    @Test
    void theSameMessageIsTheSameBytes() {
        MessageContent content = new MessageContent(
                "Hello",
                "<!doctype html><p>Hello</p>",
                List.of(new InlinePicture("a@famulus", "picture-1.png", "image/png", new byte[] {1, 2, 3})),
                List.of(new AttachedFile("Prices “new”.pdf", "application/pdf", new byte[40_000])));

        byte[] first = write(SIGNE, INES, "Prices", content, Headers.NONE);

        assertThat(write(SIGNE, INES, "Prices", content, Headers.NONE)).isEqualTo(first);
        assertThat(SourceText.of(first).files()).containsExactly("Prices “new”.pdf");
        assertThat(SourceText.of(first).html()).contains("Hello");
    }

    /** A conversation is told by its identifiers, the oldest first (RFC 5322). */
    @Test
    void aFollowingMessageNamesAllBeforeIt() {
        SourceText read = SourceText.of(write(
                SIGNE,
                INES,
                "Re: Prices",
                MessageContent.plain("Text"),
                new Headers(Optional.empty(), Optional.empty(), List.of("<a@x.example>", "<b@x.example>"))));

        assertThat(header(read, "References")).isEqualTo("<a@x.example> <b@x.example>");
        assertThat(header(read, "In-Reply-To")).isEqualTo("<b@x.example>");
        assertThat(header(read, "List-Unsubscribe")).isEmpty();
    }

    private static String header(SourceText read, String name) {
        return read.headers().stream()
                .filter(one -> one.name().equals(name))
                .map(one -> one.value().replaceAll("\\s+", " "))
                .findFirst()
                .orElse("");
    }
}
