package kiver.server.message;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Messages to growers. One is written with what it tells of, in the same transaction, and leaves once that stands; what did
 * not leave waits here and can be sent again.
 */
@Component
public class Outbox {

    private static final int SHOWN = 200;

    private final MessageMapper mapper;
    private final MessageService service;
    private final NurseryClock clock;

    Outbox(MessageMapper mapper, MessageService service, NurseryClock clock) {
        this.mapper = mapper;
        this.service = service;
        this.clock = clock;
    }

    /** Where a message is. */
    public enum State {
        WAITING,
        SENT,
        FAILED
    }

    /**
     * A message.
     *
     * @param problem why it did not leave, as the service says; missing where it did
     */
    public record Message(
            int number,
            long growerId,
            String address,
            String subject,
            String body,
            LocalDate writtenOn,
            State state,
            @Nullable String problem) {}

    /** The newest, first. */
    public List<Message> newest() {
        return mapper.newest(SHOWN);
    }

    /** Writes a message; it leaves once the transaction stands. */
    public void write(long grower, String address, String subject, String body) {
        int number = mapper.insert(grower, address, subject, body, clock.today());
        if (TransactionSynchronizationManager.isSynchronizationActive()) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    if (status == STATUS_COMMITTED) {
                        carry(number, address, subject, body);
                    }
                }
            });
        } else {
            carry(number, address, subject, body);
        }
    }

    /** Tries again to send what did not leave. */
    void again(int number) {
        Message message = mapper.message(number);
        if (message == null || message.state() == State.SENT) {
            throw new Refusal("number", Said.of("This message has left already. Load the page again."));
        }
        carry(number, message.address(), message.subject(), message.body());
    }

    private void carry(int number, String address, String subject, String body) {
        try {
            service.send(address, subject, body);
            mapper.mark(number, State.SENT, null);
        } catch (MessageService.UndeliverableException failed) {
            mapper.mark(number, State.FAILED, failed.getMessage());
        }
    }
}

/** The table of messages. */
@Mapper
interface MessageMapper {

    String COLUMNS = "number, grower_id, address, subject, body, written_on, state, problem";

    @Select("select " + COLUMNS + " from message order by number desc limit #{most}")
    List<Outbox.Message> newest(@Param("most") int most);

    @Select("select " + COLUMNS + " from message where number = #{number}")
    Outbox.Message message(@Param("number") int number);

    @Select(value = """
            insert into message (grower_id, address, subject, body, written_on, state)
            values (#{grower}, #{address}, #{subject}, #{body}, #{day}, 'WAITING') returning number
            """, affectData = true)
    int insert(
            @Param("grower") long grower,
            @Param("address") String address,
            @Param("subject") String subject,
            @Param("body") String body,
            @Param("day") LocalDate day);

    @Update("update message set state = #{state}, problem = #{problem} where number = #{number}")
    int mark(
            @Param("number") int number,
            @Param("state") Outbox.State state,
            @Param("problem") @Nullable String problem);
}
