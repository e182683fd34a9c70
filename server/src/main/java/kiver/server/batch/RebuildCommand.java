package kiver.server.batch;

import java.util.List;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ApplicationContext;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * {@code ./kiver rebuild}: holds what is written beside the records against what follows from them, tells where they
 * differ, writes it anew when told so, and ends.
 */
@Component
@ConditionalOnProperty("kiver.rebuild")
@Order(Ordered.HIGHEST_PRECEDENCE)
class RebuildCommand implements ApplicationRunner {

    private final ProjectionBook projections;
    private final ApplicationContext application;

    RebuildCommand(ProjectionBook projections, ApplicationContext application) {
        this.projections = projections;
        this.application = application;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        List<ProjectionBook.Difference> differences = projections.differences();
        differences.forEach(difference -> System.out.printf(
                "Batch %d: %s%n",
                difference.batch(),
                difference.following().isEmpty()
                        ? "its record cannot be read to its end, or has no entries; what is written down stays as it is"
                        : "written down " + difference.written() + ", following from its record "
                                + difference.following()));
        boolean write = "write".equals(application.getEnvironment().getProperty("kiver.rebuild"));
        if (write) {
            projections.rebuild(differences);
        }
        int left = write && !differences.isEmpty() ? projections.differences().size() : differences.size();
        System.out.printf("Differences found: %d; left: %d.%n", differences.size(), left);
        System.exit(SpringApplication.exit(application, () -> left == 0 ? 0 : 1));
    }
}
