package ample.ledger.store;

import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The statements behind {@link PrivateAddresses}. */
@Mapper
interface PrivateAddressMapper {

    @Insert("INSERT INTO private_address (owner, purpose, token) VALUES (#{owner}, #{purpose}, #{token})"
            + " ON CONFLICT (owner, purpose) DO NOTHING")
    void make(@Param("owner") String owner, @Param("purpose") String purpose, @Param("token") String token);

    @Select("SELECT token FROM private_address WHERE owner = #{owner} AND purpose = #{purpose}")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    Optional<String> token(@Param("owner") String owner, @Param("purpose") String purpose);

    @Select("SELECT owner FROM private_address WHERE token = #{token} AND purpose = #{purpose}")
    Optional<String> owner(@Param("purpose") String purpose, @Param("token") String token);

    @Delete("DELETE FROM private_address WHERE owner = #{owner} AND purpose = #{purpose}")
    void withdraw(@Param("owner") String owner, @Param("purpose") String purpose);
}
