package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** A batch that comes up badly: three chances stand side by side, and one press sows anew for what is missing. */
class ResowTest extends OrderOnItsWay {

    private String read(String path) throws Exception {
        return nursery.get(nursery.propagator, path)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    @Test
    void theResowingTakesOverWhatIsMissingOfTheLine() throws Exception {
        Planned planned = plan(40);
        sow(planned, UUID.randomUUID(), 1, planned.cells()).andExpect(status().isOk());
        String up = IntStream.rangeClosed(1, 12)
                .mapToObj(cell -> "{\"cell\":" + cell + ",\"seedlings\":1}")
                .collect(Collectors.joining(",", "[", "]"));
        count(planned, UUID.randomUUID(), up, true).andExpect(status().isOk());
        String ways = read("/api/batches/" + planned.batch() + "/ways-out");
        int missing = JsonPath.read(ways, "$.missing");
        double wait = JsonPath.<Number>read(ways, "$.waiting").doubleValue();
        List<Number> chances = JsonPath.read(ways, "$.resowings[*].chance");
        assertThat(missing).isBetween(24, 40);
        assertThat(JsonPath.<Integer>read(ways, "$.living") + missing)
                .isEqualTo(JsonPath.<Integer>read(ways, "$.wanted"));
        assertThat(wait).isLessThan(0.01);
        // Sown today it would be past its best by then; the best day is the better for that.
        assertThat(chances)
                .isNotEmpty()
                .allSatisfy(chance -> assertThat(chance.doubleValue()).isBetween(0.0, 1.0));
        assertThat(JsonPath.<List<Number>>read(ways, "$.resowings[?(@.on == 'BEST_DAY')].chance")
                        .get(0)
                        .doubleValue())
                .isGreaterThan(0.5);
        assertThat(JsonPath.<Integer>read(ways, "$.resowings[0].cells")).isGreaterThanOrEqualTo(missing);

        String entry = "{\"requestId\":\"%s\",\"plants\":%d,\"giveUp\":true}".formatted(UUID.randomUUID(), missing);
        String path = "/api/batches/" + planned.batch() + "/resowings";
        nursery.post(nursery.hand, path, entry).andExpect(status().isForbidden());
        nursery.post(nursery.propagator, path, "{\"requestId\":\"%s\",\"plants\":0}".formatted(UUID.randomUUID()))
                .andExpect(jsonPath("$.errors[0].message", containsString("at least one plant")));
        nursery.post(nursery.propagator, path, entry).andExpect(status().isOk());
        nursery.post(nursery.propagator, path, entry).andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/batches/" + planned.batch())
                .andExpect(jsonPath("$.summary.balance.waiting").value(0));
        String order = read("/api/orders/" + planned.order());
        List<Integer> plants = JsonPath.read(order, "$.order.lines[0].supplies[*].plants");
        assertThat(plants).containsExactlyInAnyOrder(40 - missing, missing);
        List<Integer> supplying = JsonPath.read(order, "$.order.lines[0].supplies[*].batch.number");
        assertThat(supplying).hasSize(2).contains(planned.batch());
        // What was sown far too soon stays as it is; the new sowing is as sure as any that is planned.
        assertThat(JsonPath.<List<Number>>read(
                                order, "$.order.lines[0].supplies[?(@.batch.number != " + planned.batch() + ")].chance")
                        .get(0)
                        .doubleValue())
                .isGreaterThan(0.5);
    }

    @Test
    void ofAPlanThereIsNothingToDecideYet() throws Exception {
        Planned planned = plan(20);
        String ways = read("/api/batches/" + planned.batch() + "/ways-out");
        assertThat(JsonPath.<List<?>>read(ways, "$.resowings")).isEmpty();
        nursery.get(nursery.propagator, "/api/batches/99999/ways-out").andExpect(status().isNotFound());
        nursery.get(nursery.grower, "/api/batches/" + planned.batch() + "/ways-out")
                .andExpect(status().isForbidden());
    }
}
