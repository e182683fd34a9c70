package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import jakarta.servlet.http.Cookie;
import java.util.List;
import kiver.server.account.AccountMapper;
import kiver.server.account.Role;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.crypto.password.Pbkdf2PasswordEncoder;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** Accounts whose passwords are guessed, whose sessions are stale, and what is open to nobody. */
@ServerTest
class GuardedAccountsTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    MockMvc http;

    @Autowired
    AccountMapper accounts;

    @Autowired
    PasswordEncoder encoder;

    @Autowired
    JdbcTemplate database;

    @BeforeEach
    void found() {
        nursery.found();
    }

    @Test
    void guessingPasswordsBecomesSlowAndSaysSo() throws Exception {
        accounts.insert("guessed@test.example", "Guessed", encoder.encode("long right words"), Role.BENCH_HAND, null);
        for (int attempt = 0; attempt < 5; attempt++) {
            signIn("guessed@test.example", "wrong").andExpect(status().isUnprocessableContent());
        }
        signIn("guessed@test.example", "long right words")
                .andExpect(status().isTooManyRequests())
                .andExpect(header().exists("Retry-After"))
                .andExpect(jsonPath("$.detail").value(containsString("Wait")));
        accounts.insert("other@test.example", "Other", encoder.encode("long right words"), Role.BENCH_HAND, null);
        signIn("other@test.example", "long right words").andExpect(status().isOk());
    }

    @Test
    void anOlderHashIsRightAndIsMadeAnewAtSignIn() throws Exception {
        String old = Pbkdf2PasswordEncoder.defaultsForSpringSecurity_v5_8().encode("long right words");
        accounts.insert("old@test.example", "Old", old, Role.BENCH_HAND, null);
        signIn("old@test.example", "long right words").andExpect(status().isOk());
        assertThat(accounts.byEmail("old@test.example").orElseThrow().passwordHash())
                .startsWith("{argon2id}");
        signIn("old@test.example", "long right words").andExpect(status().isOk());
    }

    @Test
    void wellKnownAndOwnPasswordsAreRefused() throws Exception {
        for (String password : List.of("password123", "1111111111", "new.person1", "new.person@test.example")) {
            nursery.post(
                            nursery.propagator,
                            "/api/people",
                            "{\"name\":\"New Person\",\"email\":\"new.person@test.example\",\"password\":\"" + password
                                    + "\",\"role\":\"BENCH_HAND\"}")
                    .andExpect(status().isUnprocessableContent())
                    .andExpect(jsonPath("$.errors[0].field").value("password"));
        }
        nursery.post(
                        nursery.propagator,
                        "/api/people",
                        "{\"name\":\"N\",\"email\":\"" + "a".repeat(60) + "@" + "b".repeat(40)
                                + ".example\",\"password\":\"three good words\",\"role\":\"BENCH_HAND\"}")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[*].field", hasItem("email")));
    }

    @Test
    void aSessionDiesWithItsAccountsRoleOrPassword() throws Exception {
        accounts.insert("changed@test.example", "Changed", encoder.encode("long right words"), Role.BENCH_HAND, null);
        Cookie session = signIn("changed@test.example", "long right words")
                .andReturn()
                .getResponse()
                .getCookie("SESSION");
        http.perform(get("/api/batches").cookie(session)).andExpect(status().isOk());
        database.update("update account set role = 'PROPAGATOR' where email = 'changed@test.example'");
        http.perform(get("/api/batches").cookie(session)).andExpect(status().isUnauthorized());
        Cookie again = signIn("changed@test.example", "long right words")
                .andReturn()
                .getResponse()
                .getCookie("SESSION");
        accounts.setPassword(
                accounts.byEmail("changed@test.example").orElseThrow().id(), encoder.encode("other right words"));
        http.perform(get("/api/batches").cookie(again)).andExpect(status().isUnauthorized());
    }

    @Test
    void anOddCookieIsNoSessionAndNothingButHealthIsOpen() throws Exception {
        http.perform(get("/api/batches").cookie(new Cookie("SESSION", "AGEA"))).andExpect(status().isUnauthorized());
        http.perform(get("/actuator/health/readiness"))
                .andExpect(status().isOk())
                .andExpect(header().string("Referrer-Policy", "same-origin"));
        for (String closed : List.of("/actuator", "/actuator/env", "/actuator/beans", "/actuator/info")) {
            assertThat(http.perform(get(closed)).andReturn().getResponse().getStatus())
                    .isIn(401, 403, 404);
        }
    }

    @Test
    void onesOwnPasswordIsChangedByWhoeverKnowsThePresentOne() throws Exception {
        accounts.insert("mine@test.example", "Mine", encoder.encode("long right words"), Role.BENCH_HAND, null);
        Cookie session = session("mine@test.example", "long right words");
        Cookie elsewhere = session("mine@test.example", "long right words");
        change(session, "wrong words", "three other words")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("present"));
        change(session, "long right words", "password123")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("password"));
        change(session, "long right words", "three other words").andExpect(status().isOk());
        http.perform(get("/api/batches").cookie(session)).andExpect(status().isOk());
        http.perform(get("/api/batches").cookie(elsewhere)).andExpect(status().isUnauthorized());
        signIn("mine@test.example", "long right words").andExpect(status().isUnprocessableContent());
        signIn("mine@test.example", "three other words").andExpect(status().isOk());
    }

    @Test
    void whoHoldsASessionCannotGuessItsPasswordEither() throws Exception {
        accounts.insert("left@test.example", "Left", encoder.encode("long right words"), Role.BENCH_HAND, null);
        Cookie session = session("left@test.example", "long right words");
        for (int attempt = 0; attempt < 5; attempt++) {
            change(session, "guess " + attempt, "three other words").andExpect(status().isUnprocessableContent());
        }
        change(session, "long right words", "three other words").andExpect(status().isTooManyRequests());
    }

    private Cookie session(String email, String password) throws Exception {
        return signIn(email, password)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getCookie("SESSION");
    }

    private ResultActions change(Cookie session, String present, String password) throws Exception {
        return http.perform(post("/api/session/password")
                .with(csrf())
                .cookie(session)
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"present\":\"" + present + "\",\"password\":\"" + password + "\"}"));
    }

    private ResultActions signIn(String email, String password) throws Exception {
        return http.perform(post("/api/session")
                .with(csrf())
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"email\":\"" + email + "\",\"password\":\"" + password + "\"}"));
    }
}
