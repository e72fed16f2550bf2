package app.reglet.web.houses;

import app.reglet.core.Refusal;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.wrap.ExampleRun;
import app.reglet.web.shell.Gone;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentSkipListMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.ContextRefreshedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

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
  private final Map<String, NavigableMap<Integer, RuleSheet>> sheets = new ConcurrentHashMap<>();

  public Houses(HouseRows rows, HouseVersions versions, Clock clock) {
    this.rows = rows;
    this.versions = versions;
    this.clock = clock;
  }

  @EventListener(ContextRefreshedEvent.class)
  @Order(0)
  void load() {
    for (String text : ShippedSheets.texts()) {
      RuleSheet sheet = ExampleRun.readAndProve(text);
      HouseEntity row = rows.findById(sheet.id()).orElse(null);
      if (row == null || row.isShipped() && !text.equals(document(sheet.id(), row.getCurrent()))) {
        store(sheet.id(), text, true);
      }
    }
    sheets.clear();
    for (HouseVersion v : versions.findAll()) {
      try {
        keep(v.getKey().number(), ExampleRun.readAndProve(v.getDocument()));
      } catch (Refusal r) {
        LOG.warn(
            "Version {} of the rule sheet {} can't be read any more: {}",
            v.getKey().number(),
            v.getKey().houseId(),
            r.getMessage());
      }
    }
  }

  private void keep(int number, RuleSheet sheet) {
    sheets.computeIfAbsent(sheet.id(), id -> new ConcurrentSkipListMap<>()).put(number, sheet);
  }

  private int store(String id, String document, boolean shipped) {
    HouseEntity row = rows.findById(id).orElseGet(() -> new HouseEntity(id, shipped));
    int number = row.getCurrent() + 1;
    row.setCurrent(number, clock.instant());
    rows.saveAndFlush(row);
    versions.saveAndFlush(
        new HouseVersion(new HouseVersion.Key(id, number), document, clock.instant()));
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
    keep(store(sheet.id(), document, false), sheet);
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
