package kiver.core.sow;

import java.util.ArrayList;
import java.util.List;
import kiver.core.crop.Crop;
import kiver.core.growth.Emergence;
import kiver.core.seed.PacketSays;

/** What a packet says beside what is expected here, and why they differ where they do. */
public sealed interface PacketBeside {

    /** The packet's days hold what is expected here, where half are up on a day. */
    record SameDays(int from, int to, int day) implements PacketBeside {}

    /**
     * It lies warmer, or colder, here than the packet thinks of.
     *
     * @param from the packet's days
     * @param day on which half are expected up here
     * @param hereCelsius of the place
     * @param packetCelsius at which the middle of the packet's days would be true
     */
    record OtherWarmth(int from, int to, int day, double hereCelsius, double packetCelsius) implements PacketBeside {}

    /**
     * No warmth makes the packet's days true of what is known of the crop: either they are kinder, or this variety is
     * quicker or slower than its kind; counts will tell.
     *
     * @param day on which half are expected up here
     * @param best days at the best temperature
     */
    record OtherSeed(int from, int to, int day, int best) implements PacketBeside {}

    /**
     * Another depth.
     *
     * @param packetMillimetres that the packet says
     * @param cropMillimetres at which the crop is sown here
     */
    record OtherDepth(double packetMillimetres, double cropMillimetres) implements PacketBeside {}

    /** The packet is older than it is good for; its germination is less than the label says, and sinks from year to year. */
    record PastItsYear(int sowBy) implements PacketBeside {}

    /** It lies in a coat, which water washes off before its time. */
    record Coated() implements PacketBeside {}

    /** Depths closer than this, mm, are the same to a finger. */
    double SAME_DEPTH = 2.5;

    /** So many halvings of the span of temperatures are more than exact. */
    int HALVINGS = 60;

    /**
     * What there is to say; empty where the packet says nothing, or the same depth and no days.
     *
     * @param here °C of the place where it is to come up
     * @param year in which it is sown
     */
    static List<PacketBeside> of(PacketSays packet, Crop crop, double here, int year) {
        List<PacketBeside> said = new ArrayList<>();
        packet.sowBy().ifPresent(sowBy -> {
            if (sowBy < year) {
                said.add(new PastItsYear(sowBy));
            }
        });
        if (packet.coated()) {
            said.add(new Coated());
        }
        packet.emergence().ifPresent(days -> said.add(days(days, crop.emergence(), here)));
        packet.depth().ifPresent(depth -> {
            if (Math.abs(depth - crop.seed().depth()) > SAME_DEPTH) {
                said.add(new OtherDepth(depth, crop.seed().depth()));
            }
        });
        return List.copyOf(said);
    }

    private static PacketBeside days(PacketSays.Days packet, Emergence emergence, double here) {
        double expected = emergence.daysAt(here);
        int day = (int) Math.round(Math.min(expected, 365));
        if (day >= packet.from() && day <= packet.to()) {
            return new SameDays(packet.from(), packet.to(), day);
        }
        double middle = (packet.from() + packet.to()) / 2.0;
        double optimum = emergence.temperatures().optimum();
        double best = emergence.daysAt(optimum);
        if (middle < best || here > optimum) {
            return new OtherSeed(packet.from(), packet.to(), day, (int) Math.round(best));
        }
        return new OtherWarmth(packet.from(), packet.to(), day, here, temperatureOf(middle, emergence));
    }

    /** °C from base to optimum at which half are up after so many days; the warmer, the sooner. */
    private static double temperatureOf(double days, Emergence emergence) {
        double cold = emergence.temperatures().base();
        double warm = emergence.temperatures().optimum();
        for (int halving = 0; halving < HALVINGS; halving++) {
            double middle = (cold + warm) / 2;
            if (emergence.daysAt(middle) > days) {
                cold = middle;
            } else {
                warm = middle;
            }
        }
        return warm;
    }
}
