package kiver.server.crop;

import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Reads the library's files in before anything else is done at the start. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class LibraryAtStart implements ApplicationRunner {

    private final LibraryBook library;

    LibraryAtStart(LibraryBook library) {
        this.library = library;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        library.readIn();
    }
}
