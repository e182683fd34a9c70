package kiver.server.wording;

import java.text.NumberFormat;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;

/** Days and quantities as somebody reads them; the web does the same in {@code quantity.ts} and {@code days.ts}. */
final class Figures {

    /** In 1 m/s. */
    private static final double KILOMETRES_AN_HOUR = 3.6;

    private static final double MILES_AN_HOUR = 2.237;

    private static final double GRAMS_IN_OUNCE = 28.349523125;
    private static final double MILLIMETRES_IN_INCH = 25.4;
    /** Longer than this, an inch is not parted into eighths any more. */
    private static final double FINEST_INCHES = 6;

    private static final String[] EIGHTHS = {"", "⅛", "¼", "⅜", "½", "⅝", "¾", "⅞"};

    private Figures() {}

    /** "Thu 29 Apr", "Thu Apr 29". */
    static String day(LocalDate day, Speech speech) {
        return bracketed(
                DateTimeFormatter.ofPattern(
                                american(speech) ? "EEE MMM d" : "EEE d MMM",
                                speech.language().locale())
                        .format(day),
                speech);
    }

    /** "Thu 29 Apr 2027", "Thu Apr 29, 2027"; for paper, which is kept. */
    static String wholeDay(LocalDate day, Speech speech) {
        String pattern = american(speech) ? "EEE MMM d, yyyy" : "EEE d MMM yyyy";
        return bracketed(
                DateTimeFormatter.ofPattern(pattern, speech.language().locale()).format(day), speech);
    }

    /** "−6 °C", "21 °F". */
    static String temperature(double celsius, Speech speech) {
        boolean fahrenheit = speech.temperature() == Speech.TemperatureUnit.FAHRENHEIT;
        long degrees = Math.round(fahrenheit ? celsius * 1.8 + 32 : celsius);
        return (degrees < 0 ? "−" : "") + Math.abs(degrees) + (fahrenheit ? " °F" : " °C");
    }

    /** "4 K", "7 °F": a difference has no zero to shift. */
    static String difference(double kelvins, Speech speech) {
        boolean fahrenheit = speech.temperature() == Speech.TemperatureUnit.FAHRENHEIT;
        return Math.round(fahrenheit ? kelvins * 1.8 : kelvins) + (fahrenheit ? " °F" : " K");
    }

    /** "6 mm", "30 cm", "¼ in". */
    static String length(double millimetres, Speech speech) {
        if (speech.length() == Speech.LengthUnit.MILLIMETRES) {
            return millimetres < 100 ? Math.round(millimetres) + " mm" : Math.round(millimetres / 10) + " cm";
        }
        if (millimetres > FINEST_INCHES * MILLIMETRES_IN_INCH) {
            return Math.round(millimetres / MILLIMETRES_IN_INCH) + " in";
        }
        long eighths = Math.max(millimetres > 0 ? 1 : 0, Math.round(millimetres / MILLIMETRES_IN_INCH * 8));
        String part = EIGHTHS[(int) (eighths % 8)];
        long whole = eighths / 8;
        return (whole > 0 || part.isEmpty() ? whole + (part.isEmpty() ? "" : " ") : "") + part + " in";
    }

    /** "39 km/h", "24 mph". */
    static String wind(double metresPerSecond, Speech speech) {
        boolean miles = speech.length() == Speech.LengthUnit.INCHES;
        return Math.round(metresPerSecond * (miles ? MILES_AN_HOUR : KILOMETRES_AN_HOUR)) + (miles ? " mph" : " km/h");
    }

    /** "12 g", "0.42 oz". */
    static String mass(double grams, Speech speech) {
        boolean ounces = speech.mass() == Speech.MassUnit.OUNCES;
        double amount = ounces ? grams / GRAMS_IN_OUNCE : grams;
        NumberFormat format = NumberFormat.getInstance(speech.language().locale());
        format.setMaximumFractionDigits(amount >= 10 ? 0 : amount >= 1 ? 1 : 2);
        return format.format(amount) + (ounces ? " oz" : " g");
    }

    /** "640 m", "2,100 ft". */
    static String altitude(double metres, Speech speech) {
        boolean feet = speech.length() == Speech.LengthUnit.INCHES;
        return number(Math.round(feet ? metres / 0.3048 : metres), speech) + (feet ? " ft" : " m");
    }

    static String number(long number, Speech speech) {
        return NumberFormat.getIntegerInstance(speech.language().locale()).format(number);
    }

    private static boolean american(Speech speech) {
        return speech.language() == Speech.Language.AMERICAN;
    }

    private static String bracketed(String words, Speech speech) {
        return speech.language() == Speech.Language.STRETCHED ? "⟦" + words + "⟧" : words;
    }
}
