package app.reglet.web.people;

import java.io.Serializable;

/**
 * Who a session belongs to.
 *
 * @param epoch the count of the person's sign-outs when the session began
 */
public record SignedIn(Long id, String name, int epoch) implements Serializable {
  @Override
  public String toString() {
    return "person " + id;
  }
}
