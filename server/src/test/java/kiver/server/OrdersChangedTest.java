package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.UUID;
import kiver.core.order.PlantShares;
import kiver.core.outlook.BatchFile;
import kiver.core.tray.CellRun;
import org.junit.jupiter.api.Test;
import org.springframework.test.web.servlet.ResultActions;

/** Orders that are changed: what follows is shown first, and what was asked stays readable. */
class OrdersChangedTest extends GrowersAskForSeveral {

    @Test
    void aBatchThatIsNotSownYetIsSownForFewerWhenFewerAreWanted() throws Exception {
        int order = take(line(60, TARGET));
        int batch = nursery.batchOf(order);
        BatchFile before = batches.file(batch);
        consequences(order, "\"line\":1,\"kind\":\"PLANTS\",\"plants\":20")
                .andExpect(jsonPath("$.batches[0].canBeSownFor").value(20))
                .andExpect(jsonPath("$.batches[0].freeAfter").value(40));
        edit(order, "\"line\":1,\"kind\":\"PLANTS\",\"plants\":40", false).andExpect(status().isOk());
        assertThat(batches.file(batch).batch().cells()).isEqualTo(before.batch().cells());
        edit(order, "\"line\":1,\"kind\":\"PLANTS\",\"plants\":20", true).andExpect(status().isOk());
        BatchFile after = batches.file(batch);
        assertThat(after.batch().plants()).isEqualTo(20);
        assertThat(after.batch().cells()).isLessThan(before.batch().cells() / 2).isGreaterThanOrEqualTo(20);
        assertThat(after.runs().stream().mapToInt(CellRun::length).sum())
                .isEqualTo(after.batch().cells());
        assertThat(after.batch().sowDay()).isEqualTo(before.batch().sowDay());
        assertThat(shares(batch)).isEqualTo(new PlantShares(20, 0, 0, 0));
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.lines[0].chance", greaterThan(0.4)));
    }

    @Test
    void whatAGrowerWantsStaysAsItWasAsked() throws Exception {
        int order = take(line(20, TARGET));
        int batch = nursery.batchOf(order);
        ok(
                nursery.propagator,
                "/api/board/changes",
                "{\"edit\":{\"batch\":" + batch + ",\"container\":\"module-40\"}}");
        assertThat(batches.file(batch).batch().container().written()).isEqualTo("module-40");
        assertThat(orders.order(order).line(1).container().written()).isEqualTo("module-60");
        assertThat(orders.order(order).line(1).placedOn()).isEqualTo(TODAY);
    }

    @Test
    void aChangeIsShownBeforeItIsMadeAndKeptAfterwards() throws Exception {
        int order = take(line(30, TARGET), line(20, TARGET));
        int batch = nursery.batchOf(order);
        String before = nursery.get(nursery.propagator, "/api/orders/" + order)
                .andReturn()
                .getResponse()
                .getContentAsString();
        consequences(order, "\"line\":1,\"kind\":\"PLANTS\",\"plants\":50")
                .andExpect(jsonPath("$.lines[0].plantsAfter").value(50))
                .andExpect(jsonPath("$.lines[0].growing.plants").value(20))
                .andExpect(jsonPath("$.lines[0].growing.withBatch").value(batch));
        consequences(order, "\"line\":1,\"kind\":\"PLANTS\",\"plants\":25")
                .andExpect(jsonPath("$.batches[0].freeAfter").value(5))
                .andExpect(jsonPath("$.lines[0].growing").doesNotExist());
        consequences(order, "\"kind\":\"DAY\",\"target\":\"" + TARGET.plusDays(9) + "\"")
                .andExpect(jsonPath("$.lines", hasSize(2)))
                .andExpect(jsonPath("$.lines[1].targetAfter")
                        .value(TARGET.plusDays(9).toString()));
        assertThat(nursery.get(nursery.propagator, "/api/orders/" + order)
                        .andReturn()
                        .getResponse()
                        .getContentAsString())
                .isEqualTo(before);
        UUID request = UUID.randomUUID();
        for (int sent = 0; sent < 2; sent++) {
            ok(
                    nursery.propagator,
                    "/api/orders/" + order + "/changes",
                    "{\"requestId\":\"" + request
                            + "\",\"edit\":{\"line\":1,\"kind\":\"PLANTS\",\"plants\":50,\"withdraw\":false}}");
        }
        assertThat(batches.file(batch).promises())
                .singleElement()
                .satisfies(each -> assertThat(each.plants()).isEqualTo(50));
        edit(order, "\"kind\":\"DAY\",\"target\":\"" + TARGET.plusDays(9) + "\"", false)
                .andExpect(status().isOk());
        assertThat(batches.file(batch).batch().target()).isEqualTo(TARGET.plusDays(9));
        edit(order, "\"line\":2,\"kind\":\"CANCEL\"", true).andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.target").value(TARGET.plusDays(9).toString()))
                .andExpect(jsonPath(
                        "$.order.changes[*].kind",
                        contains("PLANTS_CHANGED", "DAY_MOVED", "DAY_MOVED", "LINE_CANCELLED")))
                .andExpect(jsonPath("$.order.changes[0].before").value("30"));
        nursery.get(nursery.hand, "/api/batches")
                .andExpect(jsonPath(
                                "$[?(@.variety == '%s')]",
                                orders.order(order).line(1).variety())
                        .value(hasSize(1)));
    }

    @Test
    void whatCannotBeChangedIsRefusedAtItsField() throws Exception {
        int order = take(line(30, TARGET));
        refused(edit(order, "\"kind\":\"PLANTS\",\"plants\":0", false), "edit.plants");
        refused(edit(order, "\"kind\":\"PLANTS\"", false), "plants");
        refused(edit(order, "\"kind\":\"DAY\",\"target\":\"" + TODAY.minusDays(1) + "\"", false), "target");
        edit(order, "\"line\":7,\"kind\":\"CANCEL\"", false).andExpect(status().isNotFound());
        nursery.post(nursery.hand, "/api/orders/" + order + "/changes", "{}").andExpect(status().isForbidden());
        nursery.post(nursery.grower, "/api/orders/" + order + "/consequences", "{}")
                .andExpect(status().isForbidden());
        edit(order, "\"kind\":\"CANCEL\"", false).andExpect(status().isOk());
        refused(edit(order, "\"kind\":\"CANCEL\"", false), "line");
        refused(nursery.release(UUID.randomUUID(), order, 5), "lines");
    }

    @Test
    void aLineWhosePlantsAreNotPromisedIsSownForAnew() throws Exception {
        int order = take(line(20, TARGET));
        int batch = nursery.batchOf(order);
        database.update("delete from promise where batch_id = (select id from batch where number = ?)", batch);
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.standing").value("OPEN"))
                .andExpect(jsonPath("$.order.chance").value(0.0));
        ok(nursery.propagator, "/api/orders/" + order + "/lines/1/supplies", request());
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.lines[0].promised").value(20));
        refused(nursery.post(nursery.propagator, "/api/orders/" + order + "/lines/1/supplies", request()), "line");
        ok(nursery.propagator, "/api/batches/" + batch + "/withdrawals", request());
        nursery.get(nursery.hand, "/api/batches/" + batch).andExpect(status().isNotFound());
        ok(
                nursery.propagator,
                "/api/orders/" + order + "/lines",
                "{\"requestId\":\"" + UUID.randomUUID() + "\",\"wish\":" + wish(12, TARGET) + "}");
        nursery.get(nursery.propagator, "/api/orders/" + order)
                .andExpect(jsonPath("$.order.lines[1].asked.plants").value(12))
                .andExpect(jsonPath("$.order.changes[0].kind").value("LINE_ADDED"));
    }

    private ResultActions consequences(int order, String edit) throws Exception {
        return nursery.post(
                        nursery.propagator,
                        "/api/orders/" + order + "/consequences",
                        "{" + edit + ",\"withdraw\":false}")
                .andExpect(status().isOk());
    }
}
