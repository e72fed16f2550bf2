package app.reglet.web.dispatch;

import app.reglet.core.Refusal;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.pdf.FileName;
import app.reglet.press.pdf.Progress;
import app.reglet.press.picture.PictureReader;
import app.reglet.press.raster.EbookCover;
import app.reglet.press.raster.FlatPicture;
import app.reglet.web.bench.Revisions;
import app.reglet.web.jobs.Job;
import app.reglet.web.jobs.JobMaker;
import app.reglet.web.jobs.Order;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import app.reglet.web.titles.EditionEntity;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/** The files of a cover: which there are, what they are called, and they themselves. */
@Service
public class CoverFiles implements JobMaker {
  private static final int WITHOUT_LOSS = 100;
  private static final String QUALITY = "Packed at quality ";

  private final Covers covers;
  private final Pressing pressing;
  private final FileNumbers numbers;
  private final Revisions revisions;
  private final DataDirectory data;

  CoverFiles(
      Covers covers,
      Pressing pressing,
      FileNumbers numbers,
      Revisions revisions,
      DataDirectory data) {
    this.data = data;
    this.covers = covers;
    this.pressing = pressing;
    this.numbers = numbers;
    this.revisions = revisions;
  }

  /** What a file would be called that is made now. */
  String nextName(Cover cover, Wrap page, PressOptions options) {
    return name(cover, page, numbers.next(cover.edition(), state(cover, options)));
  }

  private String name(Cover cover, Wrap page, int number) {
    boolean pixels = page.spec().binding().isInPixels();
    return FileName.of(
        cover.book(),
        page,
        pixels ? "cover" : page.page().id(),
        cover.edition().getRevision(),
        cover.edition().getId(),
        number,
        revisions.made(cover.edition()),
        pixels ? format(cover).ending() : "pdf");
  }

  /** The kind of picture that a shop takes: a JPEG where it does. */
  static FlatPicture.Format format(Cover cover) {
    Set<String> taken = cover.house().files().formats();
    if (taken.contains("jpeg") || !taken.contains("tiff") && !taken.contains("png")) {
      return FlatPicture.Format.JPEG;
    }
    return taken.contains("tiff") ? FlatPicture.Format.TIFF : FlatPicture.Format.PNG;
  }

  /** An order of a page's file. */
  Order order(Cover cover, Wrap page, PressOptions options) {
    EditionEntity e = cover.edition();
    String state = state(cover, options);
    return Order.of(
        e.getId(),
        kind(),
        page.page().id() + ";" + options.text(),
        name(cover, page, numbers.take(e, state)),
        state);
  }

  private String state(Cover cover, PressOptions options) {
    boolean pixels = cover.edition().getBinding().isInPixels();
    return FileState.of(cover, options.text(), pixels ? "" : pressing.state(cover, options)).sum();
  }

  /** Whether a file is of a cover as it is now. */
  boolean isOf(Cover cover, Job job) {
    PressOptions options = PressOptions.parse(job.getWanted().split(";", 2)[1]);
    return Order.of(
            job.getEditionId(), kind(), job.getWanted(), job.getName(), state(cover, options))
        .hash()
        .equals(job.getHash());
  }

  /**
   * What was chosen for the file that is being made: a page that is loaded anew meanwhile still
   * says so. As the house has it when none is being made, or the cover has no such page now.
   *
   * @param made the cover's files, newest first
   */
  static PressOptions chosen(Cover cover, List<Job> made) {
    Optional<Job> going = made.stream().filter(j -> !j.isOver()).findFirst();
    if (going.isEmpty()) {
      return PressOptions.HOUSE;
    }
    try {
      PressOptions chosen = PressOptions.parse(going.get().getWanted().split(";", 2)[1]);
      chosen.pages(cover.sheet());
      return chosen;
    } catch (Refusal changed) {
      return PressOptions.HOUSE;
    }
  }

  @Override
  public String kind() {
    return "press";
  }

  @Override
  public String make(Job job, OutputStream out, Progress progress) throws IOException {
    String[] wanted = job.getWanted().split(";", 2);
    PressOptions options = PressOptions.parse(wanted[1]);
    EditionEntity edition = covers.edition(job.getEditionId());
    Cover cover = covers.of(edition, covers.sheet(edition).unit());
    Wrap page = page(cover, options, wanted[0]);
    if (!isOf(cover, job)) {
      throw new Refusal(
          "file",
          "The cover or its facts were changed while this file waited: make it again, and it is of the cover as it is now.");
    }
    if (edition.getBinding().isInPixels()) {
      return ebook(cover, out);
    }
    return pressing.write(cover, page, options, out, progress);
  }

  /** The file of an ebook cover; what is to be said of it. */
  private String ebook(Cover cover, OutputStream out) throws IOException {
    FlatPicture.Format format = format(cover);
    if (format != FlatPicture.Format.JPEG) {
      FlatPicture.write(
          PictureReader.rows(EbookCover.image(cover.art().orElseThrow())),
          format,
          EbookCover.PPI,
          out,
          data.uploads());
      return "";
    }
    EbookCover made = EbookCover.make(cover.art().orElseThrow(), cover.house().files());
    out.write(made.file());
    return QUALITY + made.quality() + ".";
  }

  private static Wrap page(Cover cover, PressOptions options, String id) {
    return options.pages(cover.sheet()).stream()
        .filter(p -> p.page().id().equals(id))
        .findFirst()
        .orElseThrow(
            () ->
                new Refusal("file", "This cover has no such page any more: make its files again."));
  }

  /**
   * Writes all files of a cover into a directory, now.
   *
   * @param standard of press files; empty for the house's
   * @return where they are
   */
  public List<Path> write(Cover cover, String standard, Path directory) throws IOException {
    PressOptions options = PressOptions.of(standard, "house", "", List.of());
    List<Path> made = new ArrayList<>();
    for (Wrap page : options.pages(cover.sheet())) {
      Path to =
          directory.resolve(
              name(cover, page, numbers.take(cover.edition(), state(cover, options))));
      if (cover.edition().getBinding().isInPixels()) {
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(to), 1 << 16)) {
          ebook(cover, out);
        }
      } else {
        try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(to), 1 << 16)) {
          pressing.write(cover, page, options, out, Progress.none());
        } catch (IOException | RuntimeException e) {
          Files.deleteIfExists(to);
          throw e;
        }
      }
      made.add(to);
    }
    return made;
  }

  /** The quality that an ebook cover was packed at, as was said when it was made. */
  static int quality(Job job) {
    String figure = job.getMessage().replaceAll("\\D", "");
    return figure.isEmpty() ? WITHOUT_LOSS : Integer.parseInt(figure);
  }
}
