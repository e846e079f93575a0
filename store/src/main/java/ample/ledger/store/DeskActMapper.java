package ample.ledger.store;

import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** The statements behind {@link DeskActs}. */
@Mapper
interface DeskActMapper {

    @Insert("INSERT INTO desk_act (at, who, what) VALUES (#{at}, #{who}, #{what})")
    void add(DeskActs.Act act);

    @Select("SELECT at, who, what FROM desk_act ORDER BY number DESC LIMIT #{most}")
    List<DeskActs.Act> latest(int most);
}
