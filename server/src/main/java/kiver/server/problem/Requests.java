package kiver.server.problem;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import java.util.UUID;
import java.util.function.LongSupplier;
import kiver.server.wording.Said;
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
     * @param content who sends it, where to, and all that is in it; must be the same on every retry
     * @param work to do; answers the number of what it made
     * @return the number of what was made, now or before
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public long once(UUID id, List<?> content, LongSupplier work) {
        String fingerprint = fingerprint(content);
        if (mapper.insert(id, fingerprint) == 0) {
            String before = mapper.content(id);
            if (!before.isEmpty() && !before.equals(fingerprint)) {
                throw new Refusal(
                        "requestId",
                        Said.of(
                                "This was sent once before with other entries, and that was carried out or is being carried out. Look at what stands now, then enter the change anew."));
            }
            return mapper.result(id);
        }
        long result = work.getAsLong();
        mapper.setResult(id, result);
        return result;
    }

    /** The same in every process: a phone may send again what it sent before the application was started anew. */
    private static String fingerprint(List<?> content) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256")
                    .digest(CanonicalText.of(content).getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException missing) {
            throw new IllegalStateException(missing);
        }
    }

    /** The request table. */
    @Mapper
    interface RequestMapper {
        @Insert("insert into request (id, content) values (#{id}::uuid, #{content}) on conflict do nothing")
        int insert(@Param("id") UUID id, @Param("content") String content);

        @Select("select content from request where id = #{id}::uuid")
        String content(@Param("id") UUID id);

        @Select("select result from request where id = #{id}::uuid")
        long result(@Param("id") UUID id);

        @Update("update request set result = #{result} where id = #{id}::uuid")
        void setResult(@Param("id") UUID id, @Param("result") long result);
    }
}
