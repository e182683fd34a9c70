package kiver.server.demo;

import java.util.LinkedHashMap;
import java.util.Map;

/** What the demonstration nursery grows and for whom, for tests of other rooms. */
public final class DemonstrationStock {

    private DemonstrationStock() {}

    /** Codes of crops by the variety's name. */
    public static Map<String, String> varieties() {
        Map<String, String> varieties = new LinkedHashMap<>();
        DemoStock.varieties().forEach(entry -> varieties.put(entry.name(), entry.crop()));
        return varieties;
    }

    /** Growers by the site's name. */
    public static Map<String, String> sites() {
        Map<String, String> sites = new LinkedHashMap<>();
        DemoStock.growers().forEach(entry -> sites.put(entry.site(), entry.name()));
        return sites;
    }
}
