package famulus.core.intake;

import famulus.core.field.About;
import famulus.core.field.FieldCatalogue;
import famulus.core.field.FieldDefinition;
import famulus.core.field.Path;
import famulus.core.field.Root;
import famulus.core.prose.WrittenLanguage;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.ResourceBundle;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Which field is meant by a code of another system, by its name: what was said of it before, else a field that is called so,
 * else what such a name mostly means in one of our languages ({@code codes*.properties}). Nothing is guessed from likeness.
 */
public final class CodeFields {
    private static final Pattern SIGNS = Pattern.compile("[^\\p{L}\\p{N}]+");
    /** Words before a name that say that it is one of somebody's fields. */
    private static final Pattern WHOSE = Pattern.compile(
            "^(?:contact|subscriber|recipient|customer|person|lead|user|member|merge|field|data|attribute|custom|kontakt|empfaenger|empfänger|kunde|client|destinataire)s?(?=.)");
    /** Whose fields a bare name means first; in the tables of usual names the first one stands for all of them. */
    private static final List<Root> READER = List.of(Root.CONTACT, Root.PERSON, Root.LEAD);

    private static final List<Root> AROUND = List.of(Root.ORGANISATION, Root.DEAL);

    private static final Set<Root> NEVER = Set.of(Root.HISTORY, Root.MESSAGE);

    private final Map<String, Path> byName = new HashMap<>();
    private final Map<String, Path> remembered;

    private CodeFields(Map<String, Path> remembered) {
        this.remembered = remembered;
    }

    /**
     * Fields as they may be meant.
     *
     * @param about what a template is for
     * @param remembered what codes were said to mean before, by {@link #key}
     */
    public static CodeFields of(FieldCatalogue catalogue, About about, Map<String, Path> remembered) {
        CodeFields fields = new CodeFields(Map.copyOf(remembered));
        Map<Path, FieldDefinition> reachable = catalogue.reachable(about);
        reachable.forEach((path, field) -> {
            if (mayBeMeant(path)) {
                fields.name(path.toString(), path);
            }
        });
        READER.forEach(root -> fields.named(root, reachable));
        fields.usual(reachable);
        AROUND.forEach(root -> fields.named(root, reachable));
        return fields;
    }

    /** Whether a field can be meant by a code: none that another system could not have known is. */
    public static boolean mayBeMeant(Path path) {
        return Root.of(path).filter(NEVER::contains).isEmpty();
    }

    /** The fields of a root by their bare names and labels. */
    private void named(Root root, Map<Path, FieldDefinition> reachable) {
        reachable.forEach((path, field) -> {
            if (path.words().size() == 2 && path.root().equals(root.word())) {
                name(path.words().getLast(), path);
                name(field.label(), path);
            }
        });
    }

    /** What such names mostly mean, where there is such a field; a language after another. */
    private void usual(Map<Path, FieldDefinition> reachable) {
        for (WrittenLanguage language : WrittenLanguage.values()) {
            ResourceBundle bundle = ResourceBundle.getBundle(
                    "famulus.core.intake.codes",
                    language.locale(),
                    ResourceBundle.Control.getNoFallbackControl(ResourceBundle.Control.FORMAT_PROPERTIES));
            for (String path : bundle.keySet()) {
                List<String> words = List.of(path.split("\\."));
                candidates(words).filter(reachable::containsKey).findFirst().ifPresent(field -> Arrays.stream(
                                bundle.getString(path).split(","))
                        .forEach(name -> name(name, field)));
            }
        }
    }

    private static Stream<Path> candidates(List<String> words) {
        return words.getFirst().equals(READER.getFirst().word())
                ? READER.stream().map(root -> new Path(List.of(root.word(), words.getLast())))
                : Stream.of(new Path(words));
    }

    private void name(String name, Path path) {
        byName.putIfAbsent(key(name), path);
    }

    /** The field that is meant by a code, with its marks; empty where none is known. */
    public Optional<Path> meantBy(String code) {
        String key = key(code);
        if (remembered.containsKey(key)) {
            return Optional.of(remembered.get(key));
        }
        String bare = WHOSE.matcher(key).replaceFirst("");
        return Optional.ofNullable(byName.getOrDefault(key, byName.get(bare)));
    }

    /** A name without what tells its spellings apart: {@code firstname} of {@code *|First_Name|*}; a default is no part of it. */
    public static String key(String code) {
        String name = code.replaceFirst("(?<=[\\p{L}\\p{N}\\s])\\s*[|:](?![|*]).*", "");
        return SIGNS.matcher(name).replaceAll("").toLowerCase(Locale.ROOT);
    }
}
