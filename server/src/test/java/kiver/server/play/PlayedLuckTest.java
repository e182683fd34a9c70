package kiver.server.play;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import kiver.core.batch.BatchChange;
import kiver.core.batch.BatchState;
import kiver.core.batch.LossReason;
import kiver.core.crop.Hardiness;
import kiver.core.harden.NightOut;
import kiver.core.outlook.BatchFile;
import kiver.core.outlook.BatchOutlook;
import kiver.core.place.PlaceId;
import kiver.core.seed.LotId;
import kiver.core.tray.CellRun;
import kiver.core.tray.TrayId;
import kiver.server.batch.RecordingService;
import kiver.server.clock.NurseryClock;
import kiver.server.growth.SeasonService;
import kiver.server.outlook.EveningBook;
import kiver.server.seed.SeedLot;
import kiver.server.space.BatchOutlooks;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;

/** What becomes of plants where a season is played is drawn from what is believed, and a cold night takes what stands out. */
class PlayedLuckTest {

    private static final LocalDate MORNING = LocalDate.of(2027, 5, 3);
    private static final TrayId TRAY = new TrayId(7);

    /** A thousand cells sown, in each of which one is up. */
    private static final BatchState STANDING = BatchState.after(List.of())
            .after(
                    MORNING.minusDays(20),
                    new BatchChange.Sown(new CellRun(TRAY, 1, 1000), 1, new LotId(1), "Fine mix", new PlaceId(1)))
            .after(
                    MORNING.minusDays(5),
                    new BatchChange.Counted(
                            TRAY,
                            IntStream.rangeClosed(1, 1000).boxed().collect(Collectors.toMap(cell -> cell, cell -> 1)),
                            true));

    private final NurseryClock clock = mock(NurseryClock.class);
    private final PlayLuck luck = new PlayLuck(41, clock);
    private final EveningBook evenings = mock(EveningBook.class);
    private final RecordingService recording = mock(RecordingService.class);
    private final BatchOutlooks batches = mock(BatchOutlooks.class);

    @BeforeEach
    void onThatMorning() {
        when(clock.today()).thenReturn(MORNING);
    }

    private static SeedLot lot(long number) {
        return new SeedLot(new LotId(number), "L" + number, 1, "Seed house", 0.8, 50, MORNING, 1000, 1000);
    }

    @Test
    void lotsComeUpAsTheirLabelsSayOnAverageAndEachAlwaysTheSame() {
        double[] drawn = LongStream.range(1, 2000)
                .mapToDouble(number -> luck.germination(lot(number)))
                .toArray();
        double mean = Arrays.stream(drawn).average().orElseThrow();
        assertThat(mean).isCloseTo(0.8, within(0.02));
        assertThat(Arrays.stream(drawn).allMatch(share -> share >= 0 && share <= 1))
                .isTrue();
        assertThat(luck.germination(lot(5))).isEqualTo(luck.germination(lot(5)));
        assertThat(new PlayLuck(42, clock).germination(lot(5))).isNotEqualTo(luck.germination(lot(5)));
    }

    @Test
    void aNightTakesItsShareOfWhatStoodOut() {
        nights(-9).takeTheirs();
        ArgumentCaptor<List<BatchChange>> losses = ArgumentCaptor.captor();
        verify(recording).record(any(), eq(201), eq(MORNING), losses.capture(), any());
        BatchChange.Lost lost = (BatchChange.Lost) losses.getValue().get(0);
        assertThat(lost.reason()).isEqualTo(LossReason.FROST);
        double share = new NightOut(Hardiness.TENDER, false, -9).likelyLoss();
        assertThat(lost.cells().size() / 1000.0).isCloseTo(share, within(0.05));
    }

    @Test
    void itTakesNothingOfWhatWasCoveredNorInAMildNight() {
        when(evenings.safeOn(MORNING.minusDays(1))).thenReturn(Set.of(201));
        nights(-9).takeTheirs();
        when(evenings.safeOn(MORNING.minusDays(1))).thenReturn(Set.of());
        nights(15).takeTheirs();
        verify(recording, never()).record(any(), anyInt(), any(), any(), any());
    }

    private PlayedNights nights(double minimum) {
        BatchFile file = mock(BatchFile.class);
        when(file.state()).thenReturn(STANDING);
        BatchOutlook batch = mock(BatchOutlook.class);
        when(batch.number()).thenReturn(201);
        when(batch.night(any(), eq(MORNING))).thenReturn(Optional.of(new NightOut(Hardiness.TENDER, false, minimum)));
        when(batch.file()).thenReturn(file);
        when(batches.all()).thenReturn(List.of(batch));
        return new PlayedNights(evenings, batches, mock(SeasonService.class), recording, luck, clock);
    }
}
