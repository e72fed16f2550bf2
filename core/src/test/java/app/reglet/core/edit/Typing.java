package app.reglet.core.edit;

import app.reglet.core.book.Book;
import app.reglet.core.design.Design;
import app.reglet.core.design.document.DesignDocument;
import app.reglet.core.measure.Unit;
import app.reglet.core.wrap.Wrap;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Changes a design by fields, as a form sends them. */
final class Typing {
  private static final Stock STOCK =
      new Stock() {
        @Override
        public boolean hasFace(String id) {
          return true;
        }

        @Override
        public Optional<Stock.Ornament> ornament(String id) {
          return id.equals("leaf")
              ? Optional.of(new Stock.Ornament("Leaf", 1, 1))
              : id.equals("rule")
                  ? Optional.of(new Stock.Ornament("Rule", 8, 1))
                  : Optional.empty();
        }
      };

  private final Wrap wrap;
  private final Book book;

  Typing(Wrap wrap, Book book) {
    this.wrap = wrap;
    this.book = book;
  }

  /** The design after a change, which can be told, kept and read back. */
  Design apply(Design design, String... fields) {
    Map<String, String> map = new LinkedHashMap<>();
    for (int i = 0; i < fields.length; i += 2) {
      map.put(fields[i], fields[i + 1]);
    }
    Edit edit = EditReader.read(map, Unit.MM, design, List.of(), STOCK);
    EditSentence.of(edit, design, Unit.MM);
    Design after = Editing.apply(edit, design, wrap, book);
    Design kept = DesignDocument.read(DesignDocument.write(after));
    if (!kept.equals(after)) {
      throw new AssertionError("What is read back is another design: " + kept);
    }
    return after;
  }

  /** The same with a change of one piece. */
  Design change(Design design, String kind, String piece, String... fields) {
    List<String> all = new ArrayList<>(List.of("edit", kind, "piece", piece));
    all.addAll(List.of(fields));
    return apply(design, all.toArray(String[]::new));
  }
}
