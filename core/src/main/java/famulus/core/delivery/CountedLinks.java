package famulus.core.delivery;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Entities;
import org.jsoup.parser.Parser;

/**
 * A rendered message whose links lead past a page of ours, so that who follows them is known.
 *
 * @param html the whole document
 * @param addresses where each link leads in the end, numbered from 0; the same address has one number
 */
public record CountedLinks(String html, List<String> addresses) {
    /** No browser follows a longer one; it is left as it is. */
    private static final int LONGEST = 4000;

    private static final Pattern TAG = Pattern.compile("<a\\s");
    private static final Pattern HREF = Pattern.compile("\\shref=\"(https?://[^\"]+)\"");

    private static final String SEEN = "<img src=\"%s\" alt=\"\" width=\"1\" height=\"1\" style=\"display:block;"
            + "width:1px;height:1px;border:0;\">";

    public CountedLinks {
        addresses = List.copyOf(addresses);
    }

    /**
     * Turns the links of a document.
     *
     * @param html what a renderer made; links that do not lead to the web, such as {@code mailto:}, stay
     * @param ours links that begin so are our own pages', and stay
     * @param counted the address that stands for the link of a number
     * @param seen a picture of no size that is fetched when the message is shown
     */
    public static CountedLinks of(String html, String ours, IntFunction<String> counted, String seen) {
        Map<String, Integer> numbers = new LinkedHashMap<>();
        StringBuilder turned = new StringBuilder(html.length() + 400);
        int read = 0;
        Matcher tag = TAG.matcher(html);
        while (tag.find(read)) {
            int end = endOfTag(html, tag.end());
            Matcher href = HREF.matcher(html).region(tag.end() - 1, end);
            if (href.find()) {
                String address = Parser.unescapeEntities(href.group(1), true);
                turned.append(html, read, href.start(1))
                        .append(
                                address.startsWith(ours) || address.length() > LONGEST
                                        ? href.group(1)
                                        : counted.apply(numbers.computeIfAbsent(address, any -> numbers.size())));
                read = href.end(1);
            }
            turned.append(html, read, end);
            read = end;
        }
        turned.append(html, read, html.length());
        int end = turned.lastIndexOf("</body>");
        turned.insert(end < 0 ? turned.length() : end, SEEN.formatted(seen));
        return new CountedLinks(turned.toString(), new ArrayList<>(numbers.keySet()));
    }

    /**
     * A turned document as it was before, to be looked at by those who sent it.
     *
     * @param counted what the addresses of the turned links end in, before the number of the link
     */
    public static String undone(String html, String counted, List<String> addresses) {
        String ours = "\"[^\"]*" + Pattern.quote(counted);
        String unseen = html.replaceAll("<img src=" + ours + "seen\\.gif\"[^>]*>", "");
        return Pattern.compile(ours + "([0-9]{1,4})\"").matcher(unseen).replaceAll(link -> {
            int number = Integer.parseInt(link.group(1));
            return Matcher.quoteReplacement(
                    number < addresses.size() ? "\"" + Entities.escape(addresses.get(number)) + "\"" : link.group());
        });
    }

    /** Where a tag ends; what stands between quotes does not end it. */
    private static int endOfTag(String html, int from) {
        boolean quoted = false;
        for (int i = from; i < html.length(); i++) {
            char c = html.charAt(i);
            if (c == '"') {
                quoted = !quoted;
            } else if (c == '>' && !quoted) {
                return i + 1;
            }
        }
        return html.length();
    }
}
