package app.reglet.web.houses;

import app.reglet.core.Refusal;
import app.reglet.core.house.RuleSheet;
import app.reglet.core.house.RuleSheetDocument;
import app.reglet.core.house.RuleSheetReader;
import app.reglet.core.house.grammar.Grammar;
import app.reglet.core.wrap.ExampleRun;
import app.reglet.web.shell.Broken;
import app.reglet.web.shell.Conflict;
import app.reglet.web.shell.Gone;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Rule sheets being written: begun, changed, published or thrown away. */
@Service
public class RuleDrafts {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private final HouseDrafts drafts;
  private final Houses houses;
  private final Clock clock;

  public RuleDrafts(HouseDrafts drafts, Houses houses, Clock clock) {
    this.drafts = drafts;
    this.houses = houses;
    this.clock = clock;
  }

  /**
   * How far a draft has come.
   *
   * @param problems what the reader says of it, nothing when it reads
   * @param examples its worked examples, computed; empty while it doesn't read
   */
  public record State(List<Refusal> problems, List<ExampleRun> examples) {
    /** Whether it may be published. */
    public boolean ready() {
      return problems.isEmpty() && examples.stream().allMatch(ExampleRun::agrees);
    }
  }

  public List<HouseDraft> all() {
    return drafts.findAllByOrderByIdAsc();
  }

  /**
   * A draft.
   *
   * @throws Gone when there is none
   */
  public HouseDraft get(Long id) {
    return drafts
        .findById(id)
        .orElseThrow(
            () -> new Gone("There is no such draft here: it was published or thrown away."));
  }

  /**
   * The document of a draft as a tree.
   *
   * @throws Broken when it can't be shown; it can still be thrown away
   */
  static ObjectNode tree(HouseDraft draft) {
    try {
      if (RuleSheetDocument.parse(draft.getDocument()) instanceof ObjectNode root) {
        return root;
      }
      throw new Refusal("It is no object in { }.");
    } catch (Refusal r) {
      throw new BrokenDraft(draft, r.getMessage());
    }
  }

  /** A draft that no form can show. */
  static final class BrokenDraft extends Broken {
    private static final long serialVersionUID = 1L;

    BrokenDraft(HouseDraft draft, String why) {
      super(
          "The draft “"
              + draft.getName()
              + "” can't be shown: "
              + why
              + " Its text can be downloaded at /houses/drafts/"
              + draft.getId()
              + "/document.",
          "/houses/drafts/" + draft.getId() + "/discard",
          "discard",
          "Throw it away");
    }
  }

  static State state(HouseDraft draft) {
    List<Refusal> problems = RuleSheetReader.problems(draft.getDocument());
    return new State(
        problems,
        problems.isEmpty()
            ? ExampleRun.runAll(RuleSheetReader.read(draft.getDocument()))
            : List.of());
  }

  /** Begins a sheet with nothing in it but its form. */
  @Transactional
  public HouseDraft begin() {
    ObjectNode root = JSON.createObjectNode();
    root.put("format", Grammar.FORMAT);
    root.put("unit", "in");
    root.putArray("stocks").addObject();
    root.putArray("inks").addObject().put("id", "black").put("name", "Black");
    root.putArray("examples").addObject();
    return keep(null, root);
  }

  /** A copy of a published sheet under a name of its own. */
  @Transactional
  public HouseDraft copy(String houseId) {
    ObjectNode root =
        (ObjectNode) RuleSheetDocument.parse(houses.document(houseId, houses.version(houseId)));
    root.put("id", freeId(houseId + "-copy"));
    root.put("name", houses.get(houseId).name() + ", copy");
    return keep(null, root);
  }

  /**
   * A draft of what a version that can't be read any more says, under a name of its own.
   *
   * @throws Refusal when it is no JSON object, which no form can show
   */
  @Transactional
  public HouseDraft mend(String houseId, int version) {
    try {
      if (RuleSheetDocument.parse(houses.document(houseId, version)) instanceof ObjectNode root) {
        root.put("id", freeId(houseId + "-mended"));
        return keep(null, root);
      }
    } catch (Refusal r) {
      // told below
    }
    throw new Refusal(
        "Version "
            + version
            + " of “"
            + houseId
            + "” is no JSON object any more, so no form can show it: its text is at /houses/"
            + houseId
            + "/document?v="
            + version
            + ".");
  }

  private String freeId(String wanted) {
    String stem = wanted.length() > 55 ? wanted.substring(0, 55) : wanted;
    String id = stem;
    for (int n = 2; houses.isTaken(id); n++) {
      id = stem + "-" + n;
    }
    return id;
  }

  /**
   * A draft of the next version of a house's sheet; the one begun already, if there is one.
   *
   * @throws Refusal for a shipped sheet
   */
  @Transactional
  public HouseDraft edit(String houseId) {
    if (houses.isShipped(houseId)) {
      throw new Refusal(
          houses.get(houseId).name()
              + " ships with Reglet and stays as it is: copy it, and change the copy.");
    }
    Optional<HouseDraft> begun = drafts.findFirstByHouseId(houseId);
    return begun.orElseGet(
        () ->
            keep(
                houseId,
                (ObjectNode)
                    RuleSheetDocument.parse(houses.document(houseId, houses.version(houseId)))));
  }

  /**
   * Takes in a document made elsewhere. What is wrong in it is told on its form; only what is no
   * JSON object at all is refused.
   */
  @Transactional
  public HouseDraft importDocument(String text) {
    JsonNode root = RuleSheetDocument.parse(text);
    if (!(root instanceof ObjectNode object)) {
      throw new Refusal("file", "This JSON is no rule sheet: a sheet is an object in { }.");
    }
    JsonNode format = object.get("format");
    if (format == null || !Grammar.FORMAT.equals(format.asString(""))) {
      throw new Refusal(
          "file",
          "This JSON does not say that it is a rule sheet: its field “format” must be “"
              + Grammar.FORMAT
              + "”.");
    }
    String id = object.get("id") == null ? "" : object.get("id").asString("");
    if (houses.has(id) && !houses.isShipped(id)) {
      drafts.findFirstByHouseId(id).ifPresent(drafts::delete);
      return keep(id, object);
    }
    if (houses.has(id)) {
      object.put("id", freeId(id + "-copy"));
    }
    return keep(null, object);
  }

  private HouseDraft keep(String houseId, ObjectNode root) {
    return drafts.saveAndFlush(
        new HouseDraft(houseId, name(root), JSON.writeValueAsString(root), clock.instant()));
  }

  private static String name(ObjectNode root) {
    JsonNode name = root.get("name");
    String text = name == null ? "" : name.asString("").strip();
    return text.length() > 200 ? text.substring(0, 200) : text;
  }

  /**
   * Takes the form over into a draft.
   *
   * @param version the version the form was showing
   * @param act what a button asked for, empty for none
   * @throws Conflict when another window saved first
   * @throws Refusal when the document would be too long; nothing is kept then
   */
  @Transactional
  public HouseDraft change(Long id, long version, Map<String, String[]> form, String act) {
    HouseDraft draft = get(id);
    if (draft.getVersion() != version) {
      throw new Conflict(
          "This draft was changed in another window. Nothing was overwritten, and what you typed is still on this page: note what differs, reload, and make the change again.");
    }
    ObjectNode root = tree(draft);
    RuleSheetEdit edit = new RuleSheetEdit(root);
    edit.take(form);
    if (!act.isEmpty()) {
      edit.act(act, form);
    }
    if (draft.getHouseId() != null) {
      root.put("id", draft.getHouseId());
    }
    String document = JSON.writeValueAsString(root);
    RuleSheetDocument.parse(document); // one that could not be opened again is not kept
    draft.write(name(root), document, clock.instant());
    return drafts.saveAndFlush(draft);
  }

  /**
   * Publishes a draft as the next version of its house, and ends it.
   *
   * @throws Refusal when it can't be read, disagrees with an example, or takes another's short name
   */
  @Transactional
  public RuleSheet publish(Long id) {
    HouseDraft draft = get(id);
    RuleSheet sheet = RuleSheetReader.read(draft.getDocument());
    if (draft.getHouseId() == null && houses.isTaken(sheet.id())) {
      throw new Refusal(
          "id",
          "The short name “"
              + sheet.id()
              + "” is taken by "
              + (houses.has(sheet.id()) ? houses.get(sheet.id()).name() : "a sheet that is broken")
              + ": choose another.");
    }
    String indented =
        JSON.writerWithDefaultPrettyPrinter()
            .writeValueAsString(RuleSheetDocument.parse(draft.getDocument()));
    RuleSheet published = houses.publish(indented);
    drafts.delete(draft);
    return published;
  }

  @Transactional
  public void discard(Long id) {
    drafts.delete(get(id));
  }
}
