package app.reglet.core.check;

import app.reglet.core.book.Binding;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** What is found of an edition's facts beside the cover: told before it is handed over. */
public sealed interface OfEdition extends Found {
  /** The sentence; it has no lengths. */
  String told();

  @Override
  default <R> R accept(Found.Visitor<R> visitor) {
    return visitor.ofEdition(this);
  }

  /** A finding of it. */
  default Finding found(Finding.Severity severity, Remedy... remedies) {
    return new Finding(this, severity, Optional.empty(), Optional.empty(), List.of(remedies));
  }

  /**
   * The page count may still change, and the spine with it.
   *
   * @param spread pages more or less
   */
  record CountProvisional(int pages, int spread) implements OfEdition {
    @Override
    public String code() {
      return "count-provisional";
    }

    @Override
    public String told() {
      return "The page count is provisional, "
          + pages
          + " ± "
          + spread
          + ": settle it before the file goes to the house, since the spine follows it.";
    }
  }

  /** The inside is to be printed, and nothing is on it. */
  record InsideBare() implements OfEdition {
    @Override
    public String code() {
      return "inside-bare";
    }

    @Override
    public String told() {
      return "The inside is printed, and nothing is on it.";
    }
  }

  /**
   * Another title has the same ISBN.
   *
   * @param isbn as it is printed
   * @param title the other's
   */
  record IsbnTaken(String isbn, String title) implements OfEdition {
    @Override
    public String code() {
      return "isbn-taken";
    }

    @Override
    public String told() {
      return "ISBN "
          + isbn
          + " is that of "
          + FindingText.quoted(title)
          + " too: each book has its own.";
    }
  }

  /**
   * An edition in another form has the same ISBN.
   *
   * @param isbn as it is printed
   * @param binding the other's
   * @param house the other's
   */
  record IsbnShared(String isbn, Binding binding, String house) implements OfEdition {
    @Override
    public String code() {
      return "isbn-shared";
    }

    @Override
    public String told() {
      return "The "
          + binding.title().toLowerCase(Locale.ROOT)
          + " edition at "
          + house
          + " has ISBN "
          + isbn
          + " too: paperback, hardback and ebook have one each, or shops take one for the other.";
    }
  }
}
