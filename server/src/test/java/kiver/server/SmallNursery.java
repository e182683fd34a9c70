package kiver.server;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.io.IOException;
import java.time.LocalDate;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.crop.CropCode;
import kiver.core.order.Protection;
import kiver.core.place.Place;
import kiver.core.place.PlaceClimate;
import kiver.core.place.PlaceId;
import kiver.core.place.PlaceUse;
import kiver.core.seed.LotId;
import kiver.server.account.AccountMapper;
import kiver.server.account.Person;
import kiver.server.account.Role;
import kiver.server.batch.BatchBook;
import kiver.server.clock.Nursery;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.growth.SeasonService;
import kiver.server.order.OrderBook;
import kiver.server.order.Site;
import kiver.server.place.PlaceBook;
import kiver.server.seed.SeedLot;
import kiver.server.seed.SeedStore;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.TestComponent;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** A nursery of three places, two growers, one variety and two lots, and people who call the server. */
@TestComponent
public class SmallNursery {

    static final LocalDate TODAY = LocalDate.of(2027, 3, 1);

    @Autowired
    MockMvc http;

    @Autowired
    NurseryClock clock;

    @Autowired
    PlaceBook places;

    @Autowired
    CropBook crops;

    @Autowired
    SeedStore seeds;

    @Autowired
    OrderBook orders;

    @Autowired
    BatchBook batches;

    @Autowired
    SeasonService seasons;

    @Autowired
    AccountMapper accounts;

    Person propagator;
    Person hand;
    Person grower;
    Person otherGrower;
    long growerId;
    long siteId;
    long otherGrowerId;
    long otherSiteId;
    long varietyId;
    long lotId;

    void found() {
        if (clock.nursery().isPresent()) {
            return;
        }
        clock.open(new Nursery("Test nursery", 46, 600, true, TODAY, "01 / 555 20-30", "UTC"));
        place(1, new PlaceClimate.SetPoints(21, 19), PlaceUse.EMERGENCE);
        place(2, new PlaceClimate.SetPoints(17, 11), PlaceUse.GROWING_ON);
        place(3, new PlaceClimate.FollowsWeather(1, 2, -3), PlaceUse.HARDENING_OFF);
        growerId = orders.addGrower("Field one");
        siteId = orders.addSite(new Site(0, growerId, "Near", 400, Protection.OPEN_GROUND, null));
        otherGrowerId = orders.addGrower("Field two");
        otherSiteId = orders.addSite(new Site(0, otherGrowerId, "Far", 900, Protection.OPEN_GROUND, null));
        varietyId = crops.add(new CropCode("curly-kale"), "Test kale");
        seeds.add(new SeedLot(new LotId(0), "L1", varietyId, "Seed house", 0.9, 100, TODAY.minusDays(100), 3000, 3000));
        seeds.add(new SeedLot(new LotId(0), "L2", varietyId, "Seed house", 0.6, 50, TODAY.minusDays(900), 40, 40));
        lotId = seeds.lots().get(0).id().number();
        propagator = person("propagator@test.example", Role.PROPAGATOR, null);
        hand = person("hand@test.example", Role.BENCH_HAND, null);
        grower = person("one@test.example", Role.GROWER, growerId);
        otherGrower = person("two@test.example", Role.GROWER, otherGrowerId);
        seasons.lookBackOn(10);
    }

    /** The same with a third lot, of so many seeds: enough for many orders. */
    void foundWithSeed(int seedsMore) {
        found();
        if (seeds.lots().size() == 2) {
            seeds.add(new SeedLot(
                    new LotId(0), "L3", varietyId, "Seed house", 0.92, 100, TODAY.minusDays(60), seedsMore, seedsMore));
        }
    }

    /** Takes an order for the first grower and answers its number. */
    int order(int plants) throws Exception {
        String answer = post(propagator, "/api/orders", orderBody(UUID.randomUUID(), plants, TODAY.plusDays(70)))
                .andReturn()
                .getResponse()
                .getContentAsString();
        return Integer.parseInt(answer.replaceAll("\\D", ""));
    }

    String orderBody(UUID requestId, int plants, LocalDate target) {
        return orderBody(requestId, """
                {"wish":{"varietyId":%d,"container":"module-60","plants":%d,"leavesFrom":4,"leavesTo":6,"target":"%s"}}""".formatted(varietyId, plants, target));
    }

    /** An order of some lines for the first grower. */
    String orderBody(UUID requestId, String... lines) {
        return """
                {"requestId":"%s","growerId":%d,"siteId":%d,"lines":[%s]}""".formatted(requestId, growerId, siteId, String.join(",", lines));
    }

    /** The one batch that is promised to an order. */
    int batchOf(int order) {
        return batches.files().stream()
                .filter(file -> file.promises().stream().anyMatch(promise -> promise.orderNumber() == order))
                .findFirst()
                .orElseThrow()
                .batch()
                .number();
    }

    /** The order that a batch is promised to first. */
    int orderOf(int batch) {
        return batches.file(batch).promises().get(0).orderNumber();
    }

    /** Lets plants of an order's first line go. */
    ResultActions release(UUID requestId, int order, int plants) throws Exception {
        return post(propagator, "/api/releases", """
                {"requestId":"%s","order":%d,"lines":[{"line":1,"plants":%d}]}""".formatted(requestId, order, plants));
    }

    ResultActions post(Person person, String path, String body) throws Exception {
        return http.perform(MockMvcRequestBuilders.post(path)
                .with(user(person))
                .with(csrf())
                .contentType(MediaType.APPLICATION_JSON)
                .content(body));
    }

    /** Sends a file. */
    ResultActions file(Person person, String path, byte[] bytes) throws Exception {
        return http.perform(MockMvcRequestBuilders.post(path)
                .with(user(person))
                .with(csrf())
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .content(bytes));
    }

    /** Readings as a device sends them. */
    ResultActions send(String token, String type, String body) throws Exception {
        return http.perform(MockMvcRequestBuilders.post("/api/readings")
                .header("Authorization", "Bearer " + token)
                .contentType(type)
                .content(body));
    }

    ResultActions put(Person person, String path, String body) throws Exception {
        return http.perform(MockMvcRequestBuilders.put(path)
                .with(user(person))
                .with(csrf())
                .contentType(MediaType.APPLICATION_JSON)
                .content(body));
    }

    ResultActions delete(Person person, String path) throws Exception {
        return http.perform(
                MockMvcRequestBuilders.delete(path).with(user(person)).with(csrf()));
    }

    /** The same at a time of the day, as a phone says it. */
    ResultActions recordAt(String time, Person person, int batch, String what, String entries) throws Exception {
        return http.perform(MockMvcRequestBuilders.post("/api/batches/" + batch + "/" + what)
                .with(user(person))
                .with(csrf())
                .header("X-Kiver-Made-At", time)
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"requestId\":\"" + UUID.randomUUID() + "\"," + entries + "}"));
    }

    /** Records something of a batch as a person and answers what came of it. */
    ResultActions record(Person person, int batch, String what, String entries) throws Exception {
        return post(
                person,
                "/api/batches/" + batch + "/" + what,
                "{\"requestId\":\"" + UUID.randomUUID() + "\"," + entries + "}");
    }

    /** Sows all cells of a batch's run in a tray on a day. */
    void sow(int batch, int tray, int cells, LocalDate sown) throws Exception {
        record(
                        hand,
                        batch,
                        "sowings",
                        "\"tray\":%d,\"firstCell\":1,\"lastCell\":%d,\"seedsPerCell\":1,\"lotId\":%d,\"medium\":\"Mix\",\"placeId\":1,\"day\":\"%s\""
                                .formatted(tray, cells, lotId, sown))
                .andExpect(status().isOk());
    }

    /** Sows all cells of a batch's run in a tray on a day, and counts a seedling in each six days later. */
    void growUp(int batch, int tray, int cells, LocalDate sown) throws Exception {
        sow(batch, tray, cells, sown);
        String up = IntStream.rangeClosed(1, cells)
                .mapToObj("{\"cell\":%d,\"seedlings\":1}"::formatted)
                .collect(Collectors.joining(","));
        record(
                        hand,
                        batch,
                        "counts",
                        "\"tray\":%d,\"cells\":[%s],\"complete\":true,\"day\":\"%s\""
                                .formatted(tray, up, sown.plusDays(6)))
                .andExpect(status().isOk());
    }

    /** The text of a delivery note, on one line. */
    String note(Person person, int release) throws Exception {
        byte[] pdf = get(person, "/api/releases/" + release + "/note.pdf")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        return text(pdf);
    }

    /** The text of a paper, on one line. */
    static String text(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    ResultActions get(Person person, String path) throws Exception {
        return http.perform(MockMvcRequestBuilders.get(path).with(user(person)));
    }

    Person person(String email, Role role, Long ofGrower) {
        accounts.insert(email, role.name(), "no password", role, ofGrower);
        var account = accounts.byEmail(email).orElseThrow();
        return new Person(account.id(), email, account.name(), "", role, ofGrower);
    }

    private void place(int order, PlaceClimate climate, PlaceUse use) {
        places.add(new Place(new PlaceId(order), "Place " + order, order, 20, climate, 0.8, 5, Set.of(use)), "");
    }
}
