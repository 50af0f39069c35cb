package elsom.web.measure;

import elsom.core.quantity.Quantity;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Known;
import elsom.core.read.OwnMeasure;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Measures of one's own, and the one word on whose gallons are meant. */
@Mapper
interface MeasureMapper {
    /** A measure as it is stored. */
    record Row(String word, double amount, UnitOfMeasure unit, String ofWhat) {
        OwnMeasure measure() {
            return new OwnMeasure(word, new Quantity(amount, unit), ofWhat);
        }
    }

    @Select("select word, amount, unit, of_what from own_measure order by word")
    List<Row> all();

    @Insert(
            "merge into own_measure (word, amount, unit, of_what) key (word) values (#{word}, #{amount}, #{unit}, #{ofWhat})")
    void keep(Row row);

    @Delete("delete from own_measure where word = #{word}")
    void remove(String word);

    @Select("select whose from liquid_measures")
    List<Known.Gallons> gallons();

    @Insert("insert into liquid_measures (only_row, whose) values (1, #{whose})")
    void say(Known.Gallons whose);

    @Select("select sign from currency")
    Optional<String> currency();

    @Insert("merge into currency (only_row, sign) key (only_row) values (1, #{sign})")
    void currencyIs(String sign);

    @Delete("delete from currency")
    void noCurrency();

    @Delete("delete from liquid_measures")
    void ask();
}
