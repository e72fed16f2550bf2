package app.reglet.core.edit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.reglet.core.Refusal;
import app.reglet.core.book.Book;
import app.reglet.core.book.Fact;
import app.reglet.core.design.Content;
import app.reglet.core.design.Design;
import app.reglet.core.design.Piece;
import app.reglet.core.design.Row;
import app.reglet.core.design.Words;
import app.reglet.core.layout.StartingLayout;
import app.reglet.core.wrap.Wrap;
import app.reglet.core.wrap.Wraps;
import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;

/** A spine made one line of parts, by what a form sends. */
public class LineEditTest {
  private static final Book BOOK =
      new Book("The Salt Ledger", "", "Maren Aldous", "Sedge & Samphire", "", Optional.empty(), "");
  private static final Wrap WRAP = Wraps.sixByNine(300);

  private static Content.Group line(Design design) {
    return design.outside().pieces().stream()
        .map(Piece::content)
        .filter(Content.Group.class::isInstance)
        .map(Content.Group.class::cast)
        .findFirst()
        .orElseThrow();
  }

  private static List<Fact> facts(Content.Group line) {
    return line.pieces().stream().map(p -> ((Words) p.content()).fact()).toList();
  }

  @Test
  public void aLineTakesTheWordsOfTheSpineInAndAddsWhatIsLacking() {
    Typing typing = new Typing(WRAP, BOOK);
    Design before = StartingLayout.LEDGER.on(WRAP, BOOK, Design.EMPTY);
    Design after = typing.apply(before, "edit", "add", "what", "line");
    assertThat(facts(line(after))).containsExactly(Fact.AUTHOR, Fact.TITLE, Fact.IMPRINT);
    assertThat(line(after).row()).isEqualTo(Row.OF_SPINE);
    Piece title = before.piece("spine-title").orElseThrow();
    assertThat(after.piece("spine-title").orElseThrow().content()).isEqualTo(title.content());
    assertThat(after.outside().pieces()).extracting(Piece::id).doesNotContain("spine-title");
    assertThat(after.outside().all().map(Piece::id).toList()).doesNotHaveDuplicates();
  }

  /** Ids that were freed by taking pieces off are taken again, each once. */
  @Test
  public void newPartsNeverTakeTheIdOfAPieceThatIsThere() {
    Typing typing = new Typing(WRAP, BOOK);
    Design design = Design.EMPTY;
    for (int i = 0; i < 4; i++) {
      design = typing.apply(design, "edit", "add", "what", "front:own");
    }
    design = typing.apply(design, "edit", "remove", "piece", "words-2");
    design = typing.apply(design, "edit", "add", "what", "line");
    assertThat(line(design).pieces()).hasSize(3);
    assertThat(design.outside().all().map(Piece::id).toList()).doesNotHaveDuplicates();
  }

  @Test
  public void anOrnamentOfTheSpineStandsInTheLineBeforeTheImprint() {
    Typing typing = new Typing(WRAP, BOOK);
    Design design =
        typing.apply(
            Design.EMPTY, "edit", "add", "what", "ornament", "ornament", "leaf", "panel", "spine");
    String leaf = design.outside().pieces().get(0).id();
    design = typing.apply(design, "edit", "add", "what", "line");
    assertThat(line(design).pieces()).extracting(Piece::id).element(2).isEqualTo(leaf);
    assertThat(line(design).pieces()).hasSize(4);
  }

  @Test
  public void aBookWithoutAnImprintHasALineOfTwoAndOneWithoutAnythingNone() {
    Book noImprint = new Book("Salt", "", "Maren Aldous", "", "", Optional.empty(), "");
    Design after = new Typing(WRAP, noImprint).apply(Design.EMPTY, "edit", "add", "what", "line");
    assertThat(facts(line(after))).containsExactly(Fact.AUTHOR, Fact.TITLE);
    Book nothing = new Book("", "", "", "", "", Optional.empty(), "");
    assertThatThrownBy(
            () -> new Typing(WRAP, nothing).apply(Design.EMPTY, "edit", "add", "what", "line"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("no author, title or imprint yet");
  }

  @Test
  public void aPartIsNotMovedButArrangedAndIsFreeAgainOutOfTheLine() {
    Typing typing = new Typing(WRAP, BOOK);
    Design design = typing.apply(Design.EMPTY, "edit", "add", "what", "line");
    String group = design.outside().pieces().get(0).id();
    String author = line(design).pieces().get(0).id();
    assertThatThrownBy(
            () -> typing.apply(design, "edit", "move", "piece", author, "right", "1", "down", "1"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("stands in a line of parts");
    for (String[] fields :
        new String[][] {
          {"edit", "turn", "piece", author, "angle", "10"},
          {"edit", "place", "piece", author, "from", "spine.trim", "left", "3"},
          {"edit", "place", "piece", author, "from", "spine.trim", "width", "3"},
        }) {
      assertThatThrownBy(() -> typing.apply(design, fields))
          .as(fields[1])
          .isInstanceOf(Refusal.class)
          .hasMessageContaining("stands in a line of parts");
    }
    Design other = typing.apply(design, "edit", "reorder", "piece", author, "by", "1");
    assertThat(facts(line(other))).containsExactly(Fact.TITLE, Fact.AUTHOR, Fact.IMPRINT);
    Design largest = typing.change(design, "set", group, "rowSize", "largest");
    assertThat(line(largest).row()).isEqualTo(new Row(Row.Run.HOUSE, true));
    Design up = typing.change(largest, "set", group, "row", "UP");
    assertThat(line(up).row()).isEqualTo(new Row(Row.Run.UP, true));
    Design free = typing.change(up, "set", group, "row", "none");
    assertThat(line(free).row()).isNull();
    typing.apply(free, "edit", "move", "piece", author, "right", "1", "down", "1");
  }
}
