package app.reglet.web.shell;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets no other web page change anything here: a request that changes something must come from
 * Reglet's own pages, as the browser states by Sec-Fetch-Site (W3C Fetch Metadata) or Origin.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
public class SameOrigin extends OncePerRequestFilter {
  private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    headers(response);
    if (READING.contains(request.getMethod()) || comesFromHere(request)) {
      chain.doFilter(request, response);
    } else {
      response.sendError(HttpServletResponse.SC_FORBIDDEN);
    }
  }

  /** What every answer says to the browser. */
  static void headers(HttpServletResponse response) {
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("Referrer-Policy", "same-origin");
    response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
    response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
    response.setHeader("Cache-Control", "private, no-store");
    response.setHeader(
        "Content-Security-Policy",
        "default-src 'self'; img-src 'self' data: blob:; object-src 'none'; frame-ancestors 'none'; base-uri 'none'; form-action 'self'");
  }

  private static boolean comesFromHere(HttpServletRequest request) {
    String site = request.getHeader("Sec-Fetch-Site");
    if (site != null) {
      return site.equals("same-origin") || site.equals("none");
    }
    String origin = request.getHeader("Origin");
    if (origin == null) {
      return true; // not a browser
    }
    try {
      return request.getHeader("Host") != null
          && request.getHeader("Host").equals(URI.create(origin).getAuthority());
    } catch (IllegalArgumentException e) {
      return false;
    }
  }
}
