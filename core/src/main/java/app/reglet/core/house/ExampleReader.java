package app.reglet.core.house;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Flaps;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.book.ToldSpine;
import app.reglet.core.measure.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Reads the worked examples of a rule sheet. */
final class ExampleReader {
  private final Listed listed;
  private final Set<Binding> bindings;
  private final Faults faults;

  ExampleReader(Listed listed, Set<Binding> bindings, Faults faults) {
    this.listed = listed;
    this.bindings = bindings;
    this.faults = faults;
  }

  List<WorkedExample> read(DocumentPart doc) {
    List<WorkedExample> examples = new ArrayList<>();
    for (DocumentPart each : doc.parts("examples")) {
      WorkedExample example = faults.read(() -> example(each), null);
      if (example != null) {
        examples.add(example);
      }
    }
    return examples;
  }

  private WorkedExample example(DocumentPart part) {
    Binding binding = part.choice("binding", Binding.values());
    if (!bindings.contains(binding)) {
      throw part.refuse("binding", "is “" + binding.id() + "”, which the sheet does not offer.");
    }
    boolean flapped = part.has("frontFlap") | part.has("backFlap");
    Optional<Flaps> flaps =
        flapped
            ? Optional.of(new Flaps(part.length("frontFlap"), part.length("backFlap")))
            : Optional.empty();
    Optional<Length> told = part.optionalLength("toldSpine");
    Specification spec =
        new Specification(
            binding,
            part.size("trim"),
            binding.hasPages() ? part.count("pages") : 1,
            known(part, "stock", listed.stocks(), few(listed.stocks())),
            known(part, "ink", listed.inks(), true),
            part.choice("turn", PageTurn.values()),
            flaps,
            told.map(width -> new ToldSpine(width, "")),
            false);
    WorkedExample example =
        new WorkedExample(spec, part.text("spine"), part.text("sheet"), part.text("source"));
    if (example.spine().isEmpty() && example.sheet().isEmpty()) {
      throw part.refuse("spine", "is missing: an example gives a spine, a sheet or both.");
    }
    part.end();
    return example;
  }

  private static boolean few(Set<String> ids) {
    return ids == null || ids.size() < 2;
  }

  /** One of the listed ids; the first where it need not be named. */
  private static String known(DocumentPart part, String key, Set<String> ids, boolean mayBeAbsent) {
    String id = part.name(key);
    if (id.isEmpty()) {
      if (!mayBeAbsent) {
        throw part.refuse(key, "is missing: the sheet lists more than one.");
      }
      return ids == null || ids.isEmpty() ? "" : ids.iterator().next();
    }
    if (ids != null && !ids.contains(id)) {
      throw part.refuse(key, "names “" + id + "”, which the sheet does not list.");
    }
    return id;
  }
}
