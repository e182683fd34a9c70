package kiver.server.limit;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import kiver.server.wording.Said;
import kiver.server.wording.Wording;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.server.ResponseStatusException;
import tools.jackson.databind.json.JsonMapper;

/** Turns bodies away that are too large, before anything of them is read; those of unknown length when they become so. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimit extends OncePerRequestFilter {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final Wording wording;

    BodyLimit(Wording wording) {
        this.wording = wording;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long most = isFile(request) ? Limits.MOST_BYTES_OF_A_FILE : Limits.MOST_BYTES;
        if (request.getContentLengthLong() > most) {
            response.setHeader("Connection", "close");
            response.setStatus(HttpStatus.CONTENT_TOO_LARGE.value());
            response.setContentType("application/problem+json;charset=UTF-8");
            response.getWriter()
                    .write(JSON.writeValueAsString(Map.of(
                            "status",
                            HttpStatus.CONTENT_TOO_LARGE.value(),
                            "detail",
                            wording.say(Said.of("This is too large; at most {megabytes} MB are read at once.")
                                    .with("megabytes", most / 1_000_000)))));
            return;
        }
        chain.doFilter(new Counted(request, most), response);
    }

    private static boolean isFile(HttpServletRequest request) {
        String path = request.getRequestURI();
        return path.startsWith("/api/") && path.endsWith("/file");
    }

    /** A request that stops being read once it is too large. */
    private static final class Counted extends HttpServletRequestWrapper {
        private final long most;

        Counted(HttpServletRequest request, long most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new CountedStream(super.getInputStream(), most);
        }
    }

    private static final class CountedStream extends ServletInputStream {
        private final ServletInputStream from;
        private long left;

        CountedStream(ServletInputStream from, long most) {
            this.from = from;
            this.left = most;
        }

        @Override
        public int read() throws IOException {
            int next = from.read();
            count(next < 0 ? 0 : 1);
            return next;
        }

        @Override
        public int read(byte[] into, int offset, int length) throws IOException {
            int count = from.read(into, offset, length);
            count(Math.max(0, count));
            return count;
        }

        private void count(int bytes) {
            left -= bytes;
            if (left < 0) {
                throw new ResponseStatusException(
                        HttpStatus.CONTENT_TOO_LARGE, "This is too large to be read at once.");
            }
        }

        @Override
        public boolean isFinished() {
            return from.isFinished();
        }

        @Override
        public boolean isReady() {
            return from.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            from.setReadListener(listener);
        }
    }
}
