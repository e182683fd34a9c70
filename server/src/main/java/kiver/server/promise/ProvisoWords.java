package kiver.server.promise;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import kiver.core.plan.Obstacle;
import kiver.core.promise.Promise;
import kiver.core.promise.Proviso;
import kiver.server.clock.NurseryClock;
import kiver.server.crop.CropBook;
import kiver.server.plan.PlanRequests;
import kiver.server.wording.Wording;
import org.springframework.stereotype.Component;

/** Says why a promise cannot be made, where it is refused. */
@Component
class ProvisoWords {

    private final Wording wording;
    private final CropBook crops;
    private final NurseryClock clock;

    ProvisoWords(Wording wording, CropBook crops, NurseryClock clock) {
        this.wording = wording;
        this.crops = crops;
        this.clock = clock;
    }

    /** All that stands in the way of a yes. */
    String all(PlanRequests.Prepared prepared, Promise promise) {
        List<Proviso> provisos = new ArrayList<>(promise.reasons());
        provisos.addAll(promise.conditions());
        return String.join(
                " ", provisos.stream().map(proviso -> say(prepared, proviso)).toList());
    }

    /** One obstacle. */
    String say(PlanRequests.Prepared prepared, Obstacle obstacle) {
        Map<String, Object> about = about(prepared);
        if (obstacle instanceof Obstacle.PotTooLarge large) {
            about.put("containerName", crops.container(large.container()).name());
            about.put("beforeName", crops.container(large.before()).name());
        }
        return wording.say((Record) obstacle, clock.today(), about);
    }

    private String say(PlanRequests.Prepared prepared, Proviso proviso) {
        if (proviso instanceof Proviso.InTheWay inTheWay) {
            return say(prepared, inTheWay.obstacle());
        }
        Map<String, Object> about = about(prepared);
        if (proviso instanceof Proviso.NoRoom room) {
            about.put("placeName", prepared.season().place(room.place()).name());
        }
        if (proviso instanceof Proviso.NotThere gone) {
            about.put("placeName", prepared.season().place(gone.place()).name());
        }
        return wording.say((Record) proviso, clock.today(), about);
    }

    private static Map<String, Object> about(PlanRequests.Prepared prepared) {
        Map<String, Object> about = new HashMap<>();
        String crop = prepared.request().crop().name();
        LocalDate target = prepared.request().line().target();
        about.put("Crop", crop);
        about.put("crop", crop.toLowerCase(Locale.ROOT));
        about.put("container", prepared.request().containers().last().name().toLowerCase(Locale.ROOT));
        about.put("target", Wording.day(target));
        return about;
    }
}
