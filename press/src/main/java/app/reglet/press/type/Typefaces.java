package app.reglet.press.type;

import app.reglet.core.Refusal;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The typefaces that ship with Reglet, all under the SIL Open Font License; see NOTICE. Which there
 * are is written in {@code fonts/families.txt}.
 */
public final class Typefaces {
  private static final String LIST = "/fonts/families.txt";
  private static final Typefaces SHIPPED = read();

  private final List<Family> families;
  private final Map<String, Typeface> byId = new LinkedHashMap<>();
  private final Map<String, Family> familyOf = new LinkedHashMap<>();

  private Typefaces(List<Family> families) {
    this.families = List.copyOf(families);
    for (Family family : families) {
      for (Typeface face : family.faces()) {
        byId.put(face.id(), face);
        familyOf.put(face.id(), family);
      }
    }
  }

  private static Typefaces read() {
    try (InputStream in = Typefaces.class.getResourceAsStream(LIST);
        BufferedReader lines =
            new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
      return new Typefaces(
          lines
              .lines()
              .filter(l -> !l.isBlank() && !l.startsWith("#"))
              .map(Typefaces::family)
              .toList());
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
      String whole = parts[1].equals("Regular") ? name : name + " " + parts[1];
      String file = "/fonts/" + id + "/" + parts[2] + ".ttf";
      faces.add(new Typeface(parts[0], whole, parts[1], file));
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

  private static List<String> words(String cell) {
    return Arrays.stream(cell.strip().split(" ")).filter(w -> !w.isEmpty()).toList();
  }

  /** The shipped faces; each file is read when it is first used. */
  public static Typefaces shipped() {
    return SHIPPED;
  }

  /** Every family, by classification and name. */
  public List<Family> families() {
    return families;
  }

  /** The family that a face is of. */
  public Family familyOf(Typeface face) {
    return familyOf.get(face.id());
  }

  /**
   * A face that has all characters of a text where one lacks some: of its family, else of its
   * classification, else any; of the same style where there is one.
   */
  public Optional<Typeface> instead(Typeface face, String text) {
    if (face.missing(text).isEmpty()) {
      return Optional.empty();
    }
    Family own = familyOf(face);
    return families.stream()
        .sorted(
            Comparator.comparing(
                f -> f == own ? 0 : f.classification() == own.classification() ? 1 : 2))
        .flatMap(f -> Stream.concat(Stream.of(f.like(face)), f.faces().stream()))
        .filter(f -> f.missing(text).isEmpty())
        .findFirst();
  }

  /** The face of the same family and slant that is bolder by two steps, bold before others. */
  Optional<Typeface> bolder(Typeface face) {
    return familyOf(face).faces().stream()
        .filter(f -> f.isItalic() == face.isItalic() && f.weight() >= face.weight() + 200)
        .min(Comparator.comparing(f -> Math.abs(f.weight() - Math.max(700, face.weight() + 200))));
  }

  /**
   * The face of the same family and weight that slants where this one is upright, or the reverse.
   */
  Optional<Typeface> slanted(Typeface face) {
    return familyOf(face).faces().stream()
        .filter(f -> f.isItalic() != face.isItalic())
        .min(Comparator.comparing(f -> Math.abs(f.weight() - face.weight())));
  }

  public List<Typeface> all() {
    return List.copyOf(byId.values());
  }

  public boolean has(String id) {
    return byId.containsKey(id);
  }

  /**
   * A face by its id.
   *
   * @throws Refusal when there is none
   */
  public Typeface get(String id) {
    Typeface face = byId.get(id);
    if (face == null) {
      throw new Refusal(
          "face", "There is no typeface “" + id + "” here: choose one from the list.");
    }
    return face;
  }
}
