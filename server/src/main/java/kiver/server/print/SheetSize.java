package kiver.server.print;

import kiver.server.wording.Speech;

/**
 * A sheet as printers have it.
 *
 * @param width mm
 * @param height mm
 */
public record SheetSize(float width, float height) {

    /** ISO 216. */
    public static final SheetSize A4 = new SheetSize(210, 297);

    /** 8.5 by 11 inches. */
    public static final SheetSize LETTER = new SheetSize(215.9f, 279.4f);

    /** What lies in the printer where that language is spoken. */
    public static SheetSize usualFor(Speech.Language language) {
        return language == Speech.Language.AMERICAN ? LETTER : A4;
    }
}
