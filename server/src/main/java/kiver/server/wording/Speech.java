package kiver.server.wording;

import java.util.Locale;

/**
 * How somebody is spoken to.
 *
 * @param language of words, days and numbers
 * @param temperature unit of temperatures
 * @param length unit of small lengths and of heights
 * @param volume unit of mix and water
 * @param mass unit of seed
 */
public record Speech(
        Language language, TemperatureUnit temperature, LengthUnit length, VolumeUnit volume, MassUnit mass) {

    /** Where nothing else was chosen. */
    public static final Speech METRIC = new Speech(
            Language.BRITISH, TemperatureUnit.CELSIUS, LengthUnit.MILLIMETRES, VolumeUnit.LITRES, MassUnit.GRAMS);

    /** Languages. */
    public enum Language {
        BRITISH("en-GB", Locale.UK),
        AMERICAN("en-US", Locale.US),
        /** Made of the British by a program, to show what is in no catalogue. */
        STRETCHED("en-XA", Locale.UK);

        private final String tag;
        private final Locale locale;

        Language(String tag, Locale locale) {
            this.tag = tag;
            this.locale = locale;
        }

        /** Its BCP 47 tag. */
        public String tag() {
            return tag;
        }

        /** The locale whose days and numbers are written. */
        public Locale locale() {
            return locale;
        }
    }

    /** Units of temperature. */
    public enum TemperatureUnit {
        CELSIUS,
        FAHRENHEIT
    }

    /** Units of length. */
    public enum LengthUnit {
        MILLIMETRES,
        INCHES
    }

    /** Units of volume. */
    public enum VolumeUnit {
        LITRES,
        GALLONS
    }

    /** Units of mass. */
    public enum MassUnit {
        GRAMS,
        OUNCES
    }
}
