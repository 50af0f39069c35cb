package elsom.web.lots;

import elsom.core.material.Lot;
import elsom.core.material.LotFigure;
import elsom.core.material.MaterialKind;
import elsom.core.material.Origin;
import elsom.core.material.Preparation;
import elsom.core.mix.Property;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Lots and their figures. */
@Mapper
interface LotMapper {
    /** A lot as it is stored. */
    record LotRow(
            long id,
            String name,
            String material,
            MaterialKind kind,
            @Nullable LocalDate received,
            String source,
            String prepared,
            String cautions,
            String recipe) {
        static LotRow of(Lot lot) {
            return new LotRow(
                    0,
                    lot.name().strip(),
                    lot.material().strip(),
                    lot.kind(),
                    lot.received(),
                    lot.source(),
                    lot.prepared().stream().map(Preparation::name).sorted().collect(Collectors.joining(" ")),
                    lot.cautions(),
                    lot.recipe());
        }

        Lot with(List<LotFigure> figures) {
            Set<Preparation> done = Arrays.stream(prepared.split(" "))
                    .filter(word -> !word.isEmpty())
                    .map(Preparation::valueOf)
                    .collect(Collectors.toSet());
            return new Lot(name, material, kind, received, source, done, cautions, recipe, figures);
        }
    }

    /** A figure as it is stored. */
    record FigureRow(
            long id,
            long lotId,
            Property property,
            double amount,
            Origin origin,
            String said,
            LocalDate toldOn,
            double depthCm,
            long trialId) {
        LotFigure figure() {
            return new LotFigure(property, amount, origin, said, toldOn, depthCm, trialId);
        }
    }

    @Select("select * from lot order by kind, lower(material), name")
    List<LotRow> lots();

    @Select("select * from lot_figure order by told_on, id")
    List<FigureRow> figures();

    @Select("select * from lot where name = #{name}")
    List<LotRow> named(String name);

    @Select("select * from lot_figure where lot_id = #{lot} order by told_on, id")
    List<FigureRow> figuresOf(long lot);

    @Insert("""
            insert into lot (name, material, kind, received, source, prepared, cautions, recipe)
            values (#{name}, #{material}, #{kind}, #{received}, #{source}, #{prepared}, #{cautions}, #{recipe})""")
    void insert(LotRow lot);

    @Update("""
            update lot set name = #{lot.name}, material = #{lot.material}, kind = #{lot.kind}, received = #{lot.received},
                source = #{lot.source}, prepared = #{lot.prepared}, cautions = #{lot.cautions}, recipe = #{lot.recipe}
            where name = #{was}""")
    int change(@Param("was") String was, @Param("lot") LotRow lot);

    @Delete("delete from lot where name = #{name}")
    int remove(String name);

    @Delete("delete from lot_figure where id = #{figure} and lot_id = (select id from lot where name = #{lot})")
    int removeFigure(@Param("lot") String lot, @Param("figure") long figure);
}
