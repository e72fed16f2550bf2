package app.reglet.web.people;

import java.time.Duration;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.authentication.WebAuthenticationDetails;
import org.springframework.stereotype.Component;

/** Checks a name and a password. */
@Component
class SignIn implements AuthenticationProvider {
  private static final Logger LOG = LoggerFactory.getLogger(SignIn.class);

  private final People people;
  private final Tries tries;

  SignIn(People people, Tries tries) {
    this.people = people;
    this.tries = tries;
  }

  @Override
  public Authentication authenticate(Authentication asked) {
    String typed = String.valueOf(asked.getName());
    String name = People.folded(typed.length() > 200 ? typed.substring(0, 200) : typed);
    String password = String.valueOf(asked.getCredentials());
    String address =
        asked.getDetails() instanceof WebAuthenticationDetails d ? d.getRemoteAddress() : "";
    Duration wait = tries.wait(name, address);
    if (!wait.isZero()) {
      LOG.info("sign-in refused: too many tries from {}", address);
      throw new LockedException(
          "Too many tries that were wrong: wait " + told(wait) + ", then try again.");
    }
    var person = people.byName(name);
    if (!people.matches(password, person)) {
      tries.failed(name, address);
      LOG.info("sign-in refused: wrong name or password from {}", address);
      throw new BadCredentialsException(
          "Name or password is not right. An owner can give you another password.");
    }
    tries.succeeded(name, address);
    PersonEntity p = person.get();
    LOG.info("person {} signed in", p.getId());
    return UsernamePasswordAuthenticationToken.authenticated(
        new SignedIn(p.getId(), p.getName(), p.getEpoch()), null, List.of());
  }

  private static String told(Duration wait) {
    long seconds = Math.max(1, wait.toSeconds() + (wait.getNano() > 0 ? 1 : 0));
    return seconds < 120 ? seconds + " seconds" : (seconds + 59) / 60 + " minutes";
  }

  @Override
  public boolean supports(Class<?> type) {
    return UsernamePasswordAuthenticationToken.class.isAssignableFrom(type);
  }
}
