package elsom.web.people;

import elsom.web.platform.Role;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** People, the devices they signed in on, and invitations. */
@Mapper
interface PeopleMapper {
    String PERSON = "select id, name, role, password, pin, pin_misses, added_at, left_at from person ";
    String SIGN_IN = """
            select s.id, s.owner_id, s.person_id, s.owner, s.person, p.role as role, s.by_pin,
                s.device, s.begun_at, s.seen_at, s.ends_at
            from sign_in s join person p on p.id = s.person_id join person o on o.id = s.owner_id
            where s.ended_at is null and p.left_at is null and o.left_at is null\s""";

    @Select("select exists (select 1 from person where left_at is null)")
    boolean any();

    @Select(PERSON + "order by left_at nulls first, name")
    List<Person> all();

    @Select(PERSON + "where name = #{name} and left_at is null")
    Optional<Person> named(String name);

    @Select(PERSON + "where id = #{id} and left_at is null")
    Optional<Person> of(long id);

    /** Whether a name was ever used: what was signed with it stays that person's. */
    @Select("select exists (select 1 from person where name = #{name})")
    boolean taken(String name);

    @Select("select count(*) from person where left_at is null and role = 'KEEP' and id <> #{but}")
    int othersWhoKeep(long but);

    @Insert("insert into person (name, role, password, added_at) values (#{name}, #{role}, #{password}, #{at})")
    void add(
            @Param("name") String name,
            @Param("role") Role role,
            @Param("password") String password,
            @Param("at") Instant at);

    @Update("update person set role = #{role} where id = #{id}")
    void role(@Param("id") long id, @Param("role") Role role);

    @Update("update person set password = #{password} where id = #{id}")
    void password(@Param("id") long id, @Param("password") String password);

    @Update("update person set pin = #{pin}, pin_misses = 0 where id = #{id}")
    void pin(@Param("id") long id, @Param("pin") @Nullable String pin);

    @Update("update person set pin_misses = #{misses} where id = #{id}")
    void pinMisses(@Param("id") long id, @Param("misses") int misses);

    @Update("update person set left_at = #{at} where id = #{id} and left_at is null")
    int leave(@Param("id") long id, @Param("at") Instant at);

    @Insert("""
            insert into sign_in (digest, owner_id, person_id, owner, person, device, begun_at, seen_at, ends_at)
            values (#{digest}, #{who.id}, #{who.id}, #{who.name}, #{who.name}, #{device}, #{at}, #{at}, #{ends})""")
    void begin(
            @Param("digest") String digest,
            @Param("who") Person person,
            @Param("device") String device,
            @Param("at") Instant at,
            @Param("ends") Instant ends);

    @Select(SIGN_IN + "and s.digest = #{digest} and s.ends_at > #{now} and s.seen_at > #{idle}")
    Optional<DeviceSignIn> signIn(
            @Param("digest") String digest, @Param("now") Instant now, @Param("idle") Instant idle);

    @Select(SIGN_IN + "and s.ends_at > #{now} and s.seen_at > #{idle} order by s.seen_at desc")
    List<DeviceSignIn> signIns(@Param("now") Instant now, @Param("idle") Instant idle);

    @Update("update sign_in set seen_at = #{at} where id = #{id}")
    void seen(@Param("id") long id, @Param("at") Instant at);

    @Update("update sign_in set person_id = #{who.id}, person = #{who.name}, by_pin = true where id = #{id}")
    void change(@Param("id") long id, @Param("who") Person person);

    @Update("update sign_in set ended_at = #{at} where id = #{id} and ended_at is null")
    int end(@Param("id") long id, @Param("at") Instant at);

    @Update("""
            update sign_in set ended_at = #{at}
            where (owner_id = #{person} or person_id = #{person}) and id <> #{but} and ended_at is null""")
    int endAll(@Param("person") long person, @Param("but") long but, @Param("at") Instant at);

    @Insert("""
            insert into invitation (digest, role, made_by, made_at, ends_at)
            values (#{digest}, #{role}, #{by}, #{at}, #{ends})""")
    void invite(
            @Param("digest") String digest,
            @Param("role") Role role,
            @Param("by") String by,
            @Param("at") Instant at,
            @Param("ends") Instant ends);

    @Select("""
            select id, role, made_by, made_at, ends_at from invitation
            where used_by is null and withdrawn_at is null and ends_at > #{now} order by made_at desc""")
    List<Invitation> invitations(Instant now);

    @Select("""
            select id, role, made_by, made_at, ends_at from invitation
            where digest = #{digest} and used_by is null and withdrawn_at is null and ends_at > #{now}""")
    Optional<Invitation> invitation(@Param("digest") String digest, @Param("now") Instant now);

    @Update("update invitation set used_by = #{by} where id = #{id} and used_by is null and withdrawn_at is null")
    int used(@Param("id") long id, @Param("by") String by);

    @Update("update invitation set withdrawn_at = #{at} where id = #{id} and used_by is null and withdrawn_at is null")
    int withdraw(@Param("id") long id, @Param("at") Instant at);
}
