package famulus.server.mailings;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Who gets a mailing. */
@Mapper
interface MailingPersonMapper {
    String COLUMNS =
            """
            select p.mailing_id, p.chosen_id, p.person_kind, p.person_id, p.deal_id, p.name, p.address, p.state, p.held_by, p.why,
                   p.as_it_is, p.draft_id, p.due_at, p.moved, p.left_at, p.message_id, p.turn, p.opened_at, p.clicked_at, p.replied_at,
                   p.unsubscribed
            from mailing_person p
            """;

    @Select(COLUMNS + "where p.mailing_id = #{mailing} order by p.name, p.chosen_id")
    List<MailingPerson> all(UUID mailing);

    /** The same, locked until the transaction ends. Whoever changes a mailing and its people locks these first. */
    @Select(COLUMNS + "where p.mailing_id = #{mailing} order by p.chosen_id for update")
    List<MailingPerson> holdAll(UUID mailing);

    /** Everybody of a mailing, by what they were chosen as. */
    default Map<UUID, MailingPerson> known(UUID mailing) {
        return byChoice(all(mailing));
    }

    /** The same, locked. */
    default Map<UUID, MailingPerson> holdKnown(UUID mailing) {
        return byChoice(holdAll(mailing));
    }

    private static Map<UUID, MailingPerson> byChoice(List<MailingPerson> people) {
        return people.stream().collect(Collectors.toMap(MailingPerson::chosenId, Function.identity()));
    }

    @Select(COLUMNS + "where p.mailing_id = #{mailing} and p.chosen_id = #{chosen} for update")
    Optional<MailingPerson> hold(@Param("mailing") UUID mailing, @Param("chosen") UUID chosen);

    @Select(COLUMNS + "where p.message_id = #{message}")
    Optional<MailingPerson> ofMessage(UUID message);

    /** The same, locked until the transaction ends. */
    @Select(COLUMNS + "where p.message_id = #{message} for update")
    Optional<MailingPerson> holdMessage(UUID message);

    /** The mailings somebody got, the newest first; a few. Leans on mailing_person_person. */
    @Select(
            COLUMNS
                    + """
                    where p.person_id = #{person} and p.left_at is not null
                    order by p.person_id, p.left_at desc
                    limit 20
                    """)
    List<MailingPerson> of(UUID person);

    /** Keeps somebody as they stand now, in place of what was kept of them. */
    @Insert(
            """
            merge into mailing_person
              (mailing_id, chosen_id, person_kind, person_id, deal_id, name, address, state, held_by, why, as_it_is, draft_id,
               due_at, moved, left_at, message_id, turn, opened_at, clicked_at, replied_at, unsubscribed)
            key (mailing_id, chosen_id)
            values
              (#{mailingId}, #{chosenId}, #{personKind}, #{personId}, #{dealId}, #{name}, #{address}, #{state}, #{heldBy},
               #{why}, #{asItIs}, #{draftId}, #{dueAt}, #{moved}, #{leftAt}, #{messageId}, #{turn}, #{openedAt}, #{clickedAt},
               #{repliedAt}, #{unsubscribed})
            """)
    void keep(MailingPerson person);

    @Delete("delete from mailing_person where mailing_id = #{mailing} and chosen_id = #{chosen}")
    void remove(@Param("mailing") UUID mailing, @Param("chosen") UUID chosen);

    /** Whose turn it may be. */
    record Due(UUID mailing, UUID chosen) {}

    /** Who is of a mailing that runs, and does not rest. */
    String OF_RUNNING =
            """
             and exists (
               select 1 from mailing m
               where m.id = p.mailing_id and m.state = 'RUNNING'
                 and (m.rests_until is null or m.rests_until <= #{now}))
            """;

    /** Those who are due first, whoever has them in hand. Leans on mailing_person_due, in its order. */
    @Select("select p.mailing_id as mailing, p.chosen_id as chosen from mailing_person p"
            + " where p.state = 'PLANNED' and p.due_at <= #{now}" + OF_RUNNING
            + "order by p.state, p.due_at, p.chosen_id limit #{most}")
    List<Due> planned(@Param("now") Instant now, @Param("most") int most);

    /** Those whom somebody took before a moment, and has not come to an end with. */
    @Select("select p.mailing_id as mailing, p.chosen_id as chosen from mailing_person p"
            + " where p.state = 'LEAVING' and (p.taken_at is null or p.taken_at < #{lost})" + OF_RUNNING
            + "order by p.state, p.due_at, p.chosen_id limit #{most}")
    List<Due> lost(@Param("now") Instant now, @Param("lost") Instant lost, @Param("most") int most);

    /** Takes somebody who is due still; nobody where somebody else has them in hand. */
    @Select(COLUMNS + "where p.mailing_id = #{mailing} and p.chosen_id = #{chosen}"
            + " and (p.state = 'PLANNED' and p.due_at <= #{now}"
            + " or p.state = 'LEAVING' and (p.taken_at is null or p.taken_at < #{lost}))" + OF_RUNNING
            + "for update skip locked")
    Optional<MailingPerson> takeDue(
            @Param("mailing") UUID mailing,
            @Param("chosen") UUID chosen,
            @Param("now") Instant now,
            @Param("lost") Instant lost);

    /**
     * Takes the next one that is due of a mailing that runs; of two that ask at once each gets another one. One that somebody
     * took long ago, and has not come to an end with, is due again.
     *
     * @param lost who was taken before this moment counts as due
     * @param most so many at most may be in others’ hands
     */
    default Optional<MailingPerson> nextDue(Instant now, Instant lost, int most) {
        // A limit is applied before what is locked is skipped: asked for one, it finds nobody while the first one is in
        // a hand.
        return Stream.of(lost(now, lost, most + 1), planned(now, most + 1))
                .flatMap(List::stream)
                .flatMap(one -> takeDue(one.mailing(), one.chosen(), now, lost).stream())
                .findFirst();
    }

    /** Those of a mailing who are due next, in their order; nobody is taken. */
    @Select(
            COLUMNS
                    + """
                    where p.mailing_id = #{mailing} and p.state = 'PLANNED' and p.due_at <= #{now}
                    order by p.due_at, p.chosen_id
                    limit #{most}
                    """)
    List<MailingPerson> next(@Param("mailing") UUID mailing, @Param("now") Instant now, @Param("most") int most);

    @Update(
            """
            update mailing_person
            set state = 'LEAVING', taken_at = #{at}, left_at = coalesce(left_at, #{at}), message_id = #{message}, why = ''
            where mailing_id = #{mailing} and chosen_id = #{chosen}
            """)
    void leaving(
            @Param("mailing") UUID mailing,
            @Param("chosen") UUID chosen,
            @Param("message") UUID message,
            @Param("at") Instant at);

    @Update(
            """
            update mailing_person set state = #{state}, why = #{why}
            where mailing_id = #{mailing} and chosen_id = #{chosen}
            """)
    void become(
            @Param("mailing") UUID mailing,
            @Param("chosen") UUID chosen,
            @Param("state") PersonState state,
            @Param("why") String why);

    /** Whose message was in the hands of a process that has ended, of mailings that were stopped since; locked. */
    @Select(
            COLUMNS
                    + """
                    where p.state = 'LEAVING'
                      and exists (select 1 from mailing m where m.id = p.mailing_id and m.state = 'STOPPED')
                    order by p.mailing_id, p.chosen_id
                    for update
                    """)
    List<MailingPerson> stranded();

    /** Has what a process that has ended had in hand be taken up at once. */
    @Update("update mailing_person set taken_at = null where state = 'LEAVING'")
    void release();

    /** How many were handed over since a moment. Leans on mailing_person_left. */
    @Select("select count(*) from mailing_person where left_at > #{since}")
    int leftSince(Instant since);

    /** When those were that were handed over since a moment. */
    @Select("select left_at as at from mailing_person where left_at > #{since} order by left_at")
    List<Instant> left(Instant since);

    @Update(
            """
            update mailing_person
            set opened_at = #{openedAt}, clicked_at = #{clickedAt}, replied_at = #{repliedAt}, unsubscribed = #{unsubscribed}
            where mailing_id = #{mailingId} and chosen_id = #{chosenId}
            """)
    void did(MailingPerson person);
}
