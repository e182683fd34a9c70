package kiver.server.learning;

import java.util.List;
import kiver.core.care.DryingLesson;

/** What weighings say of how fast trays dry; filled by whoever keeps the water. */
public interface DryingTold {

    /** One for each crop of which something was weighed. */
    List<DryingLesson> lessons();
}
