package kiver.server.promise;

import java.util.List;

/**
 * The names that may occur in a question.
 *
 * @param varieties of the nursery, with their crops' names beside them
 * @param sites of all growers, with the growers' names beside them
 * @param containers of the nursery, the most usual first
 */
record Vocabulary(List<Name> varieties, List<Name> sites, List<Name> containers) {

    public Vocabulary {
        varieties = List.copyOf(varieties);
        sites = List.copyOf(sites);
        containers = List.copyOf(containers);
    }

    /**
     * One thing with a name.
     *
     * @param key by which it is known, for example a number or a code
     * @param name its own, for example "Blue Lantern"
     * @param kind of what, for example "Curly kale"; may be empty
     */
    public record Name(String key, String name, String kind) {}
}
