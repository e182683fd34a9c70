package kiver.server.wording;

import static org.assertj.core.api.Assertions.assertThat;

import com.sun.source.tree.AnnotationTree;
import com.sun.source.tree.AssignmentTree;
import com.sun.source.tree.BinaryTree;
import com.sun.source.tree.CompilationUnitTree;
import com.sun.source.tree.ExpressionTree;
import com.sun.source.tree.LiteralTree;
import com.sun.source.tree.MethodInvocationTree;
import com.sun.source.util.JavacTask;
import com.sun.source.util.TreeScanner;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.tools.JavaCompiler;
import javax.tools.StandardJavaFileManager;
import javax.tools.ToolProvider;
import kiver.core.crop.ContainerSheet;
import kiver.core.crop.CropSheet;
import org.junit.jupiter.api.Test;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Everything the server says is in the list that a translator translates, beside en-GB.json. The list is written anew with
 * {@code -Dkiver.words=write}.
 */
class ServedWordsTest {

    private static final Path LIST = Path.of("src/main/resources/words/served.json");
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Set<String> KEYS = new Wording().keys();

    private final Set<String> said = new TreeSet<>();
    private final List<String> unreadable = new ArrayList<>();

    @Test
    void listsEveryMessageOfTheServer() throws IOException {
        scan();
        assertThat(unreadable)
                .as("messages that cannot be gathered from the sources")
                .isEmpty();
        if ("write".equals(System.getProperty("kiver.words"))) {
            Files.writeString(
                    LIST,
                    said.stream().map(JSON::writeValueAsString).collect(Collectors.joining(",\n  ", "[\n  ", "\n]\n")));
        }
        assertThat(JSON.readValue(Files.readString(LIST), new TypeReference<List<String>>() {}))
                .containsExactlyElementsOf(said);
    }

    @Test
    void everyColumnHasAName() {
        CropSheet.NAMES.forEach(name -> assertThat(KEYS).contains("column.crops." + name));
        ContainerSheet.NAMES.forEach(name -> assertThat(KEYS).contains("column.containers." + name));
    }

    private void scan() throws IOException {
        JavaCompiler compiler = ToolProvider.getSystemJavaCompiler();
        try (Stream<Path> files = Files.walk(Path.of("src/main/java"));
                StandardJavaFileManager manager = compiler.getStandardFileManager(null, null, null)) {
            List<Path> sources = files.filter(file -> file.toString().endsWith(".java"))
                    .sorted()
                    .toList();
            JavacTask task = (JavacTask) compiler.getTask(
                    null, manager, null, List.of(), null, manager.getJavaFileObjectsFromPaths(sources));
            for (CompilationUnitTree unit : task.parse()) {
                new Sayings(unit.getSourceFile().getName()).scan(unit, null);
            }
        }
    }

    /** Finds what is handed to {@code Said.of}, and what annotations say of wrong entries. */
    private final class Sayings extends TreeScanner<Void, Void> {

        private final String file;

        Sayings(String file) {
            this.file = file;
        }

        @Override
        public Void visitMethodInvocation(MethodInvocationTree call, Void nothing) {
            if (call.getMethodSelect().toString().equals("Said.of")) {
                gather(call.getArguments().get(0));
            }
            return super.visitMethodInvocation(call, nothing);
        }

        @Override
        public Void visitAnnotation(AnnotationTree annotation, Void nothing) {
            annotation.getArguments().stream()
                    .filter(argument -> argument instanceof AssignmentTree named
                            && named.getVariable().toString().equals("message"))
                    .forEach(argument -> gather(((AssignmentTree) argument).getExpression()));
            return super.visitAnnotation(annotation, nothing);
        }

        private void gather(ExpressionTree argument) {
            String source = argument.toString();
            Optional<String> words = constant(argument);
            boolean key =
                    words.filter(text -> text.isEmpty() || KEYS.contains(text)).isPresent()
                            || source.matches("\"[a-z]+\\.(\\w+\\.)?\" \\+ .*");
            boolean reason = source.startsWith("(Record)");
            if (words.isPresent() && !key) {
                said.add(words.get());
            } else if (words.isEmpty() && !key && !reason) {
                unreadable.add(file + ": " + source);
            }
        }

        private Optional<String> constant(ExpressionTree expression) {
            if (expression instanceof LiteralTree literal && literal.getValue() instanceof String text) {
                return Optional.of(text);
            }
            if (expression instanceof BinaryTree sum) {
                return constant(sum.getLeftOperand())
                        .flatMap(left -> constant(sum.getRightOperand()).map(right -> left + right));
            }
            return Optional.empty();
        }
    }
}
