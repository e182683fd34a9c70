package kiver.server.batch;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import kiver.server.ServerTest;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** The database takes the kinds of changes that the record knows, and no others. */
@ServerTest
class RecordKindsTest {

    @Autowired
    JdbcTemplate database;

    @Test
    void theDatabaseTakesTheKindsThatTheRecordKnows() {
        String rule = database.queryForObject(
                "select pg_get_constraintdef(oid) from pg_constraint where conname = 'batch_change_kind_check'",
                String.class);
        TreeSet<String> taken = Pattern.compile("'(\\w+)'")
                .matcher(rule)
                .results()
                .map(found -> found.group(1))
                .collect(Collectors.toCollection(TreeSet::new));
        assertThat(taken)
                .containsExactlyInAnyOrderElementsOf(Arrays.stream(ChangeKind.values())
                        .map(ChangeKind::wireName)
                        .toList());
    }
}
