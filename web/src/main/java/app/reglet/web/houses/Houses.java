package app.reglet.web.houses;

import app.reglet.core.house.RuleSheet;
import app.reglet.core.wrap.ExampleRun;
import app.reglet.web.shell.Gone;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.event.ContextRefreshedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Service;

/**
 * The rule sheets at hand. The shipped ones are proved by their worked examples and put into the
 * database at start; a sheet that disagrees with its examples stops the start.
 */
@Service
public class Houses {
  private final HouseDocuments documents;
  private final Clock clock;
  private final Map<String, RuleSheet> sheets = new ConcurrentHashMap<>();

  public Houses(HouseDocuments documents, Clock clock) {
    this.documents = documents;
    this.clock = clock;
  }

  @EventListener(ContextRefreshedEvent.class)
  @Order(0)
  void loadShipped() {
    for (String text : ShippedSheets.texts()) {
      RuleSheet sheet = ExampleRun.readAndProve(text);
      documents.save(new HouseEntity(sheet.id(), text, true, clock.instant()));
    }
    sheets.clear();
    for (HouseEntity e : documents.findAll()) {
      sheets.put(e.getId(), ExampleRun.readAndProve(e.getDocument()));
    }
  }

  /** All sheets by name. */
  public List<RuleSheet> all() {
    return sheets.values().stream().sorted(Comparator.comparing(RuleSheet::name)).toList();
  }

  public boolean has(String id) {
    return sheets.containsKey(id);
  }

  /**
   * A sheet by its id.
   *
   * @throws Gone when there is none
   */
  public RuleSheet get(String id) {
    RuleSheet sheet = sheets.get(id);
    if (sheet == null) {
      throw new Gone("There is no rule sheet “" + id + "” here.");
    }
    return sheet;
  }

  /** A sheet's document. */
  public String document(String id) {
    return documents
        .findById(id)
        .map(HouseEntity::getDocument)
        .orElseThrow(() -> new Gone("There is no rule sheet “" + id + "” here."));
  }
}
