package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.endsWith;
import static org.hamcrest.Matchers.greaterThan;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.asyncDispatch;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.request;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.MvcResult;

/** Copies as the propagator sees and makes them. */
@ServerTest
class SafekeepingTest {

    @Autowired
    MockMvc http;

    @Autowired
    SmallNursery nursery;

    private static Path folder;

    @DynamicPropertySource
    static void aFolder(DynamicPropertyRegistry properties) throws IOException {
        folder = Files.createTempDirectory("kiver-copies").resolve("copies");
        properties.add("kiver.backups", () -> folder.toString());
    }

    @BeforeEach
    void found() {
        nursery.found();
    }

    @Test
    void onlyThePropagatorSeesAndTakesCopies() throws Exception {
        for (String path : List.of("/api/safekeeping", "/api/safekeeping/everything")) {
            http.perform(get(path).with(user(nursery.hand))).andExpect(status().isForbidden());
            http.perform(get(path).with(user(nursery.grower))).andExpect(status().isForbidden());
            http.perform(get(path)).andExpect(status().isUnauthorized());
        }
        http.perform(post("/api/safekeeping/copies").with(user(nursery.hand)).with(csrf()))
                .andExpect(status().isForbidden());
    }

    @Test
    void aCopyIsMadeAtOnceAndSaidWithItsAge() throws Exception {
        http.perform(post("/api/safekeeping/copies")
                        .with(user(nursery.propagator))
                        .with(csrf()))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.folder", endsWith("copies")))
                .andExpect(jsonPath("$.copies", hasSize(1)))
                .andExpect(jsonPath("$.copies[0].reason").value("BY_HAND"))
                .andExpect(jsonPath("$.copies[0].bytes", greaterThan(20_000)))
                .andExpect(jsonPath("$.hoursOld").value(0))
                .andExpect(jsonPath("$.old").value(false))
                .andExpect(jsonPath("$.trouble").doesNotExist());
        try (var files = Files.list(folder)) {
            assertThat(files.map(file -> file.getFileName().toString()))
                    .singleElement()
                    .asString()
                    .startsWith("kiver-by-hand-");
        }
    }

    @Test
    void whatCannotBeWrittenIsSaid() throws Exception {
        Path parent = folder.getParent();
        Path aside = parent.resolve("aside");
        if (Files.exists(folder)) {
            Files.move(folder, aside);
        }
        Files.writeString(folder, "in the way");
        try {
            http.perform(post("/api/safekeeping/copies")
                            .with(user(nursery.propagator))
                            .with(csrf()))
                    .andExpect(status().isUnprocessableContent())
                    .andExpect(jsonPath("$.errors[0].field").value("folder"));
            http.perform(get("/api/safekeeping").with(user(nursery.propagator)))
                    .andExpect(jsonPath("$.trouble").isNotEmpty());
        } finally {
            Files.delete(folder);
            if (Files.exists(aside)) {
                Files.move(aside, folder);
            }
        }
    }

    @Test
    void everythingGoesOutAsAPackage() throws Exception {
        MvcResult begun = http.perform(get("/api/safekeeping/everything").with(user(nursery.propagator)))
                .andExpect(request().asyncStarted())
                .andReturn();
        byte[] zip = http.perform(asyncDispatch(begun))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        List<String> names = new ArrayList<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                names.add(entry.getName());
            }
        }
        assertThat(names)
                .startsWith("datapackage.json")
                .contains("data/batch_change.csv", "data/seed_lot.csv", "data/photograph.csv")
                .noneMatch(name -> name.contains("spring_session"));
    }
}
