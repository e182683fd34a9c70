package kiver.server.wording;

import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import kiver.core.media.MakeOrBuy;
import kiver.core.outlook.Remedy;
import kiver.core.outlook.SpaceHelp;
import kiver.core.plan.Hindrance;
import kiver.core.plan.Obstacle;
import kiver.core.pot.PotRemark;
import kiver.core.promise.Proviso;
import kiver.core.release.PlantingAdvice;
import kiver.core.sow.PacketBeside;
import kiver.core.sow.TrayCompany;
import kiver.core.today.WhyNow;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.jsontype.NamedType;

/** The sealed families of reasons that go out as data: each member names its kind beside its parts. */
@Configuration
public class Families {

    /** All of them. */
    public static final List<Class<?>> ALL = List.of(
            TrayCompany.class,
            PacketBeside.class,
            Obstacle.class,
            Proviso.class,
            WhyNow.class,
            SpaceHelp.class,
            Remedy.class,
            Hindrance.class,
            MakeOrBuy.class,
            PotRemark.class,
            PlantingAdvice.class);

    /** Written as an object that names its kind. */
    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
    private interface WithKind {}

    @Bean
    JsonMapperBuilderCustomizer reasonsNameTheirKind() {
        return builder -> ALL.forEach(family -> {
            builder.addMixIn(family, WithKind.class);
            builder.registerSubtypes(kinds(family)
                    .map(kind -> new NamedType(kind, kind.getSimpleName()))
                    .toArray(NamedType[]::new));
        });
    }

    /** The kinds of a family, those of its branches among them. */
    public static Stream<Class<?>> kinds(Class<?> family) {
        return Arrays.stream(family.getPermittedSubclasses())
                .flatMap(kind -> kind.isInterface() ? kinds(kind) : Stream.of(kind));
    }
}
