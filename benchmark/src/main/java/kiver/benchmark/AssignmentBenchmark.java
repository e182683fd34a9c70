package kiver.benchmark;

import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import kiver.core.space.Assigner;
import kiver.core.space.Assignment;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/** Placing a whole season at once: 5,000 batches of eight candidates each in 60 places over 400 days. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 2, time = 3)
@Measurement(iterations = 5, time = 3)
public class AssignmentBenchmark {

    /** Room against what is asked for: plenty, or hardly enough. */
    @Param({"0.6", "1.0"})
    private double tightness;

    private MadeUpSeason season;
    private Assignment last;

    @Setup
    public void drawSeason() {
        season = MadeUpSeason.of(5_000, 60, 400, tightness, 7);
    }

    @Benchmark
    public Assignment placeAll() {
        last = Assigner.assign(season.places(), season.batches(), new SplittableRandom(1), share -> {}, () -> false);
        return last;
    }

    /** Quality belongs beside time. */
    @TearDown
    public void tellQuality() {
        System.out.printf(
                "at most %.2f %% above the best possible; lack of room %.0f tray-days%n",
                100 * last.gap(), last.overflow());
    }
}
