package kiver.server.account;

import jakarta.annotation.Nullable;
import java.time.LocalDate;
import kiver.server.wording.Speech;

/**
 * A person who can sign in.
 *
 * @param id number
 * @param email that they sign in with, lower case
 * @param name as shown
 * @param passwordHash never leaves the server
 * @param role what they do
 * @param growerId the grower they belong to; null unless the role is grower
 * @param language of what is said to them
 * @param temperature unit they read
 * @param length unit they read
 * @param volume unit they read
 * @param mass unit they read
 * @param linkCode by which a grower's page is opened; null for people
 * @param endsOn last day on which it can be used; null where it does not end
 */
public record Account(
        long id,
        String email,
        String name,
        String passwordHash,
        Role role,
        Long growerId,
        Speech.Language language,
        Speech.TemperatureUnit temperature,
        Speech.LengthUnit length,
        Speech.VolumeUnit volume,
        Speech.MassUnit mass,
        @Nullable String linkCode,
        @Nullable LocalDate endsOn) {

    /** Whether it cannot be used on a day any more. */
    boolean hasEnded(LocalDate today) {
        return endsOn != null && endsOn.isBefore(today);
    }

    /** How they are spoken to. */
    public Speech speech() {
        return new Speech(language, temperature, length, volume, mass);
    }
}
