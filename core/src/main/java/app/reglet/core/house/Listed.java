package app.reglet.core.house;

import java.util.Set;

/**
 * The papers and inks that a sheet lists, by id; null, for any, where the list could not be read.
 */
record Listed(Set<String> stocks, Set<String> inks) {
  /** The names in a field, all of which must be listed. */
  static Set<String> among(Set<String> listed, DocumentPart part, String key) {
    Set<String> wanted = part.names(key);
    for (String id : wanted) {
      if (listed != null && !listed.contains(id)) {
        throw part.refuse(key, "names “" + id + "”, which the sheet does not list.");
      }
    }
    return wanted;
  }
}
