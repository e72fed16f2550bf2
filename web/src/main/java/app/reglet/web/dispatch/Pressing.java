package app.reglet.web.dispatch;

import app.reglet.core.house.PressRules;
import app.reglet.core.wrap.FilePage;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.colour.Condition;
import app.reglet.press.pdf.PressFile;
import app.reglet.press.pdf.PressMaking;
import app.reglet.web.bench.Revisions;
import app.reglet.web.profiles.Conditions;
import app.reglet.web.shell.Busy;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.store.Room;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** Makes press files on the disk, so few at once that they fit the heap whatever is in them. */
@Service
class Pressing {
  private static final Logger LOG = LoggerFactory.getLogger(Pressing.class);
  private static final int AT_ONCE = 2;
  private static final int WAIT_SECONDS = 60;

  private final Semaphore presses = new Semaphore(AT_ONCE, true);
  private final Covers covers;
  private final Revisions revisions;
  private final DataDirectory data;
  private final Uploads uploads;
  private final Room room;
  private final Conditions conditions;

  Pressing(
      Covers covers,
      Revisions revisions,
      DataDirectory data,
      Uploads uploads,
      Room room,
      Conditions conditions) {
    this.conditions = conditions;
    this.covers = covers;
    this.revisions = revisions;
    this.data = data;
    this.uploads = uploads;
    this.room = room;
  }

  /** What is done with a file while it is there. */
  @FunctionalInterface
  interface Use<R> {
    R of(Path file) throws IOException;
  }

  /** Makes the file of a page, lets it be used, and takes it away. */
  <R> R with(Cover cover, Wrap page, Use<R> use) {
    room.need(0);
    try {
      Path file = uploads.scratch();
      try {
        atOnce(
            cover,
            () -> {
              write(cover, page, file);
              return file;
            });
        return use.of(file);
      } finally {
        Files.deleteIfExists(file);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void write(Cover cover, Wrap page, Path file) {
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file), 1 << 16)) {
      PressFile.write(
          pages(cover, page),
          cover.book(),
          revisions.made(cover.edition()),
          making(cover, cover.house().files().press()),
          out,
          data.uploads());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** How a house's rules make files. */
  PressMaking making(Cover cover, PressRules rules) {
    Condition condition = rules.isInks() ? conditions.byId(rules.condition()) : null;
    return PressMaking.of(cover.house().files(), rules, condition);
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

  /** Does something that takes much memory, when there is some for it. */
  <R> R atOnce(Cover cover, Supplier<R> making) {
    try {
      if (!presses.tryAcquire(WAIT_SECONDS, TimeUnit.SECONDS)) {
        throw new Busy(
            "Other files are being made, and this one would have waited more than "
                + WAIT_SECONDS
                + " seconds: try again a little later.");
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new Busy("Reglet is being stopped: try again when it is up.");
    }
    try {
      R made = making.get();
      LOG.info(
          "file made of edition {}, revision {}",
          cover.edition().getId(),
          cover.edition().getRevision());
      return made;
    } finally {
      presses.release();
    }
  }
}
