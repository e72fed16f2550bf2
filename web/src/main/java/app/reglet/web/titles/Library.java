package app.reglet.web.titles;

import app.reglet.core.Refusal;
import app.reglet.core.book.Asset;
import app.reglet.core.book.Licence;
import app.reglet.web.shell.Gone;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The pictures that are kept with titles: by what right they are used, and whom to name. */
@Service
public class Library {
  private static final int MOST = 400;
  private static final int LONGEST_NAME = 120;

  private final Books books;

  public Library(Books books) {
    this.books = books;
  }

  /** Keeps a picture with a title; one that is kept already stays as it is. */
  @Transactional
  public void keep(Long book, String sha, String name) {
    BookEntity e = book(book);
    if (e.pictures().stream().noneMatch(a -> a.sha().equals(sha))) {
      if (e.pictures().size() >= MOST) {
        throw new Refusal(
            "picture",
            "A title keeps at most "
                + MOST
                + " pictures, and this one does: take some off that are not used.");
      }
      List<Asset> all = new ArrayList<>(e.pictures());
      all.add(Asset.of(sha, name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name));
      e.keep(all);
    }
  }

  /**
   * Says of a picture by what right it is used.
   *
   * @throws Refusal when what was typed is too long
   */
  @Transactional
  public void say(Long book, Asset said) {
    expectShort(said.source(), "source");
    expectShort(said.credit(), "credit");
    keep(book, said.sha(), said.name());
    change(
        book,
        said.sha(),
        a -> new Asset(a.sha(), a.name(), said.licence(), said.source(), said.credit()));
  }

  /** Keeps a picture with a title no longer; covers that show it go on doing so. */
  @Transactional
  public void takeOff(Long book, String sha) {
    BookEntity e = book(book);
    e.keep(e.pictures().stream().filter(a -> !a.sha().equals(sha)).toList());
  }

  /** A picture that came with Reglet or was drawn by it is its user's own. */
  @Transactional
  public void own(Long book, String sha, String name) {
    say(book, new Asset(sha, name, Licence.OWN, "", ""));
  }

  private void change(Long book, String sha, UnaryOperator<Asset> how) {
    BookEntity e = book(book);
    e.keep(e.pictures().stream().map(a -> a.sha().equals(sha) ? how.apply(a) : a).toList());
  }

  private BookEntity book(Long id) {
    return books.findById(id).orElseThrow(() -> new Gone("There is no such title here."));
  }

  private static void expectShort(String text, String field) {
    if (text.length() > Asset.LONGEST) {
      throw new Refusal(
          field,
          "This has "
              + text.length()
              + " characters; a "
              + field
              + " has at most "
              + Asset.LONGEST
              + ".");
    }
  }
}
