package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import com.jayway.jsonpath.JsonPath;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import tools.jackson.databind.json.JsonMapper;

/**
 * Every operation of the interface, called with values that nobody should send, drawn from a seed: none answers with a
 * failure of the server, and whatever is refused leaves the database as it was.
 */
@ServerTest
class FuzzTest {

    /** More find more: -Dkiver.fuzz=20000 looks for a quarter of an hour. */
    private static final int CALLS = Integer.getInteger("kiver.fuzz", 1_200);

    private static final Object[] NONSENSE = {
        null,
        "",
        " ",
        "x".repeat(300),
        "x".repeat(30_000),
        "\u0000",
        "a\u0000b",
        "=cmd|' /C calc'!A0",
        "Ünï çødé \u202Erl",
        "'\";--",
        0,
        -1,
        1,
        7,
        Integer.MAX_VALUE,
        Integer.MIN_VALUE,
        1.5,
        -0.0,
        1e308,
        9_999_999_999L,
        true,
        "+999999999-12-31",
        "-999999999-01-01",
        "2027-02-29",
        "2027-03-05",
        "2190-01-01",
        "9999-12-31",
        List.of(),
        Map.of(),
        Arrays.asList((Object) null),
        List.of(0, -1),
        "NaN",
        UUID.nameUUIDFromBytes(new byte[] {1}).toString(),
        "module-60",
        "STRAIGHT",
        "curly-kale",
        List.of("EMERGENCE")
    };

    @Autowired
    SmallNursery nursery;

    @Autowired
    MockMvc http;

    @Autowired
    JdbcTemplate database;

    private final JsonMapper json = JsonMapper.builder().build();
    private final SplittableRandom random = new SplittableRandom(8_0813);
    private Map<String, Object> description;

    /** An operation of the interface. */
    private record Operation(String method, String path, Map<String, Object> entry) {}

    @Test
    void nothingThatCanBeSentBreaksTheServerOrIsHalfDone() throws Exception {
        nursery.found();
        int order = nursery.order(20);
        ordered = order;
        description = JsonPath.read(Files.readString(Path.of("../web/openapi.json")), "$");
        List<Operation> operations = operations();
        assertThat(operations).hasSizeGreaterThan(50);
        List<String> failures = new ArrayList<>();
        int refused = 0;
        String before = everything();
        for (int call = 0; call < CALLS; call++) {
            Operation operation = operations.get(call % operations.size());
            MockHttpServletRequestBuilder request = request(operation, order);
            MockHttpServletResponse answer;
            try {
                answer = http.perform(request.with(user(nursery.propagator)).with(csrf()))
                        .andReturn()
                        .getResponse();
            } catch (Exception thrown) {
                failures.add(operation.method() + " " + operation.path() + " threw " + rootOf(thrown) + " for " + sent);
                continue;
            }
            String after = everything();
            if (answer.getStatus() >= 500) {
                failures.add(operation.method() + " " + operation.path() + " answered " + answer.getStatus() + " to "
                        + sent);
            } else if (answer.getStatus() >= 400) {
                refused++;
                if (!after.equals(before)) {
                    failures.add(operation.method() + " " + operation.path() + " refused and yet changed something: "
                            + sent);
                }
            }
            before = after;
        }
        assertThat(failures).as(failures.size() + " failures").isEmpty();
        assertThat(refused).isGreaterThan(CALLS / 2);
    }

    private String sent;
    private int ordered;

    private MockHttpServletRequestBuilder request(Operation operation, int order) {
        String path = operation.path();
        while (path.contains("{")) {
            String asked = path.substring(0, path.indexOf('{'));
            String value = random.nextInt(5) == 0
                    ? plain(String.valueOf(NONSENSE[random.nextInt(NONSENSE.length)]))
                    : String.valueOf(there(asked, order));
            path = path.replaceFirst("\\{[^}]*}", java.util.regex.Matcher.quoteReplacement(value));
        }
        MockHttpServletRequestBuilder request =
                MockMvcRequestBuilders.request(HttpMethod.valueOf(operation.method()), java.net.URI.create(path));
        StringBuilder said = new StringBuilder(path);
        for (Map<String, Object> parameter : list(operation.entry().get("parameters"))) {
            if ("query".equals(parameter.get("in")) && random.nextInt(5) > 0) {
                Object value = value(map(parameter.get("schema")), 0);
                request.param((String) parameter.get("name"), String.valueOf(value));
                said.append(' ').append(parameter.get("name")).append('=').append(value);
            }
        }
        Map<String, Object> body = map(operation.entry().get("requestBody"));
        if (!body.isEmpty()) {
            Map<String, Object> content = map(body.get("content"));
            String type = content.keySet().iterator().next();
            String text =
                    json.writeValueAsString(value(map(map(content.get(type)).get("schema")), 0));
            request.contentType(MediaType.parseMediaType(type)).content(text);
            said.append(' ').append(text, 0, Math.min(300, text.length()));
        }
        sent = said.toString();
        return request;
    }

    private static String plain(String value) {
        return java.net.URLEncoder.encode(
                        value.isBlank() ? "x" : value.substring(0, Math.min(40, value.length())),
                        java.nio.charset.StandardCharsets.UTF_8)
                .replace("+", "%20")
                .replace("%00", "%01")
                .replace("%2F", "x")
                .replace("%3B", "x")
                .replace("%5C", "x");
    }

    /** The number of something that is there, by what it is called or what leads to it in an address. */
    private long there(String called, int order) {
        String name = called.toLowerCase(java.util.Locale.ROOT);
        if (name.contains("batch")) {
            return 201;
        }
        if (name.contains("tray")) {
            return 1001;
        }
        if (name.contains("order")) {
            return order;
        }
        if (name.contains("line")) {
            return 1;
        }
        if (name.contains("lot")) {
            return nursery.lotId;
        }
        if (name.contains("variety") || name.contains("varieties")) {
            return nursery.varietyId;
        }
        if (name.contains("site")) {
            return nursery.siteId;
        }
        if (name.contains("grower")) {
            return nursery.growerId;
        }
        if (name.contains("person") || name.contains("people") || name.contains("hand")) {
            return nursery.hand.id();
        }
        return 1 + random.nextInt(3);
    }

    /** Something of a schema, or nonsense in its place. */
    private Object value(Map<String, Object> schema, int depth) {
        if (random.nextInt(6) == 0 || depth > 5) {
            return NONSENSE[random.nextInt(NONSENSE.length)];
        }
        if (schema.containsKey("$ref")) {
            String name = ((String) schema.get("$ref")).substring("#/components/schemas/".length());
            return value(
                    map(map(map(description.get("components")).get("schemas")).get(name)), depth + 1);
        }
        Object type = schema.get("type");
        String kind = type instanceof List<?> several ? String.valueOf(several.get(0)) : String.valueOf(type);
        if (schema.get("enum") instanceof List<?> choices) {
            return choices.get(random.nextInt(choices.size()));
        }
        return switch (kind) {
            case "object" -> object(schema, depth);
            case "array" ->
                random.nextBoolean()
                        ? Collections.singletonList(value(map(schema.get("items")), depth + 1))
                        : List.of();
            case "integer" -> random.nextInt(3) == 0 ? 201 : 1 + random.nextInt(4);
            case "number" -> random.nextDouble() * 20;
            case "boolean" -> random.nextBoolean();
            default ->
                switch (String.valueOf(schema.get("format"))) {
                    case "uuid" -> UUID.randomUUID().toString();
                    case "date" ->
                        SmallNursery.TODAY.plusDays(random.nextInt(90)).toString();
                    default -> random.nextInt(3) == 0 ? "module-60" : "words " + random.nextInt(9);
                };
        };
    }

    private Object object(Map<String, Object> schema, int depth) {
        Map<String, Object> entries = new LinkedHashMap<>();
        map(schema.get("properties")).forEach((name, property) -> {
            if (random.nextInt(8) > 0) {
                boolean number = "integer".equals(String.valueOf(map(property).get("type")));
                entries.put(
                        name, number && random.nextInt(3) > 0 ? there(name, ordered) : value(map(property), depth + 1));
            }
        });
        return entries;
    }

    private List<Operation> operations() {
        List<Operation> operations = new ArrayList<>();
        map(description.get("paths"))
                .forEach((path, methods) -> map(methods).forEach((method, entry) -> {
                    // The session is the test's own; letting days pass and placing all are measured elsewhere.
                    if (!path.equals("/api/session")
                            && !path.startsWith("/api/demo")
                            && !path.startsWith("/api/space/assignment")) {
                        operations.add(new Operation(method.toUpperCase(java.util.Locale.ROOT), path, map(entry)));
                    }
                }));
        return operations;
    }

    /** How many rows each table holds and who wrote them last. */
    private String everything() {
        return database.queryForObject("""
                select concat_ws('/', (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from batch),
                    (select count(*) from batch_change), (select count(*) from batch_run), (select count(*) from tray),
                    (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from grower_order),
                    (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from order_line),
                    (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from promise),
                    (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from order_change),
                    (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from place),
                    (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from library_entry),
                    (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from nursery),
                    (select count(*) || '-' || coalesce(sum(xmin::text::bigint), 0) from rate),
                    (select count(*) from variety), (select count(*) from seed_lot), (select count(*) from grower),
                    (select count(*) from site), (select count(*) from account), (select count(*) from release),
                    (select count(*) from request), (select count(*) from draft), (select count(*) from draft_part),
                    (select count(*) from plan_change), (select count(*) from evening_done), (select count(*) from calendar_feed))
                """, String.class);
    }

    private static String rootOf(Throwable thrown) {
        Throwable root = thrown;
        while (root.getCause() != null) {
            root = root.getCause();
        }
        StackTraceElement[] trace = root.getStackTrace();
        String ours = Arrays.stream(trace)
                .filter(each -> each.getClassName().startsWith("kiver.server"))
                .findFirst()
                .map(Object::toString)
                .orElse("");
        return root.getClass().getSimpleName() + ": "
                + String.valueOf(root.getMessage()).lines().findFirst().orElse("") + " at " + ours;
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> map(Object value) {
        return value == null ? Map.of() : (Map<String, Object>) value;
    }

    @SuppressWarnings("unchecked")
    private static List<Map<String, Object>> list(Object value) {
        return value == null ? List.of() : (List<Map<String, Object>>) value;
    }
}
