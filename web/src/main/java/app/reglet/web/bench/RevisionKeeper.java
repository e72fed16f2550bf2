package app.reglet.web.bench;

/**
 * Names revisions that others go on needing: what a name, a carried cover or a version stands on is
 * not forgotten, although the next step of typing took its place.
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
