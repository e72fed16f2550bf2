package app.reglet.web.store;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** Sums by which what was made is found again: two texts that differ never share one. */
public final class Sum {
  private Sum() {}

  /** The SHA-256 (FIPS 180-4) of a text in UTF-8, in hexadecimal digits. */
  public static String of(String text) {
    try {
      return HexFormat.of()
          .formatHex(
              MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e); // every Java has it
    }
  }
}
