package kiver.server.place;

import jakarta.annotation.Nullable;
import java.io.IOException;
import java.io.StringReader;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;
import kiver.core.place.ProbeReading;
import kiver.core.weather.DailyRange;
import kiver.core.weather.OutdoorReading;
import kiver.server.clock.NurseryClock;
import kiver.server.problem.Refusal;
import kiver.server.wording.Said;
import kiver.server.wording.Wording;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reads what devices send, as JSON or CSV, row by row: a row that cannot be taken stops none of the others. */
@Component
class ReadingsText {

    private static final int MOST_ROWS = 2_000;
    private static final int DAYS_BACK = 60;
    private static final int MINUTES_AHEAD = 10;

    private final NurseryClock clock;
    private final Wording wording;
    private final Scales scales;
    private final JsonMapper json = JsonMapper.builder().build();

    ReadingsText(NurseryClock clock, Wording wording, Scales scales) {
        this.scales = scales;
        this.clock = clock;
        this.wording = wording;
    }

    /** A row that cannot be taken, by its number from 1. */
    record RefusedRow(int row, String why) {}

    /** What could be read, and what could not. */
    record Read(
            List<ProbeReading> readings,
            SortedMap<LocalDate, DailyRange> days,
            List<Weighed> weights,
            List<RefusedRow> refused) {

        boolean isEmpty() {
            return rows() == 0 && refused.isEmpty();
        }

        /** How many rows could be read. */
        int rows() {
            return readings.size() + days.size() + weights.size();
        }

        /** The latest moment of which something is said; a day is said of when it is over. */
        Optional<LocalDateTime> latest() {
            return Stream.of(
                            readings.stream().map(ProbeReading::at),
                            days.keySet().stream().map(day -> day.plusDays(1).atStartOfDay()),
                            weights.stream().map(Weighed::at))
                    .flatMap(moments -> moments)
                    .max(LocalDateTime::compareTo);
        }
    }

    /** A tray on a scale. */
    record Weighed(int tray, LocalDateTime at, double grams) {}

    /**
     * Either one reading, or a list of them, or an object that holds the list as "readings".
     *
     * @param device that sent it: none measures what its surroundings cannot be
     */
    Read json(String body, Device device) {
        JsonNode root;
        try {
            root = json.readTree(body);
        } catch (JacksonException broken) {
            throw new Refusal("readings", Said.of("This is not JSON that can be read."));
        }
        JsonNode list = root.path("readings").isArray() ? root.path("readings") : root;
        List<JsonNode> rows = new ArrayList<>();
        if (list.isArray()) {
            list.forEach(rows::add);
        } else {
            rows.add(list);
        }
        Reader reader = new Reader(rows.size(), device);
        rows.forEach(row -> {
            if (row.has("grams")) {
                reader.weight(text(row, "at"), text(row, "tray"), text(row, "grams"));
            } else if (row.has("day")) {
                reader.day(text(row, "day"), text(row, "minimum"), text(row, "maximum"));
            } else {
                reader.row(text(row, "at"), text(row, "celsius"), text(row, "humidity"));
            }
        });
        return reader.read();
    }

    private static @Nullable String text(JsonNode row, String name) {
        JsonNode value = row.path(name);
        return value.isValueNode() && !value.isNull() ? value.asString() : null;
    }

    /** With a first line that names the columns at, celsius and, where it is measured, humidity. */
    Read csv(String body, Device device) {
        try (CSVParser parser = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreHeaderCase(true)
                .setIgnoreSurroundingSpaces(true)
                .setTrim(true)
                .get()
                .parse(new StringReader(body.startsWith("\uFEFF") ? body.substring(1) : body))) {
            List<CSVRecord> rows = parser.getRecords();
            boolean weighed = parser.getHeaderMap().containsKey("grams");
            boolean byDay = parser.getHeaderMap().containsKey("day");
            for (String column : columns(weighed, byDay)) {
                if (!parser.getHeaderMap().containsKey(column)) {
                    throw new Refusal(
                            "readings",
                            Said.of(
                                            "The first line must name the columns at and celsius, or day, minimum and maximum, or at, tray and grams; {column} is missing.")
                                    .with("column", column));
                }
            }
            Reader reader = new Reader(rows.size(), device);
            rows.forEach(row -> {
                if (weighed) {
                    reader.weight(text(row, "at"), text(row, "tray"), text(row, "grams"));
                } else if (byDay) {
                    reader.day(text(row, "day"), text(row, "minimum"), text(row, "maximum"));
                } else {
                    reader.row(text(row, "at"), text(row, "celsius"), text(row, "humidity"));
                }
            });
            return reader.read();
        } catch (IOException | IllegalStateException | IllegalArgumentException broken) {
            throw new Refusal("readings", Said.of("This is not CSV that can be read."));
        }
    }

    private static List<String> columns(boolean weighed, boolean byDay) {
        if (weighed) {
            return List.of("at", "tray");
        }
        return byDay ? List.of("day", "minimum", "maximum") : List.of("at", "celsius");
    }

    private static @Nullable String text(CSVRecord row, String column) {
        return row.isSet(column) && !row.get(column).isEmpty() ? row.get(column) : null;
    }

    /** Takes row after row and keeps what is wrong with each. */
    private final class Reader {
        private final List<ProbeReading> readings = new ArrayList<>();
        private final SortedMap<LocalDate, DailyRange> days = new TreeMap<>();
        private final List<Weighed> weights = new ArrayList<>();
        private final List<RefusedRow> refused = new ArrayList<>();
        private final LocalDateTime now = clock.now();
        private final ZoneId zone = clock.zone();
        private final double hottest;
        private int number;

        Reader(int rows, Device device) {
            hottest = device.feeds() == Device.Feeds.STATION ? OutdoorReading.HOTTEST : ProbeReading.HOTTEST;
            if (rows > MOST_ROWS) {
                throw new Refusal(
                        "readings",
                        Said.of("Send at most {most} readings at once.").with("most", MOST_ROWS));
            }
        }

        void row(@Nullable String at, @Nullable String celsius, @Nullable String humidity) {
            number++;
            try {
                if (at == null || celsius == null) {
                    throw new NotTaken(Said.of("It says no time, or no temperature."));
                }
                LocalDateTime time = lately(at);
                readings.add(new ProbeReading(
                        time,
                        within(figure(celsius), ProbeReading.COLDEST, hottest),
                        humidity == null
                                ? OptionalDouble.empty()
                                : OptionalDouble.of(within(figure(humidity), 0, 100))));
            } catch (NotTaken why) {
                refused.add(new RefusedRow(number, wording.say(why.said)));
            }
        }

        void day(@Nullable String day, @Nullable String minimum, @Nullable String maximum) {
            number++;
            try {
                if (day == null || minimum == null || maximum == null) {
                    throw new NotTaken(Said.of("It says no day, no minimum or no maximum."));
                }
                LocalDate date = over(day);
                double low = within(figure(minimum), ProbeReading.COLDEST, hottest);
                double high = within(figure(maximum), ProbeReading.COLDEST, hottest);
                if (low > high) {
                    throw new NotTaken(Said.of("On {day} the highest is below the lowest. Look again which is which.")
                            .with("day", date));
                }
                days.put(date, new DailyRange(low, high));
            } catch (NotTaken why) {
                refused.add(new RefusedRow(number, wording.say(why.said)));
            }
        }

        /** A day is told when it is over: until then its lowest and highest are not known. */
        private LocalDate over(String day) throws NotTaken {
            LocalDate date;
            try {
                date = LocalDate.parse(day);
            } catch (DateTimeException unreadable) {
                throw new NotTaken(
                        Said.of("\"{day}\" is no day; write 2027-04-15.").with("day", day));
            }
            if (!date.isBefore(now.toLocalDate())) {
                throw new NotTaken(
                        Said.of("{day} is not over yet; send it tomorrow.").with("day", date));
            }
            if (date.isBefore(now.toLocalDate().minusDays(DAYS_BACK))) {
                throw new NotTaken(tooLongAgo(date.toString()));
            }
            return date;
        }

        private static Said tooLongAgo(String at) {
            return Said.of("{at} is more than {days} days back.").with("at", at).with("days", DAYS_BACK);
        }

        void weight(@Nullable String at, @Nullable String tray, @Nullable String grams) {
            number++;
            try {
                if (at == null || tray == null || grams == null) {
                    throw new NotTaken(Said.of("It says no time, no tray or no weight."));
                }
                LocalDateTime time = lately(at);
                double figure = figure(grams);
                double numbered = figure(tray.replaceFirst("^[Tt](?=\\d)", ""));
                Optional<Said> fault = scales.faultIn((int) numbered, figure);
                if (fault.isPresent()) {
                    throw new NotTaken(fault.get());
                }
                weights.add(new Weighed((int) numbered, time, figure));
            } catch (NotTaken why) {
                refused.add(new RefusedRow(number, wording.say(why.said)));
            }
        }

        Read read() {
            return new Read(readings, days, weights, refused);
        }

        private LocalDateTime lately(String at) throws NotTaken {
            LocalDateTime time = time(at);
            if (time.isAfter(now.plusMinutes(MINUTES_AHEAD))) {
                throw new NotTaken(Said.of("{at} is still to come; look at the clock of the device.")
                        .with("at", time.toString()));
            }
            if (time.isBefore(now.minusDays(DAYS_BACK))) {
                throw new NotTaken(tooLongAgo(time.toString()));
            }
            return time;
        }

        /** With an offset, or in the nursery's own time. */
        private LocalDateTime time(String at) throws NotTaken {
            try {
                return at.matches(".*(Z|[+-]\\d\\d:?\\d\\d)$") && at.contains("T")
                        ? OffsetDateTime.parse(at).atZoneSameInstant(zone).toLocalDateTime()
                        : LocalDateTime.parse(at.replace(' ', 'T'));
            } catch (DateTimeException unreadable) {
                throw new NotTaken(
                        Said.of("\"{at}\" is no time; write 2027-04-15T06:30.").with("at", at));
            }
        }

        private double figure(String text) throws NotTaken {
            try {
                return Double.parseDouble(text.replace(',', '.'));
            } catch (NumberFormatException unreadable) {
                throw new NotTaken(Said.of("\"{text}\" is no number.").with("text", text));
            }
        }

        private double within(double figure, double least, double most) throws NotTaken {
            if (!(figure >= least && figure <= most)) {
                throw new NotTaken(Said.of("{figure} is not between {least} and {most}.")
                        .with("figure", String.valueOf(figure))
                        .with("least", (int) least)
                        .with("most", (int) most));
            }
            return figure;
        }
    }

    /** Why a row is not taken. */
    private static final class NotTaken extends Exception {
        private static final long serialVersionUID = 1;
        private final transient Said said;

        NotTaken(Said said) {
            this.said = said;
        }
    }
}
