package famulus.server.library;

import famulus.server.library.PartExchange.Exchanged;
import famulus.server.library.PartExchange.Material;
import famulus.server.library.TemplateUses.Used;
import famulus.server.team.Colleague;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Where pictures, feeds and files of Materials are used, and putting others in their places. */
@RestController
@RequestMapping("/api/materials/uses/{id}")
class MaterialExchangeController {
    private final PartExchange exchange;

    MaterialExchangeController(PartExchange exchange) {
        this.exchange = exchange;
    }

    /** What takes the place of something. */
    record OtherMaterial(Material what, @Schema(nullable = true) UUID other) {}

    /** The templates that have it. */
    @GetMapping
    Used using(Colleague asking, @PathVariable UUID id, @RequestParam Material what) {
        return exchange.using(what, id, asking);
    }

    /** Puts another one in its place wherever templates have it, and deletes it; or does nothing. */
    @PostMapping("/in-its-place")
    Exchanged inItsPlace(Colleague asking, @PathVariable UUID id, @RequestBody OtherMaterial wanted) {
        return exchange.exchange(wanted.what(), id, wanted.other(), asking);
    }
}
