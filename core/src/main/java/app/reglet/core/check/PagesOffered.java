package app.reglet.core.check;

import app.reglet.core.house.PageLimit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Whether the house binds so many pages, and whether the count is a multiple of what it needs. */
public final class PagesOffered implements Check {
  @Override
  public List<Finding> find(Subject s) {
    int pages = s.wrap().spec().pages();
    Optional<PageLimit> found = s.wrap().rules().pagesFor(s.wrap().spec());
    if (found.isEmpty() || found.get().allows(pages)) {
      return List.of();
    }
    PageLimit limit = found.get();
    int below = limit.nearestBelow(pages);
    int above = limit.nearestAbove(pages);
    String house = s.wrap().house().name();
    String binding = s.wrap().spec().binding().title().toLowerCase();
    String why;
    if (pages < limit.least()) {
      why =
          house
              + " binds "
              + binding
              + " from "
              + limit.least()
              + " pages; this has "
              + pages
              + ".";
    } else if (pages > limit.most()) {
      why =
          house
              + " binds "
              + binding
              + " up to "
              + limit.most()
              + " pages in this trim and paper; this has "
              + pages
              + ".";
    } else {
      why =
          pages
              + " pages can't be bound: the count must be "
              + (limit.multiple() == 2 ? "even" : "a multiple of " + limit.multiple())
              + ".";
    }
    List<Remedy> remedies = new ArrayList<>();
    remedies.add(new Remedy.UsePages(above));
    if (below != above) {
      remedies.add(new Remedy.UsePages(below));
    }
    String nearest =
        below == above
            ? "The nearest that works is " + above + "."
            : "The nearest that work are " + below + " and " + above + ".";
    return List.of(
        Finding.ofEdition(
            "pages-not-offered",
            why + " " + nearest,
            pages + " pages",
            limit.least() + "–" + limit.most() + " pages, multiple of " + limit.multiple(),
            remedies));
  }
}
