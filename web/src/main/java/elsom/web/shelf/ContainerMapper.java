package elsom.web.shelf;

import elsom.core.trial.Container;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** The library of containers. */
@Mapper
interface ContainerMapper {
    @Select("""
            select name, shape, outline, depth_cm, top_length_cm, top_width_cm, base_length_cm, base_width_cm
            from container order by name""")
    List<Container> all();

    @Insert("""
            insert into container values (#{name}, #{shape}, #{outline}, #{depthCm}, #{topLengthCm}, #{topWidthCm},
                #{baseLengthCm}, #{baseWidthCm})""")
    void insert(Container container);
}
