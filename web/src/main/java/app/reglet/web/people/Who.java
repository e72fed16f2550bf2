package app.reglet.web.people;

import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Who is asking, in this thread. */
@Component
public class Who {
  private final People people;

  Who(People people) {
    this.people = people;
  }

  static Optional<SignedIn> signedIn() {
    Authentication a = SecurityContextHolder.getContext().getAuthentication();
    return a != null && a.getPrincipal() instanceof SignedIn s ? Optional.of(s) : Optional.empty();
  }

  /** The name that goes beside what they make; empty when Reglet is open to its machine. */
  public String name() {
    return signedIn().map(SignedIn::name).orElse("");
  }

  /** What they may do. */
  public May may() {
    if (!people.any()) {
      return May.EVERYTHING;
    }
    return signedIn()
        .flatMap(s -> people.known(s.id()).map(k -> new May(k.name(), s.id(), k.role())))
        .orElse(May.NOTHING);
  }
}
