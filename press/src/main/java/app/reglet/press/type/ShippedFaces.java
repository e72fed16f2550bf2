package app.reglet.press.type;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Reads which families ship with Reglet: {@code fonts/families.txt}. */
final class ShippedFaces {
  private static final String LIST = "/fonts/families.txt";

  private ShippedFaces() {}

  static List<Family> families() {
    try (InputStream in = ShippedFaces.class.getResourceAsStream(LIST);
        BufferedReader lines =
            new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
      return lines
          .lines()
          .filter(l -> !l.isBlank() && !l.startsWith("#"))
          .map(ShippedFaces::family)
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A line of the list: id, name, classification, genres, faces, families that go with it. */
  private static Family family(String line) {
    String[] cells = line.split("\\|");
    String id = cells[0].strip();
    String name = cells[1].strip();
    List<Typeface> faces = new ArrayList<>();
    for (String face : cells[4].split(";")) {
      String[] parts = face.strip().split("=");
      faces.add(face(parts[0], name, parts[1], "/fonts/" + id + "/" + parts[2] + ".ttf"));
    }
    return new Family(
        id,
        name,
        Classification.of(cells[2].strip()),
        words(cells[3]).stream()
            .map(g -> Genre.valueOf(g.toUpperCase(Locale.ROOT)))
            .collect(Collectors.toUnmodifiableSet()),
        List.copyOf(faces),
        words(cells[5]));
  }

  private static Typeface face(String id, String family, String style, String resource) {
    boolean italic = style.contains("Italic") || style.contains("Oblique");
    String whole = style.equals("Regular") ? family : family + " " + style;
    return new Typeface(id, whole, style, weight(style), italic, false, () -> file(resource));
  }

  /** By the style's name (CSS Fonts 4, 2.2.2). */
  private static int weight(String style) {
    String plain = style.replaceAll("\\s*(Italic|Oblique)", "").replace(" ", "");
    return switch (plain) {
      case "Thin" -> 100;
      case "ExtraLight" -> 200;
      case "Light" -> 300;
      case "Medium" -> 500;
      case "SemiBold" -> 600;
      case "Bold" -> 700;
      case "ExtraBold" -> 800;
      case "Black" -> 900;
      default -> 400;
    };
  }

  private static byte[] file(String resource) {
    try (InputStream in = ShippedFaces.class.getResourceAsStream(resource)) {
      if (in == null) {
        throw new IllegalStateException("The typeface file " + resource + " is not in the jar");
      }
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static List<String> words(String cell) {
    return Arrays.stream(cell.strip().split(" ")).filter(w -> !w.isEmpty()).toList();
  }
}
