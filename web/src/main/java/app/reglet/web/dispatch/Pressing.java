package app.reglet.web.dispatch;

import app.reglet.core.house.PressRules;
import app.reglet.core.wrap.FilePage;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.colour.Condition;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.pdf.PressMaking;
import app.reglet.press.pdf.PrintersMarks;
import app.reglet.press.pdf.Progress;
import app.reglet.press.pdf.Weight;
import app.reglet.press.type.Typefaces;
import app.reglet.web.bench.Revisions;
import app.reglet.web.profiles.Conditions;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.store.Room;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Service;

/** Makes press files on the disk. */
@Service
class Pressing {
  /** Of photos: below the last, squares would show. */
  private static final float[] QUALITIES = {PressMaking.QUALITY, 0.85f, 0.75f};

  private final Covers covers;
  private final Revisions revisions;
  private final DataDirectory data;
  private final Uploads uploads;
  private final Room room;
  private final Conditions conditions;
  private final Typefaces typefaces;

  Pressing(
      Covers covers,
      Revisions revisions,
      DataDirectory data,
      Uploads uploads,
      Room room,
      Conditions conditions,
      Typefaces typefaces) {
    this.conditions = conditions;
    this.typefaces = typefaces;
    this.covers = covers;
    this.revisions = revisions;
    this.data = data;
    this.uploads = uploads;
    this.room = room;
  }

  /**
   * Writes the file of a page. Where it comes out larger than the house takes, photos are packed
   * more tightly, step by step, as far as that doesn't show.
   *
   * @return what is to be said of it
   */
  String write(Cover cover, Wrap page, PressOptions options, OutputStream out, Progress progress)
      throws IOException {
    List<PressFile.Page> pages = pages(cover, page);
    PressMaking making = making(cover, options);
    Weight weight = PressFile.weight(pages, making);
    weight.allow();
    room.need(weight.bytes());
    long most = cover.house().files().mostMegabytes() * 1_000_000L;
    Path file = uploads.scratch();
    try {
      float quality = PressMaking.QUALITY;
      for (float tried : QUALITIES) {
        quality = tried;
        try (OutputStream to = new BufferedOutputStream(Files.newOutputStream(file), 1 << 16)) {
          PressFile.write(
              pages,
              cover.book(),
              revisions.made(cover.edition()),
              making.packed(tried),
              progress,
              to,
              data.uploads());
        }
        if (most == 0 || Files.size(file) <= most || !making.rules().isInks()) {
          break;
        }
      }
      Files.copy(file, out);
      return said(Files.size(file), most, quality);
    } finally {
      Files.deleteIfExists(file);
    }
  }

  private static String said(long size, long most, float quality) {
    if (most > 0 && size > most) {
      return String.format(
          Locale.ROOT,
          "The file has %.1f MB, and the house takes %.0f: use coarser pictures, or fewer.",
          size / 1e6,
          most / 1e6);
    }
    return quality < PressMaking.QUALITY
        ? String.format(
            Locale.ROOT,
            "Photos are packed at quality %.0f instead of %.0f, so that the house's %.0f MB are kept.",
            quality * 100,
            PressMaking.QUALITY * 100,
            most / 1e6)
        : "";
  }

  /** About how large a file would be, bytes. */
  long weight(Cover cover, Wrap page, PressOptions options) {
    return PressFile.weight(pages(cover, page), making(cover, options)).bytes();
  }

  /** What of placed pages makes them pixels in a file, in a sentence; empty where nothing does. */
  String hindrances(Cover cover, Wrap page, PressOptions options) {
    List<String> why = PressFile.hindrances(pages(cover, page), making(cover, options));
    return why.isEmpty()
        ? ""
        : "A page of a PDF becomes a picture of up to 600 ppi in this file, letters and all: it has "
            + String.join(", and ", why)
            + ".";
  }

  /** What of a file depends on the profile that it is made with. */
  String state(Cover cover, PressOptions options) {
    Condition condition = condition(options.on(cover.house().files().press()));
    return condition == null ? "" : condition.profile().sha();
  }

  /** The condition that files of rules are made for; null for those in sRGB. */
  Condition condition(PressRules rules) {
    return rules.isInks() ? conditions.byId(rules.condition()) : null;
  }

  private PressMaking making(Cover cover, PressOptions options) {
    PressRules rules = options.on(cover.house().files().press());
    PressMaking making =
        PressMaking.of(
            cover.house().files(),
            rules,
            condition(rules),
            rules.isInks() ? conditions.inks(rules) : null);
    return options.marks().isEmpty() ? making : making.marked(marks(cover, options));
  }

  private PrintersMarks marks(Cover cover, PressOptions options) {
    var asked = options.marks();
    Wrap w = cover.sheet();
    String slug =
        !asked.contains("slug")
            ? ""
            : String.join(
                "   ",
                cover.book().title(),
                w.spec().binding().title(),
                cover.house().name(),
                w.trimmed().size().print(cover.house().unit()) + " trimmed",
                "revision " + cover.edition().getRevision(),
                revisions.made(cover.edition()).toString());
    return new PrintersMarks(
        asked.contains("crop"),
        asked.contains("bleed"),
        asked.contains("fold"),
        asked.contains("bar"),
        slug,
        typefaces.get("work-sans"));
  }

  /** The page itself; and the inside behind the whole outside, where it is printed. */
  private List<PressFile.Page> pages(Cover cover, Wrap page) {
    if (page.page() == FilePage.INSIDE) {
      return List.of(new PressFile.Page(covers.turned(cover).art().orElseThrow(), page));
    }
    List<PressFile.Page> pages = new ArrayList<>();
    pages.add(new PressFile.Page(cover.art().orElseThrow(), page));
    if (page.page() == FilePage.OUTSIDE && cover.isTwoSided()) {
      Cover inside = covers.turned(cover);
      pages.add(new PressFile.Page(inside.art().orElseThrow(), inside.sheet()));
    }
    return pages;
  }
}
