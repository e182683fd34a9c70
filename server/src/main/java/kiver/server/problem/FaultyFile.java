package kiver.server.problem;

import java.util.List;
import kiver.server.wording.Said;

/** A file holds faults; all of them are listed, each with its line, and nothing of the file is used. */
public final class FaultyFile extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient List<FieldProblem> problems;

    /** With at least one fault. */
    public FaultyFile(List<FieldProblem> problems) {
        super(problems.toString());
        this.problems = List.copyOf(problems);
    }

    /** What is wrong in a line of the file, or in the file as a whole where the line is 0. */
    public static Said atLine(long line, Said problem) {
        return line == 0
                ? problem
                : Said.of("Line {line}: {problem}").with("line", line).with("problem", problem);
    }

    /** What is wrong, in the order of the file. */
    public List<FieldProblem> problems() {
        return problems;
    }
}
