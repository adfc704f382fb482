package famulus.server.library;

import famulus.server.team.Colleague;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Puts the library in order, several templates at a time. */
@RestController
@RequestMapping("/api/templates")
class SortingController {
    private final TemplateTags tags;
    private final TemplateSorting sorting;

    SortingController(TemplateTags tags, TemplateSorting sorting) {
        this.tags = tags;
        this.sorting = sorting;
    }

    /** What templates can be told apart by: what they are for, and their tags. */
    @GetMapping("/sorts")
    TemplateTags.Sorts sorts(Colleague asking) {
        return tags.sorts(asking);
    }

    /** Tags to add to templates, and those to remove. */
    record TemplatesToTag(List<UUID> templates, List<String> add, List<String> remove) {}

    /** The tags a template had before. */
    record TaggedTemplate(UUID template, List<String> had) {}

    @PostMapping("/tags")
    List<TaggedTemplate> tag(Colleague asking, @RequestBody TemplatesToTag wanted) {
        return tags.tag(wanted.templates(), wanted.add(), wanted.remove(), asking).entrySet().stream()
                .map(one -> new TaggedTemplate(one.getKey(), one.getValue()))
                .toList();
    }

    /** Templates to archive, or to bring back from there. */
    record TemplatesToArchive(List<UUID> templates, boolean archived) {}

    @PostMapping("/archive")
    void archive(Colleague asking, @RequestBody TemplatesToArchive wanted) {
        sorting.archive(wanted.templates(), wanted.archived(), asking);
    }

    /** Templates that are to be somebody else's. */
    record TemplatesToHandOver(List<UUID> templates, UUID owner) {}

    /** Whose a template was before. */
    record HandedTemplate(UUID template, UUID from) {}

    @PostMapping("/owner")
    List<HandedTemplate> handOver(Colleague asking, @RequestBody TemplatesToHandOver wanted) {
        return sorting.handOver(wanted.templates(), wanted.owner(), asking).entrySet().stream()
                .map(one -> new HandedTemplate(one.getKey(), one.getValue()))
                .toList();
    }

    /** Another name. */
    record NewName(String name) {}

    @PutMapping("/{id}/name")
    void rename(Colleague asking, @PathVariable UUID id, @RequestBody NewName wanted) {
        sorting.rename(id, wanted.name() == null ? "" : wanted.name(), asking);
    }
}
