package kiver.core.release;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import kiver.core.order.LineId;
import kiver.core.release.Sharing.Claim;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class SharingTest {

    private static final LocalDate FEBRUARY = LocalDate.of(2027, 2, 1);
    private static final LocalDate MARCH = LocalDate.of(2027, 3, 1);

    private static Claim claim(long line, int plants, LocalDate promisedOn) {
        return new Claim(new LineId(line), plants, promisedOn);
    }

    @Test
    void whoWasPromisedFirstGetsTheirsFirst() {
        assertThat(Sharing.DATE_PROMISED.share(
                        100, List.of(claim(1, 80, MARCH), claim(2, 60, FEBRUARY), claim(3, 20, MARCH))))
                .containsExactly(
                        Map.entry(new LineId(1), 32), Map.entry(new LineId(2), 60), Map.entry(new LineId(3), 8));
    }

    @Test
    void inProportionAllAreShortAlike() {
        assertThat(Sharing.PROPORTION.share(
                        80, List.of(claim(1, 80, MARCH), claim(2, 60, FEBRUARY), claim(3, 20, MARCH))))
                .containsExactly(
                        Map.entry(new LineId(1), 40), Map.entry(new LineId(2), 30), Map.entry(new LineId(3), 10));
    }

    @Test
    void thereIsEnoughOrNothing() {
        List<Claim> claims = List.of(claim(1, 80, MARCH), claim(2, 60, FEBRUARY));
        assertThat(Sharing.PROPORTION.share(500, claims).values()).containsExactly(80, 60);
        assertThat(Sharing.DATE_PROMISED.share(0, claims).values()).containsExactly(0, 0);
        assertThat(Sharing.PROPORTION.share(5, List.of())).isEmpty();
    }

    @RepeatedTest(50)
    void nothingIsLeftOverAndNobodyGetsTooMuch(RepetitionInfo repetition) {
        Random random = new Random(repetition.getCurrentRepetition());
        List<Claim> claims = new ArrayList<>();
        for (int line = 1; line <= 1 + random.nextInt(8); line++) {
            claims.add(claim(line, 1 + random.nextInt(200), FEBRUARY.plusDays(random.nextInt(3))));
        }
        int wanted = claims.stream().mapToInt(Claim::plants).sum();
        int available = random.nextInt(wanted + 50);
        for (Sharing rule : Sharing.values()) {
            Map<LineId, Integer> shares = rule.share(available, claims);
            assertThat(shares.values().stream().mapToInt(Integer::intValue).sum())
                    .isEqualTo(Math.min(available, wanted));
            claims.forEach(each -> assertThat(shares.get(each.line())).isBetween(0, each.plants()));
            if (rule == Sharing.PROPORTION) {
                claims.forEach(each -> assertThat((double) shares.get(each.line()))
                        .isBetween(
                                Math.floor(Math.min(available, wanted) * (double) each.plants() / wanted),
                                Math.ceil(Math.min(available, wanted) * (double) each.plants() / wanted)));
            }
        }
    }
}
