package famulus.server.library;

import famulus.server.materials.HouseStyleService;
import famulus.server.materials.UsableMaterials;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * What somebody may put into what they write: pictures, files, passages, signatures and styles that they see, or that stand in a
 * template they may use. Of anything else a draft that comes in names something that is not there, whether they guessed it or
 * not.
 */
@Component
public class UsableParts {
    /** Nothing has it. */
    private static final UUID NOTHING = new UUID(0, 0);

    private final TemplateMapper mapper;
    private final UsableMaterials materials;
    private final HouseStyleService styles;
    private final MaterialUses uses;

    UsableParts(TemplateMapper mapper, UsableMaterials materials, HouseStyleService styles, MaterialUses uses) {
        this.mapper = mapper;
        this.materials = materials;
        this.styles = styles;
        this.uses = uses;
    }

    /** A draft without what whoever sends it may not use. */
    public Draft only(Draft draft, Colleague who) {
        if (who.is(Role.ADMINISTRATOR)) {
            return draft;
        }
        Set<UUID> named = new HashSet<>(Mentioned.in(draft.design()));
        named.addAll(draft.files());
        Set<UUID> hidden = hidden(named, who);
        boolean style = draft.houseStyle() == null || styles.mayUse(draft.houseStyle(), who);
        return hidden.isEmpty() && style
                ? draft
                : draft.naming(
                        hidden.stream().collect(Collectors.toMap(Function.identity(), any -> NOTHING)),
                        style ? draft.houseStyle() : NOTHING);
    }

    /** The same of one that comes from elsewhere: what it would have had of files that may not be used is left out. */
    Draft brought(Draft draft, Colleague who) {
        Draft usable = only(draft, who);
        return usable.carrying(
                usable.files().stream().filter(file -> !file.equals(NOTHING)).toList());
    }

    /** A design without what whoever sends it may not use. */
    public String only(String design, Colleague who) {
        Map<UUID, UUID> hidden = hidden(Mentioned.in(design), who).stream()
                .collect(Collectors.toMap(Function.identity(), any -> NOTHING));
        return hidden.isEmpty() ? design : Mentioned.with(design, hidden);
    }

    private Set<UUID> hidden(Set<UUID> named, Colleague who) {
        if (named.isEmpty() || who.is(Role.ADMINISTRATOR)) {
            return Set.of();
        }
        Set<UUID> hidden = new HashSet<>(materials.hidden(named, who));
        Set<UUID> texts = mapper.unseenTexts(named, who);
        if (!texts.isEmpty()) {
            texts.removeAll(uses.within(texts, who));
            hidden.addAll(texts);
        }
        return hidden;
    }
}
