package famulus.server.records;

import famulus.core.field.FieldType;
import famulus.server.records.FieldService.OwnField;
import famulus.server.records.PipelineService.Option;
import famulus.server.team.Colleague;
import famulus.server.team.Role;
import java.util.List;
import java.util.Map;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The house's own fields. Everybody may see which there are; administrators change them. */
@RestController
@RequestMapping("/api/fields")
class FieldController {
    private static final String ADMINISTRATORS_ONLY = "Only an administrator changes which fields there are.";

    private final FieldService fields;

    FieldController(FieldService fields) {
        this.fields = fields;
    }

    record NewField(CrmKind kind, String label, FieldType type, String section, boolean inList, List<String> choices) {}

    record ChangedField(String label, boolean inList, List<Option> choices) {}

    @GetMapping
    List<OwnField> fields(Colleague asking) {
        return fields.own();
    }

    @PostMapping
    List<OwnField> add(Colleague asking, @RequestBody NewField field) {
        asking.mustBe(ADMINISTRATORS_ONLY, Role.ADMINISTRATOR);
        fields.add(field.kind(), field.label(), field.type(), field.section(), field.inList(), field.choices());
        return fields.own();
    }

    @PutMapping("/{kind}/{name}")
    List<OwnField> change(
            Colleague asking, @PathVariable CrmKind kind, @PathVariable String name, @RequestBody ChangedField field) {
        asking.mustBe(ADMINISTRATORS_ONLY, Role.ADMINISTRATOR);
        fields.change(kind, name, field.label(), field.inList(), field.choices());
        return fields.own();
    }

    /** How many records have each choice of a field, by code. */
    @GetMapping("/{kind}/{name}/uses")
    Map<String, Integer> uses(Colleague asking, @PathVariable CrmKind kind, @PathVariable String name) {
        return fields.uses(kind, name);
    }

    @PostMapping("/{kind}/{name}/retire")
    List<OwnField> retire(Colleague asking, @PathVariable CrmKind kind, @PathVariable String name) {
        asking.mustBe(ADMINISTRATORS_ONLY, Role.ADMINISTRATOR);
        fields.retire(kind, name);
        return fields.own();
    }

    @DeleteMapping("/{kind}/{name}/retire")
    List<OwnField> bringBack(Colleague asking, @PathVariable CrmKind kind, @PathVariable String name) {
        asking.mustBe(ADMINISTRATORS_ONLY, Role.ADMINISTRATOR);
        fields.bringBack(kind, name);
        return fields.own();
    }
}
