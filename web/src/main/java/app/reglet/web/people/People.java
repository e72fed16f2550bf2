package app.reglet.web.people;

import app.reglet.core.Refusal;
import app.reglet.web.shell.Gone;
import app.reglet.web.store.Remembered;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.text.Normalizer;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * The people who may sign in. While there is none, Reglet is open to its machine; with the first,
 * everybody signs in.
 */
@Service
public class People {
  private static final int LONGEST_NAME = 80;
  private static final int SHORTEST_PASSWORD = 10;

  /** bcrypt looks at 72 bytes and no further. */
  private static final int LONGEST_PASSWORD_BYTES = 72;

  /** What trying one password costs: two to this many rounds of bcrypt. */
  private static final int COST = 11;

  /** As a kept password looks, but for its cost, and nobody's. */
  private static final String NOBODYS =
      "$2a$%02d$ZU9UTDdKXdRf4tkgAw3p.OMW1xPZhxCX2gadsBEVmrsxR.3ZnOvx6";

  private static final String LETTERS = "abcdefghjkmnpqrstuvwxyz23456789";

  private final PersonRows rows;
  private final Clock clock;
  private final boolean reachedFromBeyond;
  private final PasswordEncoder passwords;
  private final String nobodys;
  private final SecureRandom random = new SecureRandom();
  private final Remembered<Map<Long, Known>> known;
  private final ReentrantLock whoThereIs = new ReentrantLock();

  /**
   * With the rows of a database.
   *
   * @param address that Reglet listens at
   * @param cost of trying one password, as {@link #COST}, 4 to 31
   */
  People(
      PersonRows rows,
      Clock clock,
      @Value("${server.address:127.0.0.1}") String address,
      @Value("${reglet.passwords.cost:" + COST + "}") int cost) {
    this.passwords = new BCryptPasswordEncoder(cost);
    this.nobodys = nobodys(cost);
    this.rows = rows;
    this.clock = clock;
    this.reachedFromBeyond = Access.isBeyond(address);
    this.known = new Remembered<>(this::read);
  }

  /** What is checked for a name that nobody has: it costs what a kept password costs. */
  static String nobodys(int cost) {
    return String.format(NOBODYS, cost);
  }

  /** What a session is checked against at every request. */
  record Known(String name, Role role, int epoch) {}

  /** A person and the password that was made for them, told once. */
  public record Made(PersonEntity person, String password) {}

  private Map<Long, Known> read() {
    return rows.findAll().stream()
        .collect(
            Collectors.toUnmodifiableMap(
                PersonEntity::getId, p -> new Known(p.getName(), p.getRole(), p.getEpoch())));
  }

  private Map<Long, Known> known() {
    return known.get();
  }

  /** Whether anybody is set up, so that everybody has to sign in. */
  public boolean any() {
    return !known().isEmpty();
  }

  Optional<Known> known(Long id) {
    return Optional.ofNullable(known().get(id));
  }

  public int count() {
    return known().size();
  }

  /** Everybody, in the order they came. */
  public List<PersonEntity> all() {
    return rows.findAllByOrderByIdAsc();
  }

  /** Whether it is the password of a person; for nobody it takes as long to say that it is not. */
  boolean matches(String typed, Optional<PersonEntity> person) {
    return matches(typed, person.map(PersonEntity::getPassword).orElse(nobodys))
        && person.isPresent();
  }

  Optional<PersonEntity> byName(String name) {
    return rows.findByFolded(folded(name));
  }

  boolean matches(String typed, String hash) {
    return typed.getBytes(StandardCharsets.UTF_8).length <= LONGEST_PASSWORD_BYTES
        && passwords.matches(typed, hash);
  }

  static String folded(String name) {
    return Normalizer.normalize(name.strip(), Normalizer.Form.NFKC)
        .toLowerCase(Locale.ROOT)
        .replaceAll("\\s+", " ");
  }

  /**
   * Somebody new.
   *
   * @param password empty to have one made
   * @throws Refusal when the name is taken or the password too weak, or the first is no owner
   */
  @Transactional
  public Made add(String name, Role role, String password) {
    String kept = name.strip();
    if (kept.isEmpty()
        || kept.length() > LONGEST_NAME
        || kept.codePoints().anyMatch(Character::isISOControl)) {
      throw new Refusal(
          "name",
          "A name has 1 to " + LONGEST_NAME + " characters; this has " + kept.length() + ".");
    }
    if (rows.findByFolded(folded(kept)).isPresent()) {
      throw new Refusal("name", "“" + kept + "” is there already: choose another name.");
    }
    if (!any() && role != Role.OWNER) {
      throw new Refusal(
          "role",
          "The first person must be an owner, who can then add the others: use the role owner.");
    }
    String chosen = password.isEmpty() ? made() : checked(password);
    PersonEntity person =
        rows.saveAndFlush(
            new PersonEntity(kept, folded(kept), role, passwords.encode(chosen), clock.instant()));
    changed();
    return new Made(person, chosen);
  }

  /**
   * Another password; every session of that person ends.
   *
   * @param password empty to have one made
   */
  @Transactional
  public Made reset(Long id, String password) {
    PersonEntity person = get(id);
    String chosen = password.isEmpty() ? made() : checked(password);
    person.setPassword(passwords.encode(chosen));
    rows.saveAndFlush(person);
    changed();
    return new Made(person, chosen);
  }

  /** Changes one's own password. */
  @Transactional
  public void change(Long id, String old, String password) {
    PersonEntity person = get(id);
    if (!matches(old, person.getPassword())) {
      throw new Refusal("old", "The old password is not right: nothing was changed.");
    }
    person.setPassword(passwords.encode(checked(password)));
    rows.saveAndFlush(person);
    changed();
  }

  /** Ends every session of a person. */
  @Transactional
  public void signOutEverywhere(Long id) {
    PersonEntity person = get(id);
    person.signOutEverywhere();
    rows.saveAndFlush(person);
    changed();
  }

  /** Gives a person another role. */
  @Transactional
  public PersonEntity setRole(Long id, Role role) {
    List<PersonEntity> all = everybodyAlone();
    PersonEntity person = get(id);
    if (role != Role.OWNER) {
      expectAnotherOwner(person, all);
    }
    person.setRole(role);
    rows.saveAndFlush(person);
    changed();
    return person;
  }

  /** Takes a person off; what they made keeps their name. */
  @Transactional
  public void remove(Long id) {
    List<PersonEntity> all = everybodyAlone();
    PersonEntity person = get(id);
    if (all.size() > 1) {
      expectAnotherOwner(person, all);
    } else if (reachedFromBeyond) {
      throw new Refusal(
          "Others can reach this Reglet, so somebody must be set up: add another owner before you take off “"
              + person.getName()
              + "”.");
    }
    rows.delete(person);
    rows.flush();
    changed();
  }

  /**
   * Everybody, for a change that depends on who else there is: two such changes wait for each other
   * until the first is there for good. One process alone has the data, so that this lock is enough.
   */
  private List<PersonEntity> everybodyAlone() {
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCompletion(int status) {
            whoThereIs.unlock();
          }
        });
    whoThereIs.lock();
    return rows.findAll();
  }

  private static void expectAnotherOwner(PersonEntity person, List<PersonEntity> all) {
    boolean another =
        all.stream().anyMatch(p -> p.getRole() == Role.OWNER && !p.getId().equals(person.getId()));
    if (!another) {
      throw new Refusal(
          "“"
              + person.getName()
              + "” is the only owner, and somebody must look after the people: make another one owner first.");
    }
  }

  /** The person of this id. */
  public PersonEntity get(Long id) {
    return rows.findById(id)
        .orElseThrow(() -> new Gone("There is no such person here: they were taken off."));
  }

  /** The person of this name. */
  public PersonEntity named(String name) {
    return byName(name)
        .orElseThrow(
            () ->
                new Gone(
                    "There is nobody called “"
                        + name
                        + "” here. Here are: "
                        + all().stream()
                            .map(PersonEntity::getName)
                            .collect(Collectors.joining(", "))
                        + "."));
  }

  private static String checked(String password) {
    int bytes = password.getBytes(StandardCharsets.UTF_8).length;
    if (password.codePointCount(0, password.length()) < SHORTEST_PASSWORD) {
      throw new Refusal(
          "password",
          "A password has at least "
              + SHORTEST_PASSWORD
              + " characters; this has "
              + password.codePointCount(0, password.length())
              + ".");
    }
    if (bytes > LONGEST_PASSWORD_BYTES) {
      throw new Refusal(
          "password",
          "A password has at most "
              + LONGEST_PASSWORD_BYTES
              + " bytes; this has "
              + bytes
              + ": shorten it.");
    }
    return password;
  }

  /** A password of 20 letters and digits, some 99 bits, in groups to be read aloud. */
  private String made() {
    Function<Integer, String> group =
        n ->
            random
                .ints(n, 0, LETTERS.length())
                .mapToObj(i -> String.valueOf(LETTERS.charAt(i)))
                .collect(Collectors.joining());
    return String.join("-", group.apply(5), group.apply(5), group.apply(5), group.apply(5));
  }

  /** What sessions are checked against is read anew once the change is there for good. */
  private void changed() {
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCompletion(int status) {
            known.changed();
          }
        });
  }
}
