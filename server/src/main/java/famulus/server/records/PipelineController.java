package famulus.server.records;

import famulus.server.records.PipelineService.Pipeline;
import famulus.server.records.PipelineService.Uses;
import famulus.server.team.Colleague;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Stages, states, sources and roles, to be read by all and changed by administrators. */
@RestController
@RequestMapping("/api/company/pipeline")
class PipelineController {
    private final PipelineService pipeline;

    PipelineController(PipelineService pipeline) {
        this.pipeline = pipeline;
    }

    /**
     * Lists as they are to be.
     *
     * @param before what they were when whoever asks began, so that nobody's change is overwritten unseen
     */
    record ChangedPipeline(Pipeline before, Pipeline after) {}

    @GetMapping
    Pipeline pipeline(Colleague asking) {
        return pipeline.all();
    }

    /** How many records have each option, by code. */
    @GetMapping("/uses")
    Uses uses(Colleague asking) {
        return pipeline.uses();
    }

    @PutMapping
    Pipeline change(Colleague asking, @RequestBody ChangedPipeline changed) {
        pipeline.change(changed.before(), changed.after(), asking);
        return pipeline.all();
    }
}
