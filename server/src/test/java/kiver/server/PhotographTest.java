package kiver.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.jayway.jsonpath.JsonPath;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.UUID;
import javax.imageio.ImageIO;
import kiver.server.account.Person;
import kiver.server.batch.BatchBook;
import kiver.server.tray.TrayBook;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;

/** A tray is photographed: the count is proposed, kept small, thrown away; what is no tray is told. */
@ServerTest
class PhotographTest {

    private static final String WHOLE = "0,0,1,0,1,1,0,1";

    @Autowired
    SmallNursery nursery;

    @Autowired
    BatchBook batches;

    @Autowired
    TrayBook trays;

    @Autowired
    MockMvc http;

    private int tray;

    @BeforeEach
    void found() throws Exception {
        nursery.found();
        if (batches.files().isEmpty()) {
            nursery.order(20);
        }
        tray = trays.tray(batches.files().get(0).runs().get(0).tray()).number();
    }

    /** A module tray of 60 with a green patch in every third cell. */
    private static byte[] photograph(String format) throws IOException {
        BufferedImage image = new BufferedImage(400, 240, BufferedImage.TYPE_INT_RGB);
        Graphics2D drawn = image.createGraphics();
        drawn.setColor(new Color(70, 52, 40));
        drawn.fillRect(0, 0, 400, 240);
        drawn.setColor(new Color(90, 150, 60));
        for (int cell = 0; cell < 60; cell += 3) {
            drawn.fillOval(cell % 10 * 40 + 10, cell / 10 * 40 + 12, 18, 14);
        }
        drawn.dispose();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(image, format, bytes);
        return bytes.toByteArray();
    }

    private ResultActions send(Person person, int number, String query, byte[] bytes) throws Exception {
        return http.perform(MockMvcRequestBuilders.post("/api/trays/" + number + "/photographs/file?" + query)
                .with(user(person))
                .with(csrf())
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .content(bytes));
    }

    @Test
    void itsCountIsProposedAndNothingIsRecorded() throws Exception {
        int emergedBefore = batches.files().get(0).state().emerged();
        for (String format : List.of("jpg", "png")) {
            send(nursery.hand, tray, "corners=" + WHOLE, photograph(format))
                    .andExpect(status().isOk())
                    .andExpect(jsonPath("$.cells", hasSize(60)))
                    .andExpect(jsonPath("$.up").value(20))
                    .andExpect(jsonPath("$.cells[0].up").value(true))
                    .andExpect(jsonPath("$.cells[1].up").value(false));
        }
        assertThat(batches.files().get(0).state().emerged()).isEqualTo(emergedBefore);
        nursery.get(nursery.hand, "/api/trays/" + tray + "/photographs").andExpect(jsonPath("$", hasSize(0)));
    }

    @Test
    void itIsKeptSmallOnceAndThrownAway() throws Exception {
        String keep = "corners=" + WHOLE + "&keep=" + UUID.randomUUID();
        send(nursery.hand, tray, keep, photograph("jpg")).andExpect(status().isOk());
        send(nursery.hand, tray, keep, photograph("jpg")).andExpect(status().isOk());
        String of = "/api/trays/" + tray + "/photographs";
        String list = nursery.get(nursery.hand, of)
                .andExpect(jsonPath("$", hasSize(1)))
                .andReturn()
                .getResponse()
                .getContentAsString();
        int id = JsonPath.read(list, "$[0].id");
        nursery.get(nursery.hand, of + "/" + id + ".jpg")
                .andExpect(status().isOk())
                .andExpect(content().contentType(MediaType.IMAGE_JPEG));
        nursery.get(nursery.grower, of + "/" + id + ".jpg").andExpect(status().isForbidden());
        nursery.get(nursery.hand, "/api/trays/4711/photographs").andExpect(status().isNotFound());
        for (int expected : List.of(200, 404)) {
            http.perform(MockMvcRequestBuilders.delete(of + "/" + id)
                            .with(user(nursery.hand))
                            .with(csrf()))
                    .andExpect(status().is(expected));
        }
        nursery.get(nursery.hand, of + "/" + id + ".jpg").andExpect(status().isNotFound());
    }

    @Test
    void whatIsNoTrayIsTold() throws Exception {
        send(nursery.hand, tray, "corners=" + WHOLE, "a cat".getBytes(StandardCharsets.UTF_8))
                .andExpect(jsonPath("$.errors[0].message", containsString("JPEG or PNG")));
        send(nursery.hand, tray, "corners=" + WHOLE, Arrays.copyOf(photograph("png"), 200))
                .andExpect(jsonPath("$.errors[0].message", containsString("broken")));
        send(nursery.hand, tray, "corners=0,0,1,1,1,0,0,1", photograph("png"))
                .andExpect(jsonPath("$.errors[0].message", containsString("no tray")));
        send(nursery.hand, tray, "corners=0,0,0.1,0,0.1,0.1,0,0.1", photograph("png"))
                .andExpect(jsonPath("$.errors[0].message", containsString("too small")));
        send(nursery.hand, tray, "corners=0,0,1,0", photograph("png")).andExpect(status().isUnprocessableContent());
        send(nursery.hand, tray, "corners=0,0,1,0,1,1,0,7", photograph("png"))
                .andExpect(status().isUnprocessableContent());
        send(nursery.hand, tray, "corners=here", photograph("png")).andExpect(status().is4xxClientError());
        send(nursery.hand, 4711, "corners=" + WHOLE, photograph("png")).andExpect(status().isNotFound());
        send(nursery.grower, tray, "corners=" + WHOLE, photograph("png")).andExpect(status().isForbidden());
    }

    /** Noise is what JPEG makes least of. */
    @Test
    void oneOnWhichMuchIsToBeSeenIsKeptSmallerStill() throws Exception {
        BufferedImage noise = new BufferedImage(1000, 2400, BufferedImage.TYPE_INT_RGB);
        SplittableRandom random = new SplittableRandom(5);
        for (int y = 0; y < noise.getHeight(); y++) {
            for (int x = 0; x < noise.getWidth(); x++) {
                noise.setRGB(x, y, random.nextInt(0x1000000));
            }
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(noise, "jpg", bytes);
        send(nursery.hand, tray, "corners=" + WHOLE + "&keep=" + UUID.randomUUID(), bytes.toByteArray())
                .andExpect(status().isOk());
    }
}
