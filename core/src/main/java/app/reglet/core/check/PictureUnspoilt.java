package app.reglet.core.check;

import java.util.List;

/**
 * Whether pictures were packed with so little loss that it isn't seen in print. The quality is that
 * of the tables by which a JPEG was packed, beside those that ITU-T T.81 gives in its annex K;
 * where loss begins to be seen is our own judgement.
 */
public final class PictureUnspoilt implements Check {
  /** Below it squares and rings are seen at arm's length. */
  public static final int LEAST = 60;

  @Override
  public List<Finding> find(Subject s) {
    return s.laid().stream()
        .filter(Laid.Picture.class::isInstance)
        .map(Laid.Picture.class::cast)
        .filter(p -> p.quality() > 0 && p.quality() < LEAST)
        .map(
            p ->
                Finding.ofPiece(
                    new OfPicture.Artefacts(p.name(), p.quality(), LEAST),
                    Finding.Severity.LOOK,
                    p,
                    p.extent()))
        .toList();
  }
}
