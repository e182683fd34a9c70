package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.everyItem;
import static org.hamcrest.Matchers.is;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.head;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.options;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.UUID;
import kiver.server.account.AccountMapper;
import kiver.server.account.Role;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

@ServerTest
class AccessTest {

    @Autowired
    SmallNursery nursery;

    @Autowired
    MockMvc http;

    @Autowired
    AccountMapper accounts;

    @Autowired
    PasswordEncoder encoder;

    @BeforeEach
    void found() {
        nursery.found();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"/api/round", "/api/orders", "/api/batches", "/api/choices", "/v3/api-docs", "/api/orders/101"})
    void strangersSeeNothing(String path) throws Exception {
        http.perform(get(path)).andExpect(status().isUnauthorized());
    }

    @ParameterizedTest
    @ValueSource(strings = {"/api/round", "/api/batches", "/api/choices", "/api/trays/1001", "/v3/api-docs"})
    void growersSeeNothingOfTheNursery(String path) throws Exception {
        nursery.get(nursery.grower, path).andExpect(status().isForbidden());
    }

    @Test
    void aGrowerSeesOnlyTheirOwnOrders() throws Exception {
        int order = nursery.order(12);
        nursery.get(nursery.grower, "/api/orders").andExpect(jsonPath("$[*].grower", everyItem(is("Field one"))));
        nursery.get(nursery.grower, "/api/orders/" + order).andExpect(status().isOk());
        nursery.get(nursery.otherGrower, "/api/orders/" + order).andExpect(status().isNotFound());
        nursery.get(nursery.otherGrower, "/api/orders").andExpect(jsonPath("$").isEmpty());
    }

    @Test
    void benchHandsNeitherTakeOrdersNorReleaseNorMoveTheClock() throws Exception {
        String order = nursery.orderBody(UUID.randomUUID(), 10, SmallNursery.TODAY.plusDays(70));
        nursery.post(nursery.hand, "/api/orders", order).andExpect(status().isForbidden());
        nursery.post(nursery.hand, "/api/releases", "{}").andExpect(status().isForbidden());
        nursery.post(nursery.hand, "/api/demo/days", "{}").andExpect(status().isForbidden());
        nursery.post(nursery.grower, "/api/batches/201/counts", "{}").andExpect(status().isForbidden());
    }

    /** Asked for its head alone, a page is open to those it is open to. */
    @Test
    void noMethodIsAWayAround() throws Exception {
        http.perform(head("/api/orders")).andExpect(status().isUnauthorized());
        http.perform(head("/api/board").with(user(nursery.grower))).andExpect(status().isForbidden());
        http.perform(head("/api/lots/1/claim.pdf").with(user(nursery.hand))).andExpect(status().isForbidden());
        http.perform(head("/api/round").with(user(nursery.hand))).andExpect(status().isOk());
        http.perform(options("/api/prices").with(user(nursery.grower))).andExpect(status().isForbidden());
        http.perform(get("/api/nothing/of/the/kind").with(user(nursery.grower))).andExpect(status().isForbidden());
        http.perform(get("/api/nothing/of/the/kind").with(user(nursery.hand))).andExpect(status().isNotFound());
        http.perform(delete("/api/orders").with(user(nursery.grower)).with(csrf()))
                .andExpect(status().isForbidden());
    }

    @Test
    void changesNeedTheToken() throws Exception {
        http.perform(post("/api/orders")
                        .with(user(nursery.propagator))
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(nursery.orderBody(UUID.randomUUID(), 10, SmallNursery.TODAY.plusDays(70))))
                .andExpect(status().isForbidden());
    }

    @Test
    void signingInNeedsTheRightPassword() throws Exception {
        accounts.insert("real@test.example", "Real", encoder.encode("right password"), Role.PROPAGATOR, null);
        assertThat(accounts.byEmail("REAL@test.example").orElseThrow().passwordHash())
                .doesNotContain("right password");
        signIn("wrong password")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("password"));
        signIn("right password")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.name").value("Real"))
                .andExpect(jsonPath("$.role").value("PROPAGATOR"));
    }

    @Test
    void theFirstAccountIsMadeOnce() throws Exception {
        http.perform(post("/api/setup")
                        .with(csrf())
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("""
                        {"nursery":"Other","name":"Else","email":"else@test.example","password":"long enough words","latitude":46,"altitude":600}"""))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(containsString("first account already")));
    }

    private ResultActions signIn(String password) throws Exception {
        return http.perform(post("/api/session")
                .with(csrf())
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"email\":\"real@test.example\",\"password\":\"" + password + "\"}"));
    }
}
