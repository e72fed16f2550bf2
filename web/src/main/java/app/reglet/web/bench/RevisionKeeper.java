package app.reglet.web.bench;

/**
 * Says which revisions are still needed. What somebody named, or a cover is compared with, is not
 * forgotten, although the next step of typing took its place.
 */
public interface RevisionKeeper {
  /**
   * Whether a revision is needed.
   *
   * @param edition whose cover it is of
   * @param number of the revision
   */
  boolean keeps(Long edition, int number);
}
