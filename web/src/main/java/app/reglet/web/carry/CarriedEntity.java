package app.reglet.web.carry;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;

/** Where a cover was carried from. */
@Entity
@Table(name = "carried")
public class CarriedEntity {
  /** No revision: a cover that nobody has composed is at 0. */
  static final int NEVER = -1;

  @Id
  @Column(name = "edition_id")
  private Long editionId;

  @Column(name = "origin_id")
  private Long originId;

  @Column(name = "origin_revision")
  private int originRevision;

  private int revision;
  private String bases = "";
  private String accepted = "";
  private Instant made;

  protected CarriedEntity() {}

  CarriedEntity(Long editionId, Long originId, int originRevision, int revision, Instant made) {
    this.editionId = editionId;
    this.originId = originId;
    this.originRevision = originRevision;
    this.revision = revision;
    this.made = made;
  }

  public Long getEditionId() {
    return editionId;
  }

  /** The edition it was carried from. */
  public Long getOriginId() {
    return originId;
  }

  /** The revision of that edition's design. */
  public int getOriginRevision() {
    return originRevision;
  }

  /** The revision of its own design that came of it. */
  public int getRevision() {
    return revision;
  }

  /**
   * The revisions of the origin that single things are compared with; {@link #NEVER} for what is
   * never offered again. All else is compared with {@link #getOriginRevision()}.
   */
  public Map<String, Integer> bases() {
    Map<String, Integer> all = new LinkedHashMap<>();
    bases
        .lines()
        .map(l -> l.split("\t", 2))
        .filter(l -> l.length == 2)
        .forEach(l -> all.put(l[0], Integer.parseInt(l[1])));
    return all;
  }

  /** Compared from now on with another revision of its origin, but for some things. */
  void follow(int originsRevision, Map<String, Integer> except) {
    originRevision = originsRevision;
    bases =
        except.entrySet().stream()
            .map(e -> e.getKey() + "\t" + e.getValue())
            .collect(Collectors.joining("\n"));
  }

  /**
   * It came out anew.
   *
   * @param revision of its own design; {@link #NEVER} when none is as it came out
   */
  void madeAnew(int revision) {
    this.revision = revision;
  }

  /** What became of pieces that somebody let stand, by piece. */
  public Map<String, String> accepted() {
    return accepted
        .lines()
        .map(l -> l.split("\t", 2))
        .filter(l -> l.length == 2)
        .collect(Collectors.toMap(l -> l[0], l -> l[1], (a, b) -> b, LinkedHashMap::new));
  }

  /** Lets these stand, and no others. */
  void accept(Map<String, String> all) {
    accepted =
        all.entrySet().stream()
            .map(e -> e.getKey() + "\t" + e.getValue().replaceAll("\\s", " "))
            .collect(Collectors.joining("\n"));
  }

  public Instant getMade() {
    return made;
  }
}
