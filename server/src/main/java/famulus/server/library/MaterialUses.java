package famulus.server.library;

import famulus.server.library.TemplateKeeping.What;
import famulus.server.materials.HouseStyleService.StyledTemplate;
import famulus.server.materials.UsedIn;
import famulus.server.team.Colleague;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells Materials which templates use what is in it. */
@Component
class MaterialUses implements UsedIn {
    private final TemplateMapper mapper;

    MaterialUses(TemplateMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public Optional<String> designs(UUID id, Colleague asking) {
        return words(What.PART, id, asking);
    }

    @Override
    public Optional<String> alongWith(UUID file, Colleague asking) {
        return words(What.FILE, file, asking);
    }

    private Optional<String> words(What what, UUID id, Colleague asking) {
        TemplateUses.Used used = TemplateUses.used(mapper.naming(what.name(), id.toString(), asking));
        return used.nowhere() ? Optional.empty() : Optional.of(used.words());
    }

    @Override
    public List<StyledTemplate> styled(UUID style, boolean usual, Colleague asking) {
        return mapper.styled(style, usual, asking).stream()
                .map(row -> new StyledTemplate(row.id(), row.name(), row.about()))
                .toList();
    }

    @Override
    public Set<UUID> within(Collection<UUID> some, Colleague asking) {
        return some.isEmpty()
                ? Set.of()
                : mapper.within(some.stream().map(UUID::toString).toList(), asking);
    }

    @Override
    public boolean styled(UUID style, Colleague asking) {
        return mapper.inStyle(style, asking);
    }
}
