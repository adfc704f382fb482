package famulus.server.desk;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** The people a template could go to, in the order of their names. */
@Mapper
interface ProofPeopleMapper {
    /** A person, and for templates about deals the deal. */
    record ProofPerson(String kind, UUID id, @Schema(nullable = true) UUID dealId, String name, String remark) {}

    Optional<ProofPerson> step(@Param("about") String about, @Param("id") UUID id, @Param("forward") boolean forward);

    Optional<ProofPerson> end(@Param("about") String about, @Param("forward") boolean forward);

    List<ProofPerson> find(@Param("about") String about, @Param("words") List<String> words, @Param("most") int most);

    int count(@Param("about") String about);
}
