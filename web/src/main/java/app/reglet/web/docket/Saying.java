package app.reglet.web.docket;

import app.reglet.core.Refusal;
import app.reglet.core.book.Fact;
import app.reglet.web.shell.Conflict;
import app.reglet.web.shell.Gone;
import app.reglet.web.titles.BookEntity;
import app.reglet.web.titles.Books;
import app.reglet.web.titles.EditionEntity;
import app.reglet.web.titles.Editions;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** One fact of a book changed where it is read, on its cover; the docket can take it back. */
@Service
public class Saying {
  private final Books books;
  private final Editions editions;
  private final FactsHistory history;

  Saying(Books books, Editions editions, FactsHistory history) {
    this.books = books;
    this.editions = editions;
    this.history = history;
  }

  /**
   * Says one fact anew, from where it stands on the cover.
   *
   * @param said what the page showed it to say
   * @throws Conflict when it says something else by now
   * @throws Refusal when it can't say this
   */
  @Transactional
  public void say(Long id, Fact fact, String said, String text) {
    EditionEntity edition =
        editions.findById(id).orElseThrow(() -> new Gone("There is no such edition here."));
    BookEntity book = edition.getBook();
    if (!edition.printed().text(fact).equals(said.replace("\r\n", "\n"))) {
      throw new Conflict(
          "The "
              + fact.id()
              + " was changed in another window. Nothing was overwritten: reload, and change it again.");
    }
    String now = text.replace("\r\n", "\n").replace("\u0000", "").strip();
    int most =
        fact.isProse()
            ? DocketService.LONGEST_BLURB
            : fact == Fact.PRICE ? DocketService.LONGEST_PRICE : DocketService.LONGEST;
    if (now.length() > most) {
      throw new Refusal(
          "text",
          "That is "
              + now.length()
              + " characters; the "
              + fact.id()
              + " holds at most "
              + most
              + ". Nothing was changed.");
    }
    if (fact == Fact.TITLE && now.isEmpty()) {
      throw new Refusal("text", "A title can't be empty. Take these words off instead.");
    }
    Map<String, String> was = history.state(edition);
    book.say(fact, now);
    books.saveAndFlush(book);
    history.record(edition, was);
  }
}
