package kiver.server.kept;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.ArrayList;
import java.util.List;
import kiver.server.kept.RevisionMapper.SettingMark;
import org.junit.jupiter.api.Test;

/** What another instance has changed is forgotten here, and nothing else. */
class RevisionsTest {

    private final RevisionMapper mapper = mock();
    private final Revisions revisions = new Revisions(mapper);
    private final List<String> forgotten = new ArrayList<>();

    @Test
    void onlyWhatWasChangedIsForgottenAndOnlyOnce() {
        for (String what : List.of("place", "nursery", "weather")) {
            revisions.whenChanged(what, () -> forgotten.add(what));
        }
        marks(new SettingMark("place", "3/3"), new SettingMark("nursery", "4/1"));
        revisions.afterSingletonsInstantiated();
        forgotten.clear();
        revisions.catchUp();
        assertThat(forgotten).isEmpty();
        marks(new SettingMark("place", "5/4"), new SettingMark("nursery", "4/1"));
        revisions.catchUp();
        revisions.catchUp();
        assertThat(forgotten).containsExactly("place");
        marks(new SettingMark("place", "5/4"), new SettingMark("nursery", "4/1"), new SettingMark("weather", "6/1"));
        revisions.catchUp();
        assertThat(forgotten).containsExactly("place", "weather");
    }

    /** A transaction that began earlier may end later: the newest row stays, and there is one more of them. */
    @Test
    void aChangeThatIsSeenLateIsSeen() {
        revisions.whenChanged("place", () -> forgotten.add("place"));
        marks(new SettingMark("place", "9/3"));
        revisions.afterSingletonsInstantiated();
        forgotten.clear();
        marks(new SettingMark("place", "9/4"));
        revisions.catchUp();
        assertThat(forgotten).containsExactly("place");
    }

    private void marks(SettingMark... marks) {
        when(mapper.settingMarks()).thenReturn(List.of(marks));
    }
}
