package famulus.core.table;

import com.ibm.icu.text.CharsetDetector;
import com.ibm.icu.text.CharsetMatch;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CoderResult;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;

/**
 * How the bytes of a file are text. A byte order mark decides, then zero bytes where UTF-16 has them, then whether all of it
 * is UTF-8; what is left is guessed by ICU's detector, and read as windows-1252 where that is not sure.
 *
 * @param skip how many bytes the mark in front has
 */
public record TextEncoding(Charset charset, int skip) {
    /** What most programs of offices write where they do not write Unicode; all of Latin-1's letters are in it. */
    public static final Charset WINDOWS = Charset.forName("windows-1252");

    private static final int PORTION = 1 << 16;
    /** Encodings with several bytes a letter, which the detector takes for likelier than they are in short texts. */
    private static final List<String> WIDE = List.of("EUC", "GB18030", "Big5", "Shift_JIS", "ISO-2022", "UTF");

    private static final int SURE_OF_WIDE = 60;
    private static final int SURE_OF_LETTERS = 30;

    /**
     * Reads a file to its end and finds out.
     *
     * @throws UnreadableTable when it is no text: a spreadsheet, a document, a picture, or nothing at all
     */
    public static TextEncoding of(InputStream file) throws IOException {
        byte[] begin = file.readNBytes(PORTION);
        if (begin.length == 0) {
            throw new UnreadableTable(0, 0, "This file is empty.");
        }
        refuseOthers(begin);
        if (begins(begin, 0xEF, 0xBB, 0xBF)) {
            return new TextEncoding(StandardCharsets.UTF_8, 3);
        }
        if (begins(begin, 0xFE, 0xFF)) {
            return new TextEncoding(StandardCharsets.UTF_16BE, 2);
        }
        if (begins(begin, 0xFF, 0xFE)) {
            return new TextEncoding(StandardCharsets.UTF_16LE, 2);
        }
        Charset wide = wide(begin);
        if (wide != null) {
            return new TextEncoding(wide, 0);
        }
        byte[] other = notUtf8(begin, file);
        return new TextEncoding(other == null ? StandardCharsets.UTF_8 : guessed(other), 0);
    }

    private static void refuseOthers(byte[] begin) {
        if (begins(begin, 'P', 'K', 3, 4) || begins(begin, 0xD0, 0xCF, 0x11, 0xE0)) {
            throw new UnreadableTable(
                    0,
                    0,
                    "This is a spreadsheet or another packed file, not a CSV file. Open it, save it as CSV, and choose that"
                            + " file.");
        }
        if (begins(begin, '%', 'P', 'D', 'F')
                || begins(begin, 0x89, 'P', 'N', 'G')
                || begins(begin, 0xFF, 0xD8, 0xFF)) {
            throw new UnreadableTable(0, 0, "This is a document or a picture, not a CSV file or a vCard file.");
        }
    }

    private static boolean begins(byte[] bytes, int... with) {
        if (bytes.length < with.length) {
            return false;
        }
        for (int i = 0; i < with.length; i++) {
            if ((bytes[i] & 0xFF) != with[i]) {
                return false;
            }
        }
        return true;
    }

    /** UTF-16 without a mark has a zero in every other byte of Latin text; a zero anywhere else is no text. */
    private static Charset wide(byte[] begin) {
        int even = 0;
        int odd = 0;
        for (int i = 0; i < begin.length; i++) {
            if (begin[i] == 0) {
                if (i % 2 == 0) {
                    even++;
                } else {
                    odd++;
                }
            }
        }
        if (even + odd == 0) {
            return null;
        }
        int half = begin.length / 2;
        if (even == 0 && odd > half / 4) {
            return StandardCharsets.UTF_16LE;
        }
        if (odd == 0 && even > half / 4) {
            return StandardCharsets.UTF_16BE;
        }
        throw new UnreadableTable(0, 0, "This is not a text file. Choose a CSV file or a vCard file.");
    }

    /** Returns the portion of the file in which something is not UTF-8; null when all of it is. */
    private static byte[] notUtf8(byte[] begin, InputStream file) throws IOException {
        CharsetDecoder decoder = StandardCharsets.UTF_8
                .newDecoder()
                .onMalformedInput(CodingErrorAction.REPORT)
                .onUnmappableCharacter(CodingErrorAction.REPORT);
        CharBuffer characters = CharBuffer.allocate(PORTION + 8);
        byte[] portion = begin;
        byte[] rest = {};
        boolean last = false;
        while (!last) {
            byte[] next = file.readNBytes(PORTION);
            last = next.length == 0;
            ByteBuffer bytes = ByteBuffer.wrap(joined(rest, portion));
            characters.clear();
            CoderResult result = decoder.decode(bytes, characters, last);
            if (result.isError()) {
                return bytes.array();
            }
            rest = Arrays.copyOfRange(bytes.array(), bytes.position(), bytes.limit());
            portion = next;
        }
        return null;
    }

    private static byte[] joined(byte[] first, byte[] second) {
        if (first.length == 0) {
            return second;
        }
        byte[] both = Arrays.copyOf(first, first.length + second.length);
        System.arraycopy(second, 0, both, first.length, second.length);
        return both;
    }

    private static Charset guessed(byte[] bytes) {
        for (CharsetMatch match : new CharsetDetector().setText(bytes).detectAll()) {
            String name = match.getName();
            boolean wide = WIDE.stream().anyMatch(name::startsWith);
            if (match.getConfidence() < (wide ? SURE_OF_WIDE : SURE_OF_LETTERS) || !Charset.isSupported(name)) {
                continue;
            }
            return name.equals("ISO-8859-1") ? WINDOWS : Charset.forName(name);
        }
        return WINDOWS;
    }
}
