package ample.ledger.web.guard;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.DeflaterOutputStream;
import java.util.zip.InflaterInputStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.DispatcherServlet;
import org.springframework.web.servlet.FlashMap;
import org.springframework.web.servlet.support.AbstractFlashMapManager;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Keeps what the next page is to say in a cookie of one visitor, for three minutes: no session is begun for it, and any instance of
 * the application can say it. What it says is text of pages, and is taken for no more than that; texts, lists and maps of them can be kept.
 */
@Component(DispatcherServlet.FLASH_MAP_MANAGER_BEAN_NAME)
final class CookieFlashMaps extends AbstractFlashMapManager {

    private static final String COOKIE = "ledger-told";

    /** Browsers keep 4,096 bytes of a cookie: RFC 6265, section 6.1. */
    private static final int LONGEST = 3_500;

    /** What a cookie of that length can hold, unless somebody packed it to burst. */
    private static final int LONGEST_UNPACKED = 64 * 1024;

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final TypeReference<Map<String, Object>> TEXTS = new TypeReference<>() {};
    private static final String TARGET = "target";
    private static final String SAID = "said";

    @Override
    protected @Nullable List<FlashMap> retrieveFlashMaps(HttpServletRequest request) {
        return Cookies.read(request, COOKIE).map(CookieFlashMaps::read).orElse(null);
    }

    @Override
    protected void updateFlashMaps(List<FlashMap> maps, HttpServletRequest request, HttpServletResponse response) {
        String value = maps.isEmpty() ? "" : written(maps.get(maps.size() - 1));
        Cookies.write(
                request,
                response,
                COOKIE,
                value,
                value.isEmpty() ? Duration.ZERO : Duration.ofSeconds(getFlashMapTimeout()));
    }

    /** Shorter lists where they do not fit: better the first sentences than none. */
    private static String written(FlashMap map) {
        Map<String, Object> said = new LinkedHashMap<>(map);
        String target = map.getTargetRequestPath() == null ? "" : map.getTargetRequestPath();
        for (int longest = 64; longest > 0; longest /= 2) {
            int most = longest;
            said.replaceAll((name, some) ->
                    some instanceof List<?> list && list.size() > most ? List.copyOf(list.subList(0, most)) : some);
            String value = packed(JSON.writeValueAsBytes(Map.of(TARGET, target, SAID, said)));
            if (value.length() <= LONGEST) {
                return value;
            }
        }
        return "";
    }

    private static String packed(byte[] bytes) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (OutputStream packing = new DeflaterOutputStream(out)) {
            packing.write(bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return Base64.getUrlEncoder().withoutPadding().encodeToString(out.toByteArray());
    }

    /** A cookie that somebody else has made up says nothing. */
    private static @Nullable List<FlashMap> read(String value) {
        try (var in = new InflaterInputStream(
                new ByteArrayInputStream(Base64.getUrlDecoder().decode(value)))) {
            Map<String, Object> read = JSON.readValue(in.readNBytes(LONGEST_UNPACKED), TEXTS);
            FlashMap map = new FlashMap();
            map.setTargetRequestPath(read.get(TARGET) instanceof String target && !target.isEmpty() ? target : null);
            if (read.get(SAID) instanceof Map<?, ?> said) {
                said.forEach((name, text) -> map.put(String.valueOf(name), text));
            }
            return new ArrayList<>(List.of(map));
        } catch (IOException | IllegalArgumentException | JacksonException somebodyElses) {
            return null;
        }
    }
}
