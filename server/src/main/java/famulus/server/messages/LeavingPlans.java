package famulus.server.messages;

import famulus.server.contents.Packing;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Keeps what messages were made of. */
@Component
class LeavingPlans {
    private final LeavingMapper mapper;
    private final JsonMapper json;

    LeavingPlans(LeavingMapper mapper, JsonMapper json) {
        this.mapper = mapper;
        this.json = json;
    }

    void keep(UUID message, LeavingPlan plan) {
        byte[] bytes = json.writeValueAsString(plan).getBytes(StandardCharsets.UTF_8);
        mapper.keep(message, bytes.length, Packing.packed(bytes));
    }

    /** Empty for a message of which it is not kept. */
    Optional<LeavingPlan> of(UUID message) {
        return mapper.plan(message)
                .map(row -> new String(Packing.unpacked(row.packed(), row.size()), StandardCharsets.UTF_8))
                .map(plan -> json.readValue(plan, LeavingPlan.class));
    }

    boolean has(UUID message) {
        return mapper.knows(message);
    }

    void forget(UUID message) {
        mapper.forget(message);
    }
}
