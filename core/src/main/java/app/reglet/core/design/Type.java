package app.reglet.core.design;

import app.reglet.core.measure.Length;
import java.util.List;

/**
 * The letters that words are set in.
 *
 * @param face id of the typeface
 * @param size type size; the largest that is taken where {@code fit} makes it smaller
 * @param fit how the size follows the box
 * @param tracking space added between letters, in thousandths of the size
 * @param letters capitals and small letters
 * @param features tags of OpenType features that are put to use, in the order of the alphabet:
 *     {@code onum}, {@code ss01}; one the face hasn't is without effect
 */
public record Type(
    String face, Length size, Fit fit, int tracking, Letters letters, List<String> features) {
  public Type {
    features = features.stream().distinct().sorted().toList();
  }

  /** How the size follows the box. */
  public enum Fit {
    /** It doesn't. */
    SIZE,
    /** It shrinks until the words have room. */
    AT_MOST,
    /** It is the largest at which the words have room. */
    LARGEST,
    /** Every line has the size at which it is as wide as the box. */
    WIDTH
  }

  /** Capitals and small letters. */
  public enum Letters {
    AS_WRITTEN,
    CAPITALS,
    /** Small letters as small capitals. */
    SMALL_CAPITALS,
    /** Capitals and small letters as small capitals. */
    ALL_SMALL_CAPITALS;

    /** Whether nothing hangs below the baseline. */
    public boolean areCapitals() {
      return this != AS_WRITTEN;
    }
  }

  /** A face at a size, shrunk to its box. */
  public static Type of(String face, Length size) {
    return new Type(face, size, Fit.AT_MOST, 0, Letters.AS_WRITTEN, List.of());
  }

  Type withFace(String other) {
    return new Type(other, size, fit, tracking, letters, features);
  }

  public Type withSize(Length other) {
    return new Type(face, other, fit, tracking, letters, features);
  }

  public Type withFit(Fit other) {
    return new Type(face, size, other, tracking, letters, features);
  }

  public Type withLetters(Letters other) {
    return new Type(face, size, fit, tracking, other, features);
  }

  public Type withTracking(int thousandths) {
    return new Type(face, size, fit, thousandths, letters, features);
  }

  public Type withFeatures(List<String> tags) {
    return new Type(face, size, fit, tracking, letters, tags);
  }
}
