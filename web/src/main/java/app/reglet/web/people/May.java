package app.reglet.web.people;

/**
 * What the person who asks may do, for pages to show what they can use.
 *
 * @param name who is signed in; empty when Reglet is open to its machine
 * @param id the person's id, null when there is none
 * @param role their role; owner when Reglet is open
 */
public record May(String name, Long id, Role role) {
  /** Reglet open to its machine: everything. */
  static final May EVERYTHING = new May("", null, Role.OWNER);

  /** Nobody signed in yet. */
  static final May NOTHING = new May("", null, Role.READER);

  public boolean signedIn() {
    return id != null;
  }

  /** Titles, covers, files. */
  public boolean change() {
    return role.atLeast(Role.DESIGNER);
  }

  /** Houses, people, backups. */
  public boolean own() {
    return role == Role.OWNER;
  }
}
