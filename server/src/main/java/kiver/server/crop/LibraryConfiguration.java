package kiver.server.crop;

import java.io.IOException;
import java.io.Reader;
import java.nio.file.Files;
import java.nio.file.Path;
import kiver.core.crop.CropLibrary;
import kiver.core.crop.CropLibraryReader;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Reads the library's files at the start; a fault in them stops the start and says where it is. */
@Configuration
class LibraryConfiguration {

    @Bean
    CropLibrary cropLibrary(@Value("${kiver.library}") Path folder) throws IOException {
        try (Reader crops = Files.newBufferedReader(folder.resolve("crops.csv"));
                Reader containers = Files.newBufferedReader(folder.resolve("containers.csv"))) {
            return new CropLibrary(
                    CropLibraryReader.readCrops("crops.csv", crops),
                    CropLibraryReader.readContainers("containers.csv", containers));
        }
    }
}
