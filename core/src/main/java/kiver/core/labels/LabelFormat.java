package kiver.core.labels;

/** Labels as printers and shops have them; lengths in mm. */
public enum LabelFormat {
    /** One label after the other off a roll. */
    ROLL(90, 29, 1, 1, 90, 29),
    /** A narrow stake, printed one by one. */
    STAKE(120, 17, 1, 1, 120, 17),
    /** 24 labels on a sheet of A4. */
    SHEET_24(70, 37, 3, 8, 210, 297),
    /** 14 labels on a sheet of A4. */
    SHEET_14(99.1f, 38.1f, 2, 7, 210, 297),
    /** 65 small labels on a sheet of A4. */
    SHEET_65(38.1f, 21.2f, 5, 13, 210, 297),
    /** 30 labels on a sheet of US Letter. */
    LETTER_30(66.7f, 25.4f, 3, 10, 215.9f, 279.4f);

    private final float width;
    private final float height;
    private final int columns;
    private final int rows;
    private final float sheetWidth;
    private final float sheetHeight;

    LabelFormat(float width, float height, int columns, int rows, float sheetWidth, float sheetHeight) {
        this.width = width;
        this.height = height;
        this.columns = columns;
        this.rows = rows;
        this.sheetWidth = sheetWidth;
        this.sheetHeight = sheetHeight;
    }

    /** Of one label. */
    public float width() {
        return width;
    }

    /** Of one label. */
    public float height() {
        return height;
    }

    /** Of what goes through the printer at once. */
    public float sheetWidth() {
        return sheetWidth;
    }

    /** Of what goes through the printer at once. */
    public float sheetHeight() {
        return sheetHeight;
    }

    /** Labels on a sheet. */
    public int perSheet() {
        return columns * rows;
    }

    /** Left edge of a label on its sheet, counted from 0, row by row; they lie in the middle of the sheet. */
    public float left(int place) {
        return (sheetWidth - columns * width) / 2 + place % columns * width;
    }

    /** Top edge of a label on its sheet, counted from 0, row by row. */
    public float top(int place) {
        return (sheetHeight - rows * height) / 2 + place % perSheet() / columns * height;
    }
}
