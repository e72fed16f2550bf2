package app.reglet.web.dispatch;

import app.reglet.core.Refusal;
import app.reglet.core.house.PressRules;
import app.reglet.core.wrap.FilePage;
import app.reglet.core.wrap.Wrap;
import app.reglet.press.inspect.Compared;
import app.reglet.press.inspect.ComparedText;
import app.reglet.press.inspect.FitCheck;
import app.reglet.press.inspect.PdfFacts;
import app.reglet.press.inspect.PressStandard;
import app.reglet.press.raster.EbookCover;
import app.reglet.press.reading.Budget;
import app.reglet.press.reading.FileBytes;
import app.reglet.web.jobs.Job;
import app.reglet.web.jobs.Jobs;
import app.reglet.web.titles.Cover;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Files that are made, looked at as the house will: with nothing but the file and the order. */
@Service
public class LookedAt {
  private static final int MOST_SHOWN = 6;

  private final Jobs jobs;
  private final CoverFiles files;

  LookedAt(Jobs jobs, CoverFiles files) {
    this.jobs = jobs;
    this.files = files;
  }

  /** The files that are being made of a cover, or were made of it as it is now, newest first. */
  List<Job> now(Cover cover) {
    return jobs.of(cover.edition().getId(), files.kind()).stream()
        .filter(j -> !j.isOver() || j.isDone() && isThere(cover, j))
        .limit(MOST_SHOWN)
        .toList();
  }

  private boolean isThere(Cover cover, Job job) {
    try {
      return Files.exists(jobs.file(job)) && files.isOf(cover, job);
    } catch (Refusal gone) {
      return false; // the profile it was made with is not here any more
    }
  }

  /**
   * A file that is made, or was.
   *
   * @param job its order
   * @param page id of the page it holds
   * @param percent how much of it is there
   * @param before how many others come first
   * @param size in MB
   * @param standard what is said of the standard it keeps; empty where it keeps none
   * @param answers what the house would find in it
   */
  public record Made(
      Job job,
      String page,
      int percent,
      long before,
      String size,
      String standard,
      List<ComparedText.Line> answers) {}

  /** One of a cover. */
  Made at(Cover cover, Job job) {
    String page = job.getWanted().substring(0, job.getWanted().indexOf(';'));
    boolean there = job.isDone() && Files.exists(jobs.file(job));
    return new Made(
        job,
        page,
        (int) Math.round(100 * jobs.share(job)),
        job.isOver() ? 0 : jobs.before(job),
        String.format(Locale.ROOT, "%.2f MB", job.getBytes() / 1e6),
        there && !cover.edition().getBinding().isInPixels() ? kept(cover, job) : "",
        there ? answers(cover, job, page) : List.of());
  }

  private PressOptions options(Job job) {
    return PressOptions.parse(job.getWanted().split(";", 2)[1]);
  }

  /** What the file keeps of its standard, read from its objects. */
  private String kept(Cover cover, Job job) {
    PressRules.Standard standard = options(job).on(cover.house().files().press()).standard();
    if (standard == PressRules.Standard.PLAIN) {
      return "";
    }
    try {
      Set<PressStandard> broken = PressStandard.broken(jobs.file(job), standard);
      return broken.isEmpty()
          ? standard.title()
              + ": all "
              + PressStandard.asked(standard)
              + " points that were looked at are kept."
          : standard.title()
              + " is not kept: "
              + broken.stream()
                  .map(c -> c.wanted() + " (" + c.clause() + ")")
                  .collect(Collectors.joining("; "))
              + ".";
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private List<ComparedText.Line> answers(Cover cover, Job job, String page) {
    List<Wrap> pages = options(job).pages(cover.sheet());
    Wrap of =
        pages.stream().filter(p -> p.page().id().equals(page)).findFirst().orElse(pages.get(0));
    Path file = jobs.file(job);
    try {
      List<Compared> compared;
      if (cover.edition().getBinding().isInPixels()) {
        compared =
            FitCheck.of(EbookCover.of(Files.readAllBytes(file), CoverFiles.quality(job)), of);
      } else {
        PdfFacts facts = PdfFacts.read(FileBytes.of(file), Budget.forFile(Files.size(file)));
        compared =
            of.page() == FilePage.INSIDE
                ? FitCheck.ofInside(facts, of)
                : FitCheck.of(facts, cover.sheet());
      }
      return ComparedText.of(compared, cover.house().unit());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
