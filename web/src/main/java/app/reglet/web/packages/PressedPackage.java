package app.reglet.web.packages;

import app.reglet.core.Refusal;
import app.reglet.core.check.Finding;
import app.reglet.web.dispatch.CoverFiles;
import app.reglet.web.houses.Houses;
import app.reglet.web.shell.Viewer;
import app.reglet.web.store.DataDirectory;
import app.reglet.web.titles.Cover;
import app.reglet.web.titles.Covers;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * Makes the files of a package's editions, for the command line, in a data directory of its own.
 */
@Service
public class PressedPackage {
  private static final Viewer VIEWER = new Viewer(Optional.empty(), Locale.UK, "");

  private final Unpacking unpacking;
  private final Covers covers;
  private final Houses houses;
  private final DataDirectory data;
  private final CoverFiles files;

  PressedPackage(
      Unpacking unpacking, Covers covers, Houses houses, DataDirectory data, CoverFiles files) {
    this.unpacking = unpacking;
    this.covers = covers;
    this.houses = houses;
    this.data = data;
    this.files = files;
  }

  /**
   * What was made.
   *
   * @param toMend how many findings must be mended, in all
   * @param said what was made and what was found, a line each
   */
  public record Made(long toMend, List<String> said) {}

  /**
   * Makes them.
   *
   * @param house only of editions at this house; empty for all
   * @param edition only of this one, from 1; 0 for all
   * @param standard of press files, {@code x1a}, {@code x4} or {@code plain}; empty for the house's
   * @param out a directory; it is made when it isn't there
   * @throws Refusal when the package can't be taken in or no edition is meant; nothing is written
   */
  public Made run(Path zip, String house, int edition, String standard, Path out)
      throws IOException {
    data.sweep();
    houses.load();
    List<Long> all = unpacking.take(zip);
    if (edition < 0 || edition > all.size()) {
      throw new Refusal(
          "The package has "
              + all.size()
              + (all.size() == 1 ? " edition" : " editions")
              + "; there is no edition "
              + edition
              + ".");
    }
    List<Cover> meant = new ArrayList<>();
    for (Long id : edition == 0 ? all : List.of(all.get(edition - 1))) {
      Cover cover = covers.of(id, VIEWER);
      if (house.isEmpty() || cover.edition().getHouseId().equals(house)) {
        cover.sheet();
        meant.add(cover);
      }
    }
    if (meant.isEmpty()) {
      throw new Refusal(
          "No edition of the package is at “"
              + house
              + "”; there are: "
              + all.stream()
                  .map(id -> covers.edition(id).getHouseId())
                  .distinct()
                  .collect(Collectors.joining(", "))
              + ".");
    }
    Files.createDirectories(out);
    List<String> said = new ArrayList<>();
    long toMend = 0;
    for (Cover cover : meant) {
      said.add(cover.edition().getBinding().title() + ", " + cover.house().name() + ":");
      // two editions may be called alike: each has a directory of its own
      Path to =
          meant.size() == 1
              ? out
              : Files.createDirectories(
                  out.resolve("edition-" + (all.indexOf(cover.edition().getId()) + 1)));
      for (Path file : files.write(cover, standard, to)) {
        said.add("  " + out.relativize(file) + ", " + Files.size(file) + " bytes");
      }
      for (Finding f : cover.findings()) {
        said.add((f.mustMend() ? "  To mend: " : "  To look at: ") + f.sentence(cover.unit()));
      }
      toMend += cover.toMend();
    }
    return new Made(toMend, said);
  }
}
