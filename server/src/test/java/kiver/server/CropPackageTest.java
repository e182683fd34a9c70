package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import kiver.core.crop.CropCode;
import kiver.server.crop.LibraryBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;

/** Crop figures go out as an open package and come in from another nursery, looked at before anything is taken. */
@ServerTest
class CropPackageTest {

    private static final CropCode KALE = new CropCode("curly-kale");

    @Autowired
    SmallNursery nursery;

    @Autowired
    LibraryBook library;

    @BeforeEach
    void found() {
        nursery.found();
    }

    private byte[] given() throws Exception {
        return nursery.get(nursery.propagator, "/api/data-package")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
    }

    private static Map<String, String> files(byte[] zipped) throws IOException {
        Map<String, String> files = new LinkedHashMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(zipped))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        return files;
    }

    private static byte[] with(byte[] zipped, String file, UnaryOperator<String> change) throws IOException {
        Map<String, String> files = files(zipped);
        files.computeIfPresent(file, (name, text) -> change.apply(text));
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, String> entry : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(entry.getKey()));
                zip.write(entry.getValue().getBytes(StandardCharsets.UTF_8));
                zip.closeEntry();
            }
        }
        return bytes.toByteArray();
    }

    private ResultActions send(String path, byte[] bytes) throws Exception {
        return nursery.file(nursery.propagator, path, bytes);
    }

    @Test
    void whatGoesOutIsAnOpenPackageThatComesInAgain() throws Exception {
        byte[] zipped = given();
        Map<String, String> files = files(zipped);
        assertThat(files).containsOnlyKeys("datapackage.json", "crops.csv", "evidence.csv");
        String descriptor = files.get("datapackage.json");
        assertThat(JsonPath.<String>read(descriptor, "$.profile")).isEqualTo("tabular-data-package");
        assertThat(JsonPath.<List<String>>read(descriptor, "$.resources[*].path"))
                .containsExactly("crops.csv", "evidence.csv");
        List<String> named = JsonPath.read(descriptor, "$.resources[0].schema.fields[*].name");
        assertThat(String.join(",", named))
                .isEqualTo(files.get("crops.csv").lines().findFirst().orElseThrow());
        assertThat(files.values().toString())
                .doesNotContain(nursery.hand.name())
                .doesNotContain("One");
        int crops = library.library().crops().size();
        send("/api/data-package/preview", zipped)
                .andExpect(jsonPath("$.crops", hasSize(crops)))
                .andExpect(jsonPath("$.crops[?(@.beside!='SAME')]", hasSize(0)));
    }

    @Test
    void anothersFiguresAreSeenBesideOursAndTakenWithWhatTheirBatchesTold() throws Exception {
        double days = library.library().crop(KALE).orElseThrow().emergence().daysAtBest();
        byte[] theirs = with(
                with(
                        given(),
                        "crops.csv",
                        text -> text.replaceAll("(?m)^curly-kale,[^,]*,", "curly-kale,Valley kale,")),
                "evidence.csv",
                text -> "crop,stage,batch,times,deviation\n" + "curly-kale,emergence,1,1.3,0.08\n".repeat(9));
        send("/api/data-package/preview", theirs)
                .andExpect(jsonPath("$.crops[?(@.code=='curly-kale')].beside").value("OTHERWISE"))
                .andExpect(jsonPath("$.crops[?(@.code=='curly-kale')].figures[*].theirs")
                        .value("Valley kale"))
                .andExpect(jsonPath("$.crops[?(@.code=='curly-kale')].lessons[*].batches")
                        .value(9));
        assertThat(library.library().crop(KALE).orElseThrow().name()).isNotEqualTo("Valley kale");
        send("/api/data-package?crop=curly-kale&crop=moon-bean", theirs)
                .andExpect(jsonPath("$.errors[0].field").value("crop"));
        assertThat(library.library().crop(KALE).orElseThrow().name())
                .as("nothing half-taken")
                .isNotEqualTo("Valley kale");
        send("/api/data-package?crop=curly-kale&withLessons=true", theirs)
                .andExpect(jsonPath("$.crops").value(1));
        assertThat(library.library().crop(KALE).orElseThrow().name()).isEqualTo("Valley kale");
        assertThat(library.library().crop(KALE).orElseThrow().emergence().daysAtBest() / days)
                .isCloseTo(1.2, within(0.05));
    }

    @Test
    void whatIsNoPackageIsRefusedWithTheReason() throws Exception {
        byte[] good = given();
        refused("no zip at all".getBytes(StandardCharsets.UTF_8), "cannot be unpacked");
        refused(with(good, "datapackage.json", text -> "{"), "cannot be read");
        refused(with(good, "datapackage.json", text -> "{}"), "no crops");
        refused(with(good, "datapackage.json", text -> text.replace("crops.csv", "../../etc/passwd")), "not in it");
        refused(with(good, "crops.csv", text -> text.replaceFirst("\n([a-z-]+),", "\n$1,") + "half,a row\n"), "ine ");
        refused(with(good, "evidence.csv", text -> "crop,stage,batch,times,deviation\nkale,leaves,1,-4,0.1\n"), "-4");
        refused(with(good, "crops.csv", text -> "x".repeat(8_100_000)), "too large");
        byte[] oddly = with(good, "crops.csv", text -> text.replaceAll("(?m)^curly-kale,", "<b>kale,"));
        send("/api/data-package?crop=<b>kale", oddly)
                .andExpect(jsonPath("$.errors[0].field").value("code"));
        nursery.get(nursery.hand, "/api/data-package").andExpect(status().isForbidden());
        nursery.get(nursery.grower, "/api/data-package").andExpect(status().isForbidden());
    }

    private void refused(byte[] bytes, String why) throws Exception {
        send("/api/data-package/preview", bytes)
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.errors[0].message", containsString(why)));
    }
}
