package app.reglet.web.dispatch;

import app.reglet.core.Refusal;
import app.reglet.core.house.PressRules;
import app.reglet.press.art.Artwork;
import app.reglet.press.art.Rect;
import app.reglet.press.colour.InkTable;
import app.reglet.press.pdf.FileName;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.pdf.PressMaking;
import app.reglet.press.pdf.Progress;
import app.reglet.press.picture.Rows;
import app.reglet.press.raster.DrawnRows;
import app.reglet.press.raster.FlatPicture;
import app.reglet.web.bench.Revisions;
import app.reglet.web.jobs.Job;
import app.reglet.web.jobs.JobMaker;
import app.reglet.web.jobs.Order;
import app.reglet.web.profiles.Conditions;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Locale;
import org.springframework.stereotype.Service;

/** Pictures of covers and of their parts. */
@Service
class PartFiles implements JobMaker {
  private final Covers covers;
  private final Revisions revisions;
  private final Conditions conditions;
  private final DataDirectory data;

  PartFiles(Covers covers, Revisions revisions, Conditions conditions, DataDirectory data) {
    this.covers = covers;
    this.revisions = revisions;
    this.conditions = conditions;
    this.data = data;
  }

  /**
   * A picture that is wanted.
   *
   * @param part a panel's id, {@code spread} or {@code sheet}
   * @param format {@code jpeg}, {@code png}, {@code tiff} or {@code pdf}
   * @param size {@code 1600 px} or {@code 300 ppi}; a PDF has its own
   * @param colours {@code rgb}, or a printing condition's short name
   */
  record Wanted(String part, String format, String size, String colours) {
    boolean isPdf() {
      return format.equals("pdf");
    }

    boolean isInks() {
      return !colours.equals("rgb");
    }

    /**
     * Which kind of picture.
     *
     * @throws Refusal when there is none such
     */
    FlatPicture.Format kind() {
      for (FlatPicture.Format f : FlatPicture.Format.values()) {
        if (f.name().toLowerCase(Locale.ROOT).equals(format)) {
          return f;
        }
      }
      throw new Refusal("format", "“" + format + "” is no kind of file: jpeg, png, tiff or pdf.");
    }

    private String text() {
      return part + ";" + format + ";" + size + ";" + colours;
    }

    private static Wanted parse(String text) {
      String[] p = text.split(";", -1);
      return new Wanted(p[0], p[1], p[2], p[3]);
    }
  }

  @Override
  public String kind() {
    return "part";
  }

  /**
   * An order of one.
   *
   * @throws Refusal when it can't be made
   */
  Order order(Cover cover, Wanted wanted) {
    PartPicture picture =
        PartPicture.of(cover, wanted.part(), wanted.isPdf() ? "72 ppi" : wanted.size());
    String ending = wanted.isPdf() ? "pdf" : wanted.kind().ending();
    String profile = "";
    if (wanted.isInks()) {
      if (!wanted.isPdf() && wanted.kind() == FlatPicture.Format.PNG) {
        throw new Refusal(
            "colours",
            "In the inks of a press a picture is made as a TIFF, JPEG or PDF: choose one, or RGB.");
      }
      profile = conditions.byId(wanted.colours()).profile().sha();
    }
    String name =
        FileName.stem(cover.book(), cover.sheet(), picture.name(), cover.edition().getId())
            + (wanted.isPdf() ? "" : "_" + picture.width() + "px")
            + (wanted.isInks() ? "_" + wanted.colours() : "")
            + "_r"
            + cover.edition().getRevision()
            + "."
            + ending;
    return Order.of(
        cover.edition().getId(),
        kind(),
        wanted.text(),
        name,
        FileState.of(cover, "", profile).sum());
  }

  @Override
  public String make(Job job, OutputStream out, Progress progress) throws IOException {
    Wanted wanted = Wanted.parse(job.getWanted());
    EditionEntity edition = covers.edition(job.getEditionId());
    Cover cover = covers.of(edition, covers.sheet(edition).unit());
    if (!order(cover, wanted).hash().equals(job.getHash())) {
      throw new Refusal(
          "file", "The cover was changed while this picture waited: ask for it again.");
    }
    Artwork art = cover.art().orElseThrow();
    PartPicture picture =
        PartPicture.of(cover, wanted.part(), wanted.isPdf() ? "72 ppi" : wanted.size());
    if (wanted.isPdf()) {
      PressFile.writePart(
          art,
          picture.box(),
          cover.book(),
          revisions.made(edition),
          wanted.isInks() ? making(cover, wanted.colours()) : PressMaking.SCREEN,
          progress,
          out,
          data.uploads());
      return "";
    }
    Rows rows =
        progress.through(
            new DrawnRows(art.marks(), Rect.of(picture.box()), picture.width(), picture.height()));
    if (wanted.isInks()) {
      InkTable inks = inks(cover, wanted.colours());
      FlatPicture.write(rows, inks, wanted.kind(), picture.ppi(), out, data.uploads());
    } else {
      FlatPicture.write(rows, wanted.kind(), picture.ppi(), out, data.uploads());
    }
    return "";
  }

  private PressMaking making(Cover cover, String id) {
    PressRules rules = cover.house().files().press().forCondition(id);
    return PressMaking.of(
        cover.house().files(), rules, conditions.byId(id), conditions.inks(rules));
  }

  /** In a condition, by what else the house wants. */
  private InkTable inks(Cover cover, String id) {
    return conditions.inks(cover.house().files().press().forCondition(id)).table();
  }
}
