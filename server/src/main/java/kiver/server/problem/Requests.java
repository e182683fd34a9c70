package kiver.server.problem;

import java.util.UUID;
import java.util.function.LongSupplier;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Carries each request out once, however often it arrives. The note of it is written in the same transaction as what
 * it does: either both stand or neither, and of two that arrive together one waits for the other.
 */
@Component
public class Requests {

    private final RequestMapper mapper;

    Requests(RequestMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * Does the work unless this request was carried out before.
     *
     * @param id that the sender chose, the same on every retry
     * @param work to do; answers the number of what it made
     * @return the number of what was made, now or before
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public long once(UUID id, LongSupplier work) {
        if (mapper.insert(id) == 0) {
            return mapper.result(id);
        }
        long result = work.getAsLong();
        mapper.setResult(id, result);
        return result;
    }

    /** The request table. */
    @Mapper
    interface RequestMapper {
        @Insert("insert into request (id) values (#{id}::uuid) on conflict do nothing")
        int insert(@Param("id") UUID id);

        @Select("select result from request where id = #{id}::uuid")
        long result(@Param("id") UUID id);

        @Update("update request set result = #{result} where id = #{id}::uuid")
        void setResult(@Param("id") UUID id, @Param("result") long result);
    }
}
