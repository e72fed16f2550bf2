package app.reglet.web.dispatch;

import app.reglet.web.jobs.Job;
import app.reglet.web.jobs.Jobs;
import app.reglet.web.shell.Downloads;
import app.reglet.web.shell.Viewer;
import app.reglet.web.titles.Covers;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Pictures of covers and of their parts, for sign-off, shops and press releases. */
@Controller
public class PartsController {
  private static final int WAIT_SECONDS = 120;

  private final Covers covers;
  private final PartFiles files;
  private final Jobs jobs;

  PartsController(Covers covers, PartFiles files, Jobs jobs) {
    this.covers = covers;
    this.files = files;
    this.jobs = jobs;
  }

  /** Has one made and sends it. */
  @GetMapping("/editions/{id}/part")
  void part(
      @PathVariable Long id,
      @RequestParam(defaultValue = "front") String part,
      @RequestParam(defaultValue = "jpeg") String format,
      @RequestParam(defaultValue = "1600 px") String size,
      @RequestParam(defaultValue = "rgb") String colours,
      Viewer viewer,
      HttpServletResponse response)
      throws IOException {
    PartFiles.Wanted wanted =
        new PartFiles.Wanted(part, format, size.replace(";", " ").strip(), colours);
    Job job = jobs.await(jobs.order(files.order(covers.of(id, viewer), wanted)), WAIT_SECONDS);
    Path file = jobs.file(job);
    Downloads.begin(
        response,
        job.getName(),
        MediaType.parseMediaType(wanted.isPdf() ? "application/pdf" : wanted.kind().type()),
        Files.size(file));
    Files.copy(file, response.getOutputStream());
  }
}
