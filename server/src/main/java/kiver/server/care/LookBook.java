package kiver.server.care;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import kiver.core.care.Ailment;
import kiver.core.care.LookRule;
import kiver.core.crop.Crop;
import kiver.core.crop.CropCode;
import kiver.server.crop.CropBook;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What is looked for, from the library; and what was seen. */
@Component
public class LookBook {

    private final LookMapper mapper;
    private final CropBook crops;
    private final List<LibraryLook> looks;

    LookBook(LookMapper mapper, CropBook crops, JsonMapper json, @Value("${kiver.library}") Path folder) {
        this.mapper = mapper;
        this.crops = crops;
        try {
            looks = json.readValue(Files.readString(folder.resolve("looks.json")), Library.class)
                    .looks();
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** The library's file. */
    record Library(String note, List<LibraryLook> looks) {}

    /** A rule as it stands there. */
    record LibraryLook(
            Ailment ailment,
            Set<LookRule.PlantKind> kinds,
            LookRule.Places places,
            int fromMonth,
            int toMonth,
            boolean eatenByMice,
            List<String> crops) {
        LookRule rule(CropBook library) {
            return new LookRule(
                    ailment,
                    kinds,
                    places,
                    fromMonth,
                    toMonth,
                    eatenByMice
                            ? library.crops().stream()
                                    .filter(crop -> crop.seed().eatenByMice())
                                    .map(Crop::code)
                                    .collect(Collectors.toSet())
                            : crops.stream().map(CropCode::new).collect(Collectors.toSet()));
        }
    }

    /**
     * What was seen.
     *
     * @param share of the plants there, 0 for none
     */
    public record Seen(long placeId, Ailment ailment, double share, LocalDate seenOn) {}

    /** Everything that is looked for. */
    public List<LookRule> rules() {
        return looks.stream().map(look -> look.rule(crops)).toList();
    }

    /** What was seen from a day on, the newest first. */
    public List<Seen> seenSince(LocalDate from) {
        return mapper.since(from);
    }

    /** Notes what was seen; the same request counts once. */
    public void note(UUID request, Seen seen, long by) {
        mapper.note(request, seen.placeId(), seen.ailment(), seen.share(), seen.seenOn(), by);
    }

    /** The table of what was seen. */
    @Mapper
    interface LookMapper {
        @Select("""
                select place_id, ailment, share, seen_on from look_note where seen_on >= #{from} order by seen_on desc, ailment
                """)
        List<Seen> since(@Param("from") LocalDate from);

        @Insert("""
                insert into look_note (request_id, place_id, ailment, share, seen_on, seen_by)
                values (#{request}, #{placeId}, #{ailment}, #{share}, #{day}, #{by})
                """)
        void note(
                @Param("request") UUID request,
                @Param("placeId") long placeId,
                @Param("ailment") Ailment ailment,
                @Param("share") double share,
                @Param("day") LocalDate day,
                @Param("by") long by);
    }
}
