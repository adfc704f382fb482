package famulus.server.library;

import famulus.server.library.TemplateKeeping.What;
import famulus.server.materials.HouseStyleService.StyledTemplate;
import famulus.server.materials.UsedIn;
import famulus.server.team.Colleague;
import java.util.List;
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
    public List<String> designs(UUID id) {
        return mapper.namesNaming(What.PART.name(), id.toString());
    }

    @Override
    public List<String> alongWith(UUID file) {
        return mapper.namesNaming(What.FILE.name(), file.toString());
    }

    @Override
    public List<StyledTemplate> styled(UUID style, boolean usual, Colleague asking) {
        return mapper.styled(style, usual, asking).stream()
                .map(row -> new StyledTemplate(row.id(), row.name(), row.about()))
                .toList();
    }
}
