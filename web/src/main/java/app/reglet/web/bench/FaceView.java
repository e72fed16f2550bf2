package app.reglet.web.bench;

import app.reglet.core.book.Book;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.design.PrintedSide;
import app.reglet.core.design.Words;
import app.reglet.press.svg.SpecimenSvg;
import app.reglet.press.type.Classification;
import app.reglet.press.type.Family;
import app.reglet.press.type.Genre;
import app.reglet.press.type.Scripts;
import app.reglet.press.type.Typeface;
import app.reglet.press.type.Typefaces;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** The families that a piece of words can be set in, with its very words in each. */
final class FaceView {
  /** Specimens that were drawn lately; the same words are looked at again and again. */
  private static final int KEPT = 1200;

  private final Typefaces typefaces;
  private final Map<String, String> specimens =
      new LinkedHashMap<>(KEPT, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<String, String> eldest) {
          return size() > KEPT;
        }
      };

  /** Families under a heading. */
  public record Group(String title, List<Row> rows) {}

  /**
   * A family to choose from.
   *
   * @param shown the face that the specimen is of
   * @param specimen the words in it, an SVG element
   * @param lacks letters of the words that it has no glyph for
   * @param favourite whether the person keeps it at hand
   */
  public record Row(
      Family family, Typeface shown, String specimen, String lacks, boolean favourite) {
    /** What it is found by: its name, its classification, its genres and its scripts. */
    public String found() {
      return String.join(
          " ",
          Stream.concat(
                  Stream.of(
                      family.name().toLowerCase(Locale.ROOT), family.classification().title()),
                  Stream.concat(
                      family.genres().stream().map(Genre::title), Scripts.of(shown).stream()))
              .toList());
    }
  }

  FaceView(Typefaces typefaces) {
    this.typefaces = typefaces;
  }

  /**
   * All families, those at hand first.
   *
   * @param text the words
   * @param face the face they are in
   * @param byGenre grouped by genre, else by classification
   * @param favourites ids of families that the person keeps at hand
   * @param ofTitle which faces are of fonts kept with the title
   */
  List<Group> groups(
      Design design,
      String text,
      Typeface face,
      boolean byGenre,
      Set<String> favourites,
      Predicate<String> ofTitle) {
    Set<Family> used = new LinkedHashSet<>();
    used.add(typefaces.familyOf(face));
    faces(design).forEach(f -> used.add(typefaces.familyOf(f)));
    Set<String> going = new LinkedHashSet<>();
    used.forEach(f -> going.addAll(f.goesWith()));
    Function<Family, Row> row =
        f -> {
          Typeface shown = f.like(face);
          return new Row(
              f, shown, specimen(shown, text), shown.missing(text), favourites.contains(f.id()));
        };
    List<Group> groups = new ArrayList<>();
    groups.add(new Group("on this cover", used.stream().map(row).toList()));
    put(groups, "go with them", f -> going.contains(f.id()) && !used.contains(f), row);
    List<Family> all =
        Stream.concat(typefaces.families().stream(), typefaces.brought().stream()).toList();
    put(groups, "kept at hand", all, f -> favourites.contains(f.id()), row);
    Predicate<Family> here = f -> f.faces().stream().anyMatch(own -> ofTitle.test(own.id()));
    put(groups, "brought with this title", typefaces.brought(), here, row);
    put(groups, "brought with other titles", typefaces.brought(), here.negate(), row);
    if (byGenre) {
      for (Genre g : Genre.values()) {
        put(groups, g.title(), f -> f.genres().contains(g), row);
      }
    } else {
      for (Classification c : Classification.values()) {
        put(groups, c.title(), f -> f.classification() == c, row);
      }
    }
    return groups;
  }

  private void put(
      List<Group> groups, String title, Predicate<Family> which, Function<Family, Row> row) {
    put(groups, title, typefaces.families(), which, row);
  }

  private static void put(
      List<Group> groups,
      String title,
      List<Family> families,
      Predicate<Family> which,
      Function<Family, Row> row) {
    List<Row> rows = families.stream().filter(which).map(row).toList();
    if (!rows.isEmpty()) {
      groups.add(new Group(title, rows));
    }
  }

  private Stream<Typeface> faces(Design design) {
    return Stream.concat(
            design.side(PrintedSide.OUTSIDE).all(), design.side(PrintedSide.INSIDE).all())
        .map(Piece::content)
        .filter(Words.class::isInstance)
        .map(c -> ((Words) c).type().face())
        .filter(typefaces::has)
        .map(typefaces::get);
  }

  private String specimen(Typeface face, String text) {
    String key = face.id() + " " + text;
    synchronized (specimens) {
      String kept = specimens.get(key);
      if (kept != null) {
        return kept;
      }
    }
    String drawn = SpecimenSvg.of(face, text);
    synchronized (specimens) {
      specimens.put(key, drawn);
    }
    return drawn;
  }

  /** The words of a piece, or the title where there are none. */
  static String text(Piece piece, Book book) {
    Content content = piece == null ? null : piece.content();
    String text = content instanceof Words w ? shown(w, book) : "";
    return !text.isBlank() ? text : book.title().isBlank() ? "Words" : book.title();
  }

  private static String shown(Words words, Book book) {
    String text = words.on(book).text();
    return words.type().letters().areCapitals() ? text.toUpperCase(Locale.ROOT) : text;
  }
}
