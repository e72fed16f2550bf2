package app.reglet.press.inspect;

import app.reglet.core.check.Finding;
import app.reglet.core.measure.Box;
import app.reglet.core.measure.Unit;
import app.reglet.press.inspect.FileCheck.Remark;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What was found of a file as a command prints it: lines for people, JSON for scripts, and an exit
 * code: 0 it fits, 1 something is worth a look, 2 something must be mended, 3 it can't be read.
 */
public final class FileReport {
  /** It fits, or was held against nothing. */
  public static final int FITS = 0;

  /** Something is worth a look. */
  public static final int LOOK = 1;

  /** Something must be mended. */
  public static final int STOPS = 2;

  /** It can't be read. */
  public static final int UNREADABLE = 3;

  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final String name;
  private final FileFacts facts;
  private final Optional<List<Remark>> remarks;
  private final Unit unit;

  /**
   * A report.
   *
   * @param remarks what was found beside a measured sheet; empty when there was none
   * @param unit of sentences
   */
  public FileReport(String name, FileFacts facts, Optional<List<Remark>> remarks, Unit unit) {
    this.name = name;
    this.facts = facts;
    this.remarks = remarks;
    this.unit = unit;
  }

  /** The exit code of this file. */
  public int exit() {
    List<Remark> all = remarks.orElse(List.of());
    if (all.stream().anyMatch(r -> r.finding().mustMend())) {
      return STOPS;
    }
    return all.isEmpty() ? FITS : LOOK;
  }

  /** Lines for people. */
  public String text() {
    StringBuilder out = new StringBuilder();
    if (facts.hasPages()) {
      PdfFacts pdf = facts.pdf();
      line(out, pdf.pages() + (pdf.pages() == 1 ? " page" : " pages") + ", PDF " + pdf.version());
      for (PdfFacts.NamedBox b : pdf.first().boxes()) {
        line(
            out,
            String.format(
                Locale.ROOT,
                "%-10s %s (%s)",
                b.name(),
                b.size().brief(Unit.IN),
                b.size().brief(Unit.MM)));
      }
      for (PdfFacts.FontFact f : pdf.fonts()) {
        line(
            out,
            String.format(
                Locale.ROOT,
                "%-10s %s, %s%s",
                "Font",
                f.name(),
                f.embedded() ? "embedded" : "not embedded",
                f.subset() ? ", subset" : ""));
      }
      facts.traits().standards().forEach(s -> line(out, "Standard   " + s));
      facts.traits().intents().forEach(i -> line(out, "Made for   " + i.condition()));
      facts.codes().forEach(c -> line(out, "Barcode    " + c.number()));
    }
    facts
        .picture()
        .ifPresent(
            p -> line(out, facts.kind() + ", " + p.width() + " × " + p.height() + " pixels"));
    remarks.ifPresent(
        all -> {
          for (Remark r : all) {
            line(
                out,
                (r.finding().mustMend() ? "Mend: " : "Look: ")
                    + (facts.pdf().pages() > 1 ? "page " + r.page() + ": " : "")
                    + r.finding().sentence(unit));
          }
          line(out, exit() == STOPS ? "It does not fit." : "It fits.");
        });
    return out.toString();
  }

  private static void line(StringBuilder out, String text) {
    out.append(text).append('\n');
  }

  /** The report as JSON. */
  public ObjectNode json() {
    ObjectNode out = JSON.createObjectNode();
    out.put("file", name).put("kind", facts.kind()).put("sha256", facts.sha());
    if (facts.hasPages()) {
      out.put("version", facts.pdf().version()).put("pages", facts.pdf().pages());
      ArrayNode boxes = out.putArray("boxes");
      for (PdfFacts.NamedBox b : facts.pdf().first().boxes()) {
        boxes
            .addObject()
            .put("name", b.name())
            .put("widthMm", b.size().width().toMm())
            .put("heightMm", b.size().height().toMm());
      }
      ArrayNode fonts = out.putArray("fonts");
      for (PdfFacts.FontFact f : facts.pdf().fonts()) {
        fonts
            .addObject()
            .put("name", f.name())
            .put("type", f.type())
            .put("embedded", f.embedded())
            .put("subset", f.subset());
      }
      ArrayNode codes = out.putArray("barcodes");
      facts.codes().forEach(c -> codes.add(c.number()));
    }
    facts
        .picture()
        .ifPresent(p -> out.putObject("pixels").put("width", p.width()).put("height", p.height()));
    remarks.ifPresent(
        all -> {
          out.put("fits", exit() != STOPS);
          ArrayNode found = out.putArray("findings");
          for (Remark r : all) {
            Finding f = r.finding();
            ObjectNode one =
                found
                    .addObject()
                    .put("code", f.code())
                    .put("mend", f.mustMend())
                    .put("page", r.page())
                    .put("sentence", f.sentence(unit));
            f.place().ifPresent(p -> place(one, p));
          }
        });
    out.put("exit", exit());
    return out;
  }

  private static void place(ObjectNode of, Box p) {
    of.putObject("placeMm")
        .put("x", p.x().toMm())
        .put("y", p.y().toMm())
        .put("width", p.width().toMm())
        .put("height", p.height().toMm());
  }

  /** What is told of a file that can't be read. */
  public static ObjectNode unreadable(String name, String why) {
    ObjectNode out = JSON.createObjectNode();
    out.put("file", name).put("refused", why).put("exit", UNREADABLE);
    return out;
  }
}
