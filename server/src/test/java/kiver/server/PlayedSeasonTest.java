package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import kiver.server.play.PlayedBeside;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.context.annotation.Import;

/** A season played in a copy of the nursery: begun, lived in, ended, and nothing of it kept. In a process of its own it is played in the browser. */
@Import(PlayedBeside.class)
class PlayedSeasonTest extends DeskOfTheSeason {

    private final CookieManager cookies = new CookieManager();
    private final HttpClient copy =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    @AfterEach
    void nothingIsLeft() throws Exception {
        nursery.delete(nursery.propagator, "/api/play").andExpect(status().isOk());
        assertThat(copies()).isEmpty();
    }

    private List<String> copies() {
        return database.queryForList(
                "select datname from pg_database where starts_with(datname, current_database() || '_play_')",
                String.class);
    }

    private int year() throws Exception {
        return JsonPath.read(answer("/api/space/years"), "$.years[2].year");
    }

    private String answer(String path) throws Exception {
        return nursery.get(nursery.propagator, path)
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    private String opened() throws Exception {
        nursery.post(nursery.propagator, "/api/play", "{\"year\":" + year() + "}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.stage").value("COPYING"));
        for (int tries = 0; tries < 600; tries++) {
            String play = answer("/api/play");
            String stage = JsonPath.read(play, "$.stage");
            if (stage.equals("OPEN")) {
                return play;
            }
            assertThat(stage).isIn("COPYING", "OPENING");
            Thread.sleep(100);
        }
        throw new AssertionError("The copy did not open.");
    }

    private HttpResponse<String> inTheCopy(String play, String method, String path, String body)
            throws IOException, InterruptedException {
        HttpRequest.Builder request = HttpRequest.newBuilder(
                        URI.create("http://127.0.0.1:" + JsonPath.read(play, "$.port") + path))
                .header("Content-Type", "application/json")
                .method(method, HttpRequest.BodyPublishers.ofString(body));
        cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .forEach(token -> request.header("X-XSRF-TOKEN", token));
        return copy.send(request.build(), HttpResponse.BodyHandlers.ofString());
    }

    @Test
    void weeksPassInTheCopyAndNothingOfThemIsKept() throws Exception {
        int batch = batch(20);
        LocalDate sowDay = batches.file(batch).batch().sowDay();
        String play = opened();
        inTheCopy(play, "GET", "/api/session", "");
        assertThat(inTheCopy(play, "GET", "/api/board", "").statusCode()).isEqualTo(401);
        assertThat(inTheCopy(play, "POST", "/api/play/door", "{\"word\":\"sesame\"}")
                        .statusCode())
                .isEqualTo(422);
        String word = JsonPath.read(play, "$.word");
        assertThat(inTheCopy(play, "POST", "/api/play/door", "{\"word\":\"" + word + "\"}")
                        .statusCode())
                .isEqualTo(200);
        String session = inTheCopy(play, "GET", "/api/session", "").body();
        assertThat(JsonPath.<Integer>read(session, "$.playedYear")).isEqualTo(year());
        assertThat(JsonPath.<String>read(session, "$.today")).isEqualTo(SmallNursery.TODAY.toString());
        assertThat(inTheCopy(play, "POST", "/api/play", "{\"year\":" + year() + "}")
                        .body())
                .contains("is played already");

        // The copy's hands sow what is to be sown, on a day that only the copy has seen.
        for (LocalDate day = SmallNursery.TODAY; !day.isAfter(sowDay.plusDays(20)); day = day.plusDays(14)) {
            HttpResponse<String> passed = inTheCopy(play, "POST", "/api/play/days", "{\"days\":14,\"handsWork\":true}");
            assertThat(passed.statusCode()).as(passed.body()).isEqualTo(200);
        }
        String there = inTheCopy(play, "GET", "/api/batches/" + batch, "").body();
        assertThat(JsonPath.<Integer>read(there, "$.summary.balance.sown")).isPositive();
        assertThat(JsonPath.<Integer>read(there, "$.summary.balance.alive")).isPositive();
        assertThat(inTheCopy(play, "GET", "/api/round", "").statusCode()).isEqualTo(200);
        assertThat(batches.file(batch).state().sownOn()).isEmpty();
        assertThat(JsonPath.<String>read(answer("/api/session"), "$.today")).isEqualTo(SmallNursery.TODAY.toString());

        // The weather that passed is that of the year, day for day.
        int back = SmallNursery.TODAY.getYear() - year();
        List<Map<String, Object>> played = database("select day, minimum from station_day where day >= ?", play);
        assertThat(played).hasSizeGreaterThan(14);
        for (Map<String, Object> day : played) {
            LocalDate date = LocalDate.parse(day.get("day").toString());
            assertThat(day.get("minimum").toString())
                    .isEqualTo(database.queryForObject(
                                    "select minimum from station_day where day = ?",
                                    Object.class,
                                    date.minusYears(back))
                            .toString());
        }
    }

    private List<Map<String, Object>> database(String query, String play) {
        String name = copies().get(0);
        var source = new org.springframework.jdbc.datasource.DriverManagerDataSource(
                OwnDatabase.server() + name, "kiver", OwnDatabase.password());
        return new org.springframework.jdbc.core.JdbcTemplate(source).queryForList(query, SmallNursery.TODAY);
    }

    @Test
    void onlyOneIsPlayedAtATimeAndOnlyByWhoeverBeganIt() throws Exception {
        String year = "{\"year\":" + year() + "}";
        nursery.post(nursery.hand, "/api/play", year).andExpect(status().isForbidden());
        nursery.get(nursery.grower, "/api/play").andExpect(status().isForbidden());
        nursery.post(nursery.propagator, "/api/play", "{\"year\":1066}")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message", containsString("The weather of 1066 is not known whole")));
        nursery.post(nursery.propagator, "/api/play", "{}")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value("Choose a year."));
        nursery.post(nursery.propagator, "/api/play", year).andExpect(status().isOk());
        nursery.post(nursery.propagator, "/api/play", year)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message", containsString("End that play first")));
        // Ended while it is still being copied: the copy is thrown away as soon as it is there.
        nursery.delete(nursery.propagator, "/api/play").andExpect(status().isOk());
        nursery.get(nursery.propagator, "/api/play").andExpect(jsonPath("$.on").value(false));
        for (int tries = 0; tries < 200 && !copies().isEmpty(); tries++) {
            Thread.sleep(100);
        }
        nursery.post(nursery.propagator, "/api/play/days", "{\"days\":1,\"handsWork\":true}")
                .andExpect(status().isNotFound())
                .andExpect(content().string(containsString("No season is played here.")));
        nursery.post(nursery.propagator, "/api/play/door", "{\"word\":\"sesame\"}")
                .andExpect(status().isNotFound());
    }
}
