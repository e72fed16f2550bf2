package app.reglet.press.vector;

import app.reglet.core.Refusal;
import app.reglet.press.ornament.Ornament;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.press.svg.OrnamentSvg;
import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.DocumentLimits;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.parser.resources.ResourcePolicy;
import com.github.weisj.jsvg.renderer.NullPlatformSupport;
import com.github.weisj.jsvg.view.FloatSize;
import com.github.weisj.jsvg.view.ViewBox;
import java.awt.geom.Rectangle2D;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.stream.Collectors;

/**
 * Reads an SVG as areas with inks. Nothing of the file itself goes on: what is kept is written anew
 * by {@link OrnamentSvg}, without anything that could run or reach elsewhere.
 */
public final class SvgReader {
  /** Largest file that is read. */
  public static final int MOST_BYTES = 8_000_000;

  /** Whatever units a file counts in, its drawing is so long: three decimals are fine enough. */
  private static final float LONGER_SIDE = 1000;

  private static final int MOST_INKS = 256;
  private static final int MOST_PATHS = 20_000;
  private static final int DEEPEST = 100;
  private static final int DEEPEST_USE = 12;

  /** The library logs files that it can't read, with a trace each: people are told instead. */
  private static final Logger SILENT = Logger.getLogger("com.github.weisj.jsvg");

  static {
    SILENT.setLevel(Level.OFF);
  }

  private SvgReader() {}

  /**
   * What an SVG draws.
   *
   * @param drawing without an id: whoever keeps it names it
   * @param leftOut what of it is not in the drawing, as a sentence; empty for nothing
   */
  public record Read(Ornament drawing, String leftOut) {}

  /** Whether a file says that it is an SVG. */
  public static boolean looksLike(byte[] first) {
    String text = new String(first, java.nio.charset.StandardCharsets.UTF_8);
    return text.contains("<svg") || text.stripLeading().startsWith("<?xml");
  }

  /**
   * Reads an SVG.
   *
   * @param name what it is called
   * @throws Refusal when it is none, has words, draws nothing, or costs too much
   */
  public static Read read(FileBytes file, String name, Budget budget) {
    if (file.length() > MOST_BYTES) {
      throw new Refusal(
          "file",
          String.format(
              Locale.ROOT,
              "The file has %.1f MB; a drawing has at most %d MB: simplify it, or save it as a picture of 300 ppi.",
              file.length() / 1e6,
              MOST_BYTES / 1_000_000));
    }
    try {
      SvgCleaner.Clean clean = SvgCleaner.clean(file.all(), budget);
      return drawn(clean, name, budget);
    } catch (IOException | RuntimeException e) {
      for (Throwable t = e; t != null; t = t.getCause()) {
        if (t instanceof Refusal r) {
          throw r;
        }
      }
      throw new Refusal(
          "file", "This SVG can't be read as a drawing: save it as plain SVG and choose it again.");
    } catch (StackOverflowError | OutOfMemoryError e) {
      throw new Refusal(
          "file",
          "This SVG takes more memory to read than a file of its size may: simplify it and choose it again.");
    }
  }

  private static Read drawn(SvgCleaner.Clean clean, String name, Budget budget) {
    SVGDocument document =
        new SVGLoader()
            .load(
                new ByteArrayInputStream(Styles.inlined(clean.svg(), budget)),
                null,
                LoaderContext.builder()
                    .externalResourcePolicy(ResourcePolicy.DENY_ALL)
                    .documentLimits(new DocumentLimits(DEEPEST, DEEPEST_USE, MOST_PATHS))
                    .build());
    if (document == null) {
      throw new Refusal(
          "file",
          String.format(
              Locale.ROOT,
              "This SVG shows parts of itself in a circle, or more than %,d of them: save it as plain SVG without copies and choose it again.",
              MOST_PATHS));
    }
    FloatSize size = document.size();
    if (!(size.width > 0 && size.height > 0 && size.width < 1e6 && size.height < 1e6)) {
      throw new Refusal(
          "file",
          "This SVG has a box of "
              + size.width
              + " × "
              + size.height
              + "; give it a width and a height where it was drawn, and choose it again.");
    }
    Map<String, Integer> lost = new TreeMap<>(clean.lost());
    float scale = LONGER_SIDE / Math.max(size.width, size.height);
    float width = size.width * scale;
    float height = size.height * scale;
    Recording drawn = new Recording(lost, budget);
    Recorder recorder = new Recorder(new Rectangle2D.Double(0, 0, width, height), drawn);
    document.renderWithPlatform(
        NullPlatformSupport.INSTANCE, recorder, new ViewBox(0, 0, width, height));
    if (drawn.parts().isEmpty()) {
      throw new Refusal("file", "This SVG draws nothing that can be printed" + told(lost) + ".");
    }
    if (drawn.inks().size() > MOST_INKS) {
      throw new Refusal(
          "file",
          "This drawing has "
              + drawn.inks().size()
              + " colours; one for a cover has at most "
              + MOST_INKS
              + ": save it as a picture of 300 ppi.");
    }
    return new Read(
        new Ornament("", name, "", width, height, drawn.parts(), drawn.inks()),
        lost.isEmpty() ? "" : "Left out of the drawing" + told(lost) + ".");
  }

  private static String told(Map<String, Integer> lost) {
    return lost.isEmpty()
        ? ""
        : lost.entrySet().stream()
            .map(e -> e.getValue() + " " + plural(e.getKey(), e.getValue()))
            .collect(Collectors.joining(", ", ": ", ""));
  }

  private static String plural(String what, int count) {
    if (count == 1) {
      return what;
    }
    for (String of : List.of(" of ", " that ")) {
      int at = what.indexOf(of);
      if (at > 0) {
        String first = what.substring(0, at);
        String verb = what.substring(at).replace(" lies ", " lie ").replace(" is ", " are ");
        return (first.equals("focus") ? "focuses" : first + "s") + verb;
      }
    }
    return what.equals("script") ? "scripts" : what + "s";
  }

  /** Reads a drawing that {@link OrnamentSvg} wrote. */
  public static Ornament kept(byte[] file, String id, String name) {
    Ornament o = read(FileBytes.of(file), name, Budget.forFile(file.length)).drawing();
    return new Ornament(id, name, "", o.width(), o.height(), o.parts(), o.inks());
  }
}
