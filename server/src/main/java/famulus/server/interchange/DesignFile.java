package famulus.server.interchange;

import famulus.core.table.TextEncoding;
import famulus.core.table.UnreadableTable;
import famulus.server.interchange.MessageFile.ReadMessage;
import famulus.server.interchange.PicturesBrought.Beside;
import famulus.server.platform.Refusal;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URLDecoder;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A design as a file holds it: a page, an e-mail, a text, or a zip of pages with their pictures.
 *
 * @param pages of a zip that has several: their names; else one
 * @param page which of them this is
 * @param title what it calls itself
 * @param text as it came
 * @param beside finds a picture that lies beside it by its address in it
 */
record DesignFile(
        List<String> pages,
        String page,
        String title,
        String text,
        TextWritten written,
        Function<String, Optional<Beside>> beside) {
    private static final Pattern SAYS_CHARSET =
            Pattern.compile("<meta\\b[^>]{0,200}?charset\\s*=\\s*[\"']?\\s*([\\w.:-]{2,40})", Pattern.CASE_INSENSITIVE);
    /** So far into a page its charset may be said (HTML, The input byte stream). */
    private static final int SAYS_EARLY = 4096;

    private static final Pattern PAGE = Pattern.compile(".*\\.html?", Pattern.CASE_INSENSITIVE);
    private static final Pattern PICTURE =
            Pattern.compile(".*\\.(png|jpe?g|gif|webp|svg|bmp)", Pattern.CASE_INSENSITIVE);
    private static final Pattern ADDRESS = Pattern.compile("^(?:[a-z][a-z0-9+.-]*:|//).*", Pattern.CASE_INSENSITIVE);

    /** Reads a file by its name; refused in words where nothing can be made of it. */
    static DesignFile read(String name, byte[] bytes, String page) {
        String low = name.toLowerCase(Locale.ROOT);
        if (bytes.length == 0) {
            throw Refusal.field("file", "This file is empty.");
        }
        if (bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K' && bytes[2] == 3 && bytes[3] == 4) {
            return packed(bytes, page);
        }
        if (low.endsWith(".eml")) {
            ReadMessage read = MessageFile.read(bytes);
            return new DesignFile(
                    List.of(name),
                    name,
                    read.subject(),
                    read.html().isEmpty() ? read.text() : read.html(),
                    read.html().isEmpty() ? TextWritten.WORDS : TextWritten.HTML,
                    address -> Optional.ofNullable(read.within().get(address)));
        }
        TextWritten written = low.endsWith(".md") || low.endsWith(".markdown")
                ? TextWritten.MARKDOWN
                : low.endsWith(".txt") ? TextWritten.WORDS : TextWritten.HTML;
        return new DesignFile(List.of(name), name, "", text(bytes), written, address -> Optional.empty());
    }

    private static DesignFile packed(byte[] bytes, String wanted) {
        Map<String, byte[]> pages = new TreeMap<>();
        Map<String, byte[]> pictures = new TreeMap<>();
        PackedFile.unpack(new ByteArrayInputStream(bytes), (path, content) -> {
            String name = path.replace('\\', '/');
            if (name.startsWith("__MACOSX/") || last(name).startsWith(".")) {
                return;
            }
            if (PAGE.matcher(name).matches()) {
                pages.put(name, content);
            } else if (PICTURE.matcher(name).matches()) {
                pictures.put(name, content);
            }
        });
        if (pages.isEmpty()) {
            throw PackedFile.refused(
                    "There is no HTML page in this file. What Famulus has exported is imported under Templates.");
        }
        String page = wanted != null && pages.containsKey(wanted) ? wanted : first(pages);
        return new DesignFile(
                List.copyOf(pages.keySet()),
                page,
                "",
                text(pages.get(page)),
                TextWritten.HTML,
                address -> besideIn(page, address, pictures));
    }

    /** The one that a visitor would be shown, else the outermost. */
    private static String first(Map<String, byte[]> pages) {
        return pages.keySet().stream()
                .min(Comparator.comparing((String name) ->
                                !last(name).toLowerCase(Locale.ROOT).startsWith("index."))
                        .thenComparing(
                                name -> name.chars().filter(one -> one == '/').count()))
                .orElseThrow();
    }

    private static Optional<Beside> besideIn(String page, String address, Map<String, byte[]> pictures) {
        if (ADDRESS.matcher(address).matches()) {
            return Optional.empty();
        }
        String path = resolved(page, address);
        byte[] content = pictures.get(path);
        if (content != null) {
            return Optional.of(new Beside(last(path), content));
        }
        // Programs that write such files are not careful about capitals.
        return pictures.keySet().stream()
                .filter(path::equalsIgnoreCase)
                .findFirst()
                .map(found -> new Beside(last(found), pictures.get(found)));
    }

    /** An address in a page as a name in the zip. */
    private static String resolved(String page, String address) {
        String plain = address.replaceFirst("[?#].*", "");
        try {
            plain = URLDecoder.decode(plain.replace("+", "%2B"), StandardCharsets.UTF_8);
        } catch (IllegalArgumentException asItIs) {
            // A per cent sign that is one.
        }
        Deque<String> steps = new ArrayDeque<>();
        String from = plain.startsWith("/") ? "" : page.substring(0, page.lastIndexOf('/') + 1);
        for (String step : (from + plain).split("/")) {
            if (step.equals("..")) {
                steps.pollLast();
            } else if (!step.isEmpty() && !step.equals(".")) {
                steps.addLast(step);
            }
        }
        return String.join("/", steps);
    }

    private static String last(String path) {
        return path.substring(path.lastIndexOf('/') + 1);
    }

    /** A text in the charset that it says, or that it is likeliest written in. */
    private static String text(byte[] bytes) {
        try {
            TextEncoding encoding = TextEncoding.of(new ByteArrayInputStream(bytes));
            Charset charset =
                    encoding.skip() > 0 ? encoding.charset() : said(bytes).orElse(encoding.charset());
            return new String(bytes, encoding.skip(), bytes.length - encoding.skip(), charset);
        } catch (UnreadableTable none) {
            throw Refusal.field(
                    "file",
                    "This is no text: choose an HTML page, an e-mail, Markdown, plain words, or a zip of pages.");
        } catch (IOException inMemory) {
            throw new UncheckedIOException(inMemory);
        }
    }

    private static Optional<Charset> said(byte[] bytes) {
        String begin = new String(bytes, 0, Math.min(bytes.length, SAYS_EARLY), StandardCharsets.ISO_8859_1);
        Matcher says = SAYS_CHARSET.matcher(begin);
        if (!says.find()) {
            return Optional.empty();
        }
        try {
            Charset charset = Charset.forName(says.group(1));
            return Optional.of(charset.equals(StandardCharsets.ISO_8859_1) ? TextEncoding.WINDOWS : charset);
        } catch (IllegalCharsetNameException | UnsupportedCharsetException unknown) {
            return Optional.empty();
        }
    }
}
