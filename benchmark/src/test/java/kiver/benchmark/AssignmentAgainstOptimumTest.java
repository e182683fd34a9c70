package kiver.benchmark;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.ortools.Loader;
import com.google.ortools.sat.BoolVar;
import com.google.ortools.sat.CpModel;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverStatus;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.LinearExpr;
import com.google.ortools.sat.LinearExprBuilder;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import kiver.core.place.Place;
import kiver.core.place.PlaceId;
import kiver.core.space.Assigner;
import kiver.core.space.Assignment;
import kiver.core.space.Candidate;
import kiver.core.space.Stay;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Small seasons placed by Kiver and, to a proven optimum, by a general constraint solver. */
class AssignmentAgainstOptimumTest {

    /** Costs come in tenths and room in half trays; both are whole numbers to the solver. */
    private static final int COST_SCALE = 20;

    private static final int ROOM_SCALE = 2;
    private static final double MINUTES = 2;

    @BeforeAll
    static void loadSolver() {
        Loader.loadNativeLibraries();
    }

    @ParameterizedTest
    @CsvSource({
        "20, 6, 120, 0.6, 1",
        "20, 6, 120, 0.8, 2",
        "24, 6, 140, 0.6, 3",
        "24, 9, 140, 0.7, 4",
        "30, 9, 160, 0.6, 5",
        "30, 9, 160, 0.7, 6"
    })
    void isWithinTwoPercentOfTheProvenOptimum(int batches, int places, int days, double tightness, long seed) {
        MadeUpSeason season = MadeUpSeason.of(batches, places, days, tightness, seed);
        Assignment found =
                Assigner.assign(season.places(), season.batches(), new SplittableRandom(1), share -> {}, () -> false);
        double optimum = optimum(season);
        System.out.printf(
                "%d batches, %d places: found %.1f, optimum %.1f, %.2f %% above; bound %.1f%n",
                batches, places, found.total(), optimum, 100 * (found.total() / optimum - 1), found.bound());
        assertThat(found.total()).isGreaterThanOrEqualTo(optimum - 1e-6);
        assertThat(found.total()).isLessThanOrEqualTo(1.02 * optimum + 1e-6);
        assertThat(found.bound()).as("a bound never lies above the optimum").isLessThanOrEqualTo(optimum + 1e-6);
    }

    private static double optimum(MadeUpSeason season) {
        CpModel model = new CpModel();
        LinearExprBuilder cost = LinearExpr.newBuilder();
        Map<PlaceId, Map<LocalDate, LinearExprBuilder>> used = new HashMap<>();
        for (var batch : season.batches()) {
            List<BoolVar> choices = new ArrayList<>();
            for (Candidate candidate : batch.candidates()) {
                BoolVar chosen = model.newBoolVar("");
                choices.add(chosen);
                cost.addTerm(chosen, Math.round(candidate.cost() * COST_SCALE));
                for (Stay stay : candidate.stays()) {
                    stay.from()
                            .datesUntil(stay.until())
                            .forEach(day -> used.computeIfAbsent(stay.place(), place -> new HashMap<>())
                                    .computeIfAbsent(day, each -> LinearExpr.newBuilder())
                                    .addTerm(chosen, Math.round(stay.slots() * ROOM_SCALE)));
                }
            }
            model.addExactlyOne(choices.toArray(BoolVar[]::new));
        }
        for (Place place : season.places()) {
            used.getOrDefault(place.id(), Map.of()).values().forEach(load -> {
                IntVar over = model.newIntVar(0, 100_000, "");
                load.addTerm(over, -1);
                model.addLessOrEqual(load, (long) place.slots() * ROOM_SCALE);
                cost.addTerm(over, Math.round(Assignment.OVERFLOW_COST * COST_SCALE / ROOM_SCALE));
            });
        }
        model.minimize(cost);
        CpSolver solver = new CpSolver();
        solver.getParameters().setMaxTimeInSeconds(60 * MINUTES).setNumWorkers(2);
        assertThat(solver.solve(model)).as("the solver proves its optimum").isEqualTo(CpSolverStatus.OPTIMAL);
        return solver.objectiveValue() / COST_SCALE;
    }
}
