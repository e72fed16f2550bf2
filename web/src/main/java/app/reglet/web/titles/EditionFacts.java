package app.reglet.web.titles;

import app.reglet.core.book.Binding;
import app.reglet.core.book.Flaps;
import app.reglet.core.book.Isbn;
import app.reglet.core.book.PageTurn;
import app.reglet.core.book.Specification;
import app.reglet.core.book.ToldSpine;
import app.reglet.core.measure.Length;
import app.reglet.core.measure.Size;
import app.reglet.core.measure.Unit;
import jakarta.persistence.Column;
import jakarta.persistence.MappedSuperclass;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;

/**
 * The facts of an edition. What was typed is kept beside the last value that could be read, so that
 * a slip is still there to mend after a reload and the drawing stands on the last good fact.
 */
@MappedSuperclass
public abstract class EditionFacts {
  @Column(name = "house_id")
  private String houseId;

  private String binding;
  private String trim;

  @Column(name = "trim_typed")
  private String trimTyped = "";

  private Integer pages;

  @Column(name = "pages_typed")
  private String pagesTyped = "";

  @Column(name = "house_version")
  private int houseVersion;

  @Column(name = "front_flap")
  private String frontFlap;

  @Column(name = "front_flap_typed")
  private String frontFlapTyped = "";

  @Column(name = "back_flap")
  private String backFlap;

  @Column(name = "back_flap_typed")
  private String backFlapTyped = "";

  @Column(name = "told_spine")
  private String toldSpine;

  @Column(name = "told_spine_typed")
  private String toldSpineTyped = "";

  @Column(name = "told_source")
  private String toldSource = "";

  @Column(name = "inside_printed")
  private boolean insidePrinted;

  private int spread;

  @Column(name = "spread_typed")
  private String spreadTyped = "";

  private String stock;
  private String ink;
  private String turn;
  private String isbn;

  @Column(name = "isbn_typed")
  private String isbnTyped = "";

  public String getHouseId() {
    return houseId;
  }

  public String getTrimTyped() {
    return trimTyped;
  }

  public String getPagesTyped() {
    return pagesTyped;
  }

  public Integer getPages() {
    return pages;
  }

  public String getStock() {
    return stock;
  }

  public Binding getBinding() {
    return Binding.byId(binding);
  }

  public PageTurn getTurn() {
    return PageTurn.byId(turn);
  }

  public Size getTrim() {
    return Size.parse(trim, Unit.MM);
  }

  /** The trim as a text that reads back to it exactly. */
  public String getTrimKept() {
    return trim;
  }

  /** The house and the version of its sheet that this edition is measured by. */
  public void setHouse(String id, int version) {
    this.houseId = id;
    this.houseVersion = version;
  }

  /** What was chosen from lists. */
  public void setChoices(Binding binding, String stock, String ink, PageTurn turn) {
    this.binding = binding.id();
    this.stock = stock;
    this.ink = ink;
    this.turn = turn.id();
  }

  /** What was typed, and the size it is; null keeps the last good one. */
  public void setTrim(String typed, Size read) {
    this.trimTyped = read == null ? typed : "";
    if (read != null) {
      this.trim = read.width() + " x " + read.height();
    }
  }

  /** What was typed, and the count it is; null keeps the last good one. */
  public void setPages(String typed, Integer read) {
    this.pagesTyped = typed;
    if (read != null) {
      this.pages = read;
    }
  }

  /** The flaps asked for, as remedied or chosen; empty takes the house's usual ones. */
  public void setFlaps(Optional<Flaps> flaps) {
    setFrontFlap("", flaps.map(Flaps::front).orElse(null));
    setBackFlap("", flaps.map(Flaps::back).orElse(null));
  }

  /** What was typed when it can't be read, else the width; both empty takes the usual one. */
  public void setFrontFlap(String wrong, Length read) {
    this.frontFlapTyped = wrong;
    if (wrong.isEmpty()) {
      this.frontFlap = read == null ? null : read.toString();
    }
  }

  /** What was typed when it can't be read, else the width; both empty takes the usual one. */
  public void setBackFlap(String wrong, Length read) {
    this.backFlapTyped = wrong;
    if (wrong.isEmpty()) {
      this.backFlap = read == null ? null : read.toString();
    }
  }

  /** What was typed when it can't be read, else the spine the house told, and where. */
  public void setToldSpine(String wrong, Length read, String source) {
    this.toldSpineTyped = wrong;
    this.toldSource = source;
    if (wrong.isEmpty()) {
      this.toldSpine = read == null ? null : read.toString();
    }
  }

  public void setInsidePrinted(boolean printed) {
    this.insidePrinted = printed;
  }

  /** How far the count may still go either way: what was typed when wrong, else the pages. */
  public void setSpread(String wrong, int read) {
    this.spreadTyped = wrong;
    if (wrong.isEmpty()) {
      this.spread = read;
    }
  }

  public Optional<Length> getFrontFlap() {
    return length(frontFlap);
  }

  public Optional<Length> getBackFlap() {
    return length(backFlap);
  }

  public Optional<Length> getToldSpine() {
    return length(toldSpine);
  }

  private static Optional<Length> length(String kept) {
    return Optional.ofNullable(kept).map(k -> Length.parse(k, Unit.MM));
  }

  public String getFrontFlapTyped() {
    return frontFlapTyped;
  }

  public String getBackFlapTyped() {
    return backFlapTyped;
  }

  public String getToldSpineTyped() {
    return toldSpineTyped;
  }

  public String getToldSource() {
    return toldSource;
  }

  public boolean isInsidePrinted() {
    return insidePrinted;
  }

  /** Pages that the count may still go either way; zero when it is final. */
  public int getSpread() {
    return spread;
  }

  public String getSpreadTyped() {
    return spreadTyped;
  }

  public int getHouseVersion() {
    return houseVersion;
  }

  public String getInk() {
    return ink;
  }

  /** What was typed as ISBN, right or wrong. */
  public String getIsbnTyped() {
    return isbnTyped;
  }

  /** The ISBN that names this edition, empty while none does. */
  public Optional<Isbn> getIsbn() {
    return Optional.ofNullable(isbn).map(Isbn::new);
  }

  /** What was typed, and the ISBN it is; null keeps none. */
  public void setIsbn(String typed, Isbn read) {
    this.isbnTyped = typed;
    this.isbn = read == null ? null : read.digits();
  }

  private Optional<Flaps> flaps() {
    Optional<Length> front = getFrontFlap();
    Optional<Length> back = getBackFlap();
    return front.isEmpty() || back.isEmpty()
        ? Optional.empty()
        : Optional.of(new Flaps(front.get(), back.get()));
  }

  /** The facts as texts by column; null where there is none. */
  public Map<String, String> columns() {
    Map<String, String> columns = new TreeMap<>();
    columns.put("house_id", houseId);
    columns.put("house_version", String.valueOf(houseVersion));
    columns.put("binding", binding);
    columns.put("trim", trim);
    columns.put("trim_typed", trimTyped);
    columns.put("pages", Objects.toString(pages, null));
    columns.put("pages_typed", pagesTyped);
    columns.put("spread", String.valueOf(spread));
    columns.put("spread_typed", spreadTyped);
    columns.put("stock", stock);
    columns.put("ink", ink);
    columns.put("turn", turn);
    columns.put("front_flap", frontFlap);
    columns.put("front_flap_typed", frontFlapTyped);
    columns.put("back_flap", backFlap);
    columns.put("back_flap_typed", backFlapTyped);
    columns.put("told_spine", toldSpine);
    columns.put("told_spine_typed", toldSpineTyped);
    columns.put("told_source", toldSource);
    columns.put("inside_printed", String.valueOf(insidePrinted));
    columns.put("isbn", isbn);
    columns.put("isbn_typed", isbnTyped);
    return columns;
  }

  /**
   * Takes facts as {@link #columns} gives them.
   *
   * @throws IllegalArgumentException for a column that is no fact
   */
  public void take(Map<String, String> columns) {
    columns.forEach(this::take);
  }

  private void take(String column, String value) {
    switch (column) {
      case "house_id" -> houseId = value;
      case "house_version" -> houseVersion = Integer.parseInt(value);
      case "binding" -> binding = value;
      case "trim" -> trim = value;
      case "trim_typed" -> trimTyped = value;
      case "pages" -> pages = value == null ? null : Integer.valueOf(value);
      case "pages_typed" -> pagesTyped = value;
      case "spread" -> spread = Integer.parseInt(value);
      case "spread_typed" -> spreadTyped = value;
      case "stock" -> stock = value;
      case "ink" -> ink = value;
      case "turn" -> turn = value;
      case "front_flap" -> frontFlap = value;
      case "front_flap_typed" -> frontFlapTyped = value;
      case "back_flap" -> backFlap = value;
      case "back_flap_typed" -> backFlapTyped = value;
      case "told_spine" -> toldSpine = value;
      case "told_spine_typed" -> toldSpineTyped = value;
      case "told_source" -> toldSource = value;
      case "inside_printed" -> insidePrinted = Boolean.parseBoolean(value);
      case "isbn" -> isbn = value;
      case "isbn_typed" -> isbnTyped = value == null ? "" : value;
      default -> throw new IllegalArgumentException("There is no fact in " + column + ".");
    }
  }

  /** The facts to measure, empty while there is no page count. */
  public Optional<Specification> specification() {
    if (pages == null && getBinding() == Binding.EBOOK) {
      return Optional.of(specification(1));
    }
    return pages == null ? Optional.empty() : Optional.of(specification(pages));
  }

  /** The facts with another page count. */
  public Specification specification(int count) {
    return new Specification(
        getBinding(),
        getTrim(),
        count,
        stock,
        ink,
        getTurn(),
        flaps(),
        getToldSpine().map(w -> new ToldSpine(w, toldSource)),
        insidePrinted);
  }
}
