package app.reglet.web.people;

import app.reglet.web.store.StartTrouble;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;

/** Who may ask for what. */
public final class Access {
  private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

  /** Requests that make or read something without changing anything that is kept. */
  private static final List<Pattern> LOOKING =
      List.of(
          Pattern.compile("/inspect"),
          Pattern.compile("/unit"),
          Pattern.compile("/sign-out"),
          Pattern.compile("/account(/.*)?"),
          Pattern.compile("/editions/[^/]+/docket/block"),
          Pattern.compile("/editions/[^/]+/dispatch"));

  private static final Pattern OWNERS = Pattern.compile("/(people|backup|houses/drafts)(/.*)?");
  private static final Pattern HOUSES = Pattern.compile("/houses/.*");

  private Access() {}

  /** Whether somebody of this role may send this request. */
  public static boolean allows(Role role, String method, String path) {
    if (OWNERS.matcher(path).matches()) {
      return role == Role.OWNER;
    }
    if (READING.contains(method) || LOOKING.stream().anyMatch(p -> p.matcher(path).matches())) {
      return true;
    }
    return role.atLeast(HOUSES.matcher(path).matches() ? Role.OWNER : Role.DESIGNER);
  }

  /** Whether an address is reached by others than this machine. */
  static boolean isBeyond(String address) {
    try {
      return !InetAddress.getByName(address).isLoopbackAddress();
    } catch (UnknownHostException e) {
      return true;
    }
  }

  /**
   * Sees that nobody from elsewhere reaches a Reglet that asks for no sign-in.
   *
   * @throws StartTrouble with the line that sets somebody up
   */
  public static void expectPeopleFor(String address, Connection database) {
    if (isBeyond(address) && count(database) == 0) {
      throw new StartTrouble(
          "REGLET_ADDRESS is "
              + address
              + ", so others could reach Reglet, but nobody is set up to sign in. First type:\n  ./reglet people add NAME --role owner");
    }
  }

  private static int count(Connection database) {
    try (Statement s = database.createStatement();
        ResultSet r = s.executeQuery("select count(*) from person")) {
      return r.next() ? r.getInt(1) : 0;
    } catch (SQLException e) {
      return 0; // a database from before there were people
    }
  }
}
