package kiver.server.question;

import java.util.List;
import kiver.core.crop.ContainerCode;
import kiver.core.crop.CropCode;

/**
 * The names that may occur in a question.
 *
 * @param varieties of the nursery
 * @param sites of all growers
 * @param containers of the nursery, the most usual first
 */
record Vocabulary(List<VarietyName> varieties, List<SiteName> sites, List<ContainerName> containers) {

    Vocabulary {
        varieties = List.copyOf(varieties);
        sites = List.copyOf(sites);
        containers = List.copyOf(containers);
    }

    /**
     * A variety, for example "Blue Lantern".
     *
     * @param id number
     * @param name its own
     * @param crop code
     * @param cropName as written
     */
    record VarietyName(long id, String name, CropCode crop, String cropName) {}

    /** A site, with whose it is. */
    record SiteName(long id, String name, String grower) {}

    /** A container, for example "Module tray of 104". */
    record ContainerName(ContainerCode code, String name, int cells) {}
}
