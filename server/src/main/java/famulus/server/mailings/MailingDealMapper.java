package famulus.server.mailings;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Deals that somebody says came of a mailing. */
@Mapper
interface MailingDealMapper {
    /** Those of a mailing, in the order they were named in. */
    @Select("select deal_id as id from mailing_deal where mailing_id = #{mailing} order by named_at, deal_id")
    List<UUID> of(UUID mailing);

    /** Names one; nothing happens where it is named already. */
    @Insert(
            """
            merge into mailing_deal as kept
            using (values (cast(#{mailing} as uuid), cast(#{deal} as uuid))) as wanted (mailing_id, deal_id)
            on kept.mailing_id = wanted.mailing_id and kept.deal_id = wanted.deal_id
            when not matched then insert (mailing_id, deal_id, named_by, named_at)
              values (wanted.mailing_id, wanted.deal_id, #{by}, #{at})
            """)
    void name(@Param("mailing") UUID mailing, @Param("deal") UUID deal, @Param("by") UUID by, @Param("at") Instant at);

    @Delete("delete from mailing_deal where mailing_id = #{mailing} and deal_id = #{deal}")
    void remove(@Param("mailing") UUID mailing, @Param("deal") UUID deal);
}
