package app.reglet.web.packages;

import app.reglet.web.shell.Downloads;
import app.reglet.web.store.Uploads;
import app.reglet.web.titles.Covers;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Titles taken out as packages, and in. */
@Controller
public class PackagesController {
  private final Packages packages;
  private final Unpacking unpacking;
  private final Uploads uploads;
  private final Covers covers;

  PackagesController(Packages packages, Unpacking unpacking, Uploads uploads, Covers covers) {
    this.packages = packages;
    this.unpacking = unpacking;
    this.uploads = uploads;
    this.covers = covers;
  }

  /** The title of an edition, with all its editions, as a ZIP. */
  @GetMapping("/editions/{id}/package")
  void write(@PathVariable Long id, HttpServletResponse response) throws IOException {
    Packages.Gathered gathered = packages.gather(covers.edition(id));
    Downloads.begin(response, Packages.name(gathered), MediaType.parseMediaType("application/zip"));
    packages.write(gathered, response.getOutputStream());
  }

  /** Takes a package in as a new title. */
  @PostMapping("/titles/package")
  String take(@RequestParam MultipartFile file) throws IOException {
    try (Uploads.Upload upload = uploads.take(file)) {
      List<Long> made = unpacking.take(upload.path());
      return "redirect:/editions/" + made.get(0) + "/docket";
    }
  }
}
