package kiver.server.page;

import java.io.IOException;
import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;

/**
 * Serves the web's files. Those with a fingerprint in their name are kept for a year; a path that is no file is one of
 * the application's own pages and gets its index, so that a bookmark or a scanned code opens it.
 */
@Configuration
class PagesConfiguration implements WebMvcConfigurer {

    private static final String FILES = "classpath:/static/";

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations(FILES + "assets/")
                .setCacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable());
        registry.addResourceHandler("/**")
                .addResourceLocations(FILES)
                .setCacheControl(CacheControl.noCache())
                .resourceChain(true)
                .addResolver(new PageResolver());
    }

    private static final class PageResolver extends PathResourceResolver {
        @Override
        protected Resource getResource(String path, Resource location) throws IOException {
            Resource file = super.getResource(path, location);
            boolean page = !path.contains(".")
                    && !path.startsWith("api/")
                    && !path.startsWith("actuator")
                    && !path.startsWith("v3/");
            return file == null && page ? super.getResource("index.html", location) : file;
        }
    }
}
