package famulus.core.proof;

/**
 * Something about whom a message goes to, from whom, with what or when, that stops it: {@code recipient}, {@code do-not-email},
 * {@code sender}, {@code too-big}, {@code file-lost}, or an {@code hour} that can't be. What an address or an hour may be is
 * asked where those are; here it is given the code and the words of a note.
 *
 * @param part of the envelope: address, toName, also, cc, bcc, replyTo, hour or files
 * @param title names the thing, in a few words, without a full stop
 * @param remedy what to do about it, in sentences; empty where the title says it
 */
public record EnvelopeFault(String code, String part, String title, String remedy) {
    /** Whoever it goes to can’t be reached like this. */
    public static EnvelopeFault recipient(String part, String title, String remedy) {
        return new EnvelopeFault(StopCode.RECIPIENT.code(), part, title, remedy);
    }

    /** The same, as a refusal says it. */
    public static EnvelopeFault recipient(String part, String refusal) {
        return recipient(part, titled(refusal), "");
    }

    /** Somebody who gets no messages from us. */
    public static EnvelopeFault doNotEmail(String part, String refusal) {
        return new EnvelopeFault(StopCode.DO_NOT_EMAIL.code(), part, titled(refusal), "");
    }

    /** Answers to it would reach nobody. */
    public static EnvelopeFault sender(String part, String refusal) {
        return new EnvelopeFault(StopCode.SENDER.code(), part, titled(refusal), "");
    }

    /** More is attached than mail servers take. */
    public static EnvelopeFault tooBig(String refusal) {
        return new EnvelopeFault(StopCode.TOO_BIG.code(), "files", titled(refusal), "");
    }

    /** A file is gone. */
    public static EnvelopeFault fileLost(String refusal) {
        return new EnvelopeFault(StopCode.FILE_LOST.code(), "files", titled(refusal), "");
    }

    /** It can’t leave at the hour that was chosen. */
    public static EnvelopeFault hour(String refusal) {
        return new EnvelopeFault(QueryCode.HOUR.code(), "hour", titled(refusal), "");
    }

    /** All of it, in sentences. */
    public String sentence() {
        return title + "." + (remedy.isEmpty() ? "" : " " + remedy);
    }

    private static String titled(String refusal) {
        return refusal.endsWith(".") ? refusal.substring(0, refusal.length() - 1) : refusal;
    }
}
