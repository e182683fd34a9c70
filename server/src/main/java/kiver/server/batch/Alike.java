package kiver.server.batch;

import kiver.core.outlook.BatchFile;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;

/** Whether what was promised of one batch can be given of another. */
final class Alike {

    private Alike() {}

    /**
     * Holds one batch against another.
     *
     * @throws Refusal when they are not alike, plants of one have gone already, or both are for the same line
     */
    static void require(BatchFile one, BatchFile two) {
        int other = two.batch().number();
        refuse(one.batch().number() == other, other, Said.of("a batch cannot be swapped with itself"));
        refuse(!one.batch().variety().equals(two.batch().variety()), other, Said.of("it is of another variety"));
        refuse(!one.batch().container().equals(two.batch().container()), other, Said.of("it is in another container"));
        refuse(!one.batch().stage().equals(two.batch().stage()), other, Said.of("it is grown to another stage"));
        refuse(
                one.batch().aim().countedIn() != two.batch().aim().countedIn(),
                other,
                Said.of("it is counted otherwise"));
        refuse(
                one.plantsReleased() + two.plantsReleased() > 0,
                other,
                Said.of("plants of one of them have gone already"));
        refuse(
                one.promises().stream()
                        .anyMatch(mine -> two.promises().stream()
                                .anyMatch(theirs -> theirs.line().equals(mine.line()))),
                other,
                Said.of("both are for the same line"));
    }

    private static void refuse(boolean different, int other, Said why) {
        if (different) {
            throw new Refusal(
                    "otherBatch",
                    Said.of("Batch {other} cannot be swapped: {why}.")
                            .with("other", other)
                            .with("why", why));
        }
    }
}
