package app.reglet.web.houses;

import app.reglet.core.Refusal;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.wrap.ExampleRun;
import app.reglet.web.people.Who;
import app.reglet.web.shell.Gone;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.CopyOnWriteArrayList;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * The published rule sheets, each in its versions. The shipped ones are proved by their worked
 * examples at start and become a new version when their document has changed; a shipped sheet that
 * disagrees with its examples stops the start.
 */
@Service
public class Houses {
  private static final Logger LOG = LoggerFactory.getLogger(Houses.class);

  private final HouseRows rows;
  private final HouseVersions versions;
  private final Clock clock;
  private final Who who;
  private final TransactionTemplate transactions;
  private final List<BrokenSheet> broken = new CopyOnWriteArrayList<>();
  private final Map<String, NavigableMap<Integer, RuleSheet>> sheets = new ConcurrentHashMap<>();

  public Houses(
      HouseRows rows,
      HouseVersions versions,
      Clock clock,
      Who who,
      PlatformTransactionManager manager) {
    this.who = who;
    this.transactions = new TransactionTemplate(manager);
    this.rows = rows;
    this.versions = versions;
    this.clock = clock;
  }

  /**
   * Reads all that is published, and publishes what ships and has changed. What can't be read is
   * told by {@link #broken} and hinders nothing else.
   */
  public void load() {
    for (String text : ShippedRuleSheets.texts()) {
      RuleSheet sheet = ExampleRun.readAndProve(text);
      HouseEntity row = rows.findById(sheet.id()).orElse(null);
      if (row == null || row.isShipped() && !text.equals(inForce(row))) {
        transactions.executeWithoutResult(t -> store(sheet.id(), text, true));
      }
    }
    sheets.clear();
    broken.clear();
    for (HouseVersion v : versions.findAll()) {
      HouseVersion.Key key = v.getKey();
      try {
        RuleSheet sheet = ExampleRun.readAndProve(v.getDocument());
        if (!sheet.id().equals(key.houseId())) {
          throw new Refusal("it is the sheet of “" + sheet.id() + "”");
        }
        keep(key.number(), sheet);
      } catch (RuntimeException e) {
        broken.add(new BrokenSheet(key.houseId(), key.number(), String.valueOf(e.getMessage())));
        LOG.warn(
            "version {} of the rule sheet {} can't be read any more", key.number(), key.houseId());
      }
    }
    for (HouseEntity row : rows.findAll()) {
      if (!sheets.containsKey(row.getId())
          && broken.stream().noneMatch(b -> b.house().equals(row.getId()))) {
        broken.add(new BrokenSheet(row.getId(), row.getCurrent(), "No version of it is here."));
      }
    }
  }

  /** The document in force of a shipped house; empty when its version isn't there. */
  private String inForce(HouseEntity row) {
    return versions
        .findById(new HouseVersion.Key(row.getId(), row.getCurrent()))
        .map(HouseVersion::getDocument)
        .orElse("");
  }

  /** Versions that can't be read any more. */
  public List<BrokenSheet> broken() {
    return List.copyOf(broken);
  }

  /**
   * A version that can't be read.
   *
   * @param why what the reader says
   */
  public record BrokenSheet(String house, int version, String why) {}

  private void keep(int number, RuleSheet sheet) {
    sheets.computeIfAbsent(sheet.id(), id -> new ConcurrentSkipListMap<>()).put(number, sheet);
  }

  private int store(String id, String document, boolean shipped) {
    HouseEntity row = rows.findById(id).orElseGet(() -> new HouseEntity(id, shipped));
    int number = Math.max(row.getCurrent(), versions.newest(id).orElse(0)) + 1;
    row.setCurrent(number, clock.instant());
    rows.saveAndFlush(row);
    versions.saveAndFlush(
        new HouseVersion(
            new HouseVersion.Key(id, number),
            document,
            clock.instant(),
            shipped ? "" : who.name()));
    return number;
  }

  /**
   * Publishes a sheet as the next version of its house.
   *
   * @throws Refusal when it can't be read, disagrees with a worked example, or is a shipped one's
   */
  @Transactional
  public RuleSheet publish(String document) {
    RuleSheet sheet = ExampleRun.readAndProve(document);
    if (isShipped(sheet.id())) {
      throw new Refusal(
          "id",
          "“" + sheet.id() + "” is the id of a sheet that ships with Reglet: give yours another.");
    }
    int number = store(sheet.id(), document, false);
    // it is seen when it is there for good, and not before
    TransactionSynchronizationManager.registerSynchronization(
        new TransactionSynchronization() {
          @Override
          public void afterCommit() {
            keep(number, sheet);
            LOG.info("version {} of the rule sheet {} published", number, sheet.id());
          }
        });
    return sheet;
  }

  /** All sheets in force, by name. */
  public List<RuleSheet> all() {
    return sheets.values().stream()
        .map(v -> v.lastEntry().getValue())
        .sorted(Comparator.comparing(RuleSheet::name))
        .toList();
  }

  public boolean has(String id) {
    return sheets.containsKey(id);
  }

  /** Whether this version can be measured by. */
  public boolean has(String id, int version) {
    NavigableMap<Integer, RuleSheet> found = sheets.get(id);
    return found != null && found.containsKey(version);
  }

  /** Whether a house of this id is kept, readable or not. */
  public boolean isTaken(String id) {
    return rows.existsById(id);
  }

  public boolean isShipped(String id) {
    return rows.findById(id).map(HouseEntity::isShipped).orElse(false);
  }

  /** The number of the version in force. */
  public int version(String id) {
    return versionsOf(id).lastKey();
  }

  /** The numbers of all versions, ascending. */
  public List<Integer> numbers(String id) {
    return List.copyOf(versionsOf(id).keySet());
  }

  private NavigableMap<Integer, RuleSheet> versionsOf(String id) {
    NavigableMap<Integer, RuleSheet> found = sheets.get(id);
    if (found == null) {
      throw new Gone("There is no rule sheet “" + id + "” here.");
    }
    return found;
  }

  /**
   * The sheet in force.
   *
   * @throws Gone when there is none
   */
  public RuleSheet get(String id) {
    return versionsOf(id).lastEntry().getValue();
  }

  /**
   * One version of a sheet.
   *
   * @throws Gone when there is none
   */
  public RuleSheet get(String id, int version) {
    RuleSheet sheet = versionsOf(id).get(version);
    if (sheet == null) {
      throw new Gone("The rule sheet “" + id + "” has no version " + version + ".");
    }
    return sheet;
  }

  /** The document of one version. */
  public String document(String id, int version) {
    return versions
        .findById(new HouseVersion.Key(id, version))
        .map(HouseVersion::getDocument)
        .orElseThrow(() -> new Gone("There is no rule sheet “" + id + "” here."));
  }
}
