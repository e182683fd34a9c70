package kiver.server;

import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.LocalDate;
import kiver.core.growth.GrowingYear;
import kiver.server.clock.NurseryClock;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** What was ordered in a growing year is offered a year on, once, and no further ahead than plants are promised. */
@ServerTest
class SeasonAgainTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    JdbcTemplate database;

    @Autowired
    NurseryClock clock;

    @Test
    void aLineIsOfferedForTheSameWeekdayAYearOn() throws Exception {
        nursery.found();
        LocalDate then = SmallNursery.TODAY.minusDays(250);
        int order = nursery.order(20);
        String ofOrder = " where id = (select id from grower_order where number = " + order + ")";
        database.update("update grower_order set target = ?" + ofOrder, then);
        database.update(
                "update order_line set target = ? where order_id = (select id from grower_order where number = ?)",
                then,
                order);
        int year = GrowingYear.of(then, clock.latitude()).number();
        String again = "/api/season-again?year=" + year;
        nursery.get(nursery.propagator, again)
                .andExpect(jsonPath("$.orders", hasSize(1)))
                .andExpect(jsonPath("$.orders[0].lines[0].wish.plants").value(20))
                .andExpect(jsonPath("$.orders[0].lines[0].wish.target")
                        .value(then.plusWeeks(52).toString()))
                .andExpect(jsonPath("$.orders[0].lines[0].standing").value("OPEN"))
                .andExpect(jsonPath("$.orders[0].lines[0].wholeThen").doesNotExist());

        database.update(
                "update order_line set target = ? where order_id = (select id from grower_order where number = ?)",
                then.minusDays(120),
                order);
        nursery.get(
                        nursery.propagator,
                        "/api/season-again?year="
                                + GrowingYear.of(then.minusDays(120), clock.latitude())
                                        .number())
                .andExpect(jsonPath("$.orders[0].lines[0].standing").value("OVER"));
        nursery.get(nursery.hand, again).andExpect(status().isForbidden());
        nursery.get(nursery.grower, again).andExpect(status().isForbidden());
        nursery.get(nursery.propagator, "/api/season-again?year=90000").andExpect(status().is4xxClientError());
    }
}
