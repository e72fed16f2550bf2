package app.reglet.press.inspect;

import app.reglet.press.inspect.PdfFacts.FontFact;
import app.reglet.press.inspect.page.PageContent.PlacedPicture;
import app.reglet.press.picture.IccProfile;
import app.reglet.press.picture.JpegQuality;
import app.reglet.press.picture.OwnColours;
import app.reglet.press.picture.Picture;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;

/** What a file that is laid on a cover is made of, in words. */
public final class FileTold {
  private static final Set<String> SCREEN = Set.of("DeviceRGB", "ICC RGB", "CalRGB", "Lab");
  private static final Set<String> INKS = Set.of("DeviceCMYK", "ICC CMYK");
  private static final Set<String> GRAY = Set.of("DeviceGray", "ICC gray", "CalGray");

  private FileTold() {}

  /** A thing that is told, and what of it. */
  public record Line(String label, String text) {}

  /** What a page of a PDF is made of, in its own size. */
  public static List<Line> of(PdfPage page) {
    List<Line> lines = new ArrayList<>();
    lines.add(
        new Line(
            "Pictures",
            pictures(page.content().pictures().stream().mapToDouble(PlacedPicture::ppi))
                + (page.content().pictures().isEmpty() ? "" : " at the file’s own size")));
    lines.add(new Line("Colours", colours(page)));
    lines.add(new Line("Set in", fonts(page)));
    if (!page.codes().isEmpty()) {
      lines.add(
          new Line(
              "Barcode",
              page.codes().stream()
                  .map(FileFacts.Code::number)
                  .distinct()
                  .collect(Collectors.joining(", "))));
    }
    if (page.annotations() > 0) {
      lines.add(
          new Line(
              "Not laid",
              page.annotations() == 1
                  ? "one annotation on the page"
                  : page.annotations() + " annotations on the page"));
    }
    return lines;
  }

  /** What a file that is one picture is made of. */
  public static List<Line> of(Picture picture) {
    List<Line> lines = new ArrayList<>();
    lines.add(new Line("Pixels", picture.width() + " × " + picture.height()));
    Optional<OwnColours> own = OwnColours.of(picture);
    String kind =
        switch (own.map(OwnColours::channels).orElse(3)) {
          case 1 -> "gray";
          case 4 -> "inks";
          default -> "for a screen";
        };
    String profile = own.map(o -> IccProfile.name(o.profile())).orElse("");
    lines.add(new Line("Colours", profile.isEmpty() ? kind : kind + " (" + profile + ")"));
    int quality = JpegQuality.of(picture);
    if (quality > 0) {
      lines.add(new Line("Packed", "as a JPEG of quality " + quality + " of 100"));
    }
    return lines;
  }

  /** How many pictures there are, and how fine: never finer than they are, as findings have it. */
  public static String pictures(DoubleStream ppi) {
    long[] all = ppi.mapToLong(d -> (long) d).sorted().toArray();
    if (all.length == 0) {
      return "none";
    }
    long least = all[0];
    long most = all[all.length - 1];
    return all.length + ", of " + (least == most ? "" : least + " to ") + most + " ppi";
  }

  /** What a page is set in, and whether its file brings it. */
  public static String fonts(PdfPage page) {
    return page.fonts().isEmpty()
        ? "no type in it"
        : page.fonts().stream().map(FileTold::font).collect(Collectors.joining(", "));
  }

  private static String font(FontFact f) {
    return f.name() + (f.embedded() ? "" : " (not in the file)");
  }

  /** Whether something on a page is painted in colours of a screen. */
  static boolean isForScreen(PdfPage page) {
    return page.content().spaces().stream().anyMatch(SCREEN::contains);
  }

  /** In what colours a page is painted. */
  public static String colours(PdfPage page) {
    List<String> told = new ArrayList<>();
    List<String> spaces = page.content().spaces();
    tell(told, "for a screen", spaces, SCREEN);
    tell(told, "inks", spaces, INKS);
    tell(told, "gray", spaces, GRAY);
    List<String> spots = page.content().spots();
    if (!spots.isEmpty()) {
      told.add("beside the four inks " + String.join(", ", spots));
    }
    return told.isEmpty() ? "nothing is painted on it" : String.join("; ", told);
  }

  private static void tell(List<String> told, String what, List<String> spaces, Set<String> kind) {
    List<String> there = spaces.stream().filter(kind::contains).sorted().toList();
    if (!there.isEmpty()) {
      told.add(what + " (" + String.join(", ", there) + ")");
    }
  }
}
