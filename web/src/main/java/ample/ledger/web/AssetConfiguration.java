package ample.ledger.web;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.http.CacheControl;
import org.springframework.util.DigestUtils;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.EncodedResourceResolver;

/**
 * Serves styles, scripts and fonts, packed when the application was built. Pages ask for them under an address that changes
 * with their content, so that browsers keep them and need not ask again; scripts and fonts that they name in turn are found beside them.
 * Under {@code /assets} itself they are asked for again each time.
 */
@Configuration(proxyBeanMethods = false)
class AssetConfiguration {

    private static final String ROOT = "/assets";
    private static final String FILES = "classpath:/assets/";

    /** So much of a digest tells one content from another. */
    private static final int DIGITS = 12;

    /**
     * Where pages find the assets.
     *
     * @param path a path of this server, without a slash at its end
     */
    record Assets(String path) {}

    @Bean
    static Assets assets(LedgerSettings settings) throws IOException {
        return new Assets(settings.live().isEmpty() ? ROOT + "/" + digest().substring(0, DIGITS) : ROOT);
    }

    @Bean
    static WebMvcConfigurer assetHandlers(Assets assets, LedgerSettings settings) {
        return new WebMvcConfigurer() {
            @Override
            public void addResourceHandlers(ResourceHandlerRegistry registry) {
                if (!settings.live().isEmpty()) {
                    registry.addResourceHandler(ROOT + "/**")
                            .addResourceLocations("file:" + settings.live() + ROOT + "/", FILES)
                            .setCacheControl(CacheControl.noStore());
                    return;
                }
                serve(registry, ROOT, CacheControl.noCache());
                serve(
                        registry,
                        assets.path(),
                        CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable());
            }
        };
    }

    private static void serve(ResourceHandlerRegistry registry, String path, CacheControl cacheControl) {
        EncodedResourceResolver packed = new EncodedResourceResolver();
        packed.setContentCodings(List.of("gzip"));
        registry.addResourceHandler(path + "/**")
                .addResourceLocations(FILES)
                .setCacheControl(cacheControl)
                // Files of a build all have one time, whatever changed in them.
                .setUseLastModified(false)
                .resourceChain(true)
                .addResolver(packed);
    }

    /** Of the names and contents of all assets. */
    private static String digest() throws IOException {
        List<String> files = new ArrayList<>();
        for (Resource file : new PathMatchingResourcePatternResolver().getResources(FILES + "**/*.*")) {
            try (InputStream content = file.getInputStream()) {
                files.add(file.getFilename() + " " + DigestUtils.md5DigestAsHex(content));
            }
        }
        Collections.sort(files);
        return DigestUtils.md5DigestAsHex(String.join("\n", files).getBytes(StandardCharsets.UTF_8));
    }
}
