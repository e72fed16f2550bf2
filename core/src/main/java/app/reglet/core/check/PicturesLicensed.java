package app.reglet.core.check;

import app.reglet.core.book.Asset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Whether the pictures on a cover may be on goods for sale, and whether those are named who must
 * be. What is not said of a picture is asked for; each picture is told once.
 */
public final class PicturesLicensed implements Check {
  @Override
  public List<Finding> find(Subject s) {
    List<Finding> found = new ArrayList<>();
    Set<String> told = new HashSet<>();
    for (Laid laid : s.laid()) {
      if (laid instanceof Laid.Picture p && told.add(p.sha())) {
        s.book().pictures().stream()
            .filter(a -> a.sha().equals(p.sha()))
            .forEach(a -> find(s, p, a, found));
      }
    }
    return found;
  }

  private static void find(Subject s, Laid.Picture p, Asset a, List<Finding> found) {
    if (!a.licence().coversGoods()) {
      found.add(
          Finding.ofPiece(
              new OfPicture.NotForGoods(a.name(), a.licence()),
              Finding.Severity.LOOK,
              p,
              p.extent()));
    } else if (a.owesCredit() && a.credit().isBlank()) {
      found.add(
          Finding.ofPiece(
              new OfPicture.CreditUnsaid(a.name()), Finding.Severity.MEND, p, p.extent()));
    } else if (a.owesCredit() && !s.says(a.credit())) {
      found.add(
          Finding.ofPiece(
              new OfPicture.CreditNotPlaced(a.name(), a.credit()),
              Finding.Severity.MEND,
              p,
              p.extent(),
              new Remedy.PlaceCredits()));
    }
  }
}
