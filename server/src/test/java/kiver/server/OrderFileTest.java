package kiver.server;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.server.account.Person;
import kiver.server.clock.NurseryClock;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** Orders out of spreadsheets of growers' making are looked over; taken they are as any order is. */
@ServerTest
class OrderFileTest {

    @Autowired
    MockMvc http;

    @Autowired
    SmallNursery nursery;

    @Autowired
    NurseryClock clock;

    @BeforeEach
    void found() {
        nursery.found();
    }

    private ResultActions read(Person by, String more, String text) throws Exception {
        return http.perform(post("/api/orders/file?file=spring.csv" + more)
                .with(user(by))
                .with(csrf())
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .content(text.getBytes(StandardCharsets.UTF_8)));
    }

    @Test
    void linesBecomeWishesByGrowerAndSiteAndAWrongOneStopsNoneOfTheOthers() throws Exception {
        LocalDate day = clock.today().plusDays(70);
        String written = "%d.%d.%d".formatted(day.getDayOfMonth(), day.getMonthValue(), day.getYear());
        read(nursery.propagator, "&mark=COMMA", """
                        Spring wishes;;;;;
                        Customer;Cultivar;How many;Delivery date;Tray;Field
                        Field one;Test kale;120;%1$s;;Near
                        field two;test KALE;1.200;%1$s;Module tray of 60;
                        Nobody;Test kale;12;%1$s;;
                        Field one;Zorb;12;%1$s;;
                        Field one;Test kale;0;%1$s;;
                        Field one;Test kale;12;yesterday;;
                        Field one;Test kale;12;1.1.2020;;
                        Field one;Test kale;12;%1$s;Bucket;
                        Field one;Test kale;12;%1$s;;Elsewhere
                        ;Test kale;30;%1$s;;
                        """.formatted(written))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.file.taken").value(false))
                .andExpect(jsonPath("$.file.added").value(3))
                .andExpect(jsonPath("$.file.faulty").value(7))
                .andExpect(jsonPath("$.file.faults[0].problem", containsString("no grower \"Nobody\"")))
                .andExpect(jsonPath("$.file.faults[1].problem", containsString("no variety \"Zorb\"")))
                .andExpect(jsonPath("$.file.faults[2].problem", containsString("0 plants are no order")))
                .andExpect(jsonPath("$.file.faults[3].problem", containsString("Wanted on")))
                .andExpect(jsonPath("$.file.faults[4].problem", containsString("has passed")))
                .andExpect(jsonPath("$.file.faults[5].problem", containsString("no container \"Bucket\"")))
                .andExpect(jsonPath("$.file.faults[6].problem", containsString("no site \"Elsewhere\"")))
                .andExpect(jsonPath("$.orders", hasSize(3)))
                .andExpect(jsonPath("$.orders[0].growerId").value(nursery.growerId))
                .andExpect(jsonPath("$.orders[0].siteId").value(nursery.siteId))
                .andExpect(jsonPath("$.orders[0].lines[0].wish.plants").value(120))
                .andExpect(jsonPath("$.orders[0].lines[0].wish.target").value(day.toString()))
                .andExpect(jsonPath("$.orders[0].lines[0].line").value(3))
                .andExpect(jsonPath("$.orders[1].lines[0].wish.plants").value(1200))
                .andExpect(jsonPath("$.orders[1].lines[0].wish.container").value("module-60"))
                .andExpect(jsonPath("$.orders[1].siteId").value(nursery.otherSiteId))
                .andExpect(jsonPath("$.orders[2].growerId").doesNotExist());
    }

    @Test
    void whatIsOrderedAlreadyIsToldSoThatAFileReadTwiceIsNotTakenTwice() throws Exception {
        nursery.order(60);
        String day = clock.today().plusDays(70).toString();
        read(
                        nursery.propagator,
                        "",
                        "variety,plants,target,grower\nTest kale,60," + day + ",Field one\nTest kale,61," + day
                                + ",Field one\n")
                .andExpect(jsonPath("$.orders[0].lines[0].ordered").isNumber())
                .andExpect(jsonPath("$.orders[0].lines[1].ordered").doesNotExist());
    }

    @Test
    void columnsOfOtherNamesAreChosenAndRemembered() throws Exception {
        String day = clock.today().plusDays(70).toString();
        String text = "a,b,c\nTest kale,60," + day + "\n";
        read(nursery.propagator, "", text)
                .andExpect(jsonPath("$.orders", hasSize(0)))
                .andExpect(jsonPath("$.file.headings", hasSize(3)));
        String matching = "{\"variety\":{\"column\":0},\"plants\":{\"column\":1},\"target\":{\"column\":2}}";
        http.perform(post("/api/orders/file")
                        .param("file", "spring.csv")
                        .param("matching", matching)
                        .with(user(nursery.propagator))
                        .with(csrf())
                        .contentType(MediaType.APPLICATION_OCTET_STREAM)
                        .content(text))
                .andExpect(jsonPath("$.orders[0].lines", hasSize(1)));
        read(nursery.propagator, "", text)
                .andExpect(jsonPath("$.file.remembered").value(true))
                .andExpect(jsonPath("$.orders[0].lines", hasSize(1)));
    }

    @Test
    void whatIsNoFileOfOrdersIsSaid() throws Exception {
        read(nursery.propagator, "", "").andExpect(status().isUnprocessableContent());
        read(nursery.propagator, "", "PK\u0003\u0004 not a spreadsheet").andExpect(status().isUnprocessableContent());
        String many = IntStream.range(0, 700)
                .mapToObj(row -> "Test kale,60,2027-06-01")
                .collect(Collectors.joining("\n"));
        read(nursery.propagator, "", "variety,plants,target\n" + many)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.detail", containsString("at most 600 lines")));
        read(nursery.hand, "", "variety,plants,target\n").andExpect(status().isForbidden());
        read(nursery.grower, "", "variety,plants,target\n").andExpect(status().isForbidden());
    }
}
