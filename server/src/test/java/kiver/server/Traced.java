package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Follows plants back from their notes and forward from their lots and mixes, and holds one against the other. */
final class Traced {

    private final SmallNursery nursery;

    Traced(SmallNursery nursery) {
        this.nursery = nursery;
    }

    /** What the notes say of their plants' origins, followed back, is what the lots and mixes give, followed forward. */
    void agreeBothWays(int batch, List<Integer> notes, List<Long> lots, int alive) throws Exception {
        Map<Long, Integer> back = new HashMap<>();
        Map<String, Integer> backByMix = new HashMap<>();
        for (int note : notes) {
            String trace = body("/api/traces/notes/" + note);
            assertThat(JsonPath.<List<Integer>>read(trace, "$.lines[*].origins[*].batch"))
                    .containsOnly(batch);
            assertThat(JsonPath.<List<Object>>read(trace, "$.lines[0].origins[0].stays"))
                    .hasSizeGreaterThan(1);
            assertThat(JsonPath.<List<String>>read(trace, "$.lines[0].origins[0].hands"))
                    .isNotEmpty();
            assertThat(JsonPath.<Double>read(trace, "$.lines[0].origins[0].stays[0].mean"))
                    .isBetween(-5.0, 35.0);
            List<Map<String, Object>> origins = JsonPath.read(trace, "$.lines[*].origins[*]");
            origins.forEach(origin -> {
                int plants = (Integer) origin.get("plants");
                back.merge(((Number) ((Map<?, ?>) origin.get("lot")).get("id")).longValue(), plants, Integer::sum);
                backByMix.merge((String) origin.get("medium"), plants, Integer::sum);
            });
        }
        int accounted = 0;
        for (long lot : lots) {
            String forward = body("/api/traces/lots/" + lot);
            assertThat(sum(forward, "$.gone[*].plants"))
                    .isEqualTo(back.get(lot))
                    .isPositive();
            accounted += sum(forward, "$.gone[*].plants") + sum(forward, "$.standing[*].plants");
        }
        assertThat(accounted).isEqualTo(alive);
        for (Map.Entry<String, Integer> mix : backByMix.entrySet()) {
            assertThat(sum(body("/api/traces/mix?medium=" + mix.getKey()), "$.gone[*].plants"))
                    .isEqualTo(mix.getValue());
        }
        nursery.get(nursery.hand, "/api/traces/notes/99999").andExpect(status().isNotFound());
        nursery.get(nursery.hand, "/api/traces/lots/99999").andExpect(status().isNotFound());
        nursery.get(nursery.hand, "/api/traces/mix?medium=moon dust").andExpect(status().isNotFound());
        nursery.get(nursery.grower, "/api/traces/lots/" + lots.get(0)).andExpect(status().isForbidden());
    }

    private static int sum(String json, String path) {
        return JsonPath.<List<Integer>>read(json, path).stream()
                .mapToInt(each -> each)
                .sum();
    }

    private String body(String path) throws Exception {
        return nursery.get(nursery.hand, path)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
    }
}
