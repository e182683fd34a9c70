package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.hamcrest.Matchers.contains;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.everyItem;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.is;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import kiver.core.crop.Crop;
import kiver.core.crop.Descent;
import kiver.core.crop.Maturity;
import kiver.server.account.Account;
import kiver.server.account.AccountMapper;
import kiver.server.account.Person;
import kiver.server.account.Role;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.crop.Variety;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** A nursery of one's own on the southern half of the earth, from an empty database. */
@ServerTest
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class FoundedTest {

    private static final String FIRST = """
            {"nursery":"Long Paddock","name":"First Person","email":"first@paddock.example",
             "password":"long enough words","latitude":%s,"altitude":40,"timeZone":"%s"}""";

    private static final String CLIMATE = """
            {"coldestMinimum":4,"coldestMaximum":13,"warmestMinimum":13,"warmestMaximum":27,
             "lastFrost":%s,"lastFrostAtWorst":%s,"firstFrost":%s,"firstFrostAtWorst":%s}""";

    private static final String TOLD = CLIMATE.formatted("\"09-05\"", "\"10-02\"", "\"06-01\"", "\"05-08\"");

    @Autowired
    MockMvc http;

    @Autowired
    AccountMapper accounts;

    @Autowired
    NurseryClock clock;

    @Autowired
    CropBook crops;

    private Person propagator() {
        Account account = accounts.byEmail("first@paddock.example").orElseThrow();
        return new Person(account.id(), account.email(), account.name(), "", Role.PROPAGATOR, null);
    }

    private ResultActions call(HttpMethod method, String path, String body) throws Exception {
        return http.perform(MockMvcRequestBuilders.request(method, path)
                .with(user(propagator()))
                .with(csrf())
                .contentType(MediaType.APPLICATION_JSON)
                .content(body));
    }

    private ResultActions found(String latitude, String zone) throws Exception {
        return http.perform(MockMvcRequestBuilders.post("/api/setup")
                .with(csrf())
                .contentType(MediaType.APPLICATION_JSON)
                .content(FIRST.formatted(latitude, zone)));
    }

    private String text(String path) throws Exception {
        return call(HttpMethod.GET, path, "")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
    }

    @Test
    @Order(1)
    void isFoundedWhereItLies() throws Exception {
        found("91", "UTC").andExpect(jsonPath("$.errors[0].field").value("latitude"));
        found("-38", "The moon").andExpect(jsonPath("$.errors[0].field").value("timeZone"));
        found("-38", "Pacific/Kiritimati").andExpect(status().isOk());
        assertThat(clock.zone().getId()).isEqualTo("Pacific/Kiritimati");
        assertThat(clock.today()).isEqualTo(LocalDate.now(clock.zone()));
    }

    @Test
    @Order(2)
    void whatNobodyMeasuredIsCalledEstimatedAndNothingIsForecast() throws Exception {
        call(HttpMethod.GET, "/api/weather", "")
                .andExpect(jsonPath("$.estimated").value(true))
                .andExpect(jsonPath("$.forecast").isEmpty())
                .andExpect(jsonPath("$.years").value(30))
                .andExpect(jsonPath("$.lately[*].estimated", everyItem(is(true))));
        call(HttpMethod.GET, "/api/round", "")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.estimated").value(true))
                .andExpect(jsonPath("$.forecast").isEmpty());
        call(HttpMethod.GET, "/api/weather/climate", "")
                .andExpect(jsonPath("$.guessed").value(true))
                .andExpect(jsonPath("$.northern").value(false));
    }

    @ParameterizedTest
    @Order(3)
    @CsvSource({
        "'\"04-20\"', '\"05-10\"', '\"10-01\"', '\"09-20\"', lastFrost",
        "'\"09-05\"', '\"08-10\"', '\"06-01\"', '\"05-20\"', lastFrostAtWorst",
        "'\"09-05\"', '\"10-02\"', '\"06-01\"', '\"06-20\"', firstFrostAtWorst",
        "'\"09-05\"', null, null, null, lastFrostAtWorst",
        "'\"02-30\"', '\"10-02\"', '\"06-01\"', '\"05-20\"', lastFrost",
        "'\"soon\"', '\"10-02\"', '\"06-01\"', '\"05-20\"', lastFrost"
    })
    void datesThatCannotBeAreRefusedAtTheirPlace(
            String last, String lastAtWorst, String first, String firstAtWorst, String field) throws Exception {
        for (HttpMethod method : new HttpMethod[] {HttpMethod.POST, HttpMethod.PUT}) {
            call(
                            method,
                            method == HttpMethod.POST ? "/api/weather/climate/trial" : "/api/weather/climate",
                            CLIMATE.formatted(last, lastAtWorst, first, firstAtWorst))
                    .andExpect(status().isUnprocessableContent())
                    .andExpect(jsonPath("$.errors[0].field").value(field));
        }
        call(HttpMethod.GET, "/api/weather/climate", "")
                .andExpect(jsonPath("$.guessed").value(true));
    }

    @Test
    @Order(4)
    void whatIsToldMakesTheYearsThatForecastsAreTriedOn() throws Exception {
        call(HttpMethod.PUT, "/api/weather/climate", TOLD).andExpect(status().isOk());
        String climate = text("/api/weather/climate");
        assertThat(JsonPath.<Boolean>read(climate, "$.guessed")).isFalse();
        assertNear(JsonPath.read(climate, "$.spring.middle"), "09-05", 8);
        assertNear(JsonPath.read(climate, "$.autumn.middle"), "06-01", 8);
        call(HttpMethod.POST, "/api/growers", """
                        {"grower":"Ourselves","site":"Own beds","altitude":40}""").andExpect(status().isOk());
        String choices = text("/api/choices");
        int site = JsonPath.read(choices, "$.sites[0].id");
        // The same dates by the way that plans go: the record's thirty seasons at a site of the same height.
        String frost = text("/api/sites/" + site);
        assertNear(JsonPath.read(frost, "$.lightFrost.spring.middle"), "09-05", 12);
        assertThat(JsonPath.<Boolean>read(frost, "$.estimated")).isTrue();
    }

    private static void assertNear(String day, String told, int days) {
        LocalDate got = LocalDate.parse(day);
        assertThat((double) got.toEpochDay())
                .as(day)
                .isCloseTo(MonthDay.parse("--" + told).atYear(got.getYear()).toEpochDay(), within((double) days));
    }

    @Test
    @Order(5)
    void measuredDaysStayWhenMoreIsKnownOfTheClimate() throws Exception {
        LocalDate yesterday = clock.today().minusDays(1);
        readIn(yesterday + ",11.1,33.3");
        call(HttpMethod.PUT, "/api/weather/climate", TOLD).andExpect(status().isOk());
        call(HttpMethod.GET, "/api/weather", "")
                .andExpect(jsonPath("$.estimated").value(false))
                .andExpect(jsonPath("$.lately[27].maximum").value(33.3))
                .andExpect(jsonPath("$.lately[27].estimated").value(false))
                .andExpect(jsonPath("$.lately[26].estimated").value(true));
    }

    @Test
    @Order(6)
    void aForecastIsTypedInOrPushedAndIsGoneByFromTodayOn() throws Exception {
        LocalDate today = clock.today();
        String days = "{\"days\":[%s]}";
        String day = "{\"day\":\"%s\",\"minimum\":%s,\"maximum\":%s}";
        call(HttpMethod.PUT, "/api/weather/forecast", days.formatted(day.formatted(today.plusDays(1), 3, 9)))
                .andExpect(jsonPath("$.errors[0].field").value("days"));
        call(HttpMethod.PUT, "/api/weather/forecast", days.formatted(day.formatted(today, 13, 9)))
                .andExpect(jsonPath("$.errors[0].field").value("days"));
        call(
                        HttpMethod.PUT,
                        "/api/weather/forecast",
                        days.formatted(day.formatted(today, 1, 9) + "," + day.formatted(today, 1, 9)))
                .andExpect(jsonPath("$.errors[0].field").value("days"));
        call(HttpMethod.PUT, "/api/weather/forecast", days.formatted("")).andExpect(status().isUnprocessableContent());
        call(
                        HttpMethod.PUT,
                        "/api/weather/forecast",
                        days.formatted(day.formatted(today, -4, 9) + "," + day.formatted(today.plusDays(1), -2, 7)))
                .andExpect(status().isOk());
        call(HttpMethod.GET, "/api/weather", "")
                .andExpect(jsonPath("$.forecast", hasSize(2)))
                .andExpect(jsonPath("$.forecast[0].minimum").value(-4.0))
                .andExpect(jsonPath("$.forecastSaidOn").value(today.toString()));
        call(HttpMethod.GET, "/api/round", "").andExpect(jsonPath("$.forecast", hasSize(2)));
        http.perform(MockMvcRequestBuilders.post("/api/forecast")
                        .header("Authorization", "Bearer guessed")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(days.formatted(day.formatted(today, 5, 9))))
                .andExpect(status().isUnauthorized());
        call(HttpMethod.POST, "/api/places", """
                        {"name":"Shelf","slots":4,"daySetPoint":20,"nightSetPoint":16,"daylightShare":0.2,"uses":["EMERGENCE"],"kind":"LIT_SHELF"}""").andExpect(status().isOk());
        String token = token("Service", "FORECAST");
        http.perform(MockMvcRequestBuilders.post("/api/forecast")
                        .header("Authorization", "Bearer " + token)
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(days.formatted(day.formatted(today, 5, 9))))
                .andExpect(status().isOk());
        call(HttpMethod.GET, "/api/weather", "")
                .andExpect(jsonPath("$.forecast", hasSize(1)))
                .andExpect(jsonPath("$.forecast[0].minimum").value(5.0));
    }

    private String token(String name, String feeds) throws Exception {
        return JsonPath.read(
                call(HttpMethod.POST, "/api/devices", "{\"name\":\"%s\",\"feeds\":\"%s\"}".formatted(name, feeds))
                        .andExpect(status().isOk())
                        .andReturn()
                        .getResponse()
                        .getContentAsString(),
                "$.token");
    }

    private void readIn(String day) throws Exception {
        http.perform(MockMvcRequestBuilders.post("/api/weather/file?file=s.csv&take=true")
                        .with(user(propagator()))
                        .with(csrf())
                        .contentType(MediaType.APPLICATION_OCTET_STREAM)
                        .content("day,minimum,maximum\n" + day + "\n"))
                .andExpect(status().isOk());
    }

    private ResultActions send(String token, String path, String type, String body) throws Exception {
        return http.perform(MockMvcRequestBuilders.post(path)
                .header("Authorization", "Bearer " + token)
                .contentType(type)
                .content(body));
    }

    @Test
    @Order(7)
    void placesBeginFromPatternsWithTheirCaution() throws Exception {
        call(HttpMethod.GET, "/api/places/patterns", "")
                .andExpect(jsonPath("$", hasSize(13)))
                // Here the sun stands in the north.
                .andExpect(jsonPath("$[?(@.kind == 'WARM_WINDOWSILL')].aspect").value("NORTH"));
        call(HttpMethod.GET, "/api/places/surfaces?length=120&breadth=60", "")
                .andExpect(jsonPath("$.slots").value(4));
        call(HttpMethod.GET, "/api/places/surfaces?length=-1&breadth=60", "")
                .andExpect(status().isUnprocessableContent());
        call(HttpMethod.POST, "/api/places", """
                        {"name":"Frame","slots":16,"daylightShare":0.85,"uses":["GROWING_ON","HARDENING_OFF"],"gainByDay":4,"gainByNight":2}""").andExpect(status().isOk());
        call(HttpMethod.POST, "/api/places", """
                        {"name":"Oven","slots":1,"daySetPoint":200,"nightSetPoint":20,"daylightShare":0.85,"uses":["EMERGENCE"]}""")
                .andExpect(jsonPath("$.errors[0].field").value("daySetPoint"));
        call(HttpMethod.GET, "/api/round", "").andExpect(jsonPath("$.stops", hasSize(2)));
        call(HttpMethod.GET, "/api/founding", "").andExpect(jsonPath("$.next").value("VARIETY"));
    }

    @Test
    @Order(8)
    void aPacketBringsItsVarietyAndSaysWhatItDidNotSay() throws Exception {
        String packet = "{\"crop\":\"%s\",\"variety\":\"Hill Curl\"%s}";
        call(HttpMethod.POST, "/api/packets", packet.formatted("curly-kale", ""))
                .andExpect(jsonPath("$.errors[0].field").value("seeds"));
        call(HttpMethod.POST, "/api/packets", packet.formatted("zorb", ",\"seeds\":40"))
                .andExpect(status().isUnprocessableContent());
        call(HttpMethod.POST, "/api/packets", packet.formatted("curly-kale", ",\"seeds\":40,\"packed\":2190"))
                .andExpect(jsonPath("$.errors[0].field").value("packed"));
        call(HttpMethod.POST, "/api/packets", packet.formatted("curly-kale", ",\"seeds\":40,\"days\":9"))
                .andExpect(jsonPath("$.errors[0].field").value("daysAtMost"));
        // Nothing of what was refused is left over.
        call(HttpMethod.GET, "/api/founding", "")
                .andExpect(jsonPath("$.varieties").value(0))
                .andExpect(jsonPath("$.lots").value(0));
        call(HttpMethod.POST, "/api/packets", packet.formatted("curly-kale", ",\"grams\":2"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.germinationReckoned").value(0.85))
                .andExpect(jsonPath("$.cautions", hasSize(0)));
        call(HttpMethod.POST, "/api/packets", packet.formatted("curly-kale", ",\"seeds\":40,\"germination\":0.6"))
                .andExpect(status().isOk());
        call(HttpMethod.POST, "/api/packets", packet.formatted("leek", ",\"seeds\":40"))
                .andExpect(jsonPath("$.errors[0].field").value("variety"));
        call(HttpMethod.GET, "/api/founding", "")
                .andExpect(jsonPath("$.varieties").value(1))
                .andExpect(jsonPath("$.lots").value(2))
                .andExpect(jsonPath("$.next").value("FIRST_PLAN"));
        call(HttpMethod.GET, "/api/choices", "")
                .andExpect(jsonPath("$.lots[*].seedsLeft", hasItem(40)))
                .andExpect(jsonPath("$.lots[*].germinationLabel", hasItem(0.85)));
    }

    @Test
    @Order(10)
    void aPacketSaysOfItsSeedAndItsVarietyWhatNoLibraryKnows() throws Exception {
        String packet = "{\"crop\":\"french-bean\",\"variety\":\"Low Marble\"%s}";
        call(HttpMethod.POST, "/api/packets", packet.formatted(",\"grams\":30,\"coated\":true"))
                .andExpect(jsonPath("$.errors[0].field").value("seeds"));
        call(HttpMethod.POST, "/api/packets", packet.formatted(",\"seeds\":90,\"maturityDays\":55"))
                .andExpect(jsonPath("$.errors[0].field").value("maturityFrom"));
        call(
                        HttpMethod.POST,
                        "/api/packets",
                        packet.formatted(",\"seeds\":90,\"maturityDays\":0,\"maturityFrom\":\"SOWING\""))
                .andExpect(jsonPath("$.errors[0].field").value("maturityDays"));
        call(
                        HttpMethod.POST,
                        "/api/packets",
                        packet.formatted(
                                ",\"seeds\":90,\"code\":\"LM1\",\"belowStandard\":true,\"hybrid\":true,\"coated\":true,\"ownSaved\":true,"
                                        + "\"sowBy\":2020,\"maturityDays\":55,\"maturityFrom\":\"SOWING\""))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.germinationReckoned").value(0.6))
                .andExpect(jsonPath("$.cautions", contains("PAST_ITS_YEAR", "SAVED_FROM_HYBRID", "COATED")));
        Variety variety = crops.varieties().stream()
                .filter(each -> each.name().equals("Low Marble"))
                .findFirst()
                .orElseThrow();
        long lot = JsonPath.<List<Integer>>read(text("/api/choices"), "$.lots[?(@.code == 'LM1')].id")
                .get(0);
        Crop beans = crops.crop(variety.crop());
        Crop these = crops.cropOf(new Descent(variety.crop(), variety.id(), lot));
        assertThat(these.outdoors().maturityDays())
                .isEqualTo(new Maturity(55, Maturity.From.SOWING).fromPlanting(beans))
                .isNotEqualTo(beans.outdoors().maturityDays());
        assertThat(these.seed().soakHours()).isZero();
        // A second packet that says nothing of it leaves what is known of the variety.
        call(HttpMethod.POST, "/api/packets", packet.formatted(",\"seeds\":20")).andExpect(status().isOk());
        assertThat(crops.variety(variety.id()).hybrid()).isTrue();
        assertThat(crops.variety(variety.id()).maturity()).contains(new Maturity(55, Maturity.From.SOWING));
    }

    @Test
    @Order(11)
    void whatIsGrownIsPickedFromTheLibraryAndKeptInItsHistory() throws Exception {
        String library = text("/api/grown");
        List<String> all = JsonPath.read(library, "$.crops[*].code");
        List<String> containers = JsonPath.read(library, "$.containers[*].code");
        assertThat(JsonPath.<List<String>>read(library, "$.sets[*].crops[*]"))
                .isNotEmpty()
                .allMatch(all::contains);
        assertThat(JsonPath.<List<String>>read(library, "$.sets[*].containers[*]"))
                .isNotEmpty()
                .allMatch(containers::contains);
        call(HttpMethod.PUT, "/api/grown", "{\"crops\":[\"leek\",\"zorb\"],\"containers\":[\"module-60\"]}")
                .andExpect(jsonPath("$.errors[0].field").value("crops"));
        call(HttpMethod.PUT, "/api/grown", "{\"crops\":[],\"containers\":[\"module-60\"]}")
                .andExpect(status().isUnprocessableContent());
        call(HttpMethod.GET, "/api/choices", "").andExpect(jsonPath("$.crops", hasSize(all.size())));
        call(HttpMethod.PUT, "/api/grown", "{\"crops\":[\"leek\",\"curly-kale\"],\"containers\":[\"module-60\"]}")
                .andExpect(status().isOk());
        call(HttpMethod.GET, "/api/choices", "")
                .andExpect(jsonPath("$.crops", hasSize(2)))
                .andExpect(jsonPath("$.containers", hasSize(1)));
        call(HttpMethod.GET, "/api/sheets/containers/changes", "")
                .andExpect(jsonPath("$", hasSize(containers.size() - 1)));
        call(
                        HttpMethod.PUT,
                        "/api/grown",
                        "{\"crops\":[\"%s\"],\"containers\":[\"%s\"]}"
                                .formatted(String.join("\",\"", all), String.join("\",\"", containers)))
                .andExpect(status().isOk());
        call(HttpMethod.GET, "/api/choices", "").andExpect(jsonPath("$.crops", hasSize(all.size())));
    }

    @Test
    @Order(12)
    void whatWasToldOfOneHalfOfTheEarthIsNotBelievedOfTheOther() throws Exception {
        call(HttpMethod.PUT, "/api/weather/position", """
                        {"latitude":61,"altitude":120,"timeZone":"Europe/Helsinki"}""").andExpect(status().isOk());
        call(HttpMethod.GET, "/api/weather/climate", "")
                .andExpect(jsonPath("$.guessed").value(true))
                .andExpect(jsonPath("$.northern").value(true));
        call(HttpMethod.PUT, "/api/weather/position", """
                        {"latitude":70,"altitude":120,"timeZone":"nowhere"}""")
                .andExpect(jsonPath("$.errors[0].field").value("timeZone"));
        // The polar night: a round and a climate all the same.
        call(HttpMethod.PUT, "/api/weather/position", """
                        {"latitude":78,"altitude":5}""").andExpect(status().isOk());
        call(HttpMethod.GET, "/api/weather/climate", "").andExpect(status().isOk());
        call(HttpMethod.GET, "/api/round", "").andExpect(status().isOk());
    }

    @Test
    @Order(90)
    void aStationSendsItsDaysAndNobodyEstimatesThemAnyMore() throws Exception {
        LocalDate today = clock.today();
        LocalDate over = today.minusDays(2);
        String station = token("Mast", "STATION");
        String hours = IntStream.range(0, 24)
                .mapToObj(hour -> "%sT%02d:00,%s".formatted(over, hour, hour == 5 ? "-3,4" : hour == 15 ? "8,1" : "2"))
                .map(row -> row.replaceFirst(",(.*)", ",\"$1\""))
                .collect(Collectors.joining("\n"));
        send(station, "/api/readings", "text/csv", "at,celsius\n" + hours)
                .andExpect(jsonPath("$.taken").value(24))
                .andExpect(jsonPath("$.refused", hasSize(0)));
        send(station, "/api/readings", "text/csv", "at,celsius\n" + hours)
                .andExpect(jsonPath("$.taken").value(0))
                .andExpect(jsonPath("$.known").value(24));
        call(HttpMethod.GET, "/api/weather", "")
                .andExpect(jsonPath("$.daysFromDevices").value(1))
                .andExpect(jsonPath("$.now.celsius").value(2.0))
                .andExpect(jsonPath("$.lately[?(@.day == '%s')].minimum".formatted(over))
                        .value(-3.4))
                .andExpect(jsonPath("$.lately[?(@.day == '%s')].maximum".formatted(over))
                        .value(8.1))
                .andExpect(jsonPath("$.lately[?(@.day == '%s')].estimated".formatted(over))
                        .value(false));
        send(station, "/api/readings", "application/json", """
                        {"readings":[
                          {"day":"%s","minimum":-6,"maximum":1.5},
                          {"day":"%s","minimum":1,"maximum":9},
                          {"day":"%s","minimum":9,"maximum":1},
                          {"day":"1999-01-01","minimum":1,"maximum":9},
                          {"day":"the ides","minimum":1,"maximum":9},
                          {"day":"%s","minimum":1,"maximum":75},
                          {"day":"%s","maximum":7}]}""".formatted(today.minusDays(3), today, over, over, over))
                .andExpect(jsonPath("$.taken").value(1))
                .andExpect(jsonPath("$.refused[0].why", containsString("not over yet")))
                .andExpect(jsonPath("$.refused[1].why", containsString("highest is below the lowest")))
                .andExpect(jsonPath("$.refused[2].why", containsString("days back")))
                .andExpect(jsonPath("$.refused[3].why", containsString("is no day")))
                .andExpect(jsonPath("$.refused[4].why", containsString("not between -60 and 60")))
                .andExpect(jsonPath("$.refused[5].why", containsString("no minimum")));
        // What somebody read in from a file and looked over stays.
        readIn(today.minusDays(1) + ",2,12");
        send(station, "/api/readings", "text/csv", "day,minimum,maximum\n" + today.minusDays(1) + ",-20,-10")
                .andExpect(jsonPath("$.taken").value(0));
        call(HttpMethod.GET, "/api/weather", "")
                .andExpect(jsonPath("$.daysFromDevices").value(2))
                .andExpect(jsonPath("$.lately[?(@.day == '%s')].minimum".formatted(today.minusDays(3)))
                        .value(-6.0));
    }

    @Test
    @Order(91)
    void whatADeviceFeedsIsSetUpAndHeldTo() throws Exception {
        String forecast = token("Forecaster", "FORECAST");
        send(forecast, "/api/readings", "application/json", "{\"at\":\"2027-04-15T06:30\",\"celsius\":4}")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.detail", containsString("is for a forecast")));
        String station = token("Mast on the roof", "STATION");
        send(
                        station,
                        "/api/forecast",
                        "application/json",
                        "{\"days\":[{\"day\":\"2027-04-15\",\"minimum\":4,\"maximum\":9}]}")
                .andExpect(status().isUnprocessableContent());
        call(HttpMethod.POST, "/api/devices", "{\"name\":\"Nowhere\",\"feeds\":\"PLACE\"}")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("placeId"));
        call(HttpMethod.POST, "/api/devices", "{\"name\":\"Oracle\",\"feeds\":\"STARS\"}")
                .andExpect(status().isUnprocessableContent());
        call(HttpMethod.POST, "/api/devices", "{\"name\":\"Nothing\"}").andExpect(status().isUnprocessableContent());
        // It told of yesterday, which ended at midnight; of what reads by the hour four hours of silence say nothing.
        boolean hourOfMidnight = !clock.now().isAfter(clock.today().atTime(4, 0));
        call(HttpMethod.GET, "/api/devices", "")
                .andExpect(jsonPath("$.simulatedStation").value(false))
                .andExpect(jsonPath("$.devices[?(@.name == 'Forecaster')].sign").value("AWAITED"))
                .andExpect(jsonPath("$.devices[?(@.name == 'Mast')].sign").value(hourOfMidnight ? "LATELY" : "SILENT"))
                .andExpect(jsonPath("$.devices[?(@.name == 'Mast')].celsius").value(2.0));
    }
}
