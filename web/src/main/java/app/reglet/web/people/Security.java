package app.reglet.web.people;

import app.reglet.web.shell.Answers;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.Set;
import org.springframework.boot.autoconfigure.condition.ConditionalOnWebApplication;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configuration.EnableWebSecurity;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.SimpleUrlAuthenticationFailureHandler;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.HttpSessionCsrfTokenRepository;
import org.springframework.security.web.savedrequest.HttpSessionRequestCache;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Sign-in. While nobody is set up every request is let through; with people, each request needs a
 * session of somebody who is still there and may do it, and a token of that session when it changes
 * something.
 */
@Configuration
@EnableWebSecurity
@ConditionalOnWebApplication
public class Security {
  private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS", "TRACE");

  /** What everybody may fetch: the sign-in page and what it is drawn with, health, control. */
  private static final String[] FOR_ALL = {
    "/sign-in",
    "/error",
    "/health",
    "/control/**",
    "/webjars/**",
    "/js/**",
    "/fonts/**",
    "/reglet.css",
    "/reglet.svg"
  };

  private final People people;
  private final Answers answers;

  Security(People people, Answers answers) {
    this.people = people;
    this.answers = answers;
  }

  @Bean
  SecurityFilterChain chain(HttpSecurity http) throws Exception {
    HttpSessionRequestCache asked = new HttpSessionRequestCache();
    asked.setMatchingRequestParameterName(null);
    asked.setRequestMatcher(
        r -> people.any() && "GET".equals(r.getMethod()) && r.getHeader("HX-Request") == null);
    SimpleUrlAuthenticationFailureHandler failed = new SimpleUrlAuthenticationFailureHandler();
    failed.setDefaultFailureUrl("/sign-in?failed");
    failed.setAllowSessionCreation(true);
    http.authorizeHttpRequests(
            a ->
                a.requestMatchers(FOR_ALL)
                    .permitAll()
                    .anyRequest()
                    .access(
                        (who, context) -> new AuthorizationDecision(mayAsk(context.getRequest()))))
        .formLogin(
            f ->
                f.loginPage("/sign-in")
                    .loginProcessingUrl("/sign-in")
                    .usernameParameter("name")
                    .passwordParameter("password")
                    .defaultSuccessUrl("/titles", false)
                    .failureHandler(failed))
        .logout(l -> l.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
        .requestCache(c -> c.requestCache(asked))
        .csrf(
            c ->
                c.csrfTokenRepository(new HttpSessionCsrfTokenRepository())
                    .requireCsrfProtectionMatcher(
                        r ->
                            people.any()
                                && !READING.contains(r.getMethod())
                                && !r.getServletPath().equals("/error")
                                && !r.getServletPath().startsWith("/control/")))
        .addFilterAfter(new StillHere(), SecurityContextHolderFilter.class)
        .addFilterAfter(new NoTokens(), CsrfFilter.class)
        .exceptionHandling(
            e ->
                e.authenticationEntryPoint(
                        (request, response, why) -> signInFirst(request, response))
                    .accessDeniedHandler(
                        (request, response, why) -> {
                          if (Who.signedIn().isEmpty() && people.any()) {
                            signInFirst(request, response);
                          } else {
                            answers.write(
                                request, response, HttpStatus.FORBIDDEN, denied(request, why));
                          }
                        }))
        .headers(h -> h.disable()) // SameOrigin sets them all, people or not
        .anonymous(a -> {});
    return http.build();
  }

  private static String denied(HttpServletRequest request, Exception why) {
    if (READING.contains(request.getMethod())) {
      return "This page is for owners: ask one for what you need from it.";
    }
    return why instanceof org.springframework.security.web.csrf.CsrfException
        ? "This page is from an earlier session, so nothing was changed: reload it and make the change again."
        : "You may look at this but not change it: ask an owner for another role.";
  }

  private void signInFirst(HttpServletRequest request, HttpServletResponse response)
      throws IOException, ServletException {
    if (READING.contains(request.getMethod()) && request.getHeader("HX-Request") == null) {
      response.sendRedirect(request.getContextPath() + "/sign-in");
    } else {
      answers.write(
          request,
          response,
          HttpStatus.UNAUTHORIZED,
          "Not saved: you are signed out. Sign in again in another window, then make the change here again; what you typed is still on this page.");
    }
  }

  private boolean mayAsk(HttpServletRequest request) {
    if (!people.any()) {
      return true;
    }
    return Who.signedIn()
        .flatMap(s -> people.known(s.id()))
        .filter(k -> Access.allows(k.role(), request.getMethod(), request.getServletPath()))
        .isPresent();
  }

  /**
   * Ends the session of somebody who was taken off or signed out everywhere, and turns away who
   * isn't signed in before anything of what they send is read.
   */
  private final class StillHere extends OncePerRequestFilter {
    @Override
    protected void doFilterInternal(
        HttpServletRequest request, HttpServletResponse response, FilterChain chain)
        throws ServletException, IOException {
      var signedIn = Who.signedIn();
      boolean here =
          signedIn
              .flatMap(s -> people.known(s.id()).filter(k -> k.epoch() == s.epoch()))
              .isPresent();
      if (signedIn.isPresent() && !here) {
        HttpSession session = request.getSession(false);
        if (session != null) {
          session.invalidate();
        }
        SecurityContextHolder.clearContext();
      }
      String path = request.getServletPath();
      if (people.any()
          && !here
          && !READING.contains(request.getMethod())
          && !path.equals("/sign-in")
          && !path.equals("/error")
          && !path.startsWith("/control/")) {
        signInFirst(request, response);
      } else {
        chain.doFilter(request, response);
      }
    }
  }

  /** Open to its machine, Reglet keeps no sessions, and its forms carry no token of one. */
  private final class NoTokens extends OncePerRequestFilter {
    @Override
    protected void doFilterInternal(
        HttpServletRequest request, HttpServletResponse response, FilterChain chain)
        throws ServletException, IOException {
      if (!people.any()) {
        request.removeAttribute(CsrfToken.class.getName());
        request.removeAttribute("_csrf");
      }
      chain.doFilter(request, response);
    }
  }
}
