package app.reglet.press.colour;

/**
 * How colours that a press can't print are brought into those it can (ICC.1:2010, 6.2).
 *
 * @param intent what is kept
 * @param blackPoint whether black becomes the darkest that is printed and all darks above it stay
 *     apart (black-point compensation, ISO 18619)
 */
public record Rendering(Intent intent, boolean blackPoint) {
  /** What is kept of colours. */
  public enum Intent {
    /** How they are to each other: photographs. */
    PERCEPTUAL,
    /** Themselves, where they can be printed; the paper is white. */
    RELATIVE
  }

  /** What is usual for covers: common practice, no single source. */
  public static final Rendering USUAL = new Rendering(Intent.RELATIVE, true);
}
