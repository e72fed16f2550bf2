package app.reglet.web.shell;

import app.reglet.web.Reglet;

/** Which Reglet this is. */
public final class Version {
  /** As the jar says; when it runs from its classes there is none. */
  public static final String NUMBER =
      Reglet.class.getPackage().getImplementationVersion() == null
          ? "0.1.0, in development"
          : Reglet.class.getPackage().getImplementationVersion();

  private Version() {}
}
