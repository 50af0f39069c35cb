package elsom.web.lots;

import elsom.core.material.UseBound;
import elsom.core.mix.Property;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** Uses that a station has made its own. */
@Mapper
interface UseMapper {
    /** A use without its bounds. */
    record UseRow(String code, String name, double depthCm, String why) {}

    /** A bound of a use. */
    record BoundRow(
            String useCode,
            int place,
            Property property,
            double least,
            double leastOk,
            double mostOk,
            double most,
            String below,
            String above) {
        UseBound bound() {
            return new UseBound(property, least, leastOk, mostOk, most, below, above);
        }
    }

    @Select("select * from use_window order by name")
    List<UseRow> uses();

    @Select("select * from use_bound order by use_code, place")
    List<BoundRow> bounds();

    @Delete("delete from use_window where code = #{code}")
    int remove(String code);

    @Insert("insert into use_window values (#{code}, #{name}, #{depthCm}, #{why})")
    void insert(UseRow use);

    @Insert("""
            insert into use_bound values (#{use}, #{place}, #{bound.property}, #{bound.least}, #{bound.leastOk},
                #{bound.mostOk}, #{bound.most}, #{bound.below}, #{bound.above})""")
    void insertBound(@Param("use") String use, @Param("place") int place, @Param("bound") UseBound bound);
}
