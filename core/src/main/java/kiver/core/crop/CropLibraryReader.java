package kiver.core.crop;

import java.io.IOException;
import java.io.Reader;
import java.io.StringWriter;
import java.util.List;
import kiver.core.sheet.FaultySheetException;
import kiver.core.sheet.SheetText;

/** Reads the library's open files. */
public final class CropLibraryReader {

    private CropLibraryReader() {}

    /**
     * The crops of a file.
     *
     * @throws FaultySheetException listing every faulty line
     */
    public static List<Crop> readCrops(String file, Reader text) throws IOException {
        return SheetText.read(file, whole(text), CropSheet.REQUIRED, CropSheet::read);
    }

    /**
     * The containers of a file.
     *
     * @throws FaultySheetException listing every faulty line
     */
    public static List<Container> readContainers(String file, Reader text) throws IOException {
        return SheetText.read(file, whole(text), ContainerSheet.REQUIRED, ContainerSheet::read);
    }

    private static String whole(Reader text) throws IOException {
        StringWriter copy = new StringWriter();
        text.transferTo(copy);
        return copy.toString();
    }
}
