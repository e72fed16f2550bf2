package app.reglet.press.colour;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;

/**
 * The printing conditions that ship, each with a profile made of open characterisation data; see
 * {@code profiles/README.txt} beside them for origin and command.
 */
public enum OutputCondition {
  /** Offset on coated paper, ISO 12647-2 paper types 1 and 2. */
  COATED("coated", "Offset on coated paper", "FOGRA39"),
  /** Offset on uncoated white paper, ISO 12647-2 paper type 4. */
  UNCOATED("uncoated", "Offset on uncoated paper", "FOGRA29"),
  /** Web offset on light coated paper. */
  WEB_COATED("web-coated", "Web offset on light coated paper", "CGATS TR 005");

  private final String id;
  private final String title;
  private final String registered;
  private PressProfile profile;

  OutputCondition(String id, String title, String registered) {
    this.id = id;
    this.title = title;
    this.registered = registered;
  }

  /** The name used in documents. */
  public String id() {
    return id;
  }

  /** What people call it. */
  public String title() {
    return title;
  }

  /** Its identifier in the registry of characterisations (http://www.color.org). */
  public String registered() {
    return registered;
  }

  /** As a condition that files are made for. */
  public Condition condition() {
    return new Condition(id, title, registered, profile());
  }

  /** Its profile, read once. */
  public synchronized PressProfile profile() {
    if (profile == null) {
      try (InputStream in = OutputCondition.class.getResourceAsStream("/profiles/" + id + ".icc")) {
        profile = PressProfile.of(in.readAllBytes());
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
    return profile;
  }
}
