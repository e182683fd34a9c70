package kiver.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import org.junit.jupiter.api.Test;

/** A nursery of one's own begins with its first account. */
class FirstRunTest {

    @Test
    void makesTheFirstAccount() throws IOException, InterruptedException {
        try (Nursery nursery = Nursery.empty("own"); Screen screen = Screen.desk(nursery)) {
            Page page = screen.page();
            page.navigate("/");
            page.getByLabel("Name of the nursery").fill("Hill nursery");
            page.getByLabel("Your name").fill("First Person");
            page.getByLabel("E-mail address").fill("first");
            page.getByLabel("Password").fill("short");
            page.getByRole(AriaRole.BUTTON).click();
            assertThat(page.getByText("This is not an e-mail address.")).isVisible();
            assertThat(page.getByText("Use 10 letters or more.")).isVisible();
            screen.requireAccessible();
            page.getByLabel("E-mail address").fill("first@hill.example");
            page.getByLabel("Password").fill(Nursery.PASSWORD);
            page.getByRole(AriaRole.BUTTON).click();
            screen.signIn("first@hill.example");
            assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("The round"))).isVisible();
            screen.requireAccessible();
        }
    }
}
