package app.reglet.press.type;

import app.reglet.core.Refusal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * The typefaces there are: those that ship with Reglet, all under the SIL Open Font License (see
 * NOTICE), and those that people bring. Which ship is written in {@code fonts/families.txt}.
 */
public final class Typefaces {
  /** Stands for faces that are not here. */
  private static final String STAND_IN = "spectral";

  private static final Typefaces SHIPPED = new Typefaces(ShippedFaces.families());

  private final List<Family> families;
  private volatile Shelf shelf;

  /** All families at one time, and their faces. */
  private record Shelf(
      List<Family> brought, Map<String, Typeface> byId, Map<String, Family> familyOf) {
    static Shelf of(List<Family> shipped, List<Family> brought) {
      Map<String, Typeface> byId = new LinkedHashMap<>();
      Map<String, Family> familyOf = new LinkedHashMap<>();
      for (Family family : Stream.concat(shipped.stream(), brought.stream()).toList()) {
        for (Typeface face : family.faces()) {
          byId.put(face.id(), face);
          familyOf.put(face.id(), family);
        }
      }
      return new Shelf(List.copyOf(brought), byId, familyOf);
    }
  }

  private Typefaces(List<Family> families) {
    this.families = List.copyOf(families);
    this.shelf = Shelf.of(families, List.of());
  }

  /** Those that ship and no others; each file is read when it is first used. */
  public static Typefaces shipped() {
    return SHIPPED;
  }

  /** Those that ship, to which others are {@linkplain #bring brought}. */
  public static Typefaces open() {
    return new Typefaces(SHIPPED.families);
  }

  /** Every family that ships, by classification and name. */
  public List<Family> families() {
    return families;
  }

  /** Every family that somebody brought. */
  public List<Family> brought() {
    return shelf.brought();
  }

  /**
   * Adds a face that somebody brought to the family of its name; one that is here already stays.
   */
  public synchronized void bring(String family, Typeface face) {
    if (this == SHIPPED) {
      throw new IllegalStateException("These are those that ship");
    }
    if (has(face.id())) {
      return;
    }
    String id = "own-" + Integer.toHexString(family.toLowerCase(Locale.ROOT).hashCode());
    List<Family> now = new ArrayList<>();
    List<Typeface> faces = new ArrayList<>(List.of(face));
    for (Family f : shelf.brought()) {
      if (f.id().equals(id)) {
        faces.addAll(f.faces());
      } else {
        now.add(f);
      }
    }
    faces.sort(
        Comparator.comparing((Typeface f) -> f.isItalic())
            .thenComparing(f -> f.weight() == 400 ? 0 : 1)
            .thenComparing(Typeface::weight));
    now.add(
        new Family(id, family, Classification.BROUGHT, Set.of(), List.copyOf(faces), List.of()));
    now.sort(Comparator.comparing(Family::name, String.CASE_INSENSITIVE_ORDER));
    shelf = Shelf.of(families, now);
  }

  /** The family that a face is of. */
  public Family familyOf(Typeface face) {
    return shelf.familyOf().get(face.id());
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
    return Stream.concat(families.stream(), Stream.of(own).filter(f -> !families.contains(f)))
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
    return List.copyOf(shelf.byId().values());
  }

  public boolean has(String id) {
    return shelf.byId().containsKey(id);
  }

  /**
   * A face by its id.
   *
   * @throws Refusal when there is none
   */
  public Typeface get(String id) {
    Typeface face = shelf.byId().get(id);
    if (face == null) {
      throw new Refusal(
          "face", "There is no typeface “" + id + "” here: choose one from the list.");
    }
    return face;
  }

  /** A face by its id, or where it is not here the one that stands for it. */
  public Typeface orStandIn(String id) {
    return has(id) ? get(id) : get(STAND_IN);
  }
}
