package kiver.server.wall;

import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HexFormat;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import kiver.server.account.Account;
import kiver.server.account.AccountMapper;
import kiver.server.account.Role;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.NotFound;
import kiver.server.today.WorkAhead;
import kiver.server.wording.Said;
import kiver.server.wording.SpokenTo;
import kiver.server.wording.Wording;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.Location;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Transp;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.XProperty;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Calendars (RFC 5545) of the work ahead, one for each person or place, at an address that only they know. */
@Service
class CalendarFeeds {

    private static final int DAYS_BACK = 14;
    private static final int DAYS_AHEAD = 180;
    private static final int TOKEN_BYTES = 20;

    private final FeedMapper mapper;
    private final AccountMapper accounts;
    private final WorkAhead work;
    private final NurseryClock clock;
    private final Wording wording;
    private final SecureRandom random = new SecureRandom();

    CalendarFeeds(FeedMapper mapper, AccountMapper accounts, WorkAhead work, NurseryClock clock, Wording wording) {
        this.wording = wording;
        this.mapper = mapper;
        this.accounts = accounts;
        this.work = work;
        this.clock = clock;
    }

    /** A feed: of a person or of a place. */
    record Feed(String token, Long accountId, Long placeId) {}

    /** The address part of a person's feed; made when it is first asked for. */
    @Transactional
    public String tokenOfPerson(long account) {
        return mapper.ofAccount(account).orElseGet(() -> made(new Feed(newToken(), account, null)));
    }

    /** The address part of a place's feed; made when it is first asked for. */
    @Transactional
    public String tokenOfPlace(long place) {
        return mapper.ofPlace(place).orElseGet(() -> made(new Feed(newToken(), null, place)));
    }

    private String made(Feed feed) {
        mapper.insert(feed);
        return feed.token();
    }

    private String newToken() {
        byte[] bytes = new byte[TOKEN_BYTES];
        random.nextBytes(bytes);
        return HexFormat.of().formatHex(bytes);
    }

    /** The calendar at an address. */
    byte[] calendar(String token) {
        Feed feed = mapper.byToken(token).orElseThrow(() -> new NotFound(Said.of("There is no such calendar.")));
        Optional<Account> owner = Optional.ofNullable(feed.accountId())
                .map(id -> accounts.byId(id)
                        .filter(account ->
                                account.endsOn() == null || !account.endsOn().isBefore(clock.today()))
                        .orElseThrow(() -> new NotFound(Said.of("There is no such calendar."))));
        owner.map(Account::speech).ifPresent(SpokenTo::is);
        LocalDate today = clock.today();
        List<WorkAhead.Work> works = work.between(today.minusDays(DAYS_BACK), today.plusDays(DAYS_AHEAD));
        Stream<WorkAhead.Work> shown = works.stream();
        String name = clock.nursery().orElseThrow().name();
        if (feed.placeId() != null) {
            shown = shown.filter(each -> each.placeId() == feed.placeId());
        } else {
            Account account = owner.orElseThrow();
            name += ", " + account.name();
            if (account.role() == Role.GROWER) {
                shown = shown.filter(each -> each.kind() == WorkAhead.WorkKind.RELEASE
                        && account.growerId().equals(each.growerId()));
            }
        }
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Kiver//Seedling propagation//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        calendar.add(new XProperty("X-WR-CALNAME", name));
        shown.forEach(each -> calendar.add(event(each, today)));
        return FoldedLines.of(calendar.toString()).getBytes(StandardCharsets.UTF_8);
    }

    /** The same work keeps its identity, so that a calendar program moves it instead of showing it twice. */
    private VEvent event(WorkAhead.Work work, LocalDate today) {
        VEvent event = new VEvent(work.day(), work.day().plusDays(1), wording.say(work.words()));
        event.getProperties("DTSTAMP").forEach(event::remove);
        event.add(new DtStamp(today.atStartOfDay().toInstant(ZoneOffset.UTC)));
        event.add(new Uid("batch-" + work.batch() + "-" + work.kind().name().toLowerCase(Locale.ROOT) + "@kiver"));
        event.add(new Location(work.place()));
        event.add(new Description(wording.say(spread(work))));
        event.add(new Transp(Transp.VALUE_TRANSPARENT));
        return event;
    }

    private static Said spread(WorkAhead.Work work) {
        return work.spread() == null
                ? Said.of("Batch {batch}").with("batch", work.batch())
                : Said.of("Batch {batch}, eight times in ten between {early} and {late}")
                        .with("batch", work.batch())
                        .with("early", work.spread().early())
                        .with("late", work.spread().late());
    }

    /** The table of feeds. */
    @Mapper
    interface FeedMapper {
        @Select("select token, account_id, place_id from calendar_feed where token = #{token}")
        Optional<Feed> byToken(@Param("token") String token);

        @Select("select token from calendar_feed where account_id = #{account}")
        Optional<String> ofAccount(@Param("account") long account);

        @Select("select token from calendar_feed where place_id = #{place}")
        Optional<String> ofPlace(@Param("place") long place);

        @Insert("insert into calendar_feed (token, account_id, place_id) values (#{token}, #{accountId}, #{placeId})")
        void insert(Feed feed);
    }
}
