package kiver.server.sow;

import jakarta.annotation.Nullable;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import kiver.core.labels.LabelFormat;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.NotFound;
import kiver.server.problem.Refusal;
import kiver.server.problem.Requests;
import kiver.server.wording.Said;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Sends labels to the printer, keeps what was sent, and sends it again. */
@Component
public class LabelJobs {

    private static final int SHOWN = 40;

    private final LabelJobMapper mapper;
    private final LabelPrinter printer;
    private final LabelDevice device;
    private final Requests requests;
    private final NurseryClock clock;

    LabelJobs(LabelJobMapper mapper, LabelPrinter printer, LabelDevice device, Requests requests, NurseryClock clock) {
        this.mapper = mapper;
        this.printer = printer;
        this.device = device;
        this.requests = requests;
        this.clock = clock;
    }

    /**
     * Labels that were sent.
     *
     * @param batches numbers, with a comma between
     * @param sentBy name of who sent them; null for the nursery's simulated hands
     * @param againOf number of the first time; null where this is it
     */
    public record LabelJob(
            int number,
            String batches,
            LabelFormat format,
            LocalDate sentOn,
            @Nullable String sentBy,
            @Nullable Integer againOf) {}

    /** The newest, first. */
    List<LabelJob> newest() {
        return mapper.newest(SHOWN);
    }

    /** What was sent, as it was. */
    byte[] document(int number) {
        return mapper.document(number).map(Document::document).orElseThrow(() -> missing(number));
    }

    /** Prints labels of batches; the same request prints once. */
    @Transactional
    public int print(UUID request, List<Integer> batches, LabelFormat format, String address, @Nullable Long by) {
        return (int) requests.once(request, Arrays.asList("labels", batches, format, by), () -> {
            byte[] document = printer.labels(batches, format, address);
            int number = mapper.add(
                    request, batches.toArray(Integer[]::new), format.name(), document, clock.today(), by, null);
            send(document);
            return number;
        });
    }

    /** Prints again what was printed, as it was, whatever has changed since. */
    @Transactional
    public int again(UUID request, int number, @Nullable Long by) {
        return (int) requests.once(request, Arrays.asList("labels again", number, by), () -> {
            byte[] document = document(number);
            int next = mapper.repeat(request, number, clock.today(), by);
            send(document);
            return next;
        });
    }

    /** What does not reach the printer was not printed, and is not kept as if it had been. */
    private void send(byte[] document) {
        try {
            device.send(document);
        } catch (UncheckedIOException unreachable) {
            throw new Refusal(
                    "printer",
                    Said.of(
                            "The label printer cannot be reached. Look whether it is on, or open the labels as a paper and print that."));
        }
    }

    private static NotFound missing(int number) {
        return new NotFound(
                Said.of("Nothing was printed under the number {number}.").with("number", number));
    }

    /** A document as it is kept. */
    record Document(byte[] document) {}

    /** The table of what was sent. */
    @Mapper
    interface LabelJobMapper {
        @Select("""
                select job.number, array_to_string(job.batches, ', ') as batches, job.format, job.sent_on,
                       account.name as sent_by, job.again_of
                from label_job job left join account on account.id = job.sent_by
                order by job.number desc limit #{most}
                """)
        List<LabelJob> newest(@Param("most") int most);

        @Select("select document from label_job where number = #{number}")
        Optional<Document> document(@Param("number") int number);

        @Select("""
                insert into label_job (request_id, batches, format, document, sent_on, sent_by, again_of)
                values (#{request}, #{batches, typeHandler=org.apache.ibatis.type.ArrayTypeHandler}, #{format}, #{document},
                        #{day}, #{by}, #{againOf})
                returning number
                """)
        int add(
                @Param("request") UUID request,
                @Param("batches") Integer[] batches,
                @Param("format") String format,
                @Param("document") byte[] document,
                @Param("day") LocalDate day,
                @Param("by") Long by,
                @Param("againOf") Integer againOf);

        @Select("""
                insert into label_job (request_id, batches, format, document, sent_on, sent_by, again_of)
                select #{request}, batches, format, document, #{day}, #{by}, coalesce(again_of, number)
                from label_job where number = #{number} returning number
                """)
        int repeat(
                @Param("request") UUID request,
                @Param("number") int number,
                @Param("day") LocalDate day,
                @Param("by") Long by);
    }
}
