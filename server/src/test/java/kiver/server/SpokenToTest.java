package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.List;
import kiver.server.account.Person;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** Each person is told things in the language and the units they chose, and nobody else is. */
@ServerTest
class SpokenToTest {

    private static final String BRITISH = """
            {"language":"BRITISH","temperature":"CELSIUS","length":"MILLIMETRES","volume":"LITRES","mass":"GRAMS"}""";
    private static final String AMERICAN = """
            {"language":"AMERICAN","temperature":"FAHRENHEIT","length":"INCHES","volume":"GALLONS","mass":"OUNCES"}""";

    @Autowired
    SmallNursery nursery;

    @Autowired
    MockMvc http;

    @BeforeEach
    void found() throws Exception {
        nursery.found();
        for (Person person : List.of(nursery.propagator, nursery.grower, nursery.otherGrower)) {
            speak(person, BRITISH);
        }
    }

    @Test
    void refusalsAndReasonsComeInOnesOwnLanguage() throws Exception {
        speak(nursery.propagator, AMERICAN).andExpect(status().isOk());
        http.perform(get("/api/session").with(user(nursery.propagator)))
                .andExpect(jsonPath("$.speech.language").value("AMERICAN"))
                .andExpect(jsonPath("$.speech.mass").value("OUNCES"));
        int order = nursery.order(12);
        String planting = nursery.get(nursery.propagator, "/api/orders/" + order)
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(planting)
                .contains("Stands frost to about 21 °F")
                .contains("18 in apart")
                .doesNotContain("°C");
        String british = nursery.get(nursery.grower, "/api/orders/" + order)
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(british).contains("Stands frost to about −6 °C").contains("45 cm apart");
        speak(nursery.propagator, AMERICAN.replace("AMERICAN", "STRETCHED"));
        nursery.get(nursery.propagator, "/api/batches/99")
                .andExpect(jsonPath("$.detail").value(containsString("⟦Théér")));
    }

    @Test
    void aGrowerChoosesToo() throws Exception {
        speak(nursery.grower, AMERICAN).andExpect(status().isOk());
        http.perform(get("/api/session").with(user(nursery.grower)))
                .andExpect(jsonPath("$.speech.temperature").value("FAHRENHEIT"));
        http.perform(get("/api/session").with(user(nursery.otherGrower)))
                .andExpect(jsonPath("$.speech.temperature").value("CELSIUS"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{}",
                "{\"language\":null}",
                "{\"language\":\"KLINGON\",\"temperature\":\"KELVIN\"}",
                "[]",
                "nonsense"
            })
    void nonsenseChangesNothing(String body) throws Exception {
        speak(nursery.otherGrower, body).andExpect(status().is4xxClientError());
        http.perform(get("/api/session").with(user(nursery.otherGrower)))
                .andExpect(jsonPath("$.speech.language").value("BRITISH"));
    }

    @Test
    void nobodyChoosesForStrangers() throws Exception {
        http.perform(put("/api/session/speech")
                        .with(csrf())
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(AMERICAN))
                .andExpect(status().isUnauthorized());
        http.perform(get("/api/session")).andExpect(jsonPath("$.speech").doesNotExist());
    }

    private ResultActions speak(Person person, String body) throws Exception {
        return http.perform(put("/api/session/speech")
                .with(user(person))
                .with(csrf())
                .contentType(MediaType.APPLICATION_JSON)
                .content(body));
    }
}
