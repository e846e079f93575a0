package ample.ledger.web.guard;

import ample.ledger.core.text.PlainText;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.filter.OncePerRequestFilter;

/** Takes control characters out of everything that is typed, wherever it comes in: {@link PlainText} says which. */
final class PlainTextOnly extends OncePerRequestFilter {

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        chain.doFilter(new Plain(request), response);
    }

    private static final class Plain extends HttpServletRequestWrapper {

        Plain(HttpServletRequest request) {
            super(request);
        }

        @Override
        public @Nullable String getParameter(String name) {
            String value = super.getParameter(name);
            return value == null ? null : PlainText.of(value);
        }

        @Override
        public String @Nullable [] getParameterValues(String name) {
            String[] values = super.getParameterValues(name);
            return values == null ? null : plain(values);
        }

        @Override
        public Map<String, String[]> getParameterMap() {
            Map<String, String[]> all = new LinkedHashMap<>();
            super.getParameterMap().forEach((name, values) -> all.put(name, plain(values)));
            return Collections.unmodifiableMap(all);
        }

        private static String[] plain(String[] values) {
            return Arrays.stream(values).map(PlainText::of).toArray(String[]::new);
        }
    }
}
