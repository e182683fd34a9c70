package kiver.server.kept;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.web.filter.OncePerRequestFilter;

/** Before anything is answered, what other instances have changed is taken note of. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 10)
class CatchUpFilter extends OncePerRequestFilter {

    private static final Logger LOG = LoggerFactory.getLogger(CatchUpFilter.class);

    private final Revisions revisions;

    CatchUpFilter(Revisions revisions) {
        this.revisions = revisions;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getRequestURI();
        return !path.startsWith("/api/") && !path.startsWith("/calendar/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        try {
            revisions.catchUp();
        } catch (DataAccessException | CannotCreateTransactionException away) {
            // Whatever is asked for next meets the same trouble and says so.
            LOG.debug("The database does not answer", away);
        }
        chain.doFilter(request, response);
    }
}
