package famulus.server.interchange;

import famulus.server.platform.Refusal;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.InternetAddress;
import jakarta.mail.internet.InternetHeaders;
import jakarta.mail.internet.MailDateFormat;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.text.ParseException;
import java.time.Instant;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import java.util.stream.Collectors;

/**
 * Finds the messages of a mailbox file (mbox, RFC 4155) while it streams by: what is held of it is the beginning of each
 * message alone. A message begins after a line {@code From …} that follows on an empty one.
 */
final class MailboxFile {
    /** Larger ones are not taken, in bytes. */
    private static final long LARGEST = 1L << 30;
    /** So many of the newest messages are told. */
    private static final int MOST = 1_000;
    /** So much of the headers of a message is read, and of a line. */
    private static final int LONGEST_HEAD = 32 << 10;

    private static final int LONGEST_LINE = 4 << 10;
    private static final byte[] BEGINS = "From ".getBytes(StandardCharsets.US_ASCII);

    private static final Comparator<MailboxMessage> NEWEST = Comparator.comparing(
                    MailboxMessage::sent, Comparator.nullsFirst(Comparator.naturalOrder()))
            .thenComparing(MailboxMessage::start);

    /** The oldest of the newest first. */
    private final PriorityQueue<MailboxMessage> newest = new PriorityQueue<>(NEWEST);

    private final ByteArrayOutputStream line = new ByteArrayOutputStream();
    private final ByteArrayOutputStream head = new ByteArrayOutputStream();
    private boolean inHead;
    private boolean afterEmpty = true;
    private long lineStart;
    private long start = -1;
    private int found;

    private MailboxFile() {}

    /**
     * A message of a mailbox.
     *
     * @param start where it begins in the file, in bytes
     * @param end where it ends
     * @param to whom it says that it is for
     * @param sent when it says that it was sent; null for one that does not say
     */
    record MailboxMessage(long start, long end, String subject, String to, @Schema(nullable = true) Instant sent) {}

    /**
     * The messages of a mailbox.
     *
     * @param messages the newest of them first
     * @param found how many there are in all
     */
    record Mailbox(List<MailboxMessage> messages, int found) {}

    /** Finds the messages of a file; refused in words for one that is no mailbox, or a very large one. */
    static Mailbox read(InputStream file) throws IOException {
        return read(file, LARGEST);
    }

    static Mailbox read(InputStream file, long largest) throws IOException {
        MailboxFile mailbox = new MailboxFile();
        byte[] buffer = new byte[1 << 16];
        long at = 0;
        for (int read = file.read(buffer); read >= 0; read = file.read(buffer)) {
            for (int i = 0; i < read; i++) {
                mailbox.next(buffer[i], at + i + 1);
            }
            at += read;
            if (at > largest) {
                throw Refusal.field("file", "This mailbox is larger than " + (largest >> 30) + " GB.");
            }
            if (mailbox.start < 0 && at >= LONGEST_LINE) {
                break;
            }
        }
        mailbox.ended(at);
        if (mailbox.found == 0) {
            throw Refusal.field("file", "This is no mailbox file: no message begins in it.");
        }
        return new Mailbox(mailbox.newest.stream().sorted(NEWEST.reversed()).toList(), mailbox.found);
    }

    private void next(byte one, long after) {
        if (one != '\n') {
            if (line.size() < LONGEST_LINE) {
                line.write(one);
            }
            return;
        }
        byte[] read = line.toByteArray();
        line.reset();
        boolean empty = read.length == 0 || (read.length == 1 && read[0] == '\r');
        if (afterEmpty && begins(read)) {
            ended(lineStart);
            start = after;
            inHead = true;
        } else if (inHead && empty) {
            inHead = false;
        } else if (inHead && head.size() < LONGEST_HEAD) {
            head.writeBytes(read);
            head.write('\n');
        }
        afterEmpty = empty;
        lineStart = after;
    }

    private static boolean begins(byte[] read) {
        return read.length >= BEGINS.length && Arrays.equals(read, 0, BEGINS.length, BEGINS, 0, BEGINS.length);
    }

    /** The message that was read up to here, if any was. */
    private void ended(long end) {
        if (start >= 0 && head.size() > 0) {
            found++;
            newest.add(message(end));
            if (newest.size() > MOST) {
                newest.poll();
            }
        }
        head.reset();
    }

    private MailboxMessage message(long end) {
        try {
            InternetHeaders headers = new InternetHeaders(new ByteArrayInputStream(head.toByteArray()));
            return new MailboxMessage(
                    start,
                    end,
                    MessageFile.decoded(headers.getHeader("Subject", null)),
                    to(headers.getHeader("To", ",")),
                    sent(headers.getHeader("Date", null)));
        } catch (MessagingException unreadable) {
            return new MailboxMessage(start, end, "", "", null);
        }
    }

    /** Their names where they have one. */
    private static String to(String header) {
        if (header == null) {
            return "";
        }
        try {
            return Arrays.stream(InternetAddress.parseHeader(header, false))
                    .map(one -> one.getPersonal() == null ? one.getAddress() : one.getPersonal())
                    .collect(Collectors.joining(", "));
        } catch (MessagingException unreadable) {
            return MessageFile.decoded(header);
        }
    }

    private static Instant sent(String header) {
        try {
            return header == null ? null : new MailDateFormat().parse(header).toInstant();
        } catch (ParseException unreadable) {
            return null;
        }
    }
}
