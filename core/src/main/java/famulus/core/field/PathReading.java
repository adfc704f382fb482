package famulus.core.field;

import famulus.core.syntax.NearestNames;
import famulus.core.syntax.Problem;
import famulus.core.syntax.Span;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** Follows paths from what a template is about, and says why one leads nowhere. */
public final class PathReading {
    private final FieldCatalogue catalogue;
    private final About about;
    private final List<Root> roots;
    private final String asking;
    private final List<String> known;

    /** Reads paths of templates about one kind of record. */
    public PathReading(FieldCatalogue catalogue, About about) {
        this(catalogue, about, about.roots(), "A template about " + described(about));
    }

    /**
     * Reads paths of something else.
     *
     * @param about from where the paths go
     * @param roots with which of the words that are possible there a path may begin
     * @param asking who asks, at the beginning of a sentence, such as "A list of contacts"
     */
    public PathReading(FieldCatalogue catalogue, About about, List<Root> roots, String asking) {
        this.catalogue = catalogue;
        this.about = about;
        this.roots = List.copyOf(roots);
        this.asking = asking;
        this.known = reachable().keySet().stream().map(Path::toString).toList();
    }

    /** The field a path ends at. */
    public Optional<FieldDefinition> field(Path path) {
        return catalogue.resolve(path, about).filter(any -> begins(path));
    }

    /** Every path that can be offered, with the field it ends at. */
    public Map<Path, FieldDefinition> reachable() {
        Map<Path, FieldDefinition> reachable = new LinkedHashMap<>(catalogue.reachable(about));
        reachable.keySet().removeIf(path -> !begins(path));
        return reachable;
    }

    /** A day or a moment has no root. */
    private boolean begins(Path path) {
        return path.words().size() == 1 || Root.of(path).filter(roots::contains).isPresent();
    }

    /**
     * Why a path can't be used; to be asked for one that leads nowhere.
     *
     * @param start where the path begins in the source
     */
    public Problem unknown(Path path, int start) {
        Span span = new Span(start, start + path.toString().length());
        Optional<Path> today = OldNames.today(path).filter(now -> field(now).isPresent());
        if (today.isPresent()) {
            return renamed(path, today.get(), span);
        }
        Optional<Root> root = Root.of(path);
        if (path.words().size() > 1 && root.isPresent() && !roots.contains(root.get())) {
            String can = roots.stream().map(Root::word).collect(Collectors.joining(", "));
            return new Problem(
                    Problem.Code.FIELD_UNKNOWN,
                    span,
                    asking + " has no " + root.get().word() + " to take “" + path + "” from. It can use " + can + ".",
                    NearestNames.of(path.toString(), known));
        }
        return new Problem(
                Problem.Code.FIELD_UNKNOWN,
                span,
                "There is no field “" + path + "”.",
                NearestNames.of(path.toString(), known));
    }

    private static Problem renamed(Path old, Path today, Span span) {
        return new Problem(
                        Problem.Code.FIELD_UNKNOWN,
                        span,
                        "“" + old + "” is an old name. The field is called “" + today + "” now.",
                        List.of())
                .mendedBy(new Problem.Fix("Use " + today, span, today.toString()));
    }

    private static String described(About about) {
        return switch (about) {
            case CONTACT -> "a contact";
            case LEAD -> "a lead";
            case DEAL -> "a deal";
            case PERSON -> "any person";
        };
    }
}
