package kiver.server.backup;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The folder in which copies are kept; a copy's name says why and when it was made. */
final class Copies {

    /** Why a copy was made. */
    enum Reason {
        /** By rule, and put away by rule. */
        NIGHT,
        /** Before a newer program changed the tables; the last three are kept. */
        UPGRADE,
        /** Somebody wanted it; it stays until somebody takes it away. */
        BY_HAND
    }

    /**
     * A copy.
     *
     * @param file where it lies
     * @param reason why it was made
     * @param night the day in its name
     * @param madeAt when it was finished
     * @param bytes how large it is
     */
    record Copy(Path file, Reason reason, LocalDate night, Instant madeAt, long bytes) {}

    private static final int UPGRADES = 3;
    private static final DateTimeFormatter DAY_AND_TIME = DateTimeFormatter.ofPattern("uuuu-MM-dd-HHmmss");
    private static final Pattern NAME =
            Pattern.compile("kiver-(night|upgrade|by-hand)-(\\d{4}-\\d{2}-\\d{2})(-\\d{6})?\\.zip");

    private final Path folder;

    Copies(Path folder) {
        this.folder = folder;
    }

    Path folder() {
        return folder;
    }

    /** Where a copy made now is to lie. */
    Path file(Reason reason, ZonedDateTime now) throws IOException {
        Files.createDirectories(folder);
        String day = reason == Reason.NIGHT ? now.toLocalDate().toString() : now.format(DAY_AND_TIME);
        return folder.resolve("kiver-" + reason.name().toLowerCase(Locale.ROOT).replace('_', '-') + "-" + day + ".zip");
    }

    /** All copies, the last one first; other files in the folder are nobody's business. */
    List<Copy> all() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        List<Copy> copies = new ArrayList<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.toList()) {
                copy(file).ifPresent(copies::add);
            }
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
        copies.sort(Comparator.comparing(Copy::madeAt).reversed());
        return List.copyOf(copies);
    }

    /** Puts away what the rule does not keep. */
    void tidy() throws IOException {
        List<Copy> all = all();
        Set<LocalDate> kept = KeepingRule.kept(all.stream()
                .filter(copy -> copy.reason() == Reason.NIGHT)
                .map(Copy::night)
                .toList());
        Set<Path> upgrades = all.stream()
                .filter(copy -> copy.reason() == Reason.UPGRADE)
                .limit(UPGRADES)
                .map(Copy::file)
                .collect(Collectors.toSet());
        for (Copy copy : all) {
            boolean stays = switch (copy.reason()) {
                case NIGHT -> kept.contains(copy.night());
                case UPGRADE -> upgrades.contains(copy.file());
                case BY_HAND -> true;
            };
            if (!stays) {
                Files.deleteIfExists(copy.file());
            }
        }
    }

    private static Optional<Copy> copy(Path file) throws IOException {
        Matcher name = NAME.matcher(file.getFileName().toString());
        if (!name.matches()) {
            return Optional.empty();
        }
        try {
            BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
            return Optional.of(new Copy(
                    file,
                    Reason.valueOf(name.group(1).toUpperCase(Locale.ROOT).replace('-', '_')),
                    LocalDate.parse(name.group(2)),
                    attributes.lastModifiedTime().toInstant(),
                    attributes.size()));
        } catch (NoSuchFileException | DateTimeException goneOrNoDay) {
            return Optional.empty();
        }
    }
}
