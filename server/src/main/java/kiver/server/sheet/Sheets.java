package kiver.server.sheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import kiver.core.sheet.Column;
import kiver.core.sheet.SheetRow;
import kiver.server.problem.NotFound;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** All sheets by name, each with a last column that says whether a row is in use. */
@Component
class Sheets {

    /** The column that every sheet has whose rows can be retired. */
    static final String IN_USE = "in_use";

    private static final Column USED = Column.choice(IN_USE, "yes", "no").orNone();

    private final Map<String, SheetBook> books = new TreeMap<>();
    private final Retired retired;

    Sheets(List<SheetBook> all, Retired retired) {
        all.forEach(book -> books.put(book.shape().name(), book));
        this.retired = retired;
    }

    /** The sheet of that name. */
    SheetBook named(String name) {
        SheetBook book = books.get(name);
        if (book == null) {
            throw new NotFound(Said.of("There is no sheet {name}.").with("name", name));
        }
        return book.mayRetire() ? new Retirable(book) : book;
    }

    /** A sheet whose rows say whether they are in use. */
    private final class Retirable implements SheetBook {

        private final SheetBook book;
        private final Shape shape;

        Retirable(SheetBook book) {
            this.book = book;
            List<Column> columns = new ArrayList<>(book.shape().columns());
            columns.add(USED);
            this.shape = new Shape(book.shape().name(), book.shape().keys(), columns);
        }

        @Override
        public Shape shape() {
            return shape;
        }

        @Override
        public List<SheetRow> rows() {
            return book.rows().stream()
                    .map(row -> {
                        Map<String, String> entries = new LinkedHashMap<>(row.entries());
                        boolean gone = retired.is(shape.name(), shape.key(row).toArray(String[]::new));
                        entries.put(IN_USE, gone ? "no" : "yes");
                        return new SheetRow(entries);
                    })
                    .toList();
        }

        @Override
        public void put(SheetRow row) {
            boolean used = row.text(IN_USE).isEmpty() || row.yes(IN_USE);
            book.put(row);
            retired.set(shape.name(), shape.key(row), !used);
        }
    }
}
