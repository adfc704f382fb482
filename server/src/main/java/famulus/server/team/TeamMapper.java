package famulus.server.team;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Colleagues, the house and failed sign-ins. */
@Mapper
interface TeamMapper {
    String COLUMNS = "id, email, first_name, last_name, role, coalesce(job_title, '') as job_title,"
            + " coalesce(phone, '') as phone, coalesce(signature, '') as signature, active";

    @Select("select " + COLUMNS + " from colleague order by first_name, last_name")
    List<Colleague> all();

    @Select("select " + COLUMNS + " from colleague where id = #{id}")
    Optional<Colleague> byId(UUID id);

    @Select("select " + COLUMNS + " from colleague where email = #{email}")
    Optional<Colleague> byEmail(String email);

    @Select("select " + COLUMNS + " from colleague where id = #{id} and access = #{access}")
    Optional<Colleague> bySession(SignedIn session);

    /** Which access of theirs is valid. */
    @Select("select access from colleague where id = #{id}")
    Optional<Integer> access(UUID id);

    /** Makes all their sessions void. */
    @Update("update colleague set access = access + 1 where id = #{id}")
    void endSessions(UUID id);

    @Select("select password_hash from colleague where id = #{id}")
    String passwordHash(UUID id);

    @Select("select count(*) from colleague")
    int count();

    @Select("select count(*) from colleague where active and role = 'ADMINISTRATOR' and id <> #{id}")
    int otherAdministrators(UUID id);

    @Insert(
            """
            insert into colleague
              (id, email, first_name, last_name, role, job_title, phone, signature, active, password_hash, created_at)
            values
              (#{who.id}, #{who.email}, #{who.firstName}, #{who.lastName}, #{who.role}, #{who.jobTitle},
               #{who.phone}, #{who.signature}, #{who.active}, #{hash}, #{at})
            """)
    void insert(@Param("who") Colleague who, @Param("hash") String passwordHash, @Param("at") Instant at);

    @Update(
            """
            update colleague
            set first_name = #{firstName}, last_name = #{lastName}, role = #{role}, job_title = #{jobTitle},
                phone = #{phone}, signature = #{signature}, active = #{active}
            where id = #{id}
            """)
    void update(Colleague who);

    /** How many seconds they have chosen to take a message back in; nothing where they have chosen none. */
    @Select("select take_back_seconds from colleague where id = #{id} and take_back_seconds is not null")
    Optional<Integer> takeBackSeconds(UUID id);

    /** Whether they let colleagues write in their name. */
    @Select("select in_my_name from colleague where id = #{id}")
    Optional<Boolean> inMyName(UUID id);

    @Update("update colleague set in_my_name = #{allowed} where id = #{id}")
    void allowInMyName(@Param("id") UUID id, @Param("allowed") boolean allowed);

    /** Whether they let colleagues send mailings in their name. */
    @Select("select mailings_in_my_name from colleague where id = #{id}")
    Optional<Boolean> mailingsInMyName(UUID id);

    @Update("update colleague set mailings_in_my_name = #{allowed} where id = #{id}")
    void allowMailingsInMyName(@Param("id") UUID id, @Param("allowed") boolean allowed);

    @Update("update colleague set take_back_seconds = #{seconds} where id = #{id}")
    void takeBackIn(@Param("id") UUID id, @Param("seconds") int seconds);

    @Update("update colleague set password_hash = #{hash} where id = #{id}")
    void password(@Param("id") UUID id, @Param("hash") String hash);

    @Select(
            """
            select name, domain, coalesce(phone, '') as phone, coalesce(website, '') as website,
                   coalesce(street, '') as street, coalesce(postcode, '') as postcode, coalesce(town, '') as town,
                   country, language, time_zone, currency
            from house
            """)
    Optional<House> house();

    @Insert(
            """
            insert into house
              (id, name, domain, phone, website, street, postcode, town, country, language, time_zone, currency)
            values
              (1, #{name}, #{domain}, #{phone}, #{website}, #{street}, #{postcode}, #{town}, #{country}, #{language},
               #{timeZone}, #{currency})
            """)
    void insertHouse(House house);

    @Update(
            """
            update house
            set name = #{name}, domain = #{domain}, phone = #{phone}, website = #{website}, street = #{street},
                postcode = #{postcode}, town = #{town}, country = #{country}, language = #{language},
                time_zone = #{timeZone}, currency = #{currency}
            """)
    void updateHouse(House house);

    @Select("select public_address from house where public_address is not null")
    Optional<String> publicAddress();

    @Update("update house set public_address = #{address}")
    void keepPublicAddress(@Param("address") String address);

    @Insert("insert into failed_sign_in (email, source, at) values (#{email}, #{source}, #{at})")
    void failed(@Param("email") String email, @Param("source") String source, @Param("at") Instant at);

    @Select("select count(*) from failed_sign_in where source = #{source} and at > #{since}")
    int failuresFrom(@Param("source") String source, @Param("since") Instant since);

    @Delete("delete from failed_sign_in where at < #{before}")
    void forgetOldFailures(Instant before);

    @Select("select count(*) from failed_sign_in where email = #{email} and at > #{since}")
    int failures(@Param("email") String email, @Param("since") Instant since);

    @Delete("delete from failed_sign_in where email = #{email}")
    void forgetFailures(String email);

    @Select("select address from reply_address where colleague_id = #{colleague}")
    Optional<String> replyAddress(UUID colleague);

    @Delete("delete from reply_address where colleague_id = #{colleague}")
    void forgetReplyAddress(UUID colleague);

    @Insert("insert into reply_address (colleague_id, address) values (#{colleague}, #{address})")
    void keepReplyAddress(@Param("colleague") UUID colleague, @Param("address") String address);

    @Select("select counts_reading from house")
    Optional<Boolean> countsReading();

    @Update("update house set counts_reading = #{counts}")
    void countReading(@Param("counts") boolean counts);
}
