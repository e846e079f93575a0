package ample.ledger.store;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;

/** The statements behind {@link Uploads}. */
@Mapper
interface UploadMapper {

    @Insert("INSERT INTO upload (upload_id, file_name, uploaded_at, content)"
            + " VALUES (#{id}::uuid, #{fileName}, #{at}, #{content})")
    void insert(
            @Param("id") String id,
            @Param("fileName") String fileName,
            @Param("at") Instant at,
            @Param("content") byte[] content);

    @Select(
            "SELECT upload_id::text AS \"id\", file_name AS \"fileName\", content AS \"content\" FROM upload WHERE upload_id = #{id}::uuid")
    Optional<Uploads.Upload> select(String id);

    @Delete("DELETE FROM upload WHERE upload_id = #{id}::uuid")
    void delete(String id);

    @Delete("DELETE FROM upload WHERE uploaded_at < #{moment}")
    void deleteBefore(Instant moment);

    /** An id that is none names nothing. */
    default Optional<Uploads.Upload> find(String id) {
        try {
            return select(UUID.fromString(id).toString());
        } catch (IllegalArgumentException noId) {
            return Optional.empty();
        }
    }
}
