package famulus.server.search;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** The words that things are found by. */
@Mapper
interface SearchMapper {
    /** A word of a thing. */
    record WordRow(UUID id, String word) {}

    /** All words of a thing; see {@link Entry}. */
    record EntryRow(UUID id, String words) {}

    List<EntryRow> entries(@Param("ids") Collection<UUID> ids);

    /** Keeps the words of things that have none yet. */
    void insertEntries(@Param("ids") Collection<UUID> ids, @Param("words") Collection<String> words);

    /** Keeps the words of things in place of those they may have had. */
    void putEntries(@Param("ids") Collection<UUID> ids, @Param("words") Collection<String> words);

    void insert(
            @Param("scope") String scope, @Param("ids") Collection<UUID> ids, @Param("words") Collection<String> words);

    @Delete("delete from search_word where scope = #{scope} and word = #{word} and id = #{id}")
    void delete(@Param("scope") String scope, @Param("word") String word, @Param("id") UUID id);

    /** The things that have one of some words. */
    List<WordRow> exactly(@Param("scope") String scope, @Param("words") Collection<String> words);

    /** Those of some words that anything has. */
    List<String> known(@Param("scope") String scope, @Param("words") Collection<String> words);

    /** How many words begin so, but no more than {@code most}. */
    int count(@Param("scope") String scope, @Param("word") SearchWord word, @Param("most") int most);

    /** The things that have a word that begins like {@code rarest}, and one for each of the others. */
    List<UUID> find(
            @Param("scope") String scope,
            @Param("rarest") SearchWord rarest,
            @Param("words") List<SearchWord> others,
            @Param("most") int most);
}
