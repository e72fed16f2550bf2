package app.reglet.web.control;

import app.reglet.core.Refusal;
import app.reglet.web.backup.Backups;
import app.reglet.web.inspect.InspectOrder;
import app.reglet.web.people.People;
import app.reglet.web.people.PersonEntity;
import app.reglet.web.people.Role;
import app.reglet.web.shell.Gone;
import app.reglet.web.store.NoRoom;
import app.reglet.web.store.NotKept;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** Carries out what the command line asks of the data, running or not. */
@Service
public class Orders {
  private static final Logger LOG = LoggerFactory.getLogger(Orders.class);

  private final People people;
  private final Backups backups;

  private final InspectOrder inspect;

  Orders(People people, Backups backups, InspectOrder inspect) {
    this.inspect = inspect;
    this.people = people;
    this.backups = backups;
  }

  /**
   * What came of an order.
   *
   * @param code 0 done, 2 refused; of files that were inspected their exit code
   * @param text what is printed
   */
  public record Told(int code, String text) {}

  /** Carries out an order, such as {@code people add NAME ROLE PASSWORD}. */
  public Told run(List<String> words) {
    try {
      if (words.size() > 3 && words.get(0).equals("inspect")) {
        InspectOrder.Said said =
            inspect.run(
                Long.valueOf(words.get(1)),
                words.get(2).equals("json"),
                words.subList(3, words.size()));
        return new Told(said.code(), said.text());
      }
      String what = words.stream().limit(2).collect(Collectors.joining(" "));
      return new Told(
          0,
          switch (what) {
            case "people list" -> list();
            case "people add" -> add(words);
            case "people reset" ->
                password("Given another password", people.reset(id(words), words.get(3)));
            case "people role" -> {
              PersonEntity p = people.setRole(id(words), role(words.get(3)));
              yield p.getName() + " is " + p.getRole().id() + " now.";
            }
            case "people sign-out" -> {
              people.signOutEverywhere(id(words));
              yield "Signed out everywhere: " + words.get(2) + ".";
            }
            case "people remove" -> {
              people.remove(id(words));
              yield words.get(2)
                  + " was taken off and signed out."
                  + (people.any() ? "" : " Nobody is set up now: Reglet is open to this machine.");
            }
            default -> {
              if (words.size() == 2 && words.get(0).equals("backup")) {
                Path to = Path.of(words.get(1));
                backups.write(to);
                yield "The backup is in " + to + ".";
              }
              throw new Refusal("This order is not known.");
            }
          });
    } catch (Refusal | Gone | NoRoom | NotKept e) {
      return new Told(2, e.getMessage());
    }
  }

  private Long id(List<String> words) {
    return people.named(words.get(2)).getId();
  }

  private static Role role(String id) {
    Role role = Role.byId(id);
    if (role == null) {
      throw new Refusal("“" + id + "” is no role: owner, designer or reader.");
    }
    return role;
  }

  private String add(List<String> words) {
    boolean first = !people.any();
    People.Made made = people.add(words.get(2), role(words.get(3)), words.get(4));
    LOG.info("person {} set up as {}", made.person().getId(), made.person().getRole().id());
    return password("Set up as " + made.person().getRole().id(), made)
        + (first ? "\nFrom now on everybody signs in." : "");
  }

  private static String password(String what, People.Made made) {
    return what
        + ": "
        + made.person().getName()
        + ".\nThe password is "
        + made.password()
        + " (it can be changed after signing in).";
  }

  private String list() {
    List<PersonEntity> all = people.all();
    return all.isEmpty()
        ? "Nobody is set up: Reglet is open to this machine. The first is set up with: ./reglet people add NAME --role owner"
        : all.stream()
            .map(p -> p.getRole().id() + "\t" + p.getName())
            .collect(Collectors.joining("\n"));
  }
}
