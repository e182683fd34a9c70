package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import jakarta.servlet.http.Cookie;
import java.util.UUID;
import kiver.server.account.Person;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** People come, change what they do, forget their password, lose a phone, and go. */
@ServerTest
class PeopleTest {

    private static final String PASSWORD = "three dry words";

    @Autowired
    MockMvc http;

    @Autowired
    SmallNursery nursery;

    @Autowired
    JdbcTemplate database;

    @BeforeEach
    void found() {
        nursery.found();
    }

    @Test
    void somebodyIsChangedWhereTheyAreSeen() throws Exception {
        long id = add("BENCH_HAND");
        Cookie session = signIn(address(id), PASSWORD);
        change(id, "New Name", address(id), "BENCH_HAND").andExpect(status().isOk());
        http.perform(get("/api/session").cookie(session))
                .andExpect(jsonPath("$.name").value("New Name"));
        change(id, "New Name", address(id), "PROPAGATOR").andExpect(status().isOk());
        http.perform(get("/api/people").with(user(nursery.propagator)))
                .andExpect(jsonPath("$[?(@.id==%d)].name".formatted(id)).value("New Name"))
                .andExpect(jsonPath("$[?(@.id==%d)].role".formatted(id)).value("PROPAGATOR"));
    }

    @ParameterizedTest
    @CsvSource({
        "'', a@b.example, BENCH_HAND, null, name",
        "N, no address, BENCH_HAND, null, email",
        "N, hand@test.example, BENCH_HAND, null, email",
        "N, HAND@test.example, BENCH_HAND, null, email",
        "N, link-1@kiver.invalid, BENCH_HAND, null, email",
        "N, fresh@test.example, GROWER, null, growerId",
        "N, fresh@test.example, GROWER, 99999, growerId",
        "N, fresh@test.example, KING, null, role",
    })
    void whatCannotBeIsSaidAtItsPlace(String name, String email, String role, String grower, String field)
            throws Exception {
        long id = add("BENCH_HAND");
        nursery.put(nursery.propagator, "/api/people/" + id, """
                {"name":"%s","email":"%s","role":"%s","growerId":%s}""".formatted(name, email, role, grower))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value(field));
        assertThat(address(id)).startsWith("p-");
    }

    @Test
    void theLastPropagatorStays() throws Exception {
        long only = nursery.propagator.id();
        database.update("update account set ends_on = date '2020-01-01' where role = 'PROPAGATOR' and id <> ?", only);
        change(only, "P", "propagator@test.example", "BENCH_HAND")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("role"));
        keepOut(only)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.detail", containsString("This is you")));
        Person another = nursery.person(
                "another-" + UUID.randomUUID() + "@test.example", kiver.server.account.Role.PROPAGATOR, null);
        keepOut(another.id()).andExpect(status().isOk());
        http.perform(delete("/api/people/" + only + "/access")
                        .with(user(nursery.hand))
                        .with(csrf()))
                .andExpect(status().isForbidden());
    }

    @Test
    void whoIsKeptOutIsOutAtOnceAndMayComeBack() throws Exception {
        long id = add("BENCH_HAND");
        Cookie session = signIn(address(id), PASSWORD);
        http.perform(get("/api/choices").cookie(session)).andExpect(status().isOk());
        keepOut(id).andExpect(status().isOk());
        http.perform(get("/api/choices").cookie(session)).andExpect(status().isUnauthorized());
        tryToSignIn(address(id), PASSWORD).andExpect(status().isUnprocessableContent());
        nursery.post(nursery.propagator, "/api/people/" + id + "/resets", "{}")
                .andExpect(status().isUnprocessableContent());
        nursery.post(nursery.propagator, "/api/people/" + id + "/access", "{}").andExpect(status().isOk());
        signIn(address(id), PASSWORD);
    }

    @Test
    void aNewPasswordIsChosenByACodeOnce() throws Exception {
        long id = add("BENCH_HAND");
        Cookie old = signIn(address(id), PASSWORD);
        String first = reset(id);
        String code = reset(id);
        choose(first, "another dry word").andExpect(status().isUnprocessableContent());
        choose(code, "short").andExpect(jsonPath("$.errors[0].field").value("password"));
        choose(code, "1234567890").andExpect(jsonPath("$.errors[0].field").value("password"));
        choose(code.toLowerCase(java.util.Locale.ROOT).replace("-", " "), "another dry word")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.person").value(id));
        choose(code, "yet another word").andExpect(status().isUnprocessableContent());
        http.perform(get("/api/choices").cookie(old)).andExpect(status().isUnauthorized());
        tryToSignIn(address(id), PASSWORD).andExpect(status().isUnprocessableContent());
        signIn(address(id), "another dry word");
        assertThat(database.queryForList("select code_digest from account_reset", String.class))
                .noneMatch(digest -> digest.contains(code.replace("-", "")));
    }

    @Test
    void aCodeEndsAndGuessingIsSlowedDown() throws Exception {
        long id = add("BENCH_HAND");
        String code = reset(id);
        database.update("update account_reset set until = now() - interval '1 minute' where account_id = ?", id);
        choose(code, "another dry word").andExpect(status().isUnprocessableContent());
        for (int guess = 0; guess < 8; guess++) {
            choose("AAAA-BBBB-CCCC-DDD" + guess, "another dry word");
        }
        choose("AAAA-BBBB-CCCC-DDDD", "another dry word").andExpect(status().isTooManyRequests());
        database.update("delete from sign_in_failure");
    }

    @Test
    void aLostPhoneIsSignedOutFromElsewhere() throws Exception {
        long id = add("BENCH_HAND");
        Cookie phone = signIn(address(id), PASSWORD, "Mozilla/5.0 (Linux; Android 15) Mobile");
        Cookie here = signIn(address(id), PASSWORD, "Mozilla/5.0 (X11; Linux x86_64)");
        String open = http.perform(get("/api/session/open").cookie(here))
                .andExpect(jsonPath("$", hasSize(2)))
                .andReturn()
                .getResponse()
                .getContentAsString();
        String mark = JsonPath.<java.util.List<String>>read(open, "$[?(@.phone==true && @.here==false)].mark")
                .get(0);
        assertThat(open).doesNotContain(phone.getValue());
        Person other = nursery.hand;
        http.perform(delete("/api/session/open/" + mark).with(user(other)).with(csrf()))
                .andExpect(status().isNotFound());
        http.perform(delete("/api/session/open/" + mark).cookie(here).with(csrf()))
                .andExpect(status().isOk());
        http.perform(delete("/api/session/open/" + mark).cookie(here).with(csrf()))
                .andExpect(status().isNotFound());
        http.perform(get("/api/choices").cookie(phone)).andExpect(status().isUnauthorized());
        http.perform(get("/api/choices").cookie(here)).andExpect(status().isOk());
    }

    private long add(String role) throws Exception {
        String email = "p-" + UUID.randomUUID() + "@test.example";
        nursery.post(nursery.propagator, "/api/people", """
                {"name":"Somebody","email":"%s","password":"%s","role":"%s"}""".formatted(email, PASSWORD, role))
                .andExpect(status().isOk());
        return database.queryForObject("select id from account where email = ?", Long.class, email);
    }

    private String address(long id) {
        return database.queryForObject("select email from account where id = ?", String.class, id);
    }

    private ResultActions change(long id, String name, String email, String role) throws Exception {
        return nursery.put(nursery.propagator, "/api/people/" + id, """
                {"name":"%s","email":"%s","role":"%s"}""".formatted(name, email, role));
    }

    private ResultActions keepOut(long id) throws Exception {
        return nursery.delete(nursery.propagator, "/api/people/" + id + "/access");
    }

    private String reset(long id) throws Exception {
        String answer = nursery.post(nursery.propagator, "/api/people/" + id + "/resets", "{}")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        return JsonPath.read(answer, "$.code");
    }

    private ResultActions choose(String code, String password) throws Exception {
        return http.perform(post("/api/session/reset")
                .with(csrf())
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"code\":\"" + code + "\",\"password\":\"" + password + "\"}"));
    }

    private Cookie signIn(String email, String password) throws Exception {
        return signIn(email, password, "Mozilla/5.0 (X11; Linux x86_64)");
    }

    private Cookie signIn(String email, String password, String agent) throws Exception {
        return http.perform(post("/api/session")
                        .with(csrf())
                        .header("User-Agent", agent)
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{\"email\":\"" + email + "\",\"password\":\"" + password + "\"}"))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getCookie("SESSION");
    }

    private ResultActions tryToSignIn(String email, String password) throws Exception {
        return http.perform(post("/api/session")
                .with(csrf())
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"email\":\"" + email + "\",\"password\":\"" + password + "\"}"));
    }
}
