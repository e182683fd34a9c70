package kiver.server.problem;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.UUID;
import java.util.regex.Pattern;
import org.slf4j.MDC;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Gives each request a number that stands in every line of the log written for it, in its answer and in whatever was wrong with
 * it, so that what somebody saw can be found. A gate in front may give one of its own.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class RequestNumber extends OncePerRequestFilter {

    static final String HEADER = "X-Request-Id";
    static final String KEY = "request";

    private static final Pattern GIVEN = Pattern.compile("[A-Za-z0-9-]{1,64}");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String given = request.getHeader(HEADER);
        String number = given != null && GIVEN.matcher(given).matches()
                ? given
                : UUID.randomUUID().toString().substring(0, 8);
        MDC.put(KEY, number);
        response.setHeader(HEADER, number);
        try {
            chain.doFilter(request, response);
        } finally {
            MDC.remove(KEY);
        }
    }
}
