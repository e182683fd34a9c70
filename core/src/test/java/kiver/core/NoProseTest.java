package kiver.core;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.tree.NewClassTree;
import com.sun.source.tree.Tree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreePath;
import com.sun.source.util.TreePathScanner;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;

/** Words are put at the edge: the core holds no sentence, save what exceptions tell programmers. */
class NoProseTest {

    private static final Pattern PROSE = Pattern.compile("\\p{L}.* | .*\\p{L}");

    /** Not sentences: what stands in the columns of open sheets, and what a fault in one is logged with. */
    private static final Set<String> OF_SHEETS = Set.of("moved young", ", line ");

    @Test
    void theCoreHoldsNoSentence() throws IOException {
        assertThat(sentencesIn(Path.of("src/main/java"))).isEmpty();
    }

    private static List<String> sentencesIn(Path sources) throws IOException {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        List<String> found = new ArrayList<>();
        try (StandardJavaFileManager files = compiler.getStandardFileManager(null, null, null);
                Stream<Path> walked = Files.walk(sources)) {
            List<Path> all =
                    walked.filter(path -> path.toString().endsWith(".java")).toList();
            assertThat(all).hasSizeGreaterThan(100);
            JavacTask task =
                    (JavacTask) compiler.getTask(null, files, null, null, null, files.getJavaFileObjectsFromPaths(all));
            for (CompilationUnitTree unit : task.parse()) {
                new Sentences(unit, found).scan(unit, null);
            }
        }
        return found;
    }

    private static final class Sentences extends TreePathScanner<Void, Void> {

        private final CompilationUnitTree unit;
        private final List<String> found;

        Sentences(CompilationUnitTree unit, List<String> found) {
            this.unit = unit;
            this.found = found;
        }

        @Override
        public Void visitLiteral(LiteralTree literal, Void nothing) {
            if (literal.getValue() instanceof String words
                    && PROSE.matcher(words).find()
                    && !OF_SHEETS.contains(words)
                    && !isForProgrammers(getCurrentPath())) {
                found.add(unit.getSourceFile().getName() + ": \"" + words + "\"");
            }
            return super.visitLiteral(literal, nothing);
        }

        /** Inside of a new exception, or of what one hands on to its parent. */
        private static boolean isForProgrammers(TreePath path) {
            for (Tree each : path) {
                if (each instanceof NewClassTree made
                                && made.getIdentifier().toString().endsWith("Exception")
                        || each instanceof MethodInvocationTree call
                                && call.getMethodSelect().toString().equals("super")) {
                    return true;
                }
            }
            return false;
        }
    }
}
