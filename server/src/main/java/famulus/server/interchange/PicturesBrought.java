package famulus.server.interchange;

import famulus.core.html.HtmlCleaner;
import famulus.server.materials.PictureService;
import famulus.server.team.Colleague;
import java.util.Base64;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.parser.Parser;
import org.springframework.stereotype.Component;

/**
 * Puts the pictures that come with a page where its template finds them: those within the page, and those beside it. They
 * are kept aside until a template shows them.
 */
@Component
class PicturesBrought {
    /** More pictures than this no message has. */
    private static final int MOST = 200;

    private static final Pattern SOURCE = Pattern.compile(
            "(<img\\b[^<>]*?\\ssrc\\s*=\\s*)(?:\"([^\"]*+)\"|'([^']*+)'|([^\\s\"'>]++))", Pattern.CASE_INSENSITIVE);
    private static final Pattern DRAWN =
            Pattern.compile("data:image/[a-z0-9.+-]{1,40};base64,(.*)", Pattern.CASE_INSENSITIVE | Pattern.DOTALL);

    private final PictureService pictures;

    PicturesBrought(PictureService pictures) {
        this.pictures = pictures;
    }

    /** A picture that lies beside a page. */
    record Beside(String name, byte[] content) {}

    /**
     * A page whose pictures are kept here.
     *
     * @param pictures how many came along
     */
    record Placed(String html, int pictures) {}

    /**
     * Keeps the pictures of a page aside, and has it show them.
     *
     * @param named what such pictures are called, where they have no name of their own
     * @param beside finds one by its address in the page
     */
    Placed place(String html, String named, Function<String, Optional<Beside>> beside, Colleague by) {
        Map<String, Optional<UUID>> met = new HashMap<>();
        Set<UUID> kept = new LinkedHashSet<>();
        StringBuilder placed = new StringBuilder(Math.min(html.length(), HtmlCleaner.LONGEST));
        Matcher sources = SOURCE.matcher(html);
        int from = 0;
        while (sources.find()) {
            int group = sources.group(2) != null ? 2 : sources.group(3) != null ? 3 : 4;
            String source = Parser.unescapeEntities(sources.group(group), true).strip();
            Optional<UUID> picture = met.computeIfAbsent(
                    source, address -> met.size() < MOST ? keep(address, named, beside, by) : Optional.empty());
            placed.append(html, from, sources.start());
            if (picture.isPresent()) {
                kept.add(picture.get());
                placed.append(sources.group(1))
                        .append('"')
                        .append(HtmlCleaner.PICTURE)
                        .append(picture.get())
                        .append('"');
            } else if (DRAWN.matcher(source).matches()) {
                // It can't be kept, and would only make the page long.
                placed.append(sources.group(1)).append("\"data:\"");
            } else {
                placed.append(sources.group());
            }
            from = sources.end();
        }
        return new Placed(placed.append(html, from, html.length()).toString(), kept.size());
    }

    private Optional<UUID> keep(String source, String named, Function<String, Optional<Beside>> beside, Colleague by) {
        Optional<Beside> found = drawn(source, named).or(() -> beside.apply(source));
        return found.filter(one -> pictures.fault(one.content()).isEmpty())
                .map(one -> pictures.keepAside(one.name(), one.content(), by));
    }

    private static Optional<Beside> drawn(String source, String named) {
        Matcher drawn = DRAWN.matcher(source);
        if (!drawn.matches()) {
            return Optional.empty();
        }
        try {
            return Optional.of(new Beside(named, Base64.getMimeDecoder().decode(drawn.group(1))));
        } catch (IllegalArgumentException junk) {
            return Optional.empty();
        }
    }
}
