package kiver.server.care;

import java.time.LocalDateTime;
import java.util.Map;
import java.util.Optional;
import kiver.core.care.TrayWeight;
import kiver.server.crop.CropBook;
import kiver.server.place.Device;
import kiver.server.place.Scales;
import kiver.server.problem.NotFound;
import kiver.server.tray.Tray;
import kiver.server.tray.TrayBook;
import kiver.server.wording.Said;
import org.springframework.stereotype.Component;

/** Weights of trays, whoever says them: whether they can be, and where they are kept. */
@Component
public class WeighedTrays implements Scales {

    private final WaterBook water;
    private final TrayBook trays;
    private final CropBook crops;

    WeighedTrays(WaterBook water, TrayBook trays, CropBook crops) {
        this.water = water;
        this.trays = trays;
        this.crops = crops;
    }

    /** What a tray weighs, dry and soaked. */
    public TrayWeight weight(Tray tray) {
        Map<String, TrayWeight> weights = water.weights();
        var whole = crops.container(tray.container());
        return WaterBook.weight(weights, whole, tray.of(whole));
    }

    @Override
    public Optional<Said> faultIn(int number, double grams) {
        Tray tray;
        try {
            tray = trays.numbered(number);
        } catch (NotFound none) {
            return Optional.of(Said.of("There is no tray T{tray}.").with("tray", number));
        }
        TrayWeight weight = weight(tray);
        return weight.faultIn(grams)
                .map(fault -> words(fault)
                        .with("tray", tray.code())
                        .with("dry", Math.round(weight.dry()))
                        .with("soaked", Math.round(weight.full())));
    }

    private static Said words(TrayWeight.Fault fault) {
        return switch (fault) {
            case LIGHTER_THAN_DRY ->
                Said.of("{tray} weighs about {dry} g dry: look whether the whole tray stood on the scale.");
            case HEAVIER_THAN_SOAKED ->
                Said.of("{tray} weighs about {soaked} g soaked: look whether something else stood on the scale.");
            case IN_POUNDS ->
                Said.of("{tray} weighs from {dry} to {soaked} g: the scale seems to show pounds. Set it to grams.");
            case IN_KILOGRAMS ->
                Said.of("{tray} weighs from {dry} to {soaked} g: this seems to be kilograms. Enter grams.");
        };
    }

    @Override
    public boolean take(Device scale, int tray, LocalDateTime at, double grams) {
        return water.weighed(scale.id(), tray, at, grams);
    }
}
