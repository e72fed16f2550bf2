package app.reglet.web.shell;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UnsupportedEncodingException;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.Locale;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers only to the names Reglet is known by. A page elsewhere whose name was made to point at
 * this machine (DNS rebinding) sends its own name as Host, and is turned away.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class KnownHosts extends OncePerRequestFilter {
  private static final Logger LOG = LoggerFactory.getLogger(KnownHosts.class);

  private final Set<String> known = new HashSet<>(Set.of("localhost", "127.0.0.1", "[::1]"));
  private final Answers answers;

  KnownHosts(
      @Value("${server.address:127.0.0.1}") String address,
      @Value("${reglet.hosts:}") String named,
      Answers answers) {
    this.answers = answers;
    known.add(address.toLowerCase(Locale.ROOT));
    if (address.equals("0.0.0.0") || address.equals("::")) {
      known.addAll(ownAddresses());
    }
    Arrays.stream(named.split("[,\\s]+"))
        .filter(n -> !n.isEmpty())
        .map(n -> n.toLowerCase(Locale.ROOT))
        .forEach(known::add);
  }

  private static Set<String> ownAddresses() {
    Set<String> own = new HashSet<>();
    try {
      for (NetworkInterface each : Collections.list(NetworkInterface.getNetworkInterfaces())) {
        each.inetAddresses()
            .map(a -> a.getHostAddress().replaceAll("%.*", ""))
            .map(a -> a.contains(":") ? "[" + a + "]" : a)
            .forEach(own::add);
      }
    } catch (SocketException e) {
      LOG.warn("the addresses of this machine can't be listed: {}", e.getMessage());
    }
    return own;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    if (isKnown(request.getHeader("Host"))) {
      Answer unreadable = unreadable(request);
      if (unreadable == null) {
        chain.doFilter(request, response);
      } else {
        SameOrigin.headers(response);
        answers.write(request, response, unreadable.status(), unreadable.sentence());
      }
    } else {
      SameOrigin.headers(response);
      answers.write(
          request,
          response,
          HttpStatus.MISDIRECTED_REQUEST,
          "Reglet is not known by this name. Whoever runs it can add the name to REGLET_HOSTS.");
    }
  }

  /** What is answered to parameters that can't be decoded, before anything stumbles over them. */
  private Answer unreadable(HttpServletRequest request) {
    String type = request.getContentType();
    if (type != null && type.startsWith("multipart/")) {
      return null; // a file is not taken in before it is known who brings it
    }
    try {
      request.setCharacterEncoding(StandardCharsets.UTF_8.name()); // before the first look at them
      request.getParameter("");
      return null;
    } catch (UnsupportedEncodingException | RuntimeException e) {
      return answers.to(e, request);
    }
  }

  /** Whether a Host header, with or without its port, names this Reglet. */
  boolean isKnown(String host) {
    return host != null
        && known.contains(host.toLowerCase(Locale.ROOT).replaceFirst(":\\d{1,5}$", ""));
  }

  @Override
  protected boolean shouldNotFilterErrorDispatch() {
    return true;
  }
}
