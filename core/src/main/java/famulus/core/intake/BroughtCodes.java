package famulus.core.intake;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.Path;
import famulus.core.html.HtmlCleaner;
import famulus.core.syntax.OtherCodes;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Codes of another system in a text that is brought in, whatever their brackets, and the fields of ours that are meant by
 * them. They are looked for in the text as it came, before it is cleaned: codes stand in addresses too.
 */
public final class BroughtCodes {
    /** So many codes are told of, and fields put in, at once. */
    public static final int MOST = 200;
    /** Braces, one or more, and what merges of other systems have besides a name: a default, a filter, an order. */
    private static final Pattern BRACED = Pattern.compile(
            "\\{\\{\\{?[^{}\\n]{1,80}}}}?|\\{%[^{}\\n]{1,80}%}|\\{([\\p{L}_][\\p{L}\\p{N}_.:-]{0,60})}");
    /** As HTML writes what stands between angle brackets. */
    private static final Pattern ESCAPED = Pattern.compile("&lt;(?:&lt;[^<>\\n]{1,60}?&gt;&gt;|%[^%<>\\n]{1,60}%&gt;)");
    /** Words of the merge language itself. */
    private static final Set<String> OURS = Set.of("end", "otherwise");

    private BroughtCodes() {}

    /**
     * A code in a text.
     *
     * @param written it, as the text has it
     * @param shown it, as it is read
     * @param times how often it is there
     * @param path the field that is meant by it, if one is known
     */
    public record BroughtCode(String written, String shown, int times, Optional<Path> path) {}

    /**
     * The codes in a text, in their order; the first two hundred.
     *
     * @param fields what may be meant by them
     */
    public static List<BroughtCode> in(String text, FieldCatalogue catalogue, CodeFields fields) {
        Map<String, Integer> times = new LinkedHashMap<>();
        BitSet quiet = new BitSet();
        int[] stretches = HtmlCleaner.quiet(text);
        for (int i = 0; i < stretches.length; i += 2) {
            quiet.set(stretches[i], stretches[i + 1]);
        }
        spelled(text, catalogue)
                .filter(code -> !quiet.get(code.start()))
                .sorted(Comparator.comparingInt(OtherCodes.Code::start))
                .forEach(code -> times.merge(code.words(), 1, Integer::sum));
        return times.entrySet().stream()
                .limit(MOST)
                .map(one -> new BroughtCode(
                        one.getKey(), shown(one.getKey()), one.getValue(), fields.meantBy(shown(one.getKey()))))
                .toList();
    }

    /**
     * A text with fields in the place of codes.
     *
     * @param paths by the code as it is written
     */
    public static String with(String text, Map<String, Path> paths) {
        String now = text;
        // A longer one may hold a shorter one.
        List<String> longest = new ArrayList<>(paths.keySet());
        longest.sort(Comparator.comparingInt(String::length).reversed());
        for (String code : longest) {
            now = now.replace(code, "{" + paths.get(code) + "}");
        }
        return now;
    }

    /** Every code once: with a sign before them, or within other marks, braces are part of a longer code. */
    private static Stream<OtherCodes.Code> spelled(String text, FieldCatalogue catalogue) {
        List<OtherCodes.Code> braced = BRACED.matcher(text)
                .results()
                .filter(found -> found.group(1) == null || !isOurs(found.group(1), catalogue))
                .map(found -> new OtherCodes.Code(found.start(), found.end(), found.group()))
                .toList();
        BitSet inside = new BitSet();
        braced.forEach(code -> inside.set(code.start() + 1, code.end()));
        List<OtherCodes.Code> outer = Stream.concat(
                        OtherCodes.in(text).stream().filter(code -> !inside.get(code.start())),
                        ESCAPED.matcher(text)
                                .results()
                                .map(found -> new OtherCodes.Code(found.start(), found.end(), found.group())))
                .toList();
        BitSet taken = new BitSet();
        outer.forEach(code -> taken.set(code.start(), code.end()));
        return Stream.concat(outer.stream(), braced.stream().filter(code -> !taken.get(code.start())));
    }

    private static boolean isOurs(String words, FieldCatalogue catalogue) {
        if (OURS.contains(words)) {
            return true;
        }
        Optional<Path> path = path(words);
        return path.isPresent()
                && Stream.of(About.values())
                        .anyMatch(about -> catalogue.resolve(path.get(), about).isPresent());
    }

    private static Optional<Path> path(String words) {
        return words.contains(":") ? Optional.empty() : Path.read(words);
    }

    /** A code as it is read, of one as a text has it. */
    public static String shown(String written) {
        return written.replace("&lt;", "<").replace("&gt;", ">");
    }
}
