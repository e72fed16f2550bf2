package app.reglet.web.jobs;

import app.reglet.web.store.Sum;

/**
 * A file that is wanted.
 *
 * @param editionId of which edition
 * @param kind which {@link JobMaker} makes it
 * @param wanted what, as that maker writes it
 * @param name what the file is called
 * @param hash of all that it is made of: two orders with the same are the same file
 */
public record Order(Long editionId, String kind, String wanted, String name, String hash) {
  /**
   * An order of what such a text says in full.
   *
   * @param made all that the file depends on
   */
  public static Order of(Long editionId, String kind, String wanted, String name, String made) {
    return new Order(editionId, kind, wanted, name, Sum.of(kind + "\n" + wanted + "\n" + made));
  }
}
